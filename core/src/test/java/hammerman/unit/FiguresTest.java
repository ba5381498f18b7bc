package hammerman.unit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FiguresTest {
  @ParameterizedTest
  @CsvSource({
    "54.6, 54.6",
    "9.1666, 9.17",
    "0.016, 0.0160",
    "1263.6, 1264",
    "12834, 12830",
    "999.6, 1000",
    "-3.14159, −3.14",
    "0, 0",
    "99.95, 100",
    "0.99996, 1.00"
  })
  void writesThreeSignificantDigits(double value, String text) {
    assertThat(Figures.number(value)).isEqualTo(text);
  }

  @Test
  void writesUnitsWithASpaceAndNoNegativeZero() {
    assertThat(Figures.of(0.016, Unit.MILLIOHM)).isEqualTo("16.0 mΩ");
    assertThat(Figures.of(307.15, Unit.CELSIUS, 0)).isEqualTo("34 °C");
    assertThat(Figures.fixed(-0.04, 1)).isEqualTo("0.0");
    assertThat(Figures.exact(0.15e-3, Unit.MILLIMETRE)).isEqualTo("0.15 mm");
  }

  @Test
  void roundsFiguresAsTheirDecimalFormDoes() {
    Random random = new Random(3);
    List<Double> values =
        new ArrayList<>(List.of(0.125, -0.125, 2.5, 1.005, 0.0005, 1e15, -3e9, 0.95, 9.9995));
    for (int k = 0; k < 3000; k++) {
      values.add(random.nextGaussian() * Math.pow(10, random.nextInt(-7, 13)));
    }
    for (double value : values) {
      for (int decimals = 0; decimals <= 8; decimals++) {
        BigDecimal as = new BigDecimal(value).setScale(decimals, RoundingMode.HALF_UP);
        String text = as.signum() == 0 ? as.abs().toPlainString() : as.toPlainString();
        assertThat(Figures.fixed(value, decimals)).isEqualTo(text.replace('-', '−'));
      }
    }
  }

  @Test
  void writesWaysInMetresBelowAKilometre() {
    assertThat(Figures.distance(4.98)).isEqualTo("5 m");
    assertThat(Figures.distance(740.4)).isEqualTo("740 m");
    assertThat(Figures.distance(11_130)).isEqualTo("11.1 km");
  }

  @Test
  void writesDurationsInTheUnitsPeopleUse() {
    assertThat(Figures.duration(12)).isEqualTo("12 s");
    assertThat(Figures.duration(1500)).isEqualTo("25 min");
    assertThat(Figures.duration(4 * 3600 + 20 * 60)).isEqualTo("4 h 20 min");
    assertThat(Figures.duration(7200)).isEqualTo("2 h");
    assertThat(Figures.duration(Double.POSITIVE_INFINITY)).isEqualTo("never");
  }

  @Test
  void refusalNamesFieldValueLimitAndCure() {
    assertThatThrownBy(() -> Valid.range("Fuse rating", -3, 0.1, 5000, Unit.AMPERE))
        .isInstanceOf(InvalidValue.class)
        .hasMessage(
            "Fuse rating is −3 A; it must be from 0.1 A to 5000 A. Give a value within these"
                + " limits.");
    assertThatThrownBy(() -> Valid.range("Mass", Double.NaN, 0, 1, Unit.KILOGRAM))
        .hasMessageContaining("not a number");
  }

  @Test
  void noLineEndsBetweenFigureAndUnit() {
    assertThat(Figures.unbroken("Below 15 % it draws 55.0 A for 12 s, at 8 °C by 5 Ah and 3 cells"))
        .isEqualTo(
            "Below 15\u00a0% it draws 55.0\u00a0A for 12\u00a0s, at 8\u00a0°C by 5\u00a0Ah and 3"
                + " cells");
  }

  /** Nobody reads a scatter finer than the figure that scatters. */
  @Test
  void aScatterHasNoDigitThatItsFigureHasNot() {
    assertThat(Figures.scatter(27.8, 0.00165, Unit.WATT)).isEqualTo("± 0.1 W");
    assertThat(Figures.scatter(27.8, 1.31, Unit.WATT)).isEqualTo("± 1.4 W");
    assertThat(Figures.scatter(3_240_000, 72_000, Unit.WATT_HOUR)).isEqualTo("± 20 Wh");
    assertThat(Figures.scatter(300, 2.04, Unit.CELSIUS)).isEqualTo("± 2.1 °C");
    assertThat(Figures.scatter(0, 0.3, Unit.VOLT)).isEqualTo("± 1 V");
  }

  @Test
  void lostHeatIsNotToldToTheMilliwatt() {
    assertThat(Figures.heat(0.0417)).isEqualTo("under 0.1 W");
    assertThat(Figures.heat(0.2894)).isEqualTo("0.29 W");
    assertThat(Figures.heat(8.912)).isEqualTo("8.91 W");
  }
}
