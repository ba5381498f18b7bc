package hammerman.forecast;

import hammerman.duty.Segment;
import hammerman.duty.Task;
import hammerman.duty.Vehicle;
import hammerman.simulation.Run;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How far the pack takes its vehicle on the level at one speed, against that speed, in the middle
 * of the temperatures in use. Slow is far until what runs all the time eats it; fast is short for
 * the air. Some 10 ms.
 *
 * @param points from the slowest to the fastest
 * @param dutySpeed mean speed of the duty while it moves, m/s
 */
public record SpeedSweep(List<Point> points, double dutySpeed) {
  static final int PARTS = 24;
  private static final double SLOWEST = 1 / 3.6;

  /** The fastest is so many times the fastest of the duty. */
  private static final double BEYOND = 2.5;

  private static final double STEP = 20;

  /**
   * One speed.
   *
   * @param speed m/s
   * @param power at the battery, W
   * @param range until the pack ends it, m; 0 if it cannot deliver that power
   */
  public record Point(double speed, double power, double range) {}

  public SpeedSweep {
    points = List.copyOf(points);
  }

  /** Returns the vehicle of a forecast's duty, if it has one that moves. */
  public static Optional<Vehicle> vehicle(Forecast f) {
    return f.design().duty().task() instanceof Task.ByRound round
            && round.segments().stream().anyMatch(s -> s.speed() > 0)
        ? Optional.of(round.vehicle())
        : Optional.empty();
  }

  /**
   * Sweeps the speed; empty for a duty without a vehicle that moves.
   *
   * @param wind against it, m/s
   * @param load carried, kg
   */
  public static Optional<SpeedSweep> of(Forecast f, double wind, double load) {
    return vehicle(f).map(v -> of(f, (Task.ByRound) f.design().duty().task(), v, wind, load));
  }

  private static SpeedSweep of(
      Forecast f, Task.ByRound round, Vehicle vehicle, double wind, double load) {
    double fastest = round.segments().stream().mapToDouble(Segment::speed).max().orElse(1);
    double way = round.segments().stream().mapToDouble(s -> s.speed() * s.duration()).sum();
    double moving =
        round.segments().stream().filter(s -> s.speed() > 0).mapToDouble(Segment::duration).sum();
    double to = Math.max(2 * SLOWEST, BEYOND * fastest);
    List<Point> points = new ArrayList<>();
    for (int k = 0; k <= PARTS; k++) {
      double speed = SLOWEST + (to - SLOWEST) * k / PARTS;
      double power = vehicle.batteryPower(speed, wind, 0, load);
      points.add(new Point(speed, power, speed * time(f, power)));
    }
    return new SpeedSweep(points, way / Math.max(1, moving));
  }

  /** How long the pack gives a power, s. */
  private static double time(Forecast f, double power) {
    var air = f.design().duty().surroundings();
    double middle = 0.5 * (air.coldestInUse() + air.hottestInUse());
    Run run = Onward.at(f.chain(), power, middle, STEP);
    return run.served() || !run.outcome().complete() ? run.endTime() : 0;
  }

  /** Returns the speed at which it goes farthest. */
  public Point best() {
    return points.stream().max(Comparator.comparingDouble(Point::range)).orElseThrow();
  }
}
