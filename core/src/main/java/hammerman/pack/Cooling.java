package hammerman.pack;

/** How the box sheds heat; heat transfer of its outside, typical values. */
public enum Cooling {
  SEALED("Sealed box, still air", 6),
  OPEN("Open to the air", 10),
  MOVING_AIR("Moving air", 25);

  private final String label;
  private final double heatTransfer;

  Cooling(String label, double heatTransfer) {
    this.label = label;
    this.heatTransfer = heatTransfer;
  }

  /** Returns the choice in words. */
  public String label() {
    return label;
  }

  /** Returns h, W/(m² K). */
  public double heatTransfer() {
    return heatTransfer;
  }
}
