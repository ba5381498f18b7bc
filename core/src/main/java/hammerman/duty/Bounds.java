package hammerman.duty;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import org.jspecify.annotations.Nullable;

/**
 * What the pack may weigh and cost.
 *
 * @param mass greatest mass, kg; absent when it does not matter
 * @param budget most money for cells; absent when it does not matter
 */
public record Bounds(@In(Unit.KILOGRAM) @Nullable Double mass, @Nullable Double budget) {
  public Bounds {
    if (mass != null) {
      Valid.range("Mass limit", mass, 0.001, 1e5, Unit.KILOGRAM);
    }
    if (budget != null) {
      Valid.range("Budget", budget, 0.01, 1e9, Unit.MONEY);
    }
  }

  public Bounds withMass(@Nullable Double value) {
    return new Bounds(value, budget);
  }

  public Bounds withBudget(@Nullable Double value) {
    return new Bounds(mass, value);
  }
}
