/** Station Cell: which cell carries it. */
@NullMarked
package hammerman.app.station.cell;

import org.jspecify.annotations.NullMarked;
