package hammerman.device;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What a line of a device's protocol holds. */
public final class Fields {
  /** The longest line that is looked at, characters. */
  public static final int LONGEST = 4096;

  private static final int MOST = 300;
  private static final int LONGEST_TEXT = 300;

  private final JsonNode node;

  /** A line that is no object, or a field that is not what it should be. */
  public static final class Unreadable extends Exception {
    private static final long serialVersionUID = 1;

    Unreadable(String why) {
      super(why);
    }

    /** Returns why, in words. */
    public String why() {
      return String.valueOf(getMessage());
    }
  }

  private Fields(JsonNode node) {
    this.node = node;
  }

  /** Reads a line. */
  public static Fields of(String line) throws Unreadable {
    if (line.length() > LONGEST) {
      throw new Unreadable("a line of more than " + LONGEST + " characters");
    }
    try {
      JsonNode o = JsonMapper.shared().readTree(line);
      if (o == null || !o.isObject()) {
        throw new Unreadable("no object");
      }
      return new Fields(o);
    } catch (JacksonException e) {
      throw new Unreadable("no JSON");
    }
  }

  /** Returns what kind of line it is; empty if it does not say. */
  public String kind() {
    return node.path("kind").asString("");
  }

  /** Returns a finite number. */
  public double number(String name) throws Unreadable {
    JsonNode n = node.get(name);
    if (n == null || !n.isNumber() || !Double.isFinite(n.asDouble())) {
      throw new Unreadable("“" + name + "” is not a number");
    }
    return n.asDouble();
  }

  /** Returns a whole number. */
  public long whole(String name) throws Unreadable {
    double v = number(name);
    if (v != Math.rint(v) || Math.abs(v) > 1e15) {
      throw new Unreadable("“" + name + "” is not a whole number");
    }
    return (long) v;
  }

  /** Returns a whole number between two others. */
  public int count(String name, int low, int high) throws Unreadable {
    long v = whole(name);
    if (v < low || v > high) {
      throw new Unreadable("“%s” is %d, not between %d and %d".formatted(name, v, low, high));
    }
    return (int) v;
  }

  /** Returns a finite number; whatever else there is becomes not a number. */
  public double reading(String name) {
    return finite(node.path(name));
  }

  /** Returns numbers; whatever is no finite number becomes not a number, no list an empty one. */
  public double[] readings(String name) {
    JsonNode n = node.path(name);
    double[] all = new double[n.isArray() ? Math.min(n.size(), MOST) : 0];
    Arrays.setAll(all, k -> finite(n.path(k)));
    return all;
  }

  private static double finite(JsonNode n) {
    return n.isNumber() && Double.isFinite(n.asDouble()) ? n.asDouble() : Double.NaN;
  }

  /** Returns numbers; null stands for one that is not known, and becomes not a number. */
  public double[] numbers(String name) throws Unreadable {
    @Nullable JsonNode n = node.get(name);
    if (n == null || !n.isArray() || n.size() > MOST) {
      throw new Unreadable("“" + name + "” is no list of numbers");
    }
    List<Double> all = new ArrayList<>();
    for (JsonNode e : n) {
      if (!e.isNull() && !(e.isNumber() && Double.isFinite(e.asDouble()))) {
        throw new Unreadable("“" + name + "” holds something that is no number");
      }
      all.add(e.isNull() ? Double.NaN : e.asDouble());
    }
    return all.stream().mapToDouble(Double::doubleValue).toArray();
  }

  /** Returns a text, cut at {@value #LONGEST_TEXT} characters. */
  public String text(String name) throws Unreadable {
    @Nullable JsonNode n = node.get(name);
    if (n == null || !n.isString()) {
      throw new Unreadable("“" + name + "” is not a text");
    }
    String words = n.asString();
    return words.length() <= LONGEST_TEXT ? words : words.substring(0, LONGEST_TEXT);
  }

  /** Whether a field is true; false if it is not there. */
  public boolean is(String name) {
    return node.path(name).asBoolean(false);
  }
}
