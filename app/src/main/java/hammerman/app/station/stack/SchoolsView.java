package hammerman.app.station.stack;

import hammerman.app.control.Facts;
import hammerman.app.session.Session;
import hammerman.app.station.Page;
import hammerman.search.Candidate;
import hammerman.search.Schools;
import hammerman.search.Search;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The schools of stacking side by side: the best of either, and what each costs for this duty. */
final class SchoolsView extends VBox {
  /** A row: its name and its text for a candidate. */
  private record Row(String name, Function<Candidate, String> text) {}

  private static final List<Row> ROWS =
      List.of(
          new Row("Stack", Candidate::counts),
          new Row("Cell", c -> c.design().pack().cell().name()),
          new Row("Energy", c -> Figures.of(c.design().pack().energy(), Unit.WATT_HOUR)),
          new Row("Mass", c -> Figures.of(c.mass(), Unit.KILOGRAM)),
          new Row("Cells cost", c -> c.design().duty().bounds().prices().money(c.cost(), 0)),
          new Row("Hardest moment at 20 %", c -> Figures.of(c.sag(), Unit.VOLT, 1)),
          new Row("Heat in the duty", c -> Figures.of(c.heat(), Unit.WATT_HOUR)),
          new Row("Hottest", c -> Figures.of(c.peakTemperature(), Unit.CELSIUS, 0)),
          new Row("Left after the duty", c -> Figures.of(c.margin(), Unit.PERCENT, 0)),
          new Row("Life", c -> Figures.fixed(c.years(), 1) + " years"));

  private final Session session;
  private final FlowPane contests = new FlowPane(32, 20);

  SchoolsView(Session session) {
    super(10);
    this.session = session;
    Label words =
        new Label(
            "Both sides have good builders. These are the best stacks of either side for this duty,"
                + " ranked by the weights in “All cells, ranked”.");
    words.getStyleClass().add("answer");
    words.setMinHeight(Region.USE_PREF_SIZE);
    contests.setId("schools");
    getChildren().addAll(words, contests);
  }

  void show(Search search) {
    contests
        .getChildren()
        .setAll(Schools.of(search).contests().stream().map(this::contest).toList());
  }

  private Node contest(Schools.Contest c) {
    Facts facts = new Facts("fact-name", "fact-value", "fact-value");
    facts.setHgap(20);
    facts.setVgap(7);
    List<List<String>> rows = new ArrayList<>();
    rows.add(List.of("", c.one().name(), c.other().name()));
    ROWS.forEach(r -> rows.add(List.of(r.name(), text(r, c.one()), text(r, c.other()))));
    facts.show(rows);
    VBox box =
        new VBox(10, Page.heading(c.question()), facts, trade(c), take(c.one()), take(c.other()));
    return box;
  }

  /** What going over to the other side costs, in a sentence. */
  private static Label trade(Schools.Contest c) {
    Label words = new Label();
    words.getStyleClass().add("answer");
    words.setMinHeight(Region.USE_PREF_SIZE);
    words.setMaxWidth(430);
    c.one()
        .best()
        .flatMap(a -> c.other().best().map(b -> trade(c.other().name(), a, b)))
        .ifPresent(words::setText);
    return words;
  }

  private static String trade(String name, Candidate a, Candidate b) {
    return "%s: %s kg, cells %s in price, %s V at the hardest moment, %s Wh of heat, %s years."
        .formatted(
            name,
            signed(b.mass() - a.mass(), 2),
            b.design().duty().bounds().prices().of(signed(b.cost() - a.cost(), 0)),
            signed(b.sag() - a.sag(), 1),
            signed(Unit.WATT_HOUR.fromCore(b.heat() - a.heat()), 1),
            signed(b.years() - a.years(), 1));
  }

  private static String signed(double value, int decimals) {
    return (value >= 0 ? "+" : "") + Figures.fixed(value, decimals);
  }

  private static String text(Row row, Schools.Side side) {
    Optional<Candidate> best = side.best();
    return best.map(row.text()).orElse(row.name().equals("Stack") ? "none serves" : "–");
  }

  private Node take(Schools.Side side) {
    Optional<Candidate> best = side.best();
    if (best.isEmpty()) {
      Label none = new Label(side.name() + ": none serves this duty within its limits.");
      none.getStyleClass().add("answer");
      none.setMinHeight(Region.USE_PREF_SIZE);
      return none;
    }
    Button take = new Button("Variant of: " + side.name() + ", " + best.get().counts());
    take.getStyleClass().addAll("plain", "small");
    take.setOnAction(e -> SearchView.makeVariant(session, best.get()));
    return take;
  }
}
