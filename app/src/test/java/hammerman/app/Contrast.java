package hammerman.app;

import javafx.scene.paint.Color;

/** How far words stand out from their ground. */
final class Contrast {
  /** The least that can be read in a garage. */
  static final double LEAST = 4.5;

  private Contrast() {}

  /** Contrast ratio by the usual relative luminance (WCAG 2), 1 to 21. */
  static double of(Color a, Color b) {
    double x = luminance(a);
    double y = luminance(b);
    return (Math.max(x, y) + 0.05) / (Math.min(x, y) + 0.05);
  }

  private static double luminance(Color c) {
    return 0.2126 * linear(c.getRed())
        + 0.7152 * linear(c.getGreen())
        + 0.0722 * linear(c.getBlue());
  }

  private static double linear(double v) {
    return v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4);
  }
}
