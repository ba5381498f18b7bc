package hammerman.chain;

import hammerman.duty.Load;
import java.util.Arrays;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * What the duty asks of the whole chain.
 *
 * @param continuous rms current over its heaviest ten minutes, A
 * @param tenSeconds rms current over its heaviest ten seconds, or of the hardest moment if that is
 *     more, A
 * @param peak current of the hardest moment, A
 * @param peakDuration how long it lasts, s
 */
public record Demand(double continuous, double tenSeconds, double peak, double peakDuration) {
  /**
   * The window that counts as continuous, s; the thermal time constant of cells is of this order.
   */
  public static final double WINDOW = 600;

  /**
   * Returns the rms current over the heaviest window of a load, A. Regeneration heats as discharge
   * does. A load shorter than the window is spread over its own length.
   *
   * @param load the load
   * @param longest its length, s
   * @param currentFor current that flows for a power, A
   */
  static double heaviestWindow(
      Load load, double longest, ToDoubleFunction<Load.Demand> currentFor) {
    List<Load.Step> steps = load.steps();
    int rounds = (int) Math.min(load.rounds(), Math.ceil(longest / load.roundDuration()) + 1);
    int n = steps.size() * rounds;
    double[] time = new double[n + 1];
    double[] heat = new double[n + 1];
    double[] square = new double[steps.size()];
    for (int k = 0; k < square.length; k++) {
      double current = currentFor.applyAsDouble(steps.get(k).demand());
      square[k] = current * current;
    }
    for (int k = 0; k < n; k++) {
      double duration = steps.get(k % square.length).duration();
      time[k + 1] = time[k] + duration;
      heat[k + 1] = heat[k] + square[k % square.length] * duration;
    }
    double window = Math.min(longest, time[n]);
    double most = 0;
    // The heaviest window starts or ends where a step does.
    for (int k = 0; k <= n; k++) {
      double from = Math.clamp(time[k], 0, time[n] - window);
      double to = Math.clamp(time[k], window, time[n]);
      most = Math.max(most, at(time, heat, from + window) - at(time, heat, from));
      most = Math.max(most, at(time, heat, to) - at(time, heat, to - window));
    }
    return Math.sqrt(most / window);
  }

  private static double at(double[] time, double[] sum, double t) {
    int found = Arrays.binarySearch(time, t);
    int k = Math.clamp(found >= 0 ? found : -found - 2, 0, time.length - 2);
    return sum[k] + (t - time[k]) / (time[k + 1] - time[k]) * (sum[k + 1] - sum[k]);
  }
}
