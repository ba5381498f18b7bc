package hammerman.pack;

/**
 * How strip meets a terminal, with the resistance of one contact. Orders of magnitude after Brand,
 * Schmidt, Zaeh and Jossen, J. Energy Storage 1 (2015) 7; a poor contact can be ten times worse.
 */
public enum Joint {
  WELDED("Spot-welded", 0.15e-3),
  SCREWED("Screwed", 0.05e-3),
  SOLDERED("Soldered", 0.1e-3);

  private final String label;
  private final double contact;

  Joint(String label, double contact) {
    this.label = label;
    this.contact = contact;
  }

  /** Returns the choice in words. */
  public String label() {
    return label;
  }

  /** Returns the resistance of one contact, Ω. */
  public double contact() {
    return contact;
  }
}
