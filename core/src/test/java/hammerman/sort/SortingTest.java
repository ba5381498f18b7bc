package hammerman.sort;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.pack.MatchedCells;
import hammerman.record.Aside;
import hammerman.record.Fact;
import hammerman.record.InventoryCell;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** Where each cell stands, by each school of measuring. */
class SortingTest {
  private static final Instant NOON = Instant.parse("2026-06-01T12:00:00Z");

  private static Stock.Cell cell(
      int k, double capacity, double ohms, double volts, @Nullable Instant resting) {
    String label = "A" + k;
    return new Stock.Cell(
        k,
        InventoryCell.labelled(label),
        new MeasuredCell(label, capacity, ohms, volts, Double.NaN),
        null,
        null,
        resting,
        null,
        Double.isNaN(capacity + ohms + volts) ? 0 : 1);
  }

  /** Twenty alike, one weak, one below its cut-off, one not measured. */
  private static List<Stock.Cell> cells() {
    List<Stock.Cell> all = new ArrayList<>();
    for (int k = 0; k < 20; k++) {
      all.add(cell(k, 2 + 0.01 * (k % 5), 0.03, 4.1, null));
    }
    all.add(cell(20, 1.2, 0.031, 4.1, null));
    all.add(cell(21, 2, 0.03, 1.9, null));
    all.add(cell(22, Double.NaN, Double.NaN, Double.NaN, null));
    return all;
  }

  private static Sorting sort(List<Stock.Cell> cells, SortPlan plan, @Nullable MatchedCells in) {
    return Sorting.of(new Stock(cells, Map.of()), plan, 2.2, in);
  }

  @Test
  void badCellsArePutAsideAndNewOnesAreNotCalledBad() {
    Sorting s = sort(cells(), SortPlan.USUAL, null);
    assertThat(s.count(CellState.ACCEPTED)).isEqualTo(20);
    assertThat(s.count(CellState.NEW)).isEqualTo(1);
    assertThat(s.entries().get(20).why()).contains("far below");
    assertThat(s.entries().get(21).why()).contains("never revive");
    assertThat(s.accepted()).hasSize(20);
  }

  @Test
  void whatTheBuilderPutsAsideStaysAsideAndSaysWhy() {
    List<Stock.Cell> all = cells();
    all.set(3, aside(all.get(3), "dented"));
    all.set(4, aside(all.get(4), "test failed: the contact was lost"));
    all.set(5, aside(all.get(5), "fell from the bench on to its end"));
    Sorting s = sort(all, SortPlan.USUAL, null);
    assertThat(s.entries().get(3).state()).isEqualTo(CellState.REJECTED);
    assertThat(s.entries().get(3).why()).isEqualTo("dented");
    assertThat(s.accepted()).hasSize(17);
    assertThat(s.entries().subList(3, 6))
        .as("in a narrow column")
        .extracting(Sorting.Entry::cause)
        .containsExactly("dented", "test failed", "by you");
  }

  private static Stock.Cell aside(Stock.Cell c, String why) {
    return new Stock.Cell(
        c.id(),
        c.described(),
        c.measured(),
        new Fact<>(1, NOON, new Aside(c.id(), why), null),
        null,
        null,
        null,
        1);
  }

  @Test
  void cellsInThePackAreSoAndTheOthersAreSpare() {
    MatchedCells pack =
        new MatchedCells(
            List.of(
                new MatchedCells.Group(List.of(new MatchedCells.Cell("A0", 2, null))),
                new MatchedCells.Group(List.of(new MatchedCells.Cell("A7", 2, null)))),
            false);
    Sorting s = sort(cells(), SortPlan.USUAL, pack);
    assertThat(s.entries().get(7).state()).isEqualTo(CellState.IN_PACK);
    assertThat(s.entries().get(7).words()).isEqualTo("group 2");
    assertThat(s.count(CellState.SPARE)).isEqualTo(18);
    assertThat(s.accepted()).as("both are matched anew").hasSize(20);
  }

  @Test
  void aRestingCellWaitsUnlessNoRestIsWanted() {
    List<Stock.Cell> all = cells();
    all.set(0, cell(0, 2, 0.03, 4.1, NOON));
    assertThat(sort(all, SortPlan.USUAL, null).count(CellState.RESTING)).isEqualTo(1);
    assertThat(sort(all, SortPlan.USUAL.withRestDays(0), null).count(CellState.RESTING)).isZero();
  }

  @Test
  void theQuickSchoolTakesTheTypesCapacityAndASampleItsMean() {
    List<Stock.Cell> quick = new ArrayList<>();
    for (int k = 0; k < 6; k++) {
      quick.add(cell(k, Double.NaN, 0.03 + 0.001 * k, 3.6, null));
    }
    SortPlan plan = SortPlan.USUAL.withSchool(SortPlan.School.QUICK);
    assertThat(sort(quick, SortPlan.USUAL, null).accepted()).isEmpty();
    assertThat(sort(quick, plan, null).accepted()).hasSize(6).allMatch(c -> c.capacity() == 2.2);
    assertThat(sort(quick, plan, null).assumed()).hasSize(6);
    quick.set(0, cell(0, 2.4, 0.03, 3.6, null));
    assertThat(sort(quick, plan, null).assumed()).hasSize(5).doesNotContain("A0");
    assertThat(sort(quick, plan.withSchool(SortPlan.School.SAMPLE), null).accepted())
        .hasSize(6)
        .allMatch(c -> c.capacity() == 2.4);
  }

  @Test
  void aLimitSaysWhatItCostsAndWhatItGains() {
    SortPlan plan = SortPlan.USUAL.withRules(RejectRules.USUAL.withLeastCapacity(2.005));
    Sorting.LimitCost cost =
        Sorting.limits(new Stock(cells(), Map.of()), plan, 2.2, null).stream()
            .filter(c -> c.limit().equals("Least capacity"))
            .findFirst()
            .orElseThrow();
    assertThat(cost.cells()).as("A0, A5, A10 and A15 hold 2.00 Ah").isEqualTo(4);
    assertThat(cost.spread()).isLessThan(cost.spreadWithout());
  }
}
