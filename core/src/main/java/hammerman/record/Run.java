package hammerman.record;

import hammerman.unit.InvalidValue;
import hammerman.unit.Valid;
import java.util.List;

/**
 * A run of the machine, or a discharge on the bench, with its log.
 *
 * @param name what it is called
 * @param notes free text
 * @param source name of the file it was read from; empty if none
 * @param sourceHash SHA-256 of that file, hex; empty if none
 * @param channels of the log, in the order of its columns; the first is the time, s
 * @param sheet what is written down of it
 */
public record Run(
    String name,
    String notes,
    String source,
    String sourceHash,
    List<Channel> channels,
    RunSheet sheet) {
  /** The most channels of a log. */
  public static final int MOST_CHANNELS = 500;

  public Run {
    Valid.text("Run name", name);
    channels = List.copyOf(channels);
    Valid.count("Channels", channels.size(), 0, MOST_CHANNELS);
    if (notes.length() > 100_000) {
      throw new InvalidValue(
          "Notes", notes.length() + " characters long", "100000 fit", "Shorten them.");
    }
  }

  /** A run without a file: what is typed of it. */
  public static Run typed(String name, RunSheet sheet) {
    return new Run(name, "", "", "", List.of(), sheet);
  }

  /** Whether it has a log. */
  public boolean hasLog() {
    return !channels.isEmpty();
  }

  public Run withSheet(RunSheet value) {
    return new Run(name, notes, source, sourceHash, channels, value);
  }

  public Run withNotes(String value) {
    return new Run(name, value, source, sourceHash, channels, sheet);
  }

  public Run withName(String value) {
    return new Run(value, notes, source, sourceHash, channels, sheet);
  }

  /**
   * A column of a log, kept as it is.
   *
   * @param name in the file's own words
   * @param unit in the file's own words; empty if it was not said
   */
  public record Channel(String name, String unit) {}
}
