package hammerman.forecast;

import hammerman.cell.Health;
import hammerman.chain.Chain;
import hammerman.duty.Load;
import hammerman.simulation.Run;
import hammerman.simulation.TwinRun;
import hammerman.unit.Figures;

/**
 * How far the duty's load goes on until the pack, or both, end it, on a typical and on the coldest
 * day; on the hottest it is the run that is drawn.
 *
 * @param typical in the middle of the temperatures in use
 * @param coldest at the coldest in use
 * @param one how long one pack goes by itself on a typical day, s: until the reserve takes over,
 *     where there is one; else all of it
 */
public record Reach(Run typical, Run coldest, double one) {
  private static final double STEP = 10;

  /** A whole number of rounds comes as near to the longest load that is simulated. */
  private static final double NEARLY = 0.95;

  /**
   * Returns how long a run went on, in words; of one that nothing ended only that it is longer than
   * was forecast.
   */
  public static String time(Run run) {
    return run.outcome().complete() ? Figures.over(run.endTime()) : Figures.duration(run.endTime());
  }

  /** Returns how far a run went, in the same way. */
  public static String way(Run run) {
    return (run.outcome().complete() ? "over " : "") + Figures.distance(run.totals().distance());
  }

  /** Whether a time, s, is as long as is simulated at all, so that the run would go on. */
  public static boolean isLonger(double time) {
    return time > NEARLY * Load.LONGEST;
  }

  static Reach of(Chain chain, Run hottest) {
    var air = chain.design().duty().surroundings();
    double step = Math.max(STEP, hottest.endTime() / 3000);
    double middle = 0.5 * (air.coldestInUse() + air.hottestInUse());
    Load load = Onward.load(chain, hottest);
    DutyRun typical = DutyRun.untraced(chain, load, middle, Health.NEW, step);
    double over = typical.pair().map(TwinRun::switchedAt).orElse(Double.NaN);
    return new Reach(
        typical.all(),
        DutyRun.untraced(chain, load, air.coldestInUse(), Health.NEW, step).all(),
        Double.isNaN(over) ? typical.all().endTime() : over);
  }
}
