package hammerman.fit;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;

/** A point of the box's floor, m. */
public record Point(@In(Unit.MILLIMETRE) double x, @In(Unit.MILLIMETRE) double y) {
  private static final double FARTHEST = 10;

  public Point {
    Valid.range("x of a point", x, -FARTHEST, FARTHEST, Unit.MILLIMETRE);
    Valid.range("y of a point", y, -FARTHEST, FARTHEST, Unit.MILLIMETRE);
  }

  /** Returns the distance to another point, m. */
  public double to(Point other) {
    return Math.hypot(x - other.x, y - other.y);
  }
}
