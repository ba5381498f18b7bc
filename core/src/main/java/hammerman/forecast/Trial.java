package hammerman.forecast;

import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.finding.Judgement;
import hammerman.finding.Severity;
import hammerman.finding.Station;
import java.util.Optional;

/**
 * A quick look at a design among many: the duty in coarse steps, and only what cell and counts can
 * mend. About 0.1 ms.
 */
public final class Trial {
  /** Step of the duty, s. */
  private static final double STEP = 20;

  private Trial() {}

  /** Returns the gravest stop or warning that another cell or other counts would mend, if any. */
  public static Optional<Judgement> worst(Design design) {
    return Forecast.glance(Chain.of(design), STEP).stream()
        .filter(j -> j.station() == Station.STACK && j.severity() != Severity.NOTE)
        .findFirst();
  }
}
