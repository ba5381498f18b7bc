package hammerman.sort;

import hammerman.record.Fact;
import hammerman.record.Measurement;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import java.util.Optional;

/**
 * Whether the cell that a tester measured is the one that its label says: a cell that lies gains no
 * charge, and loses little. It cannot tell cells that rest alike.
 */
public final class OtherCell {
  /** Two meters differ by less than this, V; half a percent each. */
  private static final double METERS = 0.03;

  /** A sound cell loses less than this a day, V. */
  private static final double DAILY = 0.005;

  private OtherCell() {}

  /**
   * Returns why another cell may have lain in the bay, if its rest voltage says so.
   *
   * @param cell as it was known before
   * @param volts that the tester read before its test, V
   * @param now when it did, or soon after
   */
  public static Optional<String> suspected(Stock.Cell cell, double volts, int bay, Instant now) {
    Fact<Measurement> read = cell.rested();
    if (read == null) {
      return Optional.empty();
    }
    double before = read.value().value();
    double days = Math.max(0, Duration.between(read.at(), now).toHours() / 24.0);
    boolean risen = volts > before + METERS;
    if (!risen && volts >= before - METERS - DAILY * days) {
      return Optional.empty();
    }
    return Optional.of(
        String.format(
            Locale.ROOT,
            "wrong cell in bay %d%s: the tester read %s at rest, where %s had been read of it",
            bay,
            risen ? "" : ", or it leaks",
            Figures.of(volts, Unit.VOLT, 3),
            Figures.of(before, Unit.VOLT, 3)));
  }
}
