package hammerman.duty;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * The hardest moment of the duty: a hill, a cold start, a stall.
 *
 * @param name what happens
 * @param current battery current, A
 * @param duration how long, s
 */
@RecordBuilder
public record Moment(String name, @In(Unit.AMPERE) double current, @In(Unit.SECOND) double duration)
    implements MomentBuilder.With {
  public Moment {
    Valid.text("Name of the hardest moment", name);
    Valid.range("Current at the hardest moment", current, 0.001, 5000, Unit.AMPERE);
    Valid.range("Length of the hardest moment", duration, 0.1, 3600, Unit.SECOND);
  }
}
