/**
 * Runs through time: a discharge under a load ({@link hammerman.simulation.Discharge}), a CC/CV
 * charge ({@link hammerman.simulation.Charge}), each with an {@link hammerman.simulation.Outcome}
 * that is a value, not an error, and a trace.
 */
@NullMarked
package hammerman.simulation;

import org.jspecify.annotations.NullMarked;
