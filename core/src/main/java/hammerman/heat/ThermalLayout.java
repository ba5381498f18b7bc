package hammerman.heat;

import hammerman.cell.CellType;
import hammerman.fit.Container;
import hammerman.fit.Filling;
import hammerman.fit.Grouping;
import hammerman.fit.Packing;
import hammerman.fit.Placing;
import hammerman.interconnect.Network;
import hammerman.pack.Contact;
import hammerman.pack.Cooling;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * A layout as it warms: one thermal node for each cell and one for each box, C dT/dt = heat + Σ G
 * (T_j − T) + G_case (T_case − T), the box against the air by h A of its own outside.
 *
 * <p>Heat of a cell is its share of the current squared times its resistance; half of a piece of
 * strip's heat goes to either cell it sits on. A box has no heat capacity of its own; cells at the
 * rim see it through their open sides, all through the ends that no other layer covers. Layers
 * exchange heat end to end. What else gets warm in the box, as a BMS does, warms its air.
 * Neglected: reversible heat, heat from box to box, and that warmer cells of a group have a lower
 * resistance than their neighbours.
 *
 * @param boxes what the cells stand in
 * @param placing where cells stand
 * @param pattern how
 * @param grouping which group each belongs to
 * @param network currents at any current of the pack; shares hold for every other
 * @param cell the cell type
 * @param resistance of one cell as it makes heat, Ω; a heat profile's factors are over it
 * @param inBox resistance of what else carries the pack's current in the box of the first group, Ω
 * @param air temperature, K
 * @param filling what lies between
 * @param cooling how the box sheds heat
 * @param contact of cells with the box
 */
@RecordBuilder
public record ThermalLayout(
    List<Container> boxes,
    Placing placing,
    Packing.Pattern pattern,
    Grouping grouping,
    Network network,
    CellType cell,
    double resistance,
    double inBox,
    double air,
    Filling filling,
    Cooling cooling,
    Contact contact)
    implements ThermalLayoutBuilder.With {

  public ThermalLayout {
    boxes = List.copyOf(boxes);
  }

  /** Follows a heat profile, from the air's temperature. */
  public HeatMap through(HeatProfile profile) {
    return through(profile, Double.POSITIVE_INFINITY);
  }

  /** Follows a heat profile until its end or until the first cell is as hot as a limit, K. */
  public HeatMap through(HeatProfile profile, double limit) {
    return new Stepper(this, cellShares(), strapShares()).run(profile, limit);
  }

  /** Returns the heat shed per kelvin above the air if all cells are equally warm, W/K. */
  public double conductance() {
    return network(order()).conductance();
  }

  /** Returns the place of each cell, group by group. */
  public int[] order() {
    return IntStream.range(0, grouping.series())
        .flatMap(g -> Arrays.stream(grouping.members(g)))
        .toArray();
  }

  /** Returns the way that heat takes between cells and out, the cells numbered by this order. */
  public ThermalNetwork network(int[] order) {
    return new ThermalNetwork(this, order);
  }

  /** Heat of each cell over the pack's current squared, Ω. */
  private double[] cellShares() {
    double[] share = new double[grouping.places()];
    for (int k = 0; k < share.length; k++) {
      double i = network.cellCurrents()[k] / network.current();
      share[k] = i * i * resistance;
    }
    return share;
  }

  /** Heat of strips, links and contacts at each cell over the pack's current squared, Ω. */
  private double[] strapShares() {
    double[] share = new double[grouping.places()];
    double squared = network.current() * network.current();
    double contacts = network.contactHeat() / (grouping.series() * grouping.parallel()) / squared;
    for (int k = 0; k < share.length; k++) {
      share[k] = grouping.at(k) < 0 ? 0 : contacts;
    }
    network.segments().forEach(s -> settle(share, s, squared));
    network.links().forEach(s -> settle(share, s, squared));
    return share;
  }

  private static void settle(double[] share, Network.Segment s, double squared) {
    share[s.from()] += s.heat() / squared / 2;
    share[s.to()] += s.heat() / squared / 2;
  }
}
