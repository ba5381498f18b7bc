package hammerman.fit;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import org.locationtech.jts.geom.Geometry;

/**
 * The box that there is.
 *
 * @param outline its floor, inside
 * @param depth its height, inside, m
 * @param keepOuts parts of the floor where no cell may stand: posts, wires, the BMS
 * @param exit where the leads leave
 * @param clearance kept from the walls for insulation and swelling, m
 */
@RecordBuilder
public record Container(
    Outline outline,
    @In(Unit.MILLIMETRE) double depth,
    List<Outline> keepOuts,
    Point exit,
    @In(Unit.MILLIMETRE) double clearance)
    implements ContainerBuilder.With {
  /** The largest floor, m²; it holds some 7,000 cells of the smallest usual size. */
  private static final double LARGEST = 2;

  public Container {
    Valid.range("Depth of the box", depth, 1e-3, 5, Unit.MILLIMETRE);
    keepOuts = List.copyOf(keepOuts);
    Valid.range("Floor of the box", outline.area(), 0, LARGEST, Unit.SQUARE_METRE);
    Valid.count("Keep-outs", keepOuts.size(), 0, 100);
    Valid.range("Clearance to the walls", clearance, 0, 0.1, Unit.MILLIMETRE);
  }

  /** The part of the floor in which the middle of a round cell of a radius (m) may lie. */
  Geometry room(double radius) {
    Geometry room = outline.shape().buffer(-(clearance + radius), 16);
    for (Outline k : keepOuts) {
      room = room.difference(k.shape().buffer(radius, 16));
    }
    return room;
  }

  /** The part of the floor that cells may cover. */
  Geometry floor() {
    Geometry floor = outline.shape().buffer(-clearance, 16);
    for (Outline k : keepOuts) {
      floor = floor.difference(k.shape());
    }
    return floor;
  }

  /** Returns this box with its outline moved out by a distance (m) on every side. */
  public Container grown(double by) {
    return withOutline(outline.grown(by));
  }

  /** Returns its outside without the thickness of its walls, m²: floor, lid and sides. */
  public double surface() {
    return 2 * outline.area() + outline.perimeter() * depth;
  }

  /** Returns how many layers of cells of a height (m) the depth takes. */
  public int layers(double height) {
    return (int) Math.floor((depth - 2 * clearance) / height + 1e-9);
  }
}
