/** Station Fit: cells in the box, groups, strips and heat. */
@NullMarked
package hammerman.app.station.fit;

import org.jspecify.annotations.NullMarked;
