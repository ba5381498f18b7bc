package hammerman.simulation;

import hammerman.chain.Layout;
import hammerman.design.Design;
import hammerman.heat.ThermalLayout;
import hammerman.heat.ThermalNetwork;
import hammerman.interconnect.CellNetwork;

/**
 * Cells in their very places: what joins them, what they touch, and the heat of the strips that sit
 * on each.
 *
 * @param joined the strips as the cells meet them
 * @param touching the way heat takes
 * @param stripHeat made in strips and links at each cell in the last step, W
 * @param inBox resistance of what else gets warm in the box, Ω
 */
@SuppressWarnings("ArrayRecordComponent")
record InPlace(CellNetwork joined, ThermalNetwork touching, double[] stripHeat, double inBox) {

  /** Prepares a layout for one run in air of a temperature, K. */
  static InPlace of(Layout.Solved layout, Design design, double air) {
    ThermalLayout warm = layout.warm(design).withAir(air);
    int[] order = warm.order();
    return new InPlace(
        CellNetwork.of(
            layout.layout().plan().boxes(),
            layout.layout().arrangement(),
            layout.grouping(),
            layout.layout().plan().conductors(),
            design.pack().strip(),
            air),
        warm.network(order),
        new double[order.length],
        design.guard().inBox(air));
  }
}
