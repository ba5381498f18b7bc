/**
 * Replacing a sealed lead battery by cells of another chemistry: {@link
 * hammerman.replacement.Replacement#suggest}.
 */
@NullMarked
package hammerman.replacement;

import org.jspecify.annotations.NullMarked;
