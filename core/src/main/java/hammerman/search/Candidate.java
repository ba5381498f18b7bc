package hammerman.search;

import hammerman.design.Design;

/**
 * A stack that serves the duty.
 *
 * @param design the design with this cell and these counts
 * @param mass of the pack, kg
 * @param cost of the cells
 * @param years life, middle of its band
 * @param margin share of the capacity left after the duty, 0 to 1
 * @param peakTemperature hottest in the duty, K
 * @param sag voltage at the hardest moment, 20 % charge, V
 * @param heat made in the duty, J
 * @param score weighted mean of what each quality falls short by; 0 for the best in all
 * @param best whether no other candidate is at least as good in every quality and better in one
 */
public record Candidate(
    Design design,
    double mass,
    double cost,
    double years,
    double margin,
    double peakTemperature,
    double sag,
    double heat,
    double score,
    boolean best) {

  /** Warmer than cool by so much counts as much as twice the mass, K. */
  private static final double WARM = 20;

  /** Returns the counts as people write them: "13S6P". */
  public String counts() {
    return design.pack().counts();
  }

  /** Returns the cell and the counts: "21 mm power 13S6P". */
  public String name() {
    return design.pack().cell().name() + " " + counts();
  }

  Candidate withScore(double newScore, boolean isBest) {
    return new Candidate(
        design, mass, cost, years, margin, peakTemperature, sag, heat, newScore, isBest);
  }

  /** The qualities as they are, in the order of {@link Weights}, each the smaller the better. */
  double[] qualities() {
    return new double[] {mass, cost, -years, -margin, peakTemperature};
  }

  /**
   * How far each quality falls short, in the order of {@link Weights}: mass and cost as shares
   * above the least there is, life and reserve as shares below what is wanted, heat by what is
   * warmer than cool, {@value #WARM} K counting as one.
   */
  double[] shortfalls(double leastMass, double leastCost, Weights wanted) {
    double cool = design.duty().surroundings().hottestInUse() + Weights.COOL;
    return new double[] {
      above(mass, leastMass),
      above(cost, leastCost),
      below(years, wanted.years()),
      below(margin, wanted.reserve()),
      Math.max(0, peakTemperature - cool) / WARM
    };
  }

  private static double above(double value, double least) {
    return least > 0 ? value / least - 1 : value;
  }

  private static double below(double value, double wanted) {
    return wanted > 0 ? Math.max(0, 1 - value / wanted) : 0;
  }
}
