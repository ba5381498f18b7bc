package hammerman.duty;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;

/**
 * The hardest moment of the duty: a hill, a cold start, a stall.
 *
 * @param name what happens
 * @param current battery current, A
 * @param duration how long, s
 */
public record Moment(
    String name, @In(Unit.AMPERE) double current, @In(Unit.SECOND) double duration) {
  public Moment {
    Valid.text("Name of the hardest moment", name);
    Valid.range("Current at the hardest moment", current, 0.001, 5000, Unit.AMPERE);
    Valid.range("Length of the hardest moment", duration, 0.1, 3600, Unit.SECOND);
  }

  public Moment withName(String value) {
    return new Moment(value, current, duration);
  }

  public Moment withCurrent(double value) {
    return new Moment(name, value, duration);
  }

  public Moment withDuration(double value) {
    return new Moment(name, current, value);
  }
}
