package hammerman.life;

import hammerman.cell.CellCircuit;
import hammerman.cell.CellType;
import hammerman.cell.CycleLife;

/**
 * A law whose cycle part is scaled so that it meets the cycle life of a datasheet at the
 * datasheet's own depth, current and temperature. What the test's months took of themselves is
 * counted as cycling: the datasheet does not part them.
 *
 * @param law the law
 * @param factor on its cycle part, of capacity and of resistance
 * @param typical whether the cycle life is only what is typical for the chemistry
 */
record ScaledLaw(AgeingLaw law, double factor, boolean typical) implements AgeingLaw {

  /** Scales a law to a cycle life of a cell. */
  static ScaledLaw of(AgeingLaw law, CellType cell, CycleLife told, boolean typical) {
    double low = 0.5 - 0.5 * told.depth();
    double high = 0.5 + 0.5 * told.depth();
    Conditions.Cycling test =
        Conditions.Cycling.plain(
            1,
            told.depth(),
            new CellCircuit(cell).meanOpenCircuit(low, high),
            0.5,
            told.temperature(),
            told.rate());
    double moved = law.throughputPerEquivalentCycle() * told.cycles() * told.depth();
    double lost = law.cycleRate(test) * Math.pow(moved, law.cycleExponent());
    return new ScaledLaw(law, (1 - told.left()) / lost, typical);
  }

  @Override
  public double calendarExponent() {
    return law.calendarExponent();
  }

  @Override
  public double calendarRate(Conditions.Rest rest) {
    return law.calendarRate(rest);
  }

  @Override
  public double cycleExponent() {
    return law.cycleExponent();
  }

  @Override
  public double cycleRate(Conditions.Cycling cycling) {
    return factor * law.cycleRate(cycling);
  }

  @Override
  public double throughputPerEquivalentCycle() {
    return law.throughputPerEquivalentCycle();
  }

  @Override
  public double calendarResistanceRate(Conditions.Rest rest) {
    return law.calendarResistanceRate(rest);
  }

  @Override
  public double cycleResistanceRate(Conditions.Cycling cycling) {
    return factor * law.cycleResistanceRate(cycling);
  }

  @Override
  public boolean knowsResistance() {
    return law.knowsResistance();
  }

  @Override
  public String source() {
    return law.source()
        + (typical
            ? "; cycling scaled to a cycle life typical for the chemistry"
            : "; cycling scaled to the datasheet's cycle life");
  }

  @Override
  public String validity() {
    return law.validity();
  }

  @Override
  public boolean extrapolates(Conditions conditions) {
    return law.extrapolates(conditions);
  }

  @Override
  public boolean indicative() {
    return law.indicative();
  }
}
