package hammerman.prove;

import hammerman.cell.CellCircuit;
import hammerman.chain.Chain;
import hammerman.duty.Load;
import hammerman.simulation.CellPopulation;
import hammerman.simulation.Discharge;
import hammerman.simulation.Run;
import hammerman.simulation.Trace;
import hammerman.telemetry.Quantity;
import hammerman.telemetry.Telemetry;
import hammerman.unit.InvalidValue;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The forecast of the very load that was logged: the current of the log, from the state of charge
 * that its first voltage tells, in the air of the log or of the design. Nothing but an empty cell
 * ends it, so that it can be laid beside the log to its end.
 *
 * @param chain of the design
 * @param load as logged, in at most {@value #MOST} steps that keep its charge
 * @param time of each step's beginning, s
 * @param voltage logged in each step, V; not a number where there was none
 * @param startSoc state of charge at the start, 0 to 1
 * @param fromRest whether the log begins at rest, so that its first voltage tells the charge
 * @param air its temperature, K
 * @param run forecast of it
 */
@SuppressWarnings("ArrayRecordComponent")
public record Replay(
    Chain chain,
    Load load,
    double[] time,
    double[] voltage,
    double startSoc,
    boolean fromRest,
    double air,
    Run run) {
  /** The most steps; longer logs are averaged over equal numbers of samples. */
  static final int MOST = 14_000;

  public Replay {
    time = time.clone();
    voltage = voltage.clone();
  }

  @Override
  public double[] time() {
    return time.clone();
  }

  @Override
  public double[] voltage() {
    return voltage.clone();
  }

  /**
   * Replays a log.
   *
   * @throws InvalidValue if the log has no current, nor voltage and power
   */
  public static Replay of(Chain chain, Telemetry log) {
    RunFigures figures = RunFigures.of(log);
    if (Double.isNaN(figures.peakCurrent())) {
      throw new InvalidValue(
          "Log",
          "without a current",
          "needs a column of current, or of power and voltage",
          "Log the current too.");
    }
    boolean rests = figures.beginsAtRest();
    double soc =
        rests
            ? Math.clamp(
                new CellCircuit(chain.design().pack().cell())
                    .socAt(figures.firstVoltage() / chain.design().pack().series()),
                0.02,
                1)
            : chain.ceiling();
    double air =
        log.has(Quantity.TEMPERATURE) && Double.isFinite(log.at(Quantity.TEMPERATURE, 0))
            ? log.at(Quantity.TEMPERATURE, 0)
            : middle(chain);
    return of(chain, log, soc, rests, air);
  }

  private static double middle(Chain chain) {
    var air = chain.design().duty().surroundings();
    return 0.5 * (air.coldestInUse() + air.hottestInUse());
  }

  private static Replay of(Chain chain, Telemetry log, double soc, boolean rests, double air) {
    int each = Math.max(1, (log.size() + MOST - 1) / MOST);
    RunFigures.Holding holding = RunFigures.Holding.of(log);
    List<Load.Step> steps = new ArrayList<>();
    int bins = (log.size() + each - 1) / each;
    double[] time = new double[bins];
    double[] voltage = new double[bins];
    int used = 0;
    double at = 0;
    for (int from = 0; from < log.size(); from += each) {
      double charge = 0;
      double dt = 0;
      double way = 0;
      double volts = 0;
      int count = 0;
      int to = Math.min(log.size(), from + each);
      for (int k = from; k < to; k++) {
        double h = holding.of(log, k);
        double i = RunFigures.amperes(log, k);
        charge += Double.isFinite(i) ? i * h : 0;
        way +=
            log.has(Quantity.SPEED) && log.at(Quantity.SPEED, k) > 0
                ? log.at(Quantity.SPEED, k) * h
                : 0;
        dt += h;
        double v = log.has(Quantity.VOLTAGE) ? log.at(Quantity.VOLTAGE, k) : Double.NaN;
        if (Double.isFinite(v)) {
          volts += v;
          count++;
        }
      }
      if (dt > 0) {
        steps.add(new Load.Step(new Load.Current(charge / dt), dt, way / dt));
        time[used] = at;
        voltage[used++] = count > 0 ? volts / count : Double.NaN;
        at += dt;
      }
    }
    Load load = new Load(steps, 1);
    return new Replay(
        chain,
        load,
        Arrays.copyOf(time, used),
        Arrays.copyOf(voltage, used),
        soc,
        rests,
        air,
        run(chain, load, soc, air, 1, 1));
  }

  private static Run run(
      Chain chain, Load load, double soc, double air, double capacity, double resistance) {
    return Discharge.of(chain, load, Math.clamp(soc, 0.01, 1), air)
        .with(CellPopulation.of(chain.design().pack()).scaled(capacity, resistance))
        .withoutLimits()
        .run();
  }

  /** Returns the forecast with other cells: capacities and resistances by a factor. */
  public Run with(double soc, double capacity, double resistance) {
    return run(chain, load, soc, air, capacity, resistance);
  }

  /**
   * Returns the forecast voltage of each step of the log, its mean over the step, V; not a number
   * after the forecast's own end.
   */
  public double[] forecast(Run of) {
    Trace t = of.trace();
    double[] v = new double[time.length];
    int at = 0;
    for (int k = 0; k < v.length; k++) {
      double end = time[k] + load.steps().get(k).duration();
      double sum = 0;
      int count = 0;
      while (at < t.size() && t.at(Trace.Channel.TIME, at) < end - 1e-6) {
        if (t.at(Trace.Channel.TIME, at) > time[k] + 1e-6) {
          sum += t.at(Trace.Channel.VOLTAGE, at);
          count++;
        }
        at++;
      }
      // Where two steps meet the trace has the end of the one, then the beginning of the other.
      if (at < t.size() && t.at(Trace.Channel.TIME, at) <= end + 1e-6) {
        sum += t.at(Trace.Channel.VOLTAGE, at++);
        count++;
      }
      v[k] = count == 0 || end > of.endTime() + 1e-6 ? Double.NaN : sum / count;
    }
    return v;
  }

  /** Returns the root mean square of what lies between log and a forecast, V. */
  public double rms(Run of) {
    double[] v = forecast(of);
    double sum = 0;
    int n = 0;
    for (int k = 0; k < v.length; k++) {
      double d = v[k] - voltage[k];
      if (Double.isFinite(d)) {
        sum += d * d;
        n++;
      }
    }
    return n > 0 ? Math.sqrt(sum / n) : Double.NaN;
  }
}
