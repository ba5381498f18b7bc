package hammerman.app.shell;

import hammerman.forecast.Forecast;
import hammerman.forecast.Headline;
import hammerman.forecast.Workings;
import hammerman.pack.Pack;
import hammerman.project.Project;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;

/** Variants side by side: a row for each figure, marked where the variants differ. */
final class Comparison extends GridPane {
  /** The most variants shown beside each other. */
  static final int MOST = 4;

  /**
   * A variant with its forecast.
   *
   * @param name what it is called
   * @param forecast its results
   */
  record Column(String name, Forecast forecast) {}

  Comparison(List<Column> columns) {
    setHgap(24);
    setVgap(5);
    setId("comparison");
    for (int c = 0; c < columns.size(); c++) {
      Label name = new Label(columns.get(c).name());
      name.getStyleClass().add("section-title");
      setHalignment(name, HPos.RIGHT);
      add(name, c + 1, 0);
    }
    int row = 1;
    for (Row r : rows()) {
      row(r.name(), columns.stream().map(Column::forecast).map(r.text()).toList(), row++);
    }
  }

  /**
   * Forecasts the active variant and those after it, at most {@link #MOST}; takes some
   * milliseconds.
   */
  static List<Column> columns(Project project) {
    int n = project.variants().size();
    List<Column> columns = new ArrayList<>();
    for (int k = 0; k < Math.min(MOST, n); k++) {
      Project one = project.withActive((project.active() + k) % n);
      columns.add(new Column(one.variant().name(), Forecast.of(one.design())));
    }
    return columns;
  }

  private void row(String name, List<String> values, int row) {
    boolean differs = values.stream().distinct().count() > 1;
    Label label = new Label((differs ? "≠ " : "   ") + name);
    label.getStyleClass().add(differs ? "field-label" : "fact-name");
    add(label, 0, row);
    for (int c = 0; c < values.size(); c++) {
      Label value = new Label(values.get(c));
      value.getStyleClass().add(differs ? "fact-value" : "fact-same");
      setHalignment(value, HPos.RIGHT);
      add(value, c + 1, row);
    }
  }

  /** A row: its name, and what it says of a forecast. */
  private record Row(String name, Function<Forecast, String> text) {}

  private static List<Row> rows() {
    return List.of(
        new Row("Cell", f -> f.design().pack().cell().name()),
        new Row("Stack", f -> counts(f.design().pack())),
        figure("Full voltage", Headline.FULL_VOLTAGE),
        figure("Capacity", Headline.CAPACITY),
        figure("Energy", Headline.ENERGY),
        figure("Mass", Headline.MASS),
        figure("Cells cost", Headline.COST),
        new Row("Serves the duty", f -> f.duty().outcome().complete() ? "yes" : "no"),
        figure("Until it ends", Headline.RUN_TIME),
        figure("Hardest moment at 20 %", Headline.SAG),
        figure("Per cell then", Headline.CURRENT_PER_CELL),
        figure("Hottest cell", Headline.PEAK_TEMPERATURE),
        figure("Charge time", Headline.CHARGE_TIME),
        figure("Life", Headline.LIFE),
        new Row("Judgements", Comparison::judgements));
  }

  private static Row figure(String name, Headline headline) {
    return new Row(name, f -> Workings.figure(headline, f));
  }

  private static String counts(Pack pack) {
    return pack.series() + "S" + pack.parallel() + "P";
  }

  private static String judgements(Forecast f) {
    return f.judgements().isEmpty() ? "none" : Tally.of(f.judgements());
  }
}
