package hammerman.watch;

import hammerman.device.Fields;
import hammerman.unit.Unit;
import java.util.Arrays;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A line of the protocol between the program and a pack on the bench (docs/devices.md). */
public sealed interface PackLine {
  /** The most groups of a pack, as many as a design may have. */
  int MOST_GROUPS = 250;

  /**
   * The device says what it is; its first line.
   *
   * @param name of it
   * @param groups in the pack
   */
  record Hello(String name, int groups) implements PackLine {}

  /** The program asks the meter to read a contact of the balance plug against battery minus. */
  record Ask(int contact) implements PackLine {}

  /** What the meter reads there, V; an open contact reads nothing, and comes as 0. */
  record Volts(int contact, double volts) implements PackLine {}

  /** The program switches the charger's plug. */
  record Plug(boolean on) implements PackLine {}

  /** What the BMS streams while a charge goes on. */
  record Frame(ChargeFrame frame) implements PackLine {}

  /** A line that says nothing that is known. */
  record Nonsense(String why) implements PackLine {}

  /** Returns the line, without its end. */
  static String write(PackLine line) {
    ObjectNode o = JsonMapper.shared().createObjectNode();
    switch (line) {
      case Hello l -> o.put("kind", "hello").put("name", l.name()).put("groups", l.groups());
      case Ask l -> o.put("kind", "read").put("contact", l.contact());
      case Volts l ->
          o.put("kind", "volts").put("contact", l.contact()).put("voltage_V", l.volts());
      case Plug l -> o.put("kind", "charger").put("on", l.on());
      case Frame l -> {
        ChargeFrame f = l.frame();
        o.put("kind", "frame");
        one(o, "time_s", f.time());
        list(o, "groups_V", f.groups());
        list(o, "pack_V", f.pack());
        one(o, "current_A", f.current());
        list(o, "temperatures_C", Arrays.stream(f.kelvin()).map(Unit.CELSIUS::fromCore).toArray());
      }
      case Nonsense l -> throw new IllegalArgumentException("nonsense is not written");
    }
    return o.toString();
  }

  private static void one(ObjectNode o, String name, double value) {
    if (Double.isNaN(value)) {
      o.putNull(name);
    } else {
      o.put(name, value);
    }
  }

  private static void list(ObjectNode o, String name, double... values) {
    ArrayNode all = o.putArray(name);
    for (double v : values) {
      if (Double.isNaN(v)) {
        all.addNull();
      } else {
        all.add(v);
      }
    }
  }

  /** Reads a line; whatever it is, a line comes of it. */
  static PackLine read(String text) {
    try {
      Fields o = Fields.of(text);
      return switch (o.kind()) {
        case "hello" -> new Hello(o.text("name"), o.count("groups", 1, MOST_GROUPS));
        case "read" -> new Ask(o.count("contact", 0, MOST_GROUPS));
        case "volts" -> new Volts(o.count("contact", 0, MOST_GROUPS), o.number("voltage_V"));
        case "charger" -> new Plug(o.is("on"));
        case "frame" -> {
          // Whatever is no figure was not read; the figures beside it are judged all the same.
          double[] pack = o.readings("pack_V");
          yield new Frame(
              new ChargeFrame(
                  o.reading("time_s"),
                  o.readings("groups_V"),
                  pack.length == 0 ? Double.NaN : pack[0],
                  o.reading("current_A"),
                  Arrays.stream(o.readings("temperatures_C")).map(Unit.CELSIUS::toCore).toArray()));
        }
        default -> new Nonsense("“kind” is not known");
      };
    } catch (Fields.Unreadable e) {
      return new Nonsense(e.why());
    }
  }
}
