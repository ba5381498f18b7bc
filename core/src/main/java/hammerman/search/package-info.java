/**
 * The search for the stack: every cell of a library at every series and parallel count, held
 * against the duty. What is stopped drops out; the rest are ranked by the user's weights. Start
 * with {@link hammerman.search.Search#of}.
 */
@NullMarked
package hammerman.search;

import org.jspecify.annotations.NullMarked;
