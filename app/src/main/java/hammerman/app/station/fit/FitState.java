package hammerman.app.station.fit;

import hammerman.app.session.Session;
import hammerman.chain.Layout;
import hammerman.finding.Station;
import hammerman.fit.Container;
import hammerman.fit.FitPlan;
import hammerman.fit.Grouping;
import hammerman.fit.Outline;
import hammerman.fit.Placing;
import hammerman.forecast.CellTemperatures;
import hammerman.forecast.Forecast;
import hammerman.project.Project;
import hammerman.unit.InvalidValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/** What station Fit shows and has chosen, and how it edits the plan; its parts follow it. */
final class FitState {
  /** Nothing chosen. */
  static final int NONE = -1;

  private final Session session;
  private final List<Runnable> followers = new ArrayList<>();
  private @Nullable Forecast forecast;
  private @Nullable CellTemperatures temperatures;
  private Overlay overlay = Overlay.GROUPS;
  private Face face = Face.UPPER;
  private boolean shaping;
  private int box;
  private int layer;
  private int shape;
  private int first = NONE;
  private int second = NONE;
  private int plate = NONE;
  private int frame = NONE;

  FitState(Session session) {
    this.session = session;
  }

  Session session() {
    return session;
  }

  void follow(Runnable follower) {
    followers.add(follower);
  }

  /** Has everything that follows drawn anew. */
  void changed() {
    followers.forEach(Runnable::run);
  }

  static boolean has(Project p) {
    return p.variant().fit() != null;
  }

  static FitPlan plan(Project p) {
    return Objects.requireNonNull(p.variant().fit());
  }

  static Project with(Project p, FitPlan plan) {
    return p.withDesign(p.design().withFit(plan));
  }

  /** Turns a change of the plan by a value into one of the project. */
  static <T> BiFunction<Project, T, Project> writing(BiFunction<FitPlan, T, FitPlan> write) {
    return (p, v) -> with(p, write.apply(plan(p), v));
  }

  /** Edits the plan; returns an empty text, or why it was refused. */
  String edit(String what, UnaryOperator<FitPlan> change) {
    try {
      session.edit(what, Station.FIT, p -> with(p, change.apply(plan(p))));
      return "";
    } catch (InvalidValue e) {
      return String.valueOf(e.getMessage());
    }
  }

  void show(Forecast f) {
    forecast = f;
    Layout now = f.layout().orElse(null);
    if (now != null) {
      int boxes = now.plan().boxes().size();
      box = Math.min(box, boxes - 1);
      layer = Math.min(layer, Math.max(0, layers() - 1));
      int places = now.arrangement().placing().places().size();
      if (first >= places || second >= places) {
        first = NONE;
        second = NONE;
      }
    }
    changed();
  }

  void temperatures(@Nullable CellTemperatures value) {
    temperatures = value;
    if (value != null && frame >= value.map().frames().size()) {
      frame = NONE;
    }
    changed();
  }

  Optional<Forecast> forecast() {
    return Optional.ofNullable(forecast);
  }

  /** The last layout; none for a project without a plan, even while its forecast is on its way. */
  Optional<Layout> layout() {
    return has(session.project()) ? forecast().flatMap(Forecast::layout) : Optional.empty();
  }

  Optional<Layout.Solved> solved() {
    return layout().flatMap(Layout::solved);
  }

  /** Temperatures of the layout that is shown; none while they are still worked out. */
  Optional<CellTemperatures> temperatures() {
    CellTemperatures w = temperatures;
    int places = layout().map(l -> l.arrangement().placing().places().size()).orElse(0);
    return w != null && w.map().last().length == places ? Optional.of(w) : Optional.empty();
  }

  /** The box that is shown, as it is now; cells may still be those of the one before. */
  Optional<Container> container() {
    return has(session.project())
        ? Optional.of(plan(session.project()).boxes())
            .map(all -> all.get(Math.min(box, all.size() - 1)))
        : Optional.empty();
  }

  /** Layers of the box that is shown. */
  int layers() {
    int n = 0;
    if (layout().isPresent()) {
      for (var s : layout().orElseThrow().arrangement().placing().sheets()) {
        n += s.box() == box ? 1 : 0;
      }
    }
    return n;
  }

  /** Whether a place is in the box and the layer that are shown. */
  boolean shows(Placing placing, int place) {
    var s = placing.sheets().get(placing.sheetOf(place));
    return s.box() == box && s.layer() == layer;
  }

  /** The outline or keep-out that is being drawn: 0 the outline, then the keep-outs. */
  Optional<Outline> shapeShown() {
    return container()
        .map(
            c ->
                shape == 0 || shape > c.keepOuts().size()
                    ? c.outline()
                    : c.keepOuts().get(shape - 1));
  }

  /** Puts another shape in the place of the one being drawn; returns why not, if so. */
  String reshape(String what, Outline value) {
    return edit(
        what,
        p -> {
          Container c = p.boxes().get(box);
          if (shape == 0) {
            return p.withBox(box, c.withOutline(value));
          }
          List<Outline> keepOuts = new ArrayList<>(c.keepOuts());
          keepOuts.set(shape - 1, value);
          return p.withBox(box, c.withKeepOuts(keepOuts));
        });
  }

  Overlay overlay() {
    return overlay;
  }

  void overlay(Overlay value) {
    overlay = value;
    changed();
  }

  Face face() {
    return face;
  }

  void face(Face value) {
    face = value;
    changed();
  }

  /** Has the upper or the lower face seen, alone unless both are. */
  void see(boolean top) {
    if (face != Face.BOTH) {
      face(top ? Face.UPPER : Face.LOWER);
    }
  }

  boolean shaping() {
    return shaping;
  }

  void shaping(boolean value) {
    shaping = value;
    changed();
  }

  int box() {
    return box;
  }

  int layer() {
    return layer;
  }

  void sheet(int newBox, int newLayer) {
    box = newBox;
    layer = newLayer;
    shape = 0;
    changed();
  }

  int shape() {
    return shape;
  }

  void shape(int value) {
    shape = value;
    changed();
  }

  int first() {
    return first;
  }

  int second() {
    return second;
  }

  /** Chooses a cell, or none. */
  void choose(int place) {
    first = place;
    second = NONE;
    changed();
  }

  /** Chooses a second cell to go with the first. */
  void chooseSecond(int place) {
    second = place == first ? NONE : place;
    changed();
  }

  int plate() {
    return plate;
  }

  void plate(int value) {
    plate = value;
    changed();
  }

  /** Frame of the temperatures that is shown. */
  int frame() {
    return temperatures().map(w -> frame < 0 ? w.map().frames().size() - 1 : frame).orElse(NONE);
  }

  void frame(int value) {
    frame = value;
    changed();
  }

  /** The group of a place, from 0; -1 for none. */
  int group(int place) {
    return place < 0
        ? NONE
        : layout().flatMap(l -> l.arrangement().attempted()).map(g -> g.at(place)).orElse(NONE);
  }

  /** Exchanges the cells of two places by hand. */
  void exchange(int a, int b) {
    moved("Exchange two cells", g -> g.exchanged(a, b));
  }

  /** Puts two groups in each other's place by hand. */
  void exchangeGroups(int g, int h) {
    moved("Exchange two groups", x -> x.exchangedGroups(g, h));
  }

  private void moved(String what, UnaryOperator<Grouping> change) {
    layout()
        .flatMap(l -> l.arrangement().attempted())
        .ifPresent(g -> edit(what, p -> p.arranged(change.apply(g))));
  }
}
