package hammerman.pack;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.unit.InvalidValue;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class StripTextTest {
  private static final Strip BRASS = Strip.plain(ConductorMaterial.BRASS, 1e-3, 10e-3, 1);

  @ParameterizedTest
  @CsvSource({
    "0.15x8, BRASS, 0.15, 8, 1, 0",
    "2 x 0.15 x 8 nickel, NICKEL, 0.15, 8, 2, 0",
    "0.2×10 mm Copper + 0.1 steel, COPPER, 0.2, 10, 1, 0.1",
    "0.2 x 10 nickel-plated steel, NICKEL_PLATED_STEEL, 0.2, 10, 1, 0",
    "3x0.1x7alu, ALUMINIUM, 0.1, 7, 3, 0"
  })
  void stripsAreReadAsTyped(
      String typed, ConductorMaterial metal, double t, double w, int layers, double steel) {
    Strip s = StripText.read(typed, BRASS);
    assertThat(s.material()).isEqualTo(metal);
    assertThat(s.thickness() * 1e3).isCloseTo(t, within(1e-9));
    assertThat(s.width() * 1e3).isCloseTo(w, within(1e-9));
    assertThat(s.layers()).isEqualTo(layers);
    assertThat(s.steel() * 1e3).isCloseTo(steel, within(1e-9));
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "8", "0.15x8 gold", "x8", "0x8", "0.15x8 + steel"})
  void whatIsNoneIsRefusedWithACure(String typed) {
    assertThatThrownBy(() -> StripText.read(typed, BRASS)).isInstanceOf(InvalidValue.class);
  }

  @Test
  void whatIsWrittenIsReadBack() {
    Strip s = new Strip(ConductorMaterial.COPPER, 0.2e-3, 10e-3, 2, 0.1e-3);
    assertThat(StripText.read(s.text(), BRASS)).isEqualTo(s);
  }

  /** Copper 0.2 x 10 mm with 0.1 mm of steel: conductances side by side. */
  @Test
  void anOverlayCarriesItsShare() {
    Strip plain = Strip.plain(ConductorMaterial.COPPER, 0.2e-3, 10e-3, 1);
    Strip overlaid = plain.withSteel(0.1e-3);
    double copper = 0.2e-3 * 10e-3 / 1.724e-8;
    double steel = 0.1e-3 * 10e-3 / 1.43e-7;
    assertThat(overlaid.resistance(1, 293.15)).isCloseTo(1 / (copper + steel), within(1e-12));
    assertThat(overlaid.ampacity()).isGreaterThan(plain.ampacity());
    assertThat(overlaid.mass(0.1))
        .isCloseTo((0.2e-3 * 8960 + 0.1e-3 * 7850) * 10e-3 * 0.1, within(1e-12));
    // I² R per length is what its rim sheds at a rise of 20 K.
    double shed = 10 * 2 * (10e-3 + 0.3e-3) * 20;
    assertThat(overlaid.ampacity() * overlaid.ampacity() * overlaid.resistance(1, 293.15))
        .isCloseTo(shed, within(1e-9));
  }
}
