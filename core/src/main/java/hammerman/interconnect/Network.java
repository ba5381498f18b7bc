package hammerman.interconnect;

import hammerman.fit.Arrangement;
import hammerman.fit.Container;
import hammerman.fit.Grouping;
import hammerman.pack.Conductors;
import hammerman.pack.Strip;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The currents of a layout: every cell a source behind its resistance and two contacts, every
 * touching pair that a plate joins a piece of strip, links where groups do not touch, the leads
 * taken off at the end groups. Kirchhoff's node equations, solved by a sparse factor.
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
    NodeEquations equations =
        new NodeEquations(boxes, arrangement.placing(), grouping, conducting, led, kelvin);
    return new Solver(conducting, equations, grouping, cellResistance, led.joint().contact())
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

  private static final class Solver {
    private final Pieces conducting;
    private final NodeEquations equations;
    private final Grouping grouping;
    private final double cellResistance;
    private final double contact;
    private final double branchConductance;

    Solver(
        Pieces conducting,
        NodeEquations equations,
        Grouping grouping,
        double cellResistance,
        double contact) {
      this.conducting = conducting;
      this.equations = equations;
      this.grouping = grouping;
      this.cellResistance = cellResistance;
      this.contact = contact;
      branchConductance = 1 / (cellResistance + 2 * contact);
    }

    Network solve(double current) {
      int cells = equations.cells();
      double[] conducts = new double[cells];
      Arrays.fill(conducts, branchConductance);
      equations.factor(conducts);
      double[] injected = equations.drawn(current);
      for (int k = 0; k < cells; k++) {
        // A source of 1 V behind the resistance, as a current between its ends.
        injected[equations.plus()[k]] += branchConductance;
        injected[equations.minus()[k]] -= branchConductance;
      }
      double[] volts = injected.clone();
      equations.solve(volts);
      return result(current, volts, injected);
    }

    private Network result(double current, double[] v, double[] injected) {
      double[] cell = new double[grouping.places()];
      double[] balance = injected.clone();
      double contacts = 0;
      for (int k = 0; k < equations.cells(); k++) {
        int plus = equations.plus()[k];
        int minus = equations.minus()[k];
        double through = (v[plus] - v[minus]) * branchConductance;
        double i = branchConductance - through;
        cell[equations.order()[k]] = i;
        contacts += i * i * 2 * contact;
        balance[minus] += through;
        balance[plus] -= through;
      }
      List<Segment> segments = solved(conducting.pieces(), v, balance);
      List<Segment> links = solved(conducting.links(), v, balance);
      double worst = 0;
      for (int k = 0; k < balance.length; k++) {
        worst = Math.max(worst, k == equations.reference() ? 0 : Math.abs(balance[k]));
      }
      return new Network(
          current, cell, segments, links, extra(current, v), contacts, worst / current);
    }

    private List<Segment> solved(List<Pieces.Piece> pieces, double[] v, double[] balance) {
      List<Segment> segments = new ArrayList<>(pieces.size());
      for (Pieces.Piece p : pieces) {
        int a = equations.from(p);
        int b = equations.to(p);
        double g = equations.conductance(p);
        double i = (v[a] - v[b]) * g;
        balance[a] -= i;
        balance[b] += i;
        segments.add(new Segment(p.from(), p.to(), p.plate(), p.strip(), p.length(), i, i * i / g));
      }
      return segments;
    }

    /** What is added to S/P · R, from the voltage between the take-offs. */
    private double extra(double current, double[] v) {
      double[] probe = equations.drawn(-1);
      double between = 0;
      for (int k = 0; k < v.length; k++) {
        between += probe[k] * v[k];
      }
      double ideal = grouping.series() * (1 - current / grouping.parallel() * cellResistance);
      return (ideal - between) / current;
    }
  }
}
