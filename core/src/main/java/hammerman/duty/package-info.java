/**
 * What the pack must do: the machine's limits, the task, the hardest moment, the surroundings and
 * how it is used. Start with {@link hammerman.duty.Duty}; {@link hammerman.duty.Task#load()} turns
 * a task into the load that a simulation follows.
 */
@NullMarked
package hammerman.duty;

import org.jspecify.annotations.NullMarked;
