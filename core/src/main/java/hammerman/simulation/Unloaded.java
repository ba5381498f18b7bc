package hammerman.simulation;

import hammerman.duty.Load;

/** A pack, or two joined, where a run has ended: it rests, and takes the rest of the load up. */
interface Unloaded {
  /** Goes on without load, s. */
  void rest(double dt);

  /** Whether what ended the run no longer stands in the way. */
  boolean isBack(Outcome ended);

  /** Voltage at the machine without load, V. */
  double machineVoltage();

  /** Runs a load from here on, with the same limits. */
  Run takeUp(Load rest);
}
