package hammerman.prove;

import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalInt;

/**
 * Which group goes away from the others between check-ups: the slope of its rest voltage against
 * the mean of all, by least squares over time.
 *
 * @param perMonth of each group from the negative end, V in thirty days
 * @param worst group that falls most; empty if none falls by more than a meter tells
 */
public record Drift(List<Double> perMonth, OptionalInt worst) {
  private static final double MONTH = 30;

  /** A fall that a meter tells from its own noise over a month, V. */
  private static final double TOLD = 0.005;

  /**
   * A check-up.
   *
   * @param days since the first
   * @param volts rest voltage of each group from the negative end, V
   */
  @SuppressWarnings("ArrayRecordComponent")
  public record CheckUp(double days, double[] volts) {
    public CheckUp {
      volts = volts.clone();
    }

    @Override
    public double[] volts() {
      return volts.clone();
    }
  }

  public Drift {
    perMonth = List.copyOf(perMonth);
  }

  /** Reads check-ups of the same pack, two or more, each of as many groups. */
  public static Drift of(List<CheckUp> checkUps) {
    if (checkUps.size() < 2) {
      return new Drift(List.of(), OptionalInt.empty());
    }
    int groups = checkUps.getFirst().volts().length;
    double mean = checkUps.stream().mapToDouble(CheckUp::days).average().orElse(0);
    double[] slope = new double[groups];
    double spread = 0;
    for (CheckUp c : checkUps) {
      double[] v = c.volts();
      if (v.length != groups) {
        return new Drift(List.of(), OptionalInt.empty());
      }
      double all = Arrays.stream(v).average().orElse(0);
      double t = c.days() - mean;
      spread += t * t;
      for (int g = 0; g < groups; g++) {
        slope[g] += t * (v[g] - all);
      }
    }
    if (spread == 0) {
      return new Drift(List.of(), OptionalInt.empty());
    }
    int worst = 0;
    for (int g = 0; g < groups; g++) {
      slope[g] *= MONTH / spread;
      worst = slope[g] < slope[worst] ? g : worst;
    }
    return new Drift(
        Arrays.stream(slope).boxed().toList(),
        slope[worst] < -TOLD ? OptionalInt.of(worst) : OptionalInt.empty());
  }

  /** Returns it in a sentence. */
  public String words() {
    if (perMonth.isEmpty()) {
      return "Read every group at rest twice, a month apart or more, to see which one drifts.";
    }
    return worst.isPresent()
        ? "Group %d falls by %s a month against the others: a cell in it leaks, or it is smaller. Read"
                .formatted(
                    worst.getAsInt() + 1,
                    Figures.of(-perMonth.get(worst.getAsInt()), Unit.MILLIVOLT))
            + " it again in two weeks, and look at Sort, Rework."
        : "No group drifts by more than a meter tells.";
  }
}
