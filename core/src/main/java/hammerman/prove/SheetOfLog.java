package hammerman.prove;

import hammerman.record.RunCondition;
import hammerman.record.RunResult;
import hammerman.record.RunSheet;
import hammerman.telemetry.Telemetry;
import java.util.EnumMap;
import java.util.Map;

/** What a log says for itself, as it is written down with the run. */
public final class SheetOfLog {
  /** Less than this share of the energy given back is a meter's noise about zero. */
  private static final double NOISE = 1e-3;

  private SheetOfLog() {}

  /** Returns the sheet with the results of its log, and the conditions that the log tells. */
  public static RunSheet of(Telemetry log, RunSheet sheet) {
    RunFigures f = RunFigures.of(log);
    Map<RunResult, Double> results = new EnumMap<>(RunResult.class);
    put(results, RunResult.DURATION, f.duration());
    put(results, RunResult.CHARGE, f.charge());
    put(results, RunResult.ENERGY, f.energy());
    if (f.energyBack() > NOISE * f.energy()) {
      put(results, RunResult.REGENERATED, f.energyBack());
    }
    put(results, RunResult.PEAK_CURRENT, f.peakCurrent());
    put(results, RunResult.PEAK_POWER, f.peakPower());
    put(results, RunResult.LOWEST_VOLTAGE, f.lowestVoltage());
    put(results, RunResult.HOTTEST, f.hottest());
    put(results, RunResult.RESISTANCE, f.resistance());
    if (f.distance() > 0) {
      put(results, RunResult.DISTANCE, f.distance());
    }
    RunSheet now = sheet;
    for (Map.Entry<RunResult, Double> e : results.entrySet()) {
      now = now.withResult(e.getKey(), e.getValue());
    }
    if (now.figure(RunCondition.START_VOLTAGE).isEmpty()
        && f.beginsAtRest()
        && RunResult.LOWEST_VOLTAGE.allows(f.firstVoltage())) {
      now = now.withFigure(RunCondition.START_VOLTAGE, f.firstVoltage());
    }
    return now;
  }

  private static void put(Map<RunResult, Double> results, RunResult r, double value) {
    // A log may hold a reading that cannot be; the run is kept without what it would give.
    if (r.allows(value)) {
      results.put(r, value);
    }
  }
}
