/**
 * Speed of the models and of the whole program; measured, never asserted in tests. Start with
 * {@link hammerman.bench.Main}.
 */
@NullMarked
package hammerman.bench;

import org.jspecify.annotations.NullMarked;
