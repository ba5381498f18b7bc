package hammerman.forecast;

import hammerman.chain.Chain;
import hammerman.simulation.Run;

/**
 * How far the duty's load goes on until the pack ends it, on a typical and on the coldest day; on
 * the hottest it is the run that is drawn. With two packs the first alone.
 *
 * @param typical in the middle of the temperatures in use
 * @param coldest at the coldest in use
 */
public record Reach(Run typical, Run coldest) {
  private static final double STEP = 10;

  static Reach of(Chain chain, Run hottest) {
    var air = chain.design().duty().surroundings();
    double step = Math.max(STEP, hottest.endTime() / 3000);
    double middle = 0.5 * (air.coldestInUse() + air.hottestInUse());
    return new Reach(
        Onward.in(chain, hottest, middle, step).run(),
        Onward.in(chain, hottest, air.coldestInUse(), step).run());
  }
}
