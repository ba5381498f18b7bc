package hammerman.template;

import hammerman.interconnect.Network;
import hammerman.interconnect.Plate;
import hammerman.pack.Strip;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The strip to buy and how to cut it: straight pieces laid into lengths off the roll, longest
 * first, each into the first length that has room (first fit decreasing).
 *
 * @param rows one for each kind of strip
 */
public record CutList(List<Row> rows) {
  /** Length that strip is cut from, m. */
  public static final double STOCK = 1;

  /** Lost at every cut, m. */
  private static final double KERF = 0.5e-3;

  public CutList {
    rows = List.copyOf(rows);
  }

  /**
   * One kind of strip.
   *
   * @param strip what it is
   * @param pieces their lengths, longest first, of one layer, m
   * @param stock lengths of {@link #STOCK} needed, all layers
   * @param waste share that is left over, 0 to 1
   * @param mass of all pieces, kg
   */
  public record Row(Strip strip, List<Double> pieces, int stock, double waste, double mass) {
    public Row {
      pieces = List.copyOf(pieces);
    }

    /** Returns the length of all pieces of one layer, m. */
    public double total() {
      return pieces.stream().mapToDouble(Double::doubleValue).sum();
    }
  }

  /** Lists the strip of a work's plates and links. */
  public static CutList of(Work work) {
    Map<Strip, List<Double>> pieces = new LinkedHashMap<>();
    for (Plate p : work.plates()) {
      pieces.computeIfAbsent(p.strip(), k -> new ArrayList<>()).addAll(p.runs());
    }
    for (Network.Segment s : work.solved().network().links()) {
      pieces.computeIfAbsent(s.strip(), k -> new ArrayList<>()).add(s.length());
    }
    return new CutList(pieces.entrySet().stream().map(e -> row(e.getKey(), e.getValue())).toList());
  }

  private static Row row(Strip strip, List<Double> pieces) {
    List<Double> sorted = new ArrayList<>(pieces);
    sorted.sort(Collections.reverseOrder());
    List<Double> rooms = new ArrayList<>();
    for (int layer = 0; layer < strip.layers(); layer++) {
      for (double p : sorted) {
        lay(rooms, p + KERF);
      }
    }
    double used = sorted.stream().mapToDouble(Double::doubleValue).sum();
    double bought = rooms.size() * STOCK;
    return new Row(
        strip,
        sorted,
        rooms.size(),
        Math.max(0, 1 - used * strip.layers() / bought),
        strip.mass(used));
  }

  /** A piece longer than the stock is joined from several. */
  private static void lay(List<Double> rooms, double piece) {
    double left = piece;
    while (left > STOCK) {
      rooms.add(0.0);
      left -= STOCK;
    }
    for (int k = 0; k < rooms.size(); k++) {
      if (rooms.get(k) >= left) {
        rooms.set(k, rooms.get(k) - left);
        return;
      }
    }
    rooms.add(STOCK - left);
  }
}
