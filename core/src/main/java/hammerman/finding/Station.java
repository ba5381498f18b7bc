package hammerman.finding;

/** The stations of the work, in its order; where a judgement can be mended. */
public enum Station {
  DUTY("Duty", "What must the pack do?"),
  CELL("Cell", "Which cell carries it?"),
  STACK("Stack", "How many in series and in parallel?"),
  GUARD("Guard", "What protects it, and do the ratings line up?"),
  FIT("Fit", "Does it go into the box, and do the strips carry it?"),
  FORECAST("Forecast", "What will it do, and for how long?"),
  SORT("Sort", "Which cells are good, and which go together?"),
  BUILD("Build", "What is the next step, and what should it read?"),
  PROVE("Prove", "Did it come out as it should, and is it still so?");

  private final String label;
  private final String question;

  Station(String label, String question) {
    this.label = label;
    this.question = question;
  }

  /** Returns the station's name on the line. */
  public String label() {
    return label;
  }

  /** Returns the one question the station answers. */
  public String question() {
    return question;
  }
}
