package hammerman.guard;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;

/**
 * The main switch.
 *
 * @param name generic, no maker
 * @param continuous current it carries for long, A
 * @param voltageRating DC voltage it breaks, V
 * @param resistance closed, Ω
 */
public record Switch(
    String name,
    @In(Unit.AMPERE) double continuous,
    @In(Unit.VOLT) double voltageRating,
    @In(Unit.MILLIOHM) double resistance) {
  public Switch {
    Valid.text("Switch name", name);
    Valid.range("Switch continuous current", continuous, 0.1, 5000, Unit.AMPERE);
    Valid.range("Switch voltage rating", voltageRating, 1, 2000, Unit.VOLT);
    Valid.range("Switch resistance", resistance, 0, 1, Unit.MILLIOHM);
  }
}
