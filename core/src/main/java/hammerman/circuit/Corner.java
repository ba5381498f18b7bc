package hammerman.circuit;

import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.StringJoiner;

/**
 * The conditions at which a stress is worst.
 *
 * @param soc state of charge, 0 to 1; not a number where it does not matter
 * @param kelvin temperature, K; not a number where it does not matter
 */
public record Corner(double soc, double kelvin) {
  /** Neither charge nor temperature matters. */
  public static final Corner ANY = new Corner(Double.NaN, Double.NaN);

  static Corner at(double kelvin) {
    return new Corner(Double.NaN, kelvin);
  }

  static Corner full() {
    return new Corner(1, Double.NaN);
  }

  /** Returns it in words, such as “full, 38 °C”; empty where neither matters. */
  public String words() {
    StringJoiner all = new StringJoiner(", ");
    if (!Double.isNaN(soc)) {
      all.add(soc >= 1 ? "full" : "at " + Figures.of(soc, Unit.PERCENT, 0));
    }
    if (!Double.isNaN(kelvin)) {
      all.add(Figures.of(kelvin, Unit.CELSIUS, 0));
    }
    return all.toString();
  }
}
