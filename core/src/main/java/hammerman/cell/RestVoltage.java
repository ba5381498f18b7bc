package hammerman.cell;

import hammerman.numeric.MonotoneCubic;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import java.util.List;

/**
 * A cell's own rested voltage curve.
 *
 * @param volts strictly increasing voltages at the states of charge of {@link #SOC}, V
 */
public record RestVoltage(List<Double> volts) {
  /** States of charge of the points, 0 to 1. */
  public static final List<Double> SOC = List.of(0.0, .05, .1, .2, .3, .4, .5, .6, .7, .8, .9, 1.0);

  public RestVoltage {
    volts = List.copyOf(volts);
    Valid.count("Points of the rested voltage", volts.size(), SOC.size(), SOC.size());
    for (int k = 0; k < volts.size(); k++) {
      Valid.range("Rested voltage", volts.get(k), 0.5, 6, Unit.VOLT);
      if (k > 0 && !(volts.get(k) > volts.get(k - 1))) {
        throw new InvalidValue(
            "Rested voltage at " + Figures.of(SOC.get(k), Unit.PERCENT, 0),
            Figures.exact(volts.get(k), Unit.VOLT),
            "it must be above the " + Figures.exact(volts.get(k - 1), Unit.VOLT) + " before it",
            "Rested voltage rises with charge; check the points.");
      }
    }
  }

  MonotoneCubic curve() {
    return new MonotoneCubic(
        SOC.stream().mapToDouble(Double::doubleValue).toArray(),
        volts.stream().mapToDouble(Double::doubleValue).toArray());
  }
}
