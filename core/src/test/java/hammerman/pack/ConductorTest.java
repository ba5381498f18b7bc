package hammerman.pack;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.guard.Fusing;
import hammerman.guard.Guard;
import hammerman.guard.Leads;
import hammerman.guard.Protection;
import hammerman.guard.Wire;
import hammerman.guard.Wiring;
import hammerman.unit.QuantityText;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ConductorTest {
  @Test
  void nickelStripCarriesSevenAndAHalfAmperes() {
    Strip strip = Strip.plain(ConductorMaterial.NICKEL, 0.15e-3, 8e-3, 1);
    assertThat(strip.ampacity()).isCloseTo(7.5, within(0.2));
  }

  @Test
  void copperOfTheSameSizeCarriesTwice() {
    Strip nickel = Strip.plain(ConductorMaterial.NICKEL, 0.15e-3, 8e-3, 1);
    double ratio = nickel.withMaterial(ConductorMaterial.COPPER).ampacity() / nickel.ampacity();
    assertThat(ratio).isCloseTo(Math.sqrt(6.99 / 1.724), within(1e-9));
  }

  /**
   * Published ampacities of single copper conductors in free air at 30 °C with 90 °C insulation;
   * the model, with h = 10 W/m²K, must be on the safe side of them but not by more than a third.
   */
  @ParameterizedTest
  @CsvSource({"14, 35", "12, 40", "10, 55", "8, 80", "6, 105", "4, 140"})
  void wireAmpacityIsSafelyBelowThePublishedTable(int gauge, double published) {
    Wire wire =
        new Wire(
            ConductorMaterial.COPPER, QuantityText.awgArea(gauge), 273.15 + 90, Wire.Laid.FREE);
    assertThat(wire.ampacity(273.15 + 30)).isBetween(published * 0.67, published * 1.02);
  }

  @Test
  void areaForACurrentGivesThatAmpacity() {
    Wire wire = Samples.barrow().guard().wiring().wire();
    double area = wire.areaFor(75, 311.15);
    assertThat(wire.withArea(area).ampacity(311.15)).isCloseTo(75, within(0.05));
  }

  @Test
  void shortTimesAllowMoreAndLongTimesTheSame() {
    double area = 8e-6;
    double perimeter = 0.016;
    ConductorMaterial copper = ConductorMaterial.COPPER;
    assertThat(copper.shortTimeFactor(area, perimeter, 1e6)).isCloseTo(1, within(1e-9));
    double adiabatic = Math.sqrt(8960 * 385 * area / (10 * perimeter) / 1.0);
    assertThat(copper.shortTimeFactor(area, perimeter, 1)).isCloseTo(adiabatic, within(0.05));
  }

  @Test
  void leadsCountOutAndBackAndEveryConnector() {
    Wiring wiring = Samples.barrow().guard().wiring();
    Wiring plain =
        wiring
            .withWire(wiring.wire().withArea(10e-6))
            .withLeads(new Leads(0.2, 0.3, 0.5, 0.8, 0.2))
            .withSlack(0.1);
    Guard bare =
        Samples.barrow()
            .guard()
            .withWiring(plain)
            .withProtection(new Protection.None())
            .withFusing(new Fusing.BmsOnly())
            .withMainSwitch(null);
    double out = 1.724e-8 * 0.7 * 1.1 / 10e-6;
    double back = 1.724e-8 * 1.3 * 1.1 / 10e-6;
    assertThat(bare.own(293.15)).isCloseTo(out, within(1e-12));
    assertThat(bare.shared(293.15)).isCloseTo(back + 2 * 0.45e-3, within(1e-12));
    assertThat(bare.resistance(293.15)).isCloseTo(out + back + 2 * 0.45e-3, within(1e-12));
  }
}
