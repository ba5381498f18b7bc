package hammerman.app.station.guard;

import hammerman.app.control.Beside;
import hammerman.app.control.Facts;
import hammerman.app.control.FigureView;
import hammerman.app.control.QuantityField;
import hammerman.app.control.SidewaysPane;
import hammerman.app.control.Words;
import hammerman.app.job.Latest;
import hammerman.app.session.Session;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.chain.Chain;
import hammerman.choice.ChargerCheck;
import hammerman.design.Design;
import hammerman.finding.Station;
import hammerman.forecast.Ceiling;
import hammerman.forecast.Forecast;
import hammerman.forecast.Headline;
import hammerman.forecast.Workings;
import hammerman.guard.Parts;
import hammerman.judgement.Judge;
import hammerman.simulation.Charge;
import hammerman.unit.Figures;
import hammerman.unit.Sentence;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** Charging: the charger, what its measured voltage means, and the schools of the ceiling. */
final class ChargingView extends VBox {
  private static final int CHARGERS_SHOWN = 7;

  private final Session session;
  private final Parts parts;
  private final FigureView time;
  private final FigureView ceiling;
  private final Facts chargers = new Facts("fact-value", "fact-value", "fact-value", "answer");
  private final GridPane schools = new GridPane();
  private final Words verdict = new Words("verdict-line", "charger-verdict");
  private final Latest working = new Latest("charging");
  private final QuantityField measured =
      new QuantityField("Measured at the plug", Unit.VOLT, true, this::measure);
  private @Nullable Double volts;

  /** A charger tried on the design. */
  private record Tried(double current, Charge charge, String word) {}

  /** What the background works out. */
  private record Answer(List<Tried> chargers, List<Ceiling> ceilings) {}

  ChargingView(Bench bench, ChargeForms forms, Parts parts) {
    super(12);
    session = bench.session();
    this.parts = parts;
    time = bench.figure("Charge time", Headline.CHARGE_TIME);
    ceiling = bench.figure("Charges to", Headline.CHARGE_CEILING);
    measured.setId("measured-volts");
    measured.setPrefColumnCount(6);
    Words complaint = Words.complaint(measured.complaintProperty());
    FlowPane check =
        new FlowPane(
            8, 4, new Label("Measured at the plug, without the pack"), measured, new Label("V"));
    check.setAlignment(Pos.CENTER_LEFT);
    check.setMinHeight(USE_PREF_SIZE);
    VBox left =
        new VBox(
            10,
            forms.charger(),
            new HBox(16, time, ceiling),
            Page.heading("Is this charger right?"),
            check,
            complaint,
            verdict);
    left.setMinWidth(360);
    left.setPrefWidth(360);
    chargers.setHgap(14);
    VBox right = new VBox(8, Page.heading("From where the duty ends, by charger"), chargers);
    right.setMinWidth(340);
    schools.setId("ceilings");
    schools.setHgap(10);
    schools.setVgap(6);
    Words caution =
        Words.caution(
            "Never charge below 0 °C, never unattended, and where it may burn without harm. Never"
                + " open a charger: mains is inside, also after it is unplugged.");
    getChildren()
        .addAll(
            new Beside(left, right),
            Page.heading("How full? Years gained, range lost"),
            new SidewaysPane(schools),
            caution);
    measure(null);
  }

  void show(Forecast f) {
    time.show(Workings.figure(Headline.CHARGE_TIME, f));
    ceiling.show(Workings.figure(Headline.CHARGE_CEILING, f));
    judge();
    working.submit(() -> answer(f), this::fill);
  }

  private Answer answer(Forecast f) {
    Design d = f.design();
    double air =
        Math.max(
            d.duty().surroundings().coldestCharging(),
            d.pack().cell().temperatures().chargeLowest());
    double kind = d.pack().parallel() * d.pack().cell().currents().standardCharge();
    List<Tried> tried = new ArrayList<>();
    for (Parts.ChargerSize size : parts.chargers()) {
      double a = size.current();
      if (d.pack().capacity() / a < 30 && tried.size() < CHARGERS_SHOWN) {
        Design one = d.withGuard(d.guard().withCharge(d.guard().charge().withCurrent(a)));
        String word =
            Judge.read(f.circuit().rewired(one.guard())).stream()
                .filter(x -> x.id().endsWith(".charge"))
                .map(x -> Sentence.within(x.title()))
                .findFirst()
                .orElse(
                    a > kind ? "faster than the standard charge" : "within the standard charge");
        tried.add(
            new Tried(
                a,
                Charge.of(Chain.of(one, f.chain().path().assembly()), f.own().endSoc(), air),
                word));
      }
    }
    return new Answer(tried, Ceiling.of(d));
  }

  private void fill(Answer answer) {
    chargers.show(
        answer.chargers().stream()
            .map(
                t ->
                    List.of(
                        Figures.compact(t.current()) + " A",
                        Figures.duration(t.charge().time()),
                        Figures.of(t.charge().energy(), Unit.WATT_HOUR),
                        t.word()))
            .toList());
    schools.getChildren().clear();
    String[] heads = {"School", "Charge to", "Goes on for", "Life", "Served", ""};
    for (int c = 0; c < heads.length; c++) {
      schools.add(styled(heads[c], "table-head"), c, 0);
    }
    int row = 1;
    for (Ceiling c : answer.ceilings()) {
      Forecast f = c.forecast();
      schools.add(styled(c.name(), "field-label"), 0, row);
      schools.add(
          styled(Figures.of(c.design().guard().charge().voltage(), Unit.VOLT, 2), "fact-value"),
          1,
          row);
      schools.add(styled(Workings.figure(Headline.RUN_TIME, f), "fact-value"), 2, row);
      schools.add(styled(Workings.figure(Headline.LIFE, f), "fact-value"), 3, row);
      schools.add(styled(f.duty().served() ? "yes" : "no", "fact-value"), 4, row);
      Button take = new Button("Charge this way");
      take.setId("ceiling-" + row);
      take.getStyleClass().addAll("plain", "small");
      take.setMinWidth(USE_PREF_SIZE);
      take.setAccessibleText("Charge this way: " + c.name());
      take.setOnAction(
          e ->
              session.edit(
                  "Charge: " + c.name(), Station.GUARD, p -> p.withDesign(c.on(p.design()))));
      schools.add(take, 5, row);
      row++;
    }
  }

  private static Label styled(String text, String style) {
    Label label = new Label(text);
    label.getStyleClass().add(style);
    label.setMinWidth(USE_PREF_SIZE);
    return label;
  }

  private void measure(@Nullable Double value) {
    if (value != null) {
      ChargerCheck.of(session.project().design(), value);
    }
    volts = value;
    measured.show(value);
    judge();
  }

  private void judge() {
    Double value = volts;
    verdict.getStyleClass().removeAll("good", "bad");
    if (value == null) {
      verdict.setText(
          "Type what your meter shows to hear whether a few hundredths of a volt matter.");
      return;
    }
    ChargerCheck check = ChargerCheck.of(session.project().design(), value);
    verdict.setText(check.words());
    verdict
        .getStyleClass()
        .add(check.verdict() == ChargerCheck.Verdict.DO_NOT_USE ? "bad" : "good");
  }
}
