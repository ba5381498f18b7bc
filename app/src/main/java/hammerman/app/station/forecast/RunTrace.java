package hammerman.app.station.forecast;

import hammerman.app.picture.Crosshair;
import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.forecast.Forecast;
import hammerman.simulation.Outcome;
import hammerman.simulation.Run;
import hammerman.simulation.Trace;
import hammerman.simulation.Trace.Channel;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * The run trace: voltage, current, temperature and charge over time, one above the other, with one
 * crosshair through all of them. Left and Right move it.
 */
final class RunTrace extends Picture {
  private static final double LEFT = 46;
  private static final double RIGHT = 88;
  private static final double TOP = 20;

  /** A temperature that hardly moves is to look like one, K. */
  private static final double LEAST_KELVIN = 4;

  private static final String VOLTAGE = "Voltage at the machine, V";
  private static final String SERVED = "duty served";
  private static final double BOTTOM = 20;
  private static final double GAP = 20;

  private @Nullable Forecast forecast;
  private final Crosshair cross = new Crosshair(this, LEFT, RIGHT, this::end);

  RunTrace() {
    super("Run trace: voltage, current, temperature and charge over time");
    setId("run-trace");
  }

  void show(Forecast value) {
    forecast = value;
    redraw();
  }

  private double end() {
    return forecast == null ? 1 : Math.max(1, forecast.onward().endTime());
  }

  @Override
  public List<Series> figures() {
    Forecast f = forecast;
    if (f == null) {
      return List.of();
    }
    Trace trace = f.onward().trace();
    return List.of(
        series("Time, s", trace, Channel.TIME),
        series("Voltage, V", trace, Channel.VOLTAGE),
        series("Current, A", trace, Channel.CURRENT),
        series("Temperature, °C", trace, Channel.TEMPERATURE),
        series("Charge, %", trace, Channel.SOC));
  }

  private static Series series(String name, Trace trace, Channel channel) {
    return new Series(
        name,
        IntStream.range(0, trace.size())
            .mapToDouble(k -> shown(channel, trace.at(channel, k)))
            .toArray());
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    Forecast f = forecast;
    if (f == null) {
      return;
    }
    Run run = f.onward();
    Trace trace = run.trace();
    boolean hours = end() > 5400;
    double unit = hours ? 3600 : 60;
    Scale x = new Scale(0, end() / unit, LEFT, width - RIGHT);
    double strip = (height - TOP - BOTTOM - 3 * GAP) / 4;
    double[][] values = columns(trace, (int) Math.max(2, x.to() - x.from()));
    double cutOut = f.design().duty().machine().cutOutVoltage();
    strip(pen, x, values, Channel.VOLTAGE, VOLTAGE, Role.INK, 0, strip, cutOut);
    strip(pen, x, values, Channel.CURRENT, "Current, A", Role.HOT, 1, strip, 0);
    strip(
        pen,
        x,
        values,
        Channel.TEMPERATURE,
        "Mean cell temperature, °C",
        Role.HOT,
        2,
        strip,
        Double.NaN);
    Plot last = strip(pen, x, values, Channel.SOC, "Charge, %", Role.COOL, 3, strip, 0);
    last.horizontal(hours ? "Time, h" : "Time, min");
    events(pen, f, x, unit, strip);
    crosshair(pen, trace, x, unit, strip, height);
  }

  private Plot strip(
      Pen pen,
      Scale x,
      double[][] columns,
      Channel channel,
      String name,
      Role role,
      int row,
      double strip,
      double include) {
    int n = columns[0].length;
    double[] low = new double[n];
    double[] high = new double[n];
    double least = Double.isNaN(include) ? Double.POSITIVE_INFINITY : include;
    double most = Double.isNaN(include) ? Double.NEGATIVE_INFINITY : include;
    for (int k = 0; k < n; k++) {
      low[k] = shown(channel, columns[1 + 2 * channel.ordinal()][k]);
      high[k] = shown(channel, columns[2 + 2 * channel.ordinal()][k]);
      least = Math.min(least, low[k]);
      most = Math.max(most, high[k]);
    }
    double top = TOP + row * (strip + GAP);
    double span = channel == Channel.TEMPERATURE ? LEAST_KELVIN : 1e-3;
    Scale y = Scale.around(least, most, span, top + strip, top);
    Plot plot = new Plot(pen, x, y).vertical(name);
    pen.line(Role.RULE, 1, x.from(), y.from(), x.to(), y.from());
    double unit = end() / x.high();
    double[] xs = new double[n];
    for (int k = 0; k < n; k++) {
      xs[k] = columns[0][k] / unit;
    }
    plot.band(role, 0.35, xs, low, high);
    plot.curve(role, 1.2, xs, high);
    if (channel == Channel.VOLTAGE) {
      plot.level(Role.HOT, include, "machine cuts out", false);
    }
    return plot;
  }

  private static double shown(Channel channel, double core) {
    return switch (channel) {
      case TEMPERATURE -> Unit.CELSIUS.fromCore(core);
      case SOC -> core * 100;
      case TIME, VOLTAGE, CURRENT, POWER, DISTANCE -> core;
    };
  }

  /**
   * Least and most of every channel within each pixel column: time, then a pair for each channel.
   */
  private static double[][] columns(Trace trace, int pixels) {
    int channels = Channel.values().length;
    int n = Math.min(pixels, trace.size());
    double[][] out = new double[1 + 2 * channels][n];
    for (int k = 0; k < n; k++) {
      int from = (int) ((long) k * trace.size() / n);
      int to = Math.max(from + 1, (int) ((long) (k + 1) * trace.size() / n));
      out[0][k] = trace.at(Channel.TIME, from);
      for (Channel c : Channel.values()) {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (int j = from; j < to; j++) {
          least = Math.min(least, trace.at(c, j));
          most = Math.max(most, trace.at(c, j));
        }
        out[1 + 2 * c.ordinal()][k] = least;
        out[2 + 2 * c.ordinal()][k] = most;
      }
    }
    return out;
  }

  /** Uprights through the strips, but not through the names above them. */
  private static void upright(Pen pen, Role role, double at, double strip) {
    for (int row = 0; row < 4; row++) {
      double top = TOP + row * (strip + GAP);
      pen.line(role, 1.5, at, top, at, top + strip);
    }
  }

  private static void events(Pen pen, Forecast f, Scale x, double unit, double strip) {
    if (f.duty().outcome().complete() && f.onward().endTime() > f.duty().endTime()) {
      double at = x.at(f.duty().endTime() / unit);
      upright(pen, Role.COOL, at, strip);
      // Early in the run the name of the strip stands before it.
      boolean early = at - pen.width(Pen.TEXT, SERVED) < pen.width(Pen.TEXT, VOLTAGE) + 12;
      if (early) {
        pen.words(Role.COOL, Pen.TEXT, at + 5, TOP - 9, SERVED);
      } else {
        pen.wordsBefore(Role.COOL, Pen.TEXT, at - 5, TOP - 9, SERVED);
      }
    }
    double end = x.at(f.onward().endTime() / unit);
    upright(pen, Role.HOT, end, strip);
    pen.words(Role.HOT, Pen.TEXT, end + 5, TOP - 4, ending(f.onward().outcome()));
  }

  /** The end of a run in a word or two. */
  private static String ending(Outcome outcome) {
    return switch (outcome) {
      case Outcome.Complete o -> "goes on";
      case Outcome.BmsCutOff o -> "BMS cuts off";
      case Outcome.MachineCutOut o -> "cuts out";
      case Outcome.Empty o -> "empty";
      case Outcome.TooHot o -> "too hot";
      case Outcome.OverCurrent o -> "BMS trips";
      case Outcome.FuseOpens o -> "fuse opens";
      case Outcome.CannotDeliver o -> "no power";
    };
  }

  private void crosshair(Pen pen, Trace trace, Scale x, double unit, double strip, double height) {
    if (Double.isNaN(cross.at()) || trace.size() == 0) {
      return;
    }
    int k = trace.indexAt(cross.at());
    double at = x.at(cross.at() / unit);
    pen.line(Role.INK, 1, at, TOP, at, height - BOTTOM);
    Channel[] rows = {Channel.VOLTAGE, Channel.CURRENT, Channel.TEMPERATURE, Channel.SOC};
    Unit[] units = {Unit.VOLT, Unit.AMPERE, Unit.CELSIUS, Unit.PERCENT};
    for (int r = 0; r < rows.length; r++) {
      String text = Figures.of(trace.at(rows[r], k), units[r], 1);
      pen.reading(Role.INK, Pen.TEXT + 1, x.to() + 8, TOP + r * (strip + GAP) + strip / 2, text);
    }
    pen.reading(Role.INK, Pen.TEXT, x.to() + 8, height - 12, Figures.duration(cross.at()));
  }
}
