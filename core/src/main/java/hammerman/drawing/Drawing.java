package hammerman.drawing;

import java.util.ArrayList;
import java.util.List;

/**
 * A drawing at true scale: marks in millimetres, from the upper left corner. Black on white; lines
 * tell themselves apart by thickness and dashes. {@link Svg} and {@link Pdf} write it.
 */
public final class Drawing {
  private final double width;
  private final double height;
  private final String title;
  private final List<Mark> marks = new ArrayList<>();

  /** What is drawn; lengths in mm. */
  sealed interface Mark {
    /** A line through points given as x, y, x, y and so on. */
    @SuppressWarnings("ArrayRecordComponent")
    record Line(double thickness, boolean dashed, double[] xy) implements Mark {}

    /** A white rectangle with a rim. */
    record Box(double thickness, double x, double y, double width, double height) implements Mark {}

    /** A circle. */
    record Circle(double thickness, double x, double y, double radius) implements Mark {}

    /** Words from a point on, or centred on it. */
    record Words(boolean centred, double x, double y, double size, String words) implements Mark {}
  }

  /**
   * Begins a sheet.
   *
   * @param width of the sheet, mm
   * @param height of the sheet, mm
   */
  public Drawing(double width, double height, String title) {
    this.width = width;
    this.height = height;
    this.title = title;
  }

  double width() {
    return width;
  }

  double height() {
    return height;
  }

  String title() {
    return title;
  }

  List<Mark> marks() {
    return List.copyOf(marks);
  }

  /** Draws a line through points given as x, y, x, y and so on, mm. */
  public Drawing line(double thickness, boolean dashed, double... xy) {
    return add(new Mark.Line(thickness, dashed, xy.clone()));
  }

  /** Draws a white rectangle with a rim, mm. */
  public Drawing box(double thickness, double x, double y, double width, double height) {
    return add(new Mark.Box(thickness, x, y, width, height));
  }

  /** Draws a circle, mm. */
  public Drawing circle(double thickness, double x, double y, double radius) {
    return add(new Mark.Circle(thickness, x, y, radius));
  }

  /** Writes words from a point on, mm; the size is that of capitals with their room. */
  public Drawing words(double x, double y, double size, String words) {
    return add(new Mark.Words(false, x, y, size, words));
  }

  /** Writes words centred on a point, mm. */
  public Drawing centred(double x, double y, double size, String words) {
    return add(new Mark.Words(true, x, y, size, words));
  }

  private Drawing add(Mark mark) {
    marks.add(mark);
    return this;
  }
}
