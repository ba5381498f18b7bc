/**
 * Ageing: capacity loss by calendar and by cycling, from published equations, advanced through
 * changing conditions. Start with {@link hammerman.life.LifeForecast#of}.
 */
@NullMarked
package hammerman.life;

import org.jspecify.annotations.NullMarked;
