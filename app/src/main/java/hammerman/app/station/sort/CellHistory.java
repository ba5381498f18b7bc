package hammerman.app.station.sort;

import hammerman.app.control.PlainButton;
import hammerman.record.Fact;
import hammerman.record.Measured;
import hammerman.record.Measurement;
import hammerman.record.Measurement.Conditions;
import hammerman.record.Subject;
import hammerman.sort.Sorting.Entry;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.LongConsumer;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The latest readings of a cell, those struck out among them. */
final class CellHistory extends VBox {
  private static final DateTimeFormatter TIME =
      DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);
  private static final int LISTED = 6;

  private final SortState state;
  private final LongConsumer strike;
  private long request;

  /**
   * @param strike takes the number of a reading that is to count no more
   */
  CellHistory(SortState state, LongConsumer strike) {
    super(2);
    this.state = state;
    this.strike = strike;
  }

  /** Shows what was measured of a cell. */
  void show(Entry of) {
    long mine = ++request;
    state
        .session()
        .keeper()
        .records(
            store -> store.inventory().of(new Subject.Cell(of.cell().id())),
            facts -> {
              if (mine == request) {
                getChildren().setAll(lines(facts));
              }
            },
            state::say);
  }

  private List<VBox> lines(List<Fact<Measurement>> facts) {
    List<VBox> lines = new ArrayList<>();
    for (Fact<Measurement> f : facts.reversed().subList(0, Math.min(LISTED, facts.size()))) {
      Measured what = f.value().quantity();
      Unit unit =
          switch (what) {
            case AC_RESISTANCE, DC_RESISTANCE -> Unit.MILLIOHM;
            case CAPACITY -> Unit.MILLIAMPERE_HOUR;
            case REST_VOLTAGE, SELF_DISCHARGE, TEMPERATURE, MASS -> what.unit();
          };
      String origin = f.value().instrument().isEmpty() ? "typed" : "from " + f.value().instrument();
      Label figure = new Label(Figures.of(f.value().value(), unit) + ", " + what.label());
      figure.getStyleClass().add(f.counts() ? "answer" : "fact-name");
      Label words =
          new Label(
              "%s, %s%s%s"
                  .formatted(
                      TIME.format(f.at().atZone(ZoneId.systemDefault())),
                      origin,
                      under(f.value().conditions()),
                      f.strike().map(x -> "; struck out: " + x.reason()).orElse("")));
      words.getStyleClass().add("fact-name");
      words.setWrapText(true);
      words.setMinHeight(USE_PREF_SIZE);
      Region spring = new Region();
      HBox.setHgrow(spring, Priority.ALWAYS);
      HBox head = new HBox(6, figure, spring);
      if (f.counts()) {
        head.getChildren()
            .add(new PlainButton("Strike out", "strike-" + f.id(), () -> strike.accept(f.id())));
      }
      VBox line = new VBox(head, words);
      lines.add(line);
    }
    return lines;
  }

  /** Under what a reading was taken, as far as it was said. */
  private static String under(Conditions c) {
    List<String> all = new ArrayList<>();
    add(all, "at ", c.current(), Unit.AMPERE);
    add(all, "to ", c.cutOff(), Unit.VOLT);
    add(all, "in ", c.temperature(), Unit.CELSIUS);
    add(all, "after a rest of ", c.rest(), Unit.MINUTE);
    return all.isEmpty() ? "" : ", " + String.join(", ", all);
  }

  private static void add(List<String> all, String how, @Nullable Double value, Unit unit) {
    if (value != null) {
      all.add(how + Figures.of(value, unit));
    }
  }
}
