package hammerman.app;

import hammerman.app.picture.Picture;
import hammerman.app.picture.Written;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Control;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.skin.VirtualFlow;
import javafx.scene.layout.Background;
import javafx.scene.layout.BackgroundFill;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.text.Text;
import org.jspecify.annotations.Nullable;

/** What is wrong with the words that a window shows, by the geometry of its nodes and pictures. */
final class Geometry {
  /** Bounds of words are a little larger than their ink, px. */
  private static final double SLACK = 2.5;

  private final List<String> faults = new ArrayList<>();
  private final List<Shown> shown = new ArrayList<>();
  private final double scale;

  /** Words that are seen, and where. */
  private record Shown(String text, Bounds at, @Nullable Control owner) {}

  private final List<Control> controls = new ArrayList<>();
  private final List<Bounds> rims = new ArrayList<>();
  private @Nullable Control owner;

  /** In how many tables a part lies that are scrolled sideways: there words may lie outside. */
  private int aside;

  private Geometry(double scale) {
    this.scale = scale;
  }

  /**
   * Returns words that are cut short, reach out of their ground or lie over others.
   *
   * @param scale how much larger than laid out the window is drawn
   */
  static List<String> faults(Scene scene, double scale) {
    Geometry g = new Geometry(scale);
    g.walk(scene.getRoot(), scene.getRoot().getLayoutBounds(), false, Color.WHITE);
    g.overlaps();
    g.covered();
    return g.faults;
  }

  /** Whether anything scrolls but a table that may grow. */
  static boolean scrolls(Parent root) {
    return root.lookupAll(".scroll-bar").stream()
        .filter(b -> b.isVisible() && b.getBoundsInParent().getWidth() > 1)
        .anyMatch(
            b -> {
              for (Node n = b; n != null; n = n.getParent()) {
                if (n instanceof TableView<?> || !n.isVisible()) {
                  return false;
                }
              }
              return true;
            });
  }

  private void walk(Node node, Bounds clip, boolean scrolls, Color under) {
    if (!node.isVisible() || node.getOpacity() == 0) {
      return;
    }
    Color ground = node instanceof Region r ? ground(r, under) : under;
    Bounds within = clip;
    Node cut = node.getClip();
    if (cut != null) {
      within = both(within, node.localToScene(cut.getBoundsInParent()));
    }
    switch (node) {
      case Picture p -> picture(p, within, scrolls);
      case Text t -> {
        words(t.getText(), t.localToScene(t.getLayoutBounds()), within, scrolls);
        legible(t, ground);
      }
      case ButtonBase b -> {
        cut(b);
        control(b, within, scrolls);
      }
      case Labeled l -> cut(l);
      case ScrollBar b -> sideways(b);
      case ScrollPane p -> reached(p);
      case TextInputControl c -> control(c, within, scrolls);
      case ChoiceBox<?> c -> control(c, within, scrolls);
      default -> {}
    }
    if (node instanceof TextField f && f.getText().isEmpty()) {
      prompt(f);
    }
    if (node instanceof TextField f && f.getTooltip() != null) {
      // What a user typed has no bound; it is told whole when one points at it.
      return;
    }
    Control outer = owner;
    if (outer == null && takesInput(node)) {
      owner = (Control) node;
    }
    int far = aside;
    if (scrolledSideways(node)) {
      aside++;
    }
    boolean moves = scrolls || node instanceof ScrollPane || node instanceof VirtualFlow<?>;
    if (node instanceof Parent parent) {
      for (Node child : parent.getChildrenUnmodifiable()) {
        walk(child, within, moves, ground);
      }
    }
    owner = outer;
    aside = far;
  }

  /** What the words of a region stand on: its last whole fill, or what is under it. */
  private static Color ground(Region region, Color under) {
    Background background = region.getBackground();
    Color ground = under;
    if (background != null) {
      for (BackgroundFill fill : background.getFills()) {
        if (fill.getFill() instanceof Color c && c.isOpaque()) {
          ground = c;
        }
      }
    }
    return ground;
  }

  /** What cannot be used may be pale; all else is read. */
  private void legible(Text text, Color ground) {
    if (text.isDisabled()
        || text.getText() == null
        || text.getText().isBlank()
        || !(text.getFill() instanceof Color ink)) {
      return;
    }
    double contrast = Contrast.of(ink, ground);
    if (contrast < Contrast.LEAST) {
      faults.add("“%s” has a contrast of %.1f".formatted(text.getText(), contrast));
    }
  }

  private static boolean takesInput(Node node) {
    return node instanceof TextInputControl
        || node instanceof ChoiceBox<?>
        || node instanceof ButtonBase;
  }

  /** Keeps where a control is, to hold words against it that are not its own. */
  private void control(Control c, Bounds clip, boolean scrolls) {
    Bounds at = c.localToScene(c.getLayoutBounds());
    Bounds seen = both(at, clip);
    if (scrolls && seen.getHeight() <= 0) {
      return;
    }
    if (aside == 0
        && (at.getMinX() < clip.getMinX() - SLACK * scale
            || at.getMaxX() > clip.getMaxX() + SLACK * scale)) {
      faults.add("outside: " + c);
    }
    controls.add(c);
    rims.add(seen);
  }

  /** What a page has below the window is reached by its bar. */
  private void reached(ScrollPane pane) {
    double more =
        pane.getContent() == null
            ? 0
            : pane.getContent().getLayoutBounds().getHeight()
                - pane.getViewportBounds().getHeight();
    if (isWhole(pane) && more > 1 && !bar(pane, Orientation.VERTICAL)) {
      faults.add("the page is %.0f px longer than the window and has no bar".formatted(more));
    }
  }

  /** Whether it is the page itself, and not a part of it that is scrolled. */
  private static boolean isWhole(ScrollPane pane) {
    return pane.getParent().getStyleClass().contains("page-place");
  }

  /** A table with no rows has no bar; what is beside the window are heads of nothing. */
  private static boolean scrolledSideways(Node node) {
    return switch (node) {
      case TableView<?> t -> t.getItems().isEmpty() || bar(t, Orientation.HORIZONTAL);
      case ScrollPane p -> !isWhole(p) && bar(p, Orientation.HORIZONTAL);
      default -> false;
    };
  }

  private static boolean bar(Node of, Orientation way) {
    return of.lookupAll(".scroll-bar").stream()
        .filter(Node::isVisible)
        .filter(
            n ->
                of instanceof TableView<?>
                    ? n.getParent() instanceof VirtualFlow<?>
                    : of.equals(n.getParent()))
        .anyMatch(n -> ((ScrollBar) n).getOrientation() == way);
  }

  /** A page may be longer than the window, not wider. */
  private void sideways(ScrollBar bar) {
    if (bar.getOrientation() == Orientation.HORIZONTAL
        && bar.getParent() instanceof ScrollPane p
        && isWhole(p)) {
      faults.add("the page is wider than the window");
    }
  }

  private void cut(Labeled l) {
    if (l.lookup(".text") instanceof Text t
        && !t.getText().equals(l.getText())
        && t.getText().endsWith("...")) {
      faults.add("cut short: " + l.getText());
    }
  }

  /** What an empty field asks for is read there or nowhere. */
  private void prompt(TextField f) {
    Text text = new Text(f.getPromptText());
    text.setFont(f.getFont());
    double room = f.getWidth() - f.getInsets().getLeft() - f.getInsets().getRight();
    if (text.getLayoutBounds().getWidth() > room + 1) {
      faults.add("cut short in its field: " + f.getPromptText());
    }
  }

  private void picture(Picture p, Bounds clip, boolean scrolls) {
    for (String name : Written.lost(p)) {
      faults.add("no place for “%s” in “%s”".formatted(name, p.getAccessibleText()));
    }
    for (Written.Word w : Written.in(p)) {
      words(w.text(), p.localToScene(w.place()), clip, scrolls);
    }
  }

  private void words(@Nullable String text, Bounds at, Bounds clip, boolean scrolls) {
    Bounds seen = both(at, clip);
    if (text == null || text.isBlank() || (scrolls && seen.getHeight() <= 0)) {
      return;
    }
    double slack = SLACK * scale;
    if (aside == 0
        && (at.getMinX() < clip.getMinX() - slack || at.getMaxX() > clip.getMaxX() + slack)) {
      faults.add("outside: " + text);
    } else if (!scrolls
        && (at.getMinY() < clip.getMinY() - slack || at.getMaxY() > clip.getMaxY() + slack)) {
      faults.add("below or above what is seen: " + text);
    }
    if (seen.getWidth() > 0 && seen.getHeight() > 0) {
      shown.add(new Shown(text, seen, owner));
    }
  }

  private void overlaps() {
    double slack = SLACK * scale;
    for (int a = 0; a < shown.size(); a++) {
      for (int b = a + 1; b < shown.size(); b++) {
        Bounds common = both(shown.get(a).at(), shown.get(b).at());
        if (common.getWidth() > slack && common.getHeight() > slack) {
          faults.add("“%s” over “%s”".formatted(shown.get(a).text(), shown.get(b).text()));
        }
      }
    }
  }

  /** No words of others lie over a control, or under it. */
  private void covered() {
    double slack = SLACK * scale;
    for (int k = 0; k < controls.size(); k++) {
      for (Shown s : shown) {
        Bounds common = both(rims.get(k), s.at());
        if (!controls.get(k).equals(s.owner())
            && common.getWidth() > slack
            && common.getHeight() > slack) {
          faults.add("“%s” at the control %s".formatted(s.text(), controls.get(k).getId()));
        }
      }
    }
  }

  private static Bounds both(Bounds a, Bounds b) {
    double x = Math.max(a.getMinX(), b.getMinX());
    double y = Math.max(a.getMinY(), b.getMinY());
    return new BoundingBox(
        x,
        y,
        Math.max(0, Math.min(a.getMaxX(), b.getMaxX()) - x),
        Math.max(0, Math.min(a.getMaxY(), b.getMaxY()) - y));
  }
}
