package hammerman.prove;

import hammerman.chain.Chain;
import hammerman.duty.Load;
import hammerman.record.RunResult;
import hammerman.record.RunSheet;
import hammerman.simulation.Discharge;
import hammerman.simulation.Run;
import hammerman.simulation.Trace;
import hammerman.telemetry.Quantity;
import hammerman.telemetry.Telemetry;
import java.util.EnumMap;
import java.util.Map;

/**
 * What a run would have given from another charge, in other air, or under another load: the engine
 * runs it both ways, and the difference is added to what was measured. Nothing else is corrected
 * for; what else changed stays in the results.
 *
 * @param shift by which each result moves, in the core's unit
 */
public record Correction(Map<RunResult, Double> shift) {
  /**
   * Where a run begins.
   *
   * @param soc state of charge, 0 to 1
   * @param air temperature of air and pack, K
   */
  public record Start(double soc, double air) {}

  public Correction {
    shift = shift.isEmpty() ? Map.of() : Map.copyOf(shift);
  }

  /**
   * Works it out.
   *
   * @param load of the run, mostly the power that was logged
   * @param was where it began
   * @param wantedLoad that it shall have drawn; the same where only its start is corrected
   * @param wanted where it shall have begun
   */
  public static Correction of(Chain chain, Load load, Start was, Load wantedLoad, Start wanted) {
    Run before = run(chain, load, was);
    Run after = run(chain, wantedLoad, wanted);
    Map<RunResult, Double> shift = new EnumMap<>(RunResult.class);
    shift.put(
        RunResult.LOWEST_VOLTAGE,
        after.extremes().lowestVoltage() - before.extremes().lowestVoltage());
    shift.put(
        RunResult.PEAK_CURRENT, after.extremes().peakCurrent() - before.extremes().peakCurrent());
    shift.put(
        RunResult.HOTTEST,
        after.extremes().peakTemperature() - before.extremes().peakTemperature());
    double resistance = resistance(after) - resistance(before);
    if (Double.isFinite(resistance)) {
      shift.put(RunResult.RESISTANCE, resistance);
    }
    shift.put(RunResult.CHARGE, after.totals().delivered() - before.totals().delivered());
    if (!load.equals(wantedLoad)) {
      shift.put(RunResult.ENERGY, after.totals().energyOut() - before.totals().energyOut());
      shift.put(RunResult.PEAK_POWER, after.extremes().peakPower() - before.extremes().peakPower());
    }
    return new Correction(shift);
  }

  /** Resistance of a forecast run, by the very regression that its log would go through. */
  private static double resistance(Run run) {
    Trace t = run.trace();
    double[] time = new double[t.size()];
    double[] volts = new double[t.size()];
    double[] amperes = new double[t.size()];
    for (int k = 0; k < t.size(); k++) {
      time[k] = t.at(Trace.Channel.TIME, k);
      volts[k] = t.at(Trace.Channel.VOLTAGE, k);
      amperes[k] = t.at(Trace.Channel.CURRENT, k);
    }
    return Telemetry.of(
            "forecast",
            Map.of(Quantity.TIME, time, Quantity.VOLTAGE, volts, Quantity.CURRENT, amperes))
        .map(log -> RunFigures.of(log).resistance())
        .orElse(Double.NaN);
  }

  private static Run run(Chain chain, Load load, Start from) {
    return Discharge.of(chain, load, Math.clamp(from.soc(), 0.02, 1), from.air())
        .withoutLimits()
        .run();
  }

  /** Returns a sheet with its results corrected. */
  public RunSheet applied(RunSheet sheet) {
    RunSheet now = sheet;
    for (Map.Entry<RunResult, Double> e : shift.entrySet()) {
      var has = sheet.result(e.getKey());
      if (has.isPresent()) {
        now = now.withResult(e.getKey(), Math.max(0, has.getAsDouble() + e.getValue()));
      }
    }
    return now;
  }
}
