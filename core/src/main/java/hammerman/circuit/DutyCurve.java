package hammerman.circuit;

import hammerman.chain.Chain;
import hammerman.chain.LoadCurve;
import java.util.Arrays;

/**
 * The duty's current against duration: the highest rms current over any window of a length, the
 * hardest moment with it, whose rms over longer windows is I √(t/w).
 */
public final class DutyCurve {
  private static final double[] WINDOWS = {
    1, 2, 5, 10, 20, 30, 60, 120, 300, 600, 1800, 3600, 10_800
  };

  private final double lasts;
  private final double[] seconds;
  private final double[] amperes;
  private final boolean[] hardest;

  DutyCurve(Chain chain) {
    double peak = chain.demand().peak();
    lasts = chain.demand().peakDuration();
    seconds = Arrays.copyOf(WINDOWS, WINDOWS.length + 1);
    seconds[WINDOWS.length] = lasts;
    Arrays.sort(seconds);
    amperes = new double[seconds.length];
    hardest = new boolean[seconds.length];
    LoadCurve load = chain.curve(WINDOWS[WINDOWS.length - 1]);
    for (int k = 0; k < seconds.length; k++) {
      double moment = peak * Math.min(1, Math.sqrt(lasts / seconds[k]));
      double task = load.heaviest(seconds[k]);
      amperes[k] = Math.max(moment, task);
      hardest[k] = moment >= task;
    }
  }

  /** Returns how long the hardest moment lasts, s. */
  public double hardestSeconds() {
    return lasts;
  }

  /** Returns how many windows it has. */
  public int size() {
    return seconds.length;
  }

  /** Returns the length of a window, s. */
  public double seconds(int k) {
    return seconds[k];
  }

  /** Returns the highest rms current over such a window, A. */
  public double amperes(int k) {
    return amperes[k];
  }

  /** Whether the hardest moment makes it. */
  public boolean hardest(int k) {
    return hardest[k];
  }

  /** Returns the window in which a share of the current comes nearest to what a part stands. */
  public int worst(double share, Endurance stands) {
    int worst = 0;
    double most = -1;
    for (int k = 0; k < seconds.length; k++) {
      double ratio = share * amperes[k] / stands.at(seconds[k]);
      if (ratio > most) {
        most = ratio;
        worst = k;
      }
    }
    return worst;
  }

  /** Returns the current of the longest window that is not longer than a time, A. */
  double within(double time) {
    double most = amperes[0];
    for (int k = 0; k < seconds.length && seconds[k] <= time + 1e-9; k++) {
      most = amperes[k];
    }
    return most;
  }
}
