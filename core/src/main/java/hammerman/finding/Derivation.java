package hammerman.finding;

import java.util.List;

/**
 * How a figure came about.
 *
 * @param title what the figure is
 * @param result the figure with its unit
 * @param formula the formula in the field's symbols
 * @param inputs the values that went in
 * @param source paper, standard or "typical for the class"
 * @param validity the range in which the formula holds
 * @param extrapolated whether an input lies outside that range
 */
public record Derivation(
    String title,
    String result,
    String formula,
    List<Input> inputs,
    String source,
    String validity,
    boolean extrapolated) {

  public Derivation {
    inputs = List.copyOf(inputs);
  }

  /**
   * One value that went into a figure.
   *
   * @param symbol its symbol in the formula
   * @param name what it is
   * @param value the value with its unit
   * @param origin where it came from
   */
  public record Input(String symbol, String name, String value, Origin origin) {}
}
