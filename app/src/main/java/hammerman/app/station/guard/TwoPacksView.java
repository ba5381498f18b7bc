package hammerman.app.station.guard;

import hammerman.app.control.Beside;
import hammerman.app.control.Facts;
import hammerman.app.control.Form;
import hammerman.app.control.Views;
import hammerman.app.control.Words;
import hammerman.app.session.Session;
import hammerman.cell.CellType;
import hammerman.cell.Health;
import hammerman.chain.Junction;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.guard.Guard;
import hammerman.guard.Leads;
import hammerman.guard.Parts;
import hammerman.pack.Lot;
import hammerman.pack.Strip;
import hammerman.project.Project;
import hammerman.simulation.Day;
import hammerman.simulation.TwinRun;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Predicate;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** A second pack with the first: how they are joined, who carries what, and what flows between. */
final class TwoPacksView extends VBox {
  private final Session session;
  private final Parts parts;
  private final Words words = new Words("answer", "second-words");
  private final Facts facts = new Facts("fact-name", "fact-value", "fact-value");
  private final TwinPicture picture = new TwinPicture();
  private final Button toggle = new Button();
  private final Label alone =
      new Label(
          "One pack works alone. A second gives more voltage in series, or more range in parallel,"
              + " by diodes, or as a reserve; it begins as a copy of the first, with parts of its"
              + " own, and both are then judged alike.");
  private final Beside body;

  private static VBox fuse(GuardForms forms) {
    return new VBox(8, forms.fuses(), forms.wire(), forms.connectors(), forms.ownLeads());
  }

  TwoPacksView(Session session, Parts parts) {
    super(10);
    this.session = session;
    this.parts = parts;
    toggle.setId("toggle-second");
    toggle.getStyleClass().add("plain");
    toggle.setOnAction(e -> toggle());
    facts.setId("second-facts");
    facts.setHgap(26);
    VBox results = new VBox(8, words, facts, picture);
    VBox.setVgrow(picture, Priority.ALWAYS);
    picture.setPrefHeight(260);
    picture.setMinHeight(180);
    GuardForms forms = new GuardForms(session, parts, PackGuard.SECOND);
    ChargeForms charging = new ChargeForms(session, parts, PackGuard.SECOND);
    Views sides = new Views();
    sides
        .add("Cells", "second-cells", form().node(), () -> {})
        .add("BMS", "second-bms", forms.protection(), () -> {})
        .add("Fuse", "second-fuse", fuse(forms), () -> {})
        .add("Charge", "second-charge", new VBox(8, charging.charger(), charging.port()), () -> {});
    sides.setPrefWidth(300);
    body = new Beside(sides, results);
    VBox.setVgrow(body, Priority.ALWAYS);
    Words caution =
        Words.caution(
            "Before joining in parallel, measure both: a gap of a volt or two can drive a current"
                + " that melts strips. In series, each BMS may have to block the sum.");
    alone.setWrapText(true);
    alone.setMinHeight(USE_PREF_SIZE);
    alone.managedProperty().bind(alone.visibleProperty());
    alone.visibleProperty().bind(body.visibleProperty().not());
    getChildren().addAll(new HBox(toggle), alone, body, caution);
  }

  private static SecondPack second(Project p) {
    SecondPack s = p.variant().second();
    return s == null ? fresh(p) : s;
  }

  /** The same pack again, with parts like the first's and short leads to the junction. */
  private static SecondPack fresh(Project p) {
    Guard g = p.variant().guard();
    Leads leads = new Leads(0.1, 0.2, 0, 0, 0.1);
    return new SecondPack(
        p.variant().pack(),
        g.withWiring(g.wiring().withLeads(leads)).withMainSwitch(null).withPrecharge(null),
        Joining.PARALLEL,
        1,
        1);
  }

  private void toggle() {
    session.edit(
        "Second pack",
        Station.GUARD,
        p -> p.withDesign(p.design().withSecond(p.variant().second() == null ? fresh(p) : null)));
  }

  private static Project with(Project p, SecondPack s) {
    return p.withDesign(p.design().withSecond(s));
  }

  private Form form() {
    Form form = new Form(session, Station.GUARD, 128, 70);
    Predicate<Project> has = p -> p.variant().second() != null;
    form.sectionWhen("Second pack", has);
    form.choiceWhen(
        has,
        "Joined",
        List.of(Joining.values()),
        Joining::label,
        p -> second(p).joining(),
        (p, v) -> with(p, second(p).withJoining(v)));
    form.choiceWhen(
        has,
        "Its cell",
        session.library().cells(),
        CellType::name,
        p -> library(second(p).pack().cell()),
        (p, v) -> with(p, second(p).withPack(second(p).pack().withCell(v))));
    form.count(
        "Its series",
        p -> second(p).pack().series(),
        (p, n) ->
            with(
                p, second(p).withPack(second(p).pack().withCounts(n, second(p).pack().parallel()))),
        has);
    form.count(
        "Its parallel",
        p -> second(p).pack().parallel(),
        (p, n) ->
            with(p, second(p).withPack(second(p).pack().withCounts(second(p).pack().series(), n))),
        has);
    form.choiceWhen(
        has,
        "Its strip",
        parts.strips(),
        Strip::text,
        p -> second(p).pack().strip(),
        (p, v) -> with(p, second(p).withPack(second(p).pack().withStrip(v))));
    form.choiceWhen(
        has,
        "Its lot",
        List.of(Lot.values()),
        Lot::label,
        p -> second(p).pack().lot(),
        (p, v) -> with(p, second(p).withPack(second(p).pack().withLot(v))));
    quantity(
        form,
        "Its capacity left",
        Unit.PERCENT,
        s -> health(s).capacity(),
        (s, v) -> worn(s, new Health(v, health(s).resistance())));
    quantity(
        form,
        "Its resistance",
        Unit.PERCENT,
        s -> health(s).resistance(),
        (s, v) -> worn(s, new Health(health(s).capacity(), v)));
    quantity(form, "It is charged to", Unit.PERCENT, SecondPack::soc, SecondPack::withSoc);
    quantity(form, "The first is at", Unit.PERCENT, SecondPack::firstSoc, SecondPack::withFirstSoc);
    return form;
  }

  /** The library's cell of the same id, so that a worn one still shows in the choice. */
  private CellType library(CellType cell) {
    return session.library().find(cell.id()).orElse(cell);
  }

  private static Health health(SecondPack s) {
    Health h = s.pack().cell().health();
    return h == null ? Health.NEW : h;
  }

  private static SecondPack worn(SecondPack s, Health health) {
    return s.withPack(s.pack().withCell(s.pack().cell().withHealth(health)));
  }

  private void quantity(
      Form form,
      String name,
      Unit unit,
      Function<SecondPack, Double> read,
      BiFunction<SecondPack, Double, SecondPack> write) {
    form.quantityWhen(
        p -> p.variant().second() != null,
        name,
        unit,
        p -> read.apply(second(p)),
        (p, v) -> with(p, write.apply(second(p), v)));
  }

  void show(Forecast f) {
    Design d = f.design();
    boolean has = d.second() != null;
    toggle.setText(has ? "Leave the second pack out" : "Add a second pack");
    body.setVisible(has);
    if (has) {
      f.pair().ifPresent(run -> fill(f, run));
    }
  }

  private void fill(Forecast f, TwinRun run) {
    Junction j = Junction.of(f.chain()).orElse(null);
    if (j == null) {
      return;
    }
    words.setText(words(j, run, f.design().duty().task().load().duration()));
    TwinRun.Side a = run.first();
    TwinRun.Side b = run.second();
    List<List<String>> rows = new ArrayList<>();
    rows.add(List.of("", "First pack", "Second pack"));
    rows.add(List.of("Gave", amount(a), amount(b)));
    rows.add(List.of("Share", share(a, b), share(b, a)));
    rows.add(List.of("Highest out", amperes(a.peak()), amperes(b.peak())));
    rows.add(List.of("Pushed back in", amperes(a.back()), amperes(b.back())));
    rows.add(
        List.of(
            "Left at the end",
            Figures.of(a.run().endSoc(), Unit.PERCENT, 0),
            Figures.of(b.run().endSoc(), Unit.PERCENT, 0)));
    rows.add(
        List.of(
            "Hottest",
            Figures.of(a.run().extremes().peakTemperature(), Unit.CELSIUS, 0),
            Figures.of(b.run().extremes().peakTemperature(), Unit.CELSIUS, 0)));
    rows.add(List.of("Opened", opened(a), opened(b)));
    facts.show(rows);
    picture.show(run);
  }

  private static String words(Junction j, TwinRun run, double wanted) {
    String joined =
        j.second().joining() == Joining.PARALLEL
            ? "At rest %s and %s: a gap of %s, %s when joined; the weaker bears a gap of %s. "
                .formatted(
                    Figures.of(j.first(), Unit.VOLT, 1),
                    Figures.of(j.other(), Unit.VOLT, 1),
                    Figures.of(j.gap(), Unit.VOLT, 2),
                    Figures.of(j.current(), Unit.AMPERE),
                    Figures.of(j.allowedGap(), Unit.VOLT, 2))
            : "";
    String served =
        run.served()
            ? "Together they serve the " + Figures.duration(wanted) + " asked for."
            : run.both().outcome().complete()
                ? "Together they go on for the %s, but a current limit withholds %s of the energy."
                    .formatted(
                        Figures.duration(wanted),
                        Figures.of(run.both().totals().withheldShare(), Unit.PERCENT, 0))
                : "Together they end after %s of %s: %s."
                    .formatted(
                        Figures.duration(run.both().endTime()),
                        Figures.duration(wanted),
                        Day.ending(run.both().outcome()));
    String over =
        Double.isNaN(run.switchedAt())
            ? ""
            : " The reserve takes over after " + Figures.duration(run.switchedAt()) + ".";
    return joined + served + over;
  }

  private static String amount(TwinRun.Side s) {
    return Figures.of(s.charge(), Unit.AMPERE_HOUR);
  }

  private static String share(TwinRun.Side s, TwinRun.Side other) {
    double all = s.charge() + other.charge();
    return all > 0 ? Figures.of(s.charge() / all, Unit.PERCENT, 0) : "–";
  }

  private static String amperes(double a) {
    return Figures.of(a, Unit.AMPERE);
  }

  private static String opened(TwinRun.Side s) {
    return Double.isNaN(s.openedAt()) ? "never" : "after " + Figures.duration(s.openedAt());
  }
}
