package hammerman.sort;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.sort.Rejected.Rule;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class RejectRulesTest {
  private static List<MeasuredCell> sound() {
    List<MeasuredCell> all = new ArrayList<>();
    for (int k = 0; k < 30; k++) {
      all.add(
          new MeasuredCell(
              "S" + k, 2.0 + 0.01 * (k % 7 - 3), 0.05 + 0.001 * (k % 5 - 2), 3.6, 1e-3 / 86400));
    }
    return all;
  }

  private static Rejected only(MeasuredCell bad) {
    List<MeasuredCell> all = sound();
    all.add(4, bad);
    RejectRules.Sorted sorted = RejectRules.USUAL.apply(all);
    assertThat(sorted.rejected()).hasSize(1);
    assertThat(sorted.accepted()).hasSize(30).doesNotContain(bad);
    return sorted.rejected().getFirst();
  }

  private static MeasuredCell cell(double ah, double ohms, double volts, double perDay) {
    return new MeasuredCell("X", ah, ohms, volts, perDay / 86400);
  }

  @Test
  void eachRuleFindsItsCellAndSaysWhy() {
    assertThat(only(cell(2.0, 0.05, 1.9, 1e-3)).rule()).isEqualTo(Rule.BELOW_CUT_OFF);
    assertThat(only(cell(2.0, 0.05, 1.9, 1e-3)).reason())
        .isEqualTo("rests at 1.90 V, below 2.50 V; never revive it");
    assertThat(only(cell(Double.NaN, 0.05, 3.6, 1e-3)).rule()).isEqualTo(Rule.NOT_MEASURED);
    assertThat(only(cell(0, 0.05, 3.6, 1e-3)).rule()).isEqualTo(Rule.NOT_POSSIBLE);
    assertThat(only(cell(2.0, -0.01, 3.6, 1e-3)).rule()).isEqualTo(Rule.NOT_POSSIBLE);
    assertThat(only(cell(2.0, 0.05, 3.6, 12e-3)).reason())
        .isEqualTo("loses 12.0 mV a day at rest, more than 5.00");
    assertThat(only(cell(1.5, 0.05, 3.6, 1e-3)).rule()).isEqualTo(Rule.CAPACITY_LOW);
    assertThat(only(cell(2.9, 0.05, 3.6, 1e-3)).rule()).isEqualTo(Rule.CAPACITY_ODD);
    assertThat(only(cell(2.0, 0.09, 3.6, 1e-3)).rule()).isEqualTo(Rule.RESISTANCE_HIGH);
    assertThat(only(cell(2.0, 0.01, 3.6, 1e-3)).rule()).isEqualTo(Rule.RESISTANCE_ODD);
  }

  @Test
  void cellsThatAreNearlyAlikeAreAllKept() {
    List<MeasuredCell> all = new ArrayList<>();
    for (int k = 0; k < 20; k++) {
      all.add(MeasuredCell.of("A" + k, k == 7 ? 2.02 : 2.0, 0.05));
    }
    assertThat(RejectRules.USUAL.apply(all).rejected()).isEmpty();
  }

  /** A titanate cell rests where others are dead. */
  @Test
  void theCutOffFollowsTheChemistryUnlessOneIsGiven() {
    List<MeasuredCell> titanate = new ArrayList<>();
    for (int k = 0; k < 10; k++) {
      titanate.add(new MeasuredCell("T" + k, 40, 7e-4, 2.3, 0));
    }
    assertThat(RejectRules.USUAL.apply(titanate).rejected()).isEmpty();
    assertThat(RejectRules.USUAL.withLowestVoltage(2.4).apply(titanate).rejected()).hasSize(10);
  }

  @Test
  void aLabelThatStandsTwiceIsNeverCountedTwice() {
    List<MeasuredCell> all = sound();
    all.add(all.getFirst());
    assertThat(RejectRules.USUAL.apply(all).accepted()).hasSize(30);
    all.add(MeasuredCell.of("S1", 2.03, 0.051));
    RejectRules.Sorted sorted = RejectRules.USUAL.apply(all);
    assertThat(sorted.accepted()).hasSize(29);
    assertThat(sorted.rejected()).hasSize(2).allMatch(r -> r.rule() == Rule.TWICE);
  }

  @Test
  void ownLimitsAndKeepingOddOnes() {
    List<MeasuredCell> all = sound();
    all.add(cell(1.5, 0.05, 3.6, 1e-3));
    RejectRules kept = RejectRules.USUAL.withDeviations(null);
    assertThat(kept.apply(all).rejected()).isEmpty();
    assertThat(kept.withLeastCapacity(1.8).apply(all).rejected())
        .singleElement()
        .satisfies(
            r -> assertThat(r.reason()).isEqualTo("holds 1.500 Ah, below your limit of 1.800 Ah"));
  }
}
