package hammerman.app.station.guard;

import hammerman.app.control.Form;
import hammerman.app.session.Session;
import hammerman.design.SecondPack;
import hammerman.finding.Station;
import hammerman.guard.Bms;
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
import hammerman.guard.Precharge;
import hammerman.guard.Switch;
import hammerman.guard.Wire;
import hammerman.pack.Pack;
import hammerman.project.Project;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/** The forms of station Guard: every part with its ratings. */
final class GuardForms {
  private final Session session;
  private final Parts parts;
  private final boolean second;

  /**
   * Makes the forms of one pack's parts.
   *
   * @param second whether they are those of the second pack
   */
  GuardForms(Session session, Parts parts, boolean second) {
    this.session = session;
    this.parts = parts;
    this.second = second;
  }

  /** The name of a field; those of a second pack begin with “Its”. */
  private String name(String first) {
    if (!second) {
      return first;
    }
    boolean word = first.length() < 2 || !Character.isUpperCase(first.charAt(1));
    return "Its "
        + (word ? first.substring(0, 1).toLowerCase(Locale.ROOT) : first.charAt(0))
        + first.substring(1);
  }

  private boolean has(Project p) {
    return !second || p.variant().second() != null;
  }

  private Guard read(Project p) {
    SecondPack s = p.variant().second();
    return second && s != null ? s.guard() : p.variant().guard();
  }

  private Project write(Project p, UnaryOperator<Guard> change) {
    SecondPack s = p.variant().second();
    if (!second) {
      return guard(p, change);
    }
    return s == null
        ? p
        : p.withDesign(p.design().withSecond(s.withGuard(change.apply(s.guard()))));
  }

  private Pack pack(Project p) {
    SecondPack s = p.variant().second();
    return second && s != null ? s.pack() : p.variant().pack();
  }

  private Form form() {
    return new Form(session, Station.GUARD, 118, 66);
  }

  static Project guard(Project p, UnaryOperator<Guard> change) {
    return p.withDesign(p.design().withGuard(change.apply(p.variant().guard())));
  }

  private void in(
      Form form,
      String name,
      Unit unit,
      Function<Guard, Double> read,
      BiFunction<Guard, Double, Guard> write) {
    form.quantityWhen(
        this::has,
        name(name),
        unit,
        p -> read.apply(read(p)),
        (p, v) -> write(p, g -> write.apply(g, v)));
  }

  private void when(
      Form form,
      Predicate<Guard> applies,
      String name,
      Unit unit,
      Function<Guard, Double> read,
      BiFunction<Guard, Double, Guard> write) {
    form.quantityWhen(
        p -> has(p) && applies.test(read(p)),
        name(name),
        unit,
        p -> read.apply(read(p)),
        (p, v) -> write(p, g -> write.apply(g, v)));
  }

  Form protection() {
    Form form = form();
    form.sectionWhen("Protection", this::has);
    form.choiceWhen(
        this::has,
        name("BMS"),
        List.of(School.values()),
        School::words,
        p -> School.of(read(p).protection()),
        (p, v) -> write(p, g -> g.withProtection(v.apply(g.protection(), pack(p), p, parts))));
    form.count(
        name("BMS groups"),
        p -> bms(read(p)).series(),
        (p, n) -> withBms(p, b -> b.withSeries(n)),
        p -> has(p) && hasBms(read(p)));
    bms(form, "Carries for long", Unit.AMPERE, Bms::continuousCurrent, Bms::withContinuousCurrent);
    bms(
        form,
        "Opens above",
        Unit.AMPERE,
        Bms::overCurrent,
        (b, v) -> b.withTrip(v, b.overCurrentDelay()));
    bms(
        form,
        "After",
        Unit.SECOND,
        Bms::overCurrentDelay,
        (b, v) -> b.withTrip(b.overCurrent(), v));
    bms(form, "Lets in at most", Unit.AMPERE, Bms::chargeCurrent, Bms::withChargeCurrent);
    bms(
        form,
        "Group too low",
        Unit.VOLT,
        Bms::cutOffVoltage,
        (b, v) -> b.withVoltages(v, b.overVoltage()));
    bms(
        form,
        "Group too high",
        Unit.VOLT,
        Bms::overVoltage,
        (b, v) -> b.withVoltages(b.cutOffVoltage(), v));
    bms(form, "Switches block", Unit.VOLT, Bms::mosfetVoltage, Bms::withMosfetVoltage);
    bms(form, "Draws itself", Unit.MILLIAMPERE, Bms::quiescentCurrent, Bms::withQuiescentCurrent);
    bms(form, "Resistance", Unit.MILLIOHM, Bms::resistance, Bms::withResistance);
    bms(
        form,
        "Balances with",
        Unit.MILLIAMPERE,
        b -> b.balance().current(),
        (b, v) -> b.withBalance(new Bms.Balance(b.balance().kind(), v)));
    form.count(
        name("Sensors"),
        p -> bms(read(p)).temperatureSensors(),
        (p, n) -> withBms(p, b -> b.withTemperatureSensors(n)),
        p -> has(p) && hasBms(read(p)));
    return form;
  }

  private void bms(
      Form form,
      String name,
      Unit unit,
      Function<Bms, Double> read,
      BiFunction<Bms, Double, Bms> write) {
    when(
        form,
        this::hasBms,
        name,
        unit,
        g -> read.apply(bms(g)),
        (g, v) -> g.withProtection(g.protection().withBms(b -> write.apply(b, v))));
  }

  private boolean hasBms(Guard g) {
    return g.protection().bms().isPresent();
  }

  private Bms bms(Guard g) {
    return g.protection().bms().orElseThrow();
  }

  private Project withBms(Project p, UnaryOperator<Bms> change) {
    return write(p, g -> g.withProtection(g.protection().withBms(change)));
  }

  Form fuses() {
    Form form = form();
    form.sectionWhen("Fuses", this::has);
    form.choiceWhen(
        this::has,
        name("School"),
        List.of(FuseSchool.values()),
        FuseSchool::words,
        p -> FuseSchool.of(read(p).fusing()),
        (p, v) -> write(p, g -> g.withFusing(v.apply(g))));
    form.choiceWhen(
        p -> has(p) && read(p).fuse().isPresent(),
        name("Class"),
        List.of(FuseClass.values()),
        FuseClass::label,
        p -> fuse(read(p)).kind(),
        (p, v) -> write(p, g -> g.withFuse(f -> f.withKind(v))));
    when(
        form,
        g -> g.fuse().isPresent(),
        "Fuse rating",
        Unit.AMPERE,
        g -> fuse(g).rating(),
        (g, v) -> g.withFuse(f -> f.withRating(v)));
    when(
        form,
        g -> g.fuse().isPresent(),
        "Rated DC",
        Unit.VOLT,
        g -> fuse(g).voltageRating(),
        (g, v) -> g.withFuse(f -> f.withVoltageRating(v)));
    when(
        form,
        g -> g.fusing() instanceof Fusing.MainAndCells,
        "Each cell's fuse",
        Unit.AMPERE,
        g -> g.fusing() instanceof Fusing.MainAndCells f ? f.cellRating() : 0.0,
        (g, v) -> g.withFusing(new Fusing.MainAndCells(fuse(g), v)));
    form.sectionWhen("Switch and pre-charge", this::has);
    form.choiceWhen(
        this::has,
        name("Switch"),
        switches(),
        o -> o.map(Switch::name).orElse("none"),
        p -> Optional.ofNullable(read(p).mainSwitch()),
        (p, v) -> write(p, g -> g.withMainSwitch(v.orElse(null))));
    form.choiceWhen(
        this::has,
        name("Closes last"),
        List.of(Closing.values()),
        Closing::label,
        p -> read(p).closing(),
        (p, v) -> write(p, g -> g.withClosing(v)));
    form.optional(
        name("Pre-charge"),
        Unit.OHM,
        p -> {
          Precharge c = read(p).precharge();
          return c == null ? null : c.resistance();
        },
        (p, v) ->
            write(
                p,
                g ->
                    g.withPrecharge(
                        v == null
                            ? null
                            : g.precharge() == null
                                ? new Precharge(v, 5)
                                : g.precharge().withResistance(v))));
    when(
        form,
        g -> g.precharge() != null,
        "Its power",
        Unit.WATT,
        g -> g.precharge() == null ? 0.0 : g.precharge().power(),
        (g, v) -> g.precharge() == null ? g : g.withPrecharge(g.precharge().withPower(v)));
    return form;
  }

  private Fuse fuse(Guard g) {
    return g.fuse().orElseThrow();
  }

  private List<Optional<Switch>> switches() {
    List<Optional<Switch>> list = new ArrayList<>();
    list.add(Optional.empty());
    parts.switches().forEach(s -> list.add(Optional.of(s)));
    return list;
  }

  Form wire() {
    Form form = form();
    form.sectionWhen("Main wire", this::has);
    in(
        form,
        "Cross-section",
        Unit.SQUARE_MILLIMETRE,
        g -> g.wiring().wire().area(),
        (g, v) -> wire(g, w -> w.withArea(v)));
    in(
        form,
        "Insulation to",
        Unit.CELSIUS,
        g -> g.wiring().wire().insulationLimit(),
        (g, v) -> wire(g, w -> w.withInsulationLimit(v)));
    form.choiceWhen(
        this::has,
        name("Lies"),
        List.of(Wire.Laid.values()),
        Wire.Laid::label,
        p -> read(p).wiring().wire().laid(),
        (p, v) -> write(p, g -> wire(g, w -> w.withLaid(v))));
    return form;
  }

  Form connectors() {
    Form form = form();
    form.sectionWhen("Connectors", this::has);
    form.choiceWhen(
        this::has,
        name("Kind"),
        parts.connectors(),
        Connector::name,
        p -> read(p).wiring().connector(),
        (p, v) -> write(p, g -> g.withWiring(g.wiring().withConnector(v))));
    form.count(
        name("Connector pairs"),
        p -> read(p).wiring().connectorPairs(),
        (p, n) -> write(p, g -> g.withWiring(g.wiring().withConnectorPairs(n))),
        this::has);
    return form;
  }

  private Guard wire(Guard g, UnaryOperator<Wire> change) {
    return g.withWiring(g.wiring().withWire(change.apply(g.wiring().wire())));
  }

  Form leads() {
    Form form = new Form(session, Station.GUARD, 150, 64);
    form.sectionWhen("Leads as they lie", this::has);
    lead(form, "Pack to fuse", Leads::packToFuse, Leads::withPackToFuse);
    lead(form, "Fuse to switch", Leads::fuseToSwitch, Leads::withFuseToSwitch);
    lead(form, "Switch to machine", Leads::switchToMachine, Leads::withSwitchToMachine);
    lead(form, "Machine back to BMS", Leads::machineToBms, Leads::withMachineToBms);
    lead(form, "BMS to pack", Leads::bmsToPack, Leads::withBmsToPack);
    in(
        form,
        "Slack",
        Unit.PERCENT,
        g -> g.wiring().slack(),
        (g, v) -> g.withWiring(g.wiring().withSlack(v)));
    return form;
  }

  private void lead(
      Form form,
      String name,
      Function<Leads, Double> read,
      BiFunction<Leads, Double, Leads> write) {
    in(
        form,
        name,
        Unit.METRE,
        g -> read.apply(g.wiring().leads()),
        (g, v) -> g.withWiring(g.wiring().withLeads(write.apply(g.wiring().leads(), v))));
  }

  /** The leads of a second pack, up to the junction. */
  Form ownLeads() {
    Form form = form();
    form.sectionWhen("Leads to the junction", this::has);
    lead(form, "Pack to fuse", Leads::packToFuse, Leads::withPackToFuse);
    lead(form, "Fuse to junction", Leads::fuseToSwitch, Leads::withFuseToSwitch);
    lead(form, "BMS to pack", Leads::bmsToPack, Leads::withBmsToPack);
    return form;
  }

  Form charge() {
    Form form = form();
    form.sectionWhen("Charger", this::has);
    form.choiceWhen(
        this::has,
        name("Charger"),
        List.of(ChargePlan.Kind.values()),
        ChargePlan.Kind::label,
        p -> read(p).charge().kind(),
        (p, v) -> write(p, g -> g.withCharge(g.charge().withKind(v))));
    in(
        form,
        "Charge voltage",
        Unit.VOLT,
        g -> g.charge().voltage(),
        (g, v) -> g.withCharge(g.charge().withVoltage(v)));
    in(
        form,
        "Tolerance",
        Unit.PERCENT,
        g -> g.charge().tolerance(),
        (g, v) -> g.withCharge(g.charge().withTolerance(v)));
    in(
        form,
        "Charger gives",
        Unit.AMPERE,
        g -> g.charge().current(),
        (g, v) -> g.withCharge(g.charge().withCurrent(v)));
    return form;
  }

  /** The charge lead with its fuse and plug. */
  Form chargePort() {
    Form form = form();
    form.sectionWhen("Charge lead", this::has);
    port(
        form,
        "Charge wire",
        Unit.SQUARE_MILLIMETRE,
        c -> c.wire().area(),
        (c, v) -> c.withWire(c.wire().withArea(v)));
    port(form, "To the charge port", Unit.METRE, ChargePort::length, ChargePort::withLength);
    port(form, "Before its fuse", Unit.METRE, ChargePort::beforeFuse, ChargePort::withBeforeFuse);
    form.choiceWhen(
        this::has,
        name("Charge fuse"),
        fuseClasses(),
        o -> o.map(FuseClass::label).orElse("none"),
        p -> Optional.ofNullable(read(p).chargePort().fuse()).map(Fuse::kind),
        (p, v) ->
            write(p, g -> g.withChargePort(g.chargePort().withFuse(fuse(g, v.orElse(null))))));
    form.quantityWhen(
        p -> has(p) && read(p).chargePort().fuse() != null,
        name("Charge fuse rating"),
        Unit.AMPERE,
        p -> Optional.ofNullable(read(p).chargePort().fuse()).map(Fuse::rating).orElse(0.0),
        (p, v) ->
            write(
                p,
                g -> {
                  Fuse f = g.chargePort().fuse();
                  return f == null ? g : g.withChargePort(g.chargePort().withFuse(f.withRating(v)));
                }));
    form.choiceWhen(
        this::has,
        name("Charge plug"),
        plugs(),
        o -> o.map(Connector::name).orElse("wired in"),
        p -> Optional.ofNullable(read(p).chargePort().plug()),
        (p, v) -> write(p, g -> g.withChargePort(g.chargePort().withPlug(v.orElse(null)))));
    return form;
  }

  /** A charge fuse of a class, big enough for the charger; none for no class. */
  private static @Nullable Fuse fuse(Guard g, @Nullable FuseClass kind) {
    if (kind == null) {
      return null;
    }
    double least = g.charge().current() / Fuse.CONTINUOUS_SHARE;
    double rating =
        kind.sizes().stream().filter(r -> r >= least).findFirst().orElse(kind.sizes().getLast());
    return new Fuse(kind, rating, kind.voltageRating());
  }

  private static List<Optional<FuseClass>> fuseClasses() {
    List<Optional<FuseClass>> list = new ArrayList<>();
    list.add(Optional.empty());
    for (FuseClass kind : FuseClass.values()) {
      list.add(Optional.of(kind));
    }
    return list;
  }

  private List<Optional<Connector>> plugs() {
    List<Optional<Connector>> list = new ArrayList<>();
    list.add(Optional.empty());
    parts.connectors().forEach(c -> list.add(Optional.of(c)));
    return list;
  }

  private void port(
      Form form,
      String name,
      Unit unit,
      Function<ChargePort, Double> read,
      BiFunction<ChargePort, Double, ChargePort> write) {
    in(
        form,
        name,
        unit,
        g -> read.apply(g.chargePort()),
        (g, v) -> g.withChargePort(write.apply(g.chargePort(), v)));
  }
}
