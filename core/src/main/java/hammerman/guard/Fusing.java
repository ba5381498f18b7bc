package hammerman.guard;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** The school of fusing. */
public sealed interface Fusing {
  /** Returns the main fuse, if there is one. */
  Optional<Fuse> main();

  /** Returns the same school with its main fuse, if any, changed. */
  default Fusing withMain(UnaryOperator<Fuse> change) {
    return switch (this) {
      case MainFuse f -> new MainFuse(change.apply(f.fuse()));
      case MainAndCells f -> new MainAndCells(change.apply(f.fuse()), f.cellRating());
      case BmsOnly none -> none;
    };
  }

  /** One main fuse. */
  record MainFuse(Fuse fuse) implements Fusing {
    @Override
    public Optional<Fuse> main() {
      return Optional.of(fuse);
    }
  }

  /**
   * A main fuse, and a fuse wire or thinned strip at every cell.
   *
   * @param fuse main fuse
   * @param cellRating rated current of each cell's fuse, A
   */
  record MainAndCells(Fuse fuse, @In(Unit.AMPERE) double cellRating) implements Fusing {
    public MainAndCells {
      Valid.range("Cell fuse rating", cellRating, 0.1, 1000, Unit.AMPERE);
    }

    @Override
    public Optional<Fuse> main() {
      return Optional.of(fuse);
    }
  }

  /** No fuse: the BMS alone is to break a short circuit. */
  record BmsOnly() implements Fusing {
    @Override
    public Optional<Fuse> main() {
      return Optional.empty();
    }
  }
}
