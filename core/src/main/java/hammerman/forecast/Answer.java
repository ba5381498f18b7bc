package hammerman.forecast;

import hammerman.unit.Figures;
import hammerman.unit.Unit;

/** A figure that a builder asks for, and may set a target for. */
public enum Answer {
  TIME("Until it ends", "typical day", Unit.HOUR, true),
  RANGE("Range", "typical day", Unit.KILOMETRE, true),
  SAG("Sag, 20 % charge", "hardest moment, coldest day", Unit.VOLT, true),
  HOTTEST("Hottest cell", "hottest day", Unit.CELSIUS, false),
  LIFE("Life", "middle of its band", Unit.YEAR, true);

  private final String label;
  private final String when;
  private final Unit unit;
  private final boolean more;

  Answer(String label, String when, Unit unit, boolean more) {
    this.label = label;
    this.when = when;
    this.unit = unit;
    this.more = more;
  }

  /** Returns it in words. */
  public String label() {
    return label;
  }

  /** Returns on which day, or in which case, in words. */
  public String when() {
    return when;
  }

  /** Returns the unit in which it is shown and typed. */
  public Unit unit() {
    return unit;
  }

  /** Whether a value does as well as another or better. */
  public boolean meets(double value, double wanted) {
    return more ? value >= wanted : value <= wanted;
  }

  /** Returns whether more of it is better. */
  public boolean isMoreBetter() {
    return more;
  }

  /** Returns a value of it as shown. */
  public String shown(double value) {
    return switch (this) {
      case TIME -> Reach.isLonger(value) ? Figures.over(value) : Figures.duration(value);
      case RANGE -> Figures.of(value, unit);
      case SAG -> Figures.of(value, unit, 2);
      case HOTTEST -> Figures.of(value, unit, 1);
      case LIFE ->
          Figures.fixed(unit.fromCore(value), unit.fromCore(value) < 10 ? 2 : 1) + " years";
    };
  }

  /** Returns its value in a forecast, in core units; not a number where there is none. */
  public double of(Forecast f) {
    return switch (this) {
      case TIME -> f.reach().typical().endTime();
      case RANGE -> f.range() > 0 ? f.reach().typical().totals().distance() : Double.NaN;
      case SAG -> f.chain().sag().get(Answers.LOW).tenSeconds();
      case HOTTEST ->
          f.thermal().map().map(m -> m.hottest()).orElse(f.own().extremes().peakTemperature());
      case LIFE -> unit.toCore(f.life().years());
    };
  }
}
