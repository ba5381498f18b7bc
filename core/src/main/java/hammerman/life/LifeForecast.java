package hammerman.life;

import hammerman.cell.CellType;
import hammerman.cell.Health;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import org.jspecify.annotations.Nullable;

/**
 * How long the capacity lasts, with a band.
 *
 * @param conditions what was assumed
 * @param years until the end of life, in years; the horizon if it is not reached
 * @param yearsLow the same with 30 % more loss
 * @param yearsHigh the same with 30 % less loss
 * @param equivalentFullCycles until then
 * @param calendarShare share of the loss at the end that comes from time alone, 0 to 1
 * @param resistanceGrowth growth of the resistance at the end, as a fraction, where known
 * @param limit what ends it
 * @param endOfLife share of the first capacity at which it counts as worn, 0 to 1
 * @param curve capacity over the years
 * @param source papers used
 * @param validity their range
 * @param extrapolated whether the conditions lie outside that range
 * @param indicative whether the law is only a likeness
 */
public record LifeForecast(
    Conditions conditions,
    double years,
    double yearsLow,
    double yearsHigh,
    double equivalentFullCycles,
    double calendarShare,
    OptionalDouble resistanceGrowth,
    Limit limit,
    double endOfLife,
    List<Point> curve,
    String source,
    String validity,
    boolean extrapolated,
    boolean indicative) {

  /** Band of the loss, as a share of it, on either side. */
  public static final double BAND = 0.30;

  /** The longest life that is forecast, years. */
  public static final double HORIZON = 30;

  private static final double STEP_DAYS = 7;

  /** A life is told from so many steps at least, however short it is. */
  private static final int FEWEST_STEPS = 60;

  private static final double DAYS_PER_YEAR = 365.25;

  public LifeForecast {
    curve = List.copyOf(curve);
  }

  /**
   * Returns what cells have left at a point of the curve, against those at its beginning. Where no
   * law tells the growth of the resistance, it goes with the loss to its usual value at the end.
   */
  public Health at(Point p) {
    double left = (1 - p.loss()) / (1 - curve.getFirst().loss());
    double growth =
        resistanceGrowth.isPresent()
            ? p.resistance()
            : (Health.WORN_RESISTANCE - 1) * p.loss() / (1 - endOfLife);
    return Health.within(left, 1 + growth);
  }

  /** Returns the point of the curve at a time, in years, or right after it; else the last. */
  public Point after(double years) {
    return curve.stream().filter(p -> p.years() >= years).findFirst().orElse(curve.getLast());
  }

  /** Returns a figure of each point of the curve, in the order of time. */
  public double[] along(ToDoubleFunction<Point> figure) {
    return curve.stream().mapToDouble(figure).toArray();
  }

  /** What takes most of the capacity. */
  public enum Limit {
    CALENDAR("time"),
    CYCLING("cycling"),
    HORIZON("none within the horizon");

    private final String words;

    Limit(String words) {
      this.words = words;
    }

    /** Returns the limit in words. */
    public String words() {
      return words;
    }
  }

  /**
   * Capacity at one time.
   *
   * @param years since new
   * @param calendarLoss fraction lost to time
   * @param cycleLoss fraction lost to cycling
   * @param resistance growth of the resistance, as a fraction; 0 where no law tells it
   */
  public record Point(double years, double calendarLoss, double cycleLoss, double resistance) {
    /** Returns the fraction lost. */
    public double loss() {
      return calendarLoss + cycleLoss;
    }
  }

  /**
   * Forecasts a life under unchanging conditions.
   *
   * @param cell the cells
   * @param conditions of use
   * @param start loss that the cells bring with them, counted as time's; 0 for new ones
   * @param endOfLife share of a new cell's capacity at which it counts as worn, 0 to 1
   */
  public static LifeForecast of(
      CellType cell, Conditions conditions, double start, double endOfLife) {
    AgeingLaw law = AgeingLaw.of(cell);
    double allowed = 1 - endOfLife;
    Course course = Course.of(law, conditions, start, allowed, STEP_DAYS);
    double step = STEP_DAYS;
    while (course.atEnd() != null
        && course.curve().size() < FEWEST_STEPS
        && step > STEP_DAYS / 1e4) {
      step /= 8;
      course = Course.of(law, conditions, start, allowed, step);
    }
    List<Point> curve = course.curve();
    Wear atEnd = course.atEnd();
    Wear last = course.last();
    double end = crossing(curve, allowed);
    return new LifeForecast(
        conditions,
        end,
        crossing(curve, allowed / (1 + BAND)),
        crossing(curve, allowed / (1 - BAND)),
        conditions.cycling().equivalentCyclesPerDay() * end * DAYS_PER_YEAR,
        last.loss() > 0 ? last.calendar() / last.loss() : 1,
        law.knowsResistance() ? OptionalDouble.of(last.resistance()) : OptionalDouble.empty(),
        limit(atEnd),
        endOfLife,
        curve,
        law.source(),
        law.validity(),
        law.extrapolates(conditions),
        law.indicative());
  }

  /**
   * A life in steps.
   *
   * @param atEnd the wear where the allowed loss was reached, if it was
   * @param last the wear at the end, or at the horizon
   */
  private record Course(List<Point> curve, @Nullable Wear atEnd, Wear last) {
    static Course of(
        AgeingLaw law, Conditions conditions, double start, double allowed, double days) {
      List<Point> curve = new ArrayList<>();
      Wear wear = new Wear(start, 0, 0);
      curve.add(new Point(0, wear.calendar(), wear.cycle(), wear.resistance()));
      Wear atEnd = wear.loss() >= allowed ? wear : null;
      double years = 0;
      while (years < HORIZON && wear.loss() < allowed / (1 - BAND)) {
        wear = wear.advance(law, conditions, days);
        years += days / DAYS_PER_YEAR;
        curve.add(new Point(years, wear.calendar(), wear.cycle(), wear.resistance()));
        if (atEnd == null && wear.loss() >= allowed) {
          atEnd = wear;
        }
      }
      return new Course(curve, atEnd, atEnd == null ? wear : atEnd);
    }
  }

  private static Limit limit(@Nullable Wear atEnd) {
    if (atEnd == null) {
      return Limit.HORIZON;
    }
    return atEnd.calendar() >= atEnd.cycle() ? Limit.CALENDAR : Limit.CYCLING;
  }

  /** Years at which the loss crosses a level, straight between points; the horizon if never. */
  private static double crossing(List<Point> curve, double level) {
    if (curve.getFirst().loss() >= level) {
      return 0;
    }
    for (int k = 1; k < curve.size(); k++) {
      Point b = curve.get(k);
      if (b.loss() >= level) {
        Point a = curve.get(k - 1);
        return a.years() + (b.years() - a.years()) * (level - a.loss()) / (b.loss() - a.loss());
      }
    }
    return HORIZON;
  }
}
