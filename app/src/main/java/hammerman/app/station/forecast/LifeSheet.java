package hammerman.app.station.forecast;

import hammerman.app.picture.Crosshair;
import hammerman.app.picture.Pen;
import hammerman.app.picture.PictureOf;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.forecast.Forecast;
import hammerman.life.LifeForecast;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/** The life sheet: capacity over the years with its band, the calendar part, and other ceilings. */
final class LifeSheet extends PictureOf<Forecast> {
  private static final double LEFT = 42;
  private static final double RIGHT = 12;

  private final Crosshair cross = new Crosshair(this, LEFT, RIGHT, this::years);

  LifeSheet() {
    super("Life sheet: capacity over the years");
    setId("life-sheet");
  }

  /** The years that are drawn. */
  private double years() {
    Forecast f = shown();
    if (f == null) {
      return 1;
    }
    double years = f.life().yearsHigh() * 1.05;
    for (Forecast.CeilingLife other : f.otherCeilings()) {
      years = Math.max(years, other.life().years() * 1.1);
    }
    return Math.min(years, LifeForecast.HORIZON);
  }

  @Override
  public List<Series> figures() {
    Forecast f = shown();
    if (f == null) {
      return List.of();
    }
    double band = LifeForecast.BAND;
    return List.of(
        new Series("Years", f.life().along(LifeForecast.Point::years)),
        new Series("Capacity, %", f.life().along(p -> shown(p.loss(), 0))),
        new Series("At least, %", f.life().along(p -> shown(p.loss() * (1 + band), 0))),
        new Series("At most, %", f.life().along(p -> shown(p.loss() * (1 - band), 0))),
        new Series("Time alone, %", f.life().along(p -> shown(p.calendarLoss(), 0))));
  }

  /** What the curves say where the crosshair is. */
  private List<String> words(LifeForecast life) {
    if (Double.isNaN(cross.at())) {
      return List.of();
    }
    LifeForecast.Point p = life.after(cross.at());
    return List.of(
        "year " + Figures.fixed(p.years(), 1),
        Figures.of(1 - p.loss(), Unit.PERCENT, 1) + " left",
        "%s to %s"
            .formatted(
                Figures.of(Math.max(0, 1 - p.loss() * (1 + LifeForecast.BAND)), Unit.PERCENT, 0),
                Figures.of(1 - p.loss() * (1 - LifeForecast.BAND), Unit.PERCENT, 0)),
        "time alone " + Figures.of(1 - p.calendarLoss(), Unit.PERCENT, 1));
  }

  @Override
  protected void paint(Pen pen, double width, double height, Forecast f) {
    LifeForecast life = f.life();
    double floor = Math.max(0, life.endOfLife() - 0.08);
    Scale x = new Scale(0, years(), LEFT, width - RIGHT);
    Scale y = new Scale(floor * 100, 102, height - 26, 26);
    Plot plot = new Plot(pen, x, y).vertical("Capacity of a new pack, %").horizontal("Years");
    List<LifeForecast.Point> points =
        life.curve().stream().filter(p -> p.years() <= x.high()).toList();
    int n = points.size();
    double[] xs = new double[n];
    double[] mean = new double[n];
    double[] low = new double[n];
    double[] high = new double[n];
    double[] calendar = new double[n];
    for (int k = 0; k < n; k++) {
      LifeForecast.Point p = points.get(k);
      xs[k] = p.years();
      mean[k] = shown(p.loss(), floor);
      low[k] = shown(p.loss() * (1 + LifeForecast.BAND), floor);
      high[k] = shown(p.loss() * (1 - LifeForecast.BAND), floor);
      calendar[k] = shown(p.calendarLoss(), floor);
    }
    plot.band(Role.HOT, 0.16, xs, low, high);
    plot.clearCurve(Role.SOFT, 1, xs, calendar);
    int inside = (int) points.stream().filter(p -> 1 - p.loss() >= floor).count();
    plot.clearCurve(Role.HOT, 2.5, Arrays.copyOf(xs, inside), Arrays.copyOf(mean, inside));
    int at = Math.max(0, (int) (n * 0.62) - 1);
    pen.words(Role.SOFT, Pen.TEXT, x.at(xs[at]), y.at(calendar[at]) - 9, "time alone");
    others(pen, plot, f, x, y, floor);
    plot.level(
        Role.INK,
        life.endOfLife() * 100,
        "worn out at " + Figures.of(life.endOfLife(), Unit.PERCENT, 0),
        false);
    if (life.indicative()) {
      pen.wordsBefore(Role.AMBER, Pen.TEXT, x.to(), y.to() - 11, "indicative only");
    }
    cross.draw(pen, x, y.to(), y.from(), words(life));
  }

  /**
   * The same pack charged to less. The one that wears out first has its words highest, so that no
   * line to the words of one crosses those of another.
   */
  private static void others(Pen pen, Plot plot, Forecast f, Scale x, Scale y, double floor) {
    int row = 0;
    double before = x.from();
    List<Forecast.CeilingLife> inOrder =
        f.otherCeilings().stream()
            .sorted(Comparator.comparingDouble(other -> other.life().years()))
            .toList();
    for (Forecast.CeilingLife other : inOrder) {
      List<LifeForecast.Point> points =
          other.life().curve().stream()
              .filter(p -> p.years() <= x.high() && 1 - p.loss() >= other.life().endOfLife())
              .toList();
      double[] xs = points.stream().mapToDouble(LifeForecast.Point::years).toArray();
      double[] ys = points.stream().mapToDouble(p -> shown(p.loss(), floor)).toArray();
      plot.clearCurve(Role.COOL, 1.5, xs, ys);
      int last = xs.length - 1;
      String words =
          "ceiling "
              + Figures.of(other.ceiling(), Unit.PERCENT, 0)
              + (other.serves() ? "" : ", too short for the duty");
      double end = x.at(xs[last]);
      double wide = pen.width(Pen.TEXT, words);
      double at = Math.max(before + 8, Math.min(end + 8, x.to() - wide));
      double level = y.at(ys[last]) - 34 + 14 * row++;
      pen.line(Role.COOL, 1, end, y.at(ys[last]), Math.clamp(end, at - 4, at + wide), level + 7);
      pen.words(Role.COOL, Pen.TEXT, at, level, words);
      before = end;
    }
  }

  /** Capacity in % that is left after a loss, not below the sheet. */
  private static double shown(double loss, double floor) {
    return Math.max(floor, 1 - loss) * 100;
  }
}
