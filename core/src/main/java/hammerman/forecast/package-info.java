/**
 * The door: {@link hammerman.forecast.Forecast#of} turns a design into every result, each holding
 * its inputs; {@link hammerman.forecast.Workings} shows how a headline figure came about; {@link
 * hammerman.forecast.StackField} tries the neighbouring series and parallel counts; {@link
 * hammerman.forecast.Ensemble} draws packs at random, and {@link hammerman.forecast.Spread} says
 * how far they lie from one another.
 */
@NullMarked
package hammerman.forecast;

import org.jspecify.annotations.NullMarked;
