package hammerman.duty;

import hammerman.unit.In;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
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
  @RecordBuilder
  record ByTime(@In(Unit.WATT) double power, @In(Unit.HOUR) double duration)
      implements Task, TaskByTimeBuilder.With {
    public ByTime {
      Valid.range("Power", power, 0.01, 1e6, Unit.WATT);
      Valid.range("Duration", duration, 1, Load.LONGEST, Unit.HOUR);
    }

    @Override
    public Load load() {
      return new Load(List.of(new Load.Step(new Load.Power(power), duration, 0)), 1);
    }
  }

  /**
   * So many kilometres at so much energy each.
   *
   * @param distance wanted, m
   * @param consumption energy per distance at the battery, J/m
   * @param speed mean speed, m/s
   */
  @RecordBuilder
  record ByDistance(
      @In(Unit.KILOMETRE) double distance,
      @In(Unit.WATT_HOUR_PER_KILOMETRE) double consumption,
      @In(Unit.KILOMETRE_PER_HOUR) double speed)
      implements Task, TaskByDistanceBuilder.With {
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
  }

  /**
   * A round of segments, repeated.
   *
   * @param vehicle what moves, for powers that are worked out
   * @param segments the segments of one round, in order
   * @param rounds how many rounds on one charge
   */
  @RecordBuilder
  record ByRound(Vehicle vehicle, List<Segment> segments, int rounds)
      implements Task, TaskByRoundBuilder.With {
    /** The most segments a round may have. */
    public static final int MOST_SEGMENTS = 500;

    public ByRound {
      segments = List.copyOf(segments);
      Valid.count("Segments in the round", segments.size(), 1, MOST_SEGMENTS);
      Valid.count("Rounds", rounds, 1, 10_000);
      double total = segments.stream().mapToDouble(Segment::duration).sum() * rounds;
      Valid.range("Time for all rounds", total, 1, Load.LONGEST, Unit.HOUR);
      if (segments.stream().noneMatch(s -> s.power(vehicle) > 0)) {
        throw new InvalidValue(
            "Round",
            "without a segment that draws power",
            "at least one must draw more than 0 W",
            "Give one segment a positive power.");
      }
    }

    @Override
    public Load load() {
      List<Load.Step> steps = new ArrayList<>(segments.size());
      for (Segment s : segments) {
        steps.add(new Load.Step(new Load.Power(s.power(vehicle)), s.duration(), s.speed()));
      }
      return new Load(steps, rounds);
    }

    /** Returns this round with one segment replaced. */
    public ByRound withSegment(int index, Segment value) {
      List<Segment> changed = new ArrayList<>(segments);
      changed.set(index, value);
      return new ByRound(vehicle, changed, rounds);
    }

    /** Returns this round with a segment put in before {@code index}. */
    public ByRound plusSegment(int index, Segment value) {
      List<Segment> changed = new ArrayList<>(segments);
      changed.add(index, value);
      return new ByRound(vehicle, changed, rounds);
    }

    /** Returns this round without one segment. */
    public ByRound minusSegment(int index) {
      List<Segment> changed = new ArrayList<>(segments);
      changed.remove(index);
      return new ByRound(vehicle, changed, rounds);
    }

    /** Returns this round with a segment moved to another place; unchanged at the ends. */
    public ByRound movedSegment(int from, int to) {
      if (to < 0 || to >= segments.size()) {
        return this;
      }
      List<Segment> changed = new ArrayList<>(segments);
      changed.add(to, changed.remove(from));
      return new ByRound(vehicle, changed, rounds);
    }
  }

  /**
   * A load read from a log of a real run, reduced to steps.
   *
   * @param source the file it was read from, and how much it held
   * @param quantity what each step holds constant
   * @param steps the reduced log, in order
   * @param rounds how often it is gone through on one charge
   */
  @RecordBuilder
  record ByLog(String source, Quantity quantity, List<LogStep> steps, int rounds)
      implements Task, TaskByLogBuilder.With {
    /** The most steps kept of a log. */
    public static final int MOST_STEPS = 2000;

    /** What a log tells of the load. */
    public enum Quantity {
      /** Power at the battery, W. */
      POWER,
      /** Current out of the battery, A. */
      CURRENT
    }

    /**
     * One step of a log.
     *
     * @param duration s
     * @param value power in W or current in A; negative when braking gives back
     * @param speed mean speed, m/s
     */
    public record LogStep(
        @In(Unit.SECOND) double duration, double value, @In(Unit.METRE_PER_SECOND) double speed) {
      public LogStep {
        Valid.range("Step duration", duration, 1e-3, Load.LONGEST, Unit.SECOND);
        Valid.range("Step value", value, -1e6, 1e6, Unit.ONE);
        Valid.range("Step speed", speed, 0, 100, Unit.METRE_PER_SECOND);
      }
    }

    public ByLog {
      Valid.text("Source of the log", source);
      steps = List.copyOf(steps);
      Valid.count("Steps of the log", steps.size(), 1, MOST_STEPS);
      Valid.count("Times the log is repeated", rounds, 1, 10_000);
      double total = steps.stream().mapToDouble(LogStep::duration).sum() * rounds;
      Valid.range("Time for all repeats", total, 1, Load.LONGEST, Unit.HOUR);
      if (steps.stream().noneMatch(s -> s.value() > 0)) {
        throw new InvalidValue(
            "Log",
            "without discharge",
            "at least one step must draw from the battery",
            "Check the sign of its current column.");
      }
    }

    @Override
    public Load load() {
      List<Load.Step> list = new ArrayList<>(steps.size());
      for (LogStep s : steps) {
        Load.Demand demand =
            quantity == Quantity.POWER ? new Load.Power(s.value()) : new Load.Current(s.value());
        list.add(new Load.Step(demand, s.duration(), s.speed()));
      }
      return new Load(list, rounds);
    }
  }
}
