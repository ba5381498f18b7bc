package hammerman.app.station.fit;

/** What the sheet shows over the groups. */
enum Overlay {
  GROUPS("Groups"),
  SHARE("Share"),
  STRIPS("Strips"),
  HEAT("Heat");

  private final String label;

  Overlay(String label) {
    this.label = label;
  }

  String label() {
    return label;
  }
}
