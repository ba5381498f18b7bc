package hammerman.simulation;

import hammerman.unit.Figures;
import hammerman.unit.Unit;

/**
 * Whether what ended a discharge comes back by itself with the load off, and what that is worth.
 *
 * <p>The protection of a BMS closes again: on voltage once every group has recovered by {@link
 * #RELEASE_VOLTAGE}, on current after {@link #RELEASE_TIME}, on heat once the cells have cooled by
 * {@link #RELEASE_COOLER}. These are usual figures of the class; some units stay open until a
 * charger is joined. A machine starts again once its voltage is back. While the protection is open
 * a load that is left switched on draws nothing: it is back as soon, and starts by itself; only
 * after too much current do usual units wait until it is off. Neglected: a cooler air than that of
 * the run.
 */
public sealed interface Recovery {
  /** A group rises so far above the cut-off before the BMS closes again, V; typical. */
  double RELEASE_VOLTAGE = 0.2;

  /** So long the load is off before a BMS that opened on current closes again, s; typical. */
  double RELEASE_TIME = 30;

  /** The cells cool by so much below their limit before the pack is used again, K; typical. */
  double RELEASE_COOLER = 10;

  /** Returns it in words that go on after what ended the run. */
  String words();

  /** Returns the stable key used on the command line. */
  String key();

  /**
   * It comes back, and the rest of the load is taken up where it was left.
   *
   * @param rest without load until then, s
   * @param voltage at the machine then, V
   * @param more for how long the load goes on, s
   * @param finishes whether that is all that was left of it
   */
  record ByItself(double rest, double voltage, double more, boolean finishes) implements Recovery {
    private static final double AT_ONCE = 2;

    @Override
    public String words() {
      return course() + "; a machine left on starts by itself";
    }

    private String course() {
      String back = "back after %s without load".formatted(Figures.duration(Math.rint(rest)));
      if (finishes) {
        return back + ", and the rest of the work is then done";
      }
      return more < AT_ONCE
          ? back + ", but the same load stops it again at once"
          : "%s, at %s, for %s more"
              .formatted(
                  back, Figures.of(voltage, Unit.VOLT, 1), Figures.duration(Math.rint(more)));
    }

    @Override
    public String key() {
      return "byItself";
    }
  }

  /** It does not come back by itself. */
  record StaysOff(Until until) implements Recovery {
    @Override
    public String words() {
      return until.words;
    }

    @Override
    public String key() {
      return until.key;
    }
  }

  /** What it takes to bring back what does not come back by itself. */
  enum Until {
    /** The voltage does not recover so far within the time that is looked at. */
    CHARGED("charge", "only charging brings it back"),
    /** It ended before it began: at rest and as charged the voltage is too low already. */
    NEVER("never", "charged as it is, it does not start at all"),
    /** The cells do not cool so far within the time that is looked at. */
    COOLED("cooler", "at rest in this air it stays too hot for hours"),
    /** A fuse has opened. */
    FUSED("fuse", "it takes a new fuse, once the cause is found"),
    /** More is asked for than the pack has. */
    EASED("lessLoad", "only a smaller load brings it back");

    private final String key;
    private final String words;

    Until(String key, String words) {
      this.key = key;
      this.words = words;
    }
  }
}
