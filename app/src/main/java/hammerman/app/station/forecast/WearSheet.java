package hammerman.app.station.forecast;

import hammerman.app.picture.Crosshair;
import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.life.LifeForecast;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** Loss over the years in its two parts, and the growth of the resistance below it. */
final class WearSheet extends Picture {
  private static final double LEFT = 46;
  private static final double RIGHT = 150;
  private static final double TOP = 24;
  private static final double BOTTOM = 24;
  private static final double GAP = 30;

  private @Nullable LifeForecast life;
  private OptionalDouble fits = OptionalDouble.empty();
  private final Crosshair cross = new Crosshair(this, LEFT, RIGHT, this::end);

  WearSheet() {
    super("Loss of capacity and growth of the resistance over the years");
    setId("wear-sheet");
  }

  void show(LifeForecast value) {
    life = value;
    fits = OptionalDouble.empty();
    redraw();
  }

  /** Marks the year in which the duty stops fitting. */
  void mark(OptionalDouble year) {
    fits = year;
    redraw();
  }

  private double end() {
    LifeForecast l = life;
    return l == null ? 1 : Math.max(0.1, l.curve().getLast().years());
  }

  @Override
  public List<Series> figures() {
    LifeForecast l = life;
    return l == null
        ? List.of()
        : List.of(
            new Series("Years", l.along(LifeForecast.Point::years)),
            new Series("Lost to time, %", l.along(p -> 100 * p.calendarLoss())),
            new Series("Lost to cycling, %", l.along(p -> 100 * p.cycleLoss())),
            new Series("Resistance grown, %", l.along(p -> 100 * p.resistance())));
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    LifeForecast l = life;
    if (l == null) {
      return;
    }
    boolean told = l.resistanceGrowth().isPresent();
    double room = height - TOP - BOTTOM;
    double upper = told ? (room - GAP) * 0.62 : room;
    Scale x = new Scale(0, end(), LEFT, width - RIGHT);
    double[] years = l.along(LifeForecast.Point::years);
    double[] time = l.along(p -> 100 * p.calendarLoss());
    double[] loss = l.along(p -> 100 * p.loss());
    double[] none = new double[years.length];
    double worn = 100 * (1 - l.endOfLife());
    Scale y = new Scale(0, 1.1 * Math.max(worn, loss[loss.length - 1]), TOP + upper, TOP);
    Plot losses = new Plot(pen, x, y).vertical("Capacity lost, %");
    losses.band(Role.COOL, 0.22, years, none, time);
    losses.band(Role.HOT, 0.22, years, time, loss);
    losses.curve(Role.COOL, 1.2, years, time);
    losses.curve(Role.HOT, 2.2, years, loss);
    losses.level(Role.INK, worn, "worn out", true);
    int last = years.length - 1;
    double right = x.to() + 8;
    pen.words(Role.COOL, Pen.TEXT, right, y.at(time[last] / 2), "time alone");
    pen.words(Role.HOT, Pen.TEXT, right, y.at((time[last] + loss[last]) / 2), "cycling");
    if (told) {
      double[] grown = l.along(p -> 100 * p.resistance());
      double top = TOP + upper + GAP;
      Scale r = new Scale(0, 1.1 * Math.max(1, grown[last]), height - BOTTOM, top);
      Plot resistance = new Plot(pen, x, r).vertical("Resistance grown, %");
      resistance.curve(Role.INK, 1.8, years, grown);
      resistance.horizontal("Years");
    } else {
      losses.horizontal("Years");
      pen.words(Role.SOFT, Pen.TEXT, right, TOP + 4, "resistance: no law");
    }
    if (fits.isPresent() && fits.getAsDouble() > 0) {
      double at = x.at(Math.min(end(), fits.getAsDouble()));
      // Through the plots, not through the name between them.
      pen.dashed(Role.AMBER, 1.4, at, losses.y().to(), at, losses.y().from());
      if (told) {
        pen.dashed(Role.AMBER, 1.4, at, losses.y().from() + GAP, at, height - BOTTOM);
      }
      pen.tag(Role.AMBER, Pen.TEXT, Math.min(at + 5, x.to() - 96), TOP + 8, "duty stops fitting");
    }
    crosshair(pen, l, x, height);
  }

  private void crosshair(Pen pen, LifeForecast l, Scale x, double height) {
    if (Double.isNaN(cross.at())) {
      return;
    }
    cross.draw(pen, x, TOP, height - BOTTOM, List.of());
    LifeForecast.Point p = l.after(cross.at());
    double right = x.to() + 8;
    pen.reading(Role.INK, Pen.TEXT, right, height - 42, "year " + Figures.fixed(p.years(), 1));
    pen.reading(
        Role.INK,
        Pen.TEXT + 1,
        right,
        height - 26,
        Figures.of(1 - p.loss(), Unit.PERCENT, 1) + " left");
  }
}
