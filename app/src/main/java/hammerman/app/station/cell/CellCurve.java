package hammerman.app.station.cell;

import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.cell.CellCircuit;
import hammerman.cell.CellType;
import hammerman.chain.Demand;
import hammerman.duty.Load;
import hammerman.forecast.Forecast;
import hammerman.simulation.Discharge;
import hammerman.simulation.Run;
import hammerman.simulation.Trace;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The cell's voltage over the charge taken out: at rest, and at the duty's own currents. */
final class CellCurve extends Picture {
  private static final int POINTS = 101;
  private @Nullable Curves curves;

  /**
   * What is drawn.
   *
   * @param cell the cell
   * @param temperature of the discharges, K
   * @param discharges one for each current
   */
  record Curves(CellType cell, double temperature, List<Curve> discharges) {
    /** Works the curves out for the duty's own currents per cell. */
    static Curves of(Forecast f) {
      CellType cell = f.design().pack().cell();
      Demand demand = f.chain().demand();
      int p = f.design().pack().parallel();
      double cold = f.design().duty().surroundings().coldestInUse();
      List<Curve> list = new ArrayList<>();
      list.add(curve(f, demand.continuous() / p, cold));
      list.add(curve(f, demand.peak() / p, cold));
      return new Curves(cell, cold, list);
    }

    private static Curve curve(Forecast f, double current, double kelvin) {
      double held = Math.max(current, 0.01);
      CellType cell = f.design().pack().cell();
      Run run =
          Discharge.bare(
                  f.design().pack().withCounts(1, 1),
                  Load.current(held, Math.min(1.5 * 3600 * cell.capacity() / held, Load.LONGEST)),
                  1,
                  kelvin)
              .run();
      Trace t = run.trace();
      int n = Math.min(POINTS, t.size());
      double[] charge = new double[n];
      double[] voltage = new double[n];
      int used = 0;
      for (int k = 0; k < n; k++) {
        int at = (int) Math.round((double) k * (t.size() - 1) / (n - 1));
        charge[k] = t.at(Trace.Channel.TIME, at) * held / 3600;
        voltage[k] = t.at(Trace.Channel.VOLTAGE, at);
        used = voltage[k] >= cell.cutOffVoltage() ? k + 1 : used;
      }
      return new Curve(held, Arrays.copyOf(charge, used), Arrays.copyOf(voltage, used));
    }
  }

  /** A discharge: current in A, charge in Ah, voltage in V. */
  @SuppressWarnings("ArrayRecordComponent")
  record Curve(double current, double[] charge, double[] voltage) {}

  CellCurve() {
    super("Voltage of one cell over the charge taken out");
  }

  void show(Curves value) {
    curves = value;
    redraw();
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    if (curves == null) {
      return;
    }
    CellType cell = curves.cell();
    Scale x = new Scale(0, cell.capacity() * 1.08, 46, width - 16);
    Scale y = new Scale(cell.cutOffVoltage() - 0.1, cell.fullVoltage() + 0.1, height - 26, 26);
    Plot plot =
        new Plot(pen, x, y)
            .vertical(
                "Voltage of one cell at "
                    + Figures.of(curves.temperature(), Unit.CELSIUS, 0)
                    + ", V")
            .horizontal("Charge taken out, Ah");
    plot.level(Role.SOFT, cell.cutOffVoltage(), "cut-off", false);
    rest(plot, cell);
    String[] names = {"heaviest ten minutes", "hardest moment"};
    double row = y.to() + 8;
    key(pen, Role.COOL, 1.5, x.to(), row, "at rest");
    for (int k = 0; k < curves.discharges().size(); k++) {
      Curve c = curves.discharges().get(k);
      if (c.charge().length < 2) {
        continue;
      }
      double thickness = k == 0 ? 1.2 : 2.8;
      plot.curve(Role.HOT, thickness, c.charge(), c.voltage());
      row += 16;
      key(
          pen,
          Role.HOT,
          thickness,
          x.to(),
          row,
          Figures.of(c.current(), Unit.AMPERE) + ", " + names[k]);
    }
  }

  /** Names a curve in the corner that falling curves leave free. */
  private static void key(
      Pen pen, Role role, double thickness, double right, double y, String name) {
    pen.line(role, thickness, right - 22, y, right, y);
    pen.wordsBefore(role, Pen.TEXT, right - 28, y, name);
  }

  private static void rest(Plot plot, CellType cell) {
    double[] xs = new double[POINTS];
    double[] ys = new double[POINTS];
    for (int k = 0; k < POINTS; k++) {
      xs[k] = cell.capacity() * k / (POINTS - 1);
      ys[k] = restAt(cell, 1 - (double) k / (POINTS - 1));
    }
    plot.curve(Role.COOL, 1.5, xs, ys);
  }

  private static double restAt(CellType cell, double soc) {
    return new CellCircuit(cell).openCircuit(soc);
  }
}
