package hammerman.forecast;

import hammerman.cell.Health;
import hammerman.chain.Chain;
import hammerman.circuit.Circuit;
import hammerman.design.Design;
import hammerman.finding.Finding;
import hammerman.finding.Severity;
import hammerman.judgement.Case;
import hammerman.judgement.Judge;
import hammerman.pack.Assembly;
import hammerman.simulation.Run;
import java.util.List;
import java.util.Optional;

/**
 * A quick look at a design among many: the duty in coarse steps, and only what cell and counts can
 * mend. About 0.1 ms; the life, when asked for, as much again.
 *
 * @param chain ratings and demands
 * @param duty the duty, in coarse steps; of two packs both together
 * @param own what the first pack goes through in it
 * @param worst the gravest stop or warning that another cell or other counts would mend, if any
 */
public record Trial(Chain chain, Run duty, Run own, Optional<Finding> worst) {
  /** Step of the duty, s. */
  static final double STEP = 40;

  /** Tries a design, its assembly estimated. */
  public static Trial of(Design design) {
    return of(Chain.of(design));
  }

  /** Tries a design that is built like another. */
  public static Trial of(Design design, Assembly like) {
    return of(Chain.of(design, like.of(design.pack())));
  }

  private static Trial of(Chain chain) {
    Design design = chain.design();
    DutyRun asked =
        DutyRun.untraced(
            chain,
            design.duty().task().load(),
            design.duty().surroundings().hottestInUse(),
            Health.NEW,
            STEP);
    Run duty = asked.all();
    Circuit circuit = Circuit.of(chain, Optional.empty());
    Case c =
        new Case(
            circuit,
            duty,
            asked.own(),
            List.of(),
            asked.pair(),
            Optional.empty(),
            Optional.empty());
    Optional<Finding> worst =
        Judge.stack(c).stream().filter(f -> f.severity() != Severity.NOTE).findFirst();
    return new Trial(chain, duty, asked.own(), worst);
  }

  /** Whether a stop stands against it. */
  public boolean stopped() {
    return worst.filter(j -> j.severity() == Severity.STOP).isPresent();
  }

  /** Returns the share of the capacity left after the duty, 0 to 1. */
  public double margin() {
    return duty.endSoc();
  }

  /** Returns the rated energy of the pack, J. */
  public double energy() {
    return chain.design().pack().energy();
  }

  /** Returns the mass of the pack, kg. */
  public double mass() {
    return chain.design().pack().mass();
  }

  /** Returns the price of its cells. */
  public double cost() {
    return chain.design().pack().cost();
  }

  /** Returns the voltage at the hardest moment, 20 % charge, coldest in use, V. */
  public double sag() {
    return chain.sag().get(2).tenSeconds();
  }

  /** Returns the hottest cell temperature in the duty, K. */
  public double peakTemperature() {
    return own.extremes().peakTemperature();
  }

  /** Returns the life, middle of its band, in years. */
  public double years() {
    return Forecast.life(chain, own, chain.ceiling()).years();
  }
}
