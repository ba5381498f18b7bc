package hammerman.app.control;

/**
 * What is ticked.
 *
 * @param <T> what a row shows
 */
public interface Ticks<T> {
  /** Whether a row is ticked. */
  boolean has(T row);

  /** Ticks a row, or takes its tick away; which of both it may refuse. */
  void turn(T row, boolean on);
}
