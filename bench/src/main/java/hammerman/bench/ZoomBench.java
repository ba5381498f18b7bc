package hammerman.bench;

import hammerman.app.picture.Picture;
import hammerman.finding.Station;
import hammerman.store.LogImport;
import hammerman.store.NotKept;
import hammerman.store.ProjectStore;
import hammerman.table.TableFile;
import hammerman.table.UnreadableTable;
import hammerman.telemetry.Mapping;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Arrays;
import javafx.animation.AnimationTimer;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TableView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.jspecify.annotations.Nullable;

/**
 * Runs of a million samples in the real window: how long from going to the station, and from
 * choosing another run, until the picture of its log is drawn, and how many pictures a second are
 * drawn while it is zoomed.
 */
final class ZoomBench {
  private static final int ROWS = 1_000_000;
  private static final int FRAMES = 300;

  /** Halves of the whole that one goes in before going out again. */
  private static final int DEEP = 12;

  private ZoomBench() {}

  static void run() throws InterruptedException, IOException {
    Path folder = Scratch.folder("zoom");
    Path other = StoreBench.log(folder.resolve("other.csv"), ROWS - 1000);
    Path log = StoreBench.log(folder.resolve("log.csv"), ROWS);
    Window.measure((w, done) -> new Zooming(w, other, log, done).begin());
  }

  /** Takes the log in as the window does. */
  private static long taken(ProjectStore store, Path log) throws NotKept {
    try {
      TableFile table = TableFile.open(log);
      LogImport in = new LogImport(table, Mapping.guess(table));
      long run = store.runBook().begin(in.run("Run"), null, Instant.EPOCH);
      LogImport.Imported read =
          in.read(blocks -> store.runBook().append(run, blocks), share -> {}, () -> false)
              .orElseThrow();
      store.runBook().finish(run, read.samples());
      return run;
    } catch (UnreadableTable | IOException e) {
      throw new IllegalStateException(e);
    }
  }

  /** What happens pulse by pulse. */
  private static final class Zooming extends AnimationTimer {
    private final Window window;
    private final Path other;
    private final Path log;
    private final Runnable done;
    private final double[] millis = new double[FRAMES];
    private final double[] paints = new double[FRAMES];
    private long from = System.nanoTime();
    private double seen = Double.NaN;
    private int drawn = -2;
    private int presses;
    private boolean fitted;

    Zooming(Window window, Path other, Path log, Runnable done) {
      this.window = window;
      this.other = other;
      this.log = log;
      this.done = done;
    }

    void begin() {
      window
          .session()
          .keeper()
          .record(
              store -> {
                taken(store, other);
                from = System.nanoTime();
                taken(store, log);
                return since();
              },
              millis -> {
                System.out.printf("a million rows taken in: %.2f s%n", millis / 1000);
                from = System.nanoTime();
                window.frame().go(Station.PROVE, "runs");
                start();
              },
              trouble -> {
                System.out.println("not kept: " + trouble.why());
                done.run();
              });
    }

    private double since() {
      return (System.nanoTime() - from) / 1e6;
    }

    private @Nullable Picture picture() {
      Node found = window.scene().lookup("#run-picture");
      return found instanceof Picture p && !p.figures().isEmpty() ? p : null;
    }

    @Override
    public void handle(long now) {
      Picture p = picture();
      if (p == null) {
        return;
      }
      if (drawn == 0 && !fitted) {
        fitted =
            window.scene().lookup("#run-against") instanceof Label l
                && l.getText().contains("root mean square");
        if (!fitted) {
          return;
        }
        System.out.printf("until its forecast and its scales are there: %.1f s%n", since() / 1000);
        press(p);
        return;
      }
      double[] time = p.figures().getFirst().values();
      double span = time[time.length - 1] - time[0];
      if (span == seen) {
        return;
      }
      seen = span;
      if (drawn == -2) {
        System.out.printf("from going to Prove to the picture: %.0f ms%n", since());
      } else if (drawn == -1) {
        System.out.printf("from choosing another run to its picture: %.0f ms%n", since());
      } else {
        millis[drawn] = since();
        long painting = System.nanoTime();
        p.layout();
        paints[drawn] = (System.nanoTime() - painting) / 1e6;
      }
      from = System.nanoTime();
      if (++drawn == -1) {
        if (window.scene().lookup("#runs") instanceof TableView<?> runs) {
          runs.getSelectionModel().clearAndSelect(1);
        }
        return;
      }
      if (drawn == FRAMES) {
        stop();
        Arrays.sort(millis);
        Arrays.sort(paints);
        System.out.printf(
            "zoom: a new picture every %.1f ms, 95th percentile %.1f ms (%.0f pictures/s); painting"
                + " it %.1f ms, 95th percentile %.1f ms%n",
            millis[FRAMES / 2],
            millis[(int) (FRAMES * 0.95)],
            1000 * FRAMES / Arrays.stream(millis).sum(),
            paints[FRAMES / 2],
            paints[(int) (FRAMES * 0.95)]);
        done.run();
        return;
      }
      if (drawn > 0) {
        press(p);
      }
    }

    private void press(Picture p) {
      from = System.nanoTime();
      KeyCode key = presses++ / DEEP % 2 == 0 ? KeyCode.ADD : KeyCode.SUBTRACT;
      p.fireEvent(new KeyEvent(KeyEvent.KEY_PRESSED, "", "", key, false, false, false, false));
    }
  }
}
