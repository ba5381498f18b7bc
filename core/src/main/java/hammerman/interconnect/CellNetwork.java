package hammerman.interconnect;

import hammerman.fit.Arrangement;
import hammerman.fit.Container;
import hammerman.fit.Grouping;
import hammerman.pack.Conductors;
import hammerman.pack.Strip;
import java.util.Arrays;
import java.util.List;

/**
 * The strips of a layout as its cells meet them through a run: every cell has a voltage and a
 * resistance of its own, and they change. Stepped in place; one is good for one run.
 *
 * <p>The factor is made anew only when a cell's resistance has moved by more than {@value #MOVED};
 * what it moves in between is taken on the right-hand side, with the current that the cell is about
 * to have, so that the error is of second order. Seen from its ends the pack is E − I R with E = Σ
 * b_k E_k and R = Σ b_k² R_k + R_strips, where b_k is the share of the pack's current in cell k:
 * the shares make the least heat of all that Kirchhoff's first law allows (Thomson), so that shares
 * that are a little old give a resistance that is right to second order. What they miss of E shows
 * in the next solution, and whoever steps the pack takes it over from there.
 */
public final class CellNetwork {
  /** Share by which a resistance may move before the factor is made anew. */
  public static final double MOVED = 0.04;

  private final NodeEquations equations;
  private final int cells;
  private final double contact;
  private final double[] ends;

  /** Nodes at the ends of each cell. */
  private final int[] minus;

  private final int[] plus;

  /** Conductance of each strip and link, S, and the nodes at its ends. */
  private final double[] pieces;

  private final int[] from;
  private final int[] to;

  /** The cells at the ends of each strip and link. */
  private final int[] fromCell;

  private final int[] toCell;

  private final double[] factored;
  private final double[] conducts;
  private final double[] share;
  private final double[] before;

  /** What is fed into each node, A, until it is solved; then its voltage, V. */
  private final double[] nodes;

  private double strips;
  private double voltage;
  private double currentBefore;

  private CellNetwork(NodeEquations equations, Pieces conducting, double contact) {
    this.equations = equations;
    this.contact = contact;
    List<Pieces.Piece> all = conducting.all();
    from = all.stream().mapToInt(equations::from).toArray();
    to = all.stream().mapToInt(equations::to).toArray();
    pieces = all.stream().mapToDouble(equations::conductance).toArray();
    cells = equations.cells();
    ends = equations.drawn(1);
    factored = new double[cells];
    conducts = new double[cells];
    share = new double[cells];
    before = new double[cells];
    minus = equations.minus();
    plus = equations.plus();
    fromCell = all.stream().mapToInt(p -> equations.position(p.from())).toArray();
    toCell = all.stream().mapToInt(p -> equations.position(p.to())).toArray();
    nodes = new double[2 * cells];
  }

  /**
   * Finds the network of a layout.
   *
   * @param usual strip of plates that have none of their own
   * @param kelvin temperature of the strips, K
   */
  public static CellNetwork of(
      List<Container> boxes,
      Arrangement arrangement,
      Grouping grouping,
      Conductors led,
      Strip usual,
      double kelvin) {
    Pieces conducting = Pieces.of(boxes, arrangement, grouping, led, usual);
    return new CellNetwork(
        new NodeEquations(boxes, arrangement.placing(), grouping, conducting, led, kelvin),
        conducting,
        2 * led.joint().contact());
  }

  /** Returns the resistance of the two contacts of a cell, Ω. */
  public double contact() {
    return contact;
  }

  /** Returns the share of the pack's current that a cell carries of itself. */
  public double share(int cell) {
    return share[cell];
  }

  /** Returns the resistance of strips and links, without contacts, Ω. */
  public double strips() {
    return strips;
  }

  /** Returns the voltage between the take-offs as it was solved last, V. */
  public double voltage() {
    return voltage;
  }

  /**
   * Takes note of the resistance of each cell with its contacts.
   *
   * @param ohmic Ω
   * @return whether the factor was made anew, so that the shares are those of the present
   */
  public boolean prepare(double[] ohmic) {
    for (int k = 0; k < cells; k++) {
      // No division in this loop: the present resistance times the old factor's conductance.
      double moved = ohmic[k] * conducts[k] - 1;
      if (moved > MOVED || moved < -MOVED) {
        factor(ohmic);
        return true;
      }
    }
    return false;
  }

  private void factor(double[] now) {
    for (int k = 0; k < cells; k++) {
      factored[k] = now[k];
      conducts[k] = 1 / now[k];
    }
    equations.factor(conducts);
    System.arraycopy(ends, 0, nodes, 0, ends.length);
    equations.solve(nodes);
    double between = 0;
    for (int k = 0; k < ends.length; k++) {
      between += ends[k] * nodes[k];
    }
    double inCells = 0;
    for (int k = 0; k < cells; k++) {
      share[k] = (nodes[minus[k]] - nodes[plus[k]]) * conducts[k];
      inCells += share[k] * share[k] * factored[k];
    }
    strips = Math.max(0, between - inCells);
  }

  /**
   * Finds the current of each cell.
   *
   * @param emf voltage of each cell behind its resistance, V
   * @param ohmic that resistance, as last prepared, Ω
   * @param current out of the pack, A
   * @param flows current out of each cell afterwards, A
   * @param heat made in strips and links at each cell afterwards, W: half of a piece's at each end
   * @return all of that heat, W
   */
  public double currents(
      double[] emf, double[] ohmic, double current, double[] flows, double[] heat) {
    for (int k = 0; k < ends.length; k++) {
      nodes[k] = current * ends[k];
    }
    double more = current - currentBefore;
    for (int k = 0; k < cells; k++) {
      double about = before[k] + share[k] * more;
      flows[k] = emf[k] - (ohmic[k] - factored[k]) * about;
    }
    for (int k = 0; k < cells; k++) {
      double feeds = conducts[k] * flows[k];
      nodes[plus[k]] += feeds;
      nodes[minus[k]] -= feeds;
    }
    equations.solve(nodes);
    for (int k = 0; k < cells; k++) {
      flows[k] = conducts[k] * (flows[k] - nodes[plus[k]] + nodes[minus[k]]);
      before[k] = flows[k];
    }
    voltage = 0;
    for (int k = 0; k < ends.length; k++) {
      voltage -= ends[k] * nodes[k];
    }
    currentBefore = current;
    return heat(heat);
  }

  private double heat(double[] heat) {
    Arrays.fill(heat, 0, cells, 0);
    double all = 0;
    for (int k = 0; k < pieces.length; k++) {
      double across = nodes[from[k]] - nodes[to[k]];
      double half = 0.5 * pieces[k] * across * across;
      heat[fromCell[k]] += half;
      heat[toCell[k]] += half;
      all += half;
    }
    return 2 * all;
  }
}
