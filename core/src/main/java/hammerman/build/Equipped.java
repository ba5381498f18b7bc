package hammerman.build;

import hammerman.choice.Selection;
import hammerman.design.Design;
import hammerman.finding.Finding;
import hammerman.finding.Severity;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.guard.Parts;
import java.util.List;

/**
 * A stack with the parts that serve it best, as {@link Selection} chooses them: what all of it
 * costs and weighs, and what still stands against its guard or its box. The judgements are those of
 * any design; there is no second set of limits.
 *
 * <p>It costs a forecast and a selection, some hundredths of a second: for a few stacks that a
 * search found, not for all that it tries.
 *
 * @param design the stack with its parts
 * @param against stops and warnings of Guard and Fit that no part that is sold cures, worst first
 * @param price of all parts with the cells; prices of parts are rough ones
 * @param mass of all that is built in, kg
 */
public record Equipped(Design design, List<Finding> against, double price, double mass) {
  public Equipped {
    against = List.copyOf(against);
  }

  /**
   * Equips a design; parts that are locked stay.
   *
   * @param parts to choose from
   */
  public static Equipped of(Design design, Parts parts) {
    Design whole = design.withGuard(Selection.of(design, parts).guard());
    Forecast forecast = Forecast.of(whole);
    List<Finding> against =
        forecast.judgements().stream()
            .filter(f -> f.station() == Station.GUARD || f.station() == Station.FIT)
            .filter(f -> f.severity() != Severity.NOTE)
            .toList();
    PartsList list = PartsList.of(forecast);
    return new Equipped(whole, against, list.price(), list.mass());
  }

  /** Whether nothing dangerous is left that no part cures. */
  public boolean isFeasible() {
    return against.stream().noneMatch(f -> f.severity() == Severity.STOP);
  }
}
