package hammerman.interconnect;

import hammerman.fit.Container;
import hammerman.fit.Grouping;
import hammerman.fit.Placing;
import hammerman.fit.Point;
import hammerman.pack.Conductors;
import hammerman.pack.TakeOff;
import java.util.List;
import org.ejml.data.DMatrixRMaj;
import org.ejml.data.DMatrixSparseCSC;
import org.ejml.data.DMatrixSparseTriplet;
import org.ejml.interfaces.linsol.LinearSolverSparse;
import org.ejml.ops.DConvertMatrixStruct;
import org.ejml.sparse.FillReducing;
import org.ejml.sparse.csc.factory.LinearSolverFactory_DSCC;

/**
 * Kirchhoff's node equations of a layout: a node at either end of every cell, numbered group by
 * group, which keeps the factor narrow; strips and links between nodes; and a branch through each
 * cell. Solved by sparse Cholesky. The topology is found once; the branches can be changed and the
 * factor made anew.
 */
final class NodeEquations {
  private final List<Container> boxes;
  private final Placing placing;
  private final Grouping grouping;
  private final Pieces conducting;
  private final Conductors led;
  private final double kelvin;
  private final int[] order;
  private final int[] position;
  private final int cells;
  private final DMatrixSparseCSC matrix;

  /** Conductance at each node but for the cells, S. */
  private final double[] strips;

  /** Where the entries of each cell stand in the matrix: both diagonals, both others. */
  private final int[] entries;

  private final LinearSolverSparse<DMatrixSparseCSC, DMatrixRMaj> solver =
      LinearSolverFactory_DSCC.cholesky(FillReducing.NONE);
  private boolean factored;

  /**
   * @param kelvin temperature of the strips, K
   */
  NodeEquations(
      List<Container> boxes,
      Placing placing,
      Grouping grouping,
      Pieces conducting,
      Conductors led,
      double kelvin) {
    this.boxes = boxes;
    this.placing = placing;
    this.grouping = grouping;
    this.conducting = conducting;
    this.led = led;
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
    strips = new double[2 * n];
    entries = new int[4 * n];
    matrix = structure();
  }

  private DMatrixSparseCSC structure() {
    int n = 2 * cells;
    DMatrixSparseTriplet triplet = new DMatrixSparseTriplet(n, n, 8 * n);
    for (Pieces.Piece p : conducting.pieces()) {
      add(triplet, p);
    }
    for (Pieces.Piece p : conducting.links()) {
      add(triplet, p);
    }
    // The first negative node is the reference.
    strips[reference()] += 1;
    for (int k = 0; k < cells; k++) {
      triplet.addItem(2 * k, 2 * k + 1, -1);
      triplet.addItem(2 * k + 1, 2 * k, -1);
      triplet.addItem(2 * k, 2 * k, 1);
      triplet.addItem(2 * k + 1, 2 * k + 1, 1);
    }
    DMatrixSparseCSC found = DConvertMatrixStruct.convert(triplet, (DMatrixSparseCSC) null);
    for (int k = 0; k < cells; k++) {
      entries[4 * k] = found.nz_index(2 * k, 2 * k);
      entries[4 * k + 1] = found.nz_index(2 * k + 1, 2 * k + 1);
      entries[4 * k + 2] = found.nz_index(2 * k, 2 * k + 1);
      entries[4 * k + 3] = found.nz_index(2 * k + 1, 2 * k);
    }
    return found;
  }

  private void add(DMatrixSparseTriplet t, Pieces.Piece p) {
    int a = from(p);
    int b = to(p);
    double g = conductance(p);
    t.addItem(a, b, -g);
    t.addItem(b, a, -g);
    strips[a] += g;
    strips[b] += g;
  }

  /** Number of cells. */
  int cells() {
    return cells;
  }

  /** Place of each cell. */
  int[] order() {
    return order;
  }

  /** The node that is at 0 V. */
  int reference() {
    return node(order[0], false);
  }

  int from(Pieces.Piece p) {
    return node(p.from(), p.fromPositive());
  }

  int to(Pieces.Piece p) {
    return node(p.to(), p.toPositive());
  }

  /** Node of a cell's negative or positive end. */
  private int node(int place, boolean positive) {
    return 2 * position[place] + (positive ? 1 : 0);
  }

  double conductance(Pieces.Piece p) {
    return 1 / p.strip().resistance(p.length(), kelvin);
  }

  /** Makes the factor for cells of these conductances, contacts in them, S. */
  void factor(double[] conducts) {
    double[] values = matrix.nz_values;
    for (int k = 0; k < cells; k++) {
      values[entries[4 * k]] = strips[2 * k] + conducts[k];
      values[entries[4 * k + 1]] = strips[2 * k + 1] + conducts[k];
      values[entries[4 * k + 2]] = -conducts[k];
      values[entries[4 * k + 3]] = -conducts[k];
    }
    if (!solver.setA(matrix)) {
      throw new IllegalStateException("the network of " + cells + " cells is not connected");
    }
    if (!factored) {
      factored = true;
      solver.setStructureLocked(true);
    }
  }

  /** Solves for the voltage of each node from the currents fed into it. */
  void solve(DMatrixRMaj injected, DMatrixRMaj volts) {
    solver.solve(injected, volts);
  }

  /** Draws a current out of the pack at its ends: what is fed into each node for it. */
  double[] drawn(double current) {
    double[] injected = new double[2 * cells];
    draw(injected, grouping.series() - 1, true, -current);
    draw(injected, 0, false, current);
    return injected;
  }

  private void draw(double[] injected, int g, boolean positive, double current) {
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
}
