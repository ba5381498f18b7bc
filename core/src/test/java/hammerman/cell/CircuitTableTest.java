package hammerman.cell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What loops look up is what the equivalent circuit works out. */
class CircuitTableTest {
  @ParameterizedTest
  @ValueSource(strings = {"b21700", "e18650", "f26650", "l66160", "n18650"})
  void theTablesAreTheCircuit(String id) {
    CellType type = Samples.cell(id);
    CellCircuit circuit = new CellCircuit(type);
    CircuitTable table = CircuitTable.of(type);
    for (double kelvin = 233; kelvin < 363; kelvin += 0.0171) {
      double factor = circuit.temperatureFactor(kelvin);
      assertThat(table.temperatureFactor().value(kelvin))
          .as("factor at %s K", kelvin)
          .isCloseTo(factor, within(2e-6 * factor));
      assertThat(table.reachable().value(kelvin))
          .as("reachable at %s K", kelvin)
          .isCloseTo(circuit.reachable(kelvin), within(1e-6));
    }
    for (double soc = 0; soc <= 1; soc += 0.00037) {
      double place = table.bySoc().place(soc);
      int piece = table.bySoc().piece(place);
      assertThat(table.bySoc().first(piece, place - piece))
          .as("voltage at %s", soc)
          .isCloseTo(circuit.openCircuit(soc), within(1e-9));
      assertThat(table.bySoc().second(piece, place - piece))
          .as("factor at %s", soc)
          .isCloseTo(circuit.socFactor(soc), within(1e-9));
    }
  }
}
