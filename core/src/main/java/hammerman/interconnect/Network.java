package hammerman.interconnect;

import hammerman.fit.Arrangement;
import hammerman.fit.Container;
import hammerman.fit.Grouping;
import hammerman.fit.Placing;
import hammerman.fit.Point;
import hammerman.pack.Conductors;
import hammerman.pack.Strip;
import hammerman.pack.TakeOff;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.ejml.data.DMatrixRMaj;
import org.ejml.data.DMatrixSparseCSC;
import org.ejml.data.DMatrixSparseTriplet;
import org.ejml.interfaces.linsol.LinearSolverSparse;
import org.ejml.ops.DConvertMatrixStruct;
import org.ejml.sparse.FillReducing;
import org.ejml.sparse.csc.factory.LinearSolverFactory_DSCC;

/**
 * The currents of a layout: every cell a source behind its resistance and two contacts, every
 * touching pair that a plate joins a piece of strip, links where groups do not touch, the leads
 * taken off at the end groups. Kirchhoff's node equations, solved by sparse Cholesky; nodes are
 * numbered group by group, which keeps the factor narrow.
 *
 * <p>All cells have the same rested voltage and resistance, so every current is in proportion to
 * the pack's. Neglected: the resistance across the width of a strip, and of the cell's own can.
 *
 * @param current of the pack, A
 * @param cellCurrents current of each place, A; 0 for an empty one
 * @param segments the pieces of strip with their currents
 * @param links wires or bars with their currents
 * @param extraResistance of strips, links and contacts in series with the ideal pack, Ω
 * @param contactHeat made in the contacts, W
 * @param residual largest node imbalance over the current
 */
@SuppressWarnings("ArrayRecordComponent")
public record Network(
    double current,
    double[] cellCurrents,
    List<Segment> segments,
    List<Segment> links,
    double extraResistance,
    double contactHeat,
    double residual) {

  public Network {
    segments = List.copyOf(segments);
    links = List.copyOf(links);
  }

  /**
   * A piece of strip between two neighbours, or a link.
   *
   * @param from place
   * @param to place
   * @param plate which plate it belongs to, from 0 at the negative end; odd ones lie on the upper
   *     face
   * @param strip what it is made of
   * @param length m
   * @param current through it, A
   * @param heat made in it, W
   */
  public record Segment(
      int from, int to, int plate, Strip strip, double length, double current, double heat) {
    /** Returns whether it lies on the upper face. */
    public boolean top() {
      return plate % 2 == 1;
    }

    /** Returns the current density, A/m². */
    public double density() {
      return Math.abs(current) / strip.area();
    }

    /** Returns its current over what warms it by the allowed rise. */
    public double load() {
      return Math.abs(current) / strip.ampacity();
    }

    private Segment scaled(double by) {
      return new Segment(from, to, plate, strip, length, current * by, heat * by * by);
    }
  }

  /**
   * Solves a layout.
   *
   * @param usual strip of plates that have none of their own
   * @param cellResistance of one cell, Ω
   * @param current out of the pack, above 0 A
   * @param kelvin temperature of the strips, K
   */
  public static Network of(
      List<Container> boxes,
      Arrangement arrangement,
      Grouping grouping,
      Conductors led,
      Strip usual,
      double cellResistance,
      double current,
      double kelvin) {
    Pieces conducting = Pieces.of(boxes, arrangement, grouping, led, usual);
    return new Solver(
            boxes, arrangement.placing(), grouping, conducting, led, cellResistance, kelvin)
        .solve(current);
  }

  /** Returns the same network at another current of the pack, A. */
  public Network at(double amperes) {
    double by = amperes / current;
    return new Network(
        amperes,
        Arrays.stream(cellCurrents).map(i -> i * by).toArray(),
        segments.stream().map(s -> s.scaled(by)).toList(),
        links.stream().map(s -> s.scaled(by)).toList(),
        extraResistance,
        contactHeat * by * by,
        residual);
  }

  /** Returns the largest share of a group's current that one cell carries, 1 when all are equal. */
  public double worstShare(Grouping grouping) {
    double worst = 0;
    for (double i : cellCurrents) {
      worst = Math.max(worst, i * grouping.parallel() / current);
    }
    return worst;
  }

  /**
   * Returns the piece of strip that is loaded most for what it is; of a single cell there is none.
   */
  public Optional<Segment> hardestWorked() {
    return segments.stream().max(Comparator.comparingDouble(Segment::load));
  }

  /** Returns the highest current density in a piece of strip, A/m². */
  public double densest() {
    return segments.stream().mapToDouble(Segment::density).max().orElse(0);
  }

  /** Returns the heat made in all strips, links and contacts, W. */
  public double heat() {
    return contactHeat
        + segments.stream().mapToDouble(Segment::heat).sum()
        + links.stream().mapToDouble(Segment::heat).sum();
  }

  /** The node equations under way. */
  private static final class Solver {
    private final List<Container> boxes;
    private final Placing placing;
    private final Grouping grouping;
    private final Pieces conducting;
    private final Conductors led;
    private final double cellResistance;
    private final double branchConductance;
    private final double kelvin;
    private final int[] order;
    private final int[] position;
    private final int cells;

    Solver(
        List<Container> boxes,
        Placing placing,
        Grouping grouping,
        Pieces conducting,
        Conductors led,
        double cellResistance,
        double kelvin) {
      this.boxes = boxes;
      this.placing = placing;
      this.grouping = grouping;
      this.conducting = conducting;
      this.led = led;
      this.cellResistance = cellResistance;
      this.branchConductance = 1 / (cellResistance + 2 * led.joint().contact());
      this.kelvin = kelvin;
      position = new int[grouping.places()];
      order = new int[grouping.series() * grouping.parallel()];
      int n = 0;
      for (int g = 0; g < grouping.series(); g++) {
        for (int k : grouping.members(g)) {
          position[k] = n;
          order[n++] = k;
        }
      }
      cells = n;
    }

    /** Node of a cell's negative or positive end. */
    private int node(int place, boolean positive) {
      return 2 * position[place] + (positive ? 1 : 0);
    }

    Network solve(double current) {
      int n = 2 * cells;
      DMatrixSparseTriplet triplet = new DMatrixSparseTriplet(n, n, 8 * n);
      double[] diagonal = new double[n];
      for (Pieces.Piece p : conducting.pieces()) {
        add(triplet, diagonal, p);
      }
      for (Pieces.Piece p : conducting.links()) {
        add(triplet, diagonal, p);
      }
      double[] injected = new double[n];
      for (int k = 0; k < cells; k++) {
        add(triplet, diagonal, 2 * k, 2 * k + 1, branchConductance);
        // A source of 1 V behind the resistance, as a current between its ends.
        injected[2 * k + 1] += branchConductance;
        injected[2 * k] -= branchConductance;
      }
      drawn(injected, grouping.series() - 1, true, -current);
      drawn(injected, 0, false, current);
      // The first negative node is the reference.
      int reference = node(order[0], false);
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
      return result(current, x.data, injected, reference);
    }

    private void add(DMatrixSparseTriplet t, double[] diagonal, Pieces.Piece p) {
      add(
          t,
          diagonal,
          node(p.from(), p.fromPositive()),
          node(p.to(), p.toPositive()),
          conductance(p));
    }

    private double conductance(Pieces.Piece p) {
      return 1 / p.strip().resistance(p.length(), kelvin);
    }

    private static void add(
        DMatrixSparseTriplet t, double[] diagonal, int a, int b, double conductance) {
      t.addItem(a, b, -conductance);
      t.addItem(b, a, -conductance);
      diagonal[a] += conductance;
      diagonal[b] += conductance;
    }

    /** Draws a current at the take-off of an end group. */
    private void drawn(double[] injected, int g, boolean positive, double current) {
      int[] at = takenAt(g);
      for (int k : at) {
        injected[node(k, positive)] += current / at.length;
      }
    }

    /** The cells of an end group that the leads meet. */
    private int[] takenAt(int g) {
      if (led.takeOff() == TakeOff.WHOLE_GROUP) {
        return grouping.members(g);
      }
      int box = placing.sheets().get(placing.sheetOf(grouping.members(g)[0])).box();
      int one = grouping.nearest(placing, g, boxes.get(box).exit());
      if (led.takeOff() == TakeOff.ONE_CELL) {
        return new int[] {one};
      }
      Point p = placing.places().get(one);
      int other = one;
      for (int k : grouping.members(g)) {
        if (p.to(placing.places().get(k)) > p.to(placing.places().get(other))) {
          other = k;
        }
      }
      return new int[] {one, other};
    }

    private Network result(double current, double[] v, double[] injected, int reference) {
      double[] cell = new double[grouping.places()];
      double[] balance = injected.clone();
      double contacts = 0;
      for (int k = 0; k < cells; k++) {
        double through = (v[2 * k + 1] - v[2 * k]) * branchConductance;
        cell[order[k]] = branchConductance - through;
        contacts += cell[order[k]] * cell[order[k]] * 2 * led.joint().contact();
        balance[2 * k] += through;
        balance[2 * k + 1] -= through;
      }
      List<Segment> segments = solved(conducting.pieces(), v, balance);
      List<Segment> links = solved(conducting.links(), v, balance);
      double worst = 0;
      for (int k = 0; k < balance.length; k++) {
        worst = Math.max(worst, k == reference ? 0 : Math.abs(balance[k]));
      }
      return new Network(
          current, cell, segments, links, extra(current, v), contacts, worst / current);
    }

    private List<Segment> solved(List<Pieces.Piece> pieces, double[] v, double[] balance) {
      List<Segment> segments = new ArrayList<>(pieces.size());
      for (Pieces.Piece p : pieces) {
        int a = node(p.from(), p.fromPositive());
        int b = node(p.to(), p.toPositive());
        double g = conductance(p);
        double i = (v[a] - v[b]) * g;
        balance[a] -= i;
        balance[b] += i;
        segments.add(new Segment(p.from(), p.to(), p.plate(), p.strip(), p.length(), i, i * i / g));
      }
      return segments;
    }

    /** What is added to S/P · R, from the voltage between the take-offs. */
    private double extra(double current, double[] v) {
      double[] probe = new double[v.length];
      drawn(probe, grouping.series() - 1, true, 1);
      drawn(probe, 0, false, -1);
      double between = 0;
      for (int k = 0; k < v.length; k++) {
        between += probe[k] * v[k];
      }
      double ideal = grouping.series() * (1 - current / grouping.parallel() * cellResistance);
      return (ideal - between) / current;
    }
  }
}
