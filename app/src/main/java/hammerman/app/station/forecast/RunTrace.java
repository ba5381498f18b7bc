package hammerman.app.station.forecast;

import hammerman.app.picture.Crosshair;
import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.forecast.Forecast;
import hammerman.simulation.CellTrace;
import hammerman.simulation.Day;
import hammerman.simulation.Outcome;
import hammerman.simulation.Run;
import hammerman.simulation.Trace;
import hammerman.simulation.Trace.Channel;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.Arrays;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * The run trace: voltage, current, temperature and charge over time, one above the other, with one
 * crosshair through all of them. Left and Right move it.
 */
final class RunTrace extends Picture {
  private static final double LEFT = 46;
  private static final double RIGHT = 104;
  private static final double TOP = 20;

  /** A temperature that hardly moves is to look like one, K. */
  private static final double LEAST_KELVIN = 4;

  private static final String VOLTAGE = "Voltage at the machine, V";
  private static final String TEMPERATURE = "Mean cell temperature, °C";
  private static final String WARMER = "Mean cell temperature of the warmer pack, °C";
  private static final String SERVED = "duty served";
  private static final double BOTTOM = 20;
  private static final double GAP = 18;

  private @Nullable Forecast forecast;
  private @Nullable CellTrace cells;
  private final Crosshair cross = new Crosshair(this, LEFT, RIGHT, this::end);

  RunTrace() {
    super("Run trace: voltage, current, temperature and charge over time");
    setId("run-trace");
  }

  void show(Forecast value) {
    forecast = value;
    redraw();
  }

  /** Shows how far groups and cells lie apart, where each was run in its place on that day. */
  void show(Day hottest) {
    cells = hottest.run().cells().orElse(null);
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
    if (run.endTime() <= 0) {
      String ends = "There is no run to draw: at its start " + Day.ending(run.outcome()) + ".";
      pen.centred(Role.SOFT, Pen.TEXT, width / 2, height / 2, ends);
      return;
    }
    boolean hours = end() > 5400;
    double unit = hours ? 3600 : 60;
    Scale x = new Scale(0, end() / unit, LEFT, width - RIGHT);
    double strip = (height - TOP - BOTTOM - 3 * GAP) / 4;
    double[][] values = Columns.of(trace, (int) Math.max(2, x.to() - x.from()));
    double cutOut = f.design().duty().machine().cutOutVoltage();
    CellTrace c = cells;
    boolean two = f.pair().isPresent();
    String of = two ? " of the first pack" : "";
    Optional<Spread> groups = c == null ? Optional.empty() : Optional.of(groups(c, trace, of));
    Optional<Spread> spread = c == null ? Optional.empty() : Optional.of(temperatures(c, of));
    Optional<Spread> none = Optional.empty();
    List<Strip> strips =
        List.of(
            new Strip(Channel.VOLTAGE, Role.INK, VOLTAGE, cutOut, groups),
            new Strip(Channel.CURRENT, Role.HOT, "Current, A", 0, none),
            new Strip(
                Channel.TEMPERATURE, Role.HOT, two ? WARMER : TEMPERATURE, Double.NaN, spread),
            new Strip(Channel.SOC, Role.COOL, "Charge, %", 0, none));
    for (int row = 0; row < strips.size(); row++) {
      double top = TOP + row * (strip + GAP);
      Plot plot = strip(pen, x, values, strips.get(row), top, top + strip);
      if (row == strips.size() - 1) {
        plot.horizontal(hours ? "Time, h" : "Time, min");
      }
    }
    events(pen, f, x, unit, strip, strips.getFirst().title());
    crosshair(pen, trace, x, unit, strip, height);
  }

  /**
   * One strip of the trace.
   *
   * @param include a value that its axis reaches; none if not a number
   * @param spread of the groups or cells about it, where they are known
   */
  private record Strip(
      Channel channel, Role role, String name, double include, Optional<Spread> spread) {
    String title() {
      return name + spread.map(s -> "; " + s.words()).orElse("");
    }
  }

  /**
   * How far groups or cells lie apart while the duty lasts.
   *
   * @param time of each moment, s
   * @param low least of them then, as the strip shows it
   * @param high greatest of them
   * @param words which is the weakest
   */
  @SuppressWarnings("ArrayRecordComponent")
  private record Spread(double[] time, double[] low, double[] high, String words) {}

  /** The voltage that the machine would have if all groups were as the lowest or the highest. */
  private static Spread groups(CellTrace c, Trace trace, String of) {
    int n = c.time().length;
    double[] low = new double[n];
    double[] high = new double[n];
    for (int k = 0; k < n; k++) {
      DoubleSummaryStatistics all = Arrays.stream(c.voltage().get(k)).summaryStatistics();
      double machine = trace.at(Channel.VOLTAGE, trace.indexAt(c.time()[k]));
      low[k] = machine - all.getCount() * (all.getAverage() - all.getMin());
      high[k] = machine + all.getCount() * (all.getMax() - all.getAverage());
    }
    String words = "group %d%s lowest".formatted(c.lowest().place().group() + 1, of);
    return new Spread(c.time(), low, high, words);
  }

  private static Spread temperatures(CellTrace c, String of) {
    int n = c.time().length;
    double[] low = new double[n];
    double[] high = new double[n];
    for (int k = 0; k < n; k++) {
      DoubleSummaryStatistics all = Arrays.stream(c.kelvin().get(k)).summaryStatistics();
      low[k] = Unit.CELSIUS.fromCore(all.getMin());
      high[k] = Unit.CELSIUS.fromCore(all.getMax());
    }
    return new Spread(c.time(), low, high, c.hottest().place().words() + of + " hottest");
  }

  private Plot strip(Pen pen, Scale x, double[][] columns, Strip strip, double top, double bottom) {
    Channel channel = strip.channel();
    int n = columns[0].length;
    double[] low = new double[n];
    double[] high = new double[n];
    DoubleSummaryStatistics reach = new DoubleSummaryStatistics();
    for (int k = 0; k < n; k++) {
      low[k] = shown(channel, columns[1 + 2 * channel.ordinal()][k]);
      high[k] = shown(channel, columns[2 + 2 * channel.ordinal()][k]);
    }
    DoubleStream.of(low).forEach(reach);
    DoubleStream.of(high).forEach(reach);
    strip.spread().ifPresent(s -> DoubleStream.of(s.low()).forEach(reach));
    strip.spread().ifPresent(s -> DoubleStream.of(s.high()).forEach(reach));
    if (!Double.isNaN(strip.include())) {
      reach.accept(strip.include());
    }
    double span = channel == Channel.TEMPERATURE ? LEAST_KELVIN : 1e-3;
    Scale y = Scale.around(reach.getMin(), reach.getMax(), span, bottom, top);
    Plot plot = new Plot(pen, x, y).strip(strip.title());
    pen.line(Role.RULE, 1, x.from(), y.from(), x.to(), y.from());
    strip
        .spread()
        .ifPresent(s -> plot.band(Role.HOT, 0.25, inUnit(s.time(), x), s.low(), s.high()));
    double[] xs = inUnit(columns[0], x);
    plot.band(strip.role(), 0.35, xs, low, high);
    plot.curve(strip.role(), 1.2, xs, high);
    if (channel == Channel.VOLTAGE) {
      plot.level(Role.HOT, strip.include(), "machine cuts out", false);
    }
    return plot;
  }

  /** Times (s) in the unit that the axis is in. */
  private double[] inUnit(double[] seconds, Scale x) {
    double unit = end() / x.high();
    return Arrays.stream(seconds).map(t -> t / unit).toArray();
  }

  private static double shown(Channel channel, double core) {
    return switch (channel) {
      case TEMPERATURE -> Unit.CELSIUS.fromCore(core);
      case SOC -> core * 100;
      case TIME, VOLTAGE, CURRENT, POWER, DISTANCE -> core;
    };
  }

  /** Uprights through the strips, but not through the names above them. */
  private static void upright(Pen pen, Role role, double at, double strip) {
    for (int row = 0; row < 4; row++) {
      double top = TOP + row * (strip + GAP);
      pen.line(role, 1.5, at, top, at, top + strip);
    }
  }

  private static void events(
      Pen pen, Forecast f, Scale x, double unit, double strip, String first) {
    if (f.duty().outcome().complete() && f.onward().endTime() > f.duty().endTime()) {
      double at = x.at(f.duty().endTime() / unit);
      upright(pen, Role.COOL, at, strip);
      // Early in the run the name of the strip stands before it.
      boolean early = at - pen.width(Pen.TEXT, SERVED) < x.from() + pen.width(Pen.TEXT, first) + 12;
      if (early) {
        pen.words(Role.COOL, Pen.TEXT, at + 5, TOP - 9, SERVED);
      } else {
        pen.wordsBefore(Role.COOL, Pen.TEXT, at - 5, TOP - 9, SERVED);
      }
    }
    double end = x.at(f.onward().endTime() / unit);
    upright(pen, Role.HOT, end, strip);
    pen.words(Role.HOT, Pen.TEXT, end + 5, TOP - 9, ending(f.onward().outcome()));
  }

  /** Returns the end of a run in a word or two. */
  static String ending(Outcome outcome) {
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
    double right = x.to() + 8;
    Channel[] rows = {Channel.VOLTAGE, Channel.CURRENT, Channel.TEMPERATURE, Channel.SOC};
    Unit[] units = {Unit.VOLT, Unit.AMPERE, Unit.CELSIUS, Unit.PERCENT};
    for (int r = 0; r < rows.length; r++) {
      double middle = TOP + r * (strip + GAP) + strip / 2;
      String text = Figures.of(trace.at(rows[r], k), units[r], 1);
      String weakest = weakest(rows[r]);
      pen.reading(Role.INK, Pen.TEXT + 1, right, middle - (weakest.isEmpty() ? 0 : 8), text);
      pen.reading(Role.SOFT, Pen.TEXT, right, middle + 8, weakest);
    }
    pen.reading(Role.INK, Pen.TEXT, right, height - 12, Figures.duration(cross.at()));
  }

  /** The lowest group or the hottest cell at the crosshair; empty in a strip without them. */
  private String weakest(Channel channel) {
    CellTrace c = cells;
    if (c == null || cross.at() > c.time()[c.time().length - 1]) {
      return "";
    }
    int k = c.at(cross.at());
    return switch (channel) {
      case VOLTAGE ->
          "lowest " + Figures.of(DoubleStream.of(c.voltage().get(k)).min().orElse(0), Unit.VOLT, 2);
      case TEMPERATURE ->
          "hottest "
              + Figures.of(DoubleStream.of(c.kelvin().get(k)).max().orElse(0), Unit.CELSIUS, 1);
      case TIME, CURRENT, POWER, SOC, DISTANCE -> "";
    };
  }
}
