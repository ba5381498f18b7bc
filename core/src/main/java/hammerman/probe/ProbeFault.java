package hammerman.probe;

import java.util.List;

/**
 * Something wrong, or one of a few things of which the readings cannot tell which.
 *
 * @param kind what it is
 * @param leads that are concerned, from 0 at battery minus; of a group the leads at its ends
 * @param say what it is and what to do, in words
 */
public record ProbeFault(Kind kind, List<Integer> leads, String say) {
  /** What can be wrong. */
  public enum Kind {
    /** Two leads are in each other's places. */
    SWAPPED("swapped"),
    /** A lead is on its neighbour's tap, and its own has none. */
    MISPLACED("misplaced"),
    /** A lead reads nothing. */
    OPEN("open"),
    /** A group is in with its ends exchanged. */
    REVERSED("reversed"),
    /** A group reads nothing: shorted, or dead. */
    SHORT("short"),
    /** A group lies below the others. */
    LOW("low"),
    /** A group lies above the others. */
    HIGH("high"),
    /** All readings together are those of another number of groups. */
    SERIES("series"),
    /** The readings are like nothing that two faults can make. */
    UNKNOWN("unknown");

    private final String key;

    Kind(String key) {
      this.key = key;
    }

    /** Returns the stable key used on the command line. */
    public String key() {
      return key;
    }
  }

  public ProbeFault {
    leads = List.copyOf(leads);
  }
}
