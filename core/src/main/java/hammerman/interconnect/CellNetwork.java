package hammerman.interconnect;

import hammerman.fit.Arrangement;
import hammerman.fit.Container;
import hammerman.fit.Grouping;
import hammerman.pack.Conductors;
import hammerman.pack.Strip;
import java.util.List;
import java.util.stream.Stream;
import org.ejml.data.DMatrixRMaj;

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

  /** Conductance of each strip and link, S, and the nodes at its ends; two nodes make a cell. */
  private final double[] pieces;

  private final int[] from;
  private final int[] to;
  private final double[] factored;
  private final double[] conducts;
  private final double[] share;
  private final double[] before;
  private final DMatrixRMaj injected;
  private final DMatrixRMaj volts;
  private double strips;
  private double voltage;
  private double currentBefore;

  private CellNetwork(NodeEquations equations, Pieces conducting, double contact) {
    this.equations = equations;
    this.contact = contact;
    List<Pieces.Piece> all =
        Stream.concat(conducting.pieces().stream(), conducting.links().stream()).toList();
    from = all.stream().mapToInt(equations::from).toArray();
    to = all.stream().mapToInt(equations::to).toArray();
    pieces = all.stream().mapToDouble(equations::conductance).toArray();
    cells = equations.cells();
    ends = equations.drawn(1);
    factored = new double[cells];
    conducts = new double[cells];
    share = new double[cells];
    before = new double[cells];
    injected = new DMatrixRMaj(2 * cells, 1);
    volts = new DMatrixRMaj(2 * cells, 1);
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
   * @param conducts one over it, S
   * @return whether the factor was made anew, so that the shares are those of the present
   */
  public boolean prepare(double[] conducts) {
    for (int k = 0; k < cells; k++) {
      // No division in this loop: the old factor's resistance times the present conductance.
      double moved = factored[k] * conducts[k] - 1;
      if (moved > MOVED || moved < -MOVED) {
        factor(conducts);
        return true;
      }
    }
    return false;
  }

  private void factor(double[] now) {
    for (int k = 0; k < cells; k++) {
      conducts[k] = now[k];
      factored[k] = 1 / now[k];
    }
    equations.factor(conducts);
    System.arraycopy(ends, 0, injected.data, 0, ends.length);
    equations.solve(injected, volts);
    double between = 0;
    for (int k = 0; k < ends.length; k++) {
      between += ends[k] * volts.data[k];
    }
    double inCells = 0;
    for (int k = 0; k < cells; k++) {
      share[k] = (volts.data[2 * k] - volts.data[2 * k + 1]) * conducts[k];
      inCells += share[k] * share[k] * factored[k];
    }
    strips = Math.max(0, between - inCells);
  }

  /**
   * Finds the current of each cell.
   *
   * @param emf voltage of each cell behind its resistance, V
   * @param now one over that resistance, as last prepared, S
   * @param current out of the pack, A
   * @param flows current out of each cell afterwards, A
   * @param heat made in strips and links at each cell afterwards, W: half of a piece's at each end
   * @return all of that heat, W
   */
  public double currents(
      double[] emf, double[] now, double current, double[] flows, double[] heat) {
    double[] fed = injected.data;
    for (int k = 0; k < ends.length; k++) {
      fed[k] = current * ends[k];
    }
    double more = current - currentBefore;
    for (int k = 0; k < cells; k++) {
      double about = before[k] + share[k] * more;
      double source = emf[k] - (1 / now[k] - factored[k]) * about;
      double feeds = conducts[k] * source;
      flows[k] = source;
      fed[2 * k + 1] += feeds;
      fed[2 * k] -= feeds;
    }
    equations.solve(injected, volts);
    double[] v = volts.data;
    voltage = 0;
    for (int k = 0; k < cells; k++) {
      flows[k] = conducts[k] * (flows[k] - v[2 * k + 1] + v[2 * k]);
      before[k] = flows[k];
      voltage -= ends[2 * k] * v[2 * k] + ends[2 * k + 1] * v[2 * k + 1];
      heat[k] = 0;
    }
    currentBefore = current;
    double all = 0;
    for (int k = 0; k < pieces.length; k++) {
      int a = from[k];
      int b = to[k];
      double across = v[a] - v[b];
      double half = 0.5 * pieces[k] * across * across;
      heat[a >> 1] += half;
      heat[b >> 1] += half;
      all += 2 * half;
    }
    return all;
  }
}
