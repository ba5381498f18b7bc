package hammerman.record;

import hammerman.unit.Unit;
import hammerman.unit.Valid;
import org.jspecify.annotations.Nullable;

/**
 * What is known of a part of the build; the last that was kept of a part counts.
 *
 * @param part its key in the parts list
 * @param have whether it is there
 * @param price of one, in the user's currency; absent if the typical one serves
 * @param note free text, such as where it was ordered
 */
public record PartRecord(String part, Have have, @Nullable Double price, String note) {
  /** Whether a part is there. */
  public enum Have {
    MISSING("missing"),
    ORDERED("ordered"),
    HERE("here");

    private final String word;

    Have(String word) {
      this.word = word;
    }

    /** Returns it in a word. */
    public String word() {
      return word;
    }
  }

  public PartRecord {
    Valid.text("Part", part);
    if (price != null) {
      Valid.range("Price", price, 0, 1e6, Unit.MONEY);
    }
  }
}
