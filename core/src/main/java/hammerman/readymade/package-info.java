/**
 * A ready-made battery behind its own protection, and the hard start that trips it: {@link
 * hammerman.simulation.StartRun#of}. The cure is a softer start or a current limit, never removing
 * protection.
 */
@NullMarked
package hammerman.readymade;

import org.jspecify.annotations.NullMarked;
