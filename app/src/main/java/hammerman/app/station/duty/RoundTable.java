package hammerman.app.station.duty;

import hammerman.app.control.Form;
import hammerman.app.session.Session;
import hammerman.duty.Task;
import hammerman.finding.Station;
import hammerman.project.Project;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.QuantityText;
import hammerman.unit.QuantityText.Reading;
import hammerman.unit.Unit;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The segments of a round, edited in place. */
final class RoundTable extends VBox {
  private static final int COLUMNS = 5;

  private final Session session;
  private final GridPane grid = new GridPane();
  private final Label complaint = new Label();
  private Task shown = new Task.ByTime(1, 1);

  RoundTable(Session session) {
    super(4);
    this.session = session;
    grid.setHgap(4);
    grid.setVgap(3);
    for (int k = 0; k < COLUMNS; k++) {
      ColumnConstraints c = new ColumnConstraints();
      c.setHgrow(k == 0 ? Priority.ALWAYS : Priority.NEVER);
      grid.getColumnConstraints().add(c);
    }
    complaint.getStyleClass().add("complaint");
    complaint.managedProperty().bind(complaint.textProperty().isNotEmpty());
    Button add = new Button("Add a segment");
    add.setId("add-segment");
    add.getStyleClass().addAll("plain", "small");
    add.setOnAction(e -> edit("Add a segment", r -> r.plusSegment(r.segments().size(), last(r))));
    getChildren().addAll(grid, complaint, new HBox(add));
  }

  void show(Task task) {
    if (task.equals(shown) || !(task instanceof Task.ByRound round)) {
      return;
    }
    shown = task;
    grid.getChildren().clear();
    head();
    for (int k = 0; k < round.segments().size(); k++) {
      row(k, round);
    }
  }

  private void head() {
    String[] names = {"Segment", "W", "Time", "km/h", ""};
    for (int c = 0; c < names.length; c++) {
      Label label = new Label(names[c]);
      label.getStyleClass().add("table-head");
      label.setMaxWidth(Double.MAX_VALUE);
      if (c == 0) {
        label.setStyle("-fx-alignment: center-left;");
      }
      grid.add(label, c, 0);
    }
  }

  private void row(int k, Task.ByRound round) {
    Task.Segment s = round.segments().get(k);
    String which = "segment " + (k + 1);
    TextField name = new TextField(s.name());
    name.setAccessibleText("Name of " + which);
    Form.onCommit(
        name,
        () ->
            edit(
                "Name of " + which,
                r -> r.withSegment(k, r.segments().get(k).withName(name.getText()))));
    grid.add(name, 0, k + 1);
    number(k, 1, "Power of " + which, Unit.WATT, Figures.plain(s.power()), Task.Segment::withPower);
    number(k, 2, "Time of " + which, Unit.MINUTE, time(s.duration()), Task.Segment::withDuration);
    number(
        k,
        3,
        "Speed of " + which,
        Unit.KILOMETRE_PER_HOUR,
        Figures.plain(Unit.KILOMETRE_PER_HOUR.fromCore(s.speed())),
        Task.Segment::withSpeed);
    Button remove = new Button("×");
    remove.getStyleClass().addAll("plain", "small");
    remove.setAccessibleText("Remove " + which);
    remove.setDisable(round.segments().size() == 1);
    remove.setOnAction(e -> edit("Remove " + which, r -> r.minusSegment(k)));
    grid.add(remove, 4, k + 1);
  }

  private void number(
      int k,
      int column,
      String what,
      Unit unit,
      String text,
      BiFunction<Task.Segment, Double, Task.Segment> change) {
    TextField field = new TextField(text);
    field.getStyleClass().add("number");
    field.setPrefColumnCount(column == 2 ? 6 : 4);
    field.setAccessibleText(what);
    field.setId(Form.id(what));
    Form.onCommit(
        field,
        () -> {
          if (field.getText().equals(text)) {
            return;
          }
          switch (QuantityText.read(field.getText(), unit)) {
            case Reading.Understood u ->
                edit(what, r -> r.withSegment(k, change.apply(r.segments().get(k), u.core())));
            case Reading.NotUnderstood n -> complaint.setText(what + ": " + n.why());
          }
        });
    grid.add(field, column, k + 1);
  }

  /** Writes a segment's time without rounding it. */
  private static String time(double seconds) {
    return seconds < 60 ? Figures.exact(seconds, Unit.SECOND) : Figures.exact(seconds, Unit.MINUTE);
  }

  private void edit(String what, Function<Task.ByRound, Task> change) {
    try {
      session.edit(what, Station.DUTY, p -> changed(p, change));
      complaint.setText("");
    } catch (InvalidValue e) {
      complaint.setText(e.getMessage());
    }
  }

  private static Project changed(Project p, Function<Task.ByRound, Task> change) {
    return p.duty().task() instanceof Task.ByRound r
        ? p.withDesign(p.design().withDuty(p.duty().withTask(change.apply(r))))
        : p;
  }

  private static Task.Segment last(Task.ByRound r) {
    return r.segments().getLast();
  }
}
