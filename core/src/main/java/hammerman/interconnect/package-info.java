/**
 * How the current of a layout spreads over its cells and strips, and the plates that strips make.
 * Start with {@link hammerman.interconnect.Network}.
 */
@NullMarked
package hammerman.interconnect;

import org.jspecify.annotations.NullMarked;
