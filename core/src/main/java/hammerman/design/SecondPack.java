package hammerman.design;

import hammerman.guard.Guard;
import hammerman.pack.Pack;
import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * A second pack used with the first: a whole pack with protection, fuse, leads and charger of its
 * own. Its leads are those up to the junction; from there on both share the first pack's switch,
 * connectors and leads to the machine.
 *
 * @param pack what it is built of; its cell's health says how worn it is
 * @param guard what protects it
 * @param joining how the two are joined
 * @param soc its state of charge when they are joined, 0 to 1
 * @param firstSoc the first pack's state of charge then, 0 to 1
 */
@RecordBuilder
public record SecondPack(
    Pack pack,
    Guard guard,
    Joining joining,
    @In(Unit.PERCENT) double soc,
    @In(Unit.PERCENT) double firstSoc)
    implements SecondPackBuilder.With {

  /** Forward drop of a combiner's diodes, V; typical of a Schottky pair. */
  public static final double DIODE_DROP = 0.4;

  /** How two packs are joined. */
  public enum Joining {
    SERIES("In series"),
    PARALLEL("Directly in parallel"),
    DIODES("Through a combiner or diodes"),
    SWITCH_OVER("As a reserve, switched over");

    private final String label;

    Joining(String label) {
      this.label = label;
    }

    /** Returns it in words. */
    public String label() {
      return label;
    }
  }

  public SecondPack {
    Valid.range("Charge of the second pack", soc, 0, 1, Unit.PERCENT);
    Valid.range("Charge of the first pack", firstSoc, 0, 1, Unit.PERCENT);
  }
}
