/**
 * Station Build: the next step with what it should read ({@code StepsView}, {@code StepCard}), the
 * balance plug contact by contact ({@code ProbeView}), parts, settings, and the first charge under
 * watch ({@code ChargeView}). {@code BuildState} is what all of them show; {@code PackDesk} talks
 * to meter, BMS and charger.
 */
@NullMarked
package hammerman.app.station.build;

import org.jspecify.annotations.NullMarked;
