package hammerman.circuit;

import hammerman.circuit.Part.Kind;
import hammerman.guard.ChargePlan;
import hammerman.guard.ChargePort;
import hammerman.guard.Connector;
import hammerman.guard.Fuse;
import hammerman.unit.Figures;
import hammerman.unit.Unit;

/** The charger of one pack, and the lead from it. */
final class ChargeStresses {
  /** Longest charge that is not remarked on, s. */
  private static final double MOST_TIME = 24 * 3600.0;

  private final Side side;

  ChargeStresses(Side side) {
    this.side = side;
  }

  void fill(Table t) {
    ChargePlan charge = side.guard().charge();
    Part charger =
        side.part(Kind.CHARGER, Figures.exact(charge.current(), Unit.AMPERE) + " charger");
    t.in(State.CHARGING, Corner.full())
        .endedBy(side.guard().protection().bms().isPresent() ? "BMS" : "")
        .from("usual practice")
        .least(charger, Stress.Kind.MATCH, suits(charge.kind()), 1, Unit.ONE);
    t.in(State.CHARGING, Corner.ANY)
        .from("usual practice")
        .most(
            charger,
            Stress.Kind.TIME,
            3600 * side.pack().capacity() / charge.current(),
            MOST_TIME,
            Unit.HOUR);
    port(t);
  }

  /** How well a kind suits: 1 suits, 0 must not be used. */
  private double suits(ChargePlan.Kind kind) {
    boolean watched = side.guard().protection().bms().isPresent();
    return switch (kind) {
      case BALANCING -> 1;
      case LITHIUM -> watched || side.pack().series() == 1 ? 1 : 0.5;
      case SUPPLY -> watched ? 0.6 : 0;
      case LEAD -> 0;
    };
  }

  private void port(Table t) {
    ChargePort port = side.guard().chargePort();
    Fuse f = port.fuse();
    boolean alone = side.bms().isEmpty();
    t.in(State.SHORT, Corner.full())
        .endedBy(alone ? "" : side.bms().map(b -> Protector.of(b).name()).orElse(""))
        .from("usual practice")
        .least(
            side.part(Kind.CHARGE_FUSE, "Charge fuse"),
            Stress.Kind.MISSING,
            f == null ? 0 : 1,
            1,
            Unit.ONE);
    if (f != null) {
      FuseStresses.rated(
          t,
          side.part(Kind.CHARGE_FUSE, Figures.exact(f.rating(), Unit.AMPERE) + " charge fuse"),
          f,
          side.branch.highest(),
          side.own(),
          side.hottest);
      t.in(State.SHORT, Corner.full())
          .endedBy(side.cellFuses().map(Protector::name).orElse(""))
          .from("usual practice")
          .most(
              side.part(Kind.CHARGE_LEAD, "Charge lead"),
              Stress.Kind.LENGTH,
              port.beforeFuse(),
              FuseStresses.UNFUSED,
              Unit.METRE);
    }
    t.in(State.TYPED, Corner.ANY)
        .from("silicone and fluoropolymer, typical")
        .most(
            side.part(Kind.CHARGE_LEAD, "Charge lead"),
            Stress.Kind.FIGURE,
            port.wire().insulationLimit(),
            PathStresses.HOTTEST_INSULATION,
            Unit.CELSIUS);
    Connector plug = port.plug();
    if (plug != null) {
      t.in(State.OPENED, Corner.full())
          .from("rating of the plug")
          .most(
              side.part(Kind.CHARGE_PLUG, plug.name()),
              Stress.Kind.VOLTAGE,
              side.branch.highest(),
              plug.voltageRating(),
              Unit.VOLT);
    }
  }
}
