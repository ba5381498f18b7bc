/**
 * Facts of the work: what was measured, done and run. A fact has a time, an instrument and a
 * circumstance; it is never changed, only struck out with a reason. Start with {@link
 * hammerman.record.Fact}; the doors that keep facts are in {@code hammerman.store}.
 */
@NullMarked
package hammerman.record;

import org.jspecify.annotations.NullMarked;
