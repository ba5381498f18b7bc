package hammerman.bench;

import hammerman.chain.Layout;
import hammerman.finding.Station;
import hammerman.fit.Container;
import hammerman.fit.FitPlan;
import hammerman.fit.Outline;
import hammerman.fit.Packing;
import hammerman.fit.Point;
import hammerman.forecast.Forecast;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.SnapshotParameters;
import javafx.scene.image.WritableImage;
import javafx.scene.input.ScrollEvent;
import javafx.util.Duration;

/** The fit sheet of 400 cells enlarged and made smaller by the wheel, each time painted anew. */
final class SheetBench {
  private static final int WARM_UP = 60;
  private static final int FRAMES = 200;

  private SheetBench() {}

  static void run() throws InterruptedException, IOException {
    Window.measure(SheetBench::open);
  }

  private static void open(Window w, Runnable done) {
    FitPlan plan =
        FitPlan.of(
            new Container(Outline.rectangle(0.52, 0.42), 0.08, List.of(), new Point(0, 0), 1e-3),
            new Packing(Packing.Pattern.HEXAGONAL, 5e-4));
    w.session().editDesign("bench", Station.FIT, d -> d.withCounts(20, 20).withFit(plan));
    w.frame().go(Station.FIT);
    // An empty sheet would be fast.
    Window.until(
        Duration.seconds(2),
        () -> isLaidOut(w),
        () -> {
          measure(w.scene());
          done.run();
        });
  }

  private static boolean isLaidOut(Window w) {
    Forecast f = w.session().forecastProperty().get();
    return !w.session().busyProperty().get()
        && f.design().pack().cells() == 400
        && f.layout().flatMap(Layout::solved).isPresent();
  }

  private static void measure(Scene scene) {
    Node sheet = scene.lookup("#fit-sheet");
    WritableImage image =
        new WritableImage(
            (int) sheet.getLayoutBounds().getWidth(), (int) sheet.getLayoutBounds().getHeight());
    double[] millis = new double[FRAMES];
    for (int k = -WARM_UP; k < FRAMES; k++) {
      long from = System.nanoTime();
      Event.fireEvent(sheet, turn((k + WARM_UP) / 6 % 2 == 0 ? 40 : -40));
      scene.getRoot().layout();
      sheet.snapshot(new SnapshotParameters(), image);
      if (k >= 0) {
        millis[k] = (System.nanoTime() - from) / 1e6;
      }
    }
    Arrays.sort(millis);
    System.out.printf(
        "fit sheet of 400 cells   median %5.1f ms   95th percentile %5.1f ms   %.0f frames/s%n",
        millis[FRAMES / 2], millis[(int) (FRAMES * 0.95)], 1000 / millis[(int) (FRAMES * 0.95)]);
  }

  private static ScrollEvent turn(double by) {
    return new ScrollEvent(
        ScrollEvent.SCROLL,
        300,
        200,
        300,
        200,
        false,
        false,
        false,
        false,
        false,
        false,
        0,
        by,
        0,
        by,
        ScrollEvent.HorizontalTextScrollUnits.NONE,
        0,
        ScrollEvent.VerticalTextScrollUnits.NONE,
        0,
        0,
        null);
  }
}
