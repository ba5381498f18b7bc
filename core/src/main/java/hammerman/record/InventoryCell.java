package hammerman.record;

import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import org.jspecify.annotations.Nullable;

/**
 * A cell as it lies in the drawer: what is known of it apart from its measurements.
 *
 * @param label written on it; no two cells of a project have the same
 * @param type class of cell, in words
 * @param lot it came with
 * @param source where it came from
 * @param bought when, if known
 * @param price paid, if known
 * @param notes free text
 * @param photo name of a picture file; empty for none
 */
@RecordBuilder
public record InventoryCell(
    String label,
    String type,
    String lot,
    String source,
    @Nullable LocalDate bought,
    @Nullable Double price,
    String notes,
    String photo)
    implements InventoryCellBuilder.With {
  private static final int LONGEST_NOTES = 10_000;

  public InventoryCell {
    Valid.text("Label", label);
    if (price != null) {
      Valid.range("Price", price, 0, 1e6, Unit.MONEY);
    }
    if (notes.length() > LONGEST_NOTES) {
      throw new InvalidValue(
          "Notes", notes.length() + " characters long", LONGEST_NOTES + " fit", "Shorten them.");
    }
  }

  /** Returns this cell, with what is not known of it as another says. */
  public InventoryCell orAs(InventoryCell other) {
    return new InventoryCell(
        label,
        type.isEmpty() ? other.type : type,
        lot.isEmpty() ? other.lot : lot,
        source.isEmpty() ? other.source : source,
        bought == null ? other.bought : bought,
        price == null ? other.price : price,
        notes.isEmpty() ? other.notes : notes,
        photo.isEmpty() ? other.photo : photo);
  }

  /**
   * Returns this cell as bought on a day.
   *
   * @param typed year, month and day, as in 2026-03-31; empty for not known
   * @throws InvalidValue if it is no day
   */
  public InventoryCell boughtOn(String typed) {
    String day = typed.strip();
    try {
      return withBought(day.isEmpty() ? null : LocalDate.parse(day));
    } catch (DateTimeParseException e) {
      throw new InvalidValue(
          "Bought", day, "must be a day, as in 2026-03-31", "Type year, month and day.");
    }
  }

  /** A cell of which only the label is known. */
  public static InventoryCell labelled(String label) {
    return new InventoryCell(label, "", "", "", null, null, "", "");
  }
}
