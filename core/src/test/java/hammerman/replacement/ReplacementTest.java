package hammerman.replacement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hammerman.cell.Chemistry;
import hammerman.duty.LeadBattery;
import hammerman.project.Shipped;
import hammerman.unit.InvalidValue;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ReplacementTest {
  private static Replacement.Suggestion of(double volts, double charge, Chemistry chemistry) {
    return new Replacement(new LeadBattery(volts, charge))
        .suggest(Shipped.cells()).stream()
            .filter(s -> s.cell().chemistry() == chemistry)
            .findFirst()
            .orElseThrow();
  }

  @ParameterizedTest
  @CsvSource({"12, LFP, 4", "24, LFP, 8", "36, NMC, 10", "48, LFP, 15", "12, LTO, 5", "12, NMC, 3"})
  void theUsualSeriesCounts(double volts, Chemistry chemistry, int series) {
    assertThat(of(volts, 20, chemistry).series()).isBetween(series, series + 1);
    assertThat(of(volts, 20, chemistry).full()).isLessThanOrEqualTo(volts / 2 * 2.45 + 1e-9);
  }

  @Test
  void fourPhosphateGroupsTakeThePlaceOfTwelveVolts() {
    Replacement.Suggestion s = of(12, 36, Chemistry.LFP);
    assertThat(s.fits()).isTrue();
    assertThat(s.series()).isEqualTo(4);
    // 36 Ah · 50 % against 85 %: 21.2 Ah, a little less for 12.8 V.
    double charge = s.parallel() * s.cell().capacity();
    assertThat(charge)
        .isBetween(36 * 0.5 / 0.85 * 12 / 12.8, 36 * 0.5 / 0.85 + s.cell().capacity());
    assertThat(s.changes()).anyMatch(c -> c.contains("14.6 V") && c.contains("desulphating"));
    assertThat(s.changes()).anyMatch(c -> c.startsWith("Cold"));
  }

  @Test
  void whatFitsComesFirst() {
    var all = new Replacement(new LeadBattery(12, 20)).suggest(Shipped.cells());
    assertThat(all.getFirst().fits()).isTrue();
    assertThat(all)
        .extracting(Replacement.Suggestion::fits)
        .isSortedAccordingTo((a, b) -> Boolean.compare(b, a));
  }

  @Test
  void oddVoltagesAreRefused() {
    assertThatThrownBy(() -> new LeadBattery(13.5, 20))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("multiple of 2 V");
  }
}
