package hammerman.guard;

import hammerman.unit.Figures;
import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * A resistor that fills the machine's input capacitors before the switch closes.
 *
 * <p>First-order circuit: τ = R C, 95 % after 3 τ, energy in the resistor ½ C V², first power V²/R,
 * first current V/R. The energy does not depend on R.
 *
 * @param resistance Ω
 * @param power rated, W
 */
@RecordBuilder
public record Precharge(@In(Unit.OHM) double resistance, @In(Unit.WATT) double power)
    implements PrechargeBuilder.With {
  /** How many times its rated power a wire-wound resistor stands for a second or so; typical. */
  private static final double PULSE_FACTOR = 10;

  /** Seconds for which that factor holds; typical. */
  private static final double PULSE_TIME = 1;

  public Precharge {
    Valid.range("Pre-charge resistance", resistance, 0.1, 100_000, Unit.OHM);
    Valid.range("Pre-charge resistor power", power, 0.05, 1000, Unit.WATT);
  }

  /** Returns resistance and power, such as “100 Ω, 5 W”. */
  public String text() {
    return Figures.compact(resistance) + " Ω, " + Figures.compact(power) + " W";
  }

  /** Returns the time to 95 % of the voltage, s. */
  public double time(double farads) {
    return 3 * resistance * farads;
  }

  /** Returns the first current, A. */
  public double current(double volts) {
    return volts / resistance;
  }

  /** Returns the energy that heats it, J. */
  public static double energy(double volts, double farads) {
    return 0.5 * farads * volts * volts;
  }

  /** Returns the first power, W. */
  public double peakPower(double volts) {
    return volts * volts / resistance;
  }

  /** Returns the energy it stands in one pulse, J: 10 times its rated power for a second. */
  public double pulseEnergy() {
    return PULSE_FACTOR * power * PULSE_TIME;
  }
}
