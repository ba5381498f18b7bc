package hammerman.forecast;

import hammerman.simulation.Run;
import java.util.ArrayList;
import java.util.List;

/**
 * What the pack gives at one power until something ends it, against that power, in the coldest and
 * in the hottest air: the energy, and the charge that is left because that power can no longer be
 * had. Below that charge the power must be cut. Some 20 ms.
 *
 * @param mean power of the duty, W
 * @param peak hardest power of the duty, W
 * @param cold in the coldest air in use, from the least power to the most that can be had
 * @param hot in the hottest air in use
 */
public record PowerSweep(double mean, double peak, List<Point> cold, List<Point> hot) {
  static final int PARTS = 20;
  private static final double STEP = 10;

  /** Powers go on to so many times the hardest of the duty. */
  private static final double BEYOND = 1.6;

  /**
   * One power.
   *
   * @param power W
   * @param energy delivered at it, J
   * @param left state of charge at the end, 0 to 1
   * @param time until the end, s
   */
  public record Point(double power, double energy, double left, double time) {}

  public PowerSweep {
    cold = List.copyOf(cold);
    hot = List.copyOf(hot);
  }

  /** Sweeps the power for a forecast. */
  public static PowerSweep of(Forecast f) {
    var air = f.design().duty().surroundings();
    double to = highest(f);
    return new PowerSweep(
        mean(f),
        f.duty().extremes().peakPower(),
        sweep(f, to, air.coldestInUse()),
        sweep(f, to, air.hottestInUse()));
  }

  private static double mean(Forecast f) {
    return f.duty().endTime() > 0 ? f.duty().totals().energyOut() / f.duty().endTime() : 0;
  }

  /** Returns the highest power that is tried for a forecast, W. */
  static double highest(Forecast f) {
    return Math.max(1, Math.max(BEYOND * f.duty().extremes().peakPower(), 4 * mean(f)));
  }

  private static List<Point> sweep(Forecast f, double to, double air) {
    List<Point> points = new ArrayList<>();
    for (int k = 1; k <= PARTS; k++) {
      double power = to * k / PARTS;
      Run run = Onward.at(f.chain(), power, air, STEP);
      if (run.totals().withheldShare() > Run.CLIPPED || run.endTime() <= 0) {
        // More is not to be had: the machine lets no more through, or the pack has no more.
        break;
      }
      points.add(new Point(power, run.totals().energyOut(), run.endSoc(), run.endTime()));
    }
    return points;
  }
}
