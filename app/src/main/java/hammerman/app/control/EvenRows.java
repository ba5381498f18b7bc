package hammerman.app.control;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Insets;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.layout.Pane;

/** Puts its children into as few rows as the width allows, filled as evenly as they can be. */
public final class EvenRows extends Pane {
  private final double gapX;
  private final double gapY;

  /** Makes rows with these gaps between children, px. */
  public EvenRows(double gapX, double gapY) {
    this.gapX = gapX;
    this.gapY = gapY;
  }

  @Override
  public Orientation getContentBias() {
    return Orientation.HORIZONTAL;
  }

  @Override
  protected double computeMinWidth(double height) {
    return around(getManagedChildren().stream().mapToDouble(n -> n.minWidth(-1)).max().orElse(0));
  }

  @Override
  protected double computePrefWidth(double height) {
    double wide = -gapX;
    for (Node n : getManagedChildren()) {
      wide += n.prefWidth(-1) + gapX;
    }
    return around(Math.max(0, wide));
  }

  private double around(double wide) {
    return wide + getInsets().getLeft() + getInsets().getRight();
  }

  @Override
  protected double computeMinHeight(double width) {
    return computePrefHeight(width);
  }

  @Override
  protected double computePrefHeight(double width) {
    double high = -gapY;
    for (List<Node> row : rows(width < 0 ? Double.MAX_VALUE : width - around(0))) {
      high += height(row) + gapY;
    }
    return Math.max(0, high) + getInsets().getTop() + getInsets().getBottom();
  }

  @Override
  protected void layoutChildren() {
    Insets in = getInsets();
    double room = getWidth() - around(0);
    List<List<Node>> rows = rows(room);
    double[] columns = columns(rows, room);
    double y = in.getTop();
    for (List<Node> row : rows) {
      double x = in.getLeft();
      double high = height(row);
      for (int k = 0; k < row.size(); k++) {
        Node n = row.get(k);
        n.resizeRelocate(snapPositionX(x), snapPositionY(y), n.prefWidth(-1), high);
        x += Math.max(columns[k], n.prefWidth(-1)) + gapX;
      }
      y += high + gapY;
    }
  }

  /**
   * What stands below each other begins at the same place, if there is room for that; the last of a
   * row has all that is left of it and makes no column wider.
   */
  private double[] columns(List<List<Node>> rows, double room) {
    double[] columns = new double[rows.stream().mapToInt(List::size).max().orElse(0)];
    for (List<Node> row : rows) {
      for (int k = 0; k < row.size() - 1; k++) {
        columns[k] = Math.max(columns[k], row.get(k).prefWidth(-1));
      }
    }
    for (List<Node> row : rows) {
      double wide = row.getLast().prefWidth(-1);
      for (int k = 0; k < row.size() - 1; k++) {
        wide += columns[k] + gapX;
      }
      if (wide > room) {
        return new double[columns.length];
      }
    }
    return columns;
  }

  private static double height(List<Node> row) {
    return row.stream().mapToDouble(n -> n.prefHeight(n.prefWidth(-1))).max().orElse(0);
  }

  /** The rows: broken at the least width that needs no more of them than all the width does. */
  private List<List<Node>> rows(double width) {
    List<List<Node>> rows = broken(width);
    double low = 0;
    double high = Math.min(width, computePrefWidth(-1));
    while (rows.size() > 1 && high - low > 1) {
      double middle = (low + high) / 2;
      List<List<Node>> narrower = broken(middle);
      if (narrower.size() > rows.size()) {
        low = middle;
      } else {
        high = middle;
        rows = narrower;
      }
    }
    return rows;
  }

  private List<List<Node>> broken(double width) {
    List<List<Node>> rows = new ArrayList<>();
    double left = -1;
    for (Node n : getManagedChildren()) {
      double wide = n.prefWidth(-1);
      if (wide > left) {
        rows.add(new ArrayList<>());
        left = width;
      }
      rows.getLast().add(n);
      left -= wide + gapX;
    }
    return rows;
  }
}
