package hammerman.forecast;

import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.duty.Duty;
import hammerman.guard.Guard;
import hammerman.pack.Pack;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;

/**
 * A school of charging, tried on a design: how far it goes and how long it lives. Two packs are
 * both charged that way.
 *
 * @param name what builders call it
 * @param ceiling state of charge after a charge, 0 to 1
 * @param waitsAt state of charge at which the pack waits, 0 to 1
 * @param design the design charged this way
 * @param forecast what then comes of it
 */
public record Ceiling(
    String name, double ceiling, double waitsAt, Design design, Forecast forecast) {
  private static final double WAITS_HALF = 0.5;

  /** A state of charge that is this near to what the charger gives is meant to be that. */
  private static final double AS_CHARGED = 0.01;

  /** Tries the four schools on a design; some milliseconds each. */
  public static List<Ceiling> of(Design design) {
    double full = design.pack().cell().openCircuit().inverse(design.pack().cell().fullVoltage());
    List<Ceiling> all = new ArrayList<>();
    all.add(of("Full, and waits full", design, full, full));
    all.add(of("To 90 %", design, 0.9, 0.9));
    all.add(of("To 80 %", design, 0.8, 0.8));
    all.add(of("Full only on the day", design, full, WAITS_HALF));
    return all;
  }

  private static Ceiling of(String name, Design design, double ceiling, double waits) {
    Design tried = charged(design, ceiling, waits);
    return new Ceiling(name, ceiling, waits, tried, Forecast.of(tried));
  }

  /** Returns a design charged this way, all else as it is. */
  public Design on(Design other) {
    return charged(other, ceiling, waitsAt);
  }

  private static Design charged(Design design, double ceiling, double waits) {
    Duty duty = design.duty();
    Design all =
        design
            .withGuard(charged(design.guard(), design.pack(), ceiling))
            .withDuty(duty.withHabits(duty.habits().withStorageSoc(Math.min(1, waits))));
    SecondPack second = design.second();
    return second == null
        ? all
        : all.withSecond(
            second
                .withGuard(charged(second.guard(), second.pack(), ceiling))
                .withSoc(joined(second.soc(), second.guard(), second.pack(), ceiling))
                .withFirstSoc(joined(second.firstSoc(), design.guard(), design.pack(), ceiling)));
  }

  private static Guard charged(Guard guard, Pack pack, double ceiling) {
    double volts =
        ceiling >= 1 - 1e-9
            ? pack.fullVoltage()
            : rounded(pack.series() * pack.cell().openCircuit().value(ceiling));
    return guard.withCharge(guard.charge().withVoltage(volts));
  }

  /** A pack that is joined as it comes from its charger goes on being so; one that is not, less. */
  private static double joined(double soc, Guard guard, Pack pack, double ceiling) {
    double now = pack.cell().openCircuit().inverse(guard.charge().voltage() / pack.series());
    return soc > now - AS_CHARGED ? ceiling : Math.min(soc, ceiling);
  }

  private static double rounded(double volts) {
    return Math.round(Unit.VOLT.fromCore(volts) * 100) / 100.0;
  }
}
