/**
 * The leads as they are cut and joined: {@link hammerman.wiring.WiringPlan} with its cut list, and
 * the diagram drawn from the design ({@link hammerman.wiring.Diagram}), also as SVG.
 */
@NullMarked
package hammerman.wiring;

import org.jspecify.annotations.NullMarked;
