package hammerman.build;

/**
 * What is live when it is handled. A step that handles one of these comes after a step that makes
 * it safe to do so.
 */
public enum Live {
  /** Cells and groups: tens of volts at most, and hundreds of amperes if shorted. */
  CELLS,
  /** A string above 60 V with bare ends or faces. */
  HIGH_VOLTAGE,
  /** Balance leads, of which any two short a group or more. */
  BALANCE_LEADS,
  /** The two ends of the pack. */
  ENDS,
  /** What lies behind the fuse, once that is in. */
  OUTPUT,
  /** The charge port. */
  CHARGE_PORT,
  /** The machine, with its capacitors. */
  MACHINE
}
