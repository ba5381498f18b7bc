package hammerman.circuit;

/** What goes on when a part is stressed. */
public enum State {
  RUNNING("running"),
  HARDEST("in the hardest moment"),
  EFFORT("at the machine's full effort"),
  STARTING("switching on"),
  BRAKING("braking"),
  CHARGING("charging"),
  STANDING("standing"),
  STORED("stored"),
  JOINING("joining two packs"),
  ALONE("one pack alone"),
  SHORT("short circuit"),
  OVERLOAD("overload short of a short circuit"),
  OPENED("opening under voltage"),
  TYPED("as typed");

  private final String words;

  State(String words) {
    this.words = words;
  }

  /** Returns it in words. */
  public String words() {
    return words;
  }
}
