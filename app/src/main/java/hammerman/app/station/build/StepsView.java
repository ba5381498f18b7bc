package hammerman.app.station.build;

import hammerman.app.control.Beside;
import hammerman.app.control.Column;
import hammerman.app.control.EmptyCard;
import hammerman.app.control.PlainButton;
import hammerman.app.control.RecordTable;
import hammerman.app.station.Bench;
import hammerman.build.Progress;
import hammerman.build.Step;
import hammerman.unit.Figures;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The steps in their order, with the one looked at beside them. */
final class StepsView extends StackPane {
  private final BuildState state;
  private final RecordTable<Row> table;
  private final EmptyCard empty;
  private boolean showing;

  /**
   * A step as the list shows it.
   *
   * @param number from 1
   */
  private record Row(int number, Step step, Progress.State state) {}

  StepsView(Bench bench, BuildState state) {
    this.state = state;
    table =
        new RecordTable<Row>(
                "steps",
                "the steps",
                "The procedure is being worked out.",
                List.of(
                    Column.figures(
                        "No.",
                        36,
                        r -> String.valueOf(r.number()),
                        Comparator.comparingInt(Row::number)),
                    Column.<Row>words("Step", 118, r -> Figures.unbroken(r.step().title()))
                        .inLines(),
                    Column.<Row>words("State", 72, r -> r.state().word()).styled(StepsView::style)))
            .keyed(r -> r.step().id())
            .alsoFiltered(
                "Filter by words or stage", r -> r.step().stage().label() + " " + r.step().id());
    table.chosenProperty().addListener((o, was, is) -> chosen(is));
    table.setMinHeight(180);
    table.setPrefWidth(400);
    StepCard card = new StepCard(state);
    ScrollPane pane = new ScrollPane(card);
    pane.setFitToWidth(true);
    pane.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    pane.getStyleClass().add("page");
    pane.setFocusTraversable(false);
    pane.setMinSize(350, 260);
    pane.setPrefHeight(420);
    FlowPane tools =
        new FlowPane(
            8,
            4,
            new PlainButton("Go to the next step", "next-step", state::chooseNext),
            new PlainButton(
                "At arm's length", "arms-length", () -> bench.fill().accept(new StepCard(state))),
            new PlainButton(
                "Save as a booklet", "save-booklet", () -> Papers.booklet(bench, state)));
    Beside both = new Beside(table, pane);
    VBox.setVgrow(both, Priority.ALWAYS);
    empty =
        new EmptyCard(
            "Nothing is recorded of this example yet. Begin with the first step, or look at how its"
                + " build may have gone: with two mistakes that were caught.",
            EmptyCard.act("Take the example's record", "example-build", state::takeExample));
    getChildren().add(new VBox(8, tools, empty, both));
    state.shownProperty().addListener((o, was, is) -> show(is));
    state.chosenProperty().addListener((o, was, is) -> point());
    show(state.shown());
  }

  private static String style(Row r) {
    return switch (r.state()) {
      case OPEN, WAITING -> "";
      case DONE -> "good";
      case OUTSIDE -> "stop";
      case OVERRIDDEN, CHANGED -> "warn";
    };
  }

  private void show(BuildState.@Nullable Shown s) {
    if (s == null) {
      return;
    }
    boolean offered = s.facts().isEmpty() && state.example().isPresent();
    empty.setVisible(offered);
    List<Step> steps = s.progress().procedure().steps();
    List<Row> rows =
        IntStream.range(0, steps.size())
            .mapToObj(k -> new Row(k + 1, steps.get(k), s.progress().state(steps.get(k).id())))
            .toList();
    showing = true;
    table.show(rows);
    showing = false;
    point();
  }

  /** Points at the step looked at. */
  private void point() {
    BuildState.Shown s = state.shown();
    String id = state.chosenProperty().get();
    if (s == null || id == null) {
      return;
    }
    List<Step> steps = s.progress().procedure().steps();
    for (int k = 0; k < steps.size(); k++) {
      if (steps.get(k).id().equals(id)) {
        showing = true;
        table.choose(new Row(k + 1, steps.get(k), s.progress().state(id)));
        showing = false;
        return;
      }
    }
  }

  private void chosen(@Nullable Row row) {
    if (row != null && !showing) {
      state.choose(row.step().id());
    }
  }
}
