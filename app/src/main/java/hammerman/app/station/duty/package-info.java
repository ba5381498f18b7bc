/** Station Duty: what the pack must do. */
@NullMarked
package hammerman.app.station.duty;

import org.jspecify.annotations.NullMarked;
