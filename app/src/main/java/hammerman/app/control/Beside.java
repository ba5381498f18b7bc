package hammerman.app.control;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Orientation;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import org.jspecify.annotations.Nullable;

/**
 * Parts beside each other where there is the width for them, and in further rows where not. In a
 * row each part has the width it asks for as far as there is room, and one the rest: the last, or
 * the one that is said to grow. Rows have the height that they ask for as far as there is room, and
 * the last one the rest.
 */
public final class Beside extends Pane {
  private static final double GAP = 20;

  private final List<Region> parts;
  private @Nullable Region growing;

  /** Parts in a row, with their widths. */
  private record Row(List<Region> parts, List<Double> widths) {
    double least() {
      double most = 0;
      for (int k = 0; k < parts.size(); k++) {
        most = Math.max(most, parts.get(k).minHeight(widths.get(k)));
      }
      return most;
    }

    double wanted() {
      double most = least();
      for (int k = 0; k < parts.size(); k++) {
        most = Math.max(most, parts.get(k).prefHeight(widths.get(k)));
      }
      return most;
    }
  }

  /** Lays parts out; their least widths decide how many stand in a row. */
  public Beside(Region... parts) {
    this.parts = List.of(parts);
    getChildren().addAll(parts);
  }

  /** Gives a part, instead of the last of its row, the width that the others do not ask for. */
  public Beside growing(Region part) {
    growing = part;
    return this;
  }

  @Override
  public Orientation getContentBias() {
    return Orientation.HORIZONTAL;
  }

  private List<Region> seen() {
    return parts.stream().filter(Region::isManaged).toList();
  }

  private List<Row> rows(double width) {
    List<Row> rows = new ArrayList<>();
    List<Region> row = new ArrayList<>();
    double used = 0;
    for (Region part : seen()) {
      double least = part.minWidth(-1);
      if (!row.isEmpty() && used + GAP + least > width + 0.5) {
        rows.add(row(row, width));
        row = new ArrayList<>();
        used = 0;
      }
      used += (row.isEmpty() ? 0 : GAP) + least;
      row.add(part);
    }
    if (!row.isEmpty()) {
      rows.add(row(row, width));
    }
    return rows;
  }

  private Row row(List<Region> row, double width) {
    double room = width - GAP * (row.size() - 1);
    for (Region part : row) {
      room -= part.minWidth(-1);
    }
    int grows = growing == null ? -1 : row.indexOf(growing);
    int rest = grows < 0 ? row.size() - 1 : grows;
    List<Double> widths = new ArrayList<>();
    for (Region part : row) {
      double least = part.minWidth(-1);
      double more =
          widths.size() == rest ? 0 : Math.clamp(part.prefWidth(-1) - least, 0, Math.max(0, room));
      room -= more;
      widths.add(snapSizeX(least + more));
    }
    widths.set(rest, snapSizeX(widths.get(rest) + Math.max(0, room)));
    return new Row(row, widths);
  }

  @Override
  protected double computeMinWidth(double height) {
    return seen().stream().mapToDouble(p -> p.minWidth(-1)).max().orElse(0);
  }

  @Override
  protected double computePrefWidth(double height) {
    return seen().stream().mapToDouble(p -> p.prefWidth(-1) + GAP).sum() - GAP;
  }

  @Override
  protected double computeMinHeight(double width) {
    List<Row> rows = rows(width < 0 ? computePrefWidth(-1) : width);
    return rows.stream().mapToDouble(r -> r.least() + GAP).sum() - GAP;
  }

  @Override
  protected double computePrefHeight(double width) {
    List<Row> rows = rows(width < 0 ? computePrefWidth(-1) : width);
    return rows.stream().mapToDouble(r -> r.wanted() + GAP).sum() - GAP;
  }

  @Override
  protected void layoutChildren() {
    List<Row> rows = rows(getWidth());
    double room = getHeight() - GAP * (rows.size() - 1);
    for (Row row : rows) {
      room -= row.least();
    }
    double y = 0;
    for (int r = 0; r < rows.size(); r++) {
      Row row = rows.get(r);
      double least = row.least();
      boolean last = r == rows.size() - 1;
      double more = last ? room : Math.clamp(row.wanted() - least, 0, Math.max(0, room));
      room -= more;
      double height = snapSizeY(Math.max(least, least + more));
      double x = 0;
      for (int k = 0; k < row.parts().size(); k++) {
        double width = row.widths().get(k);
        row.parts().get(k).resizeRelocate(x, y, width, height);
        x += width + GAP;
      }
      y += height + GAP;
    }
  }
}
