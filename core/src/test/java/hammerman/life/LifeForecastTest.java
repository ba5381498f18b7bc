package hammerman.life;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.cell.CellType;
import hammerman.cell.Health;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** A life against the papers' closed forms under conditions that do not change. */
class LifeForecastTest {
  private static final CellType NMC = Samples.cell("b21700");
  private static final CellType LFP = Samples.cell("f32700");
  private static final double DAYS = 365.25;
  private static final double WARM = 308.15;

  private static Conditions.Rest rest(double share, double volts, double soc, double kelvin) {
    return new Conditions.Rest(share, volts, soc, kelvin);
  }

  private static Conditions use(double perDay) {
    return new Conditions(
        List.of(rest(1, 3.9, 0.65, WARM)),
        Conditions.Cycling.plain(perDay, 0.7, 3.75, 0.55, WARM, 0.5));
  }

  private static double alpha(double volts, double kelvin) {
    return (7.543 * volts - 23.75) * 1e6 * Math.exp(-6976 / kelvin);
  }

  private static double alphaR(double volts, double kelvin) {
    return (5.270 * volts - 16.32) * 1e5 * Math.exp(-5986 / kelvin);
  }

  private static double calendar(double years) {
    return alpha(3.9, WARM) * Math.pow(years * DAYS, 0.75);
  }

  private static double moved(double years, double perDay) {
    return years * DAYS * perDay * 0.7 * 2 * 2.05;
  }

  private static double cycle(double years, double perDay) {
    double beta = 7.348e-3 * Math.pow(3.75 - 3.667, 2) + 7.6e-4 + 4.081e-3 * 0.7;
    return beta * Math.sqrt(moved(years, perDay));
  }

  private static double loss(double years, double perDay) {
    return calendar(years) + cycle(years, perDay);
  }

  /** The band is of the loss: a third more of it ends the life sooner, a third less later. */
  @Test
  void theBandIsThirtyPercentOfTheLossOnEitherSide() {
    LifeForecast life = LifeForecast.of(NMC, use(0.5), 0, 0.8);
    assertThat(loss(life.years(), 0.5)).isCloseTo(0.2, within(2e-5));
    assertThat(1.3 * loss(life.yearsLow(), 0.5)).isCloseTo(0.2, within(2e-5));
    assertThat(0.7 * loss(life.yearsHigh(), 0.5)).isCloseTo(0.2, within(2e-5));
  }

  @Test
  void eachPointOfTheCurveIsOnTheLaw() {
    LifeForecast life = LifeForecast.of(NMC, use(0.5), 0, 0.8);
    assertThat(life.curve().getFirst()).isEqualTo(new LifeForecast.Point(0, 0, 0, 0));
    for (LifeForecast.Point p : life.curve()) {
      double grown =
          alphaR(3.9, WARM) * Math.pow(p.years() * DAYS, 0.75)
              + (2.153e-4 * Math.pow(3.75 - 3.725, 2) - 1.521e-5 + 2.798e-4 * 0.7)
                  * moved(p.years(), 0.5);
      assertThat(p.calendarLoss()).isCloseTo(calendar(p.years()), within(1e-9));
      assertThat(p.cycleLoss()).isCloseTo(cycle(p.years(), 0.5), within(1e-9));
      assertThat(p.resistance()).isCloseTo(grown, within(1e-9));
      assertThat(p.loss()).isEqualTo(p.calendarLoss() + p.cycleLoss());
    }
    assertThat(life.curve().get(1).years()).as("a week").isCloseTo(7 / DAYS, within(1e-12));
    double last = life.curve().getLast().loss();
    assertThat(last).as("as far as the band goes").isBetween(0.2 / 0.7, 0.2 / 0.7 + 1e-3);
  }

  @Test
  void whatTakesMostIsNamed() {
    LifeForecast rested = LifeForecast.of(NMC, use(0.05), 0, 0.8);
    assertThat(rested.limit()).isEqualTo(LifeForecast.Limit.CALENDAR);
    assertThat(rested.calendarShare()).isGreaterThan(0.5);
    LifeForecast worked = LifeForecast.of(NMC, use(3), 0, 0.8);
    assertThat(worked.limit()).isEqualTo(LifeForecast.Limit.CYCLING);
    assertThat(worked.calendarShare())
        .isCloseTo(calendar(worked.years()) / 0.2, within(0.01))
        .isLessThan(0.5);
    assertThat(LifeForecast.Limit.CALENDAR.words()).isEqualTo("time");
    assertThat(LifeForecast.Limit.CYCLING.words()).isEqualTo("cycling");
    assertThat(LifeForecast.Limit.HORIZON.words()).isEqualTo("none within the horizon");
  }

  @Test
  void withinTheHorizonNothingIsMadeUp() {
    Conditions idle =
        new Conditions(
            List.of(rest(1, 3.2, 0.03, 273.15)),
            Conditions.Cycling.plain(0, 0, 3.6, 0.5, 273.15, 1));
    LifeForecast life = LifeForecast.of(NMC, idle, 0, 0.8);
    assertThat(life.yearsLow()).isEqualTo(LifeForecast.HORIZON);
    assertThat(life.yearsHigh()).isEqualTo(LifeForecast.HORIZON);
    assertThat(life.calendarShare()).isEqualTo(1);
    assertThat(life.equivalentFullCycles()).isZero();
    assertThat(life.curve().getLast().years())
        .isBetween(LifeForecast.HORIZON, LifeForecast.HORIZON + 8 / DAYS);
  }

  /** A cell that came with some loss is at the end at once where that is all there may be. */
  @Test
  void wornFromTheFirstDay() {
    LifeForecast life = LifeForecast.of(NMC, use(0.5), 0.2, 0.8);
    assertThat(life.years()).isZero();
    assertThat(life.yearsLow()).isZero();
    assertThat(life.yearsHigh()).isPositive();
    assertThat(life.calendarShare()).isEqualTo(1);
    assertThat(life.limit()).isEqualTo(LifeForecast.Limit.CALENDAR);
    assertThat(life.resistanceGrowth()).hasValue(0);
  }

  /** Half the time warm and half cool add up in equivalent time, not in loss. */
  @Test
  void timesOfTheYearAddUpInTheirEquivalentTime() {
    Conditions two =
        new Conditions(
            List.of(rest(0.25, 4.1, 0.9, 313.15), rest(0.75, 3.7, 0.5, 288.15)),
            Conditions.Cycling.plain(0, 0.5, 3.75, 0.5, 298.15, 1));
    double perDay =
        0.25 * Math.pow(alpha(4.1, 313.15), 1 / 0.75)
            + 0.75 * Math.pow(alpha(3.7, 288.15), 1 / 0.75);
    double growing =
        0.25 * Math.pow(alphaR(4.1, 313.15), 1 / 0.75)
            + 0.75 * Math.pow(alphaR(3.7, 288.15), 1 / 0.75);
    Wear wear = new Wear(0, 0, 0);
    for (int k = 0; k < 40; k++) {
      wear = wear.advance(new NickelLaw(), two, 25);
    }
    assertThat(wear.calendar()).isCloseTo(Math.pow(perDay * 1000, 0.75), within(1e-10));
    assertThat(wear.cycle()).isZero();
    assertThat(wear.resistance()).isCloseTo(Math.pow(growing * 1000, 0.75), within(1e-10));
    assertThat(wear.loss()).isEqualTo(wear.calendar());
  }

  @Test
  void theResistanceGrowsWithWhatTheLawTells() {
    LifeForecast life = LifeForecast.of(NMC, use(0.5), 0, 0.8);
    double atEnd =
        alphaR(3.9, WARM) * Math.pow(life.years() * DAYS, 0.75)
            + (2.153e-4 * Math.pow(3.75 - 3.725, 2) - 1.521e-5 + 2.798e-4 * 0.7)
                * moved(life.years(), 0.5);
    assertThat(life.resistanceGrowth().orElseThrow()).isCloseTo(atEnd, within(2e-3));
    LifeForecast.Point middle = life.curve().get(life.curve().size() / 2);
    assertThat(life.at(middle).resistance()).isEqualTo(1 + middle.resistance());
    assertThat(life.at(middle).capacity()).isCloseTo(1 - middle.loss(), within(1e-12));
  }

  /** No law tells it for LFP: it goes with the loss to the usual value at the end. */
  @Test
  void withoutALawTheResistanceGoesWithTheLoss() {
    LifeForecast life = LifeForecast.of(LFP, use(1), 0, 0.8);
    assertThat(life.resistanceGrowth()).isEqualTo(OptionalDouble.empty());
    LifeForecast.Point end = new LifeForecast.Point(life.years(), 0.15, 0.05, 0);
    assertThat(life.at(end).resistance()).isCloseTo(Health.WORN_RESISTANCE, within(1e-12));
    LifeForecast.Point half = new LifeForecast.Point(life.years(), 0.06, 0.04, 0);
    assertThat(life.at(half).resistance())
        .isCloseTo(1 + (Health.WORN_RESISTANCE - 1) / 2, within(1e-12));
    assertThat(life.at(half).capacity()).isCloseTo(0.9, within(1e-12));
  }

  /** Health is against the beginning of the curve: a used cell has not lost that share twice. */
  @Test
  void whatIsLeftIsAgainstTheBeginning() {
    LifeForecast life = LifeForecast.of(NMC, use(0.5), 0.1, 0.6);
    assertThat(life.at(life.curve().getFirst())).isEqualTo(new Health(1, 1));
    LifeForecast.Point p = new LifeForecast.Point(1, 0.2, 0.08, 0.3);
    assertThat(life.at(p).capacity()).isCloseTo(0.72 / 0.9, within(1e-12));
    LifeForecast.Point dead = new LifeForecast.Point(20, 0.95, 0.3, 30);
    assertThat(life.at(dead)).as("as far as health goes").isEqualTo(new Health(0.2, 10));
  }

  @Test
  void whereItComesFromGoesWithIt() {
    LifeForecast life = LifeForecast.of(NMC, use(0.5), 0, 0.75);
    assertThat(life.endOfLife()).isEqualTo(0.75);
    assertThat(life.conditions()).isEqualTo(use(0.5));
    assertThat(life.source()).isEqualTo(new NickelLaw().source());
    assertThat(life.validity()).isEqualTo(new NickelLaw().validity());
    assertThat(life.extrapolated()).as("35 °C at rest and in use is the paper's own").isFalse();
    assertThat(life.indicative()).isFalse();
    assertThat(life.equivalentFullCycles())
        .isCloseTo(life.years() * DAYS * 0.5 * 0.7, within(1e-6));
  }
}
