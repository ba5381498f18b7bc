/**
 * Runs through time: a discharge under a load ({@link hammerman.simulation.Discharge}), a CC/CV
 * charge ({@link hammerman.simulation.Charge}), two packs ({@link hammerman.simulation.TwinRun}), a
 * motor that starts ({@link hammerman.simulation.StartRun}), the four days of a duty ({@link
 * hammerman.simulation.Day}). All step one {@code PackState}: every cell by itself, or one that
 * stands for all where a {@link hammerman.simulation.CellPopulation} is alike; all are ended by one
 * {@code Watch}. How a run ends is an {@link hammerman.simulation.Outcome}, a value and not an
 * error.
 */
@NullMarked
package hammerman.simulation;

import org.jspecify.annotations.NullMarked;
