/**
 * Choosing parts: a consistent guard for a duty with its reasons ({@link
 * hammerman.choice.Selection#of}), and the judgement of a charger's measured voltage ({@link
 * hammerman.choice.ChargerCheck}).
 */
@NullMarked
package hammerman.choice;

import org.jspecify.annotations.NullMarked;
