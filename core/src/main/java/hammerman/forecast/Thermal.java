package hammerman.forecast;

import hammerman.chain.Chain;
import hammerman.chain.Path;
import hammerman.duty.Load;
import hammerman.numeric.Root;
import hammerman.pack.Pack;
import hammerman.simulation.Discharge;
import hammerman.simulation.Outcome;
import hammerman.simulation.Run;
import java.util.OptionalDouble;

/**
 * How warm the pack gets, as one lump in the hottest air.
 *
 * @param settled temperature at the continuous current held for ever, K
 * @param timeToLimit time at full effort until the cell's limit, s; absent if the pack ends first
 * @param conductance heat shed per kelvin above the air, W/K
 */
public record Thermal(double settled, OptionalDouble timeToLimit, double conductance) {

  /** Highest temperature searched for the settled state, K above the air. */
  private static final double MOST_RISE = 1000;

  private static final double STEP = 1;

  static Thermal of(Chain chain) {
    Pack pack = chain.design().pack();
    double hottest = chain.design().duty().surroundings().hottestInUse();
    double conductance = pack.cooling().heatTransfer() * pack.surface();
    double current = chain.demand().continuous();
    double settled =
        Root.bisect(
            t -> conductance * (t - hottest) - heat(chain, current, t),
            hottest,
            hottest + MOST_RISE,
            1e-6);
    return new Thermal(settled, timeToLimit(chain, STEP), conductance);
  }

  /** Heat in the box at a held current, W: I² (cells settled at half charge + strips). */
  private static double heat(Chain chain, double current, double kelvin) {
    double resistance =
        chain.path().cells(Chain.MIDDLE, kelvin, Path.Settling.SETTLED)
            + chain.design().pack().stripResistance(kelvin);
    return current * current * resistance;
  }

  /** Time at full effort until the cell's limit, in steps of {@code step} seconds. */
  static OptionalDouble timeToLimit(Chain chain, double step) {
    double hottest = chain.design().duty().surroundings().hottestInUse();
    double effort = chain.design().duty().machine().fullEffortCurrent();
    double longest = 2 * 3600 * chain.design().pack().capacity() / effort;
    Run run =
        Discharge.of(
                chain.design(),
                Load.current(effort, Math.min(longest, Load.LONGEST)),
                chain.ceiling(),
                hottest)
            .withStep(Math.max(step, longest / 14_400))
            .run();
    return run.outcome() instanceof Outcome.TooHot
        ? OptionalDouble.of(run.endTime())
        : OptionalDouble.empty();
  }
}
