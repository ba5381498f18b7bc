package hammerman.telemetry;

import hammerman.duty.Task.ByLog;
import hammerman.duty.Task.ByLog.LogStep;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;

/**
 * Reduces a log to at most {@link ByLog#MOST_STEPS} steps: neighbours are joined, those first whose
 * joining disturbs the course least (the growth of the squared deviation, Ward's criterion: J. H.
 * Ward, J. Am. Stat. Assoc. 58 (1963) 236). Charge or energy is kept exactly; short peaks stay,
 * because joining them would cost most. A gap far longer than the usual interval counts as rest.
 */
final class Reduction {
  /** Beyond so many samples they are first averaged over equal times. */
  private static final int FINEST = 20_000;

  private static final double LONGEST_HOLD = 60;
  private static final double USUAL_INTERVALS = 20;

  private double[] duration;
  private double[] value;
  private double[] speed;
  private int size;

  private Reduction(int capacity) {
    duration = new double[capacity];
    value = new double[capacity];
    speed = new double[capacity];
  }

  static List<LogStep> of(Telemetry log) {
    double usual = usualInterval(log);
    Reduction steps;
    if (log.size() > FINEST) {
      Bins bins = new Bins(log.duration() + usual);
      held(log, usual, bins);
      steps = bins.closed();
    } else {
      steps = new Reduction(2 * log.size());
      held(log, usual, steps::add);
    }
    return steps.joined(ByLog.MOST_STEPS);
  }

  /** Takes the pieces of a log in turn: a time, s, a power or current, and a speed, m/s. */
  @FunctionalInterface
  private interface Pieces {
    void add(double time, double v, double s);
  }

  /** Each sample holds until the next; the last as long as the usual interval. */
  private static void held(Telemetry log, double usual, Pieces into) {
    int n = log.size();
    double longest = Math.max(LONGEST_HOLD, USUAL_INTERVALS * usual);
    for (int k = 0; k < n; k++) {
      double until = k + 1 < n ? log.at(Quantity.TIME, k + 1) - log.at(Quantity.TIME, k) : usual;
      double v = log.has(Quantity.SPEED) ? log.at(Quantity.SPEED, k) : 0;
      double moving = Double.isFinite(v) ? Math.clamp(v, 0, 100) : 0;
      if (until > longest) {
        into.add(usual, log.value(k), moving);
        into.add(until - usual, 0, 0);
      } else {
        into.add(until, log.value(k), moving);
      }
    }
  }

  private static double usualInterval(Telemetry log) {
    int n = log.size() - 1;
    double[] intervals = new double[n];
    for (int k = 0; k < n; k++) {
      intervals[k] = log.at(Quantity.TIME, k + 1) - log.at(Quantity.TIME, k);
    }
    Arrays.sort(intervals);
    return Math.max(1e-3, intervals[n / 2]);
  }

  private void add(double time, double v, double s) {
    duration[size] = time;
    value[size] = v;
    speed[size++] = s;
  }

  /** Means over equal times; a log of any length in the room of {@link #FINEST} steps. */
  private static final class Bins implements Pieces {
    private final double total;
    private final double width;
    private final Reduction out = new Reduction(FINEST + 1);
    private double time;
    private double flow;
    private double way;

    Bins(double total) {
      this.total = total;
      width = total / FINEST;
    }

    @Override
    public void add(double piece, double v, double s) {
      double left = piece;
      // What rounding leaves over belongs to the last bin.
      while (left > 0 && out.size < FINEST) {
        double part = Math.min(left, width - time);
        time += part;
        flow += part * v;
        way += part * s;
        left -= part;
        if (time >= width * (1 - 1e-12)) {
          end();
        }
      }
    }

    private void end() {
      out.add(time, flow / time, way / time);
      time = 0;
      flow = 0;
      way = 0;
    }

    Reduction closed() {
      if (time > 0) {
        end();
      }
      double before = 0;
      for (int k = 0; k < out.size - 1; k++) {
        before += out.duration[k];
      }
      out.duration[out.size - 1] = total - before;
      return out;
    }
  }

  private record Pair(double cost, int left, int right, int leftAge, int rightAge) {}

  private List<LogStep> joined(int most) {
    int[] next = new int[size];
    int[] before = new int[size];
    int[] age = new int[size];
    boolean[] gone = new boolean[size];
    PriorityQueue<Pair> cheapest =
        new PriorityQueue<>(Comparator.comparingDouble(Pair::cost).thenComparingInt(Pair::left));
    for (int k = 0; k < size; k++) {
      next[k] = k + 1 < size ? k + 1 : -1;
      before[k] = k - 1;
    }
    for (int k = 0; k + 1 < size; k++) {
      cheapest.add(pair(k, k + 1, age));
    }
    int left = size;
    while (!cheapest.isEmpty()) {
      Pair p = cheapest.poll();
      if (gone[p.left()]
          || gone[p.right()]
          || age[p.left()] != p.leftAge()
          || age[p.right()] != p.rightAge()) {
        continue;
      }
      if (left <= most && p.cost() > 0) {
        break;
      }
      join(p.left(), p.right());
      gone[p.right()] = true;
      age[p.left()]++;
      left--;
      int after = next[p.right()];
      next[p.left()] = after;
      if (after >= 0) {
        before[after] = p.left();
        cheapest.add(pair(p.left(), after, age));
      }
      if (before[p.left()] >= 0) {
        cheapest.add(pair(before[p.left()], p.left(), age));
      }
    }
    List<LogStep> steps = new ArrayList<>(left);
    for (int k = 0; k < size; k++) {
      if (!gone[k]) {
        steps.add(new LogStep(duration[k], value[k], speed[k]));
      }
    }
    return steps;
  }

  private Pair pair(int a, int b, int[] age) {
    double off = value[a] - value[b];
    double weight = duration[a] * duration[b] / (duration[a] + duration[b]);
    return new Pair(weight * off * off, a, b, age[a], age[b]);
  }

  private void join(int a, int b) {
    double both = duration[a] + duration[b];
    value[a] = (value[a] * duration[a] + value[b] * duration[b]) / both;
    speed[a] = (speed[a] * duration[a] + speed[b] * duration[b]) / both;
    duration[a] = both;
  }
}
