package hammerman.app.station.stack;

import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Role;
import hammerman.finding.Finding;
import hammerman.finding.Severity;
import hammerman.forecast.StackField;
import hammerman.forecast.StackField.Measure;
import hammerman.forecast.StackField.Square;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.scene.AccessibleRole;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import org.jspecify.annotations.Nullable;

/**
 * The stack field: series counts to the right, parallel counts upwards; each square says by pattern
 * and word whether it serves the duty or what stops it. Click or Enter chooses, arrows move.
 */
final class FieldPicture extends Picture {
  private static final double LEFT = 40;
  private static final double BOTTOM = 34;
  private static final double TOP = 4;
  private static final double GAP = 3;

  /** Size of words that are too long for their square, px. */
  private static final double SMALL = 9;

  private final BiConsumer<Integer, Integer> choose;
  private final ReadOnlyObjectWrapper<@Nullable Square> pointed =
      new ReadOnlyObjectWrapper<>(this, "pointed");
  private @Nullable StackField field;
  private Optional<Measure> contours = Optional.empty();
  private int series;
  private int parallel;

  FieldPicture(BiConsumer<Integer, Integer> choose) {
    super("Stack field: which series and parallel counts serve the duty");
    this.choose = choose;
    setAccessibleRole(AccessibleRole.BUTTON);
    setFocusTraversable(true);
    setId("stack-field");
    setOnMouseMoved(e -> pointed.set(at(e).orElse(null)));
    setOnMouseExited(e -> pointed.set(null));
    setOnMouseClicked(
        e -> {
          requestFocus();
          at(e).ifPresent(s -> choose.accept(s.series(), s.parallel()));
        });
    setOnKeyPressed(this::key);
    pointed.addListener((o, was, is) -> redraw());
  }

  /** The square under the pointer or the keyboard's mark. */
  ReadOnlyObjectProperty<@Nullable Square> pointedProperty() {
    return pointed.getReadOnlyProperty();
  }

  void show(StackField value, int chosenSeries, int chosenParallel) {
    field = value;
    series = chosenSeries;
    parallel = chosenParallel;
    redraw();
  }

  void showContours(Optional<Measure> value) {
    contours = value;
    redraw();
  }

  private void key(KeyEvent e) {
    if (field == null) {
      return;
    }
    Square from = pointed.get();
    int s = from == null ? series : from.series();
    int p = from == null ? parallel : from.parallel();
    switch (e.getCode()) {
      case LEFT -> s--;
      case RIGHT -> s++;
      case UP -> p++;
      case DOWN -> p--;
      case ENTER, SPACE -> choose.accept(s, p);
      case ESCAPE -> {
        pointed.set(null);
        return;
      }
      default -> {
        return;
      }
    }
    field.at(s, p).ifPresent(pointed::set);
    e.consume();
  }

  private Optional<Square> at(MouseEvent e) {
    if (field == null) {
      return Optional.empty();
    }
    int column = (int) Math.floor((e.getX() - LEFT) / cellWidth(getWidth()));
    int row = (int) Math.floor((getHeight() - BOTTOM - e.getY()) / cellHeight(getHeight()));
    return column < 0 || row < 0
        ? Optional.empty()
        : field.at(field.firstSeries() + column, field.firstParallel() + row);
  }

  private double cellWidth(double width) {
    return field == null ? 1 : (width - LEFT - 4) / field.columns();
  }

  private double cellHeight(double height) {
    return field == null ? 1 : (height - TOP - BOTTOM) / field.rows();
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    if (field == null) {
      return;
    }
    double w = cellWidth(width);
    double h = cellHeight(height);
    for (Square s : field.squares()) {
      double x = LEFT + (s.series() - field.firstSeries()) * w;
      double y = height - BOTTOM - (s.parallel() - field.firstParallel() + 1) * h;
      square(pen, s, x + GAP / 2, y + GAP / 2, w - GAP, h - GAP);
    }
    List<Contours.Label> labels =
        contours.isEmpty()
            ? List.of()
            : new Contours(field, contours.get())
                .lines(pen, LEFT + 0.5 * w, w, height - BOTTOM - 0.5 * h, -h);
    for (Square s : field.squares()) {
      double x = LEFT + (s.series() - field.firstSeries() + 0.5) * w;
      double y = height - BOTTOM - (s.parallel() - field.firstParallel() + 0.5) * h;
      word(pen, s, x, y, w - GAP, h - GAP);
    }
    labels.forEach(l -> l.write(pen));
    for (int c = 0; c < field.columns(); c++) {
      int s = field.firstSeries() + c;
      pen.figureCentred(
          s == series ? Role.HOT : Role.SOFT,
          Pen.TEXT + 1,
          LEFT + (c + 0.5) * w,
          height - BOTTOM + 10,
          s + "S");
    }
    for (int r = 0; r < field.rows(); r++) {
      int p = field.firstParallel() + r;
      pen.figureBefore(
          p == parallel ? Role.HOT : Role.SOFT,
          Pen.TEXT + 1,
          LEFT - 6,
          height - BOTTOM - (r + 0.5) * h,
          p + "P");
    }
    pen.nameCentred(
        Role.SOFT,
        Pen.TEXT,
        LEFT + (width - LEFT) / 2,
        height - 9,
        "Groups in series → more voltage");
    outline(pen, series, parallel, Role.INK, 3, w, h, height);
    Square p = pointed.get();
    if (p != null) {
      outline(pen, p.series(), p.parallel(), Role.HOT, 2, w, h, height);
    }
  }

  private void outline(
      Pen pen, int s, int p, Role role, double thickness, double w, double h, double height) {
    if (field != null && field.at(s, p).isPresent()) {
      double x = LEFT + (s - field.firstSeries()) * w;
      double y = height - BOTTOM - (p - field.firstParallel() + 1) * h;
      pen.frame(role, thickness, x + 1, y + 1, w - 2, h - 2);
    }
  }

  private static void square(Pen pen, Square s, double x, double y, double w, double h) {
    if (s.stopped()) {
      pen.frame(Role.FAINT, 1, x, y, w, h);
      pen.hatch(Role.FAINT, x, y, w, h);
    } else {
      pen.fill(warned(s) ? Role.AMBER_WASH : Role.COOL_WASH, x, y, w, h);
    }
  }

  private static boolean warned(Square s) {
    return s.worst().filter(j -> j.severity() == Severity.WARN).isPresent();
  }

  /** Writes what stops a square in its middle, on a patch of its ground. */
  private void word(Pen pen, Square s, double x, double y, double w, double h) {
    if (h <= 14) {
      return;
    }
    String word = s.worst().map(Finding::word).orElse("serves");
    double wide = pen.width(Pen.TEXT, word);
    double size = wide > w - 4 ? SMALL : Pen.TEXT;
    boolean pinned = s.series() == series && s.parallel() == parallel;
    if (pinned && wide * size / Pen.TEXT > w - 6) {
      // Its frame would run through it; what stops it stands beside the map.
      return;
    }
    boolean warn = warned(s);
    if (contours.isPresent()) {
      Role ground = s.stopped() ? Role.PAPER : warn ? Role.AMBER_WASH : Role.COOL_WASH;
      double patch = Math.min(w, wide * size / Pen.TEXT + 4);
      pen.fill(ground, x - patch / 2, y - size * 0.6, patch, size * 1.2);
    }
    pen.wordCentred(s.stopped() ? Role.SOFT : warn ? Role.AMBER : Role.COOL, size, x, y, word);
  }
}
