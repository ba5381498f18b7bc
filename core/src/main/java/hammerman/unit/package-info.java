/**
 * Units and typed quantities. Values inside the core are SI, with charge in Ah; {@link
 * hammerman.unit.Unit} converts at the edges (files, screens), {@link hammerman.unit.QuantityText}
 * reads what people type and {@link hammerman.unit.Figures} writes figures with sensible digits.
 * Start with {@code QuantityText.read("12 AWG", Unit.SQUARE_MILLIMETRE)}.
 */
@NullMarked
package hammerman.unit;

import org.jspecify.annotations.NullMarked;
