package hammerman.bench;

import hammerman.app.session.Session;
import hammerman.app.shell.Frame;
import hammerman.finding.Station;
import hammerman.sort.CellSheet;
import hammerman.sort.Matching;
import hammerman.sort.MeasuredCell;
import hammerman.sort.TooFewCells;
import java.io.IOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import javafx.animation.AnimationTimer;
import javafx.scene.Scene;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.util.Duration;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.Solution;
import org.chocosolver.solver.search.strategy.Search;
import org.chocosolver.solver.variables.IntVar;
import org.jspecify.annotations.Nullable;

/**
 * Matching against a constraint solver that is given a minute, and a table of five thousand cells
 * filtered, sorted and scrolled in the real window.
 */
final class SortBench {
  private static final int CELLS = 5000;
  private static final int STEPS = 100;

  /** Steps while code that was never run is still being compiled. */
  private static final int COLD = 20;

  private SortBench() {}

  static void run() throws TooFewCells {
    matching(60, 20, 3);
    matching(140, 20, 7);
    matching(600, 20, 30);
    ours(2000, 20, 100);
  }

  /** The table by itself. */
  static void table() throws InterruptedException, IOException {
    Window.measure((w, done) -> new Table(w.session(), w.frame(), w.scene(), done).begin());
  }

  /** Cells of whole milliampere hours that spread 5 %. */
  private static List<MeasuredCell> cells(int n) {
    Random random = new Random(n);
    List<MeasuredCell> all = new ArrayList<>();
    for (int k = 0; k < n; k++) {
      double mAh = Math.rint(2600 * (1 + 0.05 * random.nextGaussian()));
      all.add(MeasuredCell.of("c" + k, mAh / 1000, 0.03 + 0.003 * random.nextGaussian()));
    }
    return all;
  }

  private static Matching ours(int n, int series, int parallel) throws TooFewCells {
    List<MeasuredCell> cells = cells(n);
    long from = System.nanoTime();
    Matching m = Matching.of(cells, series, parallel);
    System.out.printf(
        "%4d cells in %dS%dP        %5.1f mAh apart, bound %4.1f, in %5.2f s%n",
        n,
        series,
        parallel,
        1000 * m.spread(),
        1000 * m.lowerBound(),
        (System.nanoTime() - from) / 1e9);
    return m;
  }

  private static void matching(int n, int series, int parallel) throws TooFewCells {
    ours(n, series, parallel);
    int[] mAh = cells(n).stream().mapToInt(c -> (int) Math.rint(1000 * c.capacity())).toArray();
    Model model = new Model("groups");
    IntVar[] group = model.intVarArray("group", n, 0, series - 1);
    int sum = Arrays.stream(mAh).sum();
    IntVar[] loads =
        model.intVarArray("load", series, sum / series - 400, sum / series + 400, true);
    model.binPacking(group, mAh, loads, 0).post();
    int[] values = new int[series];
    IntVar[] counts = new IntVar[series];
    for (int g = 0; g < series; g++) {
      values[g] = g;
      counts[g] = model.intVar(parallel);
    }
    model.globalCardinality(group, values, counts, true).post();
    IntVar most = model.intVar("most", sum / series, sum / series + 400);
    IntVar least = model.intVar("least", sum / series - 400, sum / series + 1);
    model.max(most, loads).post();
    model.min(least, loads).post();
    IntVar spread = most.sub(least).intVar();
    model.getSolver().setSearch(Search.domOverWDegSearch(group));
    model.getSolver().limitTime("60s");
    Solution best = model.getSolver().findOptimalSolution(spread, Model.MINIMIZE);
    System.out.printf(
        "     a constraint solver    %s, in %5.2f s%n",
        best == null ? "nothing found" : best.getIntVal(spread) + " mAh apart",
        (double) model.getSolver().getTimeCount());
  }

  /** The table of the station's cells, step by step. */
  private static final class Table {
    private final Session session;
    private final Frame frame;
    private final Scene scene;
    private final Runnable done;
    private final double[] millis = new double[STEPS];

    Table(Session session, Frame frame, Scene scene, Runnable done) {
      this.session = session;
      this.frame = frame;
      this.scene = scene;
      this.done = done;
    }

    void begin() {
      Instant now = Instant.parse("2026-01-01T00:00:00Z");
      List<CellSheet.Row> cells = cells(CELLS).stream().map(CellSheet.Row::of).toList();
      session
          .keeper()
          .record(
              store -> store.inventory().take(cells, false, "bench", now),
              added -> {
                frame.go(Station.SORT, "cells");
                Window.until(Duration.millis(100), this::isFilled, this::shown);
              },
              trouble -> {
                System.out.println("not kept: " + trouble.why());
                done.run();
              });
    }

    private @Nullable TableView<?> table() {
      return scene.lookup("#cells") instanceof TableView<?> t ? t : null;
    }

    private boolean isFilled() {
      TableView<?> t = table();
      return t != null && t.getItems().size() >= CELLS;
    }

    /** Nobody types in the instant in which the rows appear. */
    private void shown() {
      Window.after(Duration.seconds(1), () -> steps(Objects.requireNonNull(table())));
    }

    private void steps(TableView<?> t) {
      TextField filter = (TextField) scene.lookup("#cells-filter");
      step(
          "filtered",
          k -> filter.setText(k % 2 == 0 ? "accept " + k : "c1"),
          () -> {
            filter.setText("");
            step(
                "sorted",
                k -> sort(t, k),
                () -> step("scrolled", k -> t.scrollTo((k * 83) % CELLS), done));
          });
    }

    private static void sort(TableView<?> t, int k) {
      t.getSortOrder().clear();
      t.getColumns()
          .get(2 + k % 3)
          .setSortType(
              k % 2 == 0 ? TableColumn.SortType.ASCENDING : TableColumn.SortType.DESCENDING);
      addTo(t, 2 + k % 3);
    }

    private static <T> void addTo(TableView<T> t, int column) {
      t.getSortOrder().add(t.getColumns().get(column));
    }

    private interface Step {
      void of(int k);
    }

    /** One step a pulse, from what is done to the end of the layout that it asks for. */
    private void step(String name, Step step, Runnable then) {
      AnimationTimer timer =
          new AnimationTimer() {
            private int k;
            private long from;
            private final Runnable laidOut = this::laidOut;

            @Override
            public void handle(long now) {
              from = System.nanoTime();
              step.of(k);
            }

            @Override
            public void start() {
              scene.addPostLayoutPulseListener(laidOut);
              super.start();
            }

            private void laidOut() {
              millis[k++] = (System.nanoTime() - from) / 1e6;
              if (k == STEPS) {
                stop();
                scene.removePostLayoutPulseListener(laidOut);
                print(name);
                then.run();
              }
            }
          };
      timer.start();
    }

    private void print(String name) {
      double first = Arrays.stream(millis, 0, COLD).max().orElse(0);
      Arrays.sort(millis);
      System.out.printf(
          "%d cells %-9s median %5.1f ms   95th percentile %5.1f ms   slowest %5.1f ms   slowest of"
              + " the first %d %5.1f ms%n",
          CELLS,
          name,
          millis[STEPS / 2],
          millis[(int) (STEPS * 0.95)],
          millis[STEPS - 1],
          COLD,
          first);
    }
  }
}
