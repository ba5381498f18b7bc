package hammerman.app.station.guard;

import hammerman.app.control.FigureView;
import hammerman.app.control.Form;
import hammerman.app.session.Session;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.app.station.StationView;
import hammerman.chain.Link;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.forecast.Headline;
import hammerman.forecast.Workings;
import hammerman.guard.Bms;
import hammerman.guard.FuseClass;
import hammerman.guard.Guard;
import hammerman.guard.Protection;
import hammerman.project.Project;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The page of station Guard: protection, charge, fuse and wire, with the chain of ratings. */
public final class GuardStation implements StationView {
  private final Page page;
  private final ChainPicture chain = new ChainPicture();
  private final FigureView window;
  private final FigureView ampacity;
  private final FigureView shortCircuit;
  private final FigureView ceiling;

  public GuardStation(Bench bench) {
    window = bench.figure("Fuse window", Headline.FUSE_WINDOW);
    ampacity = bench.figure("Wire carries", Headline.WIRE_AMPACITY);
    shortCircuit = bench.figure("Shorted, it gives", Headline.SHORT_CIRCUIT);
    ceiling = bench.figure("Charges to", Headline.CHARGE_CEILING);
    HBox figures = new HBox(18, window, ampacity, shortCircuit, ceiling);
    Label caution =
        new Label(
            "A shorted pack welds tools and burns hands: rings off, insulated tools, fuse fitted"
                + " last. Charge where it may burn without harm, never below 0 °C, never"
                + " unattended. Never take a protection out of a ready-made battery or open a"
                + " charger.");
    caution.getStyleClass().add("caution");
    caution.setMinHeight(Label.USE_PREF_SIZE);
    VBox.setVgrow(chain, Priority.ALWAYS);
    Session session = bench.session();
    VBox protection = protection(session).node();
    protection.setMinWidth(230);
    HBox forms =
        new HBox(
            16,
            protection,
            bmsLimits(session).node(),
            chargeAndFuse(session).node(),
            wire(session).node());
    forms.getChildren().forEach(n -> HBox.setHgrow(n, Priority.ALWAYS));
    chain.setPrefHeight(300);
    page = new Page(Station.GUARD, new VBox(6, chain, figures, forms, caution));
  }

  @Override
  public Station station() {
    return Station.GUARD;
  }

  @Override
  public Node node() {
    return page;
  }

  @Override
  public void show(Forecast f) {
    chain.show(f.chain());
    window.show(Workings.figure(Headline.FUSE_WINDOW, f));
    ampacity.show(Workings.figure(Headline.WIRE_AMPACITY, f));
    shortCircuit.show(Workings.figure(Headline.SHORT_CIRCUIT, f));
    ceiling.show(Workings.figure(Headline.CHARGE_CEILING, f));
    Link weakest = f.chain().weakest();
    double margin = weakest.margin(f.chain().demand());
    page.answer(
        margin >= 0
            ? "Every link carries the duty; the weakest is the %s, with %s to spare."
                .formatted(weakest.name(), Figures.of(margin, Unit.PERCENT, 0))
            : "The %s is overloaded by %s."
                .formatted(weakest.name(), Figures.of(-margin, Unit.PERCENT, 0)));
  }

  @Override
  public String help() {
    return """
    The chain shows every link on one ampere axis: the solid bar is what it carries for long, the \
    hatched bar what it stands for the length of the hardest moment. A link that ends left of a demand is \
    overloaded.

    The fuse must be large enough not to blow on a hard start and small enough to protect the thinnest \
    wire: that is its window. Its DC voltage must cover the full pack, and its interrupt rating the \
    short-circuit current.

    Wire takes “10 AWG” or “6 mm2”. Charging lower than full costs range and buys years; the Forecast \
    shows both. Work on mains and fixed installations belongs to a licensed person.\
    """;
  }

  private static Form form(Session session) {
    return new Form(session, Station.GUARD, 104, 62);
  }

  private static Form protection(Session session) {
    Form form = form(session);
    form.section("Protection")
        .choice(
            "BMS",
            List.of(School.values()),
            School::words,
            p -> School.of(p.variant().guard().protection()),
            (p, v) -> guard(p, g -> g.withProtection(v.apply(g.protection(), p))));
    form.count(
        "BMS groups",
        p -> bms(p).series(),
        (p, n) -> withBms(p, b -> b.withSeries(n)),
        GuardStation::hasBms);
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
    return form;
  }

  private static Form bmsLimits(Session session) {
    Form form = form(session);
    form.section("BMS limits");
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
    bms(form, "Resistance", Unit.MILLIOHM, Bms::resistance, Bms::withResistance);
    return form;
  }

  private static Form chargeAndFuse(Session session) {
    Form form = form(session);
    form.section("Charge");
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
    form.section("Main fuse")
        .choice(
            "Class",
            List.of(FuseClass.values()),
            FuseClass::label,
            p -> p.variant().guard().fuse().kind(),
            (p, v) -> guard(p, g -> g.withFuse(g.fuse().withKind(v))));
    in(
        form,
        "Fuse rating",
        Unit.AMPERE,
        g -> g.fuse().rating(),
        (g, v) -> g.withFuse(g.fuse().withRating(v)));
    in(
        form,
        "Rated DC",
        Unit.VOLT,
        g -> g.fuse().voltageRating(),
        (g, v) -> g.withFuse(g.fuse().withVoltageRating(v)));
    return form;
  }

  private static Form wire(Session session) {
    Form form = form(session);
    form.section("Main wire");
    in(
        form,
        "Cross-section",
        Unit.SQUARE_MILLIMETRE,
        g -> g.wiring().area(),
        (g, v) -> g.withWiring(g.wiring().withArea(v)));
    in(
        form,
        "Length, one way",
        Unit.METRE,
        g -> g.wiring().length(),
        (g, v) -> g.withWiring(g.wiring().withLength(v)));
    in(
        form,
        "Insulation to",
        Unit.CELSIUS,
        g -> g.wiring().insulationLimit(),
        (g, v) -> g.withWiring(g.wiring().withInsulationLimit(v)));
    form.count(
        "Connector pairs",
        p -> p.variant().guard().wiring().connectors(),
        (p, n) ->
            guard(
                p,
                g -> g.withWiring(g.wiring().withConnectors(n, g.wiring().connectorResistance()))),
        p -> true);
    return form;
  }

  private static void in(
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

  private static void bms(
      Form form,
      String name,
      Unit unit,
      Function<Bms, Double> read,
      BiFunction<Bms, Double, Bms> write) {
    form.quantityWhen(
        GuardStation::hasBms,
        name,
        unit,
        p -> read.apply(bms(p)),
        (p, v) -> withBms(p, b -> write.apply(b, v)));
  }

  private static boolean hasBms(Project p) {
    return p.variant().guard().protection().bms().isPresent();
  }

  private static Bms bms(Project p) {
    return p.variant().guard().protection().bms().orElseThrow();
  }

  private static Project withBms(Project p, UnaryOperator<Bms> change) {
    return guard(p, g -> g.withProtection(g.protection().withBms(change)));
  }

  private static Project guard(Project p, UnaryOperator<Guard> change) {
    return p.withDesign(p.design().withGuard(change.apply(p.variant().guard())));
  }

  /** The schools of protection as a choice. */
  private enum School {
    PATH("In the path"),
    CHARGE("Charge only"),
    NONE("None");

    private final String words;

    School(String words) {
      this.words = words;
    }

    String words() {
      return words;
    }

    static School of(Protection protection) {
      return switch (protection) {
        case Protection.DischargePath p -> PATH;
        case Protection.ChargeOnly p -> CHARGE;
        case Protection.None n -> NONE;
      };
    }

    /** Goes over to this school, keeping the BMS or taking one that suits the pack. */
    Protection apply(Protection now, Project p) {
      Bms unit = now.bms().orElseGet(() -> suiting(p));
      return switch (this) {
        case PATH -> new Protection.DischargePath(unit);
        case CHARGE -> new Protection.ChargeOnly(unit);
        case NONE -> new Protection.None();
      };
    }

    private static Bms suiting(Project p) {
      var pack = p.variant().pack();
      var machine = p.duty().machine();
      double charger = p.variant().guard().charge().current();
      return new Bms(
          pack.series(),
          Math.ceil(machine.fullEffortCurrent() * 1.2),
          Math.ceil(Math.max(machine.peakCurrent(), p.duty().hardest().current()) * 1.3),
          1,
          Math.ceil(Math.max(charger, machine.regenerationCurrent()) * 1.2),
          Math.round((pack.cell().cutOffVoltage() + 0.3) * 100) / 100.0,
          Math.round((pack.cell().fullVoltage() + 0.05) * 100) / 100.0,
          3e-3);
    }
  }
}
