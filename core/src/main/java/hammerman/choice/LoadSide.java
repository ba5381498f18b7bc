package hammerman.choice;

import hammerman.circuit.Part.Kind;
import hammerman.guard.Bms;
import hammerman.guard.BmsClass;
import hammerman.guard.Closing;
import hammerman.guard.Connector;
import hammerman.guard.Fuse;
import hammerman.guard.Fusing;
import hammerman.guard.Guard.Part;
import hammerman.guard.Parts;
import hammerman.guard.Parts.WireSize;
import hammerman.guard.Precharge;
import hammerman.guard.Switch;
import hammerman.guard.Wire;
import hammerman.guard.Wiring;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.Optional;

/** What lies between the pack and the machine. */
final class LoadSide {
  /** Energy of the machine's capacitors from which a pre-charge is chosen, J. */
  private static final double SPARK_ENERGY = 0.5;

  private final Draft draft;

  LoadSide(Draft draft) {
    this.draft = draft;
  }

  void bms() {
    Optional<Bms> now = draft.guard().protection().bms();
    if (now.isEmpty()) {
      return;
    }
    if (draft.locked(Part.BMS, Draft.amperes(now.get().continuousCurrent()) + " BMS")) {
      return;
    }
    int series = draft.design().pack().series();
    List<BmsClass> rungs = draft.parts().bms(series);
    if (rungs.isEmpty()) {
      draft.add(Part.BMS, "kept", "No class is made for " + series + " groups.", "", "");
      return;
    }
    Ladder<BmsClass> ladder =
        Ladder.climb(
            rungs,
            b -> {
              Bms unit = b.unit(series, draft.design().pack().cell());
              return draft.against(
                  draft.guard().withProtection(draft.guard().protection().withBms(x -> unit)),
                  Kind.BMS);
            });
    BmsClass taken = ladder.taken();
    Bms unit = taken.unit(series, draft.design().pack().cell());
    draft.take(draft.guard().withProtection(draft.guard().protection().withBms(b -> unit)));
    draft.add(
        Part.BMS,
        taken.name(),
        ladder.suits()
            ? "Carries %s for the duty's %s, opens above %s for a hardest moment of %s, blocks %s for a full %s."
                .formatted(
                    Draft.amperes(taken.continuousCurrent()),
                    Draft.amperes(draft.demand().continuous()),
                    Draft.amperes(taken.overCurrent()),
                    Draft.amperes(draft.demand().peak()),
                    Draft.volts(taken.mosfetVoltage()),
                    Draft.volts(draft.highest()))
            : "The strongest there is, and still: " + draft.against(draft.guard(), Kind.BMS) + ".",
        ladder.below(BmsClass::name),
        ladder.above(BmsClass::name, "dearer, larger, and slower to open on a fault"));
  }

  void fuse() {
    Optional<Fuse> now = draft.guard().fuse();
    if (now.isEmpty()) {
      return;
    }
    if (draft.locked(Part.FUSE, now.get().text())) {
      return;
    }
    Kind[] asked =
        draft.guard().locked().contains(Part.WIRE)
            ? new Kind[] {Kind.FUSE, Kind.WIRE}
            : new Kind[] {Kind.FUSE};
    Ladder<Fuse> ladder =
        Ladder.climb(Parts.fuses(), s -> draft.against(draft.guard().withFuse(f -> s), asked));
    Fuse taken = ladder.taken();
    if (!ladder.suits()) {
      draft.add(
          Part.FUSE,
          now.get().text(),
          "No fuse suits both the load and the locked wire, which carries "
              + Draft.amperes(draft.guard().wiring().wire().ampacity(draft.hottest()))
              + "; unlock the wire.",
          "",
          "");
      return;
    }
    draft.take(draft.guard().withFuse(f -> taken));
    if (draft.guard().fusing() instanceof Fusing.MainAndCells f) {
      int p = draft.design().pack().parallel();
      double each =
          Fuse.smallestRating(
              taken.kind(),
              draft.demand().continuous() / p,
              draft.demand().peak() / p,
              draft.demand().peakDuration());
      draft.take(draft.guard().withFusing(new Fusing.MainAndCells(f.fuse(), Math.ceil(each))));
    }
    draft.add(
        Part.FUSE,
        taken.text(),
        "%s for long and %s for %s ask for %s or more; it breaks %s DC and %s."
            .formatted(
                Draft.amperes(draft.demand().continuous()),
                Draft.amperes(draft.demand().peak()),
                Figures.duration(draft.demand().peakDuration()),
                Draft.amperes(draft.chain().fuseWindow().lower()),
                Draft.volts(taken.kind().voltageRating()),
                Figures.of(taken.kind().interruptRating(), Unit.KILOAMPERE)),
        ladder.below(Fuse::text),
        ladder.above(Fuse::text, "asks for thicker wire and opens later"));
  }

  void wire() {
    Wiring wiring = draft.guard().wiring();
    if (draft.locked(Part.WIRE, wiring.wire().text())) {
      return;
    }
    double protectedAt = draft.guard().fuse().map(Fuse::rating).orElse(draft.demand().continuous());
    Ladder<WireSize> ladder =
        Ladder.climb(
            draft.parts().wires(),
            w ->
                draft.against(
                    draft.guard().withWiring(wiring.withWire(wiring.wire().withArea(w.area()))),
                    Kind.WIRE,
                    Kind.SHARED_WIRE));
    Wire taken = wiring.wire().withArea(ladder.taken().area());
    draft.take(draft.guard().withWiring(wiring.withWire(taken)));
    double lost = draft.demand().continuous() * draft.guard().resistance(draft.hottest());
    draft.add(
        Part.WIRE,
        ladder.taken().name() + ", " + taken.text(),
        "Carries %s in the hottest air, %s; loses %s at %s."
            .formatted(
                Draft.amperes(taken.ampacity(draft.hottest())),
                draft.guard().fuse().isPresent()
                    ? "so the fuse of " + Draft.amperes(protectedAt) + " protects it"
                    : "for the duty's " + Draft.amperes(draft.demand().continuous()),
                Figures.of(lost, Unit.VOLT, 2),
                Draft.amperes(draft.demand().continuous())),
        ladder.below(WireSize::name),
        ladder.above(WireSize::name, "cooler and stiffer; loses less"));
  }

  void connector() {
    Wiring wiring = draft.guard().wiring();
    if (wiring.connectorPairs() == 0 || draft.locked(Part.CONNECTOR, wiring.connector().name())) {
      return;
    }
    Ladder<Connector> ladder =
        Ladder.climb(
            draft.parts().connectors(),
            c -> draft.against(draft.guard().withWiring(wiring.withConnector(c)), Kind.CONNECTORS));
    Connector taken = ladder.taken();
    draft.take(draft.guard().withWiring(wiring.withConnector(taken)));
    draft.add(
        Part.CONNECTOR,
        taken.name(),
        "Carries %s for long and %s for 10 s, made for %s."
            .formatted(
                Draft.amperes(taken.continuous()),
                Draft.amperes(taken.peak()),
                Draft.volts(taken.voltageRating())),
        ladder.below(Connector::name),
        ladder.above(Connector::name, "cooler, larger"));
  }

  void mainSwitch() {
    Switch now = draft.guard().mainSwitch();
    if (draft.locked(Part.SWITCH, now == null ? "none" : now.name())) {
      return;
    }
    Ladder<Switch> ladder =
        Ladder.climb(
            draft.parts().switches(),
            s -> draft.against(draft.guard().withMainSwitch(s), Kind.SWITCH));
    Switch taken = ladder.taken();
    draft.take(draft.guard().withMainSwitch(taken));
    draft.add(
        Part.SWITCH,
        taken.name(),
        "Carries %s, breaks %s DC."
            .formatted(Draft.amperes(taken.continuous()), Draft.volts(taken.voltageRating())),
        ladder.below(Switch::name),
        ladder.above(Switch::name, "more than is needed"));
  }

  void precharge() {
    Precharge now = draft.guard().precharge();
    if (draft.locked(Part.PRECHARGE, now == null ? "none" : now.text())) {
      return;
    }
    double farads = draft.design().duty().machine().inputCapacitance();
    double energy = Precharge.energy(draft.highest(), farads);
    boolean byPlug =
        draft.guard().closing() == Closing.PLUG
            && draft.guard().wiring().connectorPairs() > 0
            && draft.guard().wiring().connector().sparkProof();
    if (energy <= SPARK_ENERGY || byPlug) {
      draft.take(draft.guard().withPrecharge(null));
      draft.add(
          Part.PRECHARGE,
          "none",
          byPlug
              ? "The connectors pre-charge as they are plugged."
              : "The machine's capacitors hold only "
                  + Figures.of(energy, Unit.JOULE)
                  + ": no spark to speak of.",
          "",
          "");
      return;
    }
    Ladder<Precharge> ladder =
        Ladder.climb(
            draft.parts().prechargers(),
            p -> draft.against(draft.guard().withPrecharge(p), Kind.PRECHARGE));
    Precharge taken = ladder.taken();
    draft.take(draft.guard().withPrecharge(taken));
    draft.add(
        Part.PRECHARGE,
        taken.text(),
        "Takes %s a start and begins with %s; ready after %s."
            .formatted(
                Figures.of(energy, Unit.JOULE),
                Draft.amperes(taken.current(draft.highest())),
                Figures.duration(taken.time(farads))),
        ladder.below(Precharge::text),
        ladder.above(Precharge::text, "slower, or more than needed"));
  }
}
