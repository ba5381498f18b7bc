package hammerman.simulation;

import hammerman.cell.CellCircuit;
import hammerman.cell.CellType;

/**
 * How long a step may be in which cells side by side keep the current between them that flows at
 * its start. That current evens out the voltages which drive it: charge moves the open-circuit
 * voltages together, and polarisation builds up. Where a step does that more than once over, the
 * current swings about; where it does so more than twice over, it swings ever further.
 */
final class SharedStep {
  /** Longest that a step of cells apart is, s: a minute's events are met by it. */
  private static final double LONGEST = 10;

  private static final double SHORTEST = 0.1;
  private static final double SHORTER = 0.9;

  /** State of charge between two places where the steepness is looked at. */
  private static final double PART = 0.005;

  private SharedStep() {}

  /** Returns the longest step of these cells, s, 0.1 to {@value #LONGEST}. */
  static double longest(CellPopulation cells) {
    CellType type = cells.pack().cell();
    CellCircuit circuit = new CellCircuit(type);
    double steepest = 0;
    for (double z = 0; z < 1; z += PART) {
      double slope = (circuit.openCircuit(z + PART) - circuit.openCircuit(z)) / PART;
      steepest = Math.max(steepest, slope / circuit.socFactor(z + PART));
    }
    double least = Double.POSITIVE_INFINITY;
    for (int k = 0; k < cells.groups() * cells.perGroup(); k++) {
      least = Math.min(least, cells.steppedCapacity(k) * cells.steppedResistance(k));
    }
    double warm = circuit.temperatureFactor(type.temperatures().dischargeHighest());
    double perSecond = steepest / (3600 * least * warm);
    double dt = LONGEST;
    while (dt > SHORTEST && evened(perSecond, dt) > 1) {
      dt *= SHORTER;
    }
    return dt;
  }

  /** How much of what drives a current between cells a step of it evens out. */
  private static double evened(double perSecond, double dt) {
    double moved =
        perSecond * dt
            + CellCircuit.R1_SHARE * -Math.expm1(-dt / CellCircuit.TAU1)
            + CellCircuit.R2_SHARE * -Math.expm1(-dt / CellCircuit.TAU2);
    return moved / CellCircuit.R0_SHARE;
  }
}
