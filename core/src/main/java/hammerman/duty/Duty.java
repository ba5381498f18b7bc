package hammerman.duty;

import io.soabase.recordbuilder.core.RecordBuilder;
import org.jspecify.annotations.Nullable;

/**
 * What the pack must do.
 *
 * @param machine limits of the machine
 * @param task what is wanted of one charge
 * @param hardest the hardest moment
 * @param surroundings the air around it
 * @param habits how it is used over the years
 * @param bounds mass and money
 * @param replaces the sealed lead battery that the pack takes the place of; absent if none
 */
@RecordBuilder
public record Duty(
    Machine machine,
    Task task,
    Moment hardest,
    Surroundings surroundings,
    Habits habits,
    Bounds bounds,
    @Nullable LeadBattery replaces)
    implements DutyBuilder.With {}
