package hammerman.prove;

import hammerman.device.Fields;

/** A line between the program and an inline meter (docs/devices.md). */
public sealed interface MeterLine {
  /** Figures of a sample: time, s; voltage, V; current, A, out positive; temperature, °C. */
  int FIGURES = 4;

  /** The meter says what it is. */
  record Hello(String name) implements MeterLine {}

  /**
   * Samples in a row.
   *
   * @param number of the first, from 0 and rising without a gap
   * @param rows {@value MeterLine#FIGURES} figures of each
   */
  @SuppressWarnings("ArrayRecordComponent")
  record Samples(long number, double[] rows) implements MeterLine {
    public Samples {
      rows = rows.clone();
    }

    @Override
    public double[] rows() {
      return rows.clone();
    }

    /** Returns how many there are. */
    public int count() {
      return rows.length / FIGURES;
    }
  }

  /** The run is over; so many samples were taken in all. */
  record End(long number) implements MeterLine {}

  /** The program has kept all samples before this one. */
  record Heard(long number) implements MeterLine {}

  /** Something that is not understood, and why. */
  record Nonsense(String why) implements MeterLine {}

  /** Reads a line. */
  static MeterLine read(String line) {
    try {
      Fields f = Fields.of(line);
      return switch (f.kind()) {
        case "hello" -> new Hello(f.text("name"));
        case "samples" -> samples(f);
        case "end" -> new End(f.whole("number"));
        case "heard" -> new Heard(f.whole("number"));
        default -> new Nonsense("kind “" + f.kind() + "” is not known");
      };
    } catch (Fields.Unreadable e) {
      return new Nonsense(e.why());
    }
  }

  private static MeterLine samples(Fields f) throws Fields.Unreadable {
    double[] rows = f.numbers("rows");
    long number = f.whole("number");
    return number < 0 || rows.length == 0 || rows.length % FIGURES != 0
        ? new Nonsense("%d figures from sample %d".formatted(rows.length, number))
        : new Samples(number, rows);
  }

  /** Returns the line that tells the meter what is kept. */
  static String heard(long number) {
    return "{\"kind\":\"heard\",\"number\":" + number + "}";
  }
}
