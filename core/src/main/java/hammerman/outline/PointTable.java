package hammerman.outline;

import hammerman.unit.InvalidValue;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.locationtech.jts.geom.Coordinate;

/** Corners a line each, x and y in mm, with decimal comma or point. */
final class PointTable {
  private static final Pattern PAIR =
      Pattern.compile("\\s*([-+]?[\\d.,]+)\\s*[;,\\t ]\\s*([-+]?[\\d.,]+)\\s*");

  private PointTable() {}

  /** Reads them; lines before the first that hold no two figures are headings. */
  static List<Coordinate> read(String text, String name) {
    List<Coordinate> points = new ArrayList<>();
    for (String line : text.lines().toList()) {
      Matcher m = PAIR.matcher(line);
      if (m.matches()) {
        points.add(new Coordinate(metres(m.group(1), name), metres(m.group(2), name)));
      } else if (!points.isEmpty() && !line.isBlank()) {
        throw new InvalidValue(
            name, "“" + line.strip() + "”", "each line is x and y in mm", "Correct that line.");
      }
    }
    return points;
  }

  private static double metres(String typed, String name) {
    String n = typed.contains(".") ? typed.replace(",", "") : typed.replace(',', '.');
    return Linework.number(n, name) / 1000;
  }
}
