package hammerman.guard;

import java.util.Optional;
import java.util.function.UnaryOperator;

/** The school of protection. */
public sealed interface Protection {
  /** Returns the BMS, if there is one. */
  Optional<Bms> bms();

  /** Returns the BMS that can open the discharge path, if there is one. */
  default Optional<Bms> inDischargePath() {
    return Optional.empty();
  }

  /** Returns the same school with its BMS, if any, changed. */
  default Protection withBms(UnaryOperator<Bms> change) {
    return switch (this) {
      case DischargePath p -> new DischargePath(change.apply(p.unit()));
      case ChargeOnly p -> new ChargeOnly(change.apply(p.unit()));
      case None none -> none;
    };
  }

  /** The BMS carries the discharge and opens on fault. */
  record DischargePath(Bms unit) implements Protection {
    @Override
    public Optional<Bms> bms() {
      return Optional.of(unit);
    }

    @Override
    public Optional<Bms> inDischargePath() {
      return bms();
    }
  }

  /** The BMS only guards charging; the machine's cut-out must end the discharge. */
  record ChargeOnly(Bms unit) implements Protection {
    @Override
    public Optional<Bms> bms() {
      return Optional.of(unit);
    }
  }

  /** No BMS: a balancing charger and the machine's cut-out must stand in. */
  record None() implements Protection {
    @Override
    public Optional<Bms> bms() {
      return Optional.empty();
    }
  }
}
