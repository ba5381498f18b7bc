package hammerman.app.control;

import javafx.geometry.Orientation;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Region;

/** Holds a part that is wider than a narrow window, and lets it be scrolled sideways there. */
public final class SidewaysPane extends ScrollPane {
  /** Height of the bar, px. */
  private static final double BAR = 12;

  /** What the viewport has less than there is inside, px. */
  private static final double RIM = 2;

  private final Region part;
  private final double most;

  /** Takes the part to hold; it is as wide as there is room, but not less than its least width. */
  public SidewaysPane(Region part) {
    this(part, Double.MAX_VALUE);
    setFitToHeight(true);
    setVbarPolicy(ScrollBarPolicy.NEVER);
  }

  /**
   * Takes the part to hold, which is scrolled up and down too where it is higher than that.
   *
   * @param most the most that is seen of its height, px
   */
  public SidewaysPane(Region part, double most) {
    super(part);
    this.part = part;
    this.most = most;
    setFitToWidth(true);
    setMinWidth(0);
    setFocusTraversable(false);
    getStyleClass().add("page");
  }

  /** How wide it is decides whether there is a bar, and how high words in it are. */
  @Override
  public Orientation getContentBias() {
    return Orientation.HORIZONTAL;
  }

  @Override
  protected double computeMinHeight(double width) {
    return Math.min(most, part.minHeight(within(width))) + around(width);
  }

  @Override
  protected double computePrefHeight(double width) {
    return Math.min(most, part.prefHeight(within(width))) + around(width);
  }

  private double within(double width) {
    return width < 0 ? -1 : Math.max(width, part.minWidth(-1));
  }

  private double around(double width) {
    double bar = width >= 0 && width < part.minWidth(-1) ? BAR : 0;
    return bar + RIM + snappedTopInset() + snappedBottomInset();
  }
}
