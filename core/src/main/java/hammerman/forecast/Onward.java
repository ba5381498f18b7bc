package hammerman.forecast;

import hammerman.cell.Health;
import hammerman.chain.Chain;
import hammerman.design.SecondPack;
import hammerman.duty.Load;
import hammerman.pack.Pack;
import hammerman.simulation.Discharge;
import hammerman.simulation.Run;

/**
 * Runs that go on until the pack ends them: the duty's own load repeated, or one power held, from
 * the charge ceiling, in one air.
 */
final class Onward {
  /** A load that is to end with the pack asks for so many times the energy there is. */
  private static final double BEYOND = 2;

  private Onward() {}

  /** The duty's load gone on with in the hottest air, in the steps of the duty itself. */
  static Run hottest(Chain chain, Run duty) {
    if (!duty.outcome().complete()) {
      return duty;
    }
    double used = start(chain) - duty.endSoc();
    Load load = chain.design().duty().task().load();
    double rounds =
        used > 0.001
            ? Math.ceil(1.3 * load.rounds() * start(chain) / used) + 1
            : Double.POSITIVE_INFINITY;
    return DutyRun.of(chain, repeated(load, rounds)).all();
  }

  /** The state of charge at the start, as a run tells it at its end. */
  private static double start(Chain chain) {
    SecondPack second = chain.design().second();
    if (second == null) {
      return chain.ceiling();
    }
    double a = chain.design().pack().capacity();
    double b = second.pack().capacity();
    return second.joining() == SecondPack.Joining.SERIES
        ? Math.min(second.firstSoc(), second.soc())
        : (a * second.firstSoc() + b * second.soc()) / (a + b);
  }

  /**
   * The duty's load gone on with by the first pack alone in air of a temperature (K), in steps of
   * at most {@code step} s; no samples are kept.
   */
  static Discharge in(Chain chain, Run hottest, double air, double step) {
    return Discharge.of(chain, load(chain, hottest), chain.ceiling(), air)
        .untraced()
        .withStep(step);
  }

  /**
   * The duty's load repeated well past the energy that there is.
   *
   * @param hottest how far it goes in the hottest air
   */
  static Load load(Chain chain, Run hottest) {
    Load load = chain.design().duty().task().load();
    double used = Math.max(1e-3, start(chain) - hottest.endSoc());
    return repeated(load, Math.ceil(BEYOND * hottest.endTime() / load.roundDuration() / used) + 1);
  }

  /**
   * One power held in air of a temperature.
   *
   * @param watts power at the machine, W
   * @param air K
   * @param step the longest, s; a long run has longer ones
   */
  static Run at(Chain chain, double watts, double air, double step) {
    double energy = chain.design().packs().stream().mapToDouble(Pack::energy).sum();
    double longest = Math.min(Load.LONGEST, BEYOND * energy / Math.max(1, watts));
    Load load = Load.power(watts, longest);
    return DutyRun.untraced(chain, load, air, Health.NEW, Math.max(step, longest / 2500)).all();
  }

  /** The machine's full effort, longer than the packs can give it. */
  static Load effort(Chain chain) {
    double effort = chain.design().duty().machine().fullEffortCurrent();
    double capacity = chain.design().packs().stream().mapToDouble(Pack::capacity).sum();
    return Load.current(effort, Math.min(BEYOND * 3600 * capacity / effort, Load.LONGEST));
  }

  private static Load repeated(Load load, double rounds) {
    double most = Math.max(1, Math.floor(Load.LONGEST / load.roundDuration()));
    return load.withRounds((int) Math.clamp(rounds, 1, most));
  }
}
