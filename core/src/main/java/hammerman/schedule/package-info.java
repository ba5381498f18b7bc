/**
 * When cells are measured: bays of a tester, the hours at which the builder is there to swap cells,
 * and what follows. Start with {@link hammerman.schedule.Schedule#of}; {@link
 * hammerman.schedule.CalendarFile} writes it for a calendar.
 */
@NullMarked
package hammerman.schedule;

import org.jspecify.annotations.NullMarked;
