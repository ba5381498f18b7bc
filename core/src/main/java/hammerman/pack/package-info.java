/**
 * What is built: series and parallel counts of one cell type, the strip that joins them and how the
 * box sheds heat. Start with {@link hammerman.pack.Pack}.
 */
@NullMarked
package hammerman.pack;

import org.jspecify.annotations.NullMarked;
