package hammerman.app.picture;

import hammerman.app.picture.Lettering.Placed;
import hammerman.app.picture.Lettering.Rank;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
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

  /** Widths, px; the same words are written at every painting. */
  private static final Map<Measured, Double> WIDTHS =
      new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Measured, Double> eldest) {
          return size() > REMEMBERED;
        }
      };

  private static final int REMEMBERED = 2000;

  private static final double TILE = 7;

  /** Curves are told to words in pieces of this length, px. */
  private static final double PIECE = 8;

  /**
   * From the middle of a curve to the nearest note, px: the patch behind words is larger than they.
   */
  private static final double RIM = 2.5;

  private static final Map<Color, Image> HATCHES = new HashMap<>();

  private final GraphicsContext g;
  private final Function<Role, Color> colours;
  private final List<Placed> all = new ArrayList<>();
  private Lettering lettering = new Lettering();
  private Bounds ground = new BoundingBox(0, 0, 0, 0);

  /** What was measured once. */
  private record Measured(Font font, String text) {}

  Pen(GraphicsContext g, Function<Role, Color> colours) {
    this.g = g;
    this.colours = colours;
    g.setTextBaseline(VPos.CENTER);
  }

  void clear(double width, double height) {
    g.clearRect(0, 0, width, height);
    lettering = new Lettering();
    all.clear();
    ground = new BoundingBox(0, 0, width, height);
  }

  /** Draws something that may not leave a rectangle. */
  public void within(double x, double y, double width, double height, Runnable drawing) {
    g.save();
    g.beginPath();
    g.rect(x, y, width, height);
    g.clip();
    Bounds whole = ground;
    ground = new BoundingBox(x, y, width, height);
    drawing.run();
    ground = whole;
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

  /** Has notes stand beside the curve through the first {@code n} points where they can. */
  public void shun(double[] x, double[] y, int n) {
    for (int k = 1; k < n; k++) {
      int pieces = (int) Math.ceil(Math.hypot(x[k] - x[k - 1], y[k] - y[k - 1]) / PIECE);
      double wide = (x[k] - x[k - 1]) / pieces;
      double high = (y[k] - y[k - 1]) / pieces;
      for (int j = 0; j < pieces; j++) {
        double left = x[k - 1] + j * wide + Math.min(0, wide);
        double top = y[k - 1] + j * high + Math.min(0, high);
        lettering.shun(
            new BoundingBox(
                left - RIM, top - RIM, Math.abs(wide) + 2 * RIM, Math.abs(high) + 2 * RIM));
      }
    }
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

  /** Draws a filled dot that no note may cover. */
  public void mark(Role role, double x, double y, double radius) {
    dot(role, x, y, radius);
    lettering.avoid(new BoundingBox(x - radius, y - radius, 2 * radius, 2 * radius));
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
    note(role, size, x, x, y, text, false);
  }

  /** Writes words on a patch of paper, so that lines behind do not run through them. */
  public void tag(Role role, double size, double x, double y, String text) {
    note(role, size, x, x, y, text, true);
  }

  /** Writes the name of a level line at its left end, or farther along where that is taken. */
  public void tagAlong(Role role, double size, double x, double to, double y, String text) {
    double along = Math.max(0, to - width(size, text) - x);
    Font font = font(WORDS, size);
    lettering.add(
        new Lettering.Words(
            Rank.NOTE, role, font, x, y, width(font, text), x, along, true, ground, text));
  }

  /** Writes words that end at a point, on a patch of paper. */
  public void tagBefore(Role role, double size, double x, double y, String text) {
    note(role, size, x - width(size, text), x, y, text, true);
  }

  /**
   * Writes words to the right of a point, or to its left if there is no room, on a patch of paper.
   *
   * @param gap from the point to the words, px
   */
  public void beside(Role role, double size, double x, double y, double gap, String text) {
    double wide = width(size, text);
    boolean fits = x + gap + wide <= ground.getMaxX();
    note(role, size, fits ? x + gap : x - gap - wide, x, y, text, true);
  }

  /** Writes words centred on a point. */
  public void centred(Role role, double size, double x, double y, String text) {
    note(role, size, x - width(size, text) / 2, x, y, text, false);
  }

  /** Writes words ending at a point. */
  public void wordsBefore(Role role, double size, double x, double y, String text) {
    note(role, size, x - width(size, text), x, y, text, false);
  }

  /** Writes the name of an axis, a row or a box, beginning at a point; it stays there. */
  public void name(Role role, double size, double x, double y, String text) {
    put(Rank.NAME, role, font(WORDS, size), x, y, text);
  }

  /** Writes such a name ending at a point. */
  public void nameBefore(Role role, double size, double x, double y, String text) {
    put(Rank.NAME, role, font(WORDS, size), x - width(size, text), y, text);
  }

  /** Writes such a name centred on a point. */
  public void nameCentred(Role role, double size, double x, double y, String text) {
    put(Rank.NAME, role, font(WORDS, size), x - width(size, text) / 2, y, text);
  }

  /** Writes a strong name beginning at a point. */
  public void strong(Role role, double size, double x, double y, String text) {
    put(Rank.NAME, role, font(WORDS_BOLD, size), x, y, text);
  }

  /** Writes what is read at a crosshair; all else goes out of its way. */
  public void reading(Role role, double size, double x, double y, String text) {
    put(Rank.READING, role, font(WORDS, size), x, y, text);
  }

  /** Writes what is read at a crosshair, ending at a point. */
  public void readingBefore(Role role, double size, double x, double y, String text) {
    put(Rank.READING, role, font(WORDS, size), x - width(size, text), y, text);
  }

  /** Writes a word in a field, centred on a point; it stays there or is left out. */
  public void wordCentred(Role role, double size, double x, double y, String text) {
    put(Rank.FIGURE, role, font(WORDS, size), x - width(size, text) / 2, y, text);
  }

  /** Writes a figure centred on a point. */
  public void figureCentred(Role role, double size, double x, double y, String text) {
    Font font = font(FIGURES, size);
    put(Rank.FIGURE, role, font, x - width(font, text) / 2, y, text);
  }

  /** Writes a figure ending at a point. */
  public void figureBefore(Role role, double size, double x, double y, String text) {
    Font font = font(FIGURES, size);
    put(Rank.FIGURE, role, font, x - width(font, text), y, text);
  }

  /** Returns the width of words, px. */
  public double width(double size, String text) {
    return width(font(WORDS, size), text);
  }

  private static double width(Font font, String text) {
    return WIDTHS.computeIfAbsent(
        new Measured(font, text),
        k -> {
          Text measure = new Text(text);
          measure.setFont(font);
          return measure.getLayoutBounds().getWidth();
        });
  }

  private static Font font(String family, double size) {
    return FONTS.computeIfAbsent(family + size, k -> new Font(family, size));
  }

  private void note(
      Role role, double size, double left, double anchor, double y, String text, boolean patch) {
    Font font = font(WORDS, size);
    lettering.add(
        new Lettering.Words(
            Rank.NOTE, role, font, left, y, width(font, text), anchor, 0, patch, ground, text));
  }

  private void put(Rank rank, Role role, Font font, double left, double y, String text) {
    lettering.add(
        new Lettering.Words(
            rank, role, font, left, y, width(font, text), left, 0, false, ground, text));
  }

  /**
   * Writes what was put so far, and begins anew: what is written later may lie over it. For the
   * crosshair, whose words have paper behind them.
   */
  public void over() {
    List<Placed> placed = lettering.place();
    for (Placed p : placed) {
      Bounds b = p.place();
      if (b != null) {
        write(p, b);
      }
    }
    all.addAll(placed);
    lettering = new Lettering();
  }

  /** Writes what is still to be written, and returns where everything stands. */
  List<Placed> finish() {
    over();
    return List.copyOf(all);
  }

  private void write(Placed p, Bounds b) {
    Lettering.Words w = p.words();
    if (p.led()) {
      stroke(Role.SOFT, 0.7);
      double x = Math.clamp(w.anchor(), b.getMinX(), b.getMaxX());
      g.strokeLine(w.along() > 0 ? x : w.anchor(), w.middle(), x, b.getCenterY());
    }
    if (w.patch() || p.moved()) {
      fill(Role.PAPER, b.getMinX() - 2, b.getMinY() - 1, b.getWidth() + 4, b.getHeight() + 2);
    }
    g.setFont(w.font());
    g.setTextAlign(TextAlignment.LEFT);
    g.setFill(colours.apply(w.role()));
    g.fillText(w.text(), b.getMinX(), b.getCenterY());
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
