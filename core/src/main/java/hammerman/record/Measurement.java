package hammerman.record;

import hammerman.unit.Valid;
import org.jspecify.annotations.Nullable;

/**
 * A measurement.
 *
 * @param of what was measured
 * @param quantity which figure of it
 * @param value in the core's unit (V, Ω, Ah, V/s, K, kg)
 * @param conditions under which it was taken
 * @param instrument what took it, in words; empty if it was not said
 * @param origin how the figure came here
 */
public record Measurement(
    Subject of,
    Measured quantity,
    double value,
    Conditions conditions,
    String instrument,
    Origin origin) {
  public Measurement {
    Valid.range(quantity.label(), value, quantity.lowest(), quantity.highest(), quantity.unit());
  }

  /** How a figure came here. */
  public enum Origin {
    TYPED,
    IMPORTED,
    DEVICE
  }

  /**
   * Under what a measurement was taken; what was not said is left out.
   *
   * @param current of the test, A
   * @param cutOff at which the test ended, V
   * @param temperature of the air, K
   * @param rest before it, s
   */
  public record Conditions(
      @Nullable Double current,
      @Nullable Double cutOff,
      @Nullable Double temperature,
      @Nullable Double rest) {
    /** Nothing was said. */
    public static final Conditions UNKNOWN = new Conditions(null, null, null, null);
  }
}
