package hammerman.app.station;

/** A part of the session that a station may read; it is shown anew only when one of its changes. */
public enum Slice {
  /** The project: duty, variants, names, acknowledgements. */
  PROJECT,
  /** The forecast of the design worked on. */
  FORECAST,
  /** The records: cells, steps, runs. */
  RECORDS
}
