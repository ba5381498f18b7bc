package hammerman.interconnect;

import hammerman.fit.Arrangement;
import hammerman.fit.Container;
import hammerman.fit.Grouping;
import hammerman.fit.Placing;
import hammerman.fit.Point;
import hammerman.fit.Sheet;
import hammerman.pack.Conductors;
import hammerman.pack.Strip;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * The pieces of strip and the links of a layout, before any current flows.
 *
 * <p>A plate joins the positive ends of one group to the negative ends of the next, on one face:
 * every touching pair of cells that it covers by a piece of its strip. Every second group is turned
 * over, so plates alternate between the faces. Groups that do not touch have a plate each for their
 * facing ends, and a link between the two cells nearest to the lead exit.
 *
 * @param pieces of strip, on either face
 * @param links wires or bars
 */
record Pieces(List<Piece> pieces, List<Piece> links) {
  /** Share by which a link is longer than the straight way, and what its two ends take, m. */
  private static final double SLACK = 1.15;

  private static final double ENDS = 0.02;

  /**
   * A conductor between two terminals.
   *
   * @param from place
   * @param fromPositive whether at its positive end
   * @param to place
   * @param toPositive whether at its positive end
   * @param plate from 0 at the negative end
   * @param strip what it is made of
   * @param length m
   */
  record Piece(
      int from,
      boolean fromPositive,
      int to,
      boolean toPositive,
      int plate,
      Strip strip,
      double length) {}

  /** Returns the pieces of strip and the links after them. */
  List<Piece> all() {
    return Stream.concat(pieces.stream(), links.stream()).toList();
  }

  static Pieces of(
      List<Container> boxes, Arrangement a, Grouping grouping, Conductors led, Strip usual) {
    Placing placing = a.placing();
    boolean[] wired = new boolean[grouping.series()];
    List<Piece> links = new ArrayList<>();
    for (int g = 0; g + 1 < grouping.series(); g++) {
      wired[g] = grouping.wired(placing, g, a.joining());
      if (wired[g]) {
        links.add(link(boxes, placing, grouping, g, led));
      }
    }
    List<int[]> near = placing.neighbours();
    List<Piece> pieces = new ArrayList<>();
    Strip[] strips = new Strip[grouping.series() + 1];
    for (int p = 0; p < strips.length; p++) {
      strips[p] = led.on(p, usual);
    }
    int[] group = grouping.group();
    for (int k = 0; k < group.length; k++) {
      int g = group[k];
      for (int m : g < 0 ? new int[0] : near.get(k)) {
        double length = placing.places().get(k).to(placing.places().get(m));
        if (m > k && group[m] == g) {
          // Both ends of a group are plates: its negative side is plate g, its positive g + 1.
          pieces.add(new Piece(k, false, m, false, g, strips[g], length));
          pieces.add(new Piece(k, true, m, true, g + 1, strips[g + 1], length));
        } else if (group[m] == g + 1 && !wired[g]) {
          pieces.add(new Piece(k, true, m, false, g + 1, strips[g + 1], length));
        }
      }
    }
    return new Pieces(pieces, links);
  }

  private static Piece link(
      List<Container> boxes, Placing placing, Grouping grouping, int g, Conductors led) {
    Sheet one = placing.sheets().get(placing.sheetOf(grouping.members(g)[0]));
    Sheet other = placing.sheets().get(placing.sheetOf(grouping.members(g + 1)[0]));
    Point exit = boxes.get(one.box()).exit();
    int from;
    int to;
    double length;
    if (one.equals(other)) {
      int[] pair = closest(placing, grouping, g);
      from = pair[0];
      to = pair[1];
      length = placing.places().get(from).to(placing.places().get(to));
    } else {
      Point otherExit = boxes.get(other.box()).exit();
      from = grouping.nearest(placing, g, exit);
      to = grouping.nearest(placing, g + 1, otherExit);
      length =
          placing.places().get(from).to(exit)
              + placing.places().get(to).to(otherExit)
              + placing.footprint().height();
    }
    return new Piece(from, true, to, false, g + 1, led.link(), SLACK * length + ENDS);
  }

  private static int[] closest(Placing placing, Grouping grouping, int g) {
    int[] best = {-1, -1};
    double least = Double.POSITIVE_INFINITY;
    for (int a : grouping.members(g)) {
      for (int b : grouping.members(g + 1)) {
        double far = placing.places().get(a).to(placing.places().get(b));
        if (far < least) {
          least = far;
          best = new int[] {a, b};
        }
      }
    }
    return best;
  }
}
