package hammerman.life;

/**
 * How far a cell has aged.
 *
 * @param calendar capacity lost to time, as a fraction
 * @param cycle capacity lost to cycling, as a fraction
 * @param resistance growth of the resistance, as a fraction
 */
record Wear(double calendar, double cycle, double resistance) {
  double loss() {
    return calendar + cycle;
  }

  /**
   * Goes on for some days under conditions. Each part is advanced through its own equivalent time
   * or throughput: loss^(1/n) grows in proportion to what was added, so that changing conditions
   * join without a jump.
   */
  Wear advance(AgeingLaw law, Conditions conditions, double days) {
    double n = law.calendarExponent();
    double rate = 0;
    double resistanceRate = 0;
    for (Conditions.Rest rest : conditions.rests()) {
      rate += rest.share() * Math.pow(law.calendarRate(rest), 1 / n);
      resistanceRate += rest.share() * Math.pow(law.calendarResistanceRate(rest), 1 / n);
    }
    double moved =
        conditions.cycling().equivalentCyclesPerDay() * law.throughputPerEquivalentCycle() * days;
    double m = law.cycleExponent();
    double cycleRate = law.cycleRate(conditions.cycling());
    // The calendar part of the resistance is joined through its rate at the wear reached.
    double before = Math.pow(calendar, 1 / n);
    double after = before + rate * days;
    double ratio = rate > 0 ? Math.pow(resistanceRate / rate, n) : 0;
    double resistanceStep = ratio * (Math.pow(after, n) - calendar);
    return new Wear(
        Math.pow(after, n),
        Math.pow(Math.pow(cycle, 1 / m) + Math.pow(cycleRate, 1 / m) * moved, m),
        resistance + resistanceStep + law.cycleResistanceRate(conditions.cycling()) * moved);
  }
}
