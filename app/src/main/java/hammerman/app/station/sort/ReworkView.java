package hammerman.app.station.sort;

import hammerman.app.control.Column;
import hammerman.app.control.InWords;
import hammerman.app.control.PlainButton;
import hammerman.app.control.RecordTable;
import hammerman.app.control.TypedField;
import hammerman.app.control.Words;
import hammerman.app.job.Latest;
import hammerman.design.Design;
import hammerman.finding.Station;
import hammerman.record.Measured;
import hammerman.record.Measurement;
import hammerman.record.Measurement.Conditions;
import hammerman.record.Measurement.Origin;
import hammerman.record.Subject;
import hammerman.remedy.Rework;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.QuantityText;
import hammerman.unit.QuantityText.Row;
import hammerman.unit.Unit;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.control.ChoiceBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** A pack that got weak: figures of its groups in, the sick one and what can be done out. */
final class ReworkView extends StackPane {
  private final SortState state;
  private final Latest working = Latest.ofDetails("rework");
  private final ChoiceBox<Measured> what = new ChoiceBox<>();
  private final TypedField figures = new TypedField("Figures of the groups", this::typed);
  private final Words sick = new Words("answer", "rework-sick");
  private final Words steps = new Words("fact-name", "rework-steps");
  private final RecordTable<Rework.Way> ways =
      new RecordTable<Rework.Way>(
              "rework-ways",
              "what can be done",
              "Type one figure for each group, from the negative end, parted by blanks.",
              List.of(
                  Column.<Rework.Way>words("What can be done", 230, Rework.Way::what).inLines(),
                  Column.figures(
                      "Ah to use",
                      76,
                      w -> Figures.fixed(w.usable(), 2),
                      Comparator.comparingDouble(w -> -w.usable())),
                  Column.figures(
                      "Lasts",
                      92,
                      w -> Figures.duration(w.time()),
                      Comparator.comparingDouble(w -> -w.time())),
                  Column.<Rework.Way>words("Would stop you", 160, w -> String.join("; ", w.stops()))
                      .inLines()))
          .withoutFilter();

  ReworkView(SortState state) {
    this.state = state;
    what.getItems().setAll(Measured.CAPACITY, Measured.REST_VOLTAGE);
    what.setValue(Measured.CAPACITY);
    what.setId("rework-what");
    what.setAccessibleText("What was measured of each group");
    what.setConverter(new InWords<>(ReworkView::name));
    what.setPrefWidth(190);
    figures.setId("rework-figures");
    figures.setPromptText("26.1 25.9 24.2 …");
    HBox.setHgrow(figures, Priority.ALWAYS);
    Words complaint = Words.complaint(figures.complaintProperty());
    complaint.setId("rework-complaint");
    Words caution =
        Words.caution(
            "A pack is live while it is cut: rings off, insulated tools, one link at a time, eye"
                + " protection, and outdoors. Out of a dead pack nothing is kept that rests below"
                + " its cut-off, was overheated or ground into, leaks or is dented; what is kept is"
                + " measured like any reclaimed cell.");
    ways.setMinHeight(190);
    ways.setPrefHeight(260);
    ways.chosenProperty().addListener((o, was, is) -> showSteps(is));
    VBox all =
        new VBox(
            8,
            new HBox(8, what, figures),
            complaint,
            sick,
            ways,
            new PlainButton("Make it a variant", "rework-variant", this::variant),
            steps,
            caution);
    VBox.setVgrow(ways, Priority.ALWAYS);
    getChildren().add(all);
  }

  private static String name(Measured m) {
    return m == Measured.CAPACITY ? "Capacity of each group, Ah" : "Rest voltage of each, V";
  }

  private String typed(String text) {
    Measured quantity = what.getValue();
    Unit unit = quantity == Measured.CAPACITY ? Unit.AMPERE_HOUR : Unit.VOLT;
    return switch (QuantityText.readRow(text, unit)) {
      case Row.NotUnderstood n -> n.why();
      case Row.Understood u -> taken(quantity, u.values(), text.strip());
    };
  }

  private String taken(Measured quantity, double[] values, String text) {
    Design design = state.session().project().design();
    boolean capacity = quantity == Measured.CAPACITY;
    try {
      Rework.check(design, values, capacity);
    } catch (InvalidValue e) {
      return String.valueOf(e.getMessage());
    }
    keep(quantity, values);
    working.submit(
        () -> capacity ? Rework.byCapacity(design, values) : Rework.byVoltage(design, values),
        this::show,
        e -> sick.setText(Latest.inWords(e)));
    figures.show(text);
    return "";
  }

  private void keep(Measured quantity, double[] values) {
    List<Measurement> all = new ArrayList<>();
    for (int g = 0; g < values.length; g++) {
      all.add(
          new Measurement(
              new Subject.Group(g), quantity, values[g], Conditions.UNKNOWN, "", Origin.TYPED));
    }
    Instant now = state.now();
    state.record(
        "%d figures of groups kept.".formatted(values.length),
        store -> store.inventory().measure(all, now));
  }

  private void show(Rework r) {
    ways.show(r.ways());
    sick.setText(
        r.sick().isEmpty()
            ? "No group differs from the others by more than their usual spread."
            : r.sick().stream()
                .map(s -> "Group %d %s. %s".formatted(s.group() + 1, s.why(), s.next()))
                .collect(Collectors.joining("\n")));
    if (!r.ways().isEmpty()) {
      ways.choose(r.ways().get(Math.min(1, r.ways().size() - 1)));
    }
  }

  private void showSteps(Rework.@Nullable Way way) {
    steps.setText(
        way == null
            ? ""
            : way.steps().stream().map(s -> "– " + s).collect(Collectors.joining("\n")));
  }

  private void variant() {
    Rework.Way way = ways.chosenProperty().get();
    if (way == null) {
      state.say("Choose what can be done first.");
      return;
    }
    state
        .session()
        .edit(
            "Variant " + way.what(),
            Station.SORT,
            p -> p.plusVariant(way.what()).withDesign(way.design()));
    state.say("A variant is made of it: " + way.what() + ".");
  }
}
