package hammerman.app.station.forecast;

import hammerman.app.picture.Crosshair;
import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.simulation.CellTrace;
import hammerman.simulation.Day;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * What each group and cell goes through on a day: voltage of the groups, how far each is from their
 * mean, and the temperature of the cells, over one time.
 */
final class CellsSheet extends Picture {
  private static final double LEFT = 46;
  private static final double RIGHT = 104;
  private static final double TOP = 20;

  /** A temperature that hardly moves is to look like one, K. */
  private static final double LEAST_KELVIN = 4;

  private static final double BOTTOM = 22;
  private static final double GAP = 26;

  /** Half the way between two readings, px. */
  private static final double LINE = 8;

  private @Nullable Day day;
  private final Crosshair cross = new Crosshair(this, LEFT, RIGHT, this::end);

  CellsSheet() {
    super("Voltage of each group and temperature of the cells over time");
    setId("cells-sheet");
  }

  void show(@Nullable Day value) {
    day = value;
    redraw();
  }

  /** Where the time ends, in the unit that the axis is in. */
  private double end() {
    return (day == null ? 1 : Math.max(1, day.run().endTime())) / unit();
  }

  private double unit() {
    return day != null && day.run().endTime() > 5400 ? 3600 : 60;
  }

  private static double[] at(CellTrace c, List<double[]> values, Reduce reduce) {
    return IntStream.range(0, c.time().length)
        .mapToDouble(k -> reduce.of(Arrays.stream(values.get(k)).toArray()))
        .toArray();
  }

  /** One figure of many. */
  private interface Reduce {
    double of(double[] values);
  }

  private static double least(double[] values) {
    return Arrays.stream(values).min().orElse(Double.NaN);
  }

  private static double most(double[] values) {
    return Arrays.stream(values).max().orElse(Double.NaN);
  }

  private static double mean(double[] values) {
    return Arrays.stream(values).average().orElse(Double.NaN);
  }

  private static double[] celsius(double[] kelvin) {
    return Arrays.stream(kelvin).map(Unit.CELSIUS::fromCore).toArray();
  }

  @Override
  public List<Series> figures() {
    Day d = day;
    if (d == null || d.run().cells().isEmpty()) {
      return List.of();
    }
    CellTrace c = d.run().cells().get();
    List<Series> all = new ArrayList<>();
    all.add(new Series("Time, s", c.time()));
    for (int g = 0; g < c.voltage().getFirst().length; g++) {
      int group = g;
      all.add(
          new Series(
              "Group " + (g + 1) + ", V",
              c.voltage().stream().mapToDouble(v -> v[group]).toArray()));
    }
    all.add(new Series("Hottest cell, °C", celsius(at(c, c.kelvin(), CellsSheet::most))));
    all.add(new Series("Coolest cell, °C", celsius(at(c, c.kelvin(), CellsSheet::least))));
    return all;
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    Day d = day;
    if (d == null || d.run().cells().isEmpty()) {
      return;
    }
    CellTrace c = d.run().cells().get();
    double unit = unit();
    double[] time = Arrays.stream(c.time()).map(t -> t / unit).toArray();
    Scale x = new Scale(0, end(), LEFT, width - RIGHT);
    double strip = (height - TOP - BOTTOM - 2 * GAP) / 3;

    double[] low = at(c, c.voltage(), CellsSheet::least);
    double[] high = at(c, c.voltage(), CellsSheet::most);
    Plot volts = strip(pen, x, 0, strip, "Voltage of the groups, V", low, high);
    volts.band(Role.INK, 0.35, time, low, high);
    volts.curve(Role.INK, 1.2, time, low);

    double[] mean = at(c, c.voltage(), CellsSheet::mean);
    int groups = c.voltage().getFirst().length;
    double[][] off = new double[groups][time.length];
    double[] below = new double[time.length];
    double[] above = new double[time.length];
    for (int k = 0; k < time.length; k++) {
      for (int g = 0; g < groups; g++) {
        off[g][k] = Unit.MILLIVOLT.fromCore(c.voltage().get(k)[g] - mean[k]);
        below[k] = Math.min(below[k], off[g][k]);
        above[k] = Math.max(above[k], off[g][k]);
      }
    }
    Plot apart = strip(pen, x, 1, strip, "Each group from their mean, mV", below, above);
    for (int g = 0; g < groups; g++) {
      apart.curve(Role.SOFT, 0.8, time, off[g]);
    }
    int lowest = Math.max(0, c.lowest().place().group());
    apart.curve(Role.HOT, 1.8, time, off[Math.min(lowest, groups - 1)]);
    double last = apart.y().at(off[Math.min(lowest, groups - 1)][time.length - 1]);
    pen.words(Role.HOT, Pen.TEXT, x.to() + 8, last, "group " + (lowest + 1) + " lowest");

    double[] cool = celsius(at(c, c.kelvin(), CellsSheet::least));
    double[] hot = celsius(at(c, c.kelvin(), CellsSheet::most));
    Plot warm = strip(pen, x, 2, strip, "Temperature of the cells, °C", cool, hot);
    warm.band(Role.HOT, 0.25, time, cool, hot);
    warm.curve(Role.HOT, 1.8, time, hot);
    warm.curve(Role.COOL, 1.2, time, cool);
    warm.horizontal(unit > 60 ? "Time, h" : "Time, min");
    crosshair(pen, c, volts, warm, height);
  }

  private Plot strip(
      Pen pen, Scale x, int row, double strip, String name, double[] low, double[] high) {
    double least = least(low);
    double most = most(high);
    double top = TOP + row * (strip + GAP);
    Scale y = Scale.around(least, most, row == 2 ? LEAST_KELVIN : 1e-3, top + strip, top);
    pen.line(Role.RULE, 1, x.from(), y.from(), x.to(), y.from());
    return new Plot(pen, x, y).vertical(name);
  }

  private void crosshair(Pen pen, CellTrace c, Plot volts, Plot warm, double height) {
    boolean nowhere = Double.isNaN(cross.at());
    int k = nowhere ? c.time().length - 1 : c.at(cross.at() * unit());
    Scale x = volts.x();
    cross.draw(pen, x, TOP, height - BOTTOM, List.of());
    pair(pen, volts, c.voltage().get(k), Unit.VOLT, 3);
    pair(pen, warm, c.kelvin().get(k), Unit.CELSIUS, 1);
    pen.reading(
        Role.SOFT,
        Pen.TEXT,
        x.to() + 8,
        height - 14,
        nowhere ? "at the end" : "after " + Figures.duration(c.time()[k]));
  }

  /** The highest and the lowest of something, one above the other, beside where they are. */
  private static void pair(Pen pen, Plot plot, double[] values, Unit unit, int decimals) {
    String high = Figures.of(most(values), unit, decimals);
    String low = Figures.of(least(values), unit, decimals);
    double right = plot.x().to() + 8;
    double at = plot.y().at((unit.fromCore(most(values)) + unit.fromCore(least(values))) / 2);
    if (high.equals(low)) {
      pen.reading(Role.INK, Pen.TEXT + 1, right, within(plot, at, 0), high);
    } else {
      double middle = within(plot, at, LINE);
      pen.reading(Role.INK, Pen.TEXT + 1, right, middle - LINE, high);
      pen.reading(Role.INK, Pen.TEXT + 1, right, middle + LINE, low);
    }
  }

  private static double within(Plot plot, double at, double rim) {
    return Math.clamp(at, plot.y().to() + rim, plot.y().from() - rim);
  }
}
