package hammerman.build;

import hammerman.unit.Figures;
import hammerman.unit.Valid;
import org.jspecify.annotations.Nullable;

/**
 * A thing to have before a stage begins.
 *
 * @param key stable; a part of the second pack begins with {@link Step#SECOND}
 * @param kind what sort of thing it is
 * @param name in words, with its figures
 * @param quantity that is built in, in its unit
 * @param spare more to have at hand, in its unit
 * @param unit it is counted in: pcs, m, m² or set
 * @param price of one unit, in the user's currency; absent if not known
 * @param mass of one unit as built in, kg; 0 for what is not
 * @param needed the stage that cannot begin without it
 */
public record PartItem(
    String key,
    Kind kind,
    String name,
    double quantity,
    double spare,
    String unit,
    @Nullable Double price,
    double mass,
    Stage needed) {
  /** Sorts of things. */
  public enum Kind {
    CELLS("Cells"),
    CONDUCTORS("Strips and links"),
    INSULATION("Holding and insulation"),
    PROTECTION("Protection"),
    WIRING("Wires and connectors"),
    CHARGING("Charging"),
    TOOLS("Tools");

    private final String label;

    Kind(String label) {
      this.label = label;
    }

    /** Returns it in words. */
    public String label() {
      return label;
    }
  }

  private static final double SMALL_AREA = 0.1;
  private static final double SMALL_LENGTH = 0.1;

  public PartItem {
    Valid.text("Part", name);
  }

  /** Returns what must be bought, in its unit. */
  public double toBuy() {
    return quantity + spare;
  }

  /** Returns what must be bought in words; a little paper in cm², not in thousandths of a m². */
  public String toBuyWords() {
    if (unit.equals("m²") && toBuy() < SMALL_AREA) {
      return Figures.fixed(Math.ceil(toBuy() * 1e4), 0) + " cm²";
    }
    if (unit.equals("m") && toBuy() < SMALL_LENGTH) {
      return Figures.fixed(Math.ceil(toBuy() * 1e3), 0) + " mm";
    }
    return Figures.compact(toBuy()) + " " + unit;
  }

  /** Returns what it costs with its spares; not a number if the price is not known. */
  public double cost() {
    return price == null ? Double.NaN : price * toBuy();
  }

  /** Returns what it weighs in the pack, kg. */
  public double built() {
    return quantity * mass;
  }

  /** Returns it with another price of one, if one is given. */
  PartItem priced(@Nullable Double other) {
    return other == null
        ? this
        : new PartItem(key, kind, name, quantity, spare, unit, other, mass, needed);
  }
}
