package hammerman.app.station.forecast;

import hammerman.app.control.EmptyCard;
import hammerman.app.control.Words;
import hammerman.app.job.Latest;
import hammerman.app.picture.Crosshair;
import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.forecast.SpeedSweep;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.ToDoubleFunction;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** How far at one speed on the level, with head wind and load as sliders. */
final class SpeedView extends VBox {
  private static final double MOST_WIND = 40;

  private final Latest sweeps = Latest.ofDetails("speed-sweep");
  private final Words words = new Words("answer", "speed-words");
  private final Slider wind = new Slider(0, MOST_WIND, 0);
  private final Slider load = new Slider(0, 100, 0);
  private final FlowPane sliders = new FlowPane(24, 4);
  private final Sheet sheet = new Sheet();
  private final EmptyCard empty;
  private @Nullable Forecast of;

  /**
   * @param go goes to a view of a station
   */
  SpeedView(BiConsumer<Station, String> go) {
    super(6);
    empty =
        new EmptyCard(
            "This duty has no vehicle that moves. Describe the task by the round, with a speed for"
                + " its stretches: then this tells how far the pack takes it at any speed, against"
                + " any wind and with any load.",
            EmptyCard.act(
                "Describe the task", "speed-to-task", () -> go.accept(Station.DUTY, "task")));
    sliders
        .getChildren()
        .addAll(
            named("Head wind", "head-wind", wind, v -> Figures.fixed(v, 0) + " km/h"),
            named("Load", "load-carried", load, v -> Figures.fixed(v, 0) + " kg"));
    empty.setVisible(false);
    sheet.setMinHeight(260);
    sheet.managedProperty().bind(sheet.visibleProperty());
    VBox.setVgrow(sheet, Priority.ALWAYS);
    getChildren().addAll(words, empty, sliders, sheet);
  }

  private HBox named(String name, String id, Slider slider, ToDoubleText text) {
    slider.setId(id);
    slider.setAccessibleText(name);
    slider.setPrefWidth(160);
    slider.setBlockIncrement(5);
    Label value = new Label(text.of(slider.getValue()));
    value.setMinWidth(64);
    value.getStyleClass().add("fact-value");
    slider
        .valueProperty()
        .addListener(
            (o, was, is) -> {
              value.setText(text.of(is.doubleValue()));
              sweep();
            });
    Label label = new Label(name);
    label.getStyleClass().add("fact-name");
    return new HBox(8, label, slider, value);
  }

  /** Writes a slider's value. */
  private interface ToDoubleText {
    String of(double value);
  }

  void show(Forecast f) {
    of = f;
    SpeedSweep.vehicle(f).ifPresent(v -> load.setMax(Math.max(20, v.mass())));
    sweep();
  }

  private void sweep() {
    Forecast f = of;
    if (f == null) {
      return;
    }
    double against = Unit.KILOMETRE_PER_HOUR.toCore(wind.getValue());
    double carried = load.getValue();
    sweeps.submit(() -> SpeedSweep.of(f, against, carried), this::take);
  }

  private void take(Optional<SpeedSweep> made) {
    sliders.setVisible(made.isPresent());
    sheet.setVisible(made.isPresent());
    sheet.show(made.orElse(null));
    empty.setVisible(made.isEmpty());
    words.setText(made.map(SpeedView::sentence).orElse(""));
  }

  private static String sentence(SpeedSweep s) {
    SpeedSweep.Point best = s.best();
    return best.range() <= 0
        ? "The pack cannot drive it on the level at any of these speeds."
        : "On the level it goes farthest at %s: %s, drawing %s. The duty's mean speed while it moves is %s."
            .formatted(
                Figures.of(best.speed(), Unit.KILOMETRE_PER_HOUR),
                Figures.distance(best.range()),
                Figures.of(best.power(), Unit.WATT),
                Figures.of(s.dutySpeed(), Unit.KILOMETRE_PER_HOUR));
  }

  /** Range against speed, the power below it. */
  private static final class Sheet extends Picture {
    private static final double LEFT = 52;
    private static final double RIGHT = 20;
    private static final double TOP = 26;
    private static final double BOTTOM = 26;
    private static final double GAP = 30;

    private @Nullable SpeedSweep sweep;
    private double end = 1;
    private final Crosshair cross = new Crosshair(this, LEFT, RIGHT, () -> end);

    Sheet() {
      super("Range on the level against speed");
      setId("speed-sheet");
    }

    void show(@Nullable SpeedSweep value) {
      sweep = value;
      redraw();
    }

    private static double[] of(SpeedSweep s, ToDoubleFunction<SpeedSweep.Point> read) {
      return s.points().stream().mapToDouble(read).toArray();
    }

    @Override
    public List<Series> figures() {
      SpeedSweep s = sweep;
      return s == null
          ? List.of()
          : List.of(
              new Series("Speed, km/h", of(s, p -> Unit.KILOMETRE_PER_HOUR.fromCore(p.speed()))),
              new Series("Range, km", of(s, p -> Unit.KILOMETRE.fromCore(p.range()))),
              new Series("Power, W", of(s, SpeedSweep.Point::power)));
    }

    @Override
    protected void paint(Pen pen, double width, double height) {
      SpeedSweep s = sweep;
      if (s == null) {
        return;
      }
      double[] speed = of(s, p -> Unit.KILOMETRE_PER_HOUR.fromCore(p.speed()));
      double[] range = of(s, p -> Unit.KILOMETRE.fromCore(p.range()));
      double[] power = of(s, SpeedSweep.Point::power);
      int last = speed.length - 1;
      double upper = (height - TOP - BOTTOM - GAP) * 0.62;
      end = speed[last];
      Scale x = new Scale(0, end, LEFT, width - RIGHT);
      double farthest = Unit.KILOMETRE.fromCore(s.best().range());
      double most = farthest > 0 ? Math.max(0.1, 1.12 * farthest) : 1;
      Scale y = new Scale(0, most, TOP + upper, TOP);
      Plot ranges = new Plot(pen, x, y).vertical("Range on the level, km");
      ranges.curve(Role.COOL, 2.4, speed, range);
      double at = x.at(Unit.KILOMETRE_PER_HOUR.fromCore(s.best().speed()));
      if (farthest > 0) {
        pen.line(Role.COOL, 1, at, y.from(), at, y.at(farthest));
        pen.dot(Role.COOL, at, y.at(farthest), 4);
        pen.tag(Role.COOL, Pen.TEXT, at + 8, y.at(farthest) - 8, "farthest");
      }
      double duty = x.at(Unit.KILOMETRE_PER_HOUR.fromCore(s.dutySpeed()));
      pen.tag(Role.HOT, Pen.TEXT, duty + 6, y.from() - 12, "the duty's mean speed");
      Scale w = new Scale(0, 1.1 * Math.max(1, power[last]), height - BOTTOM, TOP + upper + GAP);
      for (Scale strip : List.of(y, w)) {
        pen.line(Role.HOT, 1, duty, strip.from(), duty, strip.to());
      }
      Plot powers = new Plot(pen, x, w).vertical("Power at the battery, W");
      powers.curve(Role.INK, 1.6, speed, power);
      powers.horizontal("Speed, km/h");
      s.points().stream()
          .min(
              Comparator.comparingDouble(
                  p -> Math.abs(Unit.KILOMETRE_PER_HOUR.fromCore(p.speed()) - cross.at())))
          .ifPresent(
              p ->
                  cross.draw(
                      pen,
                      x,
                      TOP,
                      height - BOTTOM,
                      List.of(
                          Figures.of(p.speed(), Unit.KILOMETRE_PER_HOUR),
                          Figures.distance(p.range()),
                          Figures.of(p.power(), Unit.WATT))));
    }
  }
}
