package hammerman.record;

import hammerman.unit.Valid;

/**
 * A cell that the builder put aside, whatever was measured of it.
 *
 * @param cell its number in the inventory
 * @param reason in the builder's words
 */
public record Aside(long cell, String reason) {
  public Aside {
    Valid.text("Reason", reason);
  }
}
