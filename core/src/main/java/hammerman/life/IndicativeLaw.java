package hammerman.life;

import hammerman.cell.Chemistry;

/**
 * The NMC law at the same state of charge, scaled: a likeness for chemistries without an equation
 * of their own here. The factor on the calendar part is typical for the class and only indicative;
 * the cycle part is scaled to a cycle life ({@link ScaledLaw}).
 *
 * @param chemistry the chemistry likened to NMC
 * @param calendarFactor on the calendar part
 */
record IndicativeLaw(Chemistry chemistry, double calendarFactor) implements AgeingLaw {
  private static final NickelLaw LIKE = new NickelLaw();

  static IndicativeLaw of(Chemistry chemistry) {
    return switch (chemistry) {
      case LCO -> new IndicativeLaw(chemistry, 1.2);
      case LMO -> new IndicativeLaw(chemistry, 1.6);
      case LTO -> new IndicativeLaw(chemistry, 0.3);
      case NA_ION -> new IndicativeLaw(chemistry, 1.2);
      case NMC, NCA, LFP ->
          throw new IllegalArgumentException(chemistry.label() + " has an equation of its own");
    };
  }

  @Override
  public double calendarExponent() {
    return LIKE.calendarExponent();
  }

  @Override
  public double calendarRate(Conditions.Rest rest) {
    return calendarFactor * LIKE.calendarRate(alike(rest));
  }

  @Override
  public double cycleExponent() {
    return LIKE.cycleExponent();
  }

  @Override
  public double cycleRate(Conditions.Cycling cycling) {
    return LIKE.cycleRate(alike(cycling));
  }

  @Override
  public double throughputPerEquivalentCycle() {
    return LIKE.throughputPerEquivalentCycle();
  }

  @Override
  public double calendarResistanceRate(Conditions.Rest rest) {
    return calendarFactor * LIKE.calendarResistanceRate(alike(rest));
  }

  @Override
  public double cycleResistanceRate(Conditions.Cycling cycling) {
    return LIKE.cycleResistanceRate(alike(cycling));
  }

  @Override
  public boolean knowsResistance() {
    return true;
  }

  @Override
  public String source() {
    return "likeness: the NMC equations of "
        + LIKE.source()
        + ", at the same state of charge, with a calendar part typical for "
        + chemistry.label();
  }

  @Override
  public String validity() {
    return "indicative only";
  }

  @Override
  public boolean extrapolates(Conditions conditions) {
    return true;
  }

  @Override
  public boolean indicative() {
    return true;
  }

  private static Conditions.Rest alike(Conditions.Rest r) {
    double volts = Chemistry.NMC.openCircuit().value(r.soc());
    return new Conditions.Rest(r.share(), volts, r.soc(), r.temperature());
  }

  private static Conditions.Cycling alike(Conditions.Cycling c) {
    double volts = Chemistry.NMC.openCircuit().value(c.meanSoc());
    return new Conditions.Cycling(
        c.cyclesPerDay(), c.depth(), c.turnover(), volts, c.meanSoc(), c.temperature(), c.rate());
  }
}
