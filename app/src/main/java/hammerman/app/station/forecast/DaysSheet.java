package hammerman.app.station.forecast;

import hammerman.app.picture.Crosshair;
import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.duty.Duty;
import hammerman.simulation.Day;
import hammerman.simulation.Trace;
import hammerman.simulation.Trace.Channel;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** The duty on each of the four days, below each other over one time and one voltage. */
final class DaysSheet extends Picture {
  private static final double LEFT = 46;
  private static final double RIGHT = 112;
  private static final double TOP = 22;
  private static final double BOTTOM = 22;
  private static final double GAP = 22;

  /** A voltage that hardly moves is to look like one, V. */
  private static final double LEAST_VOLTS = 0.5;

  /** Half the way between two readings, px. */
  private static final double LINE = 8;

  private record Shown(Duty duty, List<Day> days) {}

  private @Nullable Shown shown;
  private final Crosshair cross = new Crosshair(this, LEFT, RIGHT, this::end);

  DaysSheet() {
    super("Voltage at the machine over time on the four days");
    setId("days-sheet");
  }

  void show(Duty duty, List<Day> days) {
    shown = new Shown(duty, days);
    redraw();
  }

  /** Where the time ends, in the unit that the axis is in. */
  private double end() {
    return shown == null ? 1 : Math.max(1, asked(shown)) / unit();
  }

  private double unit() {
    return shown != null && asked(shown) > 5400 ? 3600 : 60;
  }

  private static double asked(Shown s) {
    return s.duty().task().load().duration();
  }

  @Override
  public List<Series> figures() {
    List<Series> all = new ArrayList<>();
    for (Day day : shown == null ? List.<Day>of() : shown.days()) {
      String name = day.kind().label() + ": ";
      all.add(series(name + "time, s", day, Channel.TIME));
      all.add(series(name + "voltage, V", day, Channel.VOLTAGE));
      all.add(series(name + "hottest cell, °C", day, Channel.TEMPERATURE));
    }
    return all;
  }

  private static Series series(String name, Day day, Channel channel) {
    Trace trace = day.run().trace();
    return new Series(
        name,
        IntStream.range(0, trace.size())
            .mapToDouble(k -> trace.at(channel, k))
            .map(v -> channel == Channel.TEMPERATURE ? Unit.CELSIUS.fromCore(v) : v)
            .toArray());
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    Shown s = shown;
    if (s == null) {
      return;
    }
    Scale x = new Scale(0, end(), LEFT, width - RIGHT);
    double strip = (height - TOP - BOTTOM - (s.days().size() - 1) * GAP) / s.days().size();
    double cutOut = s.duty().machine().cutOutVoltage();
    double low = cutOut;
    double high = cutOut;
    for (Day day : s.days()) {
      Trace trace = day.run().trace();
      for (int k = 0; k < trace.size(); k++) {
        low = Math.min(low, trace.at(Channel.VOLTAGE, k));
        high = Math.max(high, trace.at(Channel.VOLTAGE, k));
      }
    }
    for (int row = 0; row < s.days().size(); row++) {
      Day day = s.days().get(row);
      double top = TOP + row * (strip + GAP);
      Scale y = Scale.around(low, high, LEAST_VOLTS, top + strip, top);
      Plot plot =
          new Plot(pen, x, y)
              .vertical(
                  "%s, %s: voltage at the machine, V; %s"
                      .formatted(
                          day.kind().label(),
                          Figures.of(day.air(), Unit.CELSIUS, 0),
                          day.outcome()));
      pen.line(Role.RULE, 1, x.from(), y.from(), x.to(), y.from());
      day(pen, plot, day, cutOut, row == 0);
      readings(pen, plot, day);
      if (row == s.days().size() - 1) {
        plot.horizontal(unit() > 60 ? "Time, h" : "Time, min");
      }
    }
    if (!Double.isNaN(cross.at())) {
      String time = Figures.duration(cross.at() * unit());
      pen.reading(Role.INK, Pen.TEXT, x.to() + 8, height - 12, time);
    }
  }

  /** One day: its voltage, the cut-out, and where it ends too soon. */
  private void day(Pen pen, Plot plot, Day day, double cutOut, boolean named) {
    Scale x = plot.x();
    Scale y = plot.y();
    if (named) {
      plot.level(Role.HOT, cutOut, "machine cuts out", false);
    } else {
      pen.dashed(Role.HOT, 1, x.from(), y.at(cutOut), x.to(), y.at(cutOut));
    }
    Trace trace = day.run().trace();
    if (trace.size() == 0) {
      return;
    }
    double[][] columns = Columns.of(trace, (int) Math.max(2, x.to() - x.from()));
    double[] time = Arrays.stream(columns[0]).map(t -> t / unit()).toArray();
    double[] low = columns[1 + 2 * Channel.VOLTAGE.ordinal()];
    double[] high = columns[2 + 2 * Channel.VOLTAGE.ordinal()];
    Role role = day.served() ? Role.COOL : Role.HOT;
    plot.band(role, 0.35, time, low, high);
    plot.curve(role, 1.2, time, high);
    if (!day.run().outcome().complete()) {
      double at = x.at(day.run().endTime() / unit());
      pen.line(Role.HOT, 1.5, at, y.to(), at, y.from());
      pen.beside(Role.HOT, Pen.TEXT, at, y.to() + LINE, 5, RunTrace.ending(day.run().outcome()));
    }
  }

  /** Lowest and hottest of a day, or what it is at the crosshair, behind its strip. */
  private void readings(Pen pen, Plot plot, Day day) {
    double right = plot.x().to() + 8;
    double middle = (plot.y().from() + plot.y().to()) / 2;
    Trace trace = day.run().trace();
    double time = cross.at() * unit();
    if (!Double.isNaN(time)) {
      double at = plot.x().at(cross.at());
      pen.line(Role.INK, 1, at, plot.y().to(), at, plot.y().from());
    }
    if (trace.size() == 0 || time > day.run().endTime()) {
      return;
    }
    if (Double.isNaN(time)) {
      var extremes = day.run().extremes();
      String least = "lowest " + Figures.of(extremes.lowestVoltage(), Unit.VOLT, 1);
      String most = "hottest " + Figures.of(extremes.peakTemperature(), Unit.CELSIUS, 0);
      pen.reading(Role.INK, Pen.TEXT, right, middle - LINE, least);
      pen.reading(Role.INK, Pen.TEXT, right, middle + LINE, most);
    } else {
      int k = trace.indexAt(time);
      String volts = Figures.of(trace.at(Channel.VOLTAGE, k), Unit.VOLT, 1);
      String rest =
          "%s, %s"
              .formatted(
                  Figures.of(trace.at(Channel.TEMPERATURE, k), Unit.CELSIUS, 0),
                  Figures.of(trace.at(Channel.SOC, k), Unit.PERCENT, 0));
      pen.reading(Role.INK, Pen.TEXT + 1, right, middle - LINE, volts);
      pen.reading(Role.SOFT, Pen.TEXT, right, middle + LINE, rest);
    }
  }
}
