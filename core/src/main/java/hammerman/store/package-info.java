/**
 * The project's file: an SQLite database of the design's states and of the facts of the work, kept
 * change by change. Start with {@link hammerman.store.ProjectStore}; to read whatever a file holds,
 * with {@link hammerman.store.ProjectFile}. Not safe for several threads: one owner each.
 */
@NullMarked
package hammerman.store;

import org.jspecify.annotations.NullMarked;
