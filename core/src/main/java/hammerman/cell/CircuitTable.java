package hammerman.cell;

import hammerman.numeric.CubicTable;
import hammerman.numeric.LineTable;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import java.util.function.DoubleUnaryOperator;

/**
 * A cell's equivalent circuit as tables, for loops that evaluate it millions of times.
 *
 * <p>By state of charge, in steps of 0.5 %: exact for the classes' own curves, within 0.1 mV for
 * measured ones. By temperature, in steps of 0.05 K from −30 to 80 °C, held outside: the factor of
 * resistance within two millionths of itself, the share of the capacity that can be reached within
 * one.
 *
 * @param bySoc open-circuit voltage, V, and the factor of resistance, 1 in the middle; held below 0
 *     and above 1
 * @param temperatureFactor factor of resistance against 25 °C by temperature, K
 * @param reachable share of the capacity at 25 °C that can be reached by temperature, K
 */
public record CircuitTable(CubicTable bySoc, LineTable temperatureFactor, LineTable reachable) {
  private static final int SOC_PARTS = 200;
  private static final int PER_KELVIN = 20;
  private static final LineTable REACHABLE = byTemperature(CellCircuit::reachableAt);
  private static final Map<Chemistry, LineTable> FACTORS = factors();

  /** Returns the tables of a cell type. */
  public static CircuitTable of(CellType type) {
    return new CircuitTable(
        bySoc(type.openCircuit()::value, CellCircuit::factorAt),
        Objects.requireNonNull(FACTORS.get(type.chemistry())),
        REACHABLE);
  }

  private static Map<Chemistry, LineTable> factors() {
    Map<Chemistry, LineTable> all = new EnumMap<>(Chemistry.class);
    for (Chemistry c : Chemistry.values()) {
      all.put(c, byTemperature(k -> CellCircuit.factorAt(c, k)));
    }
    return Collections.unmodifiableMap(all);
  }

  /** One interval more at either end, where the function is level, holds it outside. */
  private static CubicTable bySoc(DoubleUnaryOperator voltage, DoubleUnaryOperator factor) {
    double beyond = 1.0 / SOC_PARTS;
    return new CubicTable(-beyond, 1 + beyond, SOC_PARTS + 2, voltage, factor);
  }

  private static LineTable byTemperature(DoubleUnaryOperator f) {
    int parts = (int) Math.round((CellCircuit.HOTTEST - CellCircuit.COLDEST) * PER_KELVIN);
    double beyond = 1.0 / PER_KELVIN;
    return new LineTable(CellCircuit.COLDEST - beyond, CellCircuit.HOTTEST + beyond, parts + 2, f);
  }
}
