/**
 * Logs of real runs: columns of a text table mapped to quantities ({@link
 * hammerman.telemetry.Mapping}), read into flat arrays ({@link
 * hammerman.telemetry.Telemetry#read}), and reduced to a load ({@link
 * hammerman.telemetry.Telemetry#asTask}).
 */
@NullMarked
package hammerman.telemetry;

import org.jspecify.annotations.NullMarked;
