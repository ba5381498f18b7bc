/**
 * Station Sort: the cells of the inventory, the tester's week, limits, and level groups. All its
 * views show one {@link hammerman.app.station.sort.SortState}.
 */
@NullMarked
package hammerman.app.station.sort;

import org.jspecify.annotations.NullMarked;
