package hammerman.fit;

import hammerman.unit.InvalidValue;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * Reads the outline of a box from what people have: an SVG drawing (polygons, polylines,
 * rectangles, paths of straight lines), polylines of DXF text, or a table of points. Lengths are
 * taken as millimetres, or as the SVG's own size says. The largest closed shape is the outline;
 * shapes inside it are keep-outs. Curves, arcs and transformed groups are not read.
 *
 * @param outline the box
 * @param keepOuts shapes inside
 */
public record OutlineFile(Outline outline, List<Outline> keepOuts) {
  private static final Pattern NUMBER =
      Pattern.compile("[-+]?(?:\\d+\\.?\\d*|\\.\\d+)(?:[eE][-+]?\\d+)?");
  private static final Pattern STEP =
      Pattern.compile("([A-Za-z])([^A-Za-z]*(?:[eE][-+]?\\d[^A-Za-z]*)*)");
  private static final Pattern PAIR =
      Pattern.compile("\\s*([-+]?[\\d.,]+)\\s*[;,\\t ]\\s*([-+]?[\\d.,]+)\\s*");

  public OutlineFile {
    keepOuts = List.copyOf(keepOuts);
  }

  /**
   * Reads a file's text.
   *
   * @throws InvalidValue if there is no closed shape in it
   */
  public static OutlineFile read(String text, String name) {
    List<List<Point>> shapes =
        text.stripLeading().startsWith("<")
            ? svg(text, name)
            : text.contains("POLYLINE") ? dxf(text) : List.of(table(text, name));
    List<Outline> outlines = new ArrayList<>();
    for (List<Point> s : shapes) {
      if (s.size() >= 3) {
        outlines.add(new Outline(s));
      }
    }
    if (outlines.isEmpty()) {
      throw new InvalidValue(
          name,
          "no closed shape",
          "an outline needs three corners or more",
          "Draw it as a polyline of straight lines, or give a table of x and y in mm.");
    }
    outlines.sort(Comparator.comparingDouble(Outline::area).reversed());
    Outline whole = outlines.getFirst();
    return new OutlineFile(
        whole, outlines.stream().skip(1).filter(o -> whole.shape().contains(o.shape())).toList());
  }

  /** Corners a line each, x and y in mm; lines that hold no two figures are headings. */
  private static List<Point> table(String text, String name) {
    List<Point> points = new ArrayList<>();
    for (String line : text.lines().toList()) {
      Matcher m = PAIR.matcher(line);
      if (m.matches()) {
        points.add(new Point(metres(m.group(1)), metres(m.group(2))));
      } else if (!points.isEmpty() && !line.isBlank()) {
        throw new InvalidValue(
            name, "“" + line.strip() + "”", "each line is x and y in mm", "Correct that line.");
      }
    }
    return closed(points);
  }

  private static double metres(String typed) {
    String n = typed.contains(".") ? typed.replace(",", "") : typed.replace(',', '.');
    try {
      return Double.parseDouble(n) / 1000;
    } catch (NumberFormatException e) {
      throw new InvalidValue("Point", "“" + typed + "”", "not a figure", "Type it as 12.5.");
    }
  }

  /** A last corner on the first only closes the shape. */
  private static List<Point> closed(List<Point> points) {
    List<Point> corners = new ArrayList<>(points);
    while (corners.size() > 1 && corners.getFirst().to(corners.getLast()) < 1e-6) {
      corners.removeLast();
    }
    return corners;
  }

  /** Pairs of lines: a group code and its value; 10 and 20 are x and y of a corner. */
  private static List<List<Point>> dxf(String text) {
    List<List<Point>> shapes = new ArrayList<>();
    List<Point> points = new ArrayList<>();
    boolean inside = false;
    double x = 0;
    List<String> lines = text.lines().map(String::strip).toList();
    for (int k = 0; k + 1 < lines.size(); k += 2) {
      String value = lines.get(k + 1);
      switch (lines.get(k)) {
        case "0" -> {
          boolean corner = value.equals("VERTEX");
          if (inside && !corner) {
            shapes.add(closed(points));
            points = new ArrayList<>();
          }
          inside = corner || value.equals("LWPOLYLINE") || value.equals("POLYLINE");
          if (value.equals("POLYLINE")) {
            x = Double.NaN;
          }
        }
        case "10" -> x = Double.isNaN(x) ? Double.POSITIVE_INFINITY : metres(value);
        case "20" -> {
          // The old kind of polyline has a point of no meaning before its first vertex.
          if (inside && x < Double.POSITIVE_INFINITY) {
            points.add(new Point(x, metres(value)));
          } else {
            x = 0;
          }
        }
        default -> {}
      }
    }
    if (inside) {
      shapes.add(closed(points));
    }
    return shapes;
  }

  private static List<List<Point>> svg(String text, String name) {
    List<List<Point>> shapes = new ArrayList<>();
    try {
      XMLInputFactory factory = XMLInputFactory.newInstance();
      factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
      factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
      XMLStreamReader in = factory.createXMLStreamReader(new StringReader(text));
      double scale = 1;
      while (in.hasNext()) {
        if (in.next() == XMLStreamConstants.START_ELEMENT) {
          switch (in.getLocalName()) {
            case "svg" -> scale = scale(in);
            case "polygon", "polyline" -> shapes.add(points(numbers(of(in, "points")), scale));
            case "rect" -> shapes.add(rectangle(in, scale));
            case "path" -> shapes.addAll(path(of(in, "d"), scale, name));
            default -> {}
          }
        }
      }
    } catch (XMLStreamException e) {
      throw new InvalidValue(
          name, "SVG that is damaged", "it cannot be read to its end", "Save it anew.");
    }
    return shapes;
  }

  private static String of(XMLStreamReader in, String attribute) {
    String value = in.getAttributeValue(null, attribute);
    return value == null ? "" : value;
  }

  /** Millimetres of one user unit: from width and viewBox, else as if units were mm. */
  private static double scale(XMLStreamReader in) {
    List<Double> box = numbers(of(in, "viewBox"));
    String width = of(in, "width").strip().toLowerCase(Locale.ROOT);
    List<Double> size = numbers(width);
    if (size.isEmpty()) {
      return 1;
    }
    double mm =
        width.endsWith("mm")
            ? 1
            : width.endsWith("cm")
                ? 10
                : width.endsWith("in") ? 25.4 : width.endsWith("pt") ? 25.4 / 72 : 25.4 / 96;
    boolean plain = width.matches("[-+.\\d]+");
    return plain || box.size() < 3 ? 1 : size.getFirst() * mm / box.get(2);
  }

  private static List<Double> numbers(String text) {
    List<Double> found = new ArrayList<>();
    Matcher m = NUMBER.matcher(text);
    while (m.find()) {
      found.add(Double.parseDouble(m.group()));
    }
    return found;
  }

  /** SVG counts y downwards; the floor is seen with y upwards. */
  private static Point point(double x, double y, double scale) {
    return new Point(x * scale / 1000, -y * scale / 1000);
  }

  private static List<Point> points(List<Double> xy, double scale) {
    List<Point> points = new ArrayList<>();
    for (int k = 0; k + 1 < xy.size(); k += 2) {
      points.add(point(xy.get(k), xy.get(k + 1), scale));
    }
    return closed(points);
  }

  private static List<Point> rectangle(XMLStreamReader in, double scale) {
    double[] v = new double[4];
    String[] names = {"x", "y", "width", "height"};
    for (int k = 0; k < 4; k++) {
      List<Double> n = numbers(of(in, names[k]));
      v[k] = n.isEmpty() ? 0 : n.getFirst();
    }
    return List.of(
        point(v[0], v[1], scale),
        point(v[0] + v[2], v[1], scale),
        point(v[0] + v[2], v[1] + v[3], scale),
        point(v[0], v[1] + v[3], scale));
  }

  private static List<List<Point>> path(String d, double scale, String name) {
    List<List<Point>> shapes = new ArrayList<>();
    List<Point> points = new ArrayList<>();
    double x = 0;
    double y = 0;
    double startX = 0;
    double startY = 0;
    Matcher m = STEP.matcher(d);
    while (m.find()) {
      char step = m.group(1).charAt(0);
      boolean relative = Character.isLowerCase(step);
      List<Double> n = numbers(m.group(2));
      switch (Character.toUpperCase(step)) {
        case 'M', 'L' -> {
          if (Character.toUpperCase(step) == 'M' && !points.isEmpty()) {
            shapes.add(closed(points));
            points = new ArrayList<>();
          }
          for (int k = 0; k + 1 < n.size(); k += 2) {
            x = relative ? x + n.get(k) : n.get(k);
            y = relative ? y + n.get(k + 1) : n.get(k + 1);
            points.add(point(x, y, scale));
            if (points.size() == 1) {
              startX = x;
              startY = y;
            }
          }
        }
        case 'H' -> {
          for (double v : n) {
            x = relative ? x + v : v;
            points.add(point(x, y, scale));
          }
        }
        case 'V' -> {
          for (double v : n) {
            y = relative ? y + v : v;
            points.add(point(x, y, scale));
          }
        }
        case 'Z' -> {
          x = startX;
          y = startY;
        }
        default ->
            throw new InvalidValue(
                name,
                "a curve (“" + step + "”) in a path",
                "only straight lines are read",
                "Flatten curves to straight pieces and save again.");
      }
    }
    shapes.add(closed(points));
    return shapes;
  }
}
