package hammerman.heat;

import hammerman.cell.CellType;
import hammerman.fit.Filling;
import hammerman.fit.Grouping;
import hammerman.fit.Packing;
import hammerman.fit.Placing;
import hammerman.interconnect.Network;
import hammerman.pack.Cooling;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Arrays;
import java.util.OptionalDouble;

/**
 * A layout as it warms: one thermal node for each cell and one for the case, C dT/dt = heat + Σ G
 * (T_j − T) + G_case (T_case − T), the case against the air by h A.
 *
 * <p>Heat of a cell is its share of the current squared times its settled resistance; half of a
 * piece of strip's heat goes to either cell it sits on. The case has no heat capacity of its own;
 * cells at the rim see it through their open sides, all through their ends. Neglected: reversible
 * heat, heat between layers, and the change of resistance as cells warm.
 *
 * @param placing where cells stand
 * @param pattern how
 * @param grouping which group each belongs to
 * @param network currents at any current of the pack; shares hold for every other
 * @param cell the cell type
 * @param resistance of one cell as it makes heat, settled, Ω
 * @param air temperature, K
 * @param filling what lies between
 * @param cooling how the box sheds heat
 * @param contact of cells with the case
 */
@RecordBuilder
public record WarmLayout(
    Placing placing,
    Packing.Pattern pattern,
    Grouping grouping,
    Network network,
    CellType cell,
    double resistance,
    double air,
    Filling filling,
    Cooling cooling,
    Contact contact)
    implements WarmLayoutBuilder.With {

  /**
   * How cells touch the case.
   *
   * @param end conductance per area of their ends, W/(m² K)
   * @param side conductance per area of their open sides, W/(m² K)
   */
  public record Contact(double end, double side) {
    /** Typical of cells in a box with insulation between. */
    public static final Contact USUAL = new Contact(12, 8);
  }

  /** The longest full effort followed, s. */
  private static final int LONGEST = 4 * 3600;

  /**
   * Steps through a time, from the air's temperature.
   *
   * @param currents of the pack, A, one for each second
   */
  public HeatMap through(double[] currents) {
    return stepper().run(currents, Double.POSITIVE_INFINITY);
  }

  /**
   * Returns when the first cell reaches a limit (K) at a steady current (A), s; empty if it does
   * not within four hours.
   */
  public OptionalDouble timeTo(double limit, double current) {
    double[] steady = new double[LONGEST];
    Arrays.fill(steady, current);
    HeatMap map = stepper().run(steady, limit);
    return map.hottest() >= limit ? OptionalDouble.of(map.hottestTime()) : OptionalDouble.empty();
  }

  private Stepper stepper() {
    int n = grouping.group().length;
    double[] share = new double[n];
    double contacts = network.contactHeat() / (grouping.series() * grouping.parallel());
    for (int k = 0; k < n; k++) {
      double i = network.cellCurrents()[k] / network.current();
      share[k] =
          grouping.group()[k] < 0
              ? 0
              : i * i * resistance + contacts / (network.current() * network.current());
    }
    network.segments().forEach(s -> settle(share, s));
    network.links().forEach(s -> settle(share, s));
    int cells = grouping.series() * grouping.parallel();
    double height = placing.footprint().height();
    double side = Math.sqrt(cells * cell.format().packedFootprint());
    double outside = cooling.heatTransfer() * (2 * side * side + 4 * side * height);
    return new Stepper(this, share, outside);
  }

  private void settle(double[] share, Network.Segment s) {
    double per = s.heat() / (network.current() * network.current());
    share[s.from()] += per / 2;
    share[s.to()] += per / 2;
  }
}
