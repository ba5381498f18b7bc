/**
 * Work off the interface thread: only the latest request counts. Start with {@link
 * hammerman.app.job.Latest}.
 */
@NullMarked
package hammerman.app.job;

import org.jspecify.annotations.NullMarked;
