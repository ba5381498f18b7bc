/**
 * Station Prove: runs with what they were done under, their logs beside the forecast, what may be
 * concluded of them, and how the pack ages. Start with {@link
 * hammerman.app.station.prove.ProveStation}.
 */
@NullMarked
package hammerman.app.station.prove;

import org.jspecify.annotations.NullMarked;
