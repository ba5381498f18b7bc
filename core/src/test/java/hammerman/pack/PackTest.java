package hammerman.pack;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.unit.Unit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PackTest {
  /** By hand: counts times the cell's figures; mass with 12 % for the build. */
  @ParameterizedTest
  @CsvSource({
    "b21700, 13, 6, 46.8, 54.6, 32.5, 27.0, 1263.6, 6.1152, 405.6",
    "e18650, 10, 4, 36.0, 42.0, 25.0, 13.6, 489.6, 2.1504, 168.0",
    "fp50, 4, 1, 12.8, 14.6, 10.0, 50.0, 640.0, 5.152, 128.0",
    "l66160, 6, 1, 13.8, 16.8, 9.0, 40.0, 552.0, 8.4, 276.0"
  })
  void figuresByHand(
      String id,
      int series,
      int parallel,
      double nominal,
      double full,
      double cutOff,
      double capacity,
      double energy,
      double mass,
      double cost) {
    Pack pack = Samples.pack(id, series, parallel);
    assertThat(pack.cells()).isEqualTo(series * parallel);
    assertThat(pack.nominalVoltage()).isCloseTo(nominal, within(1e-9));
    assertThat(pack.fullVoltage()).isCloseTo(full, within(1e-9));
    assertThat(pack.cutOffVoltage()).isCloseTo(cutOff, within(1e-9));
    assertThat(pack.capacity()).isCloseTo(capacity, within(1e-9));
    assertThat(Unit.WATT_HOUR.fromCore(pack.energy())).isCloseTo(energy, within(1e-6));
    assertThat(pack.mass()).isCloseTo(mass, within(1e-9));
    assertThat(pack.cost()).isCloseTo(cost, within(1e-9));
  }

  @Test
  void theBoxGrowsWithTheCells() {
    double small = Samples.pack("b18650", 10, 2).surface();
    double large = Samples.pack("b18650", 10, 8).surface();
    assertThat(large).isBetween(2 * small, 4 * small);
    // Twenty cells of 18.5 mm pitch: a floor of about 87 mm a side with the walls, 75 mm high.
    double side = Math.sqrt(20 * 18.5e-3 * 18.5e-3 * Math.sqrt(3) / 2) + 10e-3;
    assertThat(small).isCloseTo(2 * side * side + 4 * side * 75e-3, within(1e-12));
  }

  @Test
  void stripResistanceByHand() {
    // 13 links of six nickel strips, 0.15 x 8 mm, 21.5 mm long, at 20 °C.
    double one = 6.99e-8 * 21.5e-3 / (0.15e-3 * 8e-3);
    assertThat(Assembly.estimated(Samples.pack("b21700", 13, 6)).stripResistance(293.15))
        .isCloseTo(13 * one / 6, within(1e-12));
  }

  @Test
  void twoLayersHalveTheResistance() {
    Strip strip = Samples.barrow().pack().strip();
    assertThat(strip.withLayers(2).resistance(0.02, 293.15))
        .isCloseTo(strip.resistance(0.02, 293.15) / 2, within(1e-15));
    assertThat(strip.withLayers(2).ampacity()).isGreaterThan(1.4 * strip.ampacity());
    assertThat(strip.withLayers(2).text()).isEqualTo("2 × 0.15 × 8 mm nickel");
  }
}
