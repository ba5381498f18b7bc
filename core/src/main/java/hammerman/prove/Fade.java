package hammerman.prove;

import hammerman.life.LifeForecast;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Whether the capacity goes as was forecast: the factor by which the forecast's loss is to be
 * multiplied to meet what was measured, by weighted least squares, k = Σ L (1 − s)/σ² / Σ L²/σ².
 *
 * @param points measured, oldest first
 * @param factor on the forecast loss
 * @param error its standard error
 * @param verdict in a sentence
 * @param worn years until the end of life, revised; empty if that is beyond the forecast's curve
 * @param fits years until the duty no longer fits, revised; empty if it fits as long as can be told
 */
public record Fade(
    List<Point> points,
    double factor,
    double error,
    String verdict,
    OptionalDouble worn,
    OptionalDouble fits) {
  private static final double TWO_SIDED = 1.96;

  /** Of the capacity, below which a loss is not worth speaking of. */
  private static final double TOO_EARLY = 0.01;

  /**
   * A capacity that was measured.
   *
   * @param years since the pack was new
   * @param left of its first capacity, 0 to 1.2
   * @param error standard error of that
   * @param what it rests on, in words
   */
  public record Point(double years, double left, double error, String what) {}

  public Fade {
    points = List.copyOf(points);
  }

  /**
   * Lays measured capacities beside a forecast.
   *
   * @param fitsUntil years until which the duty fits by the forecast; empty if always
   */
  public static Fade of(LifeForecast life, OptionalDouble fitsUntil, List<Point> measured) {
    double lossWeighed = 0;
    double weight = 0;
    double most = 0;
    for (Point p : measured) {
      double loss = loss(life, p.years());
      double w = 1 / Math.pow(Math.max(p.error(), 0.003), 2);
      lossWeighed += w * loss * (1 - p.left());
      weight += w * loss * loss;
      most = Math.max(most, loss);
    }
    boolean told = weight > 0 && most >= TOO_EARLY;
    double factor = told ? Math.max(0, lossWeighed / weight) : 1;
    double error = told ? Math.sqrt(1 / weight) : Double.NaN;
    double end = 1 - life.endOfLife();
    return new Fade(
        measured,
        factor,
        error,
        verdict(life, measured, told, factor, error),
        when(life, factor, end),
        fitsUntil.isPresent()
            ? when(life, factor, loss(life, fitsUntil.getAsDouble()))
            : OptionalDouble.empty());
  }

  private static String verdict(
      LifeForecast life, List<Point> measured, boolean told, double factor, double error) {
    if (measured.isEmpty()) {
      return "No capacity is measured yet. A run to nearly empty with its log, or a full charge and"
          + " discharge, tells it.";
    }
    if (!told) {
      return "It is too early: the forecast has lost %s by now, less than a measurement tells."
          .formatted(
              Figures.of(
                  measured.stream().mapToDouble(p -> loss(life, p.years())).max().orElse(0),
                  Unit.PERCENT));
    }
    double low = factor - TWO_SIDED * error;
    double high = factor + TWO_SIDED * error;
    String times =
        "%s times the forecast loss (%s to %s)"
            .formatted(
                Figures.fixed(factor, 2),
                Figures.fixed(Math.max(0, low), 2),
                Figures.fixed(high, 2));
    if (low > 1 + LifeForecast.BAND) {
      return "It fades faster than its band: %s. Look at heat, storage when full, and the groups."
          .formatted(times);
    }
    if (high < 1 - LifeForecast.BAND) {
      return "It fades slower than its band: %s.".formatted(times);
    }
    return high - low > 2
        ? "Nothing speaks against the forecast, but little is known: %s.".formatted(times)
        : "This fade is normal: %s, within its band or too near to tell.".formatted(times);
  }

  /** Loss of the forecast after so many years, beyond what it began with. */
  public static double loss(LifeForecast life, double years) {
    List<LifeForecast.Point> curve = life.curve();
    double begin = curve.getFirst().loss();
    for (int k = 1; k < curve.size(); k++) {
      LifeForecast.Point b = curve.get(k);
      if (b.years() >= years) {
        LifeForecast.Point a = curve.get(k - 1);
        double part = (years - a.years()) / Math.max(1e-9, b.years() - a.years());
        return a.loss() + Math.clamp(part, 0, 1) * (b.loss() - a.loss()) - begin;
      }
    }
    return curve.getLast().loss() - begin;
  }

  /** When the loss, times a factor, comes to a limit, years. */
  private static OptionalDouble when(LifeForecast life, double factor, double limit) {
    List<LifeForecast.Point> curve = life.curve();
    double begin = curve.getFirst().loss();
    for (int k = 1; k < curve.size(); k++) {
      double a = factor * (curve.get(k - 1).loss() - begin);
      double b = factor * (curve.get(k).loss() - begin);
      if (b >= limit && b > a) {
        double part = Math.clamp((limit - a) / (b - a), 0, 1);
        double from = curve.get(k - 1).years();
        return OptionalDouble.of(from + part * (curve.get(k).years() - from));
      }
    }
    return OptionalDouble.empty();
  }
}
