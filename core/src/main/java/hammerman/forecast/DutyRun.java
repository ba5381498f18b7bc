package hammerman.forecast;

import hammerman.cell.Health;
import hammerman.chain.Chain;
import hammerman.duty.Load;
import hammerman.simulation.Discharge;
import hammerman.simulation.Run;
import hammerman.simulation.TwinRun;
import java.util.Optional;

/**
 * A load gone through by the one pack from its charge ceiling, or by two together from the states
 * of charge at which they are joined.
 *
 * @param all what the machine sees
 * @param own what the first pack goes through: all of it, where there is one
 * @param pair the two packs, if there are two
 */
record DutyRun(Run all, Run own, Optional<TwinRun> pair) {
  /** The duty in the hottest air, with samples. */
  static DutyRun of(Chain chain) {
    return of(chain, chain.design().duty().task().load());
  }

  /** A load in the hottest air, with samples. */
  static DutyRun of(Chain chain, Load load) {
    double air = chain.design().duty().surroundings().hottestInUse();
    return chain.design().second() == null
        ? of(Discharge.of(chain, load, chain.ceiling(), air).run())
        : of(TwinRun.of(chain, load, air));
  }

  /**
   * A load in air of a temperature (K), without samples.
   *
   * @param worn what the years have done to the cells
   * @param step the longest, s
   */
  static DutyRun untraced(Chain chain, Load load, double air, Health worn, double step) {
    return chain.design().second() == null
        ? of(
            Discharge.of(chain, load, chain.ceiling(), air)
                .untraced()
                .withStep(step)
                .worn(worn)
                .run())
        : of(TwinRun.untraced(chain, TwinRun.Cells.of(chain).worn(worn), load, air, step));
  }

  private static DutyRun of(Run run) {
    return new DutyRun(run, run, Optional.empty());
  }

  private static DutyRun of(TwinRun pair) {
    return new DutyRun(pair.both(), pair.first().run(), Optional.of(pair));
  }
}
