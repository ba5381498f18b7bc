package hammerman.app.picture;

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

  private final Canvas canvas = new Canvas();
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
  }

  /** Paints the whole picture. */
  protected abstract void paint(Pen pen, double width, double height);

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
