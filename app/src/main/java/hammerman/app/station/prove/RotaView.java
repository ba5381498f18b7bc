package hammerman.app.station.prove;

import hammerman.app.control.ActTable;
import hammerman.app.control.Facts;
import hammerman.app.control.Form;
import hammerman.app.control.QuantityField;
import hammerman.app.control.Words;
import hammerman.app.station.Page;
import hammerman.chain.Path;
import hammerman.design.SecondPack;
import hammerman.duty.Task;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.prove.Consumption;
import hammerman.prove.PackUse;
import hammerman.prove.Rota;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.Reference;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** What runs took by course, given back to the duty; and how many batteries work a day in turn. */
final class RotaView extends StackPane {
  private static final double EIGHT_HOURS = 8 * 3600;

  /** A pack that is left so full is neither strained nor short for the way home. */
  private static final double LEFT_AT_HAND_OVER = 0.15;

  private final ProveState state;
  private final ActTable courses = new ActTable("courses");
  private final Label none = new Label("No run with its energy is written down yet.");
  private final Words answer = new Words("verdict-line", "rota-answer");
  private final Words handOver = new Words("answer", "hand-over");
  private final Facts packs =
      new Facts("fact-name", "fact-value", "fact-value", "fact-value", "fact-value", "fact-value");
  private final Label packHead = Page.heading("Runs by pack");
  private final RotaPicture picture = new RotaPicture();
  private final QuantityField run;
  private final QuantityField charge;
  private double runs = Double.NaN;
  private double charges = Double.NaN;
  private int chargers = 1;
  private double day = EIGHT_HOURS;
  private boolean typed;

  RotaView(ProveState state) {
    this.state = state;
    none.getStyleClass().add("answer");
    none.managedProperty().bind(none.visibleProperty());
    packs.setId("runs-by-pack");
    run = field("Works for", Unit.HOUR, v -> runs = v);
    charge = field("Charges in", Unit.HOUR, v -> charges = v);
    QuantityField many = field("Chargers", Unit.ONE, v -> chargers = (int) Math.rint(v));
    many.show(1.0);
    QuantityField hours = field("Working day", Unit.HOUR, v -> day = v);
    hours.show(EIGHT_HOURS);
    FlowPane fields =
        new FlowPane(16, 4, row(run, "h"), row(charge, "h"), row(many, ""), row(hours, "h"));
    Words caution =
        Words.caution(
            "Batteries on charge are watched and lie on stone; none is charged below 0 °C or while"
                + " hot from work.");
    picture.setMinHeight(140);
    picture.setPrefHeight(200);
    VBox.setVgrow(picture, Priority.SOMETIMES);
    getChildren()
        .add(
            new VBox(
                10,
                Page.heading("Energy by course"),
                none,
                courses,
                packHead,
                packs,
                Page.heading("Batteries in turn"),
                fields,
                answer,
                handOver,
                picture,
                caution));
    state.shownProperty().addListener((o, was, is) -> show());
    state.forecastProperty().addListener((o, was, is) -> show());
    show();
  }

  /** What each pack has done, with a head. */
  private List<List<String>> byPack() {
    List<PackUse> all =
        PackUse.of(state.shown().counting().stream().map(r -> r.run().value().sheet()).toList());
    List<List<String>> rows = new ArrayList<>();
    rows.add(List.of("Pack", "runs", "time", "charge", "energy", "lowest"));
    for (PackUse p : all) {
      rows.add(
          List.of(
              p.pack().isEmpty() ? "not written down" : p.pack(),
              String.valueOf(p.runs()),
              Figures.duration(p.time()),
              Figures.of(p.charge(), Unit.AMPERE_HOUR),
              Figures.of(p.energy(), Unit.WATT_HOUR),
              Double.isNaN(p.lowestVoltage()) ? "" : Figures.of(p.lowestVoltage(), Unit.VOLT)));
    }
    return all.isEmpty() ? List.of() : rows;
  }

  private interface Taker {
    void take(double core);
  }

  private QuantityField field(String name, Unit unit, Taker taker) {
    QuantityField f =
        new QuantityField(
            name,
            unit,
            false,
            v -> {
              if (v != null) {
                typed = true;
                taker.take(v);
                rota();
              }
            });
    f.setId("rota-" + Form.id(name));
    f.setPrefWidth(70);
    return f;
  }

  private static HBox row(QuantityField field, String unit) {
    String spoken = field.getAccessibleText();
    Label label =
        new Label(spoken.contains(",") ? spoken.substring(0, spoken.indexOf(',')) : spoken);
    label.getStyleClass().add("field-label");
    label.setLabelFor(field);
    Label symbol = new Label(unit);
    symbol.getStyleClass().add("fact-name");
    HBox row = new HBox(6, label, field, symbol);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private void show() {
    List<ActTable.Row> rows = new ArrayList<>();
    List<Consumption> all =
        Consumption.of(
            state.shown().counting().stream().map(r -> r.run().value().sheet()).toList());
    for (Consumption c : all) {
      Unit unit = c.byDistance() ? Unit.WATT_HOUR_PER_KILOMETRE : Unit.WATT;
      rows.add(
          new ActTable.Row(
              List.of(
                  c.course().isEmpty() ? "no course written down" : c.course(),
                  Figures.of(c.mean(), unit),
                  Double.isNaN(c.spread())
                      ? "one run"
                      : Figures.scatter(c.mean(), c.spread(), unit),
                  String.valueOf(c.runs())),
              "Use it at Duty",
              () -> use(c)));
    }
    none.setVisible(rows.isEmpty());
    courses.show(
        rows.isEmpty() ? List.of() : List.of("Course", "takes", "differs by", "runs"), rows);
    List<List<String>> used = byPack();
    packs.show(used);
    for (Node n : List.of(packHead, packs)) {
      n.setVisible(!used.isEmpty());
      n.setManaged(!used.isEmpty());
    }
    Forecast f = state.forecast();
    handOver.setText(f == null ? "" : Figures.unbroken(handOver(f)));
    if (f != null && !typed) {
      runs = f.reach().one();
      charges = Math.max(60, f.usualCharge().time());
      run.show(whole(runs));
      charge.show(whole(charges));
    }
    rota();
  }

  /** When to go over to the second pack, if there is one that waits; else an empty text. */
  private static String handOver(Forecast f) {
    SecondPack second = f.design().second();
    if (second == null || second.joining() != SecondPack.Joining.SWITCH_OVER) {
      return "";
    }
    double drawn = f.chain().demand().continuous();
    double volts =
        f.chain()
            .path()
            .voltage(drawn, LEFT_AT_HAND_OVER, Reference.ROOM, Path.Settling.TEN_SECONDS);
    return "Two packs by switch: hand over when the first reads %s under %s, with %s of it left. Write at Runs which pack was on."
        .formatted(
            Figures.of(volts, Unit.VOLT, 1),
            Figures.of(drawn, Unit.AMPERE),
            Figures.of(LEFT_AT_HAND_OVER, Unit.PERCENT, 0));
  }

  /** To a hundredth of an hour: enough to plan a day by. */
  private static double whole(double seconds) {
    return 36 * Math.rint(seconds / 36);
  }

  /** The duty asks for as far, or as long, at what was measured. */
  private void use(Consumption c) {
    state
        .session()
        .edit(
            "Measured energy of " + (c.course().isEmpty() ? "runs" : c.course()),
            Station.DUTY,
            p -> {
              var load = p.duty().task().load();
              double way =
                  load.rounds()
                      * load.steps().stream().mapToDouble(x -> x.speed() * x.duration()).sum();
              double speed = Double.isNaN(c.speed()) ? way / load.duration() : c.speed();
              Task task =
                  c.byDistance() && way > 0
                      ? new Task.ByDistance(way, c.mean(), speed)
                      : new Task.ByTime(
                          c.byDistance() ? c.mean() * speed : c.mean(), load.duration());
              return p.withDuty(p.duty().withTask(task));
            });
    state.say("Duty now counts with what was measured. Undo takes it back.");
  }

  private void rota() {
    if (Double.isNaN(runs) || Double.isNaN(charges)) {
      answer.setText("");
      return;
    }
    try {
      Rota.Question q = new Rota.Question(runs, charges, chargers, day);
      Rota r = Rota.fewest(q);
      answer.setText(
          "%d %s and %d %s work %s through, in %s of up to %s."
              .formatted(
                  r.batteries(),
                  r.batteries() == 1 ? "battery" : "batteries",
                  chargers,
                  chargers == 1 ? "charger" : "chargers",
                  Figures.duration(day),
                  r.shifts().size() == 1 ? "one shift" : r.shifts().size() + " shifts",
                  Figures.duration(runs)));
      picture.show(r);
    } catch (InvalidValue e) {
      answer.setText(String.valueOf(e.getMessage()));
      picture.show(null);
    }
  }
}
