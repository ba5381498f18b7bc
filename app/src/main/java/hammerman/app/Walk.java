package hammerman.app;

import hammerman.app.job.Latest;
import hammerman.app.session.Session;
import hammerman.app.session.Workshop;
import hammerman.app.shell.Frame;
import hammerman.app.theme.Theme;
import hammerman.cell.Health;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.finding.Station;
import hammerman.forecast.Headline;
import hammerman.forecast.Workings;
import hammerman.guard.Guard;
import hammerman.guard.Leads;
import hammerman.pack.Lot;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.ToggleButton;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.util.Duration;
import javax.imageio.ImageIO;
import org.jspecify.annotations.Nullable;

/** Goes through the stations on the worked example and writes a picture of each main view. */
final class Walk {
  /** How often it is asked whether all background figures have arrived. */
  private static final Duration LOOK = Duration.millis(150);

  /** How often at most; a search with no end must not hold the walk. */
  private static final int LOOKS = 200;

  /** How often in a row nothing may be busy: a page is laid out at the pulse after its change. */
  private static final int QUIET_LOOKS = 3;

  private final Frame frame;
  private final Workshop workshop;
  private final Session session;
  private final Scene scene;
  private final @Nullable Path folder;
  private final Theme ground;
  private final Deque<Stop> stops = new ArrayDeque<>();

  /** A view to go to, and the name of its picture. */
  private record Stop(String name, Runnable go) {}

  /**
   * @param folder where pictures go; none are written if absent
   * @param ground theme of all pictures but those that show the night one
   */
  Walk(Frame frame, Workshop workshop, Scene scene, @Nullable Path folder, Theme ground) {
    this.frame = frame;
    this.workshop = workshop;
    session = workshop.session();
    this.scene = scene;
    this.folder = folder;
    this.ground = ground;
  }

  void start() {
    add("0-start", () -> frame.setTheme(ground));
    add("1-duty", () -> example(Station.DUTY));
    add("1-duty-task", () -> frame.go(Station.DUTY, "task"));
    add("1-duty-lead", () -> frame.go(Station.DUTY, "lead"));
    add("2-cell", () -> frame.go(Station.CELL));
    add("2-cell-beside", this::beside);
    add("2-cell-own", () -> frame.go(Station.CELL, "own"));
    add("3-stack", this::field);
    add("3-search", () -> frame.go(Station.STACK, "search"));
    add("3-schools", () -> frame.go(Station.STACK, "schools"));
    add("3-variants", this::variants);
    add("4-guard", () -> example(Station.GUARD));
    for (String view : List.of("parts", "time", "charging", "wiring")) {
      add("4-guard-" + view, () -> frame.go(Station.GUARD, view));
    }
    add("4-guard-two", this::two);
    add("4-guard-ready", () -> frame.go(Station.GUARD, "ready"));
    add("5-fit", () -> example(Station.FIT));
    add("5-fit-box", () -> frame.go(Station.FIT, "box"));
    add("5-fit-strips", () -> fit("strips", "both"));
    add("5-fit-heat", () -> fit("heat", "upper"));
    add("5-fit-cut", () -> frame.go(Station.FIT, "cut"));
    add("5-forecast", () -> example(Station.FORECAST));
    add("6-working", () -> frame.showWorking(f -> Workings.of(Headline.SAG, f)));
    add("7-night-forecast", this::night);
    add("8-night-guard", () -> frame.go(Station.GUARD, "chain"));
    next();
  }

  private void example(Station station) {
    session.loadExample();
    frame.showJudgements();
    frame.go(station);
  }

  private void fit(String view, String face) {
    frame.go(Station.FIT, view);
    if (scene.lookup("#face-" + face) instanceof ToggleButton button) {
      button.fire();
    }
  }

  private void beside() {
    frame.go(Station.CELL, "library");
    for (String id : List.of("p21700", "e18650", "f32700")) {
      if (scene.lookup("#compare-" + id) instanceof CheckBox tick) {
        tick.fire();
      }
    }
    frame.go(Station.CELL, "beside");
  }

  private void field() {
    frame.go(Station.STACK, "field");
    if (scene.lookup("#contours") instanceof ChoiceBox<?> contours) {
      contours.getSelectionModel().select(1);
    }
  }

  private void variants() {
    session.edit("Copy", Station.STACK, p -> p.plusVariant("Eight in parallel"));
    session.editDesign("Eight in parallel", Station.STACK, d -> d.withCounts(13, 8));
    session.edit("Copy", Station.STACK, p -> p.withActive(0).plusVariant("Charged to 90 %"));
    session.editDesign(
        "Charge lower",
        Station.STACK,
        d -> d.withGuard(d.guard().withCharge(d.guard().charge().withVoltage(53.3))));
    frame.go(Station.STACK, "variants");
  }

  private void two() {
    var pack = session.project().variant().pack();
    var worn = pack.cell().withHealth(new Health(0.85, 1.4));
    Guard guard = session.project().variant().guard();
    Guard own =
        guard
            .withWiring(guard.wiring().withLeads(new Leads(0.1, 0.3, 0, 0, 0.2)))
            .withMainSwitch(null)
            .withPrecharge(null);
    SecondPack second =
        new SecondPack(
            pack.withCell(worn).withCounts(13, 4).withLot(Lot.MIXED),
            own,
            Joining.PARALLEL,
            0.97,
            1);
    session.editDesign("Second pack", Station.GUARD, d -> d.withSecond(second));
    frame.go(Station.GUARD, "two");
  }

  private void night() {
    frame.showJudgements();
    frame.setTheme(Theme.NIGHT);
    frame.go(Station.FORECAST);
  }

  private void add(String name, Runnable go) {
    stops.add(new Stop(name, go));
  }

  private void next() {
    Stop stop = stops.poll();
    if (stop == null) {
      if (folder != null) {
        System.out.println("pictures are in " + folder.toAbsolutePath());
      }
      workshop.close();
      Platform.exit();
      return;
    }
    stop.go().run();
    whenDone(
        LOOKS,
        QUIET_LOOKS,
        () -> {
          if (folder != null) {
            write(folder.resolve(stop.name() + ".png"));
          }
          next();
        });
  }

  private void whenDone(int looks, int quiet, Runnable go) {
    PauseTransition wait = new PauseTransition(LOOK);
    wait.setOnFinished(
        e -> {
          if (Latest.anyBusy() && looks > 0) {
            whenDone(looks - 1, QUIET_LOOKS, go);
          } else if (quiet > 1) {
            whenDone(looks, quiet - 1, go);
          } else {
            go.run();
          }
        });
    wait.play();
  }

  private void write(Path file) {
    WritableImage image = scene.snapshot(null);
    int w = (int) image.getWidth();
    int h = (int) image.getHeight();
    int[] pixels = new int[w * h];
    image.getPixelReader().getPixels(0, 0, w, h, PixelFormat.getIntArgbInstance(), pixels, 0, w);
    BufferedImage out = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
    out.setRGB(0, 0, w, h, pixels, 0, w);
    try {
      Files.createDirectories(file.toAbsolutePath().getParent());
      ImageIO.write(out, "png", file.toFile());
    } catch (IOException e) {
      throw new UncheckedIOException("picture " + file, e);
    }
  }
}
