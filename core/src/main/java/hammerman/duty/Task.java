package hammerman.duty;

import hammerman.unit.In;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import java.util.ArrayList;
import java.util.List;

/** What is wanted of one charge, in one of the ways people know it. */
public sealed interface Task {
  /** Returns the load that serves this task once. */
  Load load();

  /**
   * So many hours at so many watts.
   *
   * @param power drawn by the machine, W
   * @param duration wanted, s
   */
  record ByTime(@In(Unit.WATT) double power, @In(Unit.HOUR) double duration) implements Task {
    public ByTime {
      Valid.range("Power", power, 0.01, 1e6, Unit.WATT);
      Valid.range("Duration", duration, 1, Load.LONGEST, Unit.HOUR);
    }

    @Override
    public Load load() {
      return new Load(List.of(new Load.Step(new Load.Power(power), duration, 0)), 1);
    }

    public ByTime withPower(double value) {
      return new ByTime(value, duration);
    }

    public ByTime withDuration(double value) {
      return new ByTime(power, value);
    }
  }

  /**
   * So many kilometres at so much energy each.
   *
   * @param distance wanted, m
   * @param consumption energy per distance at the battery, J/m
   * @param speed mean speed, m/s
   */
  record ByDistance(
      @In(Unit.KILOMETRE) double distance,
      @In(Unit.WATT_HOUR_PER_KILOMETRE) double consumption,
      @In(Unit.KILOMETRE_PER_HOUR) double speed)
      implements Task {
    public ByDistance {
      Valid.range("Distance", distance, 1, 1e7, Unit.KILOMETRE);
      Valid.range("Consumption", consumption, 0.036, 36000, Unit.WATT_HOUR_PER_KILOMETRE);
      Valid.range("Speed", speed, 0.01, 100, Unit.KILOMETRE_PER_HOUR);
      Valid.range("Time for the distance", distance / speed, 1, Load.LONGEST, Unit.HOUR);
    }

    @Override
    public Load load() {
      return new Load(
          List.of(new Load.Step(new Load.Power(consumption * speed), distance / speed, speed)), 1);
    }

    public ByDistance withDistance(double value) {
      return new ByDistance(value, consumption, speed);
    }

    public ByDistance withConsumption(double value) {
      return new ByDistance(distance, value, speed);
    }

    public ByDistance withSpeed(double value) {
      return new ByDistance(distance, consumption, value);
    }
  }

  /**
   * A round of segments, repeated.
   *
   * @param segments the segments of one round, in order
   * @param rounds how many rounds on one charge
   */
  record ByRound(List<Segment> segments, int rounds) implements Task {
    /** The most segments a round may have. */
    public static final int MOST_SEGMENTS = 500;

    public ByRound {
      segments = List.copyOf(segments);
      Valid.count("Segments in the round", segments.size(), 1, MOST_SEGMENTS);
      Valid.count("Rounds", rounds, 1, 10_000);
      double total = segments.stream().mapToDouble(Segment::duration).sum() * rounds;
      Valid.range("Time for all rounds", total, 1, Load.LONGEST, Unit.HOUR);
      if (segments.stream().noneMatch(s -> s.power() > 0)) {
        throw new InvalidValue(
            "Round",
            "without a segment that draws power",
            "at least one must draw more than 0 W",
            "Give one segment a positive power.");
      }
    }

    @Override
    public Load load() {
      List<Load.Step> steps = new ArrayList<>();
      for (Segment s : segments) {
        steps.add(new Load.Step(new Load.Power(s.power()), s.duration(), s.speed()));
      }
      return new Load(steps, rounds);
    }

    public ByRound withRounds(int value) {
      return new ByRound(segments, value);
    }

    /** Returns this round with one segment replaced. */
    public ByRound withSegment(int index, Segment value) {
      List<Segment> changed = new ArrayList<>(segments);
      changed.set(index, value);
      return new ByRound(changed, rounds);
    }

    /** Returns this round with a segment put in before {@code index}. */
    public ByRound plusSegment(int index, Segment value) {
      List<Segment> changed = new ArrayList<>(segments);
      changed.add(index, value);
      return new ByRound(changed, rounds);
    }

    /** Returns this round without one segment. */
    public ByRound minusSegment(int index) {
      List<Segment> changed = new ArrayList<>(segments);
      changed.remove(index);
      return new ByRound(changed, rounds);
    }
  }

  /**
   * One stretch of a round.
   *
   * @param name what happens
   * @param power drawn at the battery, W; negative when braking gives back
   * @param duration how long, s
   * @param speed mean speed, m/s; 0 at rest
   */
  record Segment(
      String name,
      @In(Unit.WATT) double power,
      @In(Unit.SECOND) double duration,
      @In(Unit.KILOMETRE_PER_HOUR) double speed) {
    public Segment {
      Valid.text("Segment name", name);
      Valid.range("Segment power", power, -1e6, 1e6, Unit.WATT);
      Valid.range("Segment duration", duration, 1, 7 * 86400, Unit.SECOND);
      Valid.range("Segment speed", speed, 0, 100, Unit.KILOMETRE_PER_HOUR);
    }

    public Segment withName(String value) {
      return new Segment(value, power, duration, speed);
    }

    public Segment withPower(double value) {
      return new Segment(name, value, duration, speed);
    }

    public Segment withDuration(double value) {
      return new Segment(name, power, value, speed);
    }

    public Segment withSpeed(double value) {
      return new Segment(name, power, duration, value);
    }
  }
}
