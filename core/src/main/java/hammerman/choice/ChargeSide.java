package hammerman.choice;

import hammerman.circuit.Part.Kind;
import hammerman.guard.ChargePlan;
import hammerman.guard.ChargePort;
import hammerman.guard.Connector;
import hammerman.guard.Fuse;
import hammerman.guard.Guard.Part;
import hammerman.guard.Parts;
import hammerman.guard.Parts.ChargerSize;
import hammerman.guard.Parts.WireSize;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;

/** What charges the pack: the charger, and the lead that it is plugged into. */
final class ChargeSide {
  /** A charge takes so much longer than at full current all the way; usual of a CC/CV charge. */
  private static final double TAPER = 1.15;

  /** A pack is charged overnight unless it is needed sooner, s. */
  private static final double NIGHT = 10 * 3600.0;

  private static final double SHORTEST = 3600;

  /** Below this share of the capacity a charge voltage counts as a mistake and is set to full. */
  private static final double LOW_CEILING = 0.60;

  private final Draft draft;

  ChargeSide(Draft draft) {
    this.draft = draft;
  }

  void charger() {
    ChargePlan now = draft.guard().charge();
    if (draft.locked(Part.CHARGER, chargerText(now))) {
      return;
    }
    var pack = draft.design().pack();
    double kind = pack.parallel() * pack.cell().currents().standardCharge();
    List<ChargerSize> gentle =
        draft.parts().chargers().stream().filter(c -> c.current() <= kind).toList();
    double there = chargingTime();
    Ladder<ChargerSize> ladder =
        Ladder.climb(
            gentle.isEmpty() ? draft.parts().chargers().subList(0, 1) : gentle,
            c ->
                fillTime(c.current()) > there
                    ? "not done in the " + Figures.duration(there) + " that there are"
                    : "");
    boolean keep =
        now.voltage() <= draft.highest() + 1e-6 && draft.chain().ceiling() >= LOW_CEILING;
    ChargePlan plan =
        now.withVoltage(keep ? now.voltage() : draft.highest())
            .withCurrent(ladder.taken().current());
    draft.take(draft.guard().withCharge(plan));
    draft.add(
        Part.CHARGER,
        chargerText(plan),
        "%s in parallel have a standard charge of %s and take %s at most; %s fills the pack in about %s."
            .formatted(
                pack.parallel(),
                Draft.amperes(kind),
                Draft.amperes(pack.parallel() * pack.cell().currents().fastCharge()),
                Draft.amperes(plan.current()),
                Figures.duration(fillTime(plan.current()))),
        ladder.smaller() == null
            ? ""
            : Draft.amperes(ladder.smaller().current()) + " is " + ladder.objection() + ".",
        ladder.larger() == null
            ? ""
            : Draft.amperes(ladder.larger().current())
                + " is quicker than it need be and wears more.");
  }

  /** Time that a charger takes for the whole pack, s; the last part goes ever slower. */
  private double fillTime(double current) {
    return 3600 * TAPER * draft.design().pack().capacity() / current;
  }

  /** Time there is to charge, s: from one use to the next, and no longer than a night. */
  private double chargingTime() {
    double uses = draft.design().duty().habits().cycles();
    double between =
        uses > 0
            ? 1 / uses - draft.design().duty().task().load().duration()
            : Double.POSITIVE_INFINITY;
    return Math.clamp(between, SHORTEST, NIGHT);
  }

  private static String chargerText(ChargePlan plan) {
    return Figures.of(plan.voltage(), Unit.VOLT, 1) + ", " + Draft.amperes(plan.current());
  }

  /** The charge lead: its fuse first, then wire that the fuse protects, then the plug. */
  void lead() {
    ChargePort now = draft.guard().chargePort();
    if (draft.locked(Part.CHARGE_LEAD, now.wire().text())) {
      return;
    }
    Ladder<Fuse> fuses =
        Ladder.climb(
            Parts.fuses(),
            s -> draft.against(draft.guard().withChargePort(now.withFuse(s)), Kind.CHARGE_FUSE));
    ChargePort fused = fuses.suits() ? now.withFuse(fuses.taken()) : now;
    Ladder<WireSize> wires =
        Ladder.climb(
            draft.parts().wires(),
            w ->
                draft.against(
                    draft.guard().withChargePort(fused.withWire(fused.wire().withArea(w.area()))),
                    Kind.CHARGE_LEAD));
    ChargePort wired = fused.withWire(fused.wire().withArea(wires.taken().area()));
    Ladder<Connector> plug =
        Ladder.climb(
            draft.parts().connectors(),
            c -> draft.against(draft.guard().withChargePort(wired.withPlug(c)), Kind.CHARGE_PLUG));
    ChargePort taken = now.plug() == null ? wired : wired.withPlug(plug.taken());
    draft.take(draft.guard().withChargePort(taken));
    draft.add(
        Part.CHARGE_LEAD,
        wires.taken().name() + (fuses.suits() ? ", " + fuses.taken().text() : ""),
        "The charger gives %s; the lead carries %s in the hottest air%s."
            .formatted(
                Draft.amperes(draft.guard().charge().current()),
                Draft.amperes(taken.wire().ampacity(draft.hottest())),
                fuses.suits()
                    ? ", and its fuse opens before a short circuit ruins it"
                    : "; no fuse suits"),
        wires.below(WireSize::name),
        wires.above(WireSize::name, "cooler and stiffer"));
  }
}
