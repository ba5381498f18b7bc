package hammerman.chain;

import hammerman.duty.Load;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * The currents of a load over time, asked for the heaviest window of any length. Built once for a
 * load; a question takes one pass over the steps that a window can begin in.
 */
public final class LoadCurve {
  private final double[] time;
  private final double[] heat;
  private final int steps;
  private final double round;

  /**
   * Works the currents out.
   *
   * @param load the load
   * @param longest the longest window that will be asked for, s
   * @param currentFor current that flows for a demand, A
   */
  LoadCurve(Load load, double longest, ToDoubleFunction<Load.Demand> currentFor) {
    List<Load.Step> all = load.steps();
    steps = all.size();
    round = load.roundDuration();
    int rounds = (int) Math.min(load.rounds(), Math.ceil(longest / round) + 1);
    int n = steps * rounds;
    time = new double[n + 1];
    heat = new double[n + 1];
    double[] square = new double[steps];
    for (int k = 0; k < steps; k++) {
      double current = currentFor.applyAsDouble(all.get(k).demand());
      square[k] = current * current;
    }
    for (int k = 0; k < n; k++) {
      double duration = all.get(k % steps).duration();
      time[k + 1] = time[k] + duration;
      heat[k + 1] = heat[k] + square[k % steps] * duration;
    }
  }

  /**
   * Returns the rms current over the heaviest window, A. Regeneration heats as discharge does. A
   * load shorter than the window is spread over its own length.
   *
   * @param wanted length of the window, s
   */
  public double heaviest(double wanted) {
    int n = (int) Math.min(time.length - 1, (Math.ceil(wanted / round) + 1) * steps);
    double window = Math.min(wanted, time[n]);
    double most = 0;
    // The heaviest window starts or ends where a step does; both ends move forward together.
    int ahead = 0;
    int behind = 0;
    for (int k = 0; k <= n; k++) {
      double from = Math.clamp(time[k], 0, time[n] - window);
      ahead = reach(ahead, n, from + window);
      most = Math.max(most, at(ahead, from + window) - at(Math.min(k, n - 1), from));
      double to = Math.clamp(time[k], window, time[n]);
      behind = reach(behind, n, to - window);
      most = Math.max(most, at(Math.min(k, n - 1), to) - at(behind, to - window));
    }
    return Math.sqrt(most / window);
  }

  /** The step in which a time lies, looked for from {@code k} on. */
  private int reach(int k, int n, double t) {
    int step = k;
    while (step < n - 1 && time[step + 1] <= t) {
      step++;
    }
    return step;
  }

  /** Heat up to a time that lies in step {@code k} or, at a clamped end, near it. */
  private double at(int k, double t) {
    int step = k;
    while (step > 0 && time[step] > t) {
      step--;
    }
    while (step < time.length - 2 && time[step + 1] < t) {
      step++;
    }
    return heat[step]
        + (t - time[step]) / (time[step + 1] - time[step]) * (heat[step + 1] - heat[step]);
  }
}
