package hammerman.app.picture;

import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import javafx.css.CssMetaData;
import javafx.css.SimpleStyleableObjectProperty;
import javafx.css.StyleConverter;
import javafx.css.Styleable;
import javafx.css.StyleableProperty;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The ground of a drawn picture: a canvas as large as the region, colours from the theme by {@link
 * Role}. A subclass paints; painting is put off to the next layout, so many changes cost one
 * drawing.
 */
public abstract class Picture extends Region {
  private static final Logger LOG = LoggerFactory.getLogger(Picture.class);
  private static final Map<Role, CssMetaData<Picture, Color>> META = new EnumMap<>(Role.class);
  private static final List<CssMetaData<? extends Styleable, ?>> ALL =
      new ArrayList<>(Region.getClassCssMetaData());

  static {
    for (Role role : Role.values()) {
      META.put(role, new RoleMeta(role));
    }
    ALL.addAll(META.values());
  }

  private static final KeyCombination COPY =
      new KeyCodeCombination(KeyCode.C, KeyCombination.SHORTCUT_DOWN);

  private final Canvas canvas = new Canvas();
  private List<Lettering.Placed> lettering = List.of();
  private final Map<Role, SimpleStyleableObjectProperty<Color>> colours = new EnumMap<>(Role.class);

  /**
   * @param name what the picture shows, also for screen readers
   */
  protected Picture(String name) {
    getStyleClass().add("picture");
    setAccessibleRole(AccessibleRole.IMAGE_VIEW);
    setAccessibleText(name);
    META.forEach(
        (role, meta) ->
            colours.put(
                role,
                new SimpleStyleableObjectProperty<>(meta, this, role.name(), Color.GRAY) {
                  @Override
                  protected void invalidated() {
                    requestLayout();
                  }
                }));
    getChildren().add(canvas);
    setMinSize(80, 60);
    MenuItem item = new MenuItem("Copy picture and figures");
    item.setAccelerator(COPY);
    item.setOnAction(e -> copy());
    ContextMenu menu = new ContextMenu(item);
    setOnContextMenuRequested(e -> menu.show(this, e.getScreenX(), e.getScreenY()));
    addEventHandler(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (COPY.match(e)) {
            copy();
            e.consume();
          }
        });
  }

  /** Paints the whole picture. */
  protected abstract void paint(Pen pen, double width, double height);

  /**
   * A column of the figures that a picture shows.
   *
   * @param name with its unit
   */
  @SuppressWarnings("ArrayRecordComponent")
  public record Series(String name, double[] values) {}

  /** Returns the figures that are drawn, to be copied; none unless a picture has some to give. */
  public List<Series> figures() {
    return List.of();
  }

  /** Returns the words and figures of the last painting, where they stand. */
  List<Lettering.Placed> lettering() {
    return lettering;
  }

  /** Copies it: as a picture, and as a table where it has figures. */
  private void copy() {
    ClipboardContent content = new ClipboardContent();
    content.putImage(snapshot(null, null));
    List<Series> figures = figures();
    if (!figures.isEmpty()) {
      content.putString(table(figures));
    }
    Clipboard.getSystemClipboard().setContent(content);
  }

  private static String table(List<Series> figures) {
    StringWriter text = new StringWriter();
    int rows = figures.stream().mapToInt(s -> s.values().length).max().orElse(0);
    try (CsvWriter csv = CsvWriter.builder().build(text)) {
      csv.writeRecord(figures.stream().map(Series::name).toList());
      for (int k = 0; k < rows; k++) {
        int row = k;
        csv.writeRecord(
            figures.stream()
                .map(s -> row < s.values().length ? figure(s.values()[row]) : "")
                .toList());
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return text.toString();
  }

  /** Six digits, so that a table can be worked on. */
  private static String figure(double value) {
    return Double.isFinite(value)
        ? new BigDecimal(value).round(new MathContext(6)).stripTrailingZeros().toPlainString()
        : "";
  }

  /** Has the picture painted again soon. */
  protected final void redraw() {
    requestLayout();
  }

  Color colour(Role role) {
    return Objects.requireNonNull(colours.get(role)).get();
  }

  @Override
  protected final void layoutChildren() {
    double width = snapSizeX(getWidth());
    double height = snapSizeY(getHeight());
    canvas.setWidth(width);
    canvas.setHeight(height);
    Pen pen = new Pen(canvas.getGraphicsContext2D(), this::colour);
    pen.clear(width, height);
    if (width > 40 && height > 30) {
      try {
        paint(pen, width, height);
      } catch (RuntimeException e) {
        // A half-drawn picture, or an earlier design's, must not look like this one's.
        LOG.error("picture {}", getAccessibleText(), e);
        pen.clear(width, height);
        pen.words(Role.INK, 13, 8, 20, "This picture cannot be drawn for this design.");
      }
      lettering = pen.finish();
    }
  }

  @Override
  public final List<CssMetaData<? extends Styleable, ?>> getCssMetaData() {
    return ALL;
  }

  private static final class RoleMeta extends CssMetaData<Picture, Color> {
    private final Role role;

    RoleMeta(Role role) {
      super(role.property(), StyleConverter.getColorConverter(), Color.GRAY);
      this.role = role;
    }

    @Override
    public boolean isSettable(Picture picture) {
      return true;
    }

    @Override
    public StyleableProperty<Color> getStyleableProperty(Picture picture) {
      return Objects.requireNonNull(picture.colours.get(role));
    }
  }
}
