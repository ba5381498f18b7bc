package hammerman.app.picture;

import org.jspecify.annotations.Nullable;

/**
 * A picture of one thing; empty as long as there is none.
 *
 * @param <T> what is drawn
 */
public abstract class PictureOf<T> extends Picture {
  private @Nullable T shown;

  /**
   * @param name what it is a picture of, for screen readers
   */
  protected PictureOf(String name) {
    super(name);
  }

  /** Draws something else, or nothing. */
  public final void show(@Nullable T value) {
    shown = value;
    redraw();
  }

  /** Returns what is drawn. */
  protected final @Nullable T shown() {
    return shown;
  }

  @Override
  protected final void paint(Pen pen, double width, double height) {
    T of = shown;
    if (of != null) {
      paint(pen, width, height, of);
    }
  }

  /** Draws it. */
  protected abstract void paint(Pen pen, double width, double height, T of);
}
