package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.app.picture.Picture;
import hammerman.app.picture.Written;
import hammerman.app.theme.Theme;
import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.finding.Station;
import hammerman.forecast.EveryCell;
import hammerman.forecast.Forecast;
import hammerman.guard.Protection;
import hammerman.project.Shipped;
import hammerman.simulation.CellTrace;
import hammerman.simulation.Day;
import hammerman.simulation.Run;
import hammerman.simulation.Trace;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import javafx.stage.Stage;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What the pictures draw, at any size, in both themes, for every cell. */
class PicturesTest extends AtTheDesk {
  private final List<Throwable> uncaught = new CopyOnWriteArrayList<>();

  @Override
  void start(Stage stage) {
    Thread.currentThread().setUncaughtExceptionHandler((t, e) -> uncaught.add(e));
    super.start(stage);
  }

  @Override
  @AfterEach
  void end() throws TimeoutException {
    super.end();
    assertThat(uncaught).isEmpty();
  }

  @ParameterizedTest
  @EnumSource(Station.class)
  void picturesAreDrawnInBothThemes(Station station) {
    desk.example();
    desk.go(station);
    desk.quiet();
    Set<Integer> day = colours();
    Desk.fx(
        () -> {
          desk.frame.setTheme(Theme.NIGHT);
          return null;
        });
    desk.quiet();
    Set<Integer> night = colours();
    assertThat(day.size()).as("shades drawn").isGreaterThan(20);
    Set<Integer> both = new HashSet<>(day);
    both.retainAll(night);
    assertThat(both.size()).as("shades common to day and night").isLessThan(day.size() / 2);
  }

  @Test
  void designsAtTheirLimitsAreDrawn() {
    desk.example();
    Design d = Shipped.terraceBarrow().design();
    List<Design> odd =
        List.of(
            d.withCounts(1, 1),
            d.withCounts(250, 500),
            d.withGuard(d.guard().withProtection(new Protection.None())),
            d.withGuard(d.guard().withFuse(f -> f.withRating(5000))),
            d.withGuard(d.guard().withCharge(d.guard().charge().withVoltage(20))),
            d.withDuty(d.duty().withHardest(d.duty().hardest().withCurrent(5000))),
            d.withDuty(d.duty().withHabits(d.duty().habits().withCycles(0))));
    for (Design design : odd) {
      edit(design);
      for (Station station : Station.values()) {
        desk.go(station);
      }
    }
  }

  @Test
  void theFieldIsChosenWithTheMouse() {
    desk.example();
    desk.go(Station.STACK);
    desk.quiet();
    Region field = desk.find("#stack-field", Region.class);
    // The third column from the left in the fourth row from below.
    double x = Desk.fx(() -> field.localToScreen(40 + 2.5 * (field.getWidth() - 44) / 8, 0).getX());
    double y =
        Desk.fx(
            () ->
                field
                    .localToScreen(0, field.getHeight() - 34 - 3.5 * (field.getHeight() - 38) / 12)
                    .getY());
    desk.robot.moveTo(x, y);
    desk.settle();
    assertThat(desk.text("#field-reason")).startsWith("10S4P");
    desk.robot.clickOn(x, y);
    desk.settle();
    assertThat(desk.text("#counts")).isEqualTo("10S4P");
  }

  @Test
  void theCrosshairIsMovedByKeys() {
    desk.example();
    desk.go(Station.FORECAST);
    Region trace = desk.find("#run-trace", Region.class);
    Desk.fx(
        () -> {
          trace.requestFocus();
          return null;
        });
    desk.quiet();
    Set<Integer> before = new HashSet<>(row(trace));
    for (int k = 0; k < 20; k++) {
      desk.robot.push(KeyCode.RIGHT);
    }
    desk.quiet();
    assertThat(row(trace)).isNotEqualTo(before);
  }

  /**
   * Moves a picture's crosshair to the right and returns what is written then and was not before.
   */
  private List<String> pointed(String id, int steps) {
    Picture picture = desk.find(id, Picture.class);
    List<String> before = Desk.fx(() -> words(picture));
    Desk.fx(
        () -> {
          picture.requestFocus();
          return null;
        });
    for (int k = 0; k < steps; k++) {
      desk.robot.push(KeyCode.RIGHT);
    }
    desk.quiet();
    List<String> now = new ArrayList<>(Desk.fx(() -> words(picture)));
    now.removeAll(before);
    return now;
  }

  @Test
  void aLoadThatDoesNotStartHasWordsAndNoEmptyCharts() {
    desk.example();
    desk.go(Station.STACK);
    desk.type("#in-series", "8");
    desk.view(Station.FORECAST, "run");
    assertThat(written("#run-trace"))
        .containsExactly("There is no run to draw: at its start the machine cuts out at 41.0 V.");
    desk.view(Station.FORECAST, "air");
    desk.until(() -> !written("#air-sheet").isEmpty());
    assertThat(written("#air-sheet"))
        .containsExactly("From −20 °C to 45 °C of air, new or worn, it ends at once.");
  }

  private List<String> written(String picture) {
    return Desk.fx(() -> words(desk.find(picture, Picture.class)));
  }

  @Test
  void aNoteStandsClearOfALevel() {
    desk.example();
    desk.view(Station.GUARD, "ready");
    desk.quiet();
    Picture start = desk.find("#start-picture", Picture.class);
    Desk.fx(
        () -> {
          start.resize(500, 120);
          start.layout();
          return null;
        });
    Bounds limited = place(start, "limited");
    Bounds trip = place(start, "trips above 40 A");
    double level = trip.getCenterY() + 9;
    assertThat(limited.getMinY() > level || limited.getMaxY() < level)
        .as("%s at a level of %s", limited, level)
        .isTrue();
  }

  private static Bounds place(Picture picture, String text) {
    return Desk.fx(
        () ->
            Written.in(picture).stream()
                .filter(w -> w.text().replace('\u00a0', ' ').equals(text))
                .findFirst()
                .orElseThrow()
                .place());
  }

  private static List<String> words(Picture picture) {
    return Written.in(picture).stream().map(w -> w.text().replace('\u00a0', ' ')).toList();
  }

  @Test
  void theRunTraceNamesTheLowestGroupAndTheHottestCell() {
    desk.example();
    desk.go(Station.FORECAST);
    Picture trace = desk.find("#run-trace", Picture.class);
    desk.until(() -> words(trace).stream().anyMatch(w -> w.endsWith(" hottest")));
    Forecast f = Desk.fx(() -> desk.session.forecastProperty().get());
    Run hottest = EveryCell.of(f).orElseThrow().day(Day.Kind.HOTTEST).run();
    CellTrace cells = hottest.cells().orElseThrow();
    assertThat(Desk.fx(() -> words(trace)))
        .contains(
            "Voltage at the machine, V; group %d lowest"
                .formatted(cells.lowest().place().group() + 1),
            "Mean cell temperature, °C; %s hottest".formatted(cells.hottest().place().words()));
    int k = cells.at(0.2 * f.onward().endTime());
    double low = Arrays.stream(cells.voltage().get(k)).min().orElseThrow();
    double hot = Arrays.stream(cells.kelvin().get(k)).max().orElseThrow();
    assertThat(pointed("#run-trace", 20))
        .contains(
            ("lowest " + Figures.of(low, Unit.VOLT, 2)).replace('\u00a0', ' '),
            ("hottest " + Figures.of(hot, Unit.CELSIUS, 1)).replace('\u00a0', ' '));
    pointed("#run-trace", 78);
    assertThat(Desk.fx(() -> words(trace)))
        .as("beyond the duty they were not run")
        .noneMatch(w -> w.startsWith("hottest "));
  }

  /** The run of two packs is both's; its temperature is the warmer one's, its cells the first's. */
  @Test
  void theRunTraceOfTwoPacksSaysWhoseItsFiguresAre() {
    desk.example();
    desk.joinSecond(SecondPack.Joining.PARALLEL);
    desk.go(Station.FORECAST);
    Picture trace = desk.find("#run-trace", Picture.class);
    desk.until(() -> words(trace).stream().anyMatch(w -> w.endsWith(" of the first pack lowest")));
    assertThat(Desk.fx(() -> words(trace)))
        .anySatisfy(
            w ->
                assertThat(w)
                    .startsWith("Mean cell temperature of the warmer pack, °C; cell ")
                    .endsWith(" of the first pack hottest"));
  }

  /** Each day has its strip: how it ends, lowest and hottest, and all of it at the crosshair. */
  @Test
  void theFourDaysAreDrawnBelowEachOther() {
    desk.example();
    desk.view(Station.FORECAST, "days");
    desk.quiet();
    List<Day> days =
        EveryCell.of(Desk.fx(() -> desk.session.forecastProperty().get())).orElseThrow().days();
    Picture sheet = desk.find("#days-sheet", Picture.class);
    desk.until(
        () -> words(sheet).stream().anyMatch(w -> w.endsWith(plain(days.getLast().outcome()))));
    List<String> said = Desk.fx(() -> words(sheet));
    for (Day day : days) {
      assertThat(said)
          .anySatisfy(
              w ->
                  assertThat(w)
                      .startsWith(day.kind().label() + ", ")
                      .endsWith("V; " + plain(day.outcome())));
      assertThat(said)
          .contains(
              plain("lowest " + Figures.of(day.run().extremes().lowestVoltage(), Unit.VOLT, 1)),
              plain(
                  "hottest "
                      + Figures.of(day.run().extremes().peakTemperature(), Unit.CELSIUS, 0)));
    }
    assertThat(said).as("the last day ends too soon").contains("cuts out");
    Trace last = days.getLast().run().trace();
    assertThat(Desk.fx(sheet::figures)).hasSize(12);
    assertThat(Desk.fx(sheet::figures).get(10).values()).hasSize(last.size());
    List<String> pointed = pointed("#days-sheet", 40);
    double time = 0.4 * Desk.fx(() -> desk.session.forecastProperty().get()).duty().endTime();
    int k = last.indexAt(time);
    assertThat(pointed)
        .contains(plain(Figures.of(last.at(Trace.Channel.VOLTAGE, k), Unit.VOLT, 1)));
    pointed("#days-sheet", 55);
    assertThat(Desk.fx(() -> words(sheet)))
        .as("the last day is over by then")
        .filteredOn(w -> w.matches("[0-9.]+ V"))
        .hasSize(3);
  }

  private static String plain(String words) {
    return words.replace('\u00a0', ' ');
  }

  @Test
  void theSagFanAndTheLifeSheetAreReadAtTheCrosshair() {
    desk.example();
    desk.go(Station.FORECAST);
    desk.quiet();
    Chain chain = Desk.fx(() -> desk.session.forecastProperty().get().chain());
    double current = 1.15 * chain.demand().peak() * 0.4;
    double cold = chain.design().duty().surroundings().coldestInUse();
    List<String> wanted = new ArrayList<>(List.of(Figures.of(current, Unit.AMPERE, 1)));
    for (double soc : Chain.SAG_POINTS) {
      double left =
          chain.path().voltage(current, soc, cold, hammerman.chain.Path.Settling.TEN_SECONDS);
      wanted.add(Figures.of(soc, Unit.PERCENT, 0) + ": " + Figures.of(left, Unit.VOLT, 1));
    }
    wanted.replaceAll(w -> w.replace('\u00a0', ' '));
    assertThat(pointed("#sag-fan", 40)).containsExactlyElementsOf(wanted);
    List<String> life = pointed("#life-sheet", 30);
    assertThat(life).hasSize(4);
    assertThat(life.get(0)).startsWith("year ");
    double left = Double.parseDouble(life.get(1).replace(" % left", ""));
    String[] band = life.get(2).replace(" %", "").split(" to ", -1);
    assertThat(left).isBetween(Double.parseDouble(band[0]), Double.parseDouble(band[1]));
    assertThat(Double.parseDouble(life.get(3).replaceAll("[^0-9.]", ""))).isGreaterThan(left);
    for (String id : List.of("#sag-fan", "#life-sheet")) {
      Picture picture = desk.find(id, Picture.class);
      assertThat(Desk.fx(picture::figures)).hasSize(5);
    }
  }

  @Test
  void walkingThroughTheExampleWritesAPictureOfEachView(@TempDir Path folder) throws Exception {
    Process process =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Dglass.platform=Headless",
                "-Dprism.order=sw",
                "--enable-native-access=ALL-UNNAMED",
                "-cp",
                System.getProperty("java.class.path"),
                "hammerman.app.Launcher",
                "--walk",
                folder.toString(),
                "--only=1-")
            .redirectErrorStream(true)
            .start();
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
    assertThat(process.exitValue()).isZero();
    assertThat(said).contains(folder.toString());
    String[] pictures = folder.toFile().list();
    assertThat(pictures).hasSizeGreaterThanOrEqualTo(3).allMatch(n -> n.endsWith(".png"));
    var duty = ImageIO.read(folder.resolve("1-duty.png").toFile());
    assertThat(duty.getWidth()).isEqualTo(1280);
    assertThat(duty.getHeight()).isEqualTo(800);
  }

  private void edit(Design design) {
    Desk.fx(
        () -> {
          desk.session.editDesign("test", Station.STACK, d -> design);
          return null;
        });
    desk.settle();
  }

  /** The shades in the picture on screen. */
  private Set<Integer> colours() {
    Node picture = desk.find(".sheet-of-paper", Node.class);
    WritableImage image = Desk.fx(() -> picture.snapshot(null, null));
    Set<Integer> found = new HashSet<>();
    for (int y = 0; y < image.getHeight(); y += 2) {
      for (int x = 0; x < image.getWidth(); x += 2) {
        found.add(image.getPixelReader().getArgb(x, y));
      }
    }
    return found;
  }

  /** Columns of one row of the trace in which ink is drawn. */
  private static Set<Integer> row(Region trace) {
    WritableImage image = Desk.fx(() -> trace.snapshot(null, null));
    Set<Integer> dark = new HashSet<>();
    int y = (int) image.getHeight() / 2;
    for (int x = 0; x < image.getWidth(); x++) {
      if (image.getPixelReader().getColor(x, y).getBrightness() < 0.5) {
        dark.add(x);
      }
    }
    return dark;
  }
}
