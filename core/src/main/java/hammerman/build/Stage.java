package hammerman.build;

/** The stages of a build, in their order. */
public enum Stage {
  BENCH("bench", "Bench and parts"),
  CELLS("cells", "Cells before they are joined"),
  JOINING("joining", "Groups and the string"),
  BALANCE("balance", "Balance leads"),
  INSULATION("insulation", "Insulation and the whole string"),
  PROTECTION("protection", "Probe card and BMS"),
  WIRING("wiring", "Wiring, nothing live"),
  SETTINGS("settings", "Settings"),
  POWER("power", "First power"),
  PACKS("packs", "Two packs together"),
  CHARGE("charge", "First charge"),
  RUN("run", "First run");

  private final String key;
  private final String label;

  Stage(String key, String label) {
    this.key = key;
    this.label = label;
  }

  /** Returns the stable key used on the command line. */
  public String key() {
    return key;
  }

  /** Returns it in words. */
  public String label() {
    return label;
  }
}
