package hammerman.watch;

import java.util.ArrayDeque;
import java.util.Deque;

/**
 * The last minutes of a charge: what each sensor read, and how far the device's clock went against
 * this machine's. At most one entry a second is kept, so that a flood of frames takes no memory.
 */
final class WatchHistory {
  /** Warming is looked at over this time, s. */
  static final double WINDOW = 120;

  private static final double EVERY = 1;

  private final Deque<Entry> entries = new ArrayDeque<>();

  @SuppressWarnings("ArrayRecordComponent")
  private record Entry(double host, double elapsed, double device, double[] kelvin) {}

  /**
   * Adds a moment.
   *
   * @param host time of this machine, s
   * @param elapsed time of the charge, s
   * @param device how far the device's clock has gone, s
   */
  void add(double host, double elapsed, double device, double[] kelvin) {
    Entry last = entries.peekLast();
    if (last != null && host - last.host() < EVERY && elapsed - last.elapsed() < EVERY) {
      return;
    }
    entries.add(new Entry(host, elapsed, device, kelvin));
    while (entries.size() > 2
        && elapsed - second().elapsed() >= WINDOW
        && host - second().host() >= WINDOW) {
      entries.poll();
    }
  }

  private Entry second() {
    var all = entries.iterator();
    all.next();
    return all.next();
  }

  /** Returns how far the sensor that warms fastest has warmed within the window, K. */
  double warming(double elapsed, double[] kelvin) {
    double most = Double.NaN;
    for (Entry e : entries) {
      if (elapsed - e.elapsed() <= WINDOW) {
        for (int k = 0; k < Math.min(kelvin.length, e.kelvin().length); k++) {
          double rise = kelvin[k] - e.kelvin()[k];
          most = Double.isNaN(rise) ? most : Double.isNaN(most) ? rise : Math.max(most, rise);
        }
      }
    }
    return most;
  }

  /** Returns how far the device's clock went, as a share of this machine's; NaN at first. */
  double clock(double host, double device) {
    double share = Double.NaN;
    for (Entry e : entries) {
      if (host - e.host() >= WINDOW) {
        share = (device - e.device()) / (host - e.host());
      }
    }
    return share;
  }
}
