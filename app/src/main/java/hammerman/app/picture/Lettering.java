package hammerman.app.picture;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.scene.text.Font;
import org.jspecify.annotations.Nullable;

/**
 * The one place where words and figures of a picture get their places: none lies over another and
 * none leaves its ground. Names of axes come first, then figures, then notes in the order in which
 * they were written. Notes go aside where their place is taken, with a line back to it if that is
 * far, and beside a curve rather than over it; what finds no place at all is left out, the latest
 * note first.
 */
final class Lettering {
  /** How high words reach above and below their middle, as a share of their size. */
  static final double REACH = 0.52;

  /** Gap between words that lie side by side, px. */
  private static final double GAP = 3;

  /** Steps aside, in lines; up first, as most notes stand above a curve. */
  private static final double[] ASIDE = {
    0, -0.6, 0.6, -1.2, 1.2, -1.8, 1.8, -2.4, 2.4, -3.2, 3.2, -4.2, 4.2
  };

  private static final double[] STAYS = {0};

  /** Places along a line. */
  private static final int SLIDES = 4;

  /** From this distance, in lines, a note has a line back to its place. */
  private static final double FAR = 1.5;

  private final List<Words> written = new ArrayList<>();
  private final List<Bounds> marks = new ArrayList<>();
  private final List<Bounds> lines = new ArrayList<>();

  /** What words are to a picture, the most needed first. */
  enum Rank {
    /** A reading at the crosshair. */
    READING,
    /** The name of an axis, of a row or of a box. */
    NAME,
    /** A figure at an axis or in a field. */
    FIGURE,
    /** Words beside a curve or a point. */
    NOTE
  }

  /**
   * Words as they were asked for.
   *
   * @param left x of their left edge, px
   * @param middle y of their middle, px
   * @param anchor x of the point that they speak of, px
   * @param along how far they may slide to the right along the line that they name, px
   * @param patch whether paper lies behind them
   * @param ground what they may not leave
   */
  record Words(
      Rank rank,
      Role role,
      Font font,
      double left,
      double middle,
      double width,
      double anchor,
      double along,
      boolean patch,
      Bounds ground,
      String text) {}

  /**
   * Words in the place they got.
   *
   * @param place their bounds; absent if they found none
   * @param led whether a line leads back to what they speak of
   */
  record Placed(Words words, @Nullable Bounds place, boolean led) {
    /** Whether they stand elsewhere than asked for. */
    boolean moved() {
      return place != null
          && (Math.abs(place.getMinX() - words.left()) > 0.5
              || Math.abs(place.getCenterY() - words.middle()) > 0.5);
    }
  }

  /** Keeps notes away from a mark; they may stand beside it. */
  void avoid(Bounds mark) {
    marks.add(mark);
  }

  /** Has notes stand beside a piece of a curve where they can, and over it where they cannot. */
  void shun(Bounds piece) {
    lines.add(piece);
  }

  void add(Words words) {
    if (!words.text().isEmpty()) {
      written.add(words);
    }
  }

  /** Finds a place for all that was added. */
  List<Placed> place() {
    List<Bounds> taken = new ArrayList<>();
    List<Placed> placed = new ArrayList<>();
    written.sort(Comparator.comparing(Words::rank));
    boolean marked = false;
    for (Words w : written) {
      if (w.rank() == Rank.NOTE && !marked) {
        taken.addAll(marks);
        marked = true;
      }
      Placed p = placed(w, taken, w.rank() == Rank.NOTE ? lines : List.of());
      if (p.place() == null) {
        p = placed(w, taken, List.of());
      }
      if (p.place() != null) {
        taken.add(p.place());
      }
      placed.add(p);
    }
    return placed;
  }

  private static Placed placed(Words w, List<Bounds> taken, List<Bounds> shunned) {
    Bounds ground = w.ground();
    double line = w.font().getSize() * 1.2;
    double reach = w.font().getSize() * REACH;
    double left = kept(w.left(), w.width(), ground.getMinX(), ground.getMaxX());
    double top = kept(w.middle() - reach, 2 * reach, ground.getMinY(), ground.getMaxY());
    boolean moves = w.rank() == Rank.NOTE;
    double[] beside = moves ? besides(w, left, 0) : new double[] {left};
    double[] along = moves && w.along() > 0 ? besides(w, left, SLIDES) : beside;
    for (double aside : moves ? ASIDE : STAYS) {
      for (double at : Math.abs(aside) < 1 ? along : beside) {
        Bounds b = new BoundingBox(at, top + aside * line, w.width(), 2 * reach);
        if (ground.contains(b)
            && taken.stream().noneMatch(t -> near(t, b))
            && shunned.stream().noneMatch(b::intersects)) {
          return new Placed(w, b, Math.abs(aside) > FAR);
        }
      }
    }
    return new Placed(w, null, false);
  }

  /** Where a note may begin: as asked, on the other side of its point, and along its line. */
  private static double[] besides(Words w, double left, int slides) {
    Bounds ground = w.ground();
    double[] ats = new double[2 + slides];
    ats[0] = left;
    ats[1] =
        kept(2 * w.anchor() - w.left() - w.width(), w.width(), ground.getMinX(), ground.getMaxX());
    for (int k = 1; k <= slides; k++) {
      ats[1 + k] = left + w.along() * k / slides;
    }
    return ats;
  }

  /** Moves a stretch as little as it takes to keep it between two ends. */
  private static double kept(double from, double length, double low, double high) {
    return Math.max(low, Math.min(from, high - length));
  }

  private static boolean near(Bounds a, Bounds b) {
    return a.getMinX() < b.getMaxX() + GAP
        && b.getMinX() < a.getMaxX() + GAP
        && a.getMinY() < b.getMaxY()
        && b.getMinY() < a.getMaxY();
  }
}
