package hammerman.fit;

import hammerman.pack.Strip;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.ejml.data.DMatrixRMaj;
import org.ejml.data.DMatrixSparseCSC;
import org.ejml.data.DMatrixSparseTriplet;
import org.ejml.interfaces.linsol.LinearSolverSparse;
import org.ejml.ops.DConvertMatrixStruct;
import org.ejml.sparse.FillReducing;
import org.ejml.sparse.csc.factory.LinearSolverFactory_DSCC;

/**
 * The currents of a layout: every cell a source behind its resistance between the two faces, every
 * touching pair that a plate joins a piece of strip, the leads taken off at the cells nearest to
 * the exit. Kirchhoff's node equations, solved by sparse Cholesky; nodes are numbered group by
 * group, which keeps the factor narrow.
 *
 * <p>A plate joins the positive ends of one group to the negative ends of the next, on one face;
 * every second group is turned over, so plates alternate between the faces. All cells have the same
 * rested voltage and resistance.
 *
 * @param current total current, A
 * @param cellCurrents current of each place, A; 0 for an empty one
 * @param segments the pieces of strip with their currents
 * @param extraResistance of the strips in series with the ideal pack, Ω
 * @param residual largest node imbalance over the current
 */
@SuppressWarnings("ArrayRecordComponent")
public record Network(
    double current,
    double[] cellCurrents,
    List<Segment> segments,
    double extraResistance,
    double residual) {

  public Network {
    segments = List.copyOf(segments);
  }

  /** Where the leads are taken off. */
  public enum TakeOff {
    /** At the one cell of the end group nearest to the exit. */
    ONE_CELL,
    /** At every cell of the end group, by a bar. */
    WHOLE_GROUP
  }

  /**
   * A piece of strip between two neighbours.
   *
   * @param from place
   * @param to place
   * @param plate which plate it belongs to, from 0 at the negative end
   * @param top whether it lies on the upper face
   * @param current through it, A
   * @param density A/m²
   * @param heat made in it, W
   */
  public record Segment(
      int from, int to, int plate, boolean top, double current, double density, double heat) {}

  /**
   * Solves a layout.
   *
   * @param cellResistance of one cell, Ω
   * @param current out of the pack, A
   * @param kelvin temperature of the strips, K
   */
  public static Network of(
      Placing placing,
      Grouping grouping,
      Strip strip,
      double cellResistance,
      double current,
      double kelvin,
      Point exit,
      TakeOff takeOff) {
    return new Solver(placing, grouping, strip, cellResistance, kelvin, exit, takeOff)
        .solve(current);
  }

  /** Returns the largest share of a group's current that one cell carries, 1 when all are equal. */
  public double worstShare(Grouping grouping) {
    double worst = 0;
    for (double i : cellCurrents) {
      worst = Math.max(worst, i * grouping.parallel() / current);
    }
    return worst;
  }

  /** Returns the strongest current in a piece of strip, A. */
  public double strongest() {
    return segments.stream().mapToDouble(s -> Math.abs(s.current())).max().orElse(0);
  }

  /** Returns the highest current density in a piece of strip, A/m². */
  public double densest() {
    return segments.stream().mapToDouble(Segment::density).max().orElse(0);
  }

  /** Returns the heat made in all strips, W. */
  public double heat() {
    return segments.stream().mapToDouble(Segment::heat).sum();
  }

  /** The node equations under way. */
  private static final class Solver {
    private final Placing placing;
    private final Grouping grouping;
    private final Strip strip;
    private final double cellConductance;
    private final double kelvin;
    private final Point exit;
    private final TakeOff takeOff;
    private final int[] order;
    private final int[] position;
    private final int cells;

    Solver(
        Placing placing,
        Grouping grouping,
        Strip strip,
        double cellResistance,
        double kelvin,
        Point exit,
        TakeOff takeOff) {
      this.placing = placing;
      this.grouping = grouping;
      this.strip = strip;
      this.cellConductance = 1 / cellResistance;
      this.kelvin = kelvin;
      this.exit = exit;
      this.takeOff = takeOff;
      position = new int[grouping.group().length];
      int[] found = new int[grouping.group().length];
      int n = 0;
      for (int g = 0; g < grouping.series(); g++) {
        for (int k = 0; k < found.length; k++) {
          if (grouping.group()[k] == g) {
            position[k] = n;
            found[n++] = k;
          }
        }
      }
      cells = n;
      order = Arrays.copyOf(found, n);
    }

    /** Node of a cell's negative (0) or positive (1) end. */
    private int node(int place, int positive) {
      return 2 * position[place] + positive;
    }

    Network solve(double current) {
      int n = 2 * cells;
      List<Edge> edges = edges();
      DMatrixSparseTriplet triplet = new DMatrixSparseTriplet(n, n, 8 * n);
      double[] diagonal = new double[n];
      for (Edge e : edges) {
        add(triplet, diagonal, e.a(), e.b(), e.conductance());
      }
      double[] injected = new double[n];
      double volts = 1;
      for (int k = 0; k < cells; k++) {
        add(triplet, diagonal, 2 * k, 2 * k + 1, cellConductance);
        // A source of 1 V behind the resistance, as a current between its ends.
        injected[2 * k + 1] += volts * cellConductance;
        injected[2 * k] -= volts * cellConductance;
      }
      drawn(injected, grouping.series() - 1, 1, -current);
      drawn(injected, 0, 0, current);
      // The first negative node is the reference.
      int reference = node(order[0], 0);
      diagonal[reference] += 1;
      for (int k = 0; k < n; k++) {
        triplet.addItem(k, k, diagonal[k]);
      }
      DMatrixSparseCSC matrix = DConvertMatrixStruct.convert(triplet, (DMatrixSparseCSC) null);
      LinearSolverSparse<DMatrixSparseCSC, DMatrixRMaj> solver =
          LinearSolverFactory_DSCC.cholesky(FillReducing.NONE);
      if (!solver.setA(matrix)) {
        throw new IllegalStateException("the network of " + cells + " cells is not connected");
      }
      DMatrixRMaj x = new DMatrixRMaj(n, 1);
      solver.solve(new DMatrixRMaj(injected), x);
      return result(current, edges, x.data, injected, reference);
    }

    private static void add(
        DMatrixSparseTriplet t, double[] diagonal, int a, int b, double conductance) {
      t.addItem(a, b, -conductance);
      t.addItem(b, a, -conductance);
      diagonal[a] += conductance;
      diagonal[b] += conductance;
    }

    /** Draws a current at the take-off of an end group. */
    private void drawn(double[] injected, int g, int positive, double current) {
      int nearest = -1;
      double least = Double.POSITIVE_INFINITY;
      for (int k : order) {
        if (grouping.group()[k] == g) {
          if (takeOff == TakeOff.WHOLE_GROUP) {
            injected[node(k, positive)] += current / grouping.parallel();
          }
          double far = placing.places().get(k).to(exit);
          if (far < least) {
            least = far;
            nearest = k;
          }
        }
      }
      if (takeOff == TakeOff.ONE_CELL) {
        injected[node(nearest, positive)] += current;
      }
    }

    /** A piece of strip between two nodes. */
    private record Edge(int a, int b, int from, int to, int plate, double conductance) {}

    private List<Edge> edges() {
      List<int[]> near = placing.neighbours();
      double conductance = 1 / strip.resistance(placing.pitch(), kelvin);
      List<Edge> edges = new ArrayList<>();
      for (int k : order) {
        int g = grouping.group()[k];
        for (int m : near.get(k)) {
          int h = grouping.group()[m];
          if (m > k && h == g) {
            // Both ends of a group are plates: its negative side is plate g, its positive g + 1.
            edges.add(new Edge(node(k, 0), node(m, 0), k, m, g, conductance));
            edges.add(new Edge(node(k, 1), node(m, 1), k, m, g + 1, conductance));
          } else if (h == g + 1) {
            edges.add(new Edge(node(k, 1), node(m, 0), k, m, g + 1, conductance));
          }
        }
      }
      return edges;
    }

    private Network result(
        double current, List<Edge> edges, double[] v, double[] injected, int reference) {
      double[] cell = new double[grouping.group().length];
      double[] balance = injected.clone();
      for (int k = 0; k < cells; k++) {
        double through = (v[2 * k + 1] - v[2 * k]) * cellConductance;
        cell[order[k]] = cellConductance - through;
        balance[2 * k] += through;
        balance[2 * k + 1] -= through;
      }
      List<Segment> segments = new ArrayList<>();
      for (Edge e : edges) {
        double i = (v[e.a()] - v[e.b()]) * e.conductance();
        balance[e.a()] -= i;
        balance[e.b()] += i;
        segments.add(
            new Segment(
                e.from(),
                e.to(),
                e.plate(),
                e.plate() % 2 == 1,
                i,
                Math.abs(i) / strip.area(),
                i * i / e.conductance()));
      }
      double worst = 0;
      for (int k = 0; k < balance.length; k++) {
        worst = Math.max(worst, k == reference ? 0 : Math.abs(balance[k]));
      }
      return new Network(current, cell, segments, extra(current, v), worst / current);
    }

    /** What the strips add to S/P · R, from the voltage between the take-offs. */
    private double extra(double current, double[] v) {
      double[] probe = new double[v.length];
      drawn(probe, grouping.series() - 1, 1, 1);
      drawn(probe, 0, 0, -1);
      double between = 0;
      for (int k = 0; k < v.length; k++) {
        between += probe[k] * v[k];
      }
      double ideal = grouping.series() * (1 - current / grouping.parallel() / cellConductance);
      return (ideal - between) / current;
    }
  }
}
