package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.app.picture.Picture;
import hammerman.app.picture.Written;
import hammerman.design.SecondPack;
import hammerman.device.StandIn;
import hammerman.device.StandInServer;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.project.Shipped;
import hammerman.prove.SimulatedMeter;
import hammerman.record.RunResult;
import hammerman.record.RunSheet;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.BindException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.opentest4j.TestAbortedException;

/** Station Prove as it is used: a season, a live run, what was noted, and what went wrong. */
class ProvingTest extends AtTheDesk {
  private static final Pattern SAMPLES = Pattern.compile("with (\\d+) samples");

  @TempDir Path folder;

  private int rows(String table) {
    return Desk.fx(() -> desk.find(table, TableView.class).getItems().size());
  }

  private void choose(String box, int index) {
    Desk.fx(
        () -> {
          desk.find(box, ChoiceBox.class).getSelectionModel().select(index);
          return null;
        });
    desk.settle();
  }

  private void season() {
    desk.example();
    desk.view(Station.PROVE, "runs");
    desk.press("#example-season");
    desk.until(() -> rows("#runs") == 7);
  }

  private RunSheet newest() {
    List<RunSheet> found = new CopyOnWriteArrayList<>();
    Desk.fx(
        () -> {
          desk.session
              .keeper()
              .records(
                  store -> store.runBook().runs(0, 1).getFirst().value().sheet(),
                  found::add,
                  t -> {});
          return null;
        });
    desk.until(() -> !found.isEmpty());
    return found.getFirst();
  }

  /** With more said above it the list is lower; how much lower hangs on the dates. */
  private void toTheLastRun() {
    TableView<?> list = desk.find("#differs-runs", TableView.class);
    Desk.fx(
        () -> {
          list.scrollTo(list.getItems().size() - 1);
          return null;
        });
    desk.quiet();
  }

  @Test
  void aSeasonIsComparedCalibratedAndTakenBack() {
    season();
    desk.until(() -> desk.text("#run-against").contains("root mean square"));
    assertThat(desk.text("#run-against")).contains("It began at rest");
    desk.view(Station.PROVE, "differs");
    choose("#first-run", 0);
    desk.press("#differs-5");
    toTheLastRun();
    desk.press("#differs-7");
    desk.until(() -> desk.text("#differs-conclusion").startsWith("Only wire changed"));
    desk.until(() -> desk.text("#differs-apart").contains("Resistance"));
    desk.until(() -> desk.text("#differs-worked").contains("air"));
    // Those of the spring are repeats of each other; those with the other pair are not.
    desk.press("#differs-2");
    desk.press("#differs-3");
    toTheLastRun();
    desk.press("#differs-7");
    desk.until(() -> desk.text("#differs-conclusion").contains("may be put down to wire"));
    desk.quiet();
    assertThat(desk.text("#differs-conditions"))
        .contains(
            "Upper terraces 2”", "Upper terraces 3”", "Upper terraces 5”", "Upper terraces 7”");
    desk.press("#differs-6");
    assertThat(desk.text("#prove-said")).contains("At most 4 are compared");
    desk.view(Station.PROVE, "calibrate");
    desk.until(() -> desk.text("#calibrate-scales").contains("95 % certain"));
    double before = desk.session.project().design().pack().cell().r10();
    String one = desk.text("#calibrate-scales");
    desk.press("#calibrate-together");
    desk.until(() -> desk.text("#calibrate-which").contains("logs of the same pack and wire"));
    desk.quiet();
    assertThat(desk.text("#calibrate-scales")).isNotEqualTo(one);
    desk.press("#calibrate-alone");
    desk.quiet();
    desk.press("#decline-scales");
    desk.until(() -> rows("#scales") == 2);
    assertThat(desk.session.project().design().pack().cell().r10()).isEqualTo(before);
    desk.press("#accept-scales");
    desk.until(() -> rows("#scales") == 4);
    assertThat(desk.session.project().design().pack().cell().r10() / before)
        .as("the season's connector pair")
        .isCloseTo(1.18, within(0.05));
    desk.keys(KeyCode.CONTROL, KeyCode.Z);
    assertThat(desk.session.project().design().pack().cell().r10()).isEqualTo(before);
    assertThat(rows("#scales")).as("the record stays").isEqualTo(4);
  }

  @Test
  void theSeasonTellsHealthRangeAndReminders() throws IOException {
    season();
    desk.view(Station.PROVE, "health");
    desk.until(() -> desk.text("#fade-verdict").contains("times the forecast loss"));
    desk.until(() -> desk.text("#fade-until").contains("1.1"));
    desk.type("#check-groups", "3.9 3.9");
    assertThat(desk.text("#check-groups-complaint")).contains("the pack has 13 groups");
    desk.type("#check-groups", "3.9 3.9 3.9 3.9 3.9 3.9 3.9 3.9 3.9 3.9 3.9 3.9 3,88");
    desk.until(() -> desk.text("#prove-said").startsWith("Check-up of 13 groups"));
    desk.type("#rest-voltage", "48.5");
    assertThat(desk.text("#charge-words")).startsWith("About 50 % full");
    Path file = folder.resolve("due.ics");
    desk.lay(file);
    desk.press("#save-reminders");
    assertThat(Files.readString(file)).contains("BEGIN:VEVENT").contains("check-up");
    desk.view(Station.PROVE, "rota");
    assertThat(desk.text("#rota-answer")).contains("batteries").contains("charger");
    desk.press("#courses-0");
    assertThat(desk.session.project().duty().task().getClass().getSimpleName())
        .isEqualTo("ByDistance");
    desk.keys(KeyCode.CONTROL, KeyCode.Z);
    desk.type("#rota-works-for", "20 min");
    desk.type("#rota-charges-in", "3 h");
    assertThat(desk.text("#rota-answer")).doesNotStartWith("2 batteries");
  }

  @Test
  void whatWasNotedIsTypedByKeysKeptAndStruckOut() {
    desk.example();
    desk.view(Station.PROVE, "runs");
    desk.press("#type-run");
    desk.until(() -> rows("#runs") == 1);
    desk.keyIn("run-name", "Sunday, upper rows");
    desk.keyIn("condition-air", "24");
    desk.keyIn("condition-load-carried", "80 kg");
    desk.keyIn("run-course", "upper rows");
    desk.keyIn("result-energy-taken", "0,62 kWh");
    desk.keyIn("result-lowest-voltage", "44.1");
    desk.keyIn("result-peak-current", "-3");
    assertThat(desk.text("#prove-said")).contains("Peak current is −3 A");
    desk.type("#own-name", "tyre");
    desk.type("#own-value", "1.8 bar");
    desk.press("#add-own");
    desk.until(() -> newest().own().containsKey("tyre"));
    RunSheet sheet = newest();
    assertThat(sheet.result(RunResult.ENERGY)).hasValue(620 * 3600.0);
    assertThat(sheet.words()).hasSize(1);
    assertThat(desk.text("#run-against")).contains("Without a log");
    TextField why = desk.find("#strike-reason", TextField.class);
    Desk.fx(
        () -> {
          why.setText("meter was off");
          return null;
        });
    desk.press("#strike-run");
    TableView<?> table = desk.find("#runs", TableView.class);
    desk.until(
        () ->
            String.valueOf(Desk.fx(() -> table.getColumns().get(5).getCellData(0)))
                .equals("meter was off"));
    desk.until(() -> desk.text("#answer").startsWith("No run is written down"));
  }

  @Test
  void aLiveRunIsMeteredAndKept() {
    desk.example();
    desk.view(Station.PROVE, "live");
    desk.press("#simulate-meter");
    desk.until(() -> desk.text("#meter-standing").startsWith("Connected"));
    desk.until(
        () -> Desk.fx(() -> desk.find("#live-facts", GridPane.class)).getChildren().size() > 6);
    desk.press("#end-live");
    desk.until(() -> desk.text("#meter-standing").startsWith("Kept with"));
    Matcher m = SAMPLES.matcher(desk.text("#meter-standing"));
    assertThat(m.find()).isTrue();
    assertThat(Integer.parseInt(m.group(1))).isPositive();
    desk.press("#see-runs");
    desk.until(() -> rows("#runs") == 1);
    assertThat(newest().result(RunResult.LOWEST_VOLTAGE)).isPresent();
  }

  /** A meter of its own that goes away and comes back: the same run goes on, whole. */
  @Test
  void aLiveRunGoesOnAfterTheMeterWasGone() throws Exception {
    desk.example();
    Forecast f = Forecast.of(Shipped.terraceBarrow().design());
    SimulatedMeter meter = new SimulatedMeter(f.duty(), 3);
    desk.view(Station.PROVE, "live");
    try (StandInServer first = serve(meter)) {
      desk.press("#connect-meter");
      desk.until(() -> desk.text("#meter-standing").startsWith("Connected"));
      assertThat(first.port()).isPositive();
    }
    desk.until(() -> desk.text("#meter-standing").contains("goes on where it was"));
    try (StandInServer second = serve(meter)) {
      assertThat(second.port()).isPositive();
      desk.press("#connect-meter");
      desk.until(() -> desk.text("#meter-standing").startsWith("Connected"));
      desk.press("#end-live");
      desk.until(() -> desk.text("#meter-standing").startsWith("Kept with"));
    }
    desk.view(Station.PROVE, "runs");
    desk.until(() -> rows("#runs") == 1);
  }

  /** One sample that cannot be, of 200: it is left out and counted, and the run is kept. */
  @Test
  void oneBadSampleOfAMeterCostsItselfAlone() throws Exception {
    List<String> lines;
    try (InputStream in =
        Objects.requireNonNull(
            ProvingTest.class.getResourceAsStream("/findings/meter-one-bad-sample.lines"))) {
      lines = new String(in.readAllBytes(), StandardCharsets.UTF_8).lines().toList();
    }
    desk.example();
    desk.view(Station.PROVE, "live");
    try (StandInServer server = serve(new Spoken(lines))) {
      assertThat(server.port()).isPositive();
      desk.press("#connect-meter");
      desk.until(() -> desk.text("#meter-standing").startsWith("Kept with 199 samples"));
    }
    desk.view(Station.PROVE, "runs");
    desk.until(() -> rows("#runs") == 1);
    assertThat(newest().result(RunResult.HOTTEST).orElseThrow()).isCloseTo(298.15, within(0.01));
  }

  /** A device that floods the window: it answers meanwhile, and every sample is kept. */
  @Test
  void aFloodOfLinesIsKeptAndTheWindowAnswers() throws Exception {
    List<String> lines = new ArrayList<>();
    int samples = 20_000;
    for (int k = 0; k < samples; k++) {
      lines.add(
          "{\"kind\":\"samples\",\"number\":%d,\"rows\":[%.3f,47.1,12,25]}".formatted(k, 0.01 * k));
    }
    lines.add("x".repeat(100_000));
    lines.add("{\"kind\":\"end\",\"number\":" + samples + "}");
    desk.example();
    desk.view(Station.PROVE, "live");
    long longest = 0;
    try (StandInServer server = serve(new Spoken(lines))) {
      assertThat(server.port()).isPositive();
      desk.press("#connect-meter");
      while (!desk.text("#meter-standing").startsWith("Kept with")) {
        long asked = System.nanoTime();
        Desk.fx(() -> true);
        longest = Math.max(longest, System.nanoTime() - asked);
      }
    }
    assertThat(desk.text("#meter-standing")).startsWith("Kept with " + samples + " samples");
    assertThat(longest / 1e9).as("longest wait for the window, s").isLessThan(2);
  }

  /** Says lines once, a thousand at a time. */
  private static final class Spoken implements StandIn {
    private final Deque<String> lines;

    Spoken(List<String> lines) {
      this.lines = new ArrayDeque<>(lines);
    }

    @Override
    public List<String> greeting() {
      return List.of("{\"kind\":\"hello\",\"name\":\"spoken\",\"rate_Hz\":1}");
    }

    @Override
    public void hear(String line) {
      // It does not mind what it is told.
    }

    @Override
    public List<String> advance(double seconds) {
      List<String> some = new ArrayList<>();
      while (some.size() < 1000 && !lines.isEmpty()) {
        some.add(lines.remove());
      }
      return some;
    }
  }

  private static StandInServer serve(StandIn meter) throws IOException {
    StandInServer server;
    try {
      server = new StandInServer(meter, 7719, 100);
    } catch (BindException e) {
      throw new TestAbortedException("a meter listens on this machine already", e);
    }
    Thread.ofVirtual()
        .start(
            () -> {
              try {
                server.serve();
              } catch (IOException e) {
                throw new UncheckedIOException(e);
              }
            });
    return server;
  }

  @Test
  void anIncidentIsNotedInOneLineAndItsSuspectsAreRanked() {
    season();
    desk.view(Station.PROVE, "incidents");
    desk.press("#note-incident");
    assertThat(desk.text("#prove-said")).contains("Incident");
    choose("#incident-kind", 3);
    desk.type("#incident-words", "plug too hot to touch after the third round");
    desk.press("#note-incident");
    desk.until(() -> rows("#incidents") == 1);
    List<String> said =
        Desk.fx(
            () ->
                desk.find("#suspects", VBox.class).lookupAll(".label").stream()
                    .map(n -> ((Label) n).getText())
                    .toList());
    assertThat(said).anyMatch(t -> t.contains("loose or dirty contact"));
    assertThat(said).anyMatch(t -> t.startsWith("To tell:"));
  }

  @Test
  void photosAreKeptByTheirNames() {
    season();
    desk.keyIn("run-photos-by-name", "pair, warm.jpg;  ramp.png; ramp.png");
    desk.until(() -> newest().photos().equals(List.of("pair, warm.jpg", "ramp.png")));
    assertThat(desk.find("#run-photos-by-name", TextField.class).getText())
        .isEqualTo("pair, warm.jpg; ramp.png");
  }

  /** The log is read off by keys alone; what is zoomed to is what is copied. */
  @Test
  void theLogIsPointedAtZoomedAndCopiedByKeys() {
    season();
    desk.until(() -> desk.text("#run-against").contains("root mean square"));
    Picture picture = desk.find("#run-picture", Picture.class);
    Desk.fx(
        () -> {
          picture.requestFocus();
          return null;
        });
    desk.until(() -> picture.figures().size() == 4);
    assertThat(pointed(picture)).isEmpty();
    desk.robot.push(KeyCode.SHIFT, KeyCode.RIGHT);
    desk.until(() -> pointed(picture).size() == 3);
    List<String> first = pointed(picture);
    assertThat(first.getFirst()).matches("1 h 5\\d min: [0-9.]+ V, forecast [0-9.]+ V");
    desk.robot.push(KeyCode.SHIFT, KeyCode.RIGHT);
    desk.until(() -> !pointed(picture).equals(first));
    double whole = span(picture);
    desk.robot.push(KeyCode.PLUS);
    desk.until(() -> span(picture) < 0.55 * whole);
    String[] lines =
        Desk.fx(
                () -> {
                  desk.robot.push(KeyCode.SHORTCUT, KeyCode.C);
                  return Clipboard.getSystemClipboard().getString();
                })
            .split("\n", -1);
    assertThat(lines[0]).startsWith("time_s,Voltage V,Current A");
    desk.robot.push(KeyCode.HOME);
    desk.until(() -> span(picture) == whole);
  }

  /** Before any run the rota is planned by the forecast, and so is the hand-over of two packs. */
  @Test
  void twoPacksAreHandedOverBeforeAnyRunIsWrittenDown() {
    desk.example();
    desk.joinSecond(SecondPack.Joining.SWITCH_OVER);
    desk.view(Station.PROVE, "rota");
    desk.until(() -> desk.text("#hand-over").contains("hand over when the first reads"));
    assertThat(desk.text("#rota-answer")).contains("batteries and 1 charger");
    String before = desk.text("#hand-over");
    Desk.fx(
        () -> {
          desk.session.editDesign(
              "fewer", Station.STACK, d -> d.withPack(d.pack().withCounts(13, 3)));
          return null;
        });
    desk.settle();
    desk.until(() -> !desk.text("#hand-over").equals(before));
  }

  /** What the crosshair reads, from the top. */
  private static List<String> pointed(Picture picture) {
    return Desk.fx(
        () ->
            Written.in(picture).stream()
                .map(w -> w.text().replace('\u00a0', ' '))
                .filter(t -> t.contains(": "))
                .toList());
  }

  private static double span(Picture picture) {
    double[] time = Desk.fx(() -> picture.figures().getFirst().values());
    return time[time.length - 1] - time[0];
  }
}
