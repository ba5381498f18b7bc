package hammerman.app.station.forecast;

import hammerman.app.picture.Crosshair;
import hammerman.app.picture.Pen;
import hammerman.app.picture.PictureOf;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.forecast.PowerSweep;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;

/** Energy to be had at a power, and the charge below which that power must be cut. */
final class PowerSheet extends PictureOf<PowerSweep> {
  private static final double LEFT = 52;
  private static final double RIGHT = 96;
  private static final double TOP = 26;
  private static final double BOTTOM = 26;
  private static final double GAP = 30;

  private double end = 1;
  private final Crosshair cross = new Crosshair(this, LEFT, RIGHT, () -> end);

  PowerSheet() {
    super("Energy and usable charge against power");
    setId("power-sheet");
  }

  private static double[] of(
      List<PowerSweep.Point> points, ToDoubleFunction<PowerSweep.Point> read) {
    return points.stream().mapToDouble(read).toArray();
  }

  private static double wattHours(PowerSweep.Point p) {
    return Unit.WATT_HOUR.fromCore(p.energy());
  }

  private static double left(PowerSweep.Point p) {
    return 100 * p.left();
  }

  @Override
  public List<Series> figures() {
    PowerSweep s = shown();
    return s == null
        ? List.of()
        : List.of(
            new Series("Power, hottest, W", of(s.hot(), PowerSweep.Point::power)),
            new Series("Energy, hottest, Wh", of(s.hot(), PowerSheet::wattHours)),
            new Series("Charge left, hottest, %", of(s.hot(), PowerSheet::left)),
            new Series("Power, coldest, W", of(s.cold(), PowerSweep.Point::power)),
            new Series("Energy, coldest, Wh", of(s.cold(), PowerSheet::wattHours)),
            new Series("Charge left, coldest, %", of(s.cold(), PowerSheet::left)));
  }

  @Override
  protected void paint(Pen pen, double width, double height, PowerSweep s) {
    if (s.hot().isEmpty() && s.cold().isEmpty()) {
      pen.words(Role.INK, 13, 8, 24, "The pack gives none of the powers that were tried.");
      return;
    }
    double most = Math.max(s.peak(), Math.max(last(s.hot()), last(s.cold())));
    double upper = (height - TOP - BOTTOM - GAP) / 2;
    end = 1.03 * most;
    Scale x = new Scale(0, end, LEFT, width - RIGHT);
    double energy =
        Math.max(
            s.hot().stream().mapToDouble(PowerSheet::wattHours).max().orElse(1),
            s.cold().stream().mapToDouble(PowerSheet::wattHours).max().orElse(1));
    Scale y = new Scale(0, 1.2 * energy, TOP + upper, TOP);
    Plot energies = new Plot(pen, x, y).vertical("Energy until it ends, Wh");
    pair(pen, energies, y, x, s, PowerSheet::wattHours);
    Scale z = new Scale(0, 100, height - BOTTOM, TOP + upper + GAP);
    Plot charges = new Plot(pen, x, z).vertical("Usable down to this charge, %");
    pair(pen, charges, z, x, s, PowerSheet::left);
    charges.horizontal("Power, W");
    mark(pen, x, List.of(y, z), s.mean(), "mean of the duty");
    mark(pen, x, List.of(y, z), s.peak(), "hardest of the duty");
    if (Double.isNaN(cross.at())) {
      return;
    }
    List<String> lines = new ArrayList<>();
    lines.add(Figures.of(cross.at(), Unit.WATT));
    say(lines, "hot ", s.hot());
    say(lines, "cold ", s.cold());
    cross.draw(pen, x, TOP, height - BOTTOM, lines);
  }

  /** What is had at the power of the crosshair, unless that is more than can be had. */
  private void say(List<String> lines, String air, List<PowerSweep.Point> points) {
    points.stream()
        .filter(p -> p.power() >= cross.at())
        .findFirst()
        .ifPresentOrElse(
            p ->
                lines.add(
                    "%s%s, down to %s"
                        .formatted(
                            air,
                            Figures.of(p.energy(), Unit.WATT_HOUR),
                            Figures.of(p.left(), Unit.PERCENT, 0))),
            () -> lines.add(air + "not to be had"));
  }

  private static double last(List<PowerSweep.Point> points) {
    return points.isEmpty() ? 0 : points.getLast().power();
  }

  private static void pair(
      Pen pen, Plot plot, Scale y, Scale x, PowerSweep s, ToDoubleFunction<PowerSweep.Point> read) {
    plot.clearCurve(Role.HOT, 2, of(s.hot(), PowerSweep.Point::power), of(s.hot(), read));
    plot.clearCurve(Role.COOL, 2, of(s.cold(), PowerSweep.Point::power), of(s.cold(), read));
    double hot = s.hot().isEmpty() ? Double.NaN : y.at(read.applyAsDouble(s.hot().getLast()));
    double cold = s.cold().isEmpty() ? Double.NaN : y.at(read.applyAsDouble(s.cold().getLast()));
    // Two names that would meet give way, each to its own side.
    double apart = Math.abs(hot - cold) < 14 ? 7 : 0;
    boolean above = hot <= cold;
    if (!Double.isNaN(hot)) {
      pen.words(Role.HOT, Pen.TEXT, x.to() + 8, hot + (above ? -apart : apart), "hottest air");
    }
    if (!Double.isNaN(cold)) {
      pen.words(Role.COOL, Pen.TEXT, x.to() + 8, cold + (above ? apart : -apart), "coldest air");
    }
  }

  /** An upright through both strips, but not through the name between them. */
  private static void mark(Pen pen, Scale x, List<Scale> strips, double power, String words) {
    if (power <= 0 || power > x.high()) {
      return;
    }
    double at = x.at(power);
    for (Scale strip : strips) {
      pen.dashed(Role.SOFT, 1, at, strip.to(), at, strip.from());
    }
    if (at + 8 + pen.width(Pen.TEXT, words) < x.to()) {
      pen.tag(Role.SOFT, Pen.TEXT, at + 5, TOP + 6, words);
    } else {
      pen.tagBefore(Role.SOFT, Pen.TEXT, at - 5, TOP + 6, words);
    }
  }
}
