package hammerman.app.station.cell;

import hammerman.app.picture.Role;
import hammerman.app.station.cell.CellCurve.Line;
import hammerman.cell.CellCircuit;
import hammerman.cell.CellType;
import hammerman.design.Design;
import hammerman.duty.Load;
import hammerman.simulation.Discharge;
import hammerman.simulation.Run;
import hammerman.simulation.Trace;
import java.util.Arrays;

/** Lines of one cell: at rest, and discharged at a current. */
final class DutyCurves {
  private static final int POINTS = 101;

  private DutyCurves() {}

  static Line rest(CellType cell) {
    CellCircuit circuit = new CellCircuit(cell);
    double[] charge = new double[POINTS];
    double[] voltage = new double[POINTS];
    for (int k = 0; k < POINTS; k++) {
      double gone = (double) k / (POINTS - 1);
      charge[k] = cell.capacity() * gone;
      voltage[k] = circuit.openCircuit(1 - gone);
    }
    return new Line("at rest", Role.COOL, 1.5, false, charge, voltage);
  }

  /**
   * A discharge from full to the cut-off.
   *
   * @param design gives the pack around the cell
   * @param current of one cell, A
   * @param kelvin air temperature
   */
  static Line discharge(
      String name,
      Role role,
      double thickness,
      Design design,
      CellType cell,
      double current,
      double kelvin) {
    double held = Math.max(current, 0.01);
    Run run =
        Discharge.bare(
                design.pack().withCell(cell).withCounts(1, 1),
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
    return new Line(
        name, role, thickness, false, Arrays.copyOf(charge, used), Arrays.copyOf(voltage, used));
  }
}
