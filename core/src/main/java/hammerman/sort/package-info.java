/**
 * Measured cells into level groups. {@link hammerman.sort.CellSheet#read} takes cells out of any
 * table; {@link hammerman.sort.RejectRules#apply} puts aside those that do not belong, each with
 * its reason; {@link hammerman.sort.Matching#of} fills the groups so that they hold the same. All
 * is deterministic: the same cells and the same seed give the same groups on any machine.
 */
@NullMarked
package hammerman.sort;

import org.jspecify.annotations.NullMarked;
