package hammerman.unit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.unit.QuantityText.Reading;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class QuantityTextTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          450 g       | KILOGRAM          | 0.45
          1.2kg       | KILOGRAM          | 1.2
          1,2 kg      | GRAM              | 1.2
          36 V        | VOLT              | 36
          3600mV      | VOLT              | 3.6
          25 min      | SECOND            | 1500
          2 h 30 min  | HOUR              | 9000
          90          | MINUTE            | 5400
          4 mm2       | SQUARE_MILLIMETRE | 4e-6
          4 mm²       | SQUARE_MILLIMETRE | 4e-6
          −180        | WATT              | -180
          -180 W      | WATT              | -180
          1.2 kW      | WATT              | 1200
          16mΩ        | OHM               | 0.016
          16 mohm     | OHM               | 0.016
          20 °C       | CELSIUS           | 293.15
          20 C        | CELSIUS           | 293.15
          68 °F       | CELSIUS           | 293.15
          15 Wh/km    | WATT_HOUR_PER_KILOMETRE | 54
          18 km/h     | METRE_PER_SECOND  | 5
          80 %        | PERCENT           | 0.8
          1 280 Wh    | WATT_HOUR         | 4608000
          .5 A        | AMPERE            | 0.5
          """)
  void readsWhatPeopleType(String text, Unit unit, double core) {
    assertThat(QuantityText.read(text, unit))
        .isInstanceOfSatisfying(
            Reading.Understood.class,
            u -> assertThat(u.core()).isCloseTo(core, within(Math.abs(core) * 1e-9)));
  }

  @ParameterizedTest
  @CsvSource({"12 AWG, 3.309e-6", "AWG 10, 5.261e-6", "0 AWG, 53.49e-6", "2/0 AWG, 67.43e-6"})
  void readsWireGauges(String text, double area) {
    assertThat(QuantityText.read(text, Unit.SQUARE_MILLIMETRE))
        .isInstanceOfSatisfying(
            Reading.Understood.class,
            u -> assertThat(u.core()).isCloseTo(area, within(area * 1e-3)));
  }

  @Test
  void saysWhyATextIsNotUnderstood() {
    assertThat(why("lots", Unit.VOLT)).contains("“lots”", "a voltage", "12 V");
    assertThat(why("5 kg", Unit.VOLT)).contains("kg", "a mass", "a voltage");
    assertThat(why("5 furlongs", Unit.METRE)).contains("furlongs", "mm");
    assertThat(why("", Unit.AMPERE)).contains("a current");
    assertThat(why("3 V 4 V", Unit.VOLT)).contains("not a voltage");
    assertThat(why("1.2.3", Unit.VOLT)).contains("1.2.3");
    assertThat(why("NaN", Unit.VOLT)).contains("NaN");
  }

  private static String why(String text, Unit unit) {
    return ((Reading.NotUnderstood) QuantityText.read(text, unit)).why();
  }

  @Test
  void figuresInARowArePartedByBlanksOrSemicolons() {
    assertThat(QuantityText.readRow(" 3,61  3.62V;3620mV ", Unit.VOLT))
        .isInstanceOfSatisfying(
            QuantityText.Row.Understood.class,
            u -> assertThat(u.values()).containsExactly(3.61, 3.62, 3.62));
    assertThat(QuantityText.readRow("3.61 x 3.62", Unit.VOLT))
        .isEqualTo(
            new QuantityText.Row.NotUnderstood("“x” is not a voltage; part them by blanks."));
  }
}
