package hammerman.app.station.build;

import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Role;
import hammerman.build.Place;
import hammerman.build.Step;
import hammerman.chain.LaidOut;
import hammerman.chain.Layout;
import hammerman.fit.Placing;
import hammerman.fit.Point;
import hammerman.forecast.Forecast;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Where a step is done: on the layout from its upper face, or on the string if there is none. */
final class PlacePicture extends Picture {
  private static final double EDGE = 14;
  private static final double FOOT = 20;

  /** Least and most width of a group of the string, px. */
  private static final double LEAST = 34;

  private static final double MOST = 76;

  private @Nullable Forecast forecast;
  private Place place = new Place.Whole();
  private boolean second;

  PlacePicture() {
    super("Where the step is done");
    setId("step-place");
  }

  void show(Forecast of, Step step) {
    forecast = of;
    place = step.place();
    second = step.ofSecond();
    boolean seen = !(place instanceof Place.Whole);
    setVisible(seen);
    setManaged(seen);
    redraw();
  }

  /** Whether a group is meant. */
  private boolean hot(int group, int series) {
    return switch (place) {
      case Place.Whole w -> false;
      case Place.Group g -> g.group() == group;
      case Place.Link l -> l.below() == group || l.below() + 1 == group;
      case Place.Lead l -> Math.max(0, l.lead() - 1) == group;
      case Place.End e -> group == (e.positive() ? series - 1 : 0);
    };
  }

  private String words() {
    return switch (place) {
      case Place.Whole w -> "";
      case Place.Group g -> "Group " + (g.group() + 1);
      case Place.Link l -> "Between groups %d and %d".formatted(l.below() + 1, l.below() + 2);
      case Place.Lead l ->
          l.lead() == 0
              ? "Lead 0: battery minus"
              : "Lead %d: positive end of group %d".formatted(l.lead(), l.lead());
      case Place.End e -> e.positive() ? "The pack's positive end" : "The pack's negative end";
    };
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    Forecast f = forecast;
    if (f == null || place instanceof Place.Whole) {
      return;
    }
    pen.strong(Role.HOT, Pen.TEXT + 1, EDGE, height - FOOT / 2, words());
    Optional<Layout.Solved> solved =
        second ? Optional.empty() : new LaidOut(f.chain(), f.layout()).solved();
    if (solved.isPresent()) {
      layout(pen, width, height - FOOT, solved.get(), f.design().pack().series());
    } else {
      var other = f.design().second();
      string(
          pen,
          width,
          height - FOOT,
          second && other != null ? other.pack().series() : f.design().pack().series());
    }
  }

  private void layout(Pen pen, double width, double height, Layout.Solved s, int series) {
    Placing placing = s.layout().arrangement().placing();
    double[] b = {1e9, 1e9, -1e9, -1e9};
    for (Point p : placing.places()) {
      b[0] = Math.min(b[0], p.x());
      b[1] = Math.min(b[1], p.y());
      b[2] = Math.max(b[2], p.x());
      b[3] = Math.max(b[3], p.y());
    }
    double cell = placing.footprint().radius();
    double scale =
        Math.min(
            (width - 2 * EDGE) / (b[2] - b[0] + 2 * cell),
            (height - EDGE) / (b[3] - b[1] + 2 * cell));
    double left = (width - scale * (b[2] - b[0])) / 2;
    double top = (height - scale * (b[3] - b[1])) / 2;
    double r = Math.max(2, cell * scale);
    boolean small = r < 8;
    for (int k = 0; k < placing.places().size(); k++) {
      int g = s.grouping().at(k);
      if (g < 0) {
        continue;
      }
      Point p = placing.places().get(k);
      double x = left + scale * (p.x() - b[0]);
      double y = top + scale * (p.y() - b[1]);
      boolean on = hot(g, series);
      pen.dot(on ? Role.HOT_WASH : g % 2 == 0 ? Role.COOL_WASH : Role.FAINT, x, y, r);
      pen.ring(on ? Role.HOT : Role.RULE, on ? 2 : 1, x, y, r);
      if (!small) {
        pen.figureCentred(
            on ? Role.HOT : Role.SOFT, Math.min(Pen.TEXT, r), x, y, (g % 2 == 0 ? "+" : "−"));
      }
    }
  }

  /** The string as a row of groups, in rows where there are many. */
  private void string(Pen pen, double width, double height, int series) {
    int across = Math.max(1, Math.min(series, (int) ((width - 4 * EDGE) / LEAST)));
    int rows = (series + across - 1) / across;
    double wide = Math.min(MOST, (width - 4 * EDGE) / across);
    double tall = Math.min(MOST, (height - EDGE) / rows);
    double left = (width - wide * across) / 2;
    double top = (height - tall * rows) / 2;
    for (int g = 0; g < series; g++) {
      int row = g / across;
      double x = left + wide * (g % across);
      double y = top + tall * row;
      boolean on = hot(g, series);
      pen.fill(on ? Role.HOT_WASH : Role.COOL_WASH, x + 2, y + 2, wide - 4, tall - 4);
      pen.frame(on ? Role.HOT : Role.RULE, on ? 2 : 1, x + 2, y + 2, wide - 4, tall - 4);
      pen.figureCentred(
          on ? Role.HOT : Role.SOFT, Pen.TEXT, x + wide / 2, y + tall / 2, String.valueOf(g + 1));
      if (place instanceof Place.Lead l && Math.max(0, l.lead() - 1) == g) {
        pen.dot(Role.HOT, l.lead() == 0 ? x + 2 : x + wide - 2, y + tall / 2, 5);
      }
    }
    pen.figureCentred(Role.INK, Pen.TEXT + 4, left - EDGE, top + tall / 2, "−");
    double end = left + wide * ((series - 1) % across + 1);
    pen.figureCentred(Role.INK, Pen.TEXT + 4, end + EDGE, top + tall * (rows - 0.5), "+");
  }
}
