package hammerman.app.control;

import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Region;

/** Holds a part that is wider than a narrow window, and lets it be scrolled sideways there. */
public final class SidewaysPane extends ScrollPane {
  /** Height of the bar, px. */
  private static final double BAR = 12;

  private final Region part;

  /** Takes the part to hold; it is as wide as there is room, but not less than its least width. */
  public SidewaysPane(Region part) {
    super(part);
    this.part = part;
    setFitToWidth(true);
    setFitToHeight(true);
    setVbarPolicy(ScrollBarPolicy.NEVER);
    setMinWidth(0);
    setFocusTraversable(false);
    getStyleClass().add("page");
  }

  @Override
  protected double computeMinHeight(double width) {
    return part.minHeight(-1) + BAR;
  }

  @Override
  protected double computePrefHeight(double width) {
    return part.prefHeight(-1) + BAR;
  }
}
