package hammerman.forecast;

import hammerman.cell.Health;
import hammerman.duty.Load;
import java.util.ArrayList;
import java.util.List;

/**
 * The same load in any air: how long it goes on with new cells and with cells at the end of their
 * life, from −20 to 45 °C or as far as the air in use reaches. And how long the machine's full
 * effort lasts, until the cells are too hot or something else ends it. The cells begin as warm as
 * the air. Some 20 ms.
 *
 * @param wanted time asked for, s
 * @param points from the coldest air to the hottest
 */
public record AirSweep(double wanted, List<Point> points) {
  private static final double COLDEST = 253.15;
  private static final double HOTTEST = 318.15;
  static final double EVERY = 2.5;
  private static final double STEP = 20;

  /**
   * One temperature of the air.
   *
   * @param air K
   * @param fresh how long new cells go on, s
   * @param worn how long cells at the end of their life go on, s
   * @param effort how long new cells give the machine's full effort, s
   */
  public record Point(double air, double fresh, double worn, double effort) {}

  public AirSweep {
    points = List.copyOf(points);
  }

  /** Returns the coldest air that the load of a forecast is run in, K. */
  static double coldest(Forecast f) {
    return Math.min(COLDEST, f.design().duty().surroundings().coldestInUse());
  }

  /** Returns the hottest air that the load of a forecast is run in, K. */
  static double hottest(Forecast f) {
    return Math.max(HOTTEST, f.design().duty().surroundings().hottestInUse());
  }

  /** Returns into how many equal parts the air between two temperatures, K, is divided. */
  static int parts(double from, double to) {
    return (int) Math.ceil((to - from) / EVERY);
  }

  /** Runs the load of a forecast in every air. */
  public static AirSweep of(Forecast f) {
    double from = coldest(f);
    double to = hottest(f);
    Health worn = Forecast.worn(f.life());
    int parts = parts(from, to);
    Load load = Onward.load(f.chain(), f.onward());
    Load effort = Onward.effort(f.chain());
    List<Point> points = new ArrayList<>();
    for (int k = 0; k <= parts; k++) {
      double air = from + (to - from) * k / parts;
      points.add(
          new Point(
              air,
              time(f, load, air, Health.NEW, STEP),
              time(f, load, air, worn, STEP),
              time(f, effort, air, Health.NEW, Thermal.effortStep(effort, STEP))));
    }
    return new AirSweep(f.design().duty().task().load().duration(), points);
  }

  private static double time(Forecast f, Load load, double air, Health worn, double step) {
    return DutyRun.untraced(f.chain(), load, air, worn, step).all().endTime();
  }
}
