/**
 * Findings about a design, worst first: rows of the {@link hammerman.circuit.Circuit}'s stress
 * table whose limit is passed, and rules about duty, bounds and fit. Start with {@link
 * hammerman.judgement.Judge#judge}.
 */
@NullMarked
package hammerman.judgement;

import org.jspecify.annotations.NullMarked;
