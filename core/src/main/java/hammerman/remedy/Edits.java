package hammerman.remedy;

import hammerman.cell.CellType;
import hammerman.chain.Chain;
import hammerman.chain.Junction;
import hammerman.circuit.Circuit;
import hammerman.circuit.State;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.duty.Duty;
import hammerman.duty.Machine;
import hammerman.finding.Finding;
import hammerman.finding.Severity;
import hammerman.forecast.Forecast;
import hammerman.forecast.Mend;
import hammerman.guard.BmsClass;
import hammerman.guard.ChargePlan;
import hammerman.guard.ChargePort;
import hammerman.guard.Closing;
import hammerman.guard.Connector;
import hammerman.guard.Fuse;
import hammerman.guard.FuseClass;
import hammerman.guard.Fusing;
import hammerman.guard.Guard;
import hammerman.guard.Leads;
import hammerman.guard.Parts;
import hammerman.guard.Parts.ChargerSize;
import hammerman.guard.Parts.WireSize;
import hammerman.guard.Precharge;
import hammerman.guard.Protection;
import hammerman.guard.Switch;
import hammerman.guard.Wiring;
import hammerman.judgement.Judge;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Cooling;
import hammerman.pack.Pack;
import hammerman.pack.Strip;
import hammerman.pack.TakeOff;
import hammerman.readymade.ReadyMadeUse;
import hammerman.readymade.StartRun;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;

/** Edits that may cure a finding, the usual first; whether they do is found by trying. */
final class Edits {
  private static final double ROOM_INSULATION = 378.15;
  private static final double NEAR = 0.15;
  private static final double OVER_FULL = 0.05;
  private static final double CEILING = 0.90;

  private final Forecast now;
  private final Design design;
  private final Finding finding;
  private final Parts parts;
  private final boolean second;
  private final String id;
  private final Set<String> before;
  private final List<Edit> edits = new ArrayList<>();

  Edits(Forecast now, Finding finding, Parts parts) {
    this.now = now;
    design = now.design();
    this.finding = finding;
    this.parts = parts;
    second = finding.id().startsWith("second.");
    id = second ? finding.id().substring("second.".length()) : finding.id();
    before = Safeguard.wrong(now);
  }

  List<Edit> candidates() {
    switch (id.substring(0, id.indexOf('.'))) {
      case "cell" -> cell();
      case "cellFuse" -> cellFuse();
      case "strip", "fit" -> strips();
      case "bms" -> bms();
      case "fuse", "lead" -> fuse();
      case "wire", "sharedWire" -> wire();
      case "switch" -> mainSwitch();
      case "connector" -> connector();
      case "precharge" -> precharge();
      case "machine" -> machine();
      case "junction" -> junction();
      case "charger", "charge" -> charger();
      case "chargeFuse", "chargeLead", "chargePlug" -> chargePort();
      case "pack" -> pack();
      case "readyMade" -> readyMade();
      case "duty" -> duty();
      default -> {}
    }
    return edits;
  }

  // What is edited.

  private Pack thePack() {
    return second ? Objects.requireNonNull(design.second()).pack() : design.pack();
  }

  private Guard guard() {
    return second ? Objects.requireNonNull(design.second()).guard() : design.guard();
  }

  private CellType theCell() {
    return thePack().cell();
  }

  private Design with(Guard g) {
    SecondPack s = design.second();
    return second && s != null ? design.withSecond(s.withGuard(g)) : design.withGuard(g);
  }

  private Design with(Pack p) {
    SecondPack s = design.second();
    return second && s != null ? design.withSecond(s.withPack(p)) : design.withPack(p);
  }

  private Design counts(int series, int parallel) {
    SecondPack s = design.second();
    if (second && s != null) {
      double perCell = s.guard().charge().voltage() / s.pack().series();
      Guard g =
          s.guard()
              .withCharge(s.guard().charge().withVoltage(rounded(perCell * series)))
              .withProtection(
                  s.guard()
                      .protection()
                      .withBms(b -> b.series() == s.pack().series() ? b.withSeries(series) : b));
      return design.withSecond(s.withPack(s.pack().withCounts(series, parallel)).withGuard(g));
    }
    return design.withCounts(series, parallel);
  }

  private Design withCell(CellType cell) {
    SecondPack s = design.second();
    if (second && s != null) {
      double offset =
          s.guard().charge().voltage() / s.pack().series() - s.pack().cell().fullVoltage();
      double volts = rounded((cell.fullVoltage() + offset) * s.pack().series());
      return design.withSecond(
          s.withPack(s.pack().withCell(cell))
              .withGuard(s.guard().withCharge(s.guard().charge().withVoltage(volts))));
    }
    return design.withCell(cell);
  }

  private Design withDuty(UnaryOperator<Duty> change) {
    return design.withDuty(change.apply(design.duty()));
  }

  private Design withMachine(UnaryOperator<Machine> change) {
    return withDuty(d -> d.withMachine(change.apply(d.machine())));
  }

  private static double rounded(double volts) {
    return Math.round(volts * 1000) / 1000.0;
  }

  /** Adds an edit, unless the design cannot hold it. */
  private void add(String what, Supplier<Design> change) {
    try {
      edits.add(new Edit(what, change.get()));
    } catch (InvalidValue e) {
      // A value out of the range of its field is no cure.
    }
  }

  /** Whether the circuit of a design no longer has the finding, nor anything new that matters. */
  private boolean clean(Design d, String... matters) {
    Circuit c = Circuit.of(Chain.of(d, now.chain().path().assembly().of(d.pack())), now.layout());
    return Judge.read(c).stream()
        .noneMatch(
            f ->
                f.id().equals(finding.id())
                    || (f.severity() != Severity.NOTE
                        && !before.contains(f.id())
                        && (f.severity() == Severity.STOP || starts(f.id(), matters))));
  }

  private static boolean starts(String found, String... prefixes) {
    String own = found.startsWith("second.") ? found.substring("second.".length()) : found;
    for (String p : prefixes) {
      if (own.startsWith(p)) {
        return true;
      }
    }
    return false;
  }

  /** Adds the first of a ladder whose circuit is clean. */
  private <T> void first(
      List<T> rungs, Function<T, String> what, Function<T, Design> change, String... matters) {
    for (T rung : rungs) {
      try {
        Design d = change.apply(rung);
        if (clean(d, matters)) {
          edits.add(new Edit(what.apply(rung), d));
          return;
        }
      } catch (InvalidValue e) {
        // Not a rung for this design.
      }
    }
  }

  // Ladders.

  private void parallel() {
    List<Integer> more = new ArrayList<>();
    int p = thePack().parallel();
    for (int n = p + 1; n <= Math.min(Pack.MOST_PARALLEL, 4 * p + 2); n++) {
      more.add(n);
    }
    first(more, n -> n + " in parallel", n -> counts(thePack().series(), n));
  }

  private void fewerSeries() {
    List<Integer> fewer = new ArrayList<>();
    for (int n = thePack().series() - 1; n >= 1; n--) {
      fewer.add(n);
    }
    first(fewer, n -> n + " in series", n -> counts(n, thePack().parallel()));
  }

  private static List<Fuse> fuses() {
    List<Fuse> all = new ArrayList<>();
    for (FuseClass kind : FuseClass.values()) {
      kind.sizes().forEach(r -> all.add(new Fuse(kind, r, kind.voltageRating())));
    }
    all.sort(
        Comparator.comparingDouble(Fuse::rating)
            .thenComparingDouble(f -> f.kind().interruptRating()));
    return all;
  }

  private static String text(Fuse f) {
    return Figures.compact(f.rating())
        + " A "
        + f.kind().label().toLowerCase(Locale.ROOT)
        + " fuse";
  }

  private static Guard fused(Guard g, Fuse f) {
    return g.fuse().isPresent() ? g.withFuse(x -> f) : g.withFusing(new Fusing.MainFuse(f));
  }

  private void mainFuses() {
    first(
        fuses(),
        Edits::text,
        f -> with(fused(guard(), f)),
        "fuse.",
        "wire.",
        "sharedWire.",
        "strip.",
        "cell.",
        "switch.",
        "connector.");
    for (WireSize w : wires()) {
      if (w.area() <= guard().wiring().wire().area()) {
        continue;
      }
      Guard wider = wired(guard(), w);
      int had = edits.size();
      first(
          fuses(),
          f -> text(f) + " and " + w.name() + " wire",
          f -> with(fused(wider, f)),
          "fuse.",
          "wire.",
          "sharedWire.");
      if (edits.size() > had || w.area() > 8 * guard().wiring().wire().area()) {
        return;
      }
    }
  }

  private List<WireSize> wires() {
    return parts.wires().stream().sorted(Comparator.comparingDouble(WireSize::area)).toList();
  }

  private static Guard wired(Guard g, WireSize w) {
    return g.withWiring(g.wiring().withWire(g.wiring().wire().withArea(w.area())));
  }

  private void wireSizes() {
    first(wires(), w -> w.name() + " wire", w -> with(wired(guard(), w)), "wire.", "sharedWire.");
  }

  private void bmsClasses() {
    int s = thePack().series();
    List<BmsClass> rungs =
        parts.bms().stream()
            .filter(b -> b.leastSeries() <= s && s <= b.mostSeries())
            .sorted(Comparator.comparingDouble(BmsClass::continuousCurrent))
            .toList();
    // A BMS of a longer string's class blocks more, and is set to this one.
    List<BmsClass> wider =
        parts.bms().stream()
            .filter(b -> b.leastSeries() > s)
            .sorted(
                Comparator.comparingDouble(BmsClass::mosfetVoltage)
                    .thenComparingDouble(BmsClass::continuousCurrent))
            .toList();
    List<BmsClass> all = new ArrayList<>(rungs);
    all.addAll(wider);
    first(
        all,
        b -> "BMS: " + b.name() + (rungs.contains(b) ? "" : ", set for " + s + "S"),
        b -> with(guard().withProtection(protectedBy(b))),
        id.equals("bms.none") ? new String[0] : new String[] {"bms.", "cell."});
  }

  private Protection protectedBy(BmsClass b) {
    Protection p = guard().protection();
    var unit = b.unit(thePack().series(), theCell());
    return p.bms().isPresent() ? p.withBms(x -> unit) : new Protection.DischargePath(unit);
  }

  private void chargers() {
    List<ChargerSize> down =
        parts.chargers().stream().sorted(Comparator.comparingDouble(c -> -c.current())).toList();
    first(
        down,
        c -> Figures.compact(c.current()) + " A charger",
        c -> with(guard().withCharge(guard().charge().withCurrent(c.current()))),
        "charge",
        "cell.",
        "bms.");
  }

  /** Sets the machine's currents so that what was asked falls to its limit. */
  private void lowerMachine() {
    double ratio = finding.measure().limit() / finding.measure().value();
    Machine m = design.duty().machine();
    double effort = floor(m.fullEffortCurrent() * ratio);
    boolean moment = finding.state().startsWith(State.HARDEST.words());
    double peak = floor((moment ? design.duty().hardest().current() : m.peakCurrent()) * ratio);
    if (id.endsWith(".effort")) {
      add(
          "Limit full effort to " + Figures.compact(effort) + " A",
          () -> withMachine(x -> x.withFullEffortCurrent(effort)));
    } else {
      add(
          "Limit the machine to " + Figures.compact(peak) + " A",
          () ->
              withDuty(
                  d ->
                      d.withMachine(
                              m.withPeakCurrent(peak)
                                  .withFullEffortCurrent(Math.min(m.fullEffortCurrent(), peak)))
                          .withHardest(d.hardest().withCurrent(peak))));
    }
  }

  private static double floor(double amperes) {
    double step = amperes >= 20 ? 1 : amperes >= 2 ? 0.5 : 0.01;
    return Math.max(step, Math.floor(amperes / step + 1e-9) * step);
  }

  private void lowerRegeneration() {
    Machine m = design.duty().machine();
    double back =
        floor(m.regenerationCurrent() * finding.measure().limit() / finding.measure().value());
    add(
        "Limit regeneration to " + Figures.compact(back) + " A",
        () -> withMachine(x -> x.withRegenerationCurrent(back)));
    add("Switch regeneration off", () -> withMachine(x -> x.withRegenerationCurrent(0)));
  }

  private Guard charged(double volts) {
    return guard().withCharge(guard().charge().withVoltage(volts));
  }

  private static String volts(double v) {
    return Figures.of(v, Unit.VOLT, 2);
  }

  /** Charge voltage that fills to 90 %, rounded down. */
  private double ceiling() {
    return Math.floor(thePack().series() * theCell().openCircuit().value(CEILING) * 100) / 100;
  }

  private void pathBms() {
    guard()
        .protection()
        .bms()
        .ifPresentOrElse(
            b ->
                add(
                    "Put the BMS in the discharge path",
                    () -> with(guard().withProtection(new Protection.DischargePath(b)))),
            this::bmsClasses);
  }

  // By part.

  private void cell() {
    double limit = finding.measure().limit();
    switch (id) {
      case "cell.current" -> {
        parallel();
        lowerMachine();
      }
      case "cell.effort", "cell.alone" -> {
        lowerMachine();
        parallel();
      }
      case "cell.brake" -> {
        lowerRegeneration();
        parallel();
      }
      case "cell.brakeCold" ->
          add("Switch regeneration off", () -> withMachine(x -> x.withRegenerationCurrent(0)));
      case "cell.brakeFull" -> {
        double v = ceiling();
        add("Charge to " + volts(v) + ", 90 %", () -> with(charged(v)));
        pathBms();
        add("Switch regeneration off", () -> withMachine(x -> x.withRegenerationCurrent(0)));
      }
      case "cell.low" -> low(limit);
      case "cell.overload", "cell.withstand" -> {
        mainFuses();
        bmsClasses();
        parallel();
      }
      case "cell.charge" -> {
        chargers();
        parallel();
      }
      case "cell.overcharge" -> {
        double s = thePack().series();
        double most =
            Math.min(s * theCell().fullVoltage(), s * limit / (1 + guard().charge().tolerance()));
        double v = Math.floor(most * 100 + 1e-6) / 100;
        add("Set the charger to " + volts(v), () -> with(charged(v)));
      }
      case "cell.undercharge" -> {
        double v = Math.floor(thePack().fullVoltage() * 100 + 1e-6) / 100;
        add("Set the charger to " + volts(v), () -> with(charged(v)));
      }
      case "cell.chargeCold" ->
          add(
              "Charge at " + Figures.of(limit, Unit.CELSIUS, 0) + " or more",
              () ->
                  withDuty(
                      d ->
                          d.withSurroundings(
                              d.surroundings()
                                  .withHottestCharging(
                                      Math.max(limit, d.surroundings().hottestCharging()))
                                  .withColdestCharging(limit))));
      case "cell.chargeHot" ->
          add(
              "Charge at " + Figures.of(limit, Unit.CELSIUS, 0) + " or less",
              () ->
                  withDuty(
                      d ->
                          d.withSurroundings(
                              d.surroundings()
                                  .withColdestCharging(
                                      Math.min(limit, d.surroundings().coldestCharging()))
                                  .withHottestCharging(limit))));
      case "cell.cold" ->
          add(
              "Keep it at " + Figures.of(limit, Unit.CELSIUS, 0) + " or more in use",
              () ->
                  withDuty(
                      d ->
                          d.withSurroundings(
                              d.surroundings()
                                  .withHottestInUse(
                                      Math.max(limit, d.surroundings().hottestInUse()))
                                  .withColdestInUse(limit))));
      default -> figures(limit);
    }
  }

  private void low(double limit) {
    if (guard().protection().inDischargePath().isPresent()) {
      double v = Math.ceil(limit * 20 - 1e-9) / 20;
      add(
          "Set the cut-off of the BMS to " + volts(v),
          () ->
              with(
                  guard()
                      .withProtection(guard().protection().withBms(b -> b.withCutOffVoltage(v)))));
      return;
    }
    double ratio = limit / finding.measure().value();
    double v = Math.ceil(design.duty().machine().cutOutVoltage() * ratio * 10 - 1e-6) / 10;
    double least = v > 0 ? v : Math.ceil(thePack().cutOffVoltage() * 10) / 10;
    add(
        "Set the machine's cut-out to " + Figures.of(least, Unit.VOLT, 1),
        () -> withMachine(x -> x.withCutOutVoltage(least)));
    pathBms();
  }

  private void figures(double limit) {
    CellType c = theCell();
    switch (id) {
      case "cell.figure" -> {
        double v = Math.min(limit, c.chemistry().openCircuit().value(1) + OVER_FULL);
        double full = Math.round(v * 100) / 100.0;
        double nominal = Math.min(c.nominalVoltage(), full - 0.05);
        add(
            "Full at " + volts(full),
            () -> withCell(c.withNominalVoltage(nominal).withFullVoltage(full)));
      }
      case "cell.figureLow" ->
          add("Cut-off at " + volts(limit), () -> withCell(c.withCutOffVoltage(limit)));
      case "cell.figureCold" ->
          add(
              "Charge from " + Figures.of(limit, Unit.CELSIUS, 0),
              () -> withCell(c.withTemperatures(c.temperatures().withChargeLowest(limit))));
      case "cell.figureHot" ->
          add(
              "At most " + Figures.of(limit, Unit.CELSIUS, 0),
              () -> withCell(c.withTemperatures(c.temperatures().withDischargeHighest(limit))));
      default -> {}
    }
  }

  private void cellFuse() {
    if (!(guard().fusing() instanceof Fusing.MainAndCells f)) {
      return;
    }
    double ratio = finding.measure().limit() / finding.measure().value();
    double each =
        id.equals("cellFuse.clears")
            ? Math.max(0.5, Math.floor(f.cellRating() * ratio * 2) / 2)
            : Math.ceil(f.cellRating() / ratio * 2) / 2;
    add(
        "Cell fuses of " + Figures.compact(each) + " A",
        () -> with(guard().withFusing(new Fusing.MainAndCells(f.fuse(), each))));
  }

  private void strips() {
    Strip s = thePack().strip();
    if (!second) {
      Mend.of(now).forEach(m -> edits.add(new Edit(m.what(), m.design())));
      if (now.layout().isPresent() && id.equals("strip.current")) {
        bars(s);
      }
    }
    for (int n : new int[] {2, 3, 4}) {
      int layers = Math.min(20, s.layers() * n);
      add(layers + " layers of strip", () -> with(thePack().withStrip(s.withLayers(layers))));
    }
    add(
        "Copper of 0.2 mm with steel",
        () ->
            with(
                thePack()
                    .withStrip(new Strip(ConductorMaterial.COPPER, 0.2e-3, s.width(), 1, 0.1e-3))));
    if (id.equals("strip.overload") || id.equals("strip.withstand")) {
      mainFuses();
    }
    if (id.equals("strip.current") || id.equals("strip.effort")) {
      lowerMachine();
    }
  }

  /** Copper with a bar over the end groups. */
  private void bars(Strip s) {
    var fit = design.fit();
    if (fit == null) {
      return;
    }
    Strip copper = new Strip(ConductorMaterial.COPPER, 0.2e-3, s.width(), 1, 0.1e-3);
    add(
        "Copper with steel everywhere, and a bar over the end groups",
        () ->
            design
                .withPack(design.pack().withStrip(copper))
                .withFit(fit.withConductors(fit.conductors().withTakeOff(TakeOff.WHOLE_GROUP))));
  }

  private void bms() {
    double limit = finding.measure().limit();
    switch (id) {
      case "bms.none" -> pathBms();
      case "bms.count" -> {
        add(
            "A " + thePack().series() + "-series BMS",
            () ->
                with(
                    guard()
                        .withProtection(
                            guard().protection().withBms(b -> b.withSeries(thePack().series())))));
        bmsClasses();
      }
      case "bms.charge" -> {
        chargers();
        bmsClasses();
      }
      case "bms.brake" -> {
        lowerRegeneration();
        bmsClasses();
      }
      case "bms.effort", "bms.current", "bms.trip" -> {
        bmsClasses();
        lowerMachine();
      }
      case "bms.overcharge" -> overVoltage();
      case "bms.interrupted" -> {
        if (guard().charge().voltage() <= thePack().fullVoltage() + 1e-6) {
          overVoltage();
        }
        double most = Math.min(limit, theCell().fullVoltage()) * thePack().series();
        double v = Math.floor(most * 100 + 1e-6) / 100;
        add("Set the charger to " + volts(v), () -> with(charged(v)));
      }
      case "bms.unused" -> {
        double v = BmsClass.cutOffFor(theCell());
        add(
            "Set its cut-off to " + volts(v),
            () ->
                with(
                    guard()
                        .withProtection(
                            guard().protection().withBms(b -> b.withCutOffVoltage(v)))));
      }
      case "bms.sensor" ->
          add(
              "A BMS with a sensor",
              () ->
                  with(
                      guard()
                          .withProtection(
                              guard().protection().withBms(b -> b.withTemperatureSensors(1)))));
      default -> bmsClasses();
    }
  }

  private void overVoltage() {
    double v = rounded(theCell().fullVoltage() + OVER_FULL);
    add(
        "Set its over-voltage to " + volts(v),
        () ->
            with(guard().withProtection(guard().protection().withBms(b -> b.withOverVoltage(v)))));
  }

  private void fuse() {
    if (id.equals("lead.length")) {
      Leads l = guard().wiring().leads();
      double moved = l.packToFuse() - NEAR;
      Leads near = l.withPackToFuse(NEAR).withFuseToSwitch(l.fuseToSwitch() + moved);
      add(
          "Move the fuse to 0.15 m from the pack",
          () -> with(guard().withWiring(guard().wiring().withLeads(near))));
      return;
    }
    mainFuses();
    if (id.equals("fuse.effort") || id.equals("fuse.current")) {
      lowerMachine();
    }
    if (id.equals("fuse.clears")) {
      pathBms();
    }
  }

  private void wire() {
    if (id.endsWith(".figure")) {
      add(
          "Insulation for 105 °C",
          () ->
              with(
                  guard()
                      .withWiring(
                          guard()
                              .wiring()
                              .withWire(
                                  guard().wiring().wire().withInsulationLimit(ROOM_INSULATION)))));
      return;
    }
    if (id.endsWith(".overload") || id.endsWith(".withstand")) {
      mainFuses();
    }
    wireSizes();
    if (id.endsWith(".effort") || id.endsWith(".current")) {
      mainFuses();
      lowerMachine();
    }
  }

  private void mainSwitch() {
    List<Switch> rungs =
        parts.switches().stream().sorted(Comparator.comparingDouble(Switch::continuous)).toList();
    first(rungs, Switch::name, s -> with(guard().withMainSwitch(s)), "switch.");
    protectedOrLess();
  }

  private void connector() {
    List<Connector> rungs =
        parts.connectors().stream()
            .sorted(Comparator.comparingDouble(Connector::continuous))
            .toList();
    first(
        rungs,
        Connector::name,
        c -> with(guard().withWiring(guard().wiring().withConnector(c))),
        "connector.");
    protectedOrLess();
  }

  private void protectedOrLess() {
    if (id.endsWith(".overload") || id.endsWith(".withstand")) {
      mainFuses();
    }
    if (id.endsWith(".effort") || id.endsWith(".current")) {
      lowerMachine();
    }
  }

  private void precharge() {
    List<Precharge> rungs =
        parts.prechargers().stream()
            .sorted(
                Comparator.comparingDouble(Precharge::power)
                    .thenComparingDouble(Precharge::resistance))
            .toList();
    first(
        rungs,
        p ->
            "Pre-charge through "
                + Figures.compact(p.resistance())
                + " Ω, "
                + Figures.compact(p.power())
                + " W",
        p -> with(guard().withPrecharge(p)),
        "precharge.");
    if (id.equals("precharge.none")) {
      plugs();
    }
  }

  /** Lets a pre-charging plug be what closes the circuit. */
  private void plugs() {
    Wiring w = guard().wiring();
    if (w.connectorPairs() == 0) {
      return;
    }
    List<Connector> soft = new ArrayList<>();
    if (w.connector().sparkProof()) {
      soft.add(w.connector());
    }
    parts.connectors().stream().filter(Connector::sparkProof).forEach(soft::add);
    first(
        soft,
        c -> "Let the plug close the circuit last: " + c.name(),
        c -> with(guard().withWiring(w.withConnector(c)).withClosing(Closing.PLUG)),
        "connector.",
        "precharge.");
  }

  private void machine() {
    switch (id) {
      case "machine.floor" -> {
        for (int n = 1; n <= 3; n++) {
          int s = thePack().series() + n;
          add(s + " in series", () -> counts(s, thePack().parallel()));
        }
        parallel();
        softer();
      }
      case "machine.voltage" -> {
        fewerSeries();
        if (design.second() != null && design.second().joining() == Joining.SERIES) {
          add("Leave the second pack out", () -> design.withSecond(null));
        } else if (design.second() != null) {
          equalSecond();
        }
        double v = Math.floor(design.duty().machine().maximumVoltage() * 100 + 1e-6) / 100;
        add("Set the charger to " + volts(v), () -> with(charged(v)));
      }
      default -> {
        fewerSeries();
        if (design.second() != null) {
          equalSecond();
        }
      }
    }
  }

  private void softer() {
    for (double share : new double[] {0.9, 0.8, 0.7, 0.6}) {
      double peak = floor(design.duty().hardest().current() * share);
      Design d =
          withDuty(
              x ->
                  x.withHardest(x.hardest().withCurrent(peak))
                      .withMachine(
                          x.machine().withPeakCurrent(Math.min(x.machine().peakCurrent(), peak))));
      if (clean(d)) {
        edits.add(
            new Edit(
                "Soften “%s” to %s A"
                    .formatted(design.duty().hardest().name(), Figures.compact(peak)),
                d));
        return;
      }
    }
  }

  private void equalSecond() {
    SecondPack s = Objects.requireNonNull(design.second());
    int series = design.pack().series();
    Pack p = design.pack().withCounts(series, s.pack().parallel());
    Guard g =
        s.guard()
            .withCharge(s.guard().charge().withVoltage(design.guard().charge().voltage()))
            .withProtection(
                s.guard()
                    .protection()
                    .withBms(
                        b ->
                            b.withSeries(series)
                                .withVoltages(
                                    BmsClass.cutOffFor(p.cell()),
                                    BmsClass.overVoltageFor(p.cell()))));
    add(
        "A second pack of the same cells, " + p.counts(),
        () -> design.withSecond(s.withPack(p).withGuard(g)));
  }

  private void junction() {
    SecondPack s = Objects.requireNonNull(design.second());
    switch (id) {
      case "junction.gap", "junction.brakeCold" -> {
        Junction j = Junction.of(now.chain()).orElseThrow();
        double perCell = j.first() / s.pack().series();
        double soc = s.pack().cell().openCircuit().inverse(perCell);
        add(
            "Bring the second to %s first, %s"
                .formatted(volts(j.first()), Figures.of(soc, Unit.PERCENT, 0)),
            () -> design.withSecond(s.withSoc(Math.clamp(soc, 0, 1))));
        add("Join them through diodes", () -> design.withSecond(s.withJoining(Joining.DIODES)));
      }
      default -> {
        equalSecond();
        add(
            "Keep the second as a reserve, switched over",
            () -> design.withSecond(s.withJoining(Joining.SWITCH_OVER)));
        add("Join them through diodes", () -> design.withSecond(s.withJoining(Joining.DIODES)));
      }
    }
  }

  private void charger() {
    switch (id) {
      case "charger.match" -> {
        ChargePlan c = guard().charge();
        add(
            "A charger with constant current, then voltage",
            () -> with(guard().withCharge(c.withKind(ChargePlan.Kind.LITHIUM))));
        add(
            "A balancing charger",
            () -> with(guard().withCharge(c.withKind(ChargePlan.Kind.BALANCING))));
      }
      case "charger.time" -> {
        List<ChargerSize> up =
            parts.chargers().stream()
                .sorted(Comparator.comparingDouble(ChargerSize::current))
                .toList();
        first(
            up,
            c -> Figures.compact(c.current()) + " A charger",
            c -> with(guard().withCharge(guard().charge().withCurrent(c.current()))),
            "charge",
            "cell.",
            "bms.");
      }
      case "charge.regenerationFull" -> {
        double v = ceiling();
        add("Charge to " + volts(v) + ", 90 %", () -> with(charged(v)));
        bmsClasses();
      }
      default -> {}
    }
  }

  private void chargePort() {
    ChargePort port = guard().chargePort();
    switch (id.substring(0, id.indexOf('.'))) {
      case "chargeFuse" ->
          first(
              fuses(),
              f -> text(f) + " in the charge lead",
              f ->
                  with(
                      guard()
                          .withChargePort(
                              port.withFuse(f).withBeforeFuse(Math.min(port.beforeFuse(), NEAR)))),
              "chargeFuse.",
              "chargeLead.",
              "chargePlug.");
      case "chargePlug" -> plugsOf(port);
      default -> chargeLead(port);
    }
  }

  private void chargeLead(ChargePort port) {
    if (id.equals("chargeLead.length")) {
      add(
          "Move its fuse to 0.15 m from the pack",
          () -> with(guard().withChargePort(port.withBeforeFuse(NEAR))));
      return;
    }
    if (id.equals("chargeLead.figure")) {
      add(
          "Insulation for 105 °C",
          () ->
              with(
                  guard()
                      .withChargePort(
                          port.withWire(port.wire().withInsulationLimit(ROOM_INSULATION)))));
      return;
    }
    first(
        wires(),
        w -> w.name() + " charge lead",
        w -> with(guard().withChargePort(port.withWire(port.wire().withArea(w.area())))),
        "chargeLead.",
        "chargePlug.");
    if (id.equals("chargeLead.withstand")) {
      first(
          fuses(),
          f -> text(f) + " in the charge lead",
          f -> with(guard().withChargePort(port.withFuse(f))),
          "chargeFuse.",
          "chargeLead.");
    }
    chargers();
  }

  private void plugsOf(ChargePort port) {
    List<Connector> rungs =
        parts.connectors().stream()
            .sorted(Comparator.comparingDouble(Connector::continuous))
            .toList();
    first(
        rungs,
        c -> c.name() + " as charge plug",
        c -> with(guard().withChargePort(port.withPlug(c))),
        "chargePlug.");
    if (id.equals("chargePlug.charge")) {
      chargers();
    }
  }

  private void pack() {
    double limit = finding.measure().limit();
    switch (id) {
      case "pack.days" -> {
        if (design.guard().mainSwitch() == null) {
          first(
              parts.switches(),
              s -> "Switch it off: " + s.name(),
              s -> design.withGuard(design.guard().withMainSwitch(s)),
              "switch.");
        }
        double often = Math.floor(finding.measure().value() / 2 / 86400) * 86400;
        add(
            "Charge it again every " + Figures.of(often, Unit.DAY, 0),
            () -> withDuty(d -> d.withHabits(d.habits().withLongestRest(often))));
      }
      case "pack.storedFull", "pack.storedEmpty" ->
          add(
              "Let it wait at 50 %",
              () -> withDuty(d -> d.withHabits(d.habits().withStorageSoc(0.5))));
      case "pack.storedHot" -> {
        add(
            "Let it wait at 50 %",
            () -> withDuty(d -> d.withHabits(d.habits().withStorageSoc(0.5))));
        add(
            "Keep it below " + Figures.of(limit, Unit.CELSIUS, 0),
            () ->
                withDuty(
                    d ->
                        d.withSurroundings(
                            d.surroundings()
                                .withColdestStored(
                                    Math.min(limit, d.surroundings().coldestStored()))
                                .withHottestStored(limit))));
      }
      default -> {
        fewerSeries();
        if (design.second() != null && design.second().joining() == Joining.SERIES) {
          add("Leave the second pack out", () -> design.withSecond(null));
        }
      }
    }
  }

  private void readyMade() {
    ReadyMadeUse use = Objects.requireNonNull(design.readyMade());
    double longest = 0;
    for (double soc : new double[] {1, 0.5, 0.2}) {
      longest =
          Math.max(
              longest,
              StartRun.shortestRamp(use.battery(), use.start(), soc)
                  .orElse(Double.POSITIVE_INFINITY));
    }
    if (Double.isFinite(longest)) {
      double ramp = Math.ceil(longest * 20) / 20;
      add(
          "A ramp of " + Figures.of(ramp, Unit.SECOND),
          () -> design.withReadyMade(use.withStart(use.start().withRamp(ramp))));
    }
    double cap = floor(0.95 * use.battery().tripCurrent());
    add(
        "A current limit of " + Figures.compact(cap) + " A",
        () -> design.withReadyMade(use.withStart(use.start().withRamp(0).withCap(cap))));
  }

  private void duty() {
    switch (id) {
      case "duty.trips" -> bmsClasses();
      case "duty.peakAboveMachine" ->
          add(
              "Enter the hardest moment as the machine's limit",
              () ->
                  withDuty(d -> d.withHardest(d.hardest().withCurrent(d.machine().peakCurrent()))));
      case "duty.pair" -> {
        SecondPack s = Objects.requireNonNull(design.second());
        more(
            s.pack(),
            n -> design.withSecond(s.withPack(s.pack().withCounts(s.pack().series(), n))),
            " in parallel in the second");
      }
      case "duty.tooHot" -> {
        add("A fan", () -> design.withPack(design.pack().withCooling(Cooling.MOVING_AIR)));
        more(design.pack(), n -> counts(design.pack().series(), n), " in parallel");
      }
      case "duty.energyShort", "duty.cannotDeliver", "duty.shortWhenWorn" -> {
        more(design.pack(), n -> counts(design.pack().series(), n), " in parallel");
        int s = design.pack().series() + 1;
        add(s + " in series", () -> counts(s, design.pack().parallel()));
      }
      default -> {}
    }
  }

  /** More in parallel, by what is short. */
  private void more(Pack p, Function<Integer, Design> change, String words) {
    double short1 =
        finding.measure().atLeast()
            ? finding.measure().limit() / Math.max(1e-9, finding.measure().value())
            : finding.measure().value() / finding.measure().limit();
    int least = (int) Math.ceil(p.parallel() * Math.clamp(short1, 1, 4) - 1e-9);
    for (int n = 0; n < 3; n++) {
      int count = Math.max(p.parallel() + 1, least) + n * Math.max(1, p.parallel() / 6);
      add(count + words, () -> change.apply(count));
    }
  }
}
