package hammerman.app.shell;

import javafx.application.Platform;
import javafx.beans.value.ChangeListener;
import javafx.css.PseudoClass;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ScrollPane.ScrollBarPolicy;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** The sheet of the workbench: what stands around the page, and what gives way as it narrows. */
final class Sheet extends BorderPane {
  /** The least width, in px, at which the states of the stations stand in words. */
  private static final double FULL_LINE = 1280;

  /** The least width, in px, at which the nameplate has everything on it. */
  private static final double FULL_PLATE = 960;

  /** The least width, in px, at which undo and redo have buttons. */
  private static final double BUTTONS = 1080;

  /** The least width, in px, at which the stations stand as wide apart as is comfortable. */
  private static final double TIGHT_LINE = 800;

  /** The least width, in px, at which there is a margin beside the page and the nameplate. */
  private static final double MARGINS = 720;

  /** The least width, in px, at which the judgements stand beside the page. */
  private static final double RAIL = 1100;

  private static final PseudoClass NARROW = PseudoClass.getPseudoClass("narrow");

  private final Label wordmark = new Label("Hammerman");
  private final LineBar line;
  private final UndoButtons undo;
  private final Nameplate plate;
  private final RailPlace side;
  private final ScrollPane page = new ScrollPane();
  private final ChangeListener<Bounds> resized = (o, was, is) -> barLater();

  /** Whether the bar of the page is to be looked at. */
  private boolean asked;

  Sheet(LineBar line, UndoButtons undo, MenuButton menu, Nameplate plate, RailPlace side) {
    this.line = line;
    this.undo = undo;
    this.plate = plate;
    this.side = side;
    getStyleClass().add("sheet");
    wordmark.getStyleClass().add("wordmark");
    wordmark.setMinWidth(USE_PREF_SIZE);
    Region spring = new Region();
    HBox.setHgrow(spring, Priority.ALWAYS);
    HBox top = new HBox(wordmark, line, spring);
    top.getChildren().addAll(undo.both());
    top.getChildren().add(menu);
    top.getStyleClass().add("line");
    page.setFitToWidth(true);
    page.setFitToHeight(true);
    page.setHbarPolicy(ScrollBarPolicy.AS_NEEDED);
    page.getStyleClass().add("page");
    page.setFocusTraversable(false);
    // The skin keeps an image of the whole page, which would be made anew for each stroke in it.
    page.skinProperty().addListener((o, was, is) -> page.lookup(".viewport").setCache(false));
    page.viewportBoundsProperty().addListener((o, was, is) -> barLater());
    setTop(new VBox(top, inset(plate, "plate-place")));
    setCenter(inset(page, "page-place"));
    setRight(side);
  }

  /** Puts what is said of the whole window above and below the page. */
  void tell(Node above, Node below) {
    ((VBox) getTop()).getChildren().add(above);
    setBottom(below);
  }

  /** Shows a page. */
  void show(Node content) {
    if (page.getContent() != null) {
      page.getContent().layoutBoundsProperty().removeListener(resized);
    }
    content.layoutBoundsProperty().addListener(resized);
    page.setContent(content);
  }

  /**
   * Gives a page that is longer than its place a bar. The toolkit asks a page for its least height
   * at no width, and that of parts which stand below each other in a narrow window is greater. It
   * does not take a new rule while it lays out.
   */
  private void barLater() {
    if (!asked) {
      asked = true;
      Platform.runLater(
          () -> {
            asked = false;
            Node content = page.getContent();
            boolean longer =
                content != null
                    && content.getLayoutBounds().getHeight()
                        > page.getViewportBounds().getHeight() + 1;
            page.setVbarPolicy(longer ? ScrollBarPolicy.ALWAYS : ScrollBarPolicy.AS_NEEDED);
          });
    }
  }

  /** Goes to the top of the page. */
  void toTop() {
    page.setVvalue(0);
  }

  /**
   * Lets parts give way in a window of this width, px; that of the window, as the sheet is never
   * narrower than what it holds.
   */
  void fit(double width) {
    line.compact(width < FULL_LINE, width < TIGHT_LINE);
    plate.compact(width < FULL_PLATE);
    plate.brief(width < RAIL);
    side.narrow(width < RAIL);
    wordmark.setVisible(width >= FULL_PLATE);
    wordmark.setManaged(width >= FULL_PLATE);
    undo.setShown(width >= BUTTONS);
    plate.narrow(width < MARGINS);
    pseudoClassStateChanged(NARROW, width < MARGINS);
  }

  private static Region inset(Region node, String style) {
    StackPane box = new StackPane(node);
    box.getStyleClass().add(style);
    return box;
  }
}
