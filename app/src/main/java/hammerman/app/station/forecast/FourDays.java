package hammerman.app.station.forecast;

import hammerman.app.control.Words;
import hammerman.simulation.Day;
import hammerman.unit.Figures;
import hammerman.unit.Sentence;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Insets;
import javafx.geometry.VPos;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The four days in words: how the duty ends on each, and whether what ends it comes back. */
final class FourDays extends GridPane {
  /** Room for the words of a day that is not served. */
  private static final double LEAST = 120;

  private final List<Line> lines = new ArrayList<>();

  FourDays() {
    super(10, 3);
    setId("days");
    setMinHeight(Region.USE_PREF_SIZE);
    for (Day.Kind kind : Day.Kind.values()) {
      Line line = new Line(kind);
      int k = kind.ordinal();
      GridPane.setMargin(line.name, new Insets(0, 0, 0, k < 2 ? 9 : 12));
      add(line.name, k / 2 * 2, k % 2);
      add(new VBox(line.outcome, line.back), k / 2 * 2 + 1, k % 2);
      lines.add(line);
    }
  }

  /** Shows the days, in the order of their kinds. */
  void show(List<Day> days) {
    for (Day day : days) {
      lines.get(day.kind().ordinal()).show(day);
    }
  }

  private static final class Line {
    private final Label name = new Label();
    private final Label outcome = new Label();
    private final Words back;

    Line(Day.Kind kind) {
      name.getStyleClass().add("fact-name");
      name.setMinWidth(Region.USE_PREF_SIZE);
      GridPane.setValignment(name, VPos.TOP);
      outcome.getStyleClass().addAll("verdict", "serves");
      outcome.setWrapText(true);
      back = new Words("fact-name", "back-" + kind.key());
    }

    void show(Day day) {
      name.setText(day.kind().label() + ", " + Figures.of(day.air(), Unit.CELSIUS, 0));
      outcome.setText(Figures.unbroken(day.outcome()));
      String verdict = day.served() ? "serves" : "warn";
      if (!outcome.getStyleClass().contains(verdict)) {
        outcome.getStyleClass().setAll("label", "verdict", verdict);
      }
      outcome.setMinSize(day.served() ? Region.USE_PREF_SIZE : LEAST, Region.USE_PREF_SIZE);
      back.setText(
          day.recovery()
              .map(r -> Figures.unbroken(Sentence.beginning(r.words()) + "."))
              .orElse(""));
    }
  }
}
