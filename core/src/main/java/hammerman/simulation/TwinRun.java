package hammerman.simulation;

import hammerman.cell.Health;
import hammerman.chain.Chain;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.duty.Load;
import java.util.Optional;

/**
 * Two packs through a whole duty: the first and the second of a design, joined as it says.
 *
 * <p>In parallel each pack is a source E behind its resistance R; the junction takes the voltage at
 * which the currents add up to the load's: V = (Σ E/R − I) / Σ 1/R. Diodes let current out only and
 * drop 0.4 V. A pack whose BMS opens leaves the other alone. A reserve takes over when the first
 * has ended. Currents are constant over a step of 1 s; both packs keep their own temperature.
 *
 * @param joining how they were joined
 * @param both the two as one run, seen from the machine; a pack that opens ends it only if the
 *     other cannot go on. Its state of charge is that of the emptier pack in series, where the
 *     first to be empty ends it, else the mean, each weighing by its capacity
 * @param first what the first pack gave
 * @param second what the second pack gave
 * @param time of each sample of the two, s
 * @param switchedAt when the reserve took over, s; not a number if it never did
 * @param recovery whether what ended it too soon comes back; nothing where nothing did
 */
@SuppressWarnings("ArrayRecordComponent")
public record TwinRun(
    Joining joining,
    Run both,
    Side first,
    Side second,
    double[] time,
    double switchedAt,
    Optional<Recovery> recovery) {

  /** Forward drop of the diodes, V; typical of a Schottky pair. */
  public static final double DIODE_DROP = 0.4;

  /**
   * One pack's part in it.
   *
   * @param charge net charge out, Ah
   * @param chemical energy taken from its open-circuit voltage, J
   * @param heat in its cells, strips and own path, J
   * @param peak highest current out, A
   * @param back highest current that the other pack or braking pushed into it, A
   * @param endSoc state of charge at the end, 0 to 1
   * @param hottest highest temperature, K
   * @param openedAt when its own protection opened, s; not a number if it never did
   * @param current at each sample, A
   */
  @SuppressWarnings("ArrayRecordComponent")
  public record Side(
      double charge,
      double chemical,
      double heat,
      double peak,
      double back,
      double endSoc,
      double hottest,
      double openedAt,
      double[] current) {}

  /** Whether all was done that was asked for, as {@link Run#served()}. */
  public boolean served() {
    return both.served();
  }

  /**
   * Runs the duty of a design with a second pack, in the hottest air; how the second is put
   * together is estimated.
   *
   * @throws IllegalArgumentException if the design has no second pack
   */
  public static TwinRun of(Chain chain) {
    return of(chain, chain.design().duty().surroundings().hottestInUse(), Health.NEW);
  }

  /**
   * Runs the duty in air of a temperature (K), the cells of both packs worn further.
   *
   * @throws IllegalArgumentException if the design has no second pack
   */
  public static TwinRun of(Chain chain, double air, Health worn) {
    SecondPack second = chain.design().second();
    if (second == null) {
      throw new IllegalArgumentException("the design has one pack only");
    }
    return new Twins(chain, second, chain.design().duty().task().load(), air, worn).run();
  }

  static TwinRun of(Chain chain, SecondPack second, Load load) {
    double hottest = chain.design().duty().surroundings().hottestInUse();
    return new Twins(chain, second, load, hottest, Health.NEW).run();
  }
}
