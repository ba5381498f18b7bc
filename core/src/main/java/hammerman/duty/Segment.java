package hammerman.duty;

import hammerman.unit.In;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * One stretch of a round.
 *
 * @param name what happens
 * @param speed mean speed, m/s; 0 at rest
 * @param extent how long or how far
 * @param effort what it takes
 */
@RecordBuilder
public record Segment(
    String name, @In(Unit.KILOMETRE_PER_HOUR) double speed, Extent extent, Effort effort)
    implements SegmentBuilder.With {
  /** The longest segment, s. */
  private static final double LONGEST = 7 * 86400;

  public Segment {
    Valid.text("Segment name", name);
    Valid.range("Segment speed", speed, 0, 100, Unit.KILOMETRE_PER_HOUR);
    if (speed == 0 && extent instanceof Extent.Covering) {
      throw standing(name, "a distance", "Give a time instead, or a speed.");
    }
    if (speed == 0 && effort instanceof Effort.Worked) {
      throw standing(name, "a slope", "Type its power instead, or give a speed.");
    }
    Valid.range("Segment duration", extent.duration(speed), 1, LONGEST, Unit.SECOND);
  }

  private static InvalidValue standing(String name, String what, String cure) {
    return new InvalidValue(
        "Speed of “" + name + "”", "0 km/h", "with " + what + " it must move", cure);
  }

  /** How long a segment lasts, in one of the ways people know it. */
  public sealed interface Extent {
    /** Returns the time at a speed (m/s), s. */
    double duration(double speed);

    /** A time, s. */
    record Lasting(@In(Unit.SECOND) double duration) implements Extent {
      @Override
      public double duration(double speed) {
        return duration;
      }
    }

    /** A distance, m. */
    record Covering(@In(Unit.METRE) double distance) implements Extent {
      public Covering {
        Valid.range("Segment distance", distance, 0.1, 1e7, Unit.METRE);
      }

      @Override
      public double duration(double speed) {
        return distance / speed;
      }
    }
  }

  /** What a segment takes from the battery. */
  public sealed interface Effort {
    /** Returns the power at the battery, W; negative when braking gives back. */
    double power(Vehicle vehicle, double speed);

    /** A power at the battery that was typed, W. */
    record Given(@In(Unit.WATT) double power) implements Effort {
      public Given {
        Valid.range("Segment power", power, -1e6, 1e6, Unit.WATT);
      }

      @Override
      public double power(Vehicle vehicle, double speed) {
        return power;
      }
    }

    /**
     * A power worked out from the motion.
     *
     * @param slope rise over run; negative downhill
     * @param load what is carried besides the vehicle, kg
     */
    record Worked(@In(Unit.PERCENT) double slope, @In(Unit.KILOGRAM) double load)
        implements Effort {
      public Worked {
        Valid.range("Segment slope", slope, -1, 1, Unit.PERCENT);
        Valid.range("Load carried", load, 0, 1e5, Unit.KILOGRAM);
      }

      @Override
      public double power(Vehicle vehicle, double speed) {
        return vehicle.batteryPower(speed, slope, load);
      }
    }
  }

  /** The stretches that rounds are made of, to begin a segment from. */
  public enum Template {
    LEVEL("Level", 4, 300, new Effort.Worked(0, 0)),
    CLIMB("Climb", 3, 240, new Effort.Worked(0.12, 0)),
    DESCENT("Descent", 4, 240, new Effort.Worked(-0.12, 0)),
    STALL("Stall", 0, 3, new Effort.Given(1000)),
    IDLE("Idle", 0, 300, new Effort.Given(8));

    private final String label;
    private final Segment segment;

    Template(String label, double kilometresPerHour, double seconds, Effort effort) {
      this.label = label;
      this.segment =
          new Segment(
              label,
              Unit.KILOMETRE_PER_HOUR.toCore(kilometresPerHour),
              new Extent.Lasting(seconds),
              effort);
    }

    /** Returns the kind in a word. */
    public String label() {
      return label;
    }

    /** Returns a segment of this kind with usual figures. */
    public Segment segment() {
      return segment;
    }
  }

  /** Returns how long it lasts, s. */
  public double duration() {
    return extent.duration(speed);
  }

  /** Returns how far it goes, m. */
  public double distance() {
    return duration() * speed;
  }

  /** Returns the power at the battery for a vehicle, W. */
  public double power(Vehicle vehicle) {
    return effort.power(vehicle, speed);
  }
}
