package hammerman.circuit;

/**
 * A part of the circuit.
 *
 * @param kind what it is
 * @param second whether it belongs to the second pack
 * @param name what it is called in this design
 */
public record Part(Kind kind, boolean second, String name) {

  /** Kinds of part, from the cell outwards and then along the charge side. */
  public enum Kind {
    CELLS("cell", "Cells"),
    CELL_FUSES("cellFuse", "Cell fuses"),
    STRIPS("strip", "Strips"),
    BMS("bms", "BMS"),
    LEAD("lead", "Unfused lead"),
    FUSE("fuse", "Main fuse"),
    WIRE("wire", "Main wire"),
    SWITCH("switch", "Switch"),
    CONNECTORS("connector", "Connectors"),
    SHARED_WIRE("sharedWire", "Shared wire"),
    PRECHARGE("precharge", "Pre-charge"),
    MACHINE("machine", "Machine"),
    JUNCTION("junction", "Junction"),
    CHARGER("charger", "Charger"),
    CHARGE_FUSE("chargeFuse", "Charge fuse"),
    CHARGE_LEAD("chargeLead", "Charge lead"),
    CHARGE_PLUG("chargePlug", "Charge plug"),
    PACK("pack", "Pack"),
    READY_MADE("readyMade", "Ready-made battery");

    private final String key;
    private final String label;

    Kind(String key, String label) {
      this.key = key;
      this.label = label;
    }

    /** Returns its stable name in ids. */
    public String key() {
      return key;
    }

    /** Returns it in words. */
    public String label() {
      return label;
    }
  }

  /** Returns its stable name: that of the kind, with “second.” before it for the second pack. */
  public String key() {
    return (second ? "second." : "") + kind.key();
  }

  /** Returns the kind in words, with the pack it belongs to if that is the second. */
  public String label() {
    return second ? kind.label() + ", second pack" : kind.label();
  }
}
