package hammerman.app.station.cell;

import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import java.util.List;

/** Voltage of one cell over the charge taken out: lines with their names in the free corner. */
final class CellCurve extends Picture {
  private String voltageName = "Voltage of one cell, V";
  private List<Line> lines = List.of();

  /**
   * One line.
   *
   * @param name direct label
   * @param role its colour
   * @param thickness px; tells lines apart without colour
   * @param dots whether single readings are drawn instead of a line
   * @param charge taken out, Ah
   * @param voltage V
   */
  @SuppressWarnings("ArrayRecordComponent")
  record Line(
      String name, Role role, double thickness, boolean dots, double[] charge, double[] voltage) {
    double most() {
      return charge.length == 0 ? 0 : charge[charge.length - 1];
    }
  }

  CellCurve() {
    super("Voltage of one cell over the charge taken out");
  }

  void show(String axis, List<Line> value) {
    voltageName = axis;
    lines = List.copyOf(value);
    redraw();
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    double far = 0;
    double low = 10;
    double high = 0;
    for (Line line : lines) {
      far = Math.max(far, line.most());
      for (double v : line.voltage()) {
        low = Math.min(low, v);
        high = Math.max(high, v);
      }
    }
    if (far <= 0 || high <= low) {
      return;
    }
    Scale x = new Scale(0, far * 1.04, 46, width - 16);
    Scale y = new Scale(low - 0.08, high + 0.1, height - 26, 26);
    Plot plot = new Plot(pen, x, y).vertical(voltageName).horizontal("Charge taken out, Ah");
    double row = y.to() + 8;
    for (Line line : lines) {
      if (line.charge().length < 2) {
        continue;
      }
      if (line.dots()) {
        for (int k = 0; k < line.charge().length; k++) {
          pen.dot(line.role(), x.at(line.charge()[k]), y.at(line.voltage()[k]), 1.6);
        }
      } else {
        plot.curve(line.role(), line.thickness(), line.charge(), line.voltage());
      }
      key(pen, line, x.to(), row);
      row += 16;
    }
  }

  /** Names a curve in the corner that falling curves leave free. */
  private static void key(Pen pen, Line line, double right, double y) {
    if (line.dots()) {
      for (int k = 0; k < 3; k++) {
        pen.dot(line.role(), right - 3 - 8 * k, y, 1.6);
      }
    } else {
      pen.line(line.role(), line.thickness(), right - 22, y, right, y);
    }
    pen.tagBefore(line.role(), Pen.TEXT, right - 28, y, line.name());
  }
}
