package hammerman.build;

import hammerman.unit.Unit;

/**
 * What a multimeter of the hobby can tell: 0.5 % of the reading and a digit of ten millivolts;
 * typical of its class.
 */
final class Meter {
  private static final double SHARE = 0.005;
  private static final double DIGIT = 0.01;

  private Meter() {}

  /** Returns by how much a reading of a voltage (V) may be off, V. */
  static double error(double volts) {
    return SHARE * Math.abs(volts) + DIGIT;
  }

  /** A voltage that should be another one that was read or is known. */
  static Expected same(double volts, String why) {
    return near(volts, 0, why);
  }

  /** A voltage that should be a known one, within the meter's error and some more (V). */
  static Expected near(double volts, double more, String why) {
    double room = error(volts) + more;
    return new Expected(volts, volts - room, volts + room, Unit.VOLT, why);
  }
}
