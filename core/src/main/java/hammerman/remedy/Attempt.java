package hammerman.remedy;

import hammerman.cell.CellType;
import hammerman.chain.Chain;
import hammerman.circuit.Circuit;
import hammerman.circuit.State;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.duty.Duty;
import hammerman.duty.Machine;
import hammerman.finding.Finding;
import hammerman.finding.Severity;
import hammerman.forecast.Forecast;
import hammerman.guard.BmsClass;
import hammerman.guard.Fuse;
import hammerman.guard.Fusing;
import hammerman.guard.Guard;
import hammerman.guard.Parts;
import hammerman.guard.Parts.ChargerSize;
import hammerman.guard.Parts.WireSize;
import hammerman.guard.Protection;
import hammerman.judgement.Judge;
import hammerman.pack.Pack;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;

/**
 * An attempt to cure a finding: what is edited, and ladders of parts of which the first that suits
 * is taken. What an edit is worth is found by trying.
 */
abstract class Attempt {
  /** Limit of a usual insulation, K. */
  static final double USUAL_INSULATION = 378.15;

  /** Where a fuse belongs, m from the pack. */
  static final double NEAR = 0.15;

  /** How far above full a BMS opens, V. */
  static final double OVER_FULL = 0.05;

  /** Charge that leaves room for braking. */
  static final double CEILING = 0.90;

  final Forecast now;
  final Design design;
  final Finding finding;
  final Parts parts;
  final boolean second;
  final String id;
  final Set<String> before;
  final List<Edit> edits = new ArrayList<>();

  Attempt(Forecast now, Finding finding, Parts parts) {
    this.now = now;
    design = now.design();
    this.finding = finding;
    this.parts = parts;
    second = finding.id().startsWith("second.");
    id = second ? finding.id().substring("second.".length()) : finding.id();
    before = Safeguard.wrong(now);
  }

  /** Adds the edits that may cure it, the usual first. */
  abstract void fill();

  /** The kind of part that the finding is about. */
  final String part() {
    return id.substring(0, id.indexOf('.'));
  }

  List<Edit> edits() {
    fill();
    return edits;
  }

  Pack thePack() {
    return second ? Objects.requireNonNull(design.second()).pack() : design.pack();
  }

  Guard guard() {
    return second ? Objects.requireNonNull(design.second()).guard() : design.guard();
  }

  CellType theCell() {
    return thePack().cell();
  }

  Design with(Guard g) {
    SecondPack s = design.second();
    return second && s != null ? design.withSecond(s.withGuard(g)) : design.withGuard(g);
  }

  Design with(Pack p) {
    SecondPack s = design.second();
    return second && s != null ? design.withSecond(s.withPack(p)) : design.withPack(p);
  }

  Design counts(int series, int parallel) {
    SecondPack s = design.second();
    if (second && s != null) {
      double perCell = s.guard().charge().voltage() / s.pack().series();
      Guard g =
          s.guard()
              .withCharge(s.guard().charge().following(perCell * series))
              .withProtection(
                  s.guard()
                      .protection()
                      .withBms(b -> b.series() == s.pack().series() ? b.withSeries(series) : b));
      return design.withSecond(s.withPack(s.pack().withCounts(series, parallel)).withGuard(g));
    }
    return design.withCounts(series, parallel);
  }

  Design withCell(CellType cell) {
    SecondPack s = design.second();
    if (second && s != null) {
      double offset =
          s.guard().charge().voltage() / s.pack().series() - s.pack().cell().fullVoltage();
      double volts = (cell.fullVoltage() + offset) * s.pack().series();
      return design.withSecond(
          s.withPack(s.pack().withCell(cell))
              .withGuard(s.guard().withCharge(s.guard().charge().following(volts))));
    }
    return design.withCell(cell);
  }

  Design withDuty(UnaryOperator<Duty> change) {
    return design.withDuty(change.apply(design.duty()));
  }

  Design withMachine(UnaryOperator<Machine> change) {
    return withDuty(d -> d.withMachine(change.apply(d.machine())));
  }

  static double rounded(double volts) {
    return Math.round(volts * 1000) / 1000.0;
  }

  /** Adds an edit, unless the design cannot hold it. */
  void add(String what, Supplier<Design> change) {
    try {
      edits.add(new Edit(what, change.get()));
    } catch (InvalidValue e) {
      // A value out of the range of its field is no cure.
    }
  }

  /** Whether the circuit of a design no longer has the finding, nor anything new that matters. */
  boolean clean(Design d, String... matters) {
    Circuit c = Circuit.of(Chain.of(d, now.chain().path().assembly().of(d.pack())), now.layout());
    return Judge.read(c).stream()
        .noneMatch(
            f ->
                f.id().equals(finding.id())
                    || (f.severity() != Severity.NOTE
                        && !before.contains(f.id())
                        && (f.severity() == Severity.STOP || starts(f.id(), matters))));
  }

  static boolean starts(String found, String... prefixes) {
    String own = found.startsWith("second.") ? found.substring("second.".length()) : found;
    for (String p : prefixes) {
      if (own.startsWith(p)) {
        return true;
      }
    }
    return false;
  }

  /** Adds the first of a ladder whose circuit is clean. */
  <T> void first(
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

  void parallel() {
    List<Integer> more = new ArrayList<>();
    int p = thePack().parallel();
    for (int n = p + 1; n <= Math.min(Pack.MOST_PARALLEL, 4 * p + 2); n++) {
      more.add(n);
    }
    first(more, n -> n + " in parallel", n -> counts(thePack().series(), n));
  }

  void fewerSeries() {
    List<Integer> fewer = new ArrayList<>();
    for (int n = thePack().series() - 1; n >= 1; n--) {
      fewer.add(n);
    }
    first(fewer, n -> n + " in series", n -> counts(n, thePack().parallel()));
  }

  static Guard fused(Guard g, Fuse f) {
    return g.fuse().isPresent() ? g.withFuse(x -> f) : g.withFusing(new Fusing.MainFuse(f));
  }

  void mainFuses() {
    first(
        Parts.fuses(),
        f -> f.text() + " fuse",
        f -> with(fused(guard(), f)),
        "fuse.",
        "wire.",
        "sharedWire.",
        "strip.",
        "cell.",
        "switch.",
        "connector.");
    for (WireSize w : parts.wires()) {
      if (w.area() <= guard().wiring().wire().area()) {
        continue;
      }
      Guard wider = wired(guard(), w);
      int had = edits.size();
      first(
          Parts.fuses(),
          f -> f.text() + " fuse and " + w.name() + " wire",
          f -> with(fused(wider, f)),
          "fuse.",
          "wire.",
          "sharedWire.");
      if (edits.size() > had || w.area() > 8 * guard().wiring().wire().area()) {
        return;
      }
    }
  }

  static Guard wired(Guard g, WireSize w) {
    return g.withWiring(g.wiring().withWire(g.wiring().wire().withArea(w.area())));
  }

  void wireSizes() {
    first(
        parts.wires(),
        w -> w.name() + " wire",
        w -> with(wired(guard(), w)),
        "wire.",
        "sharedWire.");
  }

  void bmsClasses() {
    int s = thePack().series();
    List<BmsClass> rungs = parts.bms(s);
    // A BMS of a longer string's class blocks more, and is set to this one.
    List<BmsClass> wider =
        parts.bms().stream()
            .filter(b -> b.leastSeries() > s)
            .sorted(Comparator.comparingDouble(BmsClass::mosfetVoltage))
            .toList();
    List<BmsClass> all = new ArrayList<>(rungs);
    all.addAll(wider);
    first(
        all,
        b -> "BMS: " + b.name() + (rungs.contains(b) ? "" : ", set for " + s + "S"),
        b -> with(guard().withProtection(protectedBy(b))),
        id.equals("bms.none") ? new String[0] : new String[] {"bms.", "cell."});
  }

  Protection protectedBy(BmsClass b) {
    Protection p = guard().protection();
    var unit = b.unit(thePack().series(), theCell());
    return p.bms().isPresent() ? p.withBms(x -> unit) : new Protection.DischargePath(unit);
  }

  /** Adds the first charger that suits, in the order given. */
  void chargers(List<ChargerSize> rungs) {
    first(
        rungs,
        c -> Figures.compact(c.current()) + " A charger",
        c -> with(guard().withCharge(guard().charge().withCurrent(c.current()))),
        "charge",
        "cell.",
        "bms.");
  }

  /** Sets the machine's currents so that what was asked falls to its limit. */
  void lowerMachine() {
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

  /** The step in which currents of a size are set, A. */
  static double step(double amperes) {
    return amperes >= 20 ? 1 : amperes >= 2 ? 0.5 : 0.01;
  }

  static double floor(double amperes) {
    double step = step(amperes);
    return Math.max(step, Math.floor(amperes / step + 1e-9) * step);
  }

  void lowerRegeneration() {
    Machine m = design.duty().machine();
    double back =
        floor(m.regenerationCurrent() * finding.measure().limit() / finding.measure().value());
    add(
        "Limit regeneration to " + Figures.compact(back) + " A",
        () -> withMachine(x -> x.withRegenerationCurrent(back)));
    add("Switch regeneration off", () -> withMachine(x -> x.withRegenerationCurrent(0)));
  }

  Guard charged(double volts) {
    return guard().withCharge(guard().charge().withVoltage(volts));
  }

  static String volts(double v) {
    return Figures.of(v, Unit.VOLT, 2);
  }

  /** Charge voltage that fills to 90 %, rounded down. */
  double ceiling() {
    return Math.floor(thePack().series() * theCell().openCircuit().value(CEILING) * 100) / 100;
  }

  void pathBms() {
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
}
