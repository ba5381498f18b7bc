package hammerman.choice;

import hammerman.chain.Chain;
import hammerman.chain.Demand;
import hammerman.circuit.Circuit;
import hammerman.circuit.Part.Kind;
import hammerman.design.Design;
import hammerman.finding.Severity;
import hammerman.guard.Bms;
import hammerman.guard.BmsClass;
import hammerman.guard.ChargePlan;
import hammerman.guard.ChargePort;
import hammerman.guard.Closing;
import hammerman.guard.Connector;
import hammerman.guard.Fuse;
import hammerman.guard.Fusing;
import hammerman.guard.Guard;
import hammerman.guard.Guard.Part;
import hammerman.guard.Parts;
import hammerman.guard.Parts.ChargerSize;
import hammerman.guard.Parts.WireSize;
import hammerman.guard.Precharge;
import hammerman.guard.Switch;
import hammerman.guard.Wire;
import hammerman.guard.Wiring;
import hammerman.judgement.Judge;
import hammerman.unit.Figures;
import hammerman.unit.Sentence;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** One selection under way. */
final class Chooser {
  /** A charge takes so much longer than at full current all the way; usual of a CC/CV charge. */
  private static final double TAPER = 1.15;

  /** A pack is charged overnight unless it is needed sooner, s. */
  private static final double NIGHT = 10 * 3600.0;

  private static final double SHORTEST = 3600;

  /** Energy of the machine's capacitors from which a pre-charge is chosen, J. */
  private static final double SPARK_ENERGY = 0.5;

  /** Below this share of the capacity a charge voltage counts as a mistake and is set to full. */
  private static final double LOW_CEILING = 0.60;

  /** Notes that count against a part all the same. */
  private static final Set<String> MATTERS = Set.of("wire.drop", "precharge.spark");

  private final Design design;
  private final Parts parts;
  private final Chain chain;
  private final Circuit circuit;
  private final Demand demand;
  private final double hottest;
  private final double highest;
  private final List<Choice> choices = new ArrayList<>();
  private Guard guard;

  Chooser(Design design, Parts parts) {
    this.design = design;
    this.parts = parts;
    this.chain = Chain.of(design);
    this.demand = chain.demand();
    this.circuit = Circuit.of(chain, Optional.empty());
    this.hottest = design.duty().surroundings().hottestInUse();
    this.highest = chain.supply().highest();
    this.guard = design.guard();
  }

  /** What the stress table says against some kinds of part, in a few words; empty for nothing. */
  private String against(Guard tried, Kind... kinds) {
    return Judge.read(circuit.rewired(tried), EnumSet.copyOf(Arrays.asList(kinds))).stream()
        .filter(f -> f.severity() != Severity.NOTE || MATTERS.contains(f.id()))
        .findFirst()
        .map(f -> Sentence.within(f.title()))
        .orElse("");
  }

  Selection choose() {
    charger();
    bms();
    fuse();
    wire();
    chargePort();
    connector();
    mainSwitch();
    precharge();
    return new Selection(guard, choices);
  }

  private boolean locked(Part part, String now) {
    if (guard.locked().contains(part)) {
      choices.add(new Choice(part, now, "Locked by you; kept as it is.", "", "", true));
      return true;
    }
    return false;
  }

  private void add(Part part, String chosen, String why, String smaller, String larger) {
    choices.add(new Choice(part, chosen, why, smaller, larger, false));
  }

  private void charger() {
    ChargePlan now = guard.charge();
    if (locked(Part.CHARGER, chargerText(now))) {
      return;
    }
    var pack = design.pack();
    double kind = pack.parallel() * pack.cell().currents().standardCharge();
    List<ChargerSize> gentle = parts.chargers().stream().filter(c -> c.current() <= kind).toList();
    double there = chargingTime();
    Ladder<ChargerSize> ladder =
        Ladder.climb(
            gentle.isEmpty() ? parts.chargers().subList(0, 1) : gentle,
            c ->
                fillTime(c.current()) > there
                    ? "not done in the " + Figures.duration(there) + " that there are"
                    : "");
    boolean keep = now.voltage() <= highest + 1e-6 && chain.ceiling() >= LOW_CEILING;
    ChargePlan plan =
        now.withVoltage(keep ? now.voltage() : highest).withCurrent(ladder.taken().current());
    guard = guard.withCharge(plan);
    add(
        Part.CHARGER,
        chargerText(plan),
        "%s in parallel have a standard charge of %s and take %s at most; %s fills the pack in about %s."
            .formatted(
                pack.parallel(),
                amperes(kind),
                amperes(pack.parallel() * pack.cell().currents().fastCharge()),
                amperes(plan.current()),
                Figures.duration(fillTime(plan.current()))),
        ladder.smaller() == null
            ? ""
            : amperes(ladder.smaller().current()) + " is " + ladder.objection() + ".",
        ladder.larger() == null
            ? ""
            : amperes(ladder.larger().current()) + " is quicker than it need be and wears more.");
  }

  /** Time that a charger takes for the whole pack, s; the last part goes ever slower. */
  private double fillTime(double current) {
    return 3600 * TAPER * design.pack().capacity() / current;
  }

  /** Time there is to charge, s: from one use to the next, and no longer than a night. */
  private double chargingTime() {
    double uses = design.duty().habits().cycles();
    double between =
        uses > 0 ? 1 / uses - design.duty().task().load().duration() : Double.POSITIVE_INFINITY;
    return Math.clamp(between, SHORTEST, NIGHT);
  }

  private static String chargerText(ChargePlan plan) {
    return Figures.of(plan.voltage(), Unit.VOLT, 1) + ", " + amperes(plan.current());
  }

  private void bms() {
    Optional<Bms> now = guard.protection().bms();
    if (now.isEmpty()) {
      return;
    }
    if (locked(Part.BMS, amperes(now.get().continuousCurrent()) + " BMS")) {
      return;
    }
    int series = design.pack().series();
    List<BmsClass> rungs = parts.bms(series);
    if (rungs.isEmpty()) {
      add(Part.BMS, "kept", "No class is made for " + series + " groups.", "", "");
      return;
    }
    Ladder<BmsClass> ladder =
        Ladder.climb(
            rungs,
            b -> {
              Bms unit = b.unit(series, design.pack().cell());
              return against(guard.withProtection(guard.protection().withBms(x -> unit)), Kind.BMS);
            });
    BmsClass taken = ladder.taken();
    Bms unit = taken.unit(series, design.pack().cell());
    guard = guard.withProtection(guard.protection().withBms(b -> unit));
    add(
        Part.BMS,
        taken.name(),
        ladder.suits()
            ? "Carries %s for the duty's %s, opens above %s for a hardest moment of %s, blocks %s for a full %s."
                .formatted(
                    amperes(taken.continuousCurrent()),
                    amperes(demand.continuous()),
                    amperes(taken.overCurrent()),
                    amperes(demand.peak()),
                    volts(taken.mosfetVoltage()),
                    volts(highest))
            : "The strongest there is, and still: " + against(guard, Kind.BMS) + ".",
        ladder.below(BmsClass::name),
        ladder.above(BmsClass::name, "dearer, larger, and slower to open on a fault"));
  }

  private void fuse() {
    Optional<Fuse> now = guard.fuse();
    if (now.isEmpty()) {
      return;
    }
    if (locked(Part.FUSE, now.get().text())) {
      return;
    }
    Kind[] asked =
        guard.locked().contains(Part.WIRE)
            ? new Kind[] {Kind.FUSE, Kind.WIRE}
            : new Kind[] {Kind.FUSE};
    Ladder<Fuse> ladder = Ladder.climb(Parts.fuses(), s -> against(guard.withFuse(f -> s), asked));
    Fuse taken = ladder.taken();
    if (!ladder.suits()) {
      add(
          Part.FUSE,
          now.get().text(),
          "No fuse suits both the load and the locked wire, which carries "
              + amperes(guard.wiring().wire().ampacity(hottest))
              + "; unlock the wire.",
          "",
          "");
      return;
    }
    guard = guard.withFuse(f -> taken);
    if (guard.fusing() instanceof Fusing.MainAndCells f) {
      int p = design.pack().parallel();
      double each =
          Fuse.smallestRating(
              taken.kind(), demand.continuous() / p, demand.peak() / p, demand.peakDuration());
      guard = guard.withFusing(new Fusing.MainAndCells(f.fuse(), Math.ceil(each)));
    }
    add(
        Part.FUSE,
        taken.text(),
        "%s for long and %s for %s ask for %s or more; it breaks %s DC and %s."
            .formatted(
                amperes(demand.continuous()),
                amperes(demand.peak()),
                Figures.duration(demand.peakDuration()),
                amperes(chain.fuseWindow().lower()),
                volts(taken.kind().voltageRating()),
                Figures.of(taken.kind().interruptRating(), Unit.KILOAMPERE)),
        ladder.below(Fuse::text),
        ladder.above(Fuse::text, "asks for thicker wire and opens later"));
  }

  private void wire() {
    Wiring wiring = guard.wiring();
    if (locked(Part.WIRE, wiring.wire().text())) {
      return;
    }
    double protectedAt = guard.fuse().map(Fuse::rating).orElse(demand.continuous());
    Ladder<WireSize> ladder =
        Ladder.climb(
            parts.wires(),
            w ->
                against(
                    guard.withWiring(wiring.withWire(wiring.wire().withArea(w.area()))),
                    Kind.WIRE,
                    Kind.SHARED_WIRE));
    Wire taken = wiring.wire().withArea(ladder.taken().area());
    guard = guard.withWiring(wiring.withWire(taken));
    double lost = demand.continuous() * guard.resistance(hottest);
    add(
        Part.WIRE,
        ladder.taken().name() + ", " + taken.text(),
        "Carries %s in the hottest air, %s; loses %s at %s."
            .formatted(
                amperes(taken.ampacity(hottest)),
                guard.fuse().isPresent()
                    ? "so the fuse of " + amperes(protectedAt) + " protects it"
                    : "for the duty's " + amperes(demand.continuous()),
                Figures.of(lost, Unit.VOLT, 2),
                amperes(demand.continuous())),
        ladder.below(WireSize::name),
        ladder.above(WireSize::name, "cooler and stiffer; loses less"));
  }

  /** The charge lead: its fuse first, then wire that the fuse protects, then the plug. */
  private void chargePort() {
    ChargePort now = guard.chargePort();
    if (locked(Part.CHARGE_LEAD, now.wire().text())) {
      return;
    }
    Ladder<Fuse> fuses =
        Ladder.climb(
            Parts.fuses(), s -> against(guard.withChargePort(now.withFuse(s)), Kind.CHARGE_FUSE));
    ChargePort fused = fuses.suits() ? now.withFuse(fuses.taken()) : now;
    Ladder<WireSize> wires =
        Ladder.climb(
            parts.wires(),
            w ->
                against(
                    guard.withChargePort(fused.withWire(fused.wire().withArea(w.area()))),
                    Kind.CHARGE_LEAD));
    ChargePort wired = fused.withWire(fused.wire().withArea(wires.taken().area()));
    Ladder<Connector> plug =
        Ladder.climb(
            parts.connectors(),
            c -> against(guard.withChargePort(wired.withPlug(c)), Kind.CHARGE_PLUG));
    ChargePort taken = now.plug() == null ? wired : wired.withPlug(plug.taken());
    guard = guard.withChargePort(taken);
    add(
        Part.CHARGE_LEAD,
        wires.taken().name() + (fuses.suits() ? ", " + fuses.taken().text() : ""),
        "The charger gives %s; the lead carries %s in the hottest air%s."
            .formatted(
                amperes(guard.charge().current()),
                amperes(taken.wire().ampacity(hottest)),
                fuses.suits()
                    ? ", and its fuse opens before a short circuit ruins it"
                    : "; no fuse suits"),
        wires.below(WireSize::name),
        wires.above(WireSize::name, "cooler and stiffer"));
  }

  private void connector() {
    Wiring wiring = guard.wiring();
    if (wiring.connectorPairs() == 0 || locked(Part.CONNECTOR, wiring.connector().name())) {
      return;
    }
    Ladder<Connector> ladder =
        Ladder.climb(
            parts.connectors(),
            c -> against(guard.withWiring(wiring.withConnector(c)), Kind.CONNECTORS));
    Connector taken = ladder.taken();
    guard = guard.withWiring(wiring.withConnector(taken));
    add(
        Part.CONNECTOR,
        taken.name(),
        "Carries %s for long and %s for 10 s, made for %s."
            .formatted(
                amperes(taken.continuous()), amperes(taken.peak()), volts(taken.voltageRating())),
        ladder.below(Connector::name),
        ladder.above(Connector::name, "cooler, larger"));
  }

  private void mainSwitch() {
    Switch now = guard.mainSwitch();
    if (locked(Part.SWITCH, now == null ? "none" : now.name())) {
      return;
    }
    Ladder<Switch> ladder =
        Ladder.climb(parts.switches(), s -> against(guard.withMainSwitch(s), Kind.SWITCH));
    Switch taken = ladder.taken();
    guard = guard.withMainSwitch(taken);
    add(
        Part.SWITCH,
        taken.name(),
        "Carries %s, breaks %s DC."
            .formatted(amperes(taken.continuous()), volts(taken.voltageRating())),
        ladder.below(Switch::name),
        ladder.above(Switch::name, "more than is needed"));
  }

  private void precharge() {
    Precharge now = guard.precharge();
    if (locked(Part.PRECHARGE, now == null ? "none" : now.text())) {
      return;
    }
    double farads = design.duty().machine().inputCapacitance();
    double energy = Precharge.energy(highest, farads);
    boolean byPlug =
        guard.closing() == Closing.PLUG
            && guard.wiring().connectorPairs() > 0
            && guard.wiring().connector().sparkProof();
    if (energy <= SPARK_ENERGY || byPlug) {
      guard = guard.withPrecharge(null);
      add(
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
        Ladder.climb(parts.prechargers(), p -> against(guard.withPrecharge(p), Kind.PRECHARGE));
    Precharge taken = ladder.taken();
    guard = guard.withPrecharge(taken);
    add(
        Part.PRECHARGE,
        taken.text(),
        "Takes %s a start and begins with %s; ready after %s."
            .formatted(
                Figures.of(energy, Unit.JOULE),
                amperes(taken.current(highest)),
                Figures.duration(taken.time(farads))),
        ladder.below(Precharge::text),
        ladder.above(Precharge::text, "slower, or more than needed"));
  }

  private static String amperes(double a) {
    return Figures.compact(a) + " A";
  }

  private static String volts(double v) {
    return Figures.of(v, Unit.VOLT, 1);
  }
}
