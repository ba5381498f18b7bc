package hammerman.app.station.forecast;

import hammerman.app.picture.Crosshair;
import hammerman.app.picture.Pen;
import hammerman.app.picture.PictureOf;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.chain.Chain;
import hammerman.chain.Path;
import hammerman.design.SecondPack;
import hammerman.guard.Bms;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * The sag fan: voltage at the machine against current, one line for each state of charge, from the
 * ohmic drop to the settled one, with the cut-outs and the hardest moment. The crosshair reads what
 * is left after ten seconds.
 */
final class SagFan extends PictureOf<Chain> {
  /** Straight, but for where nothing is left of the voltage. */
  private static final int POINTS = 24;

  private static final double SIDE = 44;

  /** Currents that go to a table of figures. */
  private static final int FIGURES = 25;

  private final Crosshair cross = new Crosshair(this, SIDE, SIDE, this::most);

  SagFan() {
    super("Sag fan: voltage at the machine against current");
    setId("sag-fan");
  }

  /** The most current that is drawn, A. */
  private double most() {
    Chain c = shown();
    return c == null ? 1 : 1.15 * c.demand().peak();
  }

  private static double afterTenSeconds(Chain c, double current, double soc) {
    double cold = c.design().duty().surroundings().coldestInUse();
    return c.voltage(current, soc, cold, Path.Settling.TEN_SECONDS);
  }

  @Override
  public List<Series> figures() {
    Chain c = shown();
    if (c == null) {
      return List.of();
    }
    double[] amperes =
        IntStream.range(0, FIGURES).mapToDouble(k -> most() * k / (FIGURES - 1)).toArray();
    List<Series> all = new ArrayList<>();
    all.add(new Series("Current, A", amperes));
    for (double soc : Chain.SAG_POINTS) {
      all.add(
          new Series(
              "At " + Figures.of(soc, Unit.PERCENT, 0) + " charge after 10 s, V",
              IntStream.range(0, FIGURES)
                  .mapToDouble(k -> afterTenSeconds(c, amperes[k], soc))
                  .toArray()));
    }
    return all;
  }

  /** What the lines say where the crosshair is. */
  private List<String> words(Chain c) {
    List<String> lines = new ArrayList<>();
    if (!Double.isNaN(cross.at())) {
      lines.add(Figures.of(cross.at(), Unit.AMPERE, 1));
      for (double soc : Chain.SAG_POINTS) {
        lines.add(
            Figures.of(soc, Unit.PERCENT, 0)
                + ": "
                + Figures.of(afterTenSeconds(c, cross.at(), soc), Unit.VOLT, 1));
      }
    }
    return lines;
  }

  @Override
  protected void paint(Pen pen, double width, double height, Chain c) {
    double cold = c.design().duty().surroundings().coldestInUse();
    double most = most();
    double cutOut = c.design().duty().machine().cutOutVoltage();
    double lowest = Math.min(cutOut, c.voltage(most, 0.1, cold, Path.Settling.SETTLED));
    double highest = c.voltage(0, 1, cold, Path.Settling.OHMIC);
    double span = highest - lowest;
    Scale x = new Scale(0, most, SIDE, width - SIDE);
    Scale y = new Scale(Math.max(0, lowest - 0.06 * span), highest + 0.06 * span, height - 26, 26);
    Plot plot =
        new Plot(pen, x, y)
            .vertical("Voltage at the machine at " + Figures.of(cold, Unit.CELSIUS, 0) + ", V")
            .horizontal("Current, A");
    List<String> names = new ArrayList<>();
    List<Double> ends = new ArrayList<>();
    for (double soc : Chain.SAG_POINTS) {
      double end = line(pen, plot, x, y, soc, most, cold);
      if (!Double.isNaN(end)) {
        names.add(Figures.of(soc, Unit.PERCENT, 0));
        ends.add(end);
      }
    }
    plot.ends(Role.COOL, ends.stream().mapToDouble(Double::doubleValue).toArray(), names);
    plot.level(Role.HOT, cutOut, "machine cuts out, " + Figures.of(cutOut, Unit.VOLT, 1), false);
    bms(c)
        .map(Bms::cutOffVoltage)
        .ifPresent(
            v ->
                plot.level(
                    Role.AMBER,
                    v * c.design().pack().series(),
                    "BMS, " + Figures.of(v * c.design().pack().series(), Unit.VOLT, 1),
                    false));
    double peak = x.at(c.demand().peak());
    pen.dashed(Role.INK, 1.5, peak, y.to(), peak, y.from());
    pen.wordsBefore(Role.INK, Pen.TEXT, peak - 5, y.to() + 4, "hardest moment");
    for (double soc : Chain.SAG_POINTS) {
      double v = afterTenSeconds(c, c.demand().peak(), soc);
      pen.dot(v < cutOut ? Role.HOT : Role.INK, peak, y.at(v), 3.5);
    }
    cross.draw(pen, x, y.to(), y.from(), words(c));
  }

  /** The BMS of the first pack, where the machine's voltage is that of it. */
  private static Optional<Bms> bms(Chain c) {
    SecondPack second = c.design().second();
    return second != null && second.joining() == SecondPack.Joining.SERIES
        ? Optional.empty()
        : c.design().guard().protection().inDischargePath();
  }

  /**
   * Draws a curve; returns where it ends at the right, px; not a number if it does not get there.
   */
  private double line(Pen pen, Plot plot, Scale x, Scale y, double soc, double most, double cold) {
    Chain c = shown();
    if (c == null) {
      return Double.NaN;
    }
    double[] xs = IntStream.range(0, POINTS).mapToDouble(k -> most * k / (POINTS - 1)).toArray();
    double[][] ys = new double[Path.Settling.values().length][POINTS];
    for (Path.Settling s : Path.Settling.values()) {
      for (int k = 0; k < POINTS; k++) {
        ys[s.ordinal()][k] = c.voltage(xs[k], soc, cold, s);
      }
    }
    plot.band(
        Role.COOL,
        0.14,
        xs,
        ys[Path.Settling.SETTLED.ordinal()],
        ys[Path.Settling.OHMIC.ordinal()]);
    plot.clearCurve(Role.COOL, 1.5, xs, ys[Path.Settling.TEN_SECONDS.ordinal()]);
    double[] after = ys[Path.Settling.TEN_SECONDS.ordinal()];
    String name = Figures.of(soc, Unit.PERCENT, 0);
    int last = (int) Arrays.stream(after).takeWhile(v -> v > 0).count() - 1;
    if (last == POINTS - 1) {
      return after[last];
    }
    // Nothing is left of the voltage farther on: the name stands where the line still does.
    int middle = Math.max(0, last / 2);
    pen.tag(Role.COOL, Pen.TEXT, x.at(xs[middle]), y.at(after[middle]), name);
    return Double.NaN;
  }
}
