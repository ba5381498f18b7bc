package hammerman.record;

import hammerman.unit.Valid;
import org.jspecify.annotations.Nullable;

/**
 * Something that went wrong in use.
 *
 * @param kind of it
 * @param run in which it happened; absent outside any
 * @param words about it, in one line
 */
public record Incident(Kind kind, @Nullable Long run, String words) {
  /** What happened. */
  public enum Kind {
    BMS_TRIP("The BMS switched off"),
    FUSE("The fuse opened"),
    CUT_OUT("The machine cut out"),
    HOT_CONNECTOR("A connector or lug got hot");

    private final String label;

    Kind(String label) {
      this.label = label;
    }

    /** Returns it in words. */
    public String label() {
      return label;
    }
  }

  public Incident {
    Valid.text("Incident", words);
  }
}
