package hammerman.forecast;

import hammerman.design.Design;
import hammerman.duty.Duty;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;

/**
 * A school of charging, tried on a design: how far it goes and how long it lives.
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
    double volts =
        ceiling >= 1 - 1e-9
            ? design.pack().fullVoltage()
            : rounded(design.pack().series() * design.pack().cell().openCircuit().value(ceiling));
    Duty duty = design.duty();
    Design tried =
        design
            .withGuard(design.guard().withCharge(design.guard().charge().withVoltage(volts)))
            .withDuty(duty.withHabits(duty.habits().withStorageSoc(Math.min(1, waits))));
    return new Ceiling(name, ceiling, waits, tried, Forecast.of(tried));
  }

  private static double rounded(double volts) {
    return Math.round(Unit.VOLT.fromCore(volts) * 100) / 100.0;
  }
}
