package hammerman.life;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.cell.CellCircuit;
import hammerman.cell.CellType;
import hammerman.cell.CycleLife;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The papers' formulas against values worked out apart from this code. */
class AgeingTest {
  private static final CellType NMC = Samples.cell("b21700");

  private static Conditions.Rest rest(double volts, double soc, double celsius) {
    return new Conditions.Rest(1, volts, soc, celsius + 273.15);
  }

  private static Conditions.Cycling cycling(
      double volts, double depth, double celsius, double rate) {
    return Conditions.Cycling.plain(1, depth, volts, 0.5, celsius + 273.15, rate);
  }

  @ParameterizedTest
  @CsvSource({
    "3.7, 25, 2.867759e-04, 6.065944e-04",
    "3.9, 35, 8.350395e-04, 1.549585e-03",
    "4.1, 50, 3.023913e-03, 4.768474e-03",
    "4.2, 40, 1.677208e-03, 2.902318e-03"
  })
  void calendarRatesOfNmc(double volts, double celsius, double alpha, double alphaR) {
    NickelLaw law = new NickelLaw();
    assertThat(law.calendarRate(rest(volts, 0.5, celsius))).isCloseTo(alpha, within(alpha * 1e-6));
    assertThat(law.calendarResistanceRate(rest(volts, 0.5, celsius)))
        .isCloseTo(alphaR, within(alphaR * 1e-6));
  }

  @ParameterizedTest
  @CsvSource({
    "3.7, 0.8, 4.032802e-03, 2.087646e-04",
    "3.667, 1.0, 4.841000e-03, 2.653143e-04",
    "3.9, 0.3, 2.383216e-03, 7.532356e-05",
    "3.55, 0.1, 1.268687e-03, 1.936356e-05"
  })
  void cycleRatesOfNmc(double volts, double depth, double beta, double betaR) {
    NickelLaw law = new NickelLaw();
    assertThat(law.cycleRate(cycling(volts, depth, 35, 1))).isCloseTo(beta, within(beta * 1e-6));
    assertThat(law.cycleResistanceRate(cycling(volts, depth, 35, 1)))
        .isCloseTo(betaR, within(betaR * 1e-5));
  }

  @ParameterizedTest
  @CsvSource({
    "0.5, 25, 9.519829e-04",
    "2, 25, 8.164419e-04",
    "6, 45, 1.869630e-03",
    "10, 25, 1.929891e-03"
  })
  void cycleRatesOfPhosphate(double rate, double celsius, double expected) {
    assertThat(new PhosphateLaw().cycleRate(cycling(3.3, 1, celsius, rate)))
        .isCloseTo(expected, within(expected * 1e-6));
  }

  @ParameterizedTest
  @CsvSource({"0.5, 25, 2.225377e-03", "1.0, 25, 3.545222e-03", "0.2, 40, 2.701421e-03"})
  void calendarRatesOfPhosphate(double soc, double celsius, double afterADay) {
    assertThat(new PhosphateLaw().calendarRate(rest(3.3, soc, celsius)))
        .isCloseTo(afterADay, within(afterADay * 1e-6));
  }

  @Test
  void aYearOfStorageLosesWhatThePaperSays() {
    Conditions idle =
        new Conditions(
            List.of(rest(3.9, 0.65, 35)), Conditions.Cycling.plain(0, 0, 3.9, 0.5, 308.15, 1));
    Wear wear = new Wear(0, 0, 0);
    for (int week = 0; week < 73; week++) {
      wear = wear.advance(new NickelLaw(), idle, 5);
    }
    assertThat(wear.calendar()).isCloseTo(0.069731, within(1e-6));
    assertThat(wear.cycle()).isZero();
  }

  @Test
  void conditionsThatChangeJoinThroughEquivalentTime() {
    // Hot first or cold first: the same loss, because each part adds up in its own equivalent time.
    Conditions hot = new Conditions(List.of(rest(4.1, 0.9, 45)), cycling(3.8, 0.8, 40, 1));
    Conditions cold = new Conditions(List.of(rest(3.7, 0.5, 15)), cycling(3.7, 0.4, 20, 1));
    AgeingLaw law = new NickelLaw();
    Wear a = new Wear(0, 0, 0).advance(law, hot, 100).advance(law, cold, 300);
    Wear b = new Wear(0, 0, 0).advance(law, cold, 300).advance(law, hot, 100);
    assertThat(a.loss()).isCloseTo(b.loss(), within(1e-12));
  }

  @Test
  void lifeEndsWhereTheLossCrossesWithABandAroundIt() {
    Conditions use =
        new Conditions(
            List.of(rest(3.9, 0.65, 30)),
            Conditions.Cycling.plain(0.5, 0.7, 3.75, 0.55, 308.15, 0.5));
    LifeForecast life = LifeForecast.of(NMC, use, 0, 0.8);
    double days = life.years() * 365.25;
    double calendar = (7.543 * 3.9 - 23.75) * 1e6 * Math.exp(-6976 / 303.15) * Math.pow(days, 0.75);
    double moved = days * 0.5 * 0.7 * 2 * 2.05;
    double cycle =
        (7.348e-3 * Math.pow(3.75 - 3.667, 2) + 7.6e-4 + 4.081e-3 * 0.7) * Math.sqrt(moved);
    assertThat(calendar + cycle).isCloseTo(0.2, within(5e-4));
    assertThat(life.yearsLow()).isLessThan(life.years());
    assertThat(life.yearsHigh()).isGreaterThan(life.years());
    assertThat(life.equivalentFullCycles()).isCloseTo(days * 0.35, within(0.1));
    assertThat(life.calendarShare()).isCloseTo(calendar / 0.2, within(0.01));
  }

  @Test
  void otherChemistriesAreMarkedIndicative() {
    Conditions use = new Conditions(List.of(rest(2.3, 0.6, 25)), cycling(2.3, 0.5, 25, 1));
    assertThat(LifeForecast.of(Samples.cell("l66160"), use, 0, 0.8).indicative()).isTrue();
    assertThat(LifeForecast.of(NMC, use, 0, 0.8).indicative()).isFalse();
  }

  @Test
  void restingColdAndLowIsNotLimitedWithinTheHorizon() {
    Conditions idle =
        new Conditions(
            List.of(rest(3.2, 0.03, 0)), Conditions.Cycling.plain(0, 0, 3.6, 0.5, 273.15, 1));
    LifeForecast life = LifeForecast.of(NMC, idle, 0, 0.8);
    assertThat(life.limit()).isEqualTo(LifeForecast.Limit.HORIZON);
    assertThat(life.years()).isEqualTo(LifeForecast.HORIZON);
  }

  private static Conditions hard(double cyclesPerDay, double turnover) {
    return new Conditions(
        List.of(rest(3.9, 0.65, 35)),
        new Conditions.Cycling(cyclesPerDay, 0.8, turnover, 3.75, 0.55, 308.15, 1));
  }

  /** What braking gives back has gone through the cell too, and is taken out again. */
  @Test
  void chargeGivenBackOnTheWayAgesAsWell() {
    LifeForecast without = LifeForecast.of(NMC, hard(1, 0.8), 0, 0.8);
    LifeForecast with = LifeForecast.of(NMC, hard(1, 1.0), 0, 0.8);
    assertThat(with.years()).isLessThan(without.years());
    assertThat(with.equivalentFullCycles() / (with.years() * 365.25)).isCloseTo(1, within(1e-9));
  }

  /** A life of days is not told in weeks: the loss at its end is the allowed one. */
  @Test
  void aShortLifeIsToldFromAsManySteps() {
    Conditions use = hard(60, 0.8);
    LifeForecast life = LifeForecast.of(NMC, use, 0, 0.95);
    double days = life.years() * 365.25;
    assertThat(days).isLessThan(14);
    double calendar = (7.543 * 3.9 - 23.75) * 1e6 * Math.exp(-6976 / 308.15) * Math.pow(days, 0.75);
    double moved = days * 60 * 0.8 * 2 * 2.05;
    double cycle =
        (7.348e-3 * Math.pow(3.75 - 3.667, 2) + 7.6e-4 + 4.081e-3 * 0.8) * Math.sqrt(moved);
    assertThat(calendar + cycle).isCloseTo(0.05, within(5e-4));
    assertThat(life.curve()).hasSizeGreaterThan(50);
  }

  @Test
  void aUsedCellStartsFromWhatItHasLost() {
    LifeForecast fresh = LifeForecast.of(NMC, hard(0.5, 0.8), 0, 0.7);
    LifeForecast used = LifeForecast.of(NMC, hard(0.5, 0.8), 0.15, 0.7);
    assertThat(used.years()).isLessThan(fresh.years());
    assertThat(used.curve().getFirst().loss()).isEqualTo(0.15);
    assertThat(LifeForecast.of(NMC, hard(0.5, 0.8), 0.4, 0.7).years()).isZero();
  }

  /** What the datasheet tells is met where it was tested, whatever the law says of itself. */
  @ParameterizedTest
  @CsvSource({
    "b21700, 1200, 0.8, 0.8, 0.5, 25",
    "f32700, 3000, 0.8, 1.0, 1.0, 25",
    "l66160, 20000, 0.9, 0.6, 2.0, 35",
    "n18650, 4000, 0.7, 1.0, 0.5, 20"
  })
  void theDatasheetsCyclesAreMet(
      String id, double cycles, double left, double depth, double rate, double celsius) {
    double kelvin = celsius + 273.15;
    CellType cell =
        Samples.cell(id).withCycleLife(new CycleLife(cycles, left, depth, rate, kelvin));
    double volts = new CellCircuit(cell).meanOpenCircuit(0.5 - depth / 2, 0.5 + depth / 2);
    // So many a day that time itself takes next to nothing.
    Conditions test =
        new Conditions(
            List.of(rest(volts, 0.5, celsius)),
            Conditions.Cycling.plain(2000, depth, volts, 0.5, kelvin, rate));
    LifeForecast life = LifeForecast.of(cell, test, 0, left);
    double lasted = life.equivalentFullCycles() / depth;
    assertThat(lasted).isCloseTo(cycles, within(0.03 * cycles));
    assertThat(life.source()).contains("datasheet's cycle life");
  }

  /** Classes without a law of their own have the cycle life that is typical, and say so. */
  @ParameterizedTest
  @CsvSource({"m18650, 700", "hp50, 600", "n18650, 2500", "l66160, 12000"})
  void withoutALawTheTypicalCyclesCount(String id, double cycles) {
    CellType cell = Samples.cell(id);
    double volts = new CellCircuit(cell).meanOpenCircuit(0, 1);
    Conditions test =
        new Conditions(
            List.of(rest(volts, 0.5, 25)),
            Conditions.Cycling.plain(2000, 1, volts, 0.5, 298.15, 1));
    LifeForecast life = LifeForecast.of(cell, test, 0, 0.8);
    assertThat(life.equivalentFullCycles()).isCloseTo(cycles, within(0.03 * cycles));
    assertThat(life.source()).contains("typical for the chemistry");
    assertThat(life.indicative()).isTrue();
  }
}
