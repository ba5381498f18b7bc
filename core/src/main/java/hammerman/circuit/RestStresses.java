package hammerman.circuit;

import hammerman.circuit.Part.Kind;
import hammerman.duty.Duty;
import hammerman.duty.Habits;
import hammerman.guard.Bms;
import hammerman.unit.Unit;

/** What standing and storage do. */
final class RestStresses {
  private static final double MOST_CHARGE = 0.90;
  private static final double LEAST_CHARGE = 0.10;

  /** Storage warmer than this ages every lithium cell fast, K; above 80 % charge, 10 K less. */
  private static final double HOT = 318.15;

  private static final double HOT_WHEN_FULL = 308.15;
  private static final double FULL = 0.80;
  private static final String PRACTICE = "usual practice";

  private RestStresses() {}

  static void fill(Circuit circuit, Table t) {
    Duty duty = circuit.design().duty();
    Habits habits = duty.habits();
    for (Side s : circuit.sides()) {
      t.in(State.STANDING, new Corner(habits.storageSoc(), duty.surroundings().hottestStored()))
          .endedBy("the owner")
          .from("the longest rest that you typed")
          .least(
              s.part(Kind.PACK, "Pack"),
              Stress.Kind.DAYS,
              secondsToEmpty(circuit, s),
              habits.longestRest(),
              Unit.DAY);
    }
    Part pack = new Part(Kind.PACK, false, "Pack");
    double hottest = duty.surroundings().hottestStored();
    t.in(State.STORED, new Corner(habits.storageSoc(), hottest))
        .from(PRACTICE)
        .most(pack, Stress.Kind.STORED_FULL, habits.storageSoc(), MOST_CHARGE, Unit.PERCENT)
        .least(pack, Stress.Kind.STORED_EMPTY, habits.storageSoc(), LEAST_CHARGE, Unit.PERCENT)
        .most(
            pack,
            Stress.Kind.STORED_HOT,
            hottest,
            habits.storageSoc() > FULL ? HOT_WHEN_FULL : HOT,
            Unit.CELSIUS);
  }

  /**
   * Returns the time until the weakest group, drained by machine, BMS and its own self-discharge,
   * has nothing left, s. A main switch that is opened keeps the machine's draw away.
   */
  static double secondsToEmpty(Circuit circuit, Side s) {
    Duty duty = circuit.design().duty();
    double weakest = s.pack().weakestGroup();
    double capacity = s.pack().capacity() * 3600;
    double charge = capacity * Math.max(0, duty.habits().storageSoc() - (1 - weakest));
    double drain =
        s.guard().protection().bms().map(Bms::quiescentCurrent).orElse(0.0)
            + (circuit.first().guard().mainSwitch() == null
                ? s.share * duty.machine().standingCurrent()
                : 0);
    double self =
        capacity
            * ChemistryBounds.of(s.cell().chemistry())
                .lossRate(duty.surroundings().hottestStored());
    return charge / (drain + self);
  }
}
