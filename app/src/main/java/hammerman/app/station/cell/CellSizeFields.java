package hammerman.app.station.cell;

import hammerman.app.control.Form;
import hammerman.cell.CellFormat;
import hammerman.cell.CellType;
import hammerman.project.Project;
import hammerman.unit.Unit;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/** The shape and size of a cell as fields; another shape takes over what sizes it can. */
final class CellSizeFields {
  private final Form form;
  private final Function<Project, CellType> cell;
  private final BiFunction<Project, Function<CellType, CellType>, Project> own;

  /** The shapes that a cell can have. */
  private enum Shape {
    ROUND("Round"),
    BLOCK("Prismatic"),
    POUCH("Pouch");

    private final String label;

    Shape(String label) {
      this.label = label;
    }

    static Shape of(CellFormat format) {
      return switch (format) {
        case CellFormat.Cylinder c -> ROUND;
        case CellFormat.Block b -> b.pouch() ? POUCH : BLOCK;
      };
    }

    CellFormat of(double width, double thickness, double height) {
      return switch (this) {
        case ROUND -> new CellFormat.Cylinder(thickness, height);
        case BLOCK -> new CellFormat.Block(width, thickness, height, false);
        case POUCH -> new CellFormat.Block(width, thickness, height, true);
      };
    }
  }

  private CellSizeFields(
      Form form,
      Function<Project, CellType> cell,
      BiFunction<Project, Function<CellType, CellType>, Project> own) {
    this.form = form;
    this.cell = cell;
    this.own = own;
  }

  /**
   * Adds the fields.
   *
   * @param cell of a project
   * @param own changes it
   */
  static void add(
      Form form,
      Function<Project, CellType> cell,
      BiFunction<Project, Function<CellType, CellType>, Project> own) {
    new CellSizeFields(form, cell, own).fields();
  }

  private void fields() {
    form.section("Shape and size")
        .choice(
            "Shape",
            List.of(Shape.values()),
            s -> s.label,
            p -> Shape.of(format(p)),
            (p, s) -> with(p, f -> s.of(width(f), thickness(f), f.height())));
    form.quantityWhen(
        p -> Shape.of(format(p)) == Shape.ROUND,
        "Diameter",
        Unit.MILLIMETRE,
        p -> thickness(format(p)),
        (p, v) -> with(p, f -> Shape.of(f).of(v, v, f.height())));
    form.quantityWhen(
        p -> Shape.of(format(p)) != Shape.ROUND,
        "Width",
        Unit.MILLIMETRE,
        p -> width(format(p)),
        (p, v) -> with(p, f -> Shape.of(f).of(v, thickness(f), f.height())));
    form.quantityWhen(
        p -> Shape.of(format(p)) != Shape.ROUND,
        "Thickness",
        Unit.MILLIMETRE,
        p -> thickness(format(p)),
        (p, v) -> with(p, f -> Shape.of(f).of(width(f), v, f.height())));
    form.quantity(
        "Height",
        Unit.MILLIMETRE,
        p -> format(p).height(),
        (p, v) -> with(p, f -> Shape.of(f).of(width(f), thickness(f), v)));
  }

  private CellFormat format(Project p) {
    return cell.apply(p).format();
  }

  private Project with(Project p, UnaryOperator<CellFormat> change) {
    return own.apply(p, c -> c.withFormat(change.apply(c.format())));
  }

  private static double width(CellFormat format) {
    return switch (format) {
      case CellFormat.Cylinder c -> c.diameter();
      case CellFormat.Block b -> b.width();
    };
  }

  private static double thickness(CellFormat format) {
    return switch (format) {
      case CellFormat.Cylinder c -> c.diameter();
      case CellFormat.Block b -> b.thickness();
    };
  }
}
