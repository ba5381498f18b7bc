package hammerman.app.station.forecast;

import hammerman.app.control.EmptyCard;
import hammerman.app.control.PlainButton;
import hammerman.app.control.Words;
import hammerman.app.job.Latest;
import hammerman.finding.Station;
import hammerman.forecast.EveryCell;
import hammerman.forecast.Forecast;
import hammerman.simulation.Day;
import hammerman.unit.Figures;
import hammerman.unit.Sentence;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import org.jspecify.annotations.Nullable;

/**
 * The four days cell by cell. They are run when nothing is edited for a moment, and given up when
 * something is.
 */
final class CellsView extends VBox {
  private static final Duration QUIET = Duration.millis(300);

  private static final String NOT_LAID_OUT =
      " Strips and neighbours count when the pack is laid out at Fit.";

  private static final String TEACH =
      "Cells are told from each other once they have places in a layout, or have been measured."
          + " Then each goes through the four days by itself: which group is lowest, which cell is"
          + " hottest, and how far they drift apart.";

  private final Latest runs = new Latest("every-cell");
  private final Words words = new Words("answer", "every-cell");
  private final FlowPane choice = new FlowPane(0, 4);
  private final EmptyCard empty = new EmptyCard(TEACH);
  private final Button toFit;
  private final Button toSort;
  private final CellsSheet sheet = new CellsSheet();
  private final Consumer<List<Day>> days;
  private @Nullable Forecast of;
  private @Nullable EveryCell shown;
  private Day.Kind kind = Day.Kind.HOTTEST;

  /**
   * @param days takes the days when they have been run
   * @param go goes to a view of a station
   */
  CellsView(Consumer<List<Day>> days, BiConsumer<Station, String> go) {
    super(6);
    toFit = EmptyCard.act("Lay the pack out", "cells-to-fit", () -> go.accept(Station.FIT, ""));
    toSort =
        new PlainButton(
            "Measure its cells", "cells-to-sort", () -> go.accept(Station.SORT, "cells"));
    this.days = days;
    ToggleGroup one = new ToggleGroup();
    for (Day.Kind k : Day.Kind.values()) {
      ToggleButton button = new ToggleButton(k.label());
      button.setId("cells-" + k.key());
      button.getStyleClass().add("segment");
      button.setToggleGroup(one);
      button.setSelected(k == kind);
      button.setOnAction(
          e -> {
            button.setSelected(true);
            kind = k;
            refresh();
          });
      choice.getChildren().add(button);
    }
    sheet.setMinHeight(280);
    sheet.managedProperty().bind(sheet.visibleProperty());
    VBox.setVgrow(sheet, Priority.ALWAYS);
    getChildren().addAll(choice, words, empty, sheet);
  }

  void show(Forecast f) {
    if (of != null && of.design().equals(f.design())) {
      if (shown != null) {
        days.accept(shown.days());
      }
      return;
    }
    of = f;
    shown = null;
    refresh();
    if (!EveryCell.possible(f)) {
      runs.cancel();
      words.setText("");
      teach(f);
      return;
    }
    empty.setVisible(false);
    words.setText("Every cell is run by itself …");
    runs.whenQuiet(
        QUIET,
        () ->
            runs.submit(
                () -> EveryCell.of(f),
                this::take,
                e -> words.setText("The cells could not be run: " + Latest.inWords(e) + ".")));
  }

  /** Says what it takes for cells to be told apart. */
  private void teach(Forecast f) {
    empty.setVisible(true);
    if (EveryCell.isTold(f)) {
      empty.say(
          "The duty is too long to be run cell by cell: the days above are of cells all alike.");
    } else if (f.layout().isEmpty()) {
      empty.say(TEACH, toFit, toSort);
    } else {
      empty.say("The layout has no groups yet. " + TEACH, toFit);
    }
  }

  /** Gives up the runs if they are not done. */
  void leave() {
    if (shown == null) {
      runs.cancel();
      of = null;
    }
  }

  private void take(Optional<EveryCell> made) {
    shown = made.orElse(null);
    made.ifPresent(m -> days.accept(m.days()));
    refresh();
  }

  private void refresh() {
    EveryCell now = shown;
    choice.setVisible(now != null);
    choice.setManaged(now != null);
    sheet.setVisible(now != null);
    sheet.show(now == null ? null : now.day(kind));
    if (now != null) {
      boolean laidOut = of != null && EveryCell.isLaidOut(of);
      String told = Figures.unbroken(now.words(kind));
      boolean pair = of != null && of.pair().isPresent();
      words.setText(
          (pair ? "In the first pack: " + Sentence.within(told) : told)
              + (laidOut ? "" : NOT_LAID_OUT));
    }
  }
}
