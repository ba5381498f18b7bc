/**
 * Where heat arises in a layout and how warm each cell gets. Start with {@link
 * hammerman.heat.HeatMap}.
 */
@NullMarked
package hammerman.heat;

import org.jspecify.annotations.NullMarked;
