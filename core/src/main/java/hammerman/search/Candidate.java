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
 * @param score weighted distance from the best of each quality, 0 (best in all) to 1
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

  /** Returns the counts as people write them: "13S6P". */
  public String counts() {
    return design.pack().counts();
  }

  Candidate withScore(double newScore, boolean isBest) {
    return new Candidate(
        design, mass, cost, years, margin, peakTemperature, sag, heat, newScore, isBest);
  }

  /** The qualities in the order of {@link Weights}, each the smaller the better. */
  double[] qualities() {
    return new double[] {mass, cost, -years, -margin, peakTemperature};
  }
}
