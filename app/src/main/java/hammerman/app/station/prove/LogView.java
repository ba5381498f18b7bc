package hammerman.app.station.prove;

import hammerman.app.session.Keeper;
import hammerman.app.station.prove.ProveState.Log;
import hammerman.app.station.prove.ProveState.Row;
import hammerman.app.station.prove.RunPicture.Over;
import hammerman.app.station.prove.RunPicture.Stretch;
import hammerman.record.Run.Channel;
import hammerman.record.RunSheet.Holds;
import hammerman.record.Trace;
import hammerman.simulation.Run;
import hammerman.store.NotKept;
import hammerman.store.ProjectStore;
import hammerman.telemetry.Quantity;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The log of a run at any zoom, channel by channel, with the forecast of its load over it. */
final class LogView extends VBox {
  private static final int MOST_DRAWN = 4;

  private final Keeper keeper;
  private final ProveState state;
  private final FlowPane channels = new FlowPane(10, 4);
  private final RunPicture picture = new RunPicture(this::window);
  private final TreeSet<Integer> drawn = new TreeSet<>();
  private List<Over> over = List.of();
  private @Nullable Row shown;
  private long request;
  private long from;
  private long to;

  LogView(Keeper keeper, ProveState state) {
    super(6);
    this.keeper = keeper;
    this.state = state;
    Label keys =
        new Label(
            "Wheel or + and − zoom, drag or arrows move, Shift and arrows point, Home shows all;"
                + " the thin line is the forecast of the same load.");
    keys.getStyleClass().add("fact-name");
    keys.setWrapText(true);
    keys.setMinHeight(USE_PREF_SIZE);
    picture.setMinSize(230, 190);
    VBox.setVgrow(picture, Priority.ALWAYS);
    getChildren().addAll(channels, picture, keys);
    picture.widthProperty().addListener((o, was, is) -> again());
    state.chosenProperty().addListener((o, was, is) -> choose(is));
    state.logProperty().addListener((o, was, is) -> forecast(is));
    choose(state.chosenProperty().get());
  }

  private void choose(@Nullable Row row) {
    boolean same = row != null && shown != null && row.id() == shown.id();
    shown = row;
    if (same) {
      return;
    }
    drawn.clear();
    over = List.of();
    channels.getChildren().clear();
    picture.show(null);
    if (row == null) {
      return;
    }
    List<Channel> all = row.run().value().channels();
    for (int c = 1; c < all.size(); c++) {
      int channel = c;
      CheckBox tick = new CheckBox(all.get(c).name());
      tick.setId("channel-" + c);
      tick.setSelected(c <= Math.min(3, all.size() - 1));
      if (tick.isSelected()) {
        drawn.add(c);
      }
      tick.setOnAction(
          e -> {
            drawn.remove(channel);
            if (tick.isSelected() && drawn.size() < MOST_DRAWN) {
              drawn.add(channel);
            }
            tick.setSelected(drawn.contains(channel));
            again();
          });
      channels.getChildren().add(tick);
    }
    window(0, row.samples());
  }

  private void again() {
    if (shown != null) {
      window(from, to);
    }
  }

  private void window(long first, long end) {
    Row row = shown;
    if (row == null || row.samples() == 0) {
      return;
    }
    from = first;
    to = end;
    long mine = ++request;
    int slots = picture.slots();
    List<Integer> which = List.copyOf(drawn);
    keeper.records(
        store -> stretch(store, row, which, first, end, slots),
        made -> {
          if (mine == request && shown != null && row.id() == shown.id()) {
            picture.show(made.over(over));
          }
        },
        trouble -> state.say(trouble.why()));
  }

  private static Stretch stretch(
      ProjectStore store, Row row, List<Integer> which, long from, long to, int slots)
      throws NotKept {
    long run = row.id();
    Trace time = store.runBook().trace(run, 0, from, to, slots);
    List<Trace> traces = new ArrayList<>();
    List<Channel> shown = new ArrayList<>();
    for (int c : which) {
      traces.add(store.runBook().trace(run, c, from, to, slots));
      shown.add(row.run().value().channels().get(c));
    }
    return new Stretch(row.samples(), from, to, time, which, shown, traces, List.of(), marks(row));
  }

  /** What is told of a log at a glance: its lowest voltage, its highest current and heat. */
  private static Map<Integer, Boolean> marks(Row row) {
    Map<Integer, Boolean> marks = new HashMap<>();
    for (Holds h : row.run().value().sheet().log()) {
      switch (Quantity.valueOf(h.quantity())) {
        case VOLTAGE -> marks.put(h.channel(), true);
        case CURRENT -> marks.put(h.channel(), h.negative());
        case TEMPERATURE -> marks.put(h.channel(), false);
        case TIME, POWER, SPEED -> {}
      }
    }
    return marks;
  }

  private void forecast(@Nullable Log log) {
    Row row = shown;
    over = List.of();
    if (log != null && row != null && log.row().id() == row.id()) {
      List<Over> lines = new ArrayList<>();
      Run run = log.replay().run();
      for (Holds h : row.run().value().sheet().log()) {
        if (h.quantity().equals(Quantity.VOLTAGE.name())) {
          lines.add(
              new Over(
                  h.channel(), log.replay().time(), inUnit(log.replay().forecast(run), h.unit())));
        } else if (h.quantity().equals(Quantity.TEMPERATURE.name())) {
          lines.add(temperature(run, h));
        }
      }
      over = lines;
    }
    again();
  }

  private static Over temperature(Run run, Holds h) {
    var t = run.trace();
    double[] time = new double[t.size()];
    double[] values = new double[t.size()];
    for (int k = 0; k < t.size(); k++) {
      time[k] = t.at(hammerman.simulation.Trace.Channel.TIME, k);
      values[k] = t.at(hammerman.simulation.Trace.Channel.TEMPERATURE, k);
    }
    return new Over(h.channel(), time, inUnit(values, h.unit()));
  }

  private static double[] inUnit(double[] core, Unit unit) {
    double[] out = new double[core.length];
    for (int k = 0; k < out.length; k++) {
      out[k] = unit.fromCore(core[k]);
    }
    return out;
  }
}
