package hammerman.chain;

import hammerman.cell.CellCircuit;
import hammerman.design.Design;
import hammerman.numeric.Source;
import hammerman.pack.Assembly;

/**
 * The current path of a design as resistances, without time: what a steady current does to the
 * voltage at the machine.
 *
 * @param design the design
 * @param circuit its cell's circuit
 * @param assembly how its pack is put together
 */
public record Path(Design design, CellCircuit circuit, Assembly assembly) {

  /** How long after a step of current the voltage is taken. */
  public enum Settling {
    /** At once: ohmic drop only. */
    OHMIC,
    /** After 10 s: the resistance R10. */
    TEN_SECONDS,
    /** When both RC branches have settled. */
    SETTLED
  }

  static Path of(Design design, Assembly assembly) {
    return new Path(design, new CellCircuit(design.pack().cell()), assembly);
  }

  /** Returns the resistance of the cells, Ω. */
  public double cells(double soc, double kelvin, Settling settling) {
    double cell =
        switch (settling) {
          case OHMIC -> circuit.ohmic(soc, kelvin);
          case TEN_SECONDS -> circuit.r10(soc, kelvin);
          case SETTLED -> circuit.settled(soc, kelvin);
        };
    return cell * design.pack().series() / design.pack().parallel();
  }

  /** Returns the resistance of everything outside the cells, Ω. */
  public double outside(double kelvin) {
    return assembly.stripResistance(kelvin) + design.guard().resistance(kelvin);
  }

  /** Returns the open-circuit voltage of the pack, V. */
  public double openCircuit(double soc) {
    return design.pack().series() * circuit.openCircuit(soc);
  }

  /** Returns the resistance of the cells and of everything outside them, Ω. */
  public double resistance(double soc, double kelvin, Settling settling) {
    return cells(soc, kelvin, settling) + outside(kelvin);
  }

  /**
   * Returns the voltage at the machine under a current, V; 0 where the pack cannot give it, even
   * shorted.
   */
  public double voltage(double current, double soc, double kelvin, Settling settling) {
    return Math.max(0, openCircuit(soc) - current * resistance(soc, kelvin, settling));
  }

  /**
   * Returns the current that gives a power at the machine 10 s on, A: I = (E − √(E² − 4RP)) / 2R;
   * at the most the current of greatest power, E/2R.
   */
  public double currentFor(double watts, double soc, double kelvin) {
    double e = openCircuit(soc);
    double r = resistance(soc, kelvin, Settling.TEN_SECONDS);
    return Source.currentAtMost(e, r, watts);
  }
}
