package hammerman.record;

import hammerman.unit.Valid;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A fact as it is kept.
 *
 * @param id its number in the project's file
 * @param at when it was found or done
 * @param value what was found or done
 * @param struck when and why it no longer counts, if it was struck out
 */
public record Fact<T>(long id, Instant at, T value, @Nullable Strike struck) {
  /**
   * The striking out of a fact; both stay.
   *
   * @param at when
   * @param reason why, in the builder's words
   */
  public record Strike(Instant at, String reason) {
    public Strike {
      Valid.text("Reason", reason);
    }
  }

  /** Whether it still counts. */
  public boolean counts() {
    return struck == null;
  }

  /** Returns why it no longer counts, if so. */
  public Optional<Strike> strike() {
    return Optional.ofNullable(struck);
  }
}
