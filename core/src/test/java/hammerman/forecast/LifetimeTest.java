package hammerman.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.cell.Health;
import hammerman.design.Design;
import hammerman.duty.Habits;
import hammerman.unit.Unit;
import org.junit.jupiter.api.Test;

/** What habits cost, until when the duty fits, and what the work costs. */
class LifetimeTest {
  private static final Design BARROW = Samples.barrow();
  private static final Forecast FORECAST = Forecast.of(BARROW);
  private static final Lifetime LIFE = Lifetime.of(FORECAST);

  private static Design stored(double soc) {
    Habits habits = BARROW.duty().habits();
    return BARROW.withDuty(BARROW.duty().withHabits(habits.withStorageSoc(soc)));
  }

  @Test
  void theDearestHabitIsFirstAndGivesWhatItPromises() {
    Lifetime full = Lifetime.of(Forecast.of(stored(1)));
    assertThat(full.habits()).isNotEmpty();
    assertThat(full.habits())
        .extracting(Lifetime.Habit::years)
        .isSortedAccordingTo((a, b) -> Double.compare(b, a));
    for (Lifetime.Habit h : full.habits()) {
      double then = Forecast.of(h.instead()).life().years();
      assertThat(then - Forecast.of(stored(1)).life().years())
          .as(h.what())
          .isCloseTo(h.years(), within(1e-9));
    }
    assertThat(full.habits()).anyMatch(h -> h.what().startsWith("Storing it at 100 %"));
  }

  /** A habit that is good already is not complained about. */
  @Test
  void storedHalfFullItCostsNothing() {
    assertThat(Lifetime.of(Forecast.of(stored(0.4))).habits())
        .noneMatch(h -> h.what().contains("half full"));
  }

  /** The worked example is short on its last cold day, so it stops fitting before it is worn. */
  @Test
  void theDutyStopsFittingWhenTheLastDaySaysSo() {
    double fits = LIFE.fits().orElseThrow();
    assertThat(fits).isBetween(0.05, FORECAST.life().years());
    Design small = BARROW.withCounts(13, 9);
    Lifetime ample = Lifetime.of(Forecast.of(small));
    assertThat(ample.fits().orElse(30)).isGreaterThan(fits);
  }

  @Test
  void thePriceIsThatOfTheCellsOverWhatTheyDeliver() {
    double duties =
        FORECAST.life().years()
            * 365.25
            / 7
            * Unit.PER_WEEK.fromCore(BARROW.duty().habits().cycles());
    double kilowattHours = duties * FORECAST.duty().totals().energyOut() / 3.6e6;
    assertThat(LIFE.duties()).isCloseTo(duties, within(1e-6 * duties));
    assertThat(LIFE.perEnergy() * 3.6e6)
        .isCloseTo(78 * BARROW.pack().cell().price() / kilowattHours, within(1e-6));
    assertThat(LIFE.perDistance()).isPresent();
  }

  /** Used cells reach the end of their life from what they have, not from what they had. */
  @Test
  void usedCellsAreWornToTheEndOfLifeAndNoFurther() {
    Design used = BARROW.withCell(BARROW.pack().cell().withHealth(new Health(0.9, 1.2)));
    Forecast f = Forecast.of(used);
    assertThat(Forecast.worn(f.life()).capacity()).isCloseTo(0.8 / 0.9, within(1e-9));
  }

  /** Used half of the year it lives longer in years, and does fewer duties in each. */
  @Test
  void aSeasonOfUseLengthensTheLife() {
    Habits habits = BARROW.duty().habits();
    Design summer = BARROW.withDuty(BARROW.duty().withHabits(habits.withSeason(6.0)));
    Design rarely =
        BARROW.withDuty(BARROW.duty().withHabits(habits.withCycles(habits.cycles() / 2)));
    Forecast f = Forecast.of(summer);
    assertThat(f.life().years()).isGreaterThan(FORECAST.life().years());
    assertThat(f.life().years()).isCloseTo(Forecast.of(rarely).life().years(), within(1e-9));
  }

  /** Cells that are charged in the heat age by it. */
  @Test
  void chargingInTheHeatCostsLife() {
    var air = BARROW.duty().surroundings();
    Design hot =
        BARROW.withDuty(
            BARROW.duty().withSurroundings(air.withHottestCharging(air.hottestCharging() + 12)));
    assertThat(Forecast.of(hot).life().years()).isLessThan(FORECAST.life().years());
  }
}
