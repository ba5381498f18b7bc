package hammerman.remedy;

import hammerman.cell.CellCircuit;
import hammerman.numeric.Middle;
import hammerman.pack.Pack;
import hammerman.unit.Figures;
import hammerman.unit.Reference;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;

/**
 * Rest voltages brought level: which group, or which cell, to bring up or down, by how much charge,
 * with what, and how long that takes. Charge: what lies between the states of charge that the
 * open-circuit curve gives for the two voltages, times the capacity; on the flat part of a
 * phosphate cell's curve a few millivolts are much charge, and that is said. Current when two are
 * joined in parallel: ΔV over both ohmic resistances at 25 °C.
 *
 * @param middle rest voltage that all are brought to, V
 * @param parts one for each voltage, in their order
 */
public record Levelling(double middle, List<Part> parts) {
  /**
   * Below this the voltage tells no difference, V; a meter's last digit and a millivolt of rest.
   */
  public static final double LEVEL = 5e-3;

  /** What a charger for one cell gives at most, A; typical of the hobby. */
  private static final double CHARGER = 5;

  /** What a resistor that is at hand takes, A. */
  private static final double RESISTOR = 2;

  /** Slope of the curve below which a voltage hardly tells the charge, V for all of it. */
  private static final double FLAT = 0.2;

  /**
   * What to do with one.
   *
   * @param volts as read, V
   * @param charge to put in, Ah; below 0 to take out; 0 if it is level
   * @param current that does it gently, A
   * @param time it takes, s
   * @param joined current that would flow at once if it were joined in parallel to one at the
   *     middle, A
   * @param advice in words
   */
  public record Part(
      double volts, double charge, double current, double time, double joined, String advice) {}

  public Levelling {
    parts = List.copyOf(parts);
  }

  /**
   * Works it out.
   *
   * @param pack whose cells they are
   * @param volts rest voltage of each, V
   * @param parallel cells in each: the pack's parallel count for groups, 1 for single cells
   */
  public static Levelling of(Pack pack, double[] volts, int parallel) {
    double middle = Middle.of(volts, LEVEL).median();
    CellCircuit circuit = new CellCircuit(pack.cell());
    List<Part> parts = new ArrayList<>();
    for (double v : volts) {
      parts.add(part(pack, circuit, v, middle, parallel));
    }
    return new Levelling(middle, parts);
  }

  /** Returns the charge that brings a rest voltage to another, Ah; below 0 to take out. */
  static double charge(Pack pack, double from, double to, int parallel) {
    var curve = pack.cell().openCircuit();
    return (curve.inverse(to) - curve.inverse(from)) * pack.cell().capacity() * parallel;
  }

  private static Part part(Pack pack, CellCircuit circuit, double v, double middle, int parallel) {
    double soc = Math.clamp(circuit.socAt(v), 0, 1);
    double r = 2 * circuit.ohmic(soc, Reference.ROOM) / parallel;
    double joined = Math.abs(v - middle) / r;
    if (v < pack.cell().cutOffVoltage() - 0.3) {
      return new Part(
          v, 0, 0, 0, joined, "It sat below its cut-off: never revive it. Put it aside as waste.");
    }
    if (Math.abs(v - middle) <= LEVEL) {
      return new Part(v, 0, 0, 0, joined, "level");
    }
    double charge = charge(pack, v, middle, parallel);
    double amperes =
        Math.min(
            pack.cell().currents().standardCharge() * parallel, charge > 0 ? CHARGER : RESISTOR);
    double ohms = v / amperes;
    String flat =
        slope(circuit, soc) < FLAT
            ? " The curve is flat here: the charge is a guess, so look again after half of it."
            : "";
    String how =
        charge > 0
            ? "Bring up with a charger for one cell, set to %s and at most %s."
                .formatted(Figures.of(middle, Unit.VOLT, 3), Figures.of(amperes, Unit.AMPERE))
            : "Bring down through %s that stands %s."
                .formatted(Figures.of(ohms, Unit.OHM), Figures.atLeast(v * amperes, Unit.WATT));
    return new Part(v, charge, amperes, 3600 * Math.abs(charge) / amperes, joined, how + flat);
  }

  private static double slope(CellCircuit circuit, double soc) {
    double low = Math.max(0, soc - 0.05);
    double high = Math.min(1, soc + 0.05);
    return (circuit.openCircuit(high) - circuit.openCircuit(low)) / (high - low);
  }
}
