package hammerman.circuit;

import hammerman.circuit.Part.Kind;
import hammerman.guard.Bms;
import hammerman.guard.Protection;
import hammerman.unit.Figures;
import hammerman.unit.Unit;

/** What the BMS of one pack meets, and whether it guards what it should. */
final class BmsStresses {
  private static final String RATING = "rating of the BMS";
  private static final String PRACTICE = "usual practice";

  /** How far above the full voltage a BMS may open on charge, V (usual practice). */
  private static final double OVER_VOLTAGE_ROOM = 0.10;

  /** Share of the charge that a cut-off may leave unused; usual practice. */
  private static final double MOST_UNUSED = 0.15;

  /** Imbalance that is looked at, as a share of the capacity; usual after months of use. */
  private static final double IMBALANCE = 0.01;

  /** Longest balancing that is bearable, s; usual practice. */
  private static final double MOST_BALANCING = 24 * 3600.0;

  private final Circuit circuit;
  private final Side side;

  BmsStresses(Circuit circuit, Side side) {
    this.circuit = circuit;
    this.side = side;
  }

  void fill(Table t) {
    Protection protection = side.guard().protection();
    double guarded =
        switch (protection) {
          case Protection.DischargePath p -> 1;
          case Protection.ChargeOnly p -> 0.5;
          case Protection.None p -> 0;
        };
    Part none = side.part(Kind.BMS, "BMS");
    t.in(State.RUNNING, Corner.ANY)
        .from(PRACTICE)
        .least(none, Stress.Kind.MISSING, guarded, 1, Unit.ONE);
    protection.bms().ifPresent(b -> with(t, b));
  }

  private void with(Table t, Bms b) {
    Part bms = side.part(Kind.BMS, Figures.exact(b.continuousCurrent(), Unit.AMPERE) + " BMS");
    var cell = side.cell();
    double charger = side.guard().charge().current();
    double perCell = side.guard().charge().voltage() / side.pack().series();
    t.in(State.CHARGING, Corner.ANY)
        .from("as many groups as the pack has")
        .most(bms, Stress.Kind.COUNT, Math.abs(b.series() - side.pack().series()), 0, Unit.ONE)
        .from(RATING)
        .most(bms, Stress.Kind.CHARGE, charger, b.chargeCurrent(), Unit.AMPERE)
        .from("cell data; 0.1 V above full, usual practice")
        .most(
            bms,
            Stress.Kind.OVERCHARGE,
            b.overVoltage(),
            cell.fullVoltage() + OVER_VOLTAGE_ROOM,
            Unit.VOLT)
        .from("setting of the BMS")
        .most(bms, Stress.Kind.INTERRUPTED, perCell, b.overVoltage(), Unit.VOLT)
        .from(PRACTICE)
        .least(bms, Stress.Kind.SENSOR, b.temperatureSensors(), 1, Unit.ONE);
    t.in(State.STANDING, Corner.ANY)
        .from(PRACTICE)
        .most(
            bms,
            Stress.Kind.BALANCE,
            3600 * b.balance().hoursFor(IMBALANCE * side.pack().capacity()),
            MOST_BALANCING,
            Unit.HOUR);
    t.in(State.OPENED, Corner.full())
        .from(RATING)
        .most(bms, Stress.Kind.VOLTAGE, side.across(), b.mosfetVoltage(), Unit.VOLT);
    side.bms().ifPresent(path -> inPath(t, bms, path));
  }

  private void inPath(Table t, Part bms, Bms b) {
    DutyCurve duty = circuit.duty();
    double lasting = side.share * duty.within(Math.max(b.overCurrentDelay(), 0.1));
    double peak = side.share * circuit.chain().demand().peak();
    double back = circuit.design().duty().machine().regenerationCurrent();
    t.in(State.HARDEST, Corner.ANY)
        .lasting(
            lasting > b.overCurrent()
                ? Math.max(b.overCurrentDelay(), circuit.chain().demand().peakDuration())
                : Math.min(b.overCurrentDelay(), circuit.chain().demand().peakDuration()))
        .from("threshold of the BMS")
        .most(bms, Stress.Kind.TRIP, Math.max(lasting, peak), b.overCurrent(), Unit.AMPERE);
    if (side.braking() > 0) {
      t.in(State.BRAKING, Corner.ANY)
          .from(RATING)
          .most(bms, Stress.Kind.BRAKE, side.share * back, b.chargeCurrent(), Unit.AMPERE);
    }
    t.in(State.RUNNING, Corner.ANY)
        .from(PRACTICE)
        .most(
            bms,
            Stress.Kind.UNUSED,
            side.branch.circuit().socAt(b.cutOffVoltage()),
            MOST_UNUSED,
            Unit.PERCENT);
  }
}
