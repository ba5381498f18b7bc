package hammerman.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.simulation.CellTrace;
import hammerman.simulation.Day;
import hammerman.simulation.Outcome;
import java.util.Arrays;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;

/** The four days with every cell in its place, on the worked example. */
class EveryCellTest {
  private static final Forecast BARROW = Forecast.of(Samples.barrow());
  private static final EveryCell CELLS = EveryCell.of(BARROW).orElseThrow();

  /** What is taken for alike in a forecast is nearly so: the quick days tell the same. */
  @Test
  void theQuickDaysTellTheSame() {
    for (Day quick : BARROW.days()) {
      Day day = CELLS.day(quick.kind());
      assertThat(day.served()).as("%s", quick.kind()).isEqualTo(quick.served());
      assertThat(day.left()).isCloseTo(quick.left(), within(0.02));
      assertThat(day.run().endTime())
          .isCloseTo(quick.run().endTime(), within(0.02 * quick.run().endTime()));
      assertThat(day.run().totals().imbalance()).isCloseTo(0, within(1e-3));
    }
  }

  @Test
  void theHottestCellIsInTheMiddleAndTheExtremesAreThoseOfTheTrace() {
    CellTrace c = CELLS.day(Day.Kind.HOTTEST).run().cells().orElseThrow();
    double seen = c.kelvin().stream().flatMapToDouble(Arrays::stream).max().orElseThrow();
    assertThat(c.hottest().value()).isGreaterThanOrEqualTo(seen).isCloseTo(seen, within(0.3));
    double lowest = c.voltage().stream().flatMapToDouble(Arrays::stream).min().orElseThrow();
    assertThat(c.lowest().value()).isLessThanOrEqualTo(lowest).isCloseTo(lowest, within(0.05));
    assertThat(c.hottest().value())
        .isCloseTo(BARROW.thermal().map().orElseThrow().hottest(), within(0.5));
  }

  @Test
  void whereItIsHottestIsSaid() {
    Day day = CELLS.day(Day.Kind.HOTTEST);
    Outcome.Place place = day.run().cells().orElseThrow().hottest().place();
    assertThat(day.where()).isEqualTo(place);
    assertThat(CELLS.words(Day.Kind.HOTTEST))
        .contains("cell " + (place.cell() + 1) + " of group " + (place.group() + 1));
    assertThat(BARROW.days().getFirst().where()).isEqualTo(Outcome.Place.EVERY);
  }

  /** A reserve that is never asked leaves the cells of the first as they are alone. */
  @Test
  void theFirstOfTwoPacksHasItsCellsInTheirPlaces() {
    Design alone = Samples.barrow();
    SecondPack reserve =
        Samples.second(SecondPack.Joining.SWITCH_OVER).withFirstSoc(BARROW.chain().ceiling());
    Forecast spare = Forecast.of(alone.withSecond(reserve));
    EveryCell cells = EveryCell.of(spare).orElseThrow();
    CellTrace same = cells.day(Day.Kind.HOTTEST).run().cells().orElseThrow();
    CellTrace one = CELLS.day(Day.Kind.HOTTEST).run().cells().orElseThrow();
    assertThat(same.hottest().place()).isEqualTo(one.hottest().place());
    assertThat(same.hottest().value()).isCloseTo(one.hottest().value(), within(0.05));
    assertThat(same.lowest().value()).isCloseTo(one.lowest().value(), within(2e-3));
    Forecast both = Forecast.of(alone.withSecond(Samples.second(SecondPack.Joining.PARALLEL)));
    EveryCell shared = EveryCell.of(both).orElseThrow();
    for (Day quick : both.days()) {
      Day day = shared.day(quick.kind());
      assertThat(day.served()).isEqualTo(quick.served());
      assertThat(day.left()).isCloseTo(quick.left(), within(0.02));
      assertThat(day.run().totals().imbalance()).isCloseTo(0, within(1e-3));
      assertThat(day.run().cells().orElseThrow().hottest().value())
          .as("less heat in it, where two share")
          .isLessThan(CELLS.day(quick.kind()).run().cells().orElseThrow().hottest().value());
    }
  }

  @Test
  void withoutALayoutThereIsNoPlace() {
    Design loose = Samples.barrow().withFit(null);
    assertThat(EveryCell.of(Forecast.of(loose))).isEmpty();
  }

  @Test
  void aRunIsGivenUpWhenAsked() {
    Thread.currentThread().interrupt();
    try {
      assertThatThrownBy(() -> Forecast.of(Samples.barrow()))
          .isInstanceOf(CancellationException.class);
    } finally {
      assertThat(Thread.interrupted()).isTrue();
    }
  }
}
