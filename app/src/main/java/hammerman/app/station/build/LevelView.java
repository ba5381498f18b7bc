package hammerman.app.station.build;

import hammerman.app.control.Column;
import hammerman.app.control.RecordTable;
import hammerman.app.control.TypedField;
import hammerman.app.control.Words;
import hammerman.build.OnePack;
import hammerman.pack.Pack;
import hammerman.remedy.Levelling;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.QuantityText;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** Rest voltages before they are joined: which to bring up or down, with what, and how long. */
final class LevelView extends StackPane {
  private static final int MOST = 600;

  /** What would flow if a cell were joined now: said of cells, since groups are not joined so. */
  private static final String JOINED = "If joined";

  private final BuildState state;
  private final ToggleButton groups = new ToggleButton("Groups in series");
  private final ToggleButton cells = new ToggleButton("Cells of one group");
  private final TypedField figures = new TypedField("Rest voltages", this::typed);
  private final Words answer = new Words("answer", "level-answer");
  private final RecordTable<Row> table =
      new RecordTable<Row>(
              "level",
              "what brings them level",
              "Type one rest voltage for each, from the negative end, parted by blanks.",
              List.of(
                  Column.figures("No.", 40, r -> String.valueOf(r.number()), by(Row::number)),
                  Column.figures(
                      "Rests at",
                      84,
                      r -> Figures.of(r.part().volts(), Unit.VOLT, 3),
                      by(r -> r.part().volts())),
                  Column.figures(
                      "Charge",
                      84,
                      r -> r.isLevel() ? "" : Figures.of(r.part().charge(), Unit.AMPERE_HOUR),
                      by(r -> r.part().charge())),
                  Column.figures(
                      "Takes",
                      90,
                      r -> r.isLevel() ? "" : Figures.duration(r.part().time()),
                      by(r -> r.part().time())),
                  Column.figures(
                      JOINED,
                      78,
                      r -> Figures.of(r.part().joined(), Unit.AMPERE),
                      by(r -> r.part().joined())),
                  Column.<Row>words("What to do", 220, r -> r.part().advice())
                      .styled(r -> r.isLevel() ? "good" : "")
                      .inLines()))
          .withoutFilter();

  private record Row(int number, Levelling.Part part) {
    boolean isLevel() {
      return part.charge() == 0;
    }
  }

  LevelView(BuildState state) {
    this.state = state;
    table.showColumn(JOINED, false);
    ToggleGroup which = new ToggleGroup();
    for (ToggleButton b : List.of(groups, cells)) {
      b.getStyleClass().add("segment");
      b.setToggleGroup(which);
    }
    groups.setId("level-groups");
    cells.setId("level-cells");
    groups.setSelected(true);
    figures.setId("level-figures");
    figures.setPromptText("3.612 3.609 3.655 …");
    HBox.setHgrow(figures, Priority.ALWAYS);
    Words complaint = Words.complaint(figures.complaintProperty());
    complaint.setId("level-complaint");
    Words caution =
        Words.caution(
            "Groups are brought level before the links are on, and cells before the strip is. A"
                + " charge of a single cell is watched from beginning to end, never above its full"
                + " voltage and never below 0 °C; what sat below its cut-off is never revived.");
    state
        .secondProperty()
        .addListener(
            (o, was, is) -> {
              figures.show("");
              answer.setText("");
              table.show(List.of());
            });
    table.setMinHeight(160);
    VBox.setVgrow(table, Priority.ALWAYS);
    getChildren()
        .add(
            new VBox(
                8,
                new FlowPane(12, 6, new PackSwitch(state), new HBox(groups, cells)),
                figures,
                complaint,
                answer,
                table,
                caution));
  }

  private interface Figure {
    double of(Row row);
  }

  private static Comparator<Row> by(Figure figure) {
    return Comparator.comparingDouble(figure::of);
  }

  private String typed(String text) {
    OnePack on = state.onBench();
    if (on == null) {
      return "The procedure is still being worked out.";
    }
    return switch (QuantityText.readRow(text, Unit.VOLT)) {
      case QuantityText.Row.NotUnderstood n -> n.why();
      case QuantityText.Row.Understood u -> taken(on.pack(), u.values(), text.strip());
    };
  }

  private String taken(Pack pack, double[] volts, String text) {
    try {
      for (double v : volts) {
        Valid.range("Rest voltage", v, 0, 6, Unit.VOLT);
      }
      Valid.count("Rest voltages", volts.length, 2, MOST);
    } catch (InvalidValue e) {
      return String.valueOf(e.getMessage());
    }
    boolean single = cells.isSelected();
    show(Levelling.of(pack, volts, single ? 1 : pack.parallel()), single);
    figures.show(text);
    return "";
  }

  private void show(Levelling l, boolean single) {
    List<Row> rows = new ArrayList<>();
    for (int k = 0; k < l.parts().size(); k++) {
      rows.add(new Row(k + 1, l.parts().get(k)));
    }
    table.show(rows);
    table.showColumn(JOINED, single);
    long off = rows.stream().filter(r -> !r.part().advice().equals("level")).count();
    String what = single ? "cells" : "groups";
    answer.setText(
        off == 0
            ? "All %s are level at %s: they may be joined."
                .formatted(what, Figures.of(l.middle(), Unit.VOLT, 3))
            : "%d of %d %s are to be brought to %s before they are joined."
                .formatted(off, rows.size(), what, Figures.of(l.middle(), Unit.VOLT, 3)));
  }
}
