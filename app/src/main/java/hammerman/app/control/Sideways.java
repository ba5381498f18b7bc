package hammerman.app.control;

import javafx.application.Platform;
import javafx.beans.value.ChangeListener;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TableView;
import javafx.scene.layout.Region;
import org.jspecify.annotations.Nullable;

/**
 * Keeps a table from making its page wider than the window: where the page has no room for all the
 * columns, the table is scrolled sideways, and not the page.
 */
final class Sideways {
  /** What a page has at both sides of its parts, px. */
  private static final double MARGINS = 34;

  private final Region part;
  private final TableView<?> table;
  private double needed;
  private @Nullable ScrollPane page;
  // Least widths are not taken while the page is laid out.
  private final ChangeListener<Bounds> resized =
      (o, was, is) -> {
        if (was.getWidth() != is.getWidth()) {
          Platform.runLater(this::hold);
        }
      };

  /**
   * @param part that holds the table and what belongs to it
   */
  Sideways(Region part, TableView<?> table) {
    this.part = part;
    this.table = table;
    part.sceneProperty().addListener((o, was, is) -> onPage());
  }

  /** How wide the table is with all its columns, px. */
  double needed() {
    return needed;
  }

  /** Takes how wide the table is with all its columns, px. */
  void need(double width) {
    needed = width;
    hold();
  }

  private void onPage() {
    if (page != null) {
      page.viewportBoundsProperty().removeListener(resized);
    }
    page = part.getScene() == null ? null : outermost();
    if (page != null) {
      page.viewportBoundsProperty().addListener(resized);
    }
    hold();
  }

  /** The page itself; a part of it may be scrolled, too. */
  private @Nullable ScrollPane outermost() {
    ScrollPane found = null;
    for (Node n = part; n != null; n = n.getParent()) {
      if (n instanceof ScrollPane p && p.getStyleClass().contains("page")) {
        found = p;
      }
    }
    return found;
  }

  private void hold() {
    double seen = page == null ? 0 : page.getViewportBounds().getWidth();
    double room = seen > 0 ? seen - MARGINS : needed;
    part.setMinWidth(Math.min(needed, room));
    var policy =
        room < needed
            ? TableView.UNCONSTRAINED_RESIZE_POLICY
            : TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN;
    if (!policy.equals(table.getColumnResizePolicy())) {
      table.setColumnResizePolicy(policy);
    }
  }
}
