package hammerman.judgement;

import hammerman.unit.Figures;
import hammerman.unit.Unit;

/** Figures as rules write them. */
final class Text {
  private Text() {}

  static String volts(double v) {
    return Figures.of(v, Unit.VOLT, 1);
  }

  /** A cell's voltage, to the hundredth. */
  static String cellVolts(double v) {
    return Figures.of(v, Unit.VOLT, 2);
  }

  static String amperes(double a) {
    return Figures.of(a, Unit.AMPERE);
  }

  static String celsius(double kelvin) {
    return Figures.of(kelvin, Unit.CELSIUS, 0);
  }

  static String percent(double fraction) {
    return Figures.of(fraction, Unit.PERCENT, 0);
  }

  /** A count of things that must be at least {@code needed}. */
  static String upTo(double needed) {
    return Integer.toString((int) Math.ceil(needed - 1e-9));
  }
}
