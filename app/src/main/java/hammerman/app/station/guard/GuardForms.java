package hammerman.app.station.guard;

import hammerman.app.session.Session;
import hammerman.guard.Bms;
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
import hammerman.unit.Unit;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.scene.layout.VBox;

/** The forms of the parts between pack and machine, each with its ratings. */
final class GuardForms {
  private final Session session;
  private final Parts parts;
  private final PackGuard whose;

  GuardForms(Session session, Parts parts, PackGuard whose) {
    this.session = session;
    this.parts = parts;
    this.whose = whose;
  }

  private GuardForm form(String title) {
    return new GuardForm(session, whose).section(title);
  }

  VBox protection() {
    GuardForm form = form("Protection");
    form.whole()
        .choiceWhen(
            whose::in,
            whose.name("BMS"),
            List.of(School.values()),
            School::words,
            p -> School.of(whose.read(p).protection()),
            (p, v) ->
                whose.write(
                    p, g -> g.withProtection(v.apply(g.protection(), whose.pack(p), p, parts))));
    count(form, "BMS groups", Bms::series, Bms::withSeries);
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
    count(form, "Sensors", Bms::temperatureSensors, Bms::withTemperatureSensors);
    return form.node();
  }

  private static void bms(
      GuardForm form,
      String name,
      Unit unit,
      Function<Bms, Double> read,
      BiFunction<Bms, Double, Bms> write) {
    form.quantityWhen(
        GuardForms::hasBms,
        name,
        unit,
        g -> read.apply(bms(g)),
        (g, v) -> g.withProtection(g.protection().withBms(b -> write.apply(b, v))));
  }

  private static void count(
      GuardForm form,
      String name,
      Function<Bms, Integer> read,
      BiFunction<Bms, Integer, Bms> write) {
    form.countWhen(
        GuardForms::hasBms,
        name,
        g -> read.apply(bms(g)),
        (g, n) -> g.withProtection(g.protection().withBms(b -> write.apply(b, n))));
  }

  private static boolean hasBms(Guard g) {
    return g.protection().bms().isPresent();
  }

  private static Bms bms(Guard g) {
    return g.protection().bms().orElseThrow();
  }

  VBox fuses() {
    return form("Fuses")
        .choice(
            "School",
            List.of(FuseSchool.values()),
            FuseSchool::words,
            g -> FuseSchool.of(g.fusing()),
            (g, v) -> g.withFusing(v.apply(g)))
        .choiceWhen(
            GuardForms::hasFuse,
            "Class",
            List.of(FuseClass.values()),
            FuseClass::label,
            g -> fuse(g).kind(),
            (g, v) -> g.withFuse(f -> f.withKind(v)))
        .quantityWhen(
            GuardForms::hasFuse,
            "Fuse rating",
            Unit.AMPERE,
            g -> fuse(g).rating(),
            (g, v) -> g.withFuse(f -> f.withRating(v)))
        .quantityWhen(
            GuardForms::hasFuse,
            "Rated DC",
            Unit.VOLT,
            g -> fuse(g).voltageRating(),
            (g, v) -> g.withFuse(f -> f.withVoltageRating(v)))
        .quantityWhen(
            g -> g.fusing() instanceof Fusing.MainAndCells,
            "Each cell's fuse",
            Unit.AMPERE,
            g -> g.fusing() instanceof Fusing.MainAndCells f ? f.cellRating() : 0.0,
            (g, v) -> g.withFusing(new Fusing.MainAndCells(fuse(g), v)))
        .section("Switch and pre-charge")
        .choiceOrNone(
            "Switch",
            parts.switches(),
            "none",
            Switch::name,
            g -> Optional.ofNullable(g.mainSwitch()),
            (g, v) -> g.withMainSwitch(v.orElse(null)))
        .choice(
            "Closes last",
            List.of(Closing.values()),
            Closing::label,
            Guard::closing,
            Guard::withClosing)
        .optional(
            "Pre-charge",
            Unit.OHM,
            g -> g.precharge() == null ? null : g.precharge().resistance(),
            (g, v) -> g.withPrecharge(v == null ? null : precharge(g, v)))
        .quantityWhen(
            g -> g.precharge() != null,
            "Its power",
            Unit.WATT,
            g -> g.precharge() == null ? 0.0 : g.precharge().power(),
            (g, v) -> g.precharge() == null ? g : g.withPrecharge(g.precharge().withPower(v)))
        .node();
  }

  private static boolean hasFuse(Guard g) {
    return g.fuse().isPresent();
  }

  private static Fuse fuse(Guard g) {
    return g.fuse().orElseThrow();
  }

  private static Precharge precharge(Guard g, double resistance) {
    return g.precharge() == null
        ? new Precharge(resistance, 5)
        : g.precharge().withResistance(resistance);
  }

  VBox wire() {
    return form("Main wire")
        .quantity(
            "Cross-section",
            Unit.SQUARE_MILLIMETRE,
            g -> g.wiring().wire().area(),
            (g, v) -> wire(g, w -> w.withArea(v)))
        .quantity(
            "Insulation to",
            Unit.CELSIUS,
            g -> g.wiring().wire().insulationLimit(),
            (g, v) -> wire(g, w -> w.withInsulationLimit(v)))
        .choice(
            "Lies",
            List.of(Wire.Laid.values()),
            Wire.Laid::label,
            g -> g.wiring().wire().laid(),
            (g, v) -> wire(g, w -> w.withLaid(v)))
        .node();
  }

  private static Guard wire(Guard g, UnaryOperator<Wire> change) {
    return g.withWiring(g.wiring().withWire(change.apply(g.wiring().wire())));
  }

  VBox connectors() {
    return form("Connectors")
        .choice(
            "Kind",
            parts.connectors(),
            Connector::name,
            g -> g.wiring().connector(),
            (g, v) -> g.withWiring(g.wiring().withConnector(v)))
        .countWhen(
            g -> true,
            "Connector pairs",
            g -> g.wiring().connectorPairs(),
            (g, n) -> g.withWiring(g.wiring().withConnectorPairs(n)))
        .node();
  }

  VBox leads() {
    GuardForm form = new GuardForm(session, whose, 150, 64).section("Leads as they lie");
    lead(form, "Pack to fuse", Leads::packToFuse, Leads::withPackToFuse);
    lead(form, "Fuse to switch", Leads::fuseToSwitch, Leads::withFuseToSwitch);
    lead(form, "Switch to machine", Leads::switchToMachine, Leads::withSwitchToMachine);
    lead(form, "Machine back to BMS", Leads::machineToBms, Leads::withMachineToBms);
    lead(form, "BMS to pack", Leads::bmsToPack, Leads::withBmsToPack);
    return form.quantity(
            "Slack",
            Unit.PERCENT,
            g -> g.wiring().slack(),
            (g, v) -> g.withWiring(g.wiring().withSlack(v)))
        .node();
  }

  private static void lead(
      GuardForm form,
      String name,
      Function<Leads, Double> read,
      BiFunction<Leads, Double, Leads> write) {
    form.quantity(
        name,
        Unit.METRE,
        g -> read.apply(g.wiring().leads()),
        (g, v) -> g.withWiring(g.wiring().withLeads(write.apply(g.wiring().leads(), v))));
  }

  /** The leads of a second pack, up to the junction. */
  VBox ownLeads() {
    GuardForm form = form("Leads to the junction");
    lead(form, "Pack to fuse", Leads::packToFuse, Leads::withPackToFuse);
    lead(form, "Fuse to junction", Leads::fuseToSwitch, Leads::withFuseToSwitch);
    lead(form, "BMS to pack", Leads::bmsToPack, Leads::withBmsToPack);
    return form.node();
  }
}
