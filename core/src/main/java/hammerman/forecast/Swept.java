package hammerman.forecast;

/** Pictures that come out of many runs, each of which can show how it came about. */
public enum Swept {
  /** The duty on the four days. */
  DAYS,
  /** The load in any air. */
  AIR,
  /** Energy at any power. */
  POWER,
  /** Range at any speed. */
  SPEED,
  /** What each input does to an answer. */
  MOVES,
  /** Packs as they might come out. */
  SPREAD
}
