/** Station Stack: how many in series and in parallel. */
@NullMarked
package hammerman.app.station.stack;

import org.jspecify.annotations.NullMarked;
