package hammerman.bench;

import hammerman.app.job.Latest;
import hammerman.finding.Station;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Timer;
import java.util.TimerTask;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import javafx.util.Duration;

/**
 * How soon the real window answers while a first charge is watched of a pack that floods it: how
 * long a task waits for the interface thread, and how far apart two pictures are.
 */
final class FloodBench {
  private static final int LINES_PER_S = 5000;
  private static final int PORT = 7718;
  private static final int GROUPS = 13;
  private static final long ASK_EVERY_MS = 20;
  private static final Duration MEASURED = Duration.seconds(20);

  private FloodBench() {}

  static void run() throws InterruptedException, IOException {
    try (Flood flood = new Flood(PORT, GROUPS, LINES_PER_S)) {
      Window.measure(
          (w, done) -> {
            w.frame().go(Station.BUILD, "charge");
            Window.until(
                Duration.millis(200),
                () -> !Latest.anyBusy() && !w.session().busyProperty().get(),
                () -> {
                  if (w.scene().lookup("#charge-connect") instanceof Button b) {
                    b.fire();
                  }
                  Window.until(
                      Duration.millis(200),
                      () -> says(w).startsWith("After"),
                      () -> measure(w, flood, done));
                });
          });
    }
  }

  private static String says(Window w) {
    return text(w, "#charge-facts");
  }

  private static String text(Window w, String id) {
    return w.scene().lookup(id) instanceof Labeled l ? l.getText() : "";
  }

  private static void measure(Window w, Flood flood, Runnable done) {
    List<Double> answers = new ArrayList<>();
    List<Double> pictures = new ArrayList<>();
    AnimationTimer pulse =
        new AnimationTimer() {
          private long before;

          @Override
          public void handle(long now) {
            if (before != 0) {
              pictures.add((now - before) / 1e6);
            }
            before = now;
          }
        };
    Timer asking = new Timer("asking", true);
    asking.scheduleAtFixedRate(
        new TimerTask() {
          @Override
          public void run() {
            long asked = System.nanoTime();
            Platform.runLater(() -> answers.add((System.nanoTime() - asked) / 1e6));
          }
        },
        0,
        ASK_EVERY_MS);
    pulse.start();
    long from = flood.said();
    Window.after(
        MEASURED,
        () -> {
          pulse.stop();
          asking.cancel();
          System.out.printf(
              "%.0f lines/s taken while a charge is watched; it says: %s %s%n",
              (flood.said() - from) / MEASURED.toSeconds(), says(w), text(w, "#charge-call"));
          say("an answer of the window", answers);
          say("from picture to picture", pictures);
          done.run();
        });
  }

  private static void say(String what, List<Double> millis) {
    double[] sorted = millis.stream().mapToDouble(Double::doubleValue).sorted().toArray();
    if (sorted.length == 0) {
      System.out.println(what + ": none");
      return;
    }
    System.out.printf(
        "%s: %.1f ms in the median, 99th percentile %.1f ms, at most %.1f ms (%d)%n",
        what,
        sorted[sorted.length / 2],
        sorted[(int) (sorted.length * 0.99)],
        sorted[sorted.length - 1],
        sorted.length);
  }
}
