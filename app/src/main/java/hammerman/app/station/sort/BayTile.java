package hammerman.app.station.sort;

import hammerman.app.control.PlainButton;
import hammerman.record.BayTest;
import hammerman.record.Fact;
import hammerman.sort.MeasuredCell;
import hammerman.sort.Sorting.Entry;
import hammerman.sort.Stock;
import hammerman.tester.TesterLine;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** A bay of the tester: the cell in it and how far it is, or how its last test ended. */
final class BayTile extends VBox {
  private final int bay;

  BayTile(int bay) {
    super(2);
    this.bay = bay;
    Label head = new Label("Bay " + bay);
    head.getStyleClass().add("field-label");
    setId("bay-" + bay);
    getStyleClass().add("empty-card");
    setPrefWidth(132);
    setMinHeight(96);
    setAlignment(Pos.TOP_LEFT);
    getChildren().add(head);
  }

  /** Says that it is free, and how the test that ended last in it did. */
  BayTile free(Stock stock) {
    Fact<BayTest> test = stock.ended().get(bay);
    String last =
        test == null
            ? ""
            : stock.cells().stream()
                .filter(c -> c.id() == test.value().cell())
                .findFirst()
                .map(c -> ", last " + outcome(c, test.value()))
                .orElse("");
    getChildren().add(words("free" + last, "fact-name"));
    return this;
  }

  private static String outcome(Stock.Cell c, BayTest test) {
    if (test.outcome() instanceof BayTest.Outcome.Failed(String why)) {
      return c.label() + " failed: " + why;
    }
    if (c.aside() != null) {
      return c.label() + ", put aside: " + c.aside().value().reason();
    }
    MeasuredCell m = c.measured();
    if (test.outcome() instanceof BayTest.Outcome.BrokenOff || Double.isNaN(m.capacity())) {
      return c.label() + ", broken off";
    }
    String capacity = c.label() + ": " + Figures.of(m.capacity(), Unit.MILLIAMPERE_HOUR, 0);
    return m.hasResistance()
        ? capacity + ", " + Figures.of(m.resistance(), Unit.MILLIOHM)
        : capacity;
  }

  /**
   * Shows the cell on test.
   *
   * @param reading the tester's latest; absent if it has said none
   * @param due when it should be done, in words
   * @param late whether that is past
   * @param type brings one to where the cell's capacity is typed, by its label
   * @param breakOff ends the test
   */
  BayTile testing(
      Entry e,
      TesterLine.@Nullable Reading reading,
      String due,
      boolean late,
      Consumer<String> type,
      Runnable breakOff) {
    getChildren().add(words(e.cell().label(), "counts"));
    if (reading != null) {
      getChildren()
          .add(
              words(
                  "%s, %s, %s"
                      .formatted(
                          reading.phase(),
                          Figures.of(reading.volts(), Unit.VOLT, 2),
                          Figures.of(reading.ampereHours(), Unit.MILLIAMPERE_HOUR, 0)),
                  "fact-name"));
    } else if (late) {
      getChildren()
          .addAll(
              words("done since " + due, "complaint"),
              new PlainButton(
                  "Type its capacity",
                  "type-capacity-" + bay,
                  () -> type.accept(e.cell().label())));
    } else {
      getChildren().add(words("done " + due, "fact-name"));
    }
    getChildren().add(new PlainButton("Break off", "break-off-" + bay, breakOff));
    return this;
  }

  private static Label words(String text, String style) {
    Label label = new Label(Figures.unbroken(text));
    label.getStyleClass().add(style);
    label.setWrapText(true);
    label.setMinHeight(USE_PREF_SIZE);
    return label;
  }
}
