/**
 * The probe card: readings at the balance connector against battery minus, and what is wrong with
 * leads or groups. Start with {@link hammerman.probe.ProbeCard#of}; {@link
 * hammerman.probe.ReadingsFile} takes readings out of a table.
 */
@NullMarked
package hammerman.probe;

import org.jspecify.annotations.NullMarked;
