package hammerman.circuit;

import java.util.List;

/**
 * A part that carries current, as it stands in the chain.
 *
 * @param part which part
 * @param share of the machine's current that it carries, or of the charger's
 * @param stands what it stands
 * @param ruins what ruins it
 * @param protectors who opens before it is ruined
 * @param leastFault smallest short-circuit current through it, A
 * @param mostFault largest, A
 * @param source where its figures come from
 */
public record Link(
    Part part,
    double share,
    Endurance stands,
    Endurance ruins,
    List<Protector> protectors,
    double leastFault,
    double mostFault,
    String source) {
  /** Longest time looked at, s. */
  private static final double LONG = 10_800;

  private static final int POINTS = 24;

  public Link {
    protectors = List.copyOf(protectors);
  }

  /** Whether it belongs to the charge side. */
  public boolean charging() {
    return part.kind().ordinal() >= Part.Kind.CHARGER.ordinal();
  }

  /** Returns the current it carries for long, A. */
  public double continuous() {
    return stands.at(LONG);
  }

  /** A current, and what the part stands until somebody ends it. */
  record Worst(double current, double seconds, double limit) {
    double ratio() {
      return current / limit;
    }
  }

  /** The overload short of a short circuit that comes nearest to ruining it. */
  Worst overload() {
    return worst(Math.min(continuous(), 0.98 * leastFault), 0.98 * leastFault);
  }

  /** The short circuit that comes nearest to ruining it. */
  Worst shortCircuit() {
    return worst(leastFault, mostFault);
  }

  private Worst worst(double from, double to) {
    Worst worst = at(to);
    for (int k = 0; k < POINTS; k++) {
      worst = worse(worst, at(from * Math.pow(to / from, (double) k / POINTS)));
    }
    for (Protector p : protectors) {
      for (double knee : p.knees()) {
        if (knee >= from && knee <= to) {
          worst = worse(worst, at(knee));
        }
      }
    }
    return worst;
  }

  private static Worst worse(Worst a, Worst b) {
    return b.ratio() > a.ratio() ? b : a;
  }

  private Worst at(double amperes) {
    double t = Math.min(LONG, Protector.first(protectors, amperes));
    return new Worst(amperes, t, ruins.at(t));
  }
}
