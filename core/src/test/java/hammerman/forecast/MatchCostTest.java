package hammerman.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.design.Design;
import hammerman.sort.Matching;
import hammerman.sort.MeasuredCell;
import hammerman.sort.TooFewCells;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Why cells are matched: what the weakest group costs, through the engine. */
class MatchCostTest {
  /** The barrow with a machine that cuts out late, so that the BMS finds the weakest group. */
  private static final Design LATE =
      Samples.barrow()
          .withDuty(
              Samples.barrow()
                  .duty()
                  .withMachine(Samples.barrow().duty().machine().withCutOutVoltage(28)));

  /** Cells that come sorted, as out of two old packs: the first groups weak, the last strong. */
  private static List<MeasuredCell> sorted() {
    List<MeasuredCell> cells = new ArrayList<>();
    for (int k = 0; k < 78; k++) {
      cells.add(MeasuredCell.of("C" + k, 3.6 + 0.012 * k, 0.024 - 0.0001 * k));
    }
    return cells;
  }

  @Test
  void matchedGroupsGiveWhatPerfectOnesGiveAndDealtOnesDoNot() throws TooFewCells {
    List<MeasuredCell> cells = sorted();
    MatchCost cost = MatchCost.of(LATE, Matching.of(cells, 13, 6), cells, true);
    assertThat(cost.matched().usable())
        .isCloseTo(cost.perfect().usable(), within(0.01 * cost.perfect().usable()));
    assertThat(cost.dealt().usable())
        .as("the weakest group holds 3.63 of the mean of 4.06 Ah a cell")
        .isLessThan(0.95 * cost.matched().usable());
    assertThat(cost.dealt().time()).isLessThan(cost.matched().time());
    assertThat(cost.dealt().group()).as("the first is the weakest").isZero();
    assertThat(cost.matched().lowest()).isGreaterThan(30);
  }

  /** Resistances at 1 kHz tell how cells differ, not how much they sag. */
  @Test
  void resistancesOfAlternatingCurrentCountByTheirRatioOnly() throws TooFewCells {
    List<MeasuredCell> cells = sorted();
    Matching m = Matching.of(cells, 13, 6);
    List<MeasuredCell> half =
        cells.stream()
            .map(c -> MeasuredCell.of(c.label(), c.capacity(), c.resistance() / 2))
            .toList();
    MatchCost one = MatchCost.of(LATE, m, cells, false);
    MatchCost other = MatchCost.of(LATE, Matching.of(half, 13, 6), half, false);
    assertThat(other.perfect().usable()).isCloseTo(one.perfect().usable(), within(1e-6));
    assertThat(MatchCost.of(LATE, m, cells, true).perfect().lowest())
        .isNotCloseTo(one.perfect().lowest(), within(1e-3));
  }
}
