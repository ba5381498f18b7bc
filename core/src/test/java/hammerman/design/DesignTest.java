package hammerman.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.guard.Bms;
import hammerman.guard.BmsClass;
import hammerman.guard.Protection;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What follows when counts or the cell change, and what stays. */
class DesignTest {
  private final Design barrow = Samples.barrow();

  private static Bms bms(Design d) {
    return d.guard().protection().bms().orElseThrow();
  }

  @ParameterizedTest
  @CsvSource({"12, 6", "14, 6", "13, 8", "20, 3", "1, 1"})
  void chargeVoltagePerCellAndTheBmsFollowTheCounts(int series, int parallel) {
    Design changed = barrow.withCounts(series, parallel);
    assertThat(changed.chargeVoltagePerCell())
        .isCloseTo(barrow.chargeVoltagePerCell(), within(1e-3));
    assertThat(bms(changed).series()).isEqualTo(series);
    assertThat(changed.pack().parallel()).isEqualTo(parallel);
    assertThat(changed.duty()).isEqualTo(barrow.duty());
  }

  @Test
  void aBmsThatDidNotMatchIsLeftAlone() {
    Design odd = Samples.withBms(barrow, b -> b.withSeries(16));
    assertThat(bms(odd.withCounts(14, 6)).series()).isEqualTo(16);
  }

  @Test
  void countsThereAndBackChangeNothing() {
    Design lower = Samples.withGuard(barrow, g -> g.withCharge(g.charge().withVoltage(53.3)));
    assertThat(lower.withCounts(14, 6).withCounts(13, 6)).isEqualTo(lower);
  }

  @Test
  void theChargeOffsetAndTheBmsVoltagesFollowTheCell() {
    Design gentle = Samples.withGuard(barrow, g -> g.withCharge(g.charge().withVoltage(13 * 4.1)));
    Design phosphate = gentle.withCell(Samples.cell("f32700"));
    // A tenth of a volt below full, as before.
    assertThat(phosphate.chargeVoltagePerCell()).isCloseTo(3.55, within(1e-3));
    assertThat(bms(phosphate).cutOffVoltage())
        .isEqualTo(BmsClass.cutOffFor(Samples.cell("f32700")));
    assertThat(bms(phosphate).overVoltage())
        .isEqualTo(BmsClass.overVoltageFor(Samples.cell("f32700")));
    assertThat(phosphate.pack().counts()).isEqualTo("13S6P");
  }

  @Test
  void aChargeVoltageThatNoChargerHasFollowsToTheNearestThatOneHas() {
    Design wrong = Samples.withGuard(barrow, g -> g.withCharge(g.charge().withVoltage(0.7)));
    // So far below full that another cell would be charged below nothing.
    assertThat(wrong.withCell(Samples.cell("f32700")).guard().charge().voltage()).isEqualTo(0.5);
    assertThat(wrong.withCounts(1, 6).guard().charge().voltage()).isEqualTo(0.5);
    Design high = Samples.withGuard(barrow, g -> g.withCharge(g.charge().withVoltage(1400)));
    assertThat(high.withCounts(20, 6).guard().charge().voltage()).isEqualTo(1500);
  }

  @Test
  void withoutProtectionThereIsNothingToFollow() {
    Design none = Samples.withGuard(barrow, g -> g.withProtection(new Protection.None()));
    assertThat(none.withCounts(14, 5).guard().protection()).isEqualTo(new Protection.None());
    assertThat(none.withCell(Samples.cell("e21700")).guard().protection())
        .isEqualTo(new Protection.None());
  }
}
