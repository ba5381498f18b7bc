package hammerman.design;

import hammerman.pack.Pack;
import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * A second pack used with the first.
 *
 * @param pack what it is built of; its cell's health says how worn it is
 * @param joining how the two are joined
 * @param soc its state of charge when they are joined, 0 to 1
 * @param firstSoc the first pack's state of charge then, 0 to 1
 * @param pathResistance of its own BMS and leads up to the junction, Ω
 * @param bmsVoltage highest voltage that the switches of its BMS block, V; 0 without a BMS
 */
@RecordBuilder
public record SecondPack(
    Pack pack,
    Joining joining,
    @In(Unit.PERCENT) double soc,
    @In(Unit.PERCENT) double firstSoc,
    @In(Unit.MILLIOHM) double pathResistance,
    @In(Unit.VOLT) double bmsVoltage)
    implements SecondPackBuilder.With {

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
    Valid.range("Path resistance of the second pack", pathResistance, 0, 1, Unit.MILLIOHM);
    Valid.range("BMS voltage of the second pack", bmsVoltage, 0, 2000, Unit.VOLT);
  }
}
