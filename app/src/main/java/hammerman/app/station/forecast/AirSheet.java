package hammerman.app.station.forecast;

import hammerman.app.picture.Crosshair;
import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.forecast.AirSweep;
import hammerman.forecast.Answer;
import hammerman.forecast.Forecast;
import hammerman.forecast.Reach;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.jspecify.annotations.Nullable;

/** How long the same load goes on in any air, with new cells and with worn ones. */
final class AirSheet extends Picture {
  private static final double GAP = 30;
  private static final double LEFT = 48;
  private static final double RIGHT = 14;

  private record Shown(Forecast forecast, AirSweep sweep) {}

  private @Nullable Shown shown;
  private final Crosshair cross =
      new Crosshair(this, LEFT, RIGHT, () -> air(0), () -> air(Integer.MAX_VALUE));

  AirSheet() {
    super("How long the load goes on against the temperature of the air");
    setId("air-sheet");
  }

  void show(Forecast forecast, AirSweep sweep) {
    shown = new Shown(forecast, sweep);
    redraw();
  }

  private double air(int k) {
    Shown s = shown;
    return s == null
        ? k
        : Unit.CELSIUS.fromCore(
            s.sweep().points().get(Math.min(k, s.sweep().points().size() - 1)).air());
  }

  @Override
  public List<Series> figures() {
    Shown s = shown;
    if (s == null) {
      return List.of();
    }
    List<AirSweep.Point> points = s.sweep().points();
    return List.of(
        new Series(
            "Air, °C", points.stream().mapToDouble(p -> Unit.CELSIUS.fromCore(p.air())).toArray()),
        new Series("New cells, s", points.stream().mapToDouble(AirSweep.Point::fresh).toArray()),
        new Series("Worn cells, s", points.stream().mapToDouble(AirSweep.Point::worn).toArray()),
        new Series(
            "Full effort, s", points.stream().mapToDouble(AirSweep.Point::effort).toArray()));
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    Shown s = shown;
    if (s == null) {
      return;
    }
    List<AirSweep.Point> points = s.sweep().points();
    if (points.stream().noneMatch(p -> p.fresh() > 0 || p.worn() > 0 || p.effort() > 0)) {
      pen.centred(
          Role.SOFT,
          Pen.TEXT,
          width / 2,
          height / 2,
          "From %s to %s of air, new or worn, it ends at once."
              .formatted(
                  Figures.of(points.getFirst().air(), Unit.CELSIUS, 0),
                  Figures.of(points.getLast().air(), Unit.CELSIUS, 0)));
      return;
    }
    double longest = points.stream().mapToDouble(AirSweep.Point::fresh).max().orElse(0);
    Unit unit = unit(Math.max(longest, s.sweep().wanted()));
    double top = unit.fromCore(1.15 * Math.max(longest, s.sweep().wanted()));
    Scale x =
        new Scale(
            Unit.CELSIUS.fromCore(points.getFirst().air()),
            Unit.CELSIUS.fromCore(points.getLast().air()),
            LEFT,
            width - RIGHT);
    double foot = 28 + (height - 28 - 28 - GAP) * 0.66;
    Scale y = new Scale(0, top, foot, 28);
    Plot plot = new Plot(pen, x, y).vertical("Until it ends, " + unit.symbol());
    pen.line(Role.RULE, 1, x.from(), y.from(), x.to(), y.from());
    double[] air = points.stream().mapToDouble(p -> Unit.CELSIUS.fromCore(p.air())).toArray();
    double[] fresh = points.stream().mapToDouble(p -> unit.fromCore(p.fresh())).toArray();
    double[] worn = points.stream().mapToDouble(p -> unit.fromCore(p.worn())).toArray();
    var use = s.forecast().design().duty().surroundings();
    upright(pen, x, y, Unit.CELSIUS.fromCore(use.coldestInUse()), "coldest in use", true);
    upright(pen, x, y, Unit.CELSIUS.fromCore(use.hottestInUse()), "hottest in use", false);
    plot.clearCurve(Role.COOL, 2.4, air, fresh);
    plot.clearCurve(Role.HOT, 1.6, air, worn);
    double wanted = unit.fromCore(s.sweep().wanted());
    plot.level(
        Role.INK,
        wanted,
        "asked for, " + Figures.duration(s.sweep().wanted()),
        clear(y, fresh, worn, wanted));
    int last = air.length - 1;
    pen.wordsBefore(
        Role.COOL,
        Pen.TEXT,
        x.to(),
        y.at(fresh[last]) - 12,
        "new cells" + longer(points.getLast().fresh()));
    String old =
        "worn to "
            + Figures.of(s.forecast().life().endOfLife(), Unit.PERCENT, 0)
            + " of the capacity"
            + longer(points.getLast().worn());
    pen.wordsBefore(Role.HOT, Pen.TEXT, x.to(), y.at(worn[last]) + 14, old);
    effort(pen, s, x, air, foot + GAP, height - 28);
    cross.draw(pen, x, 28, height - 28, words(points));
  }

  /** The unit of times up to the longest, s. */
  private static Unit unit(double longest) {
    return longest > 2 * 3600 ? Unit.HOUR : Unit.MINUTE;
  }

  /** What follows the name of a curve that ends at the longest time that is simulated. */
  private static String longer(double time) {
    return Reach.isLonger(time) ? ", or longer" : "";
  }

  /** Whether a level is farther from the curves at their end than at their beginning. */
  private static boolean clear(Scale y, double[] fresh, double[] worn, double level) {
    int third = fresh.length / 3;
    double begin = Double.POSITIVE_INFINITY;
    double end = Double.POSITIVE_INFINITY;
    for (int k = 0; k <= third; k++) {
      int back = fresh.length - 1 - k;
      for (double[] curve : List.of(fresh, worn)) {
        begin = Math.min(begin, Math.abs(y.at(curve[k]) - y.at(level)));
        end = Math.min(end, Math.abs(y.at(curve[back]) - y.at(level)));
      }
    }
    return end >= begin;
  }

  /**
   * What the curves say where the crosshair is: straight between the temperatures that were run.
   */
  private List<String> words(List<AirSweep.Point> points) {
    if (Double.isNaN(cross.at())) {
      return List.of();
    }
    double air = Unit.CELSIUS.toCore(cross.at());
    int k = 1;
    while (k < points.size() - 1 && points.get(k).air() < air) {
      k++;
    }
    AirSweep.Point low = points.get(k - 1);
    AirSweep.Point high = points.get(Math.min(k, points.size() - 1));
    double share = high.air() > low.air() ? (air - low.air()) / (high.air() - low.air()) : 0;
    ToDoubleFunction<ToDoubleFunction<AirSweep.Point>> at =
        f -> f.applyAsDouble(low) + share * (f.applyAsDouble(high) - f.applyAsDouble(low));
    return List.of(
        Figures.of(air, Unit.CELSIUS, 1),
        "new " + Answer.TIME.shown(at.applyAsDouble(AirSweep.Point::fresh)),
        "worn " + Answer.TIME.shown(at.applyAsDouble(AirSweep.Point::worn)),
        "full effort " + Answer.TIME.shown(at.applyAsDouble(AirSweep.Point::effort)));
  }

  /** How long the machine's full effort lasts, below the load. */
  private static void effort(Pen pen, Shown s, Scale x, double[] air, double from, double to) {
    double longest =
        s.sweep().points().stream().mapToDouble(AirSweep.Point::effort).max().orElse(0);
    Unit unit = unit(longest);
    double[] times =
        s.sweep().points().stream().mapToDouble(p -> unit.fromCore(p.effort())).toArray();
    double most = 1.15 * Math.max(60, longest);
    Scale y = new Scale(0, unit.fromCore(most), to, from);
    double amperes = s.forecast().design().duty().machine().fullEffortCurrent();
    Plot plot =
        new Plot(pen, x, y)
            .vertical(
                "Full effort, %s, until it ends, %s"
                    .formatted(Figures.of(amperes, Unit.AMPERE), unit.symbol()));
    plot.curve(Role.INK, 2, air, times);
    plot.horizontal("Air, °C");
  }

  /** A dashed upright with its words at the foot, on the side away from the air in use. */
  private static void upright(Pen pen, Scale x, Scale y, double at, String words, boolean before) {
    pen.line(Role.RULE, 1, x.at(at), y.from(), x.at(at), y.to());
    double level = y.from() - 10;
    if (before == x.at(at) - x.from() > pen.width(Pen.TEXT, words) + 8) {
      pen.wordsBefore(Role.SOFT, Pen.TEXT, x.at(at) - 6, level, words);
    } else {
      pen.words(Role.SOFT, Pen.TEXT, x.at(at) + 6, level, words);
    }
  }
}
