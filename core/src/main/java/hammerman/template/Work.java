package hammerman.template;

import hammerman.chain.Layout;
import hammerman.fit.Container;
import hammerman.fit.Placing;
import hammerman.fit.Point;
import hammerman.fit.Sheet;
import hammerman.interconnect.Plate;
import hammerman.pack.Pack;
import java.util.List;

/**
 * A layout to be built.
 *
 * @param name of the project
 * @param pack what is built
 * @param solved where and how
 * @param plates the strips, as plates
 */
public record Work(String name, Pack pack, Layout.Solved solved, List<Plate> plates) {
  public Work {
    plates = List.copyOf(plates);
  }

  /** Makes a layout ready to be built. */
  public static Work of(String name, Pack pack, Layout.Solved solved) {
    Placing placing = solved.layout().arrangement().placing();
    return new Work(name, pack, solved, Plate.of(placing, solved.network()));
  }

  Placing placing() {
    return solved.layout().arrangement().placing();
  }

  List<Container> boxes() {
    return solved.layout().plan().boxes();
  }

  int group(int place) {
    return solved.grouping().at(place);
  }

  /** Whether the positive end of a group's cells is on the upper face. */
  static boolean plusOnTop(int group) {
    return group % 2 == 0;
  }

  /** The lead exit of the box that a place is in. */
  Point exitAt(int place) {
    Sheet sheet = placing().sheets().get(placing().sheetOf(place));
    return boxes().get(sheet.box()).exit();
  }

  /** The sheets that hold a cell of the pack. */
  List<Sheet> usedSheets() {
    return placing().sheets().stream()
        .filter(
            s -> {
              for (int k = s.first(); k < s.end(); k++) {
                if (group(k) >= 0) {
                  return true;
                }
              }
              return false;
            })
        .toList();
  }
}
