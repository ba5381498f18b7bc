package hammerman.circuit;

import hammerman.cell.Chemistry;
import hammerman.unit.Reference;

/**
 * What cells of a chemistry can have; wide, typical of datasheets of the class. A figure outside is
 * a misreading, or asks for what ruins the cell.
 *
 * @param full highest full voltage, V
 * @param cutOff lowest cut-off, V
 * @param chargeLowest lowest charge temperature, K
 * @param hottest highest discharge temperature, K
 * @param selfDischarge share of the capacity lost in 30 days at 25 °C, doubling each 10 K
 */
record ChemistryBounds(
    double full, double cutOff, double chargeLowest, double hottest, double selfDischarge) {
  static ChemistryBounds of(Chemistry chemistry) {
    return switch (chemistry) {
      case NMC -> new ChemistryBounds(4.35, 2.5, 273.15, 353.15, 0.02);
      case NCA -> new ChemistryBounds(4.25, 2.5, 273.15, 353.15, 0.02);
      case LCO -> new ChemistryBounds(4.45, 2.5, 273.15, 353.15, 0.02);
      case LMO -> new ChemistryBounds(4.25, 2.5, 273.15, 353.15, 0.03);
      case LFP -> new ChemistryBounds(3.80, 2.0, 273.15, 353.15, 0.02);
      case LTO -> new ChemistryBounds(2.90, 1.5, 243.15, 353.15, 0.02);
      case NA_ION -> new ChemistryBounds(4.10, 1.5, 253.15, 353.15, 0.04);
    };
  }

  /** Returns the share lost each second at a temperature (K). */
  double lossRate(double kelvin) {
    return selfDischarge / (30 * 86400.0) * Math.pow(2, (kelvin - Reference.ROOM) / 10);
  }
}
