package hammerman.forecast;

import hammerman.forecast.Ensemble.Member;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * How far the figures of a forecast may lie from one another where cells, joints, air and load are
 * not known exactly: what nine of ten packs come to, and what decides.
 *
 * @param members packs that it rests on
 * @param time until the pack ends it, s
 * @param distance until then, m
 * @param sag voltage at the hardest moment at 20 % charge, V
 * @param hottest temperature of the hottest cell, K
 * @param years of life
 * @param causes what the time depends on, the greatest share first
 */
public record Spread(
    int members, Band time, Band distance, Band sag, Band hottest, Band years, List<Cause> causes) {

  /**
   * What nine of ten come to.
   *
   * @param low one in twenty lies below
   * @param middle half lie below
   * @param high one in twenty lies above
   */
  public record Band(double low, double middle, double high) {}

  /**
   * Something that is not known exactly.
   *
   * @param what it is
   * @param share of the variance of the time that goes with it, 0 to 1: the squared correlation;
   *     since all are drawn independently the shares add up to about 1, and never to more
   */
  public record Cause(What what, double share) {}

  /** What is not known exactly. */
  public enum What {
    LOAD("the load"),
    AIR("the air"),
    CAPACITY("the cells' capacity"),
    RESISTANCE("the cells' resistance");

    private final String words;

    What(String words) {
      this.words = words;
    }

    /** Returns it in words. */
    public String words() {
      return words;
    }
  }

  public Spread {
    causes = List.copyOf(causes);
  }

  /**
   * Sums an ensemble up.
   *
   * @throws IllegalArgumentException if it has no members
   */
  public static Spread of(Ensemble ensemble) {
    List<Member> all = ensemble.members();
    if (all.isEmpty()) {
      throw new IllegalArgumentException("an ensemble of none has no spread");
    }
    return new Spread(
        all.size(),
        band(all, Member::time),
        band(all, Member::distance),
        band(all, Member::sag),
        band(all, Member::hottest),
        band(all, Member::years),
        causes(all));
  }

  /** Percentiles by linear interpolation between the ordered values. */
  private static Band band(List<Member> all, ToDoubleFunction<Member> of) {
    double[] sorted = all.stream().mapToDouble(of).sorted().toArray();
    return new Band(at(sorted, 0.05), at(sorted, 0.5), at(sorted, 0.95));
  }

  private static double at(double[] sorted, double share) {
    double place = share * (sorted.length - 1);
    int k = (int) place;
    double next = sorted[Math.min(k + 1, sorted.length - 1)];
    return sorted[k] + (place - k) * (next - sorted[k]);
  }

  private static List<Cause> causes(List<Member> all) {
    List<Cause> found =
        Arrays.stream(What.values())
            .map(
                what ->
                    new Cause(
                        what,
                        switch (what) {
                          case LOAD -> correlated(all, Member::load);
                          case AIR -> correlated(all, Member::air);
                          // The weakest group ends a run by its cut-off, all together by the
                          // machine's.
                          case CAPACITY ->
                              Math.max(
                                  correlated(all, Member::weakest),
                                  correlated(all, Member::capacity));
                          case RESISTANCE -> correlated(all, Member::resistance);
                        }))
            .sorted(Comparator.comparingDouble(c -> -c.share()))
            .toList();
    // Of few members some are correlated by chance: together they are no more than all of it.
    double sum = Math.max(1, found.stream().mapToDouble(Cause::share).sum());
    return found.stream().map(c -> new Cause(c.what(), c.share() / sum)).toList();
  }

  /** Square of the correlation of something with the time; 0 where either does not vary. */
  private static double correlated(List<Member> all, ToDoubleFunction<Member> with) {
    double x = all.stream().mapToDouble(with).average().orElse(0);
    double y = all.stream().mapToDouble(Member::time).average().orElse(0);
    double xx = 0;
    double yy = 0;
    double xy = 0;
    for (Member m : all) {
      double dx = with.applyAsDouble(m) - x;
      double dy = m.time() - y;
      xx += dx * dx;
      yy += dy * dy;
      xy += dx * dy;
    }
    return xx * yy > 0 ? xy * xy / xx / yy : 0;
  }
}
