package hammerman.fit;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * How round cells stand beside each other.
 *
 * @param pattern of their middles
 * @param gap between neighbours, m; with a holder its pitch less the diameter
 */
@RecordBuilder
public record Packing(Pattern pattern, @In(Unit.MILLIMETRE) double gap)
    implements PackingBuilder.With {
  /** The patterns. */
  public enum Pattern {
    HEXAGONAL("Hexagonal"),
    SQUARE("Square");

    private final String label;

    Pattern(String label) {
      this.label = label;
    }

    /** Returns the pattern in a word. */
    public String label() {
      return label;
    }
  }

  public Packing {
    Valid.range("Gap between cells", gap, 0, 0.05, Unit.MILLIMETRE);
  }
}
