package hammerman.guard;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;

/**
 * A pair of connector halves.
 *
 * @param name generic, no maker
 * @param continuous current it carries for long, A
 * @param peak current it stands for 10 s, A
 * @param resistance of the mated pair, Ω
 * @param voltageRating DC voltage it is made for, V
 * @param sparkProof whether it has a resistor that charges the capacitors as it is plugged
 */
public record Connector(
    String name,
    @In(Unit.AMPERE) double continuous,
    @In(Unit.AMPERE) double peak,
    @In(Unit.MILLIOHM) double resistance,
    @In(Unit.VOLT) double voltageRating,
    boolean sparkProof) {
  public Connector {
    Valid.text("Connector name", name);
    Valid.range("Connector continuous current", continuous, 0.1, 5000, Unit.AMPERE);
    Valid.range("Connector peak current", peak, continuous, 10_000, Unit.AMPERE);
    Valid.range("Connector resistance", resistance, 0, 0.1, Unit.MILLIOHM);
    Valid.range("Connector voltage rating", voltageRating, 1, 2000, Unit.VOLT);
  }
}
