package hammerman.app.station.build;

import hammerman.app.control.Beside;
import hammerman.app.control.Column;
import hammerman.app.control.PlainButton;
import hammerman.app.control.QuantityField;
import hammerman.app.control.RecordTable;
import hammerman.app.control.TypedField;
import hammerman.app.control.Words;
import hammerman.app.station.Bench;
import hammerman.build.PartItem;
import hammerman.build.Stage;
import hammerman.record.PartRecord;
import hammerman.record.PartRecord.Have;
import hammerman.unit.Currency;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** What to buy, what is there, and what waits for it. */
final class PartsView extends StackPane {
  private static final int NAMED = 3;

  private final BuildState state;
  private final RecordTable<Row> table;
  private final Words totals = new Words("answer", "parts-totals");
  private final Words held = new Words("answer", "parts-held");
  private final Words name = new Words("title-line", "part-name");
  private final ToggleGroup have = new ToggleGroup();
  private final QuantityField price;
  private final TypedField note;
  private final VBox panel;
  private @Nullable Row chosen;

  private record Row(PartItem item, PartRecord known) {}

  /** Beyond this nobody counts the small coins. */
  private static final double DEAR = 1000;

  private static String mass(double built) {
    return built <= 0 ? "" : Figures.of(built, built < 1 ? Unit.GRAM : Unit.KILOGRAM);
  }

  private static String money(double amount) {
    return Figures.fixed(amount, amount < DEAR ? 2 : 0);
  }

  PartsView(Bench bench, BuildState state) {
    this.state = state;
    table =
        new RecordTable<Row>(
                "parts",
                "the parts",
                "The parts are being worked out.",
                List.of(
                    Column.<Row>words("Part", 160, r -> r.item().name()).inLines(),
                    Column.figures(
                        "To have",
                        78,
                        r -> r.item().toBuyWords(),
                        Comparator.comparingDouble(r -> r.item().toBuy())),
                    Column.figures(
                        "Price",
                        66,
                        r -> r.item().price() == null ? "" : money(r.item().cost()),
                        Comparator.comparingDouble(r -> -r.item().cost())),
                    Column.figures(
                        "Mass",
                        70,
                        r -> mass(r.item().built()),
                        Comparator.comparingDouble(r -> -r.item().built())),
                    Column.<Row>words("Have", 70, r -> r.known().have().word())
                        .styled(PartsView::style)))
            .keyed(r -> r.item().key())
            .alsoFiltered(
                "Filter by words or kind",
                r -> r.item().kind().label() + " " + r.item().needed().label());
    table.setMinHeight(220);
    table.setPrefWidth(620);
    table.chosenProperty().addListener((o, was, is) -> choose(is));
    price = new QuantityField("Price of one", Unit.MONEY, true, v -> keep(null, v, true, null));
    price.setId("part-price");
    note =
        new TypedField(
            "Note",
            text -> {
              keep(null, null, false, text.strip());
              return "";
            });
    note.setId("part-note");
    note.setPromptText("Where it was ordered, and when");
    panel = panel();
    FlowPane tools =
        new FlowPane(
            8,
            4,
            new PlainButton("Save as a table", "save-parts", () -> Papers.partsTable(bench, state)),
            new PlainButton(
                "Save on paper", "save-parts-paper", () -> Papers.partsPaper(bench, state)));
    Beside both = new Beside(table, panel);
    VBox.setVgrow(both, Priority.ALWAYS);
    getChildren().add(new VBox(8, totals, held, tools, both));
    state.shownProperty().addListener((o, was, is) -> show(is));
    show(state.shown());
  }

  private VBox panel() {
    HBox words = new HBox();
    for (Have h : Have.values()) {
      ToggleButton b = new ToggleButton(h.word());
      b.setId("part-" + h.word());
      b.getStyleClass().add("segment");
      b.setToggleGroup(have);
      b.setUserData(h);
      b.setOnAction(e -> keep(h, null, false, null));
      words.getChildren().add(b);
    }
    Label of = new Label("Price of one");
    of.getStyleClass().add("field-label");
    of.setMinWidth(90);
    price.setPrefWidth(90);
    HBox row = new HBox(8, of, price);
    row.getStyleClass().add("field-row");
    Label why =
        new Label(
            "Prices and masses of parts are rough ones, typical of what is sold to hobbyists; type"
                + " what you pay. All money is of one currency: say at Duty, Use and limits,"
                + " which.");
    why.getStyleClass().add("fact-name");
    why.setWrapText(true);
    why.setMinHeight(USE_PREF_SIZE);
    VBox box = new VBox(8, name, words, row, note, why);
    box.setMinWidth(240);
    VBox.setVgrow(why, Priority.ALWAYS);
    return box;
  }

  private static String style(Row r) {
    return switch (r.known().have()) {
      case MISSING -> "";
      case ORDERED -> "warn";
      case HERE -> "good";
    };
  }

  private void show(BuildState.@Nullable Shown s) {
    if (s == null) {
      return;
    }
    List<Row> rows =
        s.parts().items().stream()
            .map(
                p -> {
                  PartRecord r = s.known().get(p.key());
                  return new Row(
                      p, r == null ? new PartRecord(p.key(), Have.MISSING, null, "") : r);
                })
            .toList();
    table.show(rows);
    if (chosen == null && !rows.isEmpty()) {
      table.choose(rows.getFirst());
    }
    double there =
        s.parts().items().stream()
            .filter(p -> s.have(p.key()) != Have.MISSING && p.price() != null)
            .mapToDouble(PartItem::cost)
            .sum();
    String out =
        s.parts().takenOut() > 0
            ? ", %s taken out: the machine changes by %s"
                .formatted(
                    Figures.of(s.parts().takenOut(), Unit.KILOGRAM),
                    Figures.of(s.parts().netMass(), Unit.KILOGRAM))
            : "";
    Currency prices = state.session().project().duty().bounds().prices();
    totals.setText(
        "All parts with their spares %s, of which %s are here or ordered; %s built in%s."
            .formatted(
                prices.money(s.parts().price(), 2),
                prices.money(there, 2),
                Figures.of(s.parts().mass(), Unit.KILOGRAM),
                out));
    Map<Stage, List<PartItem>> stages = s.parts().held(p -> s.have(p.key()) != Have.HERE);
    held.setText(
        stages.isEmpty()
            ? "Everything is here."
            : "Cannot begin yet: "
                + stages.entrySet().stream()
                    .limit(NAMED)
                    .map(e -> "%s (%d missing)".formatted(e.getKey().label(), e.getValue().size()))
                    .collect(Collectors.joining(", "))
                + (stages.size() > NAMED
                    ? ", and %d stages more.".formatted(stages.size() - NAMED)
                    : "."));
  }

  private void choose(@Nullable Row r) {
    chosen = r;
    panel.setDisable(r == null);
    if (r == null) {
      return;
    }
    name.setText(r.item().name());
    have.getToggles().forEach(t -> t.setSelected(t.getUserData() == r.known().have()));
    price.show(r.item().price());
    note.show(r.known().note());
  }

  /** Keeps what changed of the part chosen; the rest stays. */
  private void keep(
      @Nullable Have is, @Nullable Double own, boolean priced, @Nullable String words) {
    Row r = chosen;
    if (r != null) {
      state.keep(
          new PartRecord(
              r.item().key(),
              is == null ? r.known().have() : is,
              priced ? own : r.known().price(),
              words == null ? r.known().note() : words));
    }
  }
}
