package hammerman.simulation;

/** How a discharge ended: an expected physical outcome, never an error. */
public sealed interface Outcome {
  /** Returns the stable key used in files and on the command line. */
  String key();

  /** Whether everything asked for was delivered. */
  default boolean complete() {
    return this instanceof Complete;
  }

  /** Where in the pack it happened; cells that are alike are not told apart. */
  record Place(int group, int cell) {
    /** Every group and cell alike. */
    public static final Place EVERY = new Place(-1, -1);

    /** In the place of a cell: every cell of the group alike. */
    static final int ALL = -1;

    /** Returns it in words; groups and cells are counted from 1, groups from the negative end. */
    public String words() {
      if (equals(EVERY)) {
        return "every cell";
      }
      return cell == ALL
          ? "group " + (group + 1)
          : "cell %d of group %d".formatted(cell + 1, group + 1);
    }
  }

  /** The load was served to its end. */
  record Complete() implements Outcome {
    @Override
    public String key() {
      return "dutyComplete";
    }
  }

  /** A group reached the BMS cut-off; voltages in V. */
  record BmsCutOff(Place place, double voltage, double limit) implements Outcome {
    @Override
    public String key() {
      return "bmsCutOff";
    }
  }

  /** The voltage at the machine fell to its cut-out; V. */
  record MachineCutOut(double voltage, double limit) implements Outcome {
    @Override
    public String key() {
      return "machineCutOut";
    }
  }

  /** A cell is empty. */
  record Empty(Place place) implements Outcome {
    @Override
    public String key() {
      return "empty";
    }
  }

  /** A cell reached its temperature limit; K. */
  record TooHot(Place place, double temperature, double limit) implements Outcome {
    @Override
    public String key() {
      return "temperatureLimit";
    }
  }

  /** The BMS opened on over-current; A and s. */
  record OverCurrent(double current, double threshold, double delay) implements Outcome {
    @Override
    public String key() {
      return "overCurrentTrip";
    }
  }

  /** The main fuse opened; current then and rating, A. */
  record FuseOpens(double current, double rating) implements Outcome {
    @Override
    public String key() {
      return "fuseOpens";
    }
  }

  /** The power cannot be had from the pack at all; W. */
  record CannotDeliver(double demand, double most) implements Outcome {
    @Override
    public String key() {
      return "cannotDeliver";
    }
  }
}
