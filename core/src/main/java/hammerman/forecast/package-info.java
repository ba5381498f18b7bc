/**
 * The door: {@link hammerman.forecast.Forecast#of} turns a design into every result, each holding
 * its inputs; {@link hammerman.forecast.Workings} shows how a headline figure came about; {@link
 * hammerman.forecast.StackField} tries the neighbouring series and parallel counts.
 */
@NullMarked
package hammerman.forecast;

import org.jspecify.annotations.NullMarked;
