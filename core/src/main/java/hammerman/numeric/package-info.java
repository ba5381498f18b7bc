/**
 * Small numerical doors used by the models: the shape-preserving curve, tables for loops and a
 * bracketed root. No physics here.
 */
@NullMarked
package hammerman.numeric;

import org.jspecify.annotations.NullMarked;
