/**
 * A cell tester at the end of a line protocol: one JSON object a line over a loopback socket
 * (docs/devices.md). {@link hammerman.tester.TesterLine} writes and reads the lines; {@link
 * hammerman.tester.Hearing} makes facts of what comes in, whatever order, gap or nonsense it comes
 * in; {@link hammerman.tester.SimulatedTester} stands in for a real one.
 */
@NullMarked
package hammerman.tester;

import org.jspecify.annotations.NullMarked;
