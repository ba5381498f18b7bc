package hammerman.bench;

import hammerman.app.session.Session;
import hammerman.app.shell.Frame;
import hammerman.finding.Station;
import java.io.IOException;
import java.util.Arrays;
import javafx.scene.Scene;
import javafx.scene.layout.Region;
import javafx.util.Duration;

/**
 * From an edit to everything drawn again, in the real window on the worked example: the edit is
 * made on the interface thread, and the clock stops when the frame that shows the new forecast has
 * been laid out, the wait for that frame in it.
 */
final class EditBench {
  private static final int WARM_UP = 60;
  private static final int EDITS = 200;

  private EditBench() {}

  static void run() throws InterruptedException, IOException {
    Window.measure((w, done) -> new Series(w.session(), w.frame(), w.scene(), done).begin());
  }

  /** Edits station by station, one after the other. */
  private static final class Series {
    private final Session session;
    private final Scene scene;
    private final Frame frame;
    private final Runnable done;
    private final double[] millis = new double[EDITS];
    private int station;
    private int edit;
    private long started;
    private boolean running;

    /** Whether the next frame is the first with the new forecast. */
    private boolean awaited;

    Series(Session session, Frame frame, Scene scene, Runnable done) {
      this.session = session;
      this.frame = frame;
      this.scene = scene;
      this.done = done;
    }

    void begin() {
      session
          .busyProperty()
          .addListener(
              (o, was, is) -> {
                awaited |= !is && running;
              });
      running = true;
      scene.addPostLayoutPulseListener(
          () -> {
            if (awaited) {
              awaited = false;
              arrived();
            }
          });
      next();
    }

    private void next() {
      if (edit == 0) {
        frame.go(Station.values()[station]);
      }
      int parallel = 6 + edit % 3 + 1;
      started = System.nanoTime();
      session.editDesign("bench", Station.STACK, d -> d.withCounts(13, parallel));
    }

    private void arrived() {
      int counted = edit - WARM_UP;
      if (counted >= 0) {
        millis[counted] = (System.nanoTime() - started) / 1e6;
      }
      edit++;
      if (counted + 1 == EDITS) {
        report();
        if (scene.lookup("#stack-field") instanceof Region field) {
          redraw(field);
        }
        edit = 0;
        station++;
      }
      if (station < Station.values().length) {
        Window.after(Duration.millis(40), this::next);
      } else {
        done.run();
      }
    }

    /** Paints the stack field anew, with nothing else changed. */
    private void redraw(Region field) {
      for (int k = 0; k < EDITS; k++) {
        long from = System.nanoTime();
        field.requestLayout();
        scene.getRoot().layout();
        millis[k] = (System.nanoTime() - from) / 1e6;
      }
      Arrays.sort(millis);
      System.out.printf(
          "stack field redrawn      median %5.1f ms   95th percentile %5.1f ms%n",
          millis[EDITS / 2], millis[(int) (EDITS * 0.95)]);
    }

    private void report() {
      Arrays.sort(millis);
      System.out.printf(
          "edit to refreshed, %-8s  median %5.1f ms   95th percentile %5.1f ms   most %5.1f ms%n",
          Station.values()[station].label(),
          millis[EDITS / 2],
          millis[(int) (EDITS * 0.95)],
          millis[EDITS - 1]);
    }
  }
}
