package hammerman.app.shell;

import hammerman.app.session.Session;
import hammerman.finding.Finding;
import hammerman.finding.Severity;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Predicate;
import javafx.css.PseudoClass;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The line: the stations of the work with their states. */
final class LineBar extends HBox {
  private static final PseudoClass COMPACT = PseudoClass.getPseudoClass("compact");
  private static final PseudoClass TIGHT = PseudoClass.getPseudoClass("tight");

  private final Session session;
  private final Predicate<Station> complete;
  private final Map<Station, Stop> stops = new EnumMap<>(Station.class);

  /** How a station stands. */
  enum State {
    NOT_BEGUN("not begun", "none"),
    IN_HAND("in hand", "hand"),
    SOUND("sound", "sound"),
    WANTS_ATTENTION("attention", "warn"),
    STOP("stop", "stop");

    private final String words;
    private final String mark;

    State(String words, String mark) {
      this.words = words;
      this.mark = mark;
    }
  }

  private record Stop(ToggleButton button, Region mark, Label state) {}

  /**
   * @param complete whether nothing is left to do at a station
   */
  LineBar(Session session, Consumer<Station> go, Predicate<Station> complete) {
    super(0);
    this.session = session;
    this.complete = complete;
    getStyleClass().add("stations");
    setMinWidth(USE_PREF_SIZE);
    ToggleGroup group = new ToggleGroup();
    for (Station station : Station.values()) {
      Region mark = new Region();
      Label name = new Label(station.label());
      name.getStyleClass().add("name");
      name.setMinWidth(USE_PREF_SIZE);
      Label state = new Label();
      state.getStyleClass().add("state");
      HBox content = new HBox(8, mark, new VBox(-1, name, state));
      content.setStyle("-fx-alignment: center-left;");
      ToggleButton button = new ToggleButton();
      button.setGraphic(content);
      button.getStyleClass().setAll("stop-on-line");
      button.setId("station-" + station.name().toLowerCase(Locale.ROOT));
      button.setToggleGroup(group);
      button.setOnAction(e -> go.accept(station));
      stops.put(station, new Stop(button, mark, state));
      getChildren().add(button);
    }
  }

  /**
   * Leaves the words of the states out where the line is short; the marks stay.
   *
   * @param tight whether the names stand closer, too
   */
  void compact(boolean is, boolean tight) {
    pseudoClassStateChanged(COMPACT, is);
    pseudoClassStateChanged(TIGHT, tight);
    stops
        .values()
        .forEach(
            stop -> {
              stop.state().setVisible(!is);
              stop.state().setManaged(!is);
            });
  }

  void select(Station station) {
    stops.forEach(
        (s, stop) -> {
          stop.button().setSelected(s == station);
          if (s == station) {
            stop.button().requestFocus();
          }
        });
  }

  void show(Forecast forecast) {
    stops.forEach(
        (station, stop) -> {
          State state = state(station, forecast.judgements());
          if (!stop.state().getText().equals(state.words)) {
            stop.mark().getStyleClass().setAll("mark", state.mark);
            stop.state().setText(state.words);
          }
          stop.button().setAccessibleText("Station " + station.label() + ", " + state.words);
        });
  }

  private State state(Station station, List<Finding> judgements) {
    Severity worst =
        judgements.stream()
            .filter(j -> j.station() == station || station == Station.FORECAST)
            .map(Finding::severity)
            .min(Severity::compareTo)
            .orElse(Severity.NOTE);
    boolean edited =
        station == Station.SORT
            ? session.project().design().pack().matched().isPresent()
            : complete.test(station)
                || (station != Station.BUILD
                    && station != Station.PROVE
                    && session.isEdited(station));
    if (worst == Severity.STOP) {
      return State.STOP; // whether one has been there or not
    }
    if (!session.isSeen(station) && !edited) {
      return State.NOT_BEGUN;
    }
    if (worst == Severity.WARN) {
      return State.WANTS_ATTENTION;
    }
    return edited ? State.SOUND : State.IN_HAND;
  }
}
