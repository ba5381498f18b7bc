package hammerman.app.control;

import javafx.geometry.Orientation;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;

/**
 * Two parts beside each other where there is the width for both, and below each other where not.
 * Beside each other the first has the width it asks for and the second the rest.
 */
public final class Beside extends Pane {
  private static final double GAP = 20;

  private final Region first;
  private final Region second;

  /** Lays two parts out; each part's least width decides when they go below each other. */
  public Beside(Region first, Region second) {
    this.first = first;
    this.second = second;
    getChildren().addAll(first, second);
  }

  @Override
  public Orientation getContentBias() {
    return Orientation.HORIZONTAL;
  }

  private boolean beside(double width) {
    return width >= first.minWidth(-1) + GAP + second.minWidth(-1);
  }

  private double firstWidth(double width) {
    double room = width - GAP - second.minWidth(-1);
    return Math.max(first.minWidth(-1), Math.min(first.prefWidth(-1), room));
  }

  @Override
  protected double computeMinWidth(double height) {
    return Math.max(first.minWidth(-1), second.minWidth(-1));
  }

  @Override
  protected double computePrefWidth(double height) {
    return first.prefWidth(-1) + GAP + second.prefWidth(-1);
  }

  @Override
  protected double computeMinHeight(double width) {
    return height(width, true);
  }

  @Override
  protected double computePrefHeight(double width) {
    return height(width, false);
  }

  private double height(double width, boolean least) {
    double w = width < 0 ? computePrefWidth(-1) : width;
    if (beside(w)) {
      double a = firstWidth(w);
      return Math.max(height(first, a, least), height(second, w - GAP - a, least));
    }
    return height(first, w, least) + GAP + height(second, w, least);
  }

  private static double height(Region part, double width, boolean least) {
    return least ? part.minHeight(width) : part.prefHeight(width);
  }

  @Override
  protected void layoutChildren() {
    double w = getWidth();
    double h = getHeight();
    if (beside(w)) {
      double a = snapSizeX(firstWidth(w));
      first.resizeRelocate(0, 0, a, h);
      second.resizeRelocate(a + GAP, 0, w - GAP - a, h);
      return;
    }
    double below = snapSizeY(second.minHeight(w));
    double above = Math.max(first.minHeight(w), h - GAP - below);
    first.resizeRelocate(0, 0, w, above);
    second.resizeRelocate(0, above + GAP, w, Math.max(below, h - above - GAP));
  }
}
