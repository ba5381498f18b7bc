package hammerman.simulation;

import hammerman.duty.Load;
import java.util.concurrent.CancellationException;
import java.util.function.DoubleSupplier;
import java.util.function.Predicate;

/** The way of every run through its load: round after round, step after step, until it ends. */
final class Rounds {
  private Rounds() {}

  /**
   * Goes through a load.
   *
   * @param goesOn goes through one step; whether the run goes on after it
   * @param time how far the run has come, s
   * @throws CancellationException if the thread is interrupted, with how far it came
   */
  static void go(Load load, Predicate<Load.Step> goesOn, DoubleSupplier time) {
    for (int round = 0; round < load.rounds(); round++) {
      for (Load.Step s : load.steps()) {
        if (Thread.currentThread().isInterrupted()) {
          throw new CancellationException(
              "the run was given up after " + time.getAsDouble() + " s");
        }
        if (!goesOn.test(s)) {
          return;
        }
      }
    }
  }
}
