/**
 * A pack on the bench at the end of a line protocol, its first charge under watch. {@link
 * hammerman.watch.PackLine} writes and reads what meter, BMS and charger say; {@link
 * hammerman.watch.ChargeWatch} judges every frame against limits and forecast; {@link
 * hammerman.watch.SimulatedPack} stands in for all three, with faults on demand.
 */
@NullMarked
package hammerman.watch;

import org.jspecify.annotations.NullMarked;
