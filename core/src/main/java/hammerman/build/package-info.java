/**
 * The build: what is needed ({@link hammerman.build.PartsList}), the steps in their order with what
 * each reading should be ({@link hammerman.build.Procedure}), how far a builder has come ({@link
 * hammerman.build.Progress}), and the first charge under watch ({@link
 * hammerman.build.ChargeWatch}). All of it follows from a forecast and from the readings taken so
 * far: a voltage that was read becomes what the next reading is expected to be.
 */
@NullMarked
package hammerman.build;

import org.jspecify.annotations.NullMarked;
