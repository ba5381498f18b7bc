package hammerman.cell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class CellCircuitTest {
  private final CellCircuit circuit = new CellCircuit(Samples.cell("b21700"));

  @ParameterizedTest
  @EnumSource(Chemistry.class)
  void restVoltageAlwaysRisesWithCharge(Chemistry chemistry) {
    double before = chemistry.openCircuit().value(0);
    for (int k = 1; k <= 1000; k++) {
      double now = chemistry.openCircuit().value(k / 1000.0);
      assertThat(now).as("%s at %s", chemistry, k / 1000.0).isGreaterThan(before);
      before = now;
    }
  }

  @ParameterizedTest
  @CsvSource({
    "NMC, 0.5, 3.73",
    "NCA, 0.05, 3.22",
    "LCO, 0.9, 4.11",
    "LMO, 0.3, 3.80",
    "LFP, 0.4, 3.295",
    "LTO, 1.0, 2.70",
    "NA_ION, 0.1, 2.55"
  })
  void restVoltagesAreThoseOfTheClass(Chemistry chemistry, double soc, double volts) {
    assertThat(chemistry.openCircuit().value(soc)).isCloseTo(volts, within(1e-12));
  }

  @Test
  void dropAfterTenSecondsIsR10() {
    double after10 =
        CellCircuit.R0_SHARE
            + CellCircuit.R1_SHARE * (1 - Math.exp(-10 / CellCircuit.TAU1))
            + CellCircuit.R2_SHARE * (1 - Math.exp(-10 / CellCircuit.TAU2));
    assertThat(after10).isCloseTo(1, within(2e-3));
  }

  @Test
  void coldRaisesResistanceByTheArrheniusFactor() {
    assertThat(circuit.temperatureFactor(298.15)).isCloseTo(1, within(1e-12));
    assertThat(circuit.temperatureFactor(273.15))
        .isCloseTo(Math.exp(22_000 / 8.314462618 * (1 / 273.15 - 1 / 298.15)), within(1e-12));
    assertThat(circuit.temperatureFactor(200)).isEqualTo(circuit.temperatureFactor(243.15));
  }

  @Test
  void coldTakesCapacity() {
    assertThat(circuit.capacity(253.15)).isCloseTo(0.75 * 4.5, within(1e-9));
    assertThat(circuit.capacity(298.15)).isCloseTo(4.5, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({"0, 2.2", "0.05, 1.6", "0.5, 1.0", "1, 1.08"})
  void emptyAndFullCellsResistMore(double soc, double factor) {
    assertThat(circuit.socFactor(soc)).isCloseTo(factor, within(1e-9));
  }
}
