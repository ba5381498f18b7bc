package hammerman.forecast;

import hammerman.cell.Health;
import hammerman.chain.Chain;
import hammerman.chain.Path;
import hammerman.duty.Load;
import hammerman.heat.HeatMap;
import hammerman.heat.HeatProfile;
import hammerman.heat.ThermalLayout;
import hammerman.numeric.Root;
import hammerman.simulation.Outcome;
import hammerman.simulation.Run;
import hammerman.simulation.Trace;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How warm the pack gets in the hottest air: as one lump, and cell by cell where its layout is
 * known.
 *
 * @param settled temperature of the lump at the continuous current held for ever, K
 * @param timeToLimit time at full effort until the hottest cell's limit, s; absent if the pack ends
 *     first
 * @param conductance heat shed per kelvin above the air, W/K
 * @param map temperatures of each cell through the duty, if the layout is known
 */
public record Thermal(
    double settled, OptionalDouble timeToLimit, double conductance, Optional<HeatMap> map) {

  /**
   * Up to here the cells' resistance is known, K; a pack that settles above is said to, no more.
   */
  public static final double TOLD = 353.15;

  /** Highest temperature searched for the settled state, K above the air. */
  private static final double MOST_RISE = 1000;

  /** Steps in which a layout is followed through the duty, s; cells take minutes to follow. */
  private static final double DUTY_STEP = 20;

  /** Steps in which it is followed at full effort, s. */
  private static final double EFFORT_STEP = 10;

  private static final double MOST_STEPS = 1800;

  /**
   * @param duty what the first pack goes through
   * @param layout of it
   */
  static Thermal of(Chain chain, Run duty, Optional<ThermalLayout> layout) {
    double hottest = hottest(chain);
    double conductance = chain.path().assembly().conductance();
    double total = chain.demand().continuous();
    double current =
        chain.supply().split(total, Chain.MIDDLE, hottest, Path.Settling.TEN_SECONDS).first();
    double settled =
        Root.bisect(
            t -> conductance * (t - hottest) - heat(chain, current, t),
            hottest,
            hottest + MOST_RISE,
            1e-6);
    Load atFull = Onward.effort(chain);
    Run effort = DutyRun.of(chain, atFull).own();
    return new Thermal(
        settled,
        layout.map(w -> timeToLimit(chain, effort, w)).orElseGet(() -> reached(effort)),
        conductance,
        layout.map(w -> w.through(heatProfile(chain, duty, DUTY_STEP))));
  }

  /** Heat in the box at a held current, W: I² (cells settled at half charge + strips). */
  private static double heat(Chain chain, double current, double kelvin) {
    double resistance =
        chain.path().cells(Chain.MIDDLE, kelvin, Path.Settling.SETTLED)
            + chain.path().assembly().stripResistance(kelvin);
    return current * current * resistance;
  }

  /** Time at full effort until the lump is at the cell's limit, in steps of {@code step} s. */
  static OptionalDouble timeToLimit(Chain chain, double step) {
    Load atFull = Onward.effort(chain);
    double longest = effortStep(atFull, step);
    return reached(DutyRun.untraced(chain, atFull, hottest(chain), Health.NEW, longest).own());
  }

  private static OptionalDouble timeToLimit(Chain chain, Run effort, ThermalLayout layout) {
    double limit = layout.cell().temperatures().dischargeHighest();
    HeatMap map = layout.through(heatProfile(chain, effort, EFFORT_STEP), limit);
    return map.hottest() >= limit ? OptionalDouble.of(map.hottestTime()) : reached(effort);
  }

  private static OptionalDouble reached(Run effort) {
    return effort.outcome() instanceof Outcome.TooHot
        ? OptionalDouble.of(effort.endTime())
        : OptionalDouble.empty();
  }

  private static double hottest(Chain chain) {
    return chain.design().duty().surroundings().hottestInUse();
  }

  /** The longest step of full effort, s, of which one was wanted. */
  static double effortStep(Load effort, double wanted) {
    return Math.max(wanted, effort.duration() / 14_400);
  }

  /**
   * A run as the heat profile of its cells: currents squared, and the heat that the run makes in
   * its cells, I (S · OCV − V) less that of the path outside, over that of cells at half charge.
   *
   * @param least shortest step, s; a long run has longer ones
   */
  private static HeatProfile heatProfile(Chain chain, Run run, double least) {
    double hottest = chain.design().duty().surroundings().hottestInUse();
    double nominal = chain.path().cells(Chain.MIDDLE, hottest, Path.Settling.SETTLED);
    double step = Math.max(least, Math.ceil(run.endTime() / MOST_STEPS));
    int steps = (int) Math.ceil(run.endTime() / step - 1e-9);
    double[] squares = new double[steps];
    double[] factors = new double[steps];
    Trace t = run.trace();
    double before = t.size() == 0 ? 0 : cellHeat(chain, t, 0, hottest);
    for (int k = 1; k < t.size(); k++) {
      double from = t.at(Trace.Channel.TIME, k - 1);
      double to = t.at(Trace.Channel.TIME, k);
      double current = t.at(Trace.Channel.CURRENT, k);
      double after = cellHeat(chain, t, k, hottest);
      for (int s = (int) (from / step); s < steps && s * step < to; s++) {
        double share = Math.max(0, Math.min(to, (s + 1) * step) - Math.max(from, s * step)) / step;
        squares[s] += current * current * share;
        factors[s] += 0.5 * (before + after) / nominal * share;
      }
      before = after;
    }
    for (int s = 0; s < steps; s++) {
      factors[s] = squares[s] > 0 ? factors[s] / squares[s] : 1;
    }
    return new HeatProfile(step, squares, factors);
  }

  /** The duty as the heat profile of its cells. */
  static HeatProfile heatProfile(Forecast f) {
    return heatProfile(f.chain(), f.own(), DUTY_STEP);
  }

  /** Heat made in the cells at a sample of a run, W. */
  private static double cellHeat(Chain chain, Trace t, int k, double kelvin) {
    double current = t.at(Trace.Channel.CURRENT, k);
    double rested = chain.path().openCircuit(t.at(Trace.Channel.SOC, k));
    double drop = rested - t.at(Trace.Channel.VOLTAGE, k);
    // The part of one of two packs is told as it is at the junction.
    double beyond = chain.design().second() != null ? chain.design().guard().shared(kelvin) : 0;
    return current * (drop - current * (chain.path().outside(kelvin) - beyond));
  }
}
