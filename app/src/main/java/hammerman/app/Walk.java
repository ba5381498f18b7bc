package hammerman.app;

import hammerman.app.job.Latest;
import hammerman.app.session.Session;
import hammerman.app.session.Workshop;
import hammerman.app.shell.Frame;
import hammerman.app.station.StationView;
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
import hammerman.project.Shipped;
import hammerman.sort.CellSheet;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.Button;
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
  private static final Duration LOOK = Duration.millis(80);

  /** How often at most; a search with no end must not hold the walk. */
  private static final int LOOKS = 400;

  /** How often in a row nothing may be busy: a page is laid out at the pulse after its change. */
  private static final int QUIET_LOOKS = 4;

  private final Frame frame;
  private final Workshop workshop;
  private final Session session;
  private final Scene scene;
  private final @Nullable Path folder;
  private final Theme ground;
  private final String only;
  private final Deque<Stop> stops = new ArrayDeque<>();
  private boolean preparing;

  /** A view to go to, and the name of its picture. */
  private record Stop(String name, Runnable go) {}

  /**
   * @param folder where pictures go; none are written if absent
   * @param ground theme of all pictures but those that show the night one
   * @param only beginning of the names of the pictures that are wanted; empty for all
   */
  Walk(
      Frame frame,
      Workshop workshop,
      Scene scene,
      @Nullable Path folder,
      Theme ground,
      String only) {
    this.frame = frame;
    this.workshop = workshop;
    session = workshop.session();
    this.scene = scene;
    this.folder = folder;
    this.ground = ground;
    this.only = only;
  }

  void start() {
    add("0-start", () -> frame.setTheme(ground));
    int number = 1;
    for (StationView station : frame.stations()) {
      Station which = station.page().station();
      String name = number++ + "-" + which.name().toLowerCase(Locale.ROOT);
      List<String> views = station.page().views();
      add(name, () -> example(which));
      for (String view : views.subList(Math.min(1, views.size()), views.size())) {
        add(name + "-" + view, () -> frame.go(which, view));
      }
      prepare(which, name);
    }
    add("7-working", () -> frame.showWorking(f -> Optional.of(Workings.of(Headline.SAG, f))));
    add("8-night-forecast", this::night);
    add("8-night-guard", () -> frame.go(Station.GUARD, "chain"));
    stops.removeIf(s -> !s.name().startsWith(only));
    // The stop that would have loaded it may not be among those wanted.
    session.loadExample();
    next();
  }

  /** Views that show more when something was done first. */
  private void prepare(Station station, String name) {
    switch (station) {
      case DUTY -> {}
      case CELL -> instead(name + "-beside", this::beside);
      case STACK -> {
        instead(name, this::field);
        instead(name + "-variants", this::variants);
      }
      case GUARD -> instead(name + "-two", this::two);
      case FIT -> {
        instead(name + "-strips", () -> fit("strips", "both"));
        instead(name + "-heat", () -> fit("heat", "upper"));
      }
      case FORECAST -> {}
      case SORT -> instead(name, this::cells);
      case BUILD -> instead(name, this::build);
      case PROVE -> {
        instead(name, this::season);
        instead(name + "-live", this::live);
      }
    }
  }

  /** The box in the middle of its build. */
  private void build() {
    session.loadExample(Shipped.Example.DARK_SKY_BOX);
    frame.go(Station.BUILD, "steps");
    press("#example-build");
  }

  /** The barrow after a season. */
  private void season() {
    session.loadExample();
    frame.go(Station.PROVE, "runs");
    press("#example-season");
  }

  private void live() {
    frame.go(Station.PROVE, "live");
    press("#simulate-meter");
  }

  private void press(String id) {
    if (scene.lookup(id) instanceof Button button) {
      button.fire();
    }
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

  /** The hundred reclaimed cells of the speaker. */
  private void cells() {
    preparing = true;
    session.loadExample(Shipped.Example.PAVEMENT_SPEAKER);
    List<CellSheet.Row> cells = Shipped.measuredCells().stream().map(CellSheet.Row::of).toList();
    Instant now = workshop.keeper().clock().instant();
    workshop
        .keeper()
        .record(
            store -> store.inventory().take(cells, false, "cell tester", now),
            added -> {
              frame.go(Station.SORT);
              preparing = false;
            },
            trouble -> preparing = false);
  }

  private void night() {
    frame.showJudgements();
    frame.setTheme(Theme.NIGHT);
    frame.go(Station.FORECAST, "cells");
  }

  private void add(String name, Runnable go) {
    stops.add(new Stop(name, go));
  }

  private void instead(String name, Runnable go) {
    List<Stop> all = List.copyOf(stops);
    stops.clear();
    all.forEach(s -> stops.add(s.name().equals(name) ? new Stop(name, go) : s));
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
          if ((preparing || Latest.anyBusy()) && looks > 0) {
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
