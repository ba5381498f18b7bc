package hammerman.datasheet;

import hammerman.cell.CellCircuit;
import hammerman.cell.CellType;
import hammerman.cell.RestVoltage;
import hammerman.numeric.MonotoneCubic;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.MultivariateJacobianFunction;
import org.hipparchus.util.Pair;

/**
 * Rested voltage, resistance and capacity fitted to measured discharge curves by least squares
 * (Levenberg and Marquardt).
 *
 * <p>Model of a curve: V = OCV(1 − q/Q) − I R10 k_SOC k_T (0.70 + 0.596 (1 − e^(−t/15 s)) + 0.30 (1
 * − e^(−t/300 s))), t = q/I. Each curve starts full. Unknown: OCV at the twelve points of {@link
 * RestVoltage}, kept rising; R10, if the currents differ enough. Q is the most charge that a curve
 * gave, if it came near the cut-off: that is what rated capacity means. Neglects self-heating,
 * which makes a strong discharge look better than it is: the fitted R10 is then somewhat low.
 *
 * @param cell the cell with the fitted figures
 * @param residuals one for each curve
 * @param rms root of the mean square of all differences, V
 * @param notIdentified what the curves could not tell, in sentences
 * @param evaluations how often the model was run
 */
public record CellFit(
    CellType cell,
    List<Residual> residuals,
    double rms,
    List<String> notIdentified,
    int evaluations) {
  /** Currents must differ by this ratio for R10 to be told from the rested voltage. */
  private static final double ENOUGH_APART = 1.5;

  /** Points of a curve that are used at the most; evenly chosen. */
  private static final int MOST_POINTS = 150;

  private static final int KNOTS = RestVoltage.SOC.size();
  private static final double LEAST_RISE = 2e-3;

  /** Weight of the pull towards the starting curve, which settles what no point touches. */
  private static final double PULL = 0.01;

  public CellFit {
    residuals = List.copyOf(residuals);
    notIdentified = List.copyOf(notIdentified);
  }

  /**
   * How well one curve is met.
   *
   * @param curve as measured
   * @param fitted voltage by the model at each of its points, V
   * @param rms root of the mean square of the differences, V
   * @param worst largest difference, V
   */
  public record Residual(DischargeCurve curve, List<Double> fitted, double rms, double worst) {
    public Residual {
      fitted = List.copyOf(fitted);
    }
  }

  /**
   * Fits a cell.
   *
   * @param base datasheet figures to begin with; what cannot be identified stays as it is there
   * @param curves one or more
   */
  public static CellFit of(CellType base, List<DischargeCurve> curves) {
    if (curves.isEmpty()) {
      throw new IllegalArgumentException("a fit needs a curve, not none");
    }
    double slowest = curves.stream().mapToDouble(DischargeCurve::current).min().orElseThrow();
    double fastest = curves.stream().mapToDouble(DischargeCurve::current).max().orElseThrow();
    double deepest = curves.stream().mapToDouble(DischargeCurve::charge).max().orElseThrow();
    boolean resistance = fastest >= ENOUGH_APART * slowest;
    boolean capacity =
        curves.stream()
            .anyMatch(
                c -> c.points().getLast().voltage() < base.cutOffVoltage() + 0.25 * span(base));
    List<String> open = new ArrayList<>();
    if (!resistance) {
      open.add(
          "Resistance: the curves' currents do not differ enough to tell it from the rested"
              + " voltage; the datasheet's "
              + Figures.of(base.r10(), Unit.MILLIOHM)
              + " is kept.");
    }
    if (!capacity) {
      open.add(
          "Capacity: no curve comes near the cut-off; the datasheet's "
              + Figures.of(base.capacity(), Unit.AMPERE_HOUR)
              + " is kept.");
    }
    CellType sized = capacity ? base.withCapacity(atRoom(base, curves)) : base;
    Problem problem = new Problem(sized, curves, resistance);
    double[] best = problem.solve();
    CellType cell = problem.cell(best);
    double lowest = 1 - deepest / cell.capacity();
    if (lowest > 0.08) {
      open.add(
          "Rested voltage below "
              + Figures.of(lowest, Unit.PERCENT, 0)
              + " charge: no curve goes there; typical for "
              + base.chemistry().label()
              + ".");
    }
    List<Residual> residuals = curves.stream().map(c -> problem.residual(best, c)).toList();
    double sum = 0;
    int n = 0;
    for (Residual r : residuals) {
      sum += r.rms() * r.rms() * r.fitted().size();
      n += r.fitted().size();
    }
    return new CellFit(cell, residuals, Math.sqrt(sum / n), open, problem.evaluations);
  }

  /** The most charge that a curve gave, brought to 25 °C. */
  private static double atRoom(CellType base, List<DischargeCurve> curves) {
    CellCircuit circuit = new CellCircuit(base);
    return curves.stream()
        .mapToDouble(c -> c.charge() * base.capacity() / circuit.capacity(c.temperature()))
        .max()
        .orElseThrow();
  }

  private static double span(CellType cell) {
    return cell.fullVoltage() - cell.cutOffVoltage();
  }

  /** The least-squares problem: first rested voltage, log rises, then ln R10 if open. */
  private static final class Problem {
    private final CellType base;
    private final CellCircuit circuit;
    private final boolean resistance;
    private final List<DischargeCurve> thinned;
    private final double[] start;
    private final double[] soc =
        RestVoltage.SOC.stream().mapToDouble(Double::doubleValue).toArray();
    private int evaluations;

    Problem(CellType base, List<DischargeCurve> curves, boolean resistance) {
      this.base = base;
      this.circuit = new CellCircuit(base);
      this.resistance = resistance;
      this.thinned = curves.stream().map(Problem::thin).toList();
      start = new double[KNOTS + (resistance ? 1 : 0)];
      MonotoneCubic typical = base.openCircuit();
      start[0] = typical.value(0);
      for (int k = 1; k < KNOTS; k++) {
        double rise = typical.value(soc[k]) - typical.value(soc[k - 1]);
        start[k] = Math.log(Math.max(1e-4, rise - LEAST_RISE));
      }
      if (resistance) {
        start[KNOTS] = Math.log(base.r10());
      }
    }

    private static DischargeCurve thin(DischargeCurve c) {
      int n = c.points().size();
      if (n <= MOST_POINTS) {
        return c;
      }
      List<DischargeCurve.Point> kept = new ArrayList<>();
      for (int k = 0; k < MOST_POINTS; k++) {
        kept.add(c.points().get((int) Math.round((double) k * (n - 1) / (MOST_POINTS - 1))));
      }
      return new DischargeCurve(c.name(), c.current(), c.temperature(), kept);
    }

    double[] solve() {
      int points = thinned.stream().mapToInt(c -> c.points().size()).sum();
      double[] target = new double[points + start.length];
      int at = 0;
      for (DischargeCurve c : thinned) {
        for (DischargeCurve.Point p : c.points()) {
          target[at++] = p.voltage();
        }
      }
      for (double s : start) {
        target[at++] = PULL * s;
      }
      MultivariateJacobianFunction model =
          x -> {
            double[] p = x.toArray();
            double[] v = values(p, target.length);
            double[][] slope = new double[v.length][p.length];
            for (int k = 0; k < p.length; k++) {
              double step = 1e-5;
              double[] moved = p.clone();
              moved[k] += step;
              double[] w = values(moved, target.length);
              for (int r = 0; r < v.length; r++) {
                slope[r][k] = (w[r] - v[r]) / step;
              }
            }
            return new Pair<>(
                new ArrayRealVector(v, false), new Array2DRowRealMatrix(slope, false));
          };
      try {
        return new LevenbergMarquardtOptimizer()
            .withCostRelativeTolerance(1e-9)
            .withParameterRelativeTolerance(1e-8)
            .optimize(
                new LeastSquaresBuilder()
                    .model(model)
                    .target(target)
                    .start(start)
                    .maxEvaluations(400)
                    .maxIterations(400)
                    .checker((iteration, before, now) -> false)
                    .build())
            .getPoint()
            .toArray();
      } catch (MathRuntimeException e) {
        // Out of patience: the start is a usable answer, and its residuals show how good it is.
        return start;
      }
    }

    private double[] values(double[] p, int size) {
      evaluations++;
      double[] out = new double[size];
      MonotoneCubic rest = new MonotoneCubic(soc, volts(p));
      double r10 = r10(p);
      int at = 0;
      for (DischargeCurve c : thinned) {
        for (DischargeCurve.Point point : c.points()) {
          out[at++] = voltage(rest, r10, c, point.charge());
        }
      }
      for (double v : p) {
        out[at++] = PULL * v;
      }
      return out;
    }

    private double voltage(MonotoneCubic rest, double r10, DischargeCurve c, double charge) {
      double z = 1 - charge / circuit.capacity(c.temperature());
      double t = charge / c.current() * 3600;
      double settled =
          CellCircuit.R0_SHARE
              - CellCircuit.R1_SHARE * Math.expm1(-t / CellCircuit.TAU1)
              - CellCircuit.R2_SHARE * Math.expm1(-t / CellCircuit.TAU2);
      double below = Math.min(0, z);
      return rest.value(z)
          + below * span(base)
          - c.current()
              * r10
              * circuit.socFactor(z)
              * circuit.temperatureFactor(c.temperature())
              * settled;
    }

    private static double[] volts(double[] p) {
      double[] v = new double[KNOTS];
      v[0] = p[0];
      for (int k = 1; k < KNOTS; k++) {
        v[k] = v[k - 1] + LEAST_RISE + Math.exp(Math.clamp(p[k], -12, 1));
      }
      return v;
    }

    private double r10(double[] p) {
      return resistance ? Math.exp(p[KNOTS]) : base.r10();
    }

    CellType cell(double[] p) {
      List<Double> volts = new ArrayList<>();
      for (double v : volts(p)) {
        volts.add(v);
      }
      return base.withR10(r10(p))
          .withRestVoltage(new RestVoltage(volts))
          .withSource(base.source() + "; fitted to " + thinned.size() + " measured curve(s)");
    }

    Residual residual(double[] p, DischargeCurve c) {
      MonotoneCubic rest = new MonotoneCubic(soc, volts(p));
      List<Double> fitted = new ArrayList<>();
      double sum = 0;
      double worst = 0;
      for (DischargeCurve.Point point : c.points()) {
        double v = voltage(rest, r10(p), c, point.charge());
        fitted.add(v);
        double off = v - point.voltage();
        sum += off * off;
        worst = Math.max(worst, Math.abs(off));
      }
      return new Residual(c, fitted, Math.sqrt(sum / c.points().size()), worst);
    }
  }
}
