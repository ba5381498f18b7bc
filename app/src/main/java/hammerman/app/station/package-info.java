/**
 * What every station has in common: {@link hammerman.app.station.StationView}. Each station has a
 * package of its own and knows nothing of the others.
 */
@NullMarked
package hammerman.app.station;

import org.jspecify.annotations.NullMarked;
