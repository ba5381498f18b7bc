package hammerman.app.station.guard;

import hammerman.app.control.Form;
import hammerman.app.session.Session;
import hammerman.finding.Station;
import hammerman.guard.Bms;
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
import hammerman.project.Project;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

/** The forms of station Guard: every part with its ratings. */
final class GuardForms {
  private final Session session;
  private final Parts parts;

  GuardForms(Session session, Parts parts) {
    this.session = session;
    this.parts = parts;
  }

  private Form form() {
    return new Form(session, Station.GUARD, 118, 66);
  }

  static Project guard(Project p, UnaryOperator<Guard> change) {
    return p.withDesign(p.design().withGuard(change.apply(p.variant().guard())));
  }

  static void in(
      Form form,
      String name,
      Unit unit,
      Function<Guard, Double> read,
      BiFunction<Guard, Double, Guard> write) {
    form.quantity(
        name,
        unit,
        p -> read.apply(p.variant().guard()),
        (p, v) -> guard(p, g -> write.apply(g, v)));
  }

  private static void when(
      Form form,
      Predicate<Guard> applies,
      String name,
      Unit unit,
      Function<Guard, Double> read,
      BiFunction<Guard, Double, Guard> write) {
    form.quantityWhen(
        p -> applies.test(p.variant().guard()),
        name,
        unit,
        p -> read.apply(p.variant().guard()),
        (p, v) -> guard(p, g -> write.apply(g, v)));
  }

  Form protection() {
    Form form = form();
    form.section("Protection")
        .choice(
            "BMS",
            List.of(School.values()),
            School::words,
            p -> School.of(p.variant().guard().protection()),
            (p, v) -> guard(p, g -> g.withProtection(v.apply(g.protection(), p, parts))));
    form.count(
        "BMS groups",
        p -> bms(p.variant().guard()).series(),
        (p, n) -> withBms(p, b -> b.withSeries(n)),
        p -> hasBms(p.variant().guard()));
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
    bms(form, "Resistance", Unit.MILLIOHM, Bms::resistance, Bms::withResistance);
    bms(
        form,
        "Balances with",
        Unit.MILLIAMPERE,
        b -> b.balance().current(),
        (b, v) -> b.withBalance(new Bms.Balance(b.balance().kind(), v)));
    form.count(
        "Sensors",
        p -> bms(p.variant().guard()).temperatureSensors(),
        (p, n) -> withBms(p, b -> b.withTemperatureSensors(n)),
        p -> hasBms(p.variant().guard()));
    return form;
  }

  private static void bms(
      Form form,
      String name,
      Unit unit,
      Function<Bms, Double> read,
      BiFunction<Bms, Double, Bms> write) {
    when(
        form,
        GuardForms::hasBms,
        name,
        unit,
        g -> read.apply(bms(g)),
        (g, v) -> g.withProtection(g.protection().withBms(b -> write.apply(b, v))));
  }

  private static boolean hasBms(Guard g) {
    return g.protection().bms().isPresent();
  }

  private static Bms bms(Guard g) {
    return g.protection().bms().orElseThrow();
  }

  private static Project withBms(Project p, UnaryOperator<Bms> change) {
    return guard(p, g -> g.withProtection(g.protection().withBms(change)));
  }

  Form fuses() {
    Form form = form();
    form.section("Fuses")
        .choice(
            "School",
            List.of(FuseSchool.values()),
            FuseSchool::words,
            p -> FuseSchool.of(p.variant().guard().fusing()),
            (p, v) -> guard(p, g -> g.withFusing(v.apply(g))));
    form.choiceWhen(
        p -> p.variant().guard().fuse().isPresent(),
        "Class",
        List.of(FuseClass.values()),
        FuseClass::label,
        p -> fuse(p.variant().guard()).kind(),
        (p, v) -> guard(p, g -> g.withFuse(f -> f.withKind(v))));
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
    form.section("Switch and pre-charge");
    form.choice(
        "Switch",
        switches(),
        o -> o.map(Switch::name).orElse("none"),
        p -> Optional.ofNullable(p.variant().guard().mainSwitch()),
        (p, v) -> guard(p, g -> g.withMainSwitch(v.orElse(null))));
    form.optional(
        "Pre-charge",
        Unit.OHM,
        p -> {
          Precharge c = p.variant().guard().precharge();
          return c == null ? null : c.resistance();
        },
        (p, v) ->
            guard(
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

  private static Fuse fuse(Guard g) {
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
    form.section("Main wire");
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
    form.choice(
        "Lies",
        List.of(Wire.Laid.values()),
        Wire.Laid::label,
        p -> p.variant().guard().wiring().wire().laid(),
        (p, v) -> guard(p, g -> wire(g, w -> w.withLaid(v))));
    form.section("Connectors");
    form.choice(
        "Kind",
        parts.connectors(),
        Connector::name,
        p -> p.variant().guard().wiring().connector(),
        (p, v) -> guard(p, g -> g.withWiring(g.wiring().withConnector(v))));
    form.count(
        "Connector pairs",
        p -> p.variant().guard().wiring().connectorPairs(),
        (p, n) -> guard(p, g -> g.withWiring(g.wiring().withConnectorPairs(n))),
        p -> true);
    form.section("Charge lead");
    in(
        form,
        "Charge wire",
        Unit.SQUARE_MILLIMETRE,
        g -> g.wiring().chargeWire().area(),
        (g, v) -> g.withWiring(g.wiring().withChargeWire(g.wiring().chargeWire().withArea(v))));
    return form;
  }

  private static Guard wire(Guard g, UnaryOperator<Wire> change) {
    return g.withWiring(g.wiring().withWire(change.apply(g.wiring().wire())));
  }

  Form leads() {
    Form form = new Form(session, Station.GUARD, 150, 64);
    form.section("Leads as they lie");
    lead(form, "Pack to fuse", Leads::packToFuse, Leads::withPackToFuse);
    lead(form, "Fuse to switch", Leads::fuseToSwitch, Leads::withFuseToSwitch);
    lead(form, "Switch to machine", Leads::switchToMachine, Leads::withSwitchToMachine);
    lead(form, "Machine back to BMS", Leads::machineToBms, Leads::withMachineToBms);
    lead(form, "BMS to pack", Leads::bmsToPack, Leads::withBmsToPack);
    lead(form, "To the charge port", Leads::chargePort, Leads::withChargePort);
    in(
        form,
        "Slack",
        Unit.PERCENT,
        g -> g.wiring().slack(),
        (g, v) -> g.withWiring(g.wiring().withSlack(v)));
    return form;
  }

  private static void lead(
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

  Form charge() {
    Form form = form();
    form.section("Charger");
    in(
        form,
        "Charge voltage",
        Unit.VOLT,
        g -> g.charge().voltage(),
        (g, v) -> g.withCharge(g.charge().withVoltage(v)));
    in(
        form,
        "Charger gives",
        Unit.AMPERE,
        g -> g.charge().current(),
        (g, v) -> g.withCharge(g.charge().withCurrent(v)));
    return form;
  }
}
