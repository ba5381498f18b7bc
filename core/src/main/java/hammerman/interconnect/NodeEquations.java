package hammerman.interconnect;

import hammerman.fit.Container;
import hammerman.fit.Grouping;
import hammerman.fit.Placing;
import hammerman.fit.Point;
import hammerman.pack.Conductors;
import hammerman.pack.TakeOff;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import org.ojalgo.matrix.decomposition.SparseQDLDL;
import org.ojalgo.matrix.store.R064CSC;

/**
 * Kirchhoff's node equations of a layout: a node at either end of every cell, numbered in the order
 * in which they are best eliminated; strips and links between nodes; and a branch through each
 * cell. Solved by a sparse factor L D Lᵀ. The topology is found once; the branches can be changed
 * and the factor made anew.
 */
final class NodeEquations {
  private final List<Container> boxes;
  private final Placing placing;
  private final Grouping grouping;
  private final Conductors led;
  private final double kelvin;
  private final int[] order;
  private final int[] position;
  private final int cells;

  /** Node at the negative and at the positive end of each cell. */
  private final int[] minus;

  private final int[] plus;

  /** The matrix on and above its diagonal. */
  private final R064CSC matrix;

  /** Conductance at each node but for the cells, S. */
  private final double[] strips;

  /** Where the entries of each cell stand in the matrix: both on the diagonal, and the other. */
  private final int[] entries;

  private final SparseQDLDL solver = new SparseQDLDL();
  private final SparseQDLDL.EliminationTree tree;

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
    List<Pieces.Piece> pieces = conducting.all();
    int[] rank = EliminationOrder.of(joined(pieces));
    minus = new int[n];
    plus = new int[n];
    for (int k = 0; k < n; k++) {
      minus[k] = rank[2 * k];
      plus[k] = rank[2 * k + 1];
    }
    matrix = structure(pieces);
    strips = new double[2 * n];
    entries = new int[3 * n];
    fill(pieces);
    tree = solver.computeEliminationTree(matrix);
  }

  /** What each end of a cell, the negative before the positive, is joined to. */
  private BitSet[] joined(List<Pieces.Piece> pieces) {
    BitSet[] joined = new BitSet[2 * cells];
    for (int k = 0; k < joined.length; k++) {
      joined[k] = new BitSet(joined.length);
      joined[k].set(k ^ 1);
    }
    for (Pieces.Piece p : pieces) {
      int a = end(p.from(), p.fromPositive());
      int b = end(p.to(), p.toPositive());
      joined[a].set(b);
      joined[b].set(a);
    }
    return joined;
  }

  private int end(int place, boolean positive) {
    return 2 * position[place] + (positive ? 1 : 0);
  }

  /** The matrix without its values. */
  private R064CSC structure(List<Pieces.Piece> pieces) {
    BitSet[] above = new BitSet[2 * cells];
    for (int k = 0; k < above.length; k++) {
      above[k] = new BitSet();
      above[k].set(k);
    }
    for (int k = 0; k < cells; k++) {
      above[Math.max(minus[k], plus[k])].set(Math.min(minus[k], plus[k]));
    }
    for (Pieces.Piece p : pieces) {
      above[Math.max(from(p), to(p))].set(Math.min(from(p), to(p)));
    }
    int[] starts = new int[above.length + 1];
    for (int k = 0; k < above.length; k++) {
      starts[k + 1] = starts[k] + above[k].cardinality();
    }
    int[] rows = Arrays.stream(above).flatMapToInt(BitSet::stream).toArray();
    return new R064CSC(above.length, above.length, new double[rows.length], rows, starts);
  }

  /** Fills in all but the cells, and finds where those go. */
  private void fill(List<Pieces.Piece> pieces) {
    for (Pieces.Piece p : pieces) {
      double g = conductance(p);
      matrix.values[entry(from(p), to(p))] -= g;
      strips[from(p)] += g;
      strips[to(p)] += g;
    }
    strips[reference()] += 1;
    for (int k = 0; k < cells; k++) {
      entries[3 * k] = entry(minus[k], minus[k]);
      entries[3 * k + 1] = entry(plus[k], plus[k]);
      entries[3 * k + 2] = entry(minus[k], plus[k]);
    }
  }

  private int entry(int a, int b) {
    int column = Math.max(a, b);
    return Arrays.binarySearch(
        matrix.indices, matrix.pointers[column], matrix.pointers[column + 1], Math.min(a, b));
  }

  /** Number of cells. */
  int cells() {
    return cells;
  }

  /** Place of each cell. */
  int[] order() {
    return order;
  }

  /** The number of the cell at a place. */
  int position(int place) {
    return position[place];
  }

  /** Node at the negative end of each cell. */
  int[] minus() {
    return minus;
  }

  /** Node at the positive end of each cell. */
  int[] plus() {
    return plus;
  }

  /** The node that is at 0 V: the first cell's negative end. */
  int reference() {
    return minus[0];
  }

  int from(Pieces.Piece p) {
    return node(p.from(), p.fromPositive());
  }

  int to(Pieces.Piece p) {
    return node(p.to(), p.toPositive());
  }

  private int node(int place, boolean positive) {
    return (positive ? plus : minus)[position[place]];
  }

  double conductance(Pieces.Piece p) {
    return 1 / p.strip().resistance(p.length(), kelvin);
  }

  /** Makes the factor for cells of these conductances, contacts in them, S. */
  void factor(double[] conducts) {
    double[] values = matrix.values;
    for (int k = 0; k < cells; k++) {
      values[entries[3 * k]] = strips[minus[k]] + conducts[k];
      values[entries[3 * k + 1]] = strips[plus[k]] + conducts[k];
      values[entries[3 * k + 2]] = -conducts[k];
    }
    if (!solver.factor(matrix, tree)) {
      throw new IllegalStateException("the network of " + cells + " cells is not connected");
    }
  }

  /**
   * Solves for the voltage of each node.
   *
   * @param nodes the current fed into each, A; the voltage of each afterwards, V
   */
  void solve(double[] nodes) {
    solver.ftran(nodes);
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
