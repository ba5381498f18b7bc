package hammerman.app.station;

import hammerman.forecast.Forecast;
import java.util.EnumSet;
import java.util.Set;

/**
 * A station: what it is called and asks is its page's {@link Page#station()}, its views are its
 * page's {@link Page#views()}; the frame, the keys, the palette, the pictures and the tests follow
 * from these.
 */
public interface StationView {
  /** Returns the page; always the same node. */
  Page page();

  /** Shows a forecast; called while the page is visible, and when it becomes so. */
  void show(Forecast forecast);

  /**
   * Called when another page takes the place of this one: what takes long and only this one shows
   * is given up, and taken up again when it is shown.
   */
  default void leave() {}

  /** Returns the parts of the session that the page shows. */
  default Set<Slice> reads() {
    return EnumSet.of(Slice.PROJECT, Slice.FORECAST);
  }

  /** Explains the page in a few sentences. */
  String help();
}
