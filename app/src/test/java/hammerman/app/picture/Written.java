package hammerman.app.picture;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Bounds;

/** The words of a picture, for tests outside its package. */
public final class Written {
  private Written() {}

  /**
   * Words of a picture.
   *
   * @param place bounds in the picture
   */
  public record Word(String text, Bounds place) {}

  /** Returns the words that are drawn. */
  public static List<Word> in(Picture picture) {
    List<Word> found = new ArrayList<>();
    for (Lettering.Placed p : picture.lettering()) {
      Bounds at = p.place();
      if (at != null) {
        found.add(new Word(p.words().text(), at));
      }
    }
    return found;
  }

  /** Returns the names of axes, rows and boxes that found no place. */
  public static List<String> lost(Picture picture) {
    return picture.lettering().stream()
        .filter(p -> p.place() == null && p.words().rank() == Lettering.Rank.NAME)
        .map(p -> p.words().text())
        .toList();
  }
}
