package hammerman.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.cell.Health;
import hammerman.design.Design;
import hammerman.duty.Task;
import hammerman.forecast.Ensemble.Member;
import hammerman.forecast.Spread.What;
import hammerman.pack.Lot;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What is not known exactly makes a band, and what decides it is named. */
class SpreadTest {
  private static final Design BARROW = Samples.barrow();

  private static Spread spread(Design d, int members) {
    return Spread.of(Ensemble.NONE.grown(Forecast.of(d), members));
  }

  private static Design of(Lot lot) {
    return BARROW.withPack(BARROW.pack().withLot(lot));
  }

  @Test
  void anEnsembleGrownInPartsIsTheOneGrownAtOnce() {
    Forecast f = Forecast.of(BARROW);
    Ensemble parts = Ensemble.NONE.grown(f, 3).grown(f, 5);
    assertThat(parts).isEqualTo(Ensemble.NONE.grown(f, 8));
    assertThat(parts.members().stream().distinct()).hasSize(8);
  }

  @Test
  void theBandHoldsTheForecastOfTheMiddleAndTheLoadDecides() {
    Forecast f = Forecast.of(BARROW);
    Spread s = spread(BARROW, 60);
    assertThat(s.time().low()).isLessThan(f.onward().endTime());
    assertThat(s.time().high()).isGreaterThan(f.onward().endTime());
    assertThat(s.time().middle()).isCloseTo(f.onward().endTime(), within(0.1 * s.time().middle()));
    assertThat(s.distance().low() / s.time().low())
        .as("the load is heavier, not faster")
        .isCloseTo(f.range() / f.onward().endTime(), within(0.06));
    assertThat(s.causes().getFirst().what()).isEqualTo(What.LOAD);
    assertThat(s.causes().stream().mapToDouble(Spread.Cause::share).sum())
        .as("drawn independently, the shares add up")
        .isBetween(0.85, 1.25);
    assertThat(s.hottest().low()).isGreaterThan(BARROW.duty().surroundings().coldestInUse());
    assertThat(s.sag().low()).isLessThan(s.sag().high());
    assertThat(s.years().low()).isLessThan(f.life().years());
    assertThat(s.years().high()).isGreaterThan(f.life().years());
  }

  /** Cells that are worn out already have a life of nothing, and no figure that is none. */
  @Test
  void cellsThatAreWornOutAlreadyHaveFiguresAllTheSame() {
    Spread s = spread(BARROW.withCell(BARROW.pack().cell().withHealth(new Health(0.75, 1.5))), 20);
    assertThat(s.years().low()).isZero();
    assertThat(s.years().high()).isBetween(0.0, 0.5);
  }

  /** Cells of which nothing is known matter more, and shorten what can be counted on. */
  @Test
  void cellsOfWhichNothingIsKnownShortenWhatCanBeCountedOn() {
    Spread batch = spread(of(Lot.ONE_BATCH), 60);
    Spread unknown = spread(of(Lot.UNKNOWN), 60);
    assertThat(unknown.time().low()).isLessThan(batch.time().low());
    assertThat(unknown.time().middle()).isLessThan(batch.time().middle());
  }

  private static double share(Spread s, What what) {
    return s.causes().stream().filter(c -> c.what() == what).findFirst().orElseThrow().share();
  }

  /** A pack that goes on for a month is not run two hundred times, and a great one not at all. */
  @Test
  void packsAreDrawnOnlyWhereThatDoesNotTakeTooLong() {
    assertThat(Ensemble.enough(Forecast.of(BARROW))).isEqualTo(200);
    Design month = BARROW.withDuty(BARROW.duty().withTask(new Task.ByTime(1.2, 20 * 86_400.0)));
    assertThat(Ensemble.enough(Forecast.of(month))).isEqualTo(Ensemble.FIRST);
    assertThat(Ensemble.enough(Forecast.of(month.withCounts(13, 24)))).isZero();
  }

  /** Cells far apart want short steps, so fewer packs of them can be drawn in the same time. */
  @Test
  void fewerAreDrawnWhereTheirCellsWantShortSteps() {
    Task.ByTime slow = new Task.ByTime(40, 6 * 3600.0);
    Design batch = of(Lot.ONE_BATCH).withDuty(BARROW.duty().withTask(slow));
    Design unknown = of(Lot.UNKNOWN).withDuty(BARROW.duty().withTask(slow));
    int many = Ensemble.enough(Forecast.of(batch));
    assertThat(Ensemble.enough(Forecast.of(unknown)))
        .isBetween(Ensemble.FIRST, many - Ensemble.FIRST);
  }

  /** Colder never goes farther, and worn cells never as far as new ones. */
  @Test
  void inColderAirTheSameLoadGoesOnLessLong() {
    Forecast f = Forecast.of(BARROW);
    AirSweep sweep = AirSweep.of(f);
    assertThat(sweep.wanted()).isEqualTo(f.design().duty().task().load().duration());
    assertThat(sweep.points().getFirst().air()).isCloseTo(253.15, within(1e-9));
    assertThat(sweep.points().getLast().air()).isCloseTo(318.15, within(1e-9));
    for (int k = 1; k < sweep.points().size(); k++) {
      AirSweep.Point cold = sweep.points().get(k - 1);
      AirSweep.Point warm = sweep.points().get(k);
      assertThat(warm.fresh()).as("in %s K", warm.air()).isGreaterThanOrEqualTo(cold.fresh());
      assertThat(warm.worn()).isGreaterThanOrEqualTo(cold.worn()).isLessThan(warm.fresh());
    }
    assertThat(sweep.points().getLast().fresh())
        .isCloseTo(f.onward().endTime(), within(0.1 * f.onward().endTime()));
  }

  /** Members whose time follows the air alone, in closed form. */
  @Test
  void percentilesAndSharesFollowTheirDefinitions() {
    List<Member> members =
        IntStream.rangeClosed(0, 100)
            .mapToObj(k -> new Member(1 + k % 2, 280 + k, 1, 1, 1, 1000 + 10 * k, k, 40, 300, 5))
            .toList();
    Spread s = Spread.of(new Ensemble(members));
    assertThat(s.time()).isEqualTo(new Spread.Band(1050, 1500, 1950));
    assertThat(s.distance().middle()).isEqualTo(50);
    assertThat(s.causes().getFirst()).isEqualTo(new Spread.Cause(What.AIR, 1));
    assertThat(share(s, What.CAPACITY)).isZero();
    assertThat(share(s, What.LOAD)).isLessThan(0.01);
    assertThatThrownBy(() -> Spread.of(Ensemble.NONE)).hasMessageContaining("no spread");
  }

  /** Where two causes go together by chance, they share what there is. */
  @Test
  void sharesAreNeverMoreThanAllOfIt() {
    List<Ensemble.Member> members =
        IntStream.range(0, 20)
            .mapToObj(k -> new Ensemble.Member(1 + k, 280 + k, 1, 1, 1, 100 - k, 0, 40, 300, 5))
            .toList();
    Spread s = Spread.of(new Ensemble(members));
    assertThat(s.causes().stream().mapToDouble(Spread.Cause::share).sum())
        .isCloseTo(1, within(1e-9));
    assertThat(s.causes().getFirst().share()).isCloseTo(0.5, within(1e-9));
  }
}
