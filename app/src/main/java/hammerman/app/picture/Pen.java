package hammerman.app.picture;

import java.util.HashMap;
import java.util.Map;
import java.util.function.Function;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;
import javafx.scene.paint.ImagePattern;
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import javafx.scene.text.TextAlignment;

/** Draws on a picture in roles instead of colours. */
public final class Pen {
  /** Size of ordinary text in pictures, px. */
  public static final double TEXT = 11;

  private static final String WORDS = "Chivo";
  private static final String WORDS_BOLD = "Chivo SemiBold";
  private static final String FIGURES = "Sometype Mono";

  /** Fonts are looked up by name once; many words are drawn in few sizes. */
  private static final Map<String, Font> FONTS = new HashMap<>();

  private static final double TILE = 7;

  private static final Map<Color, Image> HATCHES = new HashMap<>();

  private final GraphicsContext g;
  private final Function<Role, Color> colours;

  Pen(GraphicsContext g, Function<Role, Color> colours) {
    this.g = g;
    this.colours = colours;
    g.setTextBaseline(VPos.CENTER);
  }

  void clear(double width, double height) {
    g.clearRect(0, 0, width, height);
  }

  /** Draws something that may not leave a rectangle. */
  public void within(double x, double y, double width, double height, Runnable drawing) {
    g.save();
    g.beginPath();
    g.rect(x, y, width, height);
    g.clip();
    drawing.run();
    g.restore();
  }

  /** Draws a line. */
  public void line(Role role, double thickness, double x1, double y1, double x2, double y2) {
    stroke(role, thickness);
    g.strokeLine(snap(x1), snap(y1), snap(x2), snap(y2));
  }

  /** Draws a dashed line. */
  public void dashed(Role role, double thickness, double x1, double y1, double x2, double y2) {
    g.setLineDashes(5, 4);
    line(role, thickness, x1, y1, x2, y2);
    g.setLineDashes();
  }

  /** Fills a rectangle. */
  public void fill(Role role, double x, double y, double width, double height) {
    g.setFill(colours.apply(role));
    g.fillRect(x, y, width, height);
  }

  /** Outlines a rectangle. */
  public void frame(Role role, double thickness, double x, double y, double width, double height) {
    stroke(role, thickness);
    g.strokeRect(snap(x), snap(y), width, height);
  }

  /** Fills a rectangle with slanting strokes, so that it tells itself apart without colour. */
  public void hatch(Role role, double x, double y, double width, double height) {
    Color colour = colours.apply(role);
    g.setFill(
        new ImagePattern(HATCHES.computeIfAbsent(colour, Pen::tile), 0, 0, TILE, TILE, false));
    g.fillRect(x, y, width, height);
  }

  /** One tile of slanting strokes; a thousand strokes drawn one by one would be slow. */
  private static Image tile(Color colour) {
    int n = (int) TILE;
    WritableImage tile = new WritableImage(n, n);
    for (int k = 0; k < n; k++) {
      tile.getPixelWriter().setColor(k, n - 1 - k, colour);
      Color soft = colour.deriveColor(0, 1, 1, 0.35);
      tile.getPixelWriter().setColor((k + 1) % n, n - 1 - k, soft);
      tile.getPixelWriter().setColor((k + n - 1) % n, n - 1 - k, soft);
    }
    return tile;
  }

  /** Draws a curve through the first {@code n} points. */
  public void curve(Role role, double thickness, double[] x, double[] y, int n) {
    stroke(role, thickness);
    g.strokePolyline(x, y, n);
  }

  /** Fills an area with a share of its colour. */
  public void area(Role role, double opacity, double[] x, double[] y, int n) {
    g.setFill(colours.apply(role).deriveColor(0, 1, 1, opacity));
    g.fillPolygon(x, y, n);
  }

  /** Draws a filled dot. */
  public void dot(Role role, double x, double y, double radius) {
    g.setFill(colours.apply(role));
    g.fillOval(x - radius, y - radius, 2 * radius, 2 * radius);
  }

  /**
   * Draws circles of one look, with rims, filled with a colour thinned with paper.
   *
   * @param discs keeps what was worked out, for the next painting
   * @param xy x and y of the middle of each
   */
  public void discs(
      Discs discs,
      Role fill,
      double share,
      Role rim,
      double thickness,
      double radius,
      double[] xy) {
    Color inside = colours.apply(Role.PAPER).interpolate(colours.apply(fill), share);
    discs.draw(g, inside, colours.apply(rim), thickness, radius, xy);
  }

  /** Draws many separate lines at once, each from one point to another: x, y, x, y for each. */
  public void strokes(Role role, double thickness, double[] ends, int n) {
    stroke(role, thickness);
    g.beginPath();
    for (int k = 0; k < n; k++) {
      g.moveTo(ends[4 * k], ends[4 * k + 1]);
      g.lineTo(ends[4 * k + 2], ends[4 * k + 3]);
    }
    g.stroke();
  }

  /** Draws a circle. */
  public void ring(Role role, double thickness, double x, double y, double radius) {
    stroke(role, thickness);
    g.strokeOval(x - radius, y - radius, 2 * radius, 2 * radius);
  }

  /** Writes words beginning at a point, vertically centred on it. */
  public void words(Role role, double size, double x, double y, String text) {
    write(role, font(WORDS, size), TextAlignment.LEFT, x, y, text);
  }

  /** Writes strong words beginning at a point. */
  public void strong(Role role, double size, double x, double y, String text) {
    write(role, font(WORDS_BOLD, size), TextAlignment.LEFT, x, y, text);
  }

  /** Writes words on a patch of paper, so that lines behind do not run through them. */
  public void tag(Role role, double size, double x, double y, String text) {
    fill(Role.PAPER, x - 2, y - size * 0.65, width(size, text) + 4, size * 1.3);
    words(role, size, x, y, text);
  }

  /** Writes words that end at a point, on a patch of paper. */
  public void tagBefore(Role role, double size, double x, double y, String text) {
    tag(role, size, x - width(size, text), y, text);
  }

  /** Writes words centred on a point. */
  public void centred(Role role, double size, double x, double y, String text) {
    write(role, font(WORDS, size), TextAlignment.CENTER, x, y, text);
  }

  /** Writes words ending at a point. */
  public void wordsBefore(Role role, double size, double x, double y, String text) {
    write(role, font(WORDS, size), TextAlignment.RIGHT, x, y, text);
  }

  /** Writes a figure centred on a point. */
  public void figureCentred(Role role, double size, double x, double y, String text) {
    write(role, font(FIGURES, size), TextAlignment.CENTER, x, y, text);
  }

  /** Writes a figure ending at a point. */
  public void figureBefore(Role role, double size, double x, double y, String text) {
    write(role, font(FIGURES, size), TextAlignment.RIGHT, x, y, text);
  }

  /** Returns the width of words, px. */
  public double width(double size, String text) {
    Text measure = new Text(text);
    measure.setFont(font(WORDS, size));
    return measure.getLayoutBounds().getWidth();
  }

  private static Font font(String family, double size) {
    return FONTS.computeIfAbsent(family + size, k -> new Font(family, size));
  }

  private void write(Role role, Font font, TextAlignment align, double x, double y, String text) {
    g.setFont(font);
    g.setTextAlign(align);
    g.setFill(colours.apply(role));
    g.fillText(text, x, y);
  }

  private void stroke(Role role, double thickness) {
    g.setStroke(colours.apply(role));
    g.setLineWidth(thickness);
  }

  /** Moves to the middle of a pixel, so that thin rules stay crisp. */
  private static double snap(double v) {
    return Math.floor(v) + 0.5;
  }
}
