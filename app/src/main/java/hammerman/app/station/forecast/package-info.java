/** Station Forecast: what it will do. */
@NullMarked
package hammerman.app.station.forecast;

import org.jspecify.annotations.NullMarked;
