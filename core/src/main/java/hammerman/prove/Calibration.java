package hammerman.prove;

import hammerman.simulation.Run;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.MultivariateJacobianFunction;
import org.hipparchus.util.Pair;

/**
 * The scales of the cells' resistance and capacity, and the charge at the start, with which the
 * forecast of the logged load meets the logged voltage best (least squares, Levenberg and
 * Marquardt).
 *
 * <p>Standard errors from the curvature at the best fit, σ² (JᵀJ)⁻¹, with the variance raised by (1
 * + ρ)/(1 − ρ) where neighbouring residuals are alike by ρ (first-order autocorrelation; F.
 * Bartlett, J. Royal Statist. Soc. 98 (1935) 536), since then there are fewer independent samples
 * than rows. A log that begins at rest tells its charge within {@value #REST_SOC}; otherwise within
 * {@value #LOAD_SOC}. What the model leaves out (hysteresis, uneven cells) is not in the errors.
 *
 * @param resistance scale of the cells' resistances
 * @param capacity scale of their capacities
 * @param startSoc state of charge at the start, 0 to 1
 * @param run forecast with these
 * @param rms of what is left between log and forecast, V
 * @param before the same without any scale, V
 * @param samples it rests on
 * @param used share of the charge that the log went through, 0 to 1
 * @param notTold what the log cannot tell, in sentences
 */
public record Calibration(
    Scale resistance,
    Scale capacity,
    double startSoc,
    Run run,
    double rms,
    double before,
    int samples,
    double used,
    List<String> notTold) {
  private static final double REST_SOC = 0.01;
  private static final double LOAD_SOC = 0.05;

  /** A log that goes through less tells little of the capacity. */
  private static final double LEAST_USED = 0.2;

  /** A standard error above this share of its value tells nothing. */
  private static final double VAGUE = 0.15;

  /** A scale outside these is no pack's: the search went astray where nothing held it. */
  private static final double LEAST = 0.1;

  private static final double MOST = 10;

  private static final double STEP = 1e-3;
  private static final int FEWEST = 20;

  /**
   * A scale with its uncertainty.
   *
   * @param value times the design's
   * @param error standard error
   */
  public record Scale(double value, double error) {
    /** Two-sided 95 % of a normal distribution, in standard errors. */
    private static final double TWO_SIDED = 1.96;

    /** Returns the least it may be, 95 % certain. */
    public double low() {
      return value - TWO_SIDED * error;
    }

    /** Returns the most it may be, 95 % certain. */
    public double high() {
      return value + TWO_SIDED * error;
    }

    /**
     * Returns the scale that several logs tell together: the mean weighted by 1/σ², with its error
     * raised by the ratio of Birge (Phys. Rev. 40 (1932) 207, eq. 2) where they lie further apart
     * than their own errors.
     *
     * @param all of the same quantity, one or more
     */
    public static Scale together(List<Scale> all) {
      double weights = 0;
      double sum = 0;
      for (Scale s : all) {
        double w = 1 / (s.error * s.error);
        weights += w;
        sum += w * s.value;
      }
      double mean = sum / weights;
      double chi = 0;
      for (Scale s : all) {
        chi += Math.pow((s.value - mean) / s.error, 2);
      }
      double birge = all.size() < 2 ? 1 : Math.max(1, Math.sqrt(chi / (all.size() - 1)));
      return new Scale(mean, birge / Math.sqrt(weights));
    }

    /** Whether it is told at all: a value that a pack can have, with an error that is none. */
    boolean isTold() {
      return value >= LEAST && value <= MOST && error <= VAGUE * value;
    }

    /** Whether it is told from 1 at all. */
    public boolean differs() {
      return low() > 1 || high() < 1;
    }

    /** Returns it in words, such as “0.93 (0.91 to 0.95)”. */
    public String words() {
      return "%s (%s to %s)"
          .formatted(Figures.fixed(value, 3), Figures.fixed(low(), 3), Figures.fixed(high(), 3));
    }
  }

  public Calibration {
    notTold = List.copyOf(notTold);
  }

  /** Returns the scale of resistance, if the log tells one. */
  public Optional<Scale> resistanceTold() {
    return Optional.of(resistance).filter(Scale::isTold);
  }

  /** Returns the scale of capacity, if the log goes far enough to tell one. */
  public Optional<Scale> capacityTold() {
    return Optional.of(capacity).filter(s -> s.isTold() && used >= LEAST_USED);
  }

  /** Fits a log; empty if it has no voltage to fit, or too few samples. */
  public static Optional<Calibration> of(Replay replay) {
    Problem p = new Problem(replay);
    return p.rows < FEWEST ? Optional.empty() : p.solve();
  }

  private static final class Problem {
    private final Replay replay;
    private final double[] voltage;
    private final int rows;
    private final double prior;

    Problem(Replay replay) {
      this.replay = replay;
      voltage = replay.voltage();
      int n = 0;
      for (double v : voltage) {
        n += Double.isFinite(v) ? 1 : 0;
      }
      rows = n;
      // In the residuals' own unit, V, by a usual meter's noise over all rows.
      prior = 0.05 / (replay.fromRest() ? REST_SOC : LOAD_SOC);
    }

    /** Residual against each logged voltage, then that of the charge at the start. */
    private double[] values(double[] x) {
      double[] v = replay.forecast(replay.with(x[2], Math.exp(x[1]), Math.exp(x[0])));
      double[] out = new double[voltage.length + 1];
      for (int k = 0; k < voltage.length; k++) {
        double d = v[k] - voltage[k];
        // A forecast that is empty before the log ends is as far off as its last voltage.
        out[k] = Double.isFinite(d) ? d : Double.isFinite(voltage[k]) ? last(v) - voltage[k] : 0;
      }
      out[voltage.length] = prior * (x[2] - replay.startSoc());
      return out;
    }

    private static double last(double[] v) {
      for (int k = v.length - 1; k >= 0; k--) {
        if (Double.isFinite(v[k])) {
          return v[k];
        }
      }
      return 0;
    }

    Optional<Calibration> solve() {
      int size = voltage.length + 1;
      MultivariateJacobianFunction model =
          at -> {
            double[] x = at.toArray();
            double[] f = values(x);
            double[][] slope = new double[size][x.length];
            for (int c = 0; c < x.length; c++) {
              double[] more = x.clone();
              double[] less = x.clone();
              more[c] += STEP;
              less[c] -= STEP;
              double[] up = values(more);
              double[] down = values(less);
              for (int r = 0; r < size; r++) {
                slope[r][c] = (up[r] - down[r]) / (2 * STEP);
              }
            }
            return new Pair<>(
                new ArrayRealVector(f, false), new Array2DRowRealMatrix(slope, false));
          };
      try {
        LeastSquaresOptimizer.Optimum best =
            new LevenbergMarquardtOptimizer()
                .withCostRelativeTolerance(1e-9)
                .withParameterRelativeTolerance(1e-7)
                .optimize(
                    new LeastSquaresBuilder()
                        .model(model)
                        .target(new double[size])
                        .start(new double[] {0, 0, replay.startSoc()})
                        .maxEvaluations(60)
                        .maxIterations(60)
                        .checker((iteration, before, now) -> false)
                        .build());
        return Optional.of(found(best));
      } catch (MathRuntimeException e) {
        // Nothing fits this log better than nothing: it is of another pack, or has no course.
        return Optional.empty();
      }
    }

    private Calibration found(LeastSquaresOptimizer.Optimum best) {
      double[] x = best.getPoint().toArray();
      double[] left = best.getResiduals().toArray();
      double sum = 0;
      double next = 0;
      for (int k = 0; k < voltage.length; k++) {
        sum += left[k] * left[k];
        next += k > 0 ? left[k] * left[k - 1] : 0;
      }
      double alike = Math.clamp(sum > 0 ? next / sum : 0, 0, 0.98);
      double variance = sum / Math.max(1, rows - 3) * (1 + alike) / (1 - alike);
      RealMatrix cov = best.getCovariances(1e-14).scalarMultiply(variance);
      double r = Math.exp(x[0]);
      double q = Math.exp(x[1]);
      Scale resistance = new Scale(r, r * Math.sqrt(cov.getEntry(0, 0)));
      Scale capacity = new Scale(q, q * Math.sqrt(cov.getEntry(1, 1)));
      Run run = replay.with(x[2], q, r);
      double used = Math.max(0, x[2] - run.endSoc());
      List<String> open = new ArrayList<>();
      if (used < LEAST_USED || !capacity.isTold()) {
        open.add(
            "The log goes through %s of the charge; a capacity is told by a run to nearly empty."
                .formatted(Figures.of(used, Unit.PERCENT, 0)));
      }
      if (!resistance.isTold()) {
        open.add("The current changes too little to tell the resistance.");
      }
      if (!replay.fromRest()) {
        open.add(
            "The log does not begin at rest, so the charge at its start is a guess; begin the next"
                + " one some minutes before the load.");
      }
      return new Calibration(
          resistance,
          capacity,
          x[2],
          run,
          Math.sqrt(sum / rows),
          replay.rms(replay.run()),
          rows,
          used,
          open);
    }
  }
}
