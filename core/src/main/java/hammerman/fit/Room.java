package hammerman.fit;

import hammerman.cell.CellFormat;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/** How much larger a box must be for more cells. */
public final class Room {
  private static final double FARTHEST = 0.3;
  private static final double FINE = 0.5e-3;

  private Room() {}

  /**
   * Returns how far the outline of the first box must move out on every side, its layers and the
   * other boxes staying, until a number of cells fit, m, to half a millimetre; empty if 300 mm is
   * not enough. By bisection, so exact only where more room never means fewer cells.
   */
  public static OptionalDouble forCells(
      List<Container> boxes, CellFormat format, Packing packing, int cells) {
    if (!fits(boxes, format, packing, cells, FARTHEST)) {
      return OptionalDouble.empty();
    }
    double low = 0;
    double high = FARTHEST;
    while (high - low > FINE) {
      double middle = 0.5 * (low + high);
      if (fits(boxes, format, packing, cells, middle)) {
        high = middle;
      } else {
        low = middle;
      }
    }
    return OptionalDouble.of(high);
  }

  private static boolean fits(
      List<Container> boxes, CellFormat format, Packing packing, int cells, double by) {
    Container first = boxes.getFirst();
    // More cells than its area could hold need no search.
    double area = first.outline().grown(by).area() * Math.max(1, first.layers(format.height()));
    if (boxes.size() == 1 && area < cells * 0.85 * format.packedFootprint()) {
      return false;
    }
    List<Container> grown = new ArrayList<>(boxes);
    grown.set(0, first.grown(by));
    return Placing.of(grown, format, packing).places().size() >= cells;
  }
}
