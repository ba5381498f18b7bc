/**
 * The proof: what a log of a run says ({@link hammerman.prove.RunFigures}), the forecast of the
 * very same load beside it ({@link hammerman.prove.Replay}), and the scales of resistance and
 * capacity that fit it best, with their uncertainty ({@link hammerman.prove.Calibration}). What two
 * runs differ in, and what may be concluded from that, is told by {@link
 * hammerman.prove.Differences}.
 */
@NullMarked
package hammerman.prove;

import org.jspecify.annotations.NullMarked;
