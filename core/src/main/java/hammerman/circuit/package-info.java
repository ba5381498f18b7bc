/**
 * The circuit of a design, walked as a careful electrician does: every part, every state, and for
 * each the worst that can happen to it, its limit, and who ends it. Start with {@link
 * hammerman.circuit.Circuit#of}; the rows of its {@link hammerman.circuit.Circuit#stresses} are
 * what judgements are read from. Pure arithmetic, no simulation.
 */
@NullMarked
package hammerman.circuit;

import org.jspecify.annotations.NullMarked;
