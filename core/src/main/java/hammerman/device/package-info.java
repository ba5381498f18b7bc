/**
 * Devices at the end of a line protocol: one JSON object a line over a socket of this machine
 * (docs/devices.md). {@link hammerman.device.StandIn} stands in for one, {@link
 * hammerman.device.StandInServer} puts it behind a socket, and {@link hammerman.device.Fields}
 * reads what a line holds. What is said to which device is the matter of the packages that talk to
 * it.
 */
@NullMarked
package hammerman.device;

import org.jspecify.annotations.NullMarked;
