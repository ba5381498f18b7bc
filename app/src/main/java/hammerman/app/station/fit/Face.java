package hammerman.app.station.fit;

/** Which faces of the pack the sheet shows. */
enum Face {
  UPPER("Upper"),
  LOWER("Lower"),
  BOTH("Both faces");

  private final String label;

  Face(String label) {
    this.label = label;
  }

  String label() {
    return label;
  }
}
