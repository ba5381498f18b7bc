package hammerman.app.station.duty;

import hammerman.app.control.Form;
import hammerman.app.control.Reveal;
import hammerman.app.control.SidewaysPane;
import hammerman.app.control.TypedField;
import hammerman.app.control.Words;
import hammerman.app.session.Session;
import hammerman.app.station.Bench;
import hammerman.duty.Segment;
import hammerman.duty.Segment.Effort;
import hammerman.duty.Segment.Extent;
import hammerman.duty.Task;
import hammerman.finding.Station;
import hammerman.forecast.DutyWorkings;
import hammerman.project.Project;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.QuantityText;
import hammerman.unit.QuantityText.Reading;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.beans.binding.Bindings;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * The segments of a round, edited in place. A slope has the power worked out; a typed power takes
 * its place.
 */
final class RoundTable extends VBox {
  /** Width of a button with a sign, px. */
  private static final double SIGN = 26;

  private static final String[] HEADS = {
    "Segment", "km/h", "For", "Slope %", "Load kg", "W", "", "", "", "", ""
  };
  private static final double[] WIDTHS = {0, 58, 84, 64, 64, 70, 26, 26, 26, 26, 26};

  /** The name of a segment has at least this, px; in a narrow window the table is scrolled. */
  private static final double LEAST_NAME = 120;

  /** The most rows shown without scrolling. */
  private static final int MOST_SHOWN = 9;

  private static final double ROW = 29;
  private static final double HEAD = 20;

  private final Bench bench;
  private final Session session;
  private final GridPane grid = new GridPane();
  private final Words complaint = new Words("complaint");
  private final List<Row> rows = new ArrayList<>();

  RoundTable(Bench bench) {
    super(4);
    this.bench = bench;
    session = bench.session();
    grid.setHgap(4);
    grid.setVgap(3);
    for (double width : WIDTHS) {
      ColumnConstraints c = width > 0 ? new ColumnConstraints(width) : new ColumnConstraints();
      c.setMinWidth(width > 0 ? width : LEAST_NAME);
      c.setHgrow(width > 0 ? Priority.NEVER : Priority.ALWAYS);
      grid.getColumnConstraints().add(c);
    }
    HBox add = new HBox(4, words("Add"));
    add.setStyle("-fx-alignment: center-left;");
    for (Segment.Template t : Segment.Template.values()) {
      Button button = small(t.label(), "Add: " + t.label());
      button.setId("add-" + Form.id(t.label()));
      button.setOnAction(
          e ->
              edit(
                  "Add a segment",
                  r -> r.plusSegment(r.segments().size(), t.segment()),
                  "name-of-segment-" + (rows.size() + 1)));
      add.getChildren().add(button);
    }
    getChildren().addAll(new SidewaysPane(grid, ROW * MOST_SHOWN + HEAD), complaint, add);
  }

  void show(Task.ByRound round) {
    int n = round.segments().size();
    if (rows.size() != n) {
      grid.getChildren().clear();
      rows.clear();
      head();
      for (int k = 0; k < n; k++) {
        rows.add(new Row(k));
      }
      complaint
          .textProperty()
          .bind(
              Bindings.createStringBinding(
                  this::firstComplaint,
                  rows.stream()
                      .flatMap(r -> r.fields.stream())
                      .map(TypedField::complaintProperty)
                      .toArray(javafx.beans.Observable[]::new)));
    }
    rows.forEach(r -> r.show(round));
  }

  private String firstComplaint() {
    return rows.stream()
        .flatMap(r -> r.fields.stream())
        .map(f -> f.complaintProperty().get())
        .filter(t -> !t.isEmpty())
        .findFirst()
        .orElse("");
  }

  private void head() {
    for (int c = 0; c < HEADS.length; c++) {
      Label label = words(HEADS[c]);
      label.getStyleClass().setAll("label", "table-head");
      label.setMaxWidth(Double.MAX_VALUE);
      label.setStyle(c == 0 ? "-fx-alignment: center-left;" : "-fx-alignment: center-right;");
      grid.add(label, c, 0);
    }
  }

  private static Label words(String text) {
    Label label = new Label(text);
    label.getStyleClass().add("fact-name");
    return label;
  }

  private static Button small(String text, String spoken) {
    Button button = new Button(text);
    button.getStyleClass().addAll("plain", "small");
    button.setMinWidth(Button.USE_PREF_SIZE);
    button.setAccessibleText(spoken);
    return button;
  }

  private String edit(String what, Function<Task.ByRound, Task> change) {
    try {
      session.edit(what, Station.DUTY, p -> changed(p, change));
      return "";
    } catch (InvalidValue e) {
      return String.valueOf(e.getMessage());
    }
  }

  /** Edits and puts the focus on a control that may have moved or been made anew. */
  private void edit(String what, Function<Task.ByRound, Task> change, String focus) {
    edit(what, change);
    Node node = grid.lookup("#" + focus);
    if (node != null) {
      Reveal.focus(node);
    }
  }

  private static Project changed(Project p, Function<Task.ByRound, Task> change) {
    return p.duty().task() instanceof Task.ByRound r ? TaskView.withTask(p, change.apply(r)) : p;
  }

  /** The controls of one segment. */
  private final class Row {
    private final int k;
    private final List<TypedField> fields = new ArrayList<>();
    private final TypedField name;
    private final TypedField speed;
    private final TypedField extent;
    private final TypedField slope;
    private final TypedField load;
    private final TypedField power;
    private final Button remove;

    Row(int k) {
      this.k = k;
      String which = " of segment " + (k + 1);
      name = field(0, "Name" + which, t -> changed("Name" + which, s -> s.withName(t.strip())));
      speed =
          field(
              1,
              "Speed" + which,
              quantity("Speed" + which, Unit.KILOMETRE_PER_HOUR, Segment::withSpeed));
      extent = field(2, "Time" + which, t -> extent("Time" + which, t));
      slope =
          field(
              3,
              "Slope" + which,
              quantity("Slope" + which, Unit.PERCENT, (s, v) -> s.withEffort(sloped(s, v))));
      load =
          field(
              4,
              "Load" + which,
              quantity("Load" + which, Unit.KILOGRAM, (s, v) -> s.withEffort(loaded(s, v))));
      power =
          field(
              5,
              "Power" + which,
              quantity("Power" + which, Unit.WATT, (s, v) -> s.withEffort(new Effort.Given(v))));
      button(6, "=", "How the power" + which + " came about", this::working);
      button(7, "↑", "Move segment " + (k + 1) + " up", () -> move(-1));
      button(8, "↓", "Move segment " + (k + 1) + " down", () -> move(1));
      button(9, "+", "Duplicate segment " + (k + 1), this::duplicate);
      remove = button(10, "×", "Remove segment " + (k + 1), this::remove);
    }

    void show(Task.ByRound round) {
      Segment s = round.segments().get(k);
      name.show(s.name());
      speed.show(Figures.plain(Unit.KILOMETRE_PER_HOUR.fromCore(s.speed())));
      extent.show(
          switch (s.extent()) {
            case Extent.Lasting l ->
                l.duration() < 60
                    ? Figures.exact(l.duration(), Unit.SECOND)
                    : Figures.exact(l.duration(), Unit.MINUTE);
            case Extent.Covering c -> Figures.exact(c.distance(), Unit.METRE);
          });
      boolean worked = s.effort() instanceof Effort.Worked;
      slope.show(
          s.effort() instanceof Effort.Worked w
              ? Figures.plain(Unit.PERCENT.fromCore(w.slope()))
              : "");
      load.show(s.effort() instanceof Effort.Worked w ? Figures.plain(w.load()) : "");
      double watts = s.power(round.vehicle());
      power.show(worked ? Figures.number(watts) : Figures.plain(watts));
      power.getStyleClass().remove("computed");
      if (worked) {
        power.getStyleClass().add("computed");
      }
      remove.setDisable(round.segments().size() == 1);
    }

    private TypedField field(int column, String what, UnaryOperator<String> take) {
      TypedField field = new TypedField(what, take);
      if (column > 0) {
        field.getStyleClass().add("number");
      }
      field.setId(Form.id(what));
      fields.add(field);
      grid.add(field, column, k + 1);
      return field;
    }

    private Button button(int column, String sign, String spoken, Runnable action) {
      Button button = small(sign, spoken);
      button.getStyleClass().add("sign");
      button.setMinWidth(SIGN);
      button.setPrefWidth(SIGN);
      button.setId(Form.id(spoken));
      button.setOnAction(e -> action.run());
      grid.add(button, column, k + 1);
      return button;
    }

    private UnaryOperator<String> quantity(
        String what, Unit unit, BiFunction<Segment, Double, Segment> change) {
      return text ->
          switch (QuantityText.read(text, unit)) {
            case Reading.Understood u -> changed(what, s -> change.apply(s, u.core()));
            case Reading.NotUnderstood n -> what + ": " + n.why();
          };
    }

    /** A time, or a way; a bare number is minutes. */
    private String extent(String what, String text) {
      if (QuantityText.read(text, Unit.MINUTE) instanceof Reading.Understood time) {
        return changed(what, s -> s.withExtent(new Extent.Lasting(time.core())));
      }
      if (QuantityText.read(text, Unit.METRE) instanceof Reading.Understood way) {
        return changed(what, s -> s.withExtent(new Extent.Covering(way.core())));
      }
      return what + ": “" + text + "” is no time or way; type “5 min” or “300 m”.";
    }

    private String changed(String what, UnaryOperator<Segment> change) {
      return edit(what, r -> r.withSegment(k, change.apply(r.segments().get(k))));
    }

    private static Effort sloped(Segment s, double slope) {
      return new Effort.Worked(slope, s.effort() instanceof Effort.Worked w ? w.load() : 0);
    }

    private static Effort loaded(Segment s, double load) {
      return new Effort.Worked(s.effort() instanceof Effort.Worked w ? w.slope() : 0, load);
    }

    private void working() {
      bench
          .showWorking()
          .accept(
              f -> {
                Task task = f.design().duty().task();
                if (task instanceof Task.ByRound r && k < r.segments().size()) {
                  return Optional.of(DutyWorkings.power(r, k));
                }
                return Optional.empty();
              });
    }

    private void move(int by) {
      String spoken = "Move segment " + (k + 1 + by) + (by < 0 ? " up" : " down");
      edit("Move a segment", r -> r.movedSegment(k, k + by), Form.id(spoken));
    }

    private void duplicate() {
      edit(
          "Duplicate a segment",
          r -> r.plusSegment(k + 1, r.segments().get(k)),
          "name-of-segment-" + (k + 2));
    }

    private void remove() {
      edit("Remove a segment", r -> r.minusSegment(k), "name-of-segment-" + Math.max(1, k));
    }
  }
}
