package hammerman.tester;

import hammerman.device.Fields;
import hammerman.record.BayTest;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A line of the protocol between the program and a cell tester. */
public sealed interface TesterLine {
  /**
   * The tester says what it is; its first line.
   *
   * @param name of it
   * @param bays that it has
   */
  record Hello(String name, int bays) implements TesterLine {}

  /**
   * The program asks for a test.
   *
   * @param test its number, unique in the project
   * @param bay from 1
   * @param label of the cell that should lie there
   * @param charge current, A
   * @param discharge current, A
   * @param rest after charge and discharge, s
   * @param cutOff at which the discharge ends, V
   * @param full voltage of the charge, V
   */
  record Begin(
      long test,
      int bay,
      String label,
      double charge,
      double discharge,
      double rest,
      double cutOff,
      double full)
      implements TesterLine {}

  /** The program breaks a test off. */
  record Stop(long test) implements TesterLine {}

  /** The program has kept a result; the tester need not say it again. */
  record Kept(long test) implements TesterLine {}

  /**
   * A reading under way.
   *
   * @param number of the reading within its test, from 1
   * @param phase in words, such as “discharge”
   * @param seconds since the test began
   * @param volts of the cell
   * @param amperes out of it
   * @param ampereHours discharged so far
   */
  record Reading(
      long test,
      int bay,
      long number,
      String phase,
      double seconds,
      double volts,
      double amperes,
      double ampereHours)
      implements TesterLine {}

  /**
   * A result; said again after every connection until it is kept.
   *
   * @param capacity Ah
   * @param resistance by a step of direct current, Ω
   * @param voltage of the cell before the test, rested, V
   */
  record Done(long test, int bay, double capacity, double resistance, double voltage)
      implements TesterLine {}

  /**
   * A test that could not be done; said again until it is kept.
   *
   * @param again whether it may be tried again, as after a lost contact
   * @param why in words; of more than {@value #LONGEST_WHY} characters the first are taken
   */
  record Failed(long test, int bay, boolean again, String why) implements TesterLine {
    static final int LONGEST_WHY = 150;

    public Failed {
      // Whatever a tester says, the end of its test has to be kept.
      why = why.isBlank() ? "no reason given" : why.strip();
      why = why.substring(0, Math.min(why.length(), LONGEST_WHY));
    }
  }

  /** A line that says nothing that is known. */
  record Nonsense(String why) implements TesterLine {}

  /** Returns the line, without its end. */
  static String write(TesterLine line) {
    ObjectNode o = JsonMapper.shared().createObjectNode();
    switch (line) {
      case Hello l -> o.put("kind", "hello").put("name", l.name()).put("bays", l.bays());
      case Begin l ->
          o.put("kind", "begin")
              .put("test", l.test())
              .put("bay", l.bay())
              .put("label", l.label())
              .put("charge_A", l.charge())
              .put("discharge_A", l.discharge())
              .put("rest_s", l.rest())
              .put("cutOff_V", l.cutOff())
              .put("full_V", l.full());
      case Stop l -> o.put("kind", "stop").put("test", l.test());
      case Kept l -> o.put("kind", "kept").put("test", l.test());
      case Reading l ->
          o.put("kind", "reading")
              .put("test", l.test())
              .put("bay", l.bay())
              .put("number", l.number())
              .put("phase", l.phase())
              .put("time_s", l.seconds())
              .put("voltage_V", l.volts())
              .put("current_A", l.amperes())
              .put("discharged_Ah", l.ampereHours());
      case Done l ->
          o.put("kind", "done")
              .put("test", l.test())
              .put("bay", l.bay())
              .put("capacity_Ah", l.capacity())
              .put("resistance_mOhm", 1000 * l.resistance())
              .put("rested_V", l.voltage());
      case Failed l ->
          o.put("kind", "failed")
              .put("test", l.test())
              .put("bay", l.bay())
              .put("again", l.again())
              .put("why", l.why());
      case Nonsense l -> throw new IllegalArgumentException("nonsense is not written");
    }
    return o.toString();
  }

  /** Reads a line; whatever it is, a line comes of it. */
  static TesterLine read(String text) {
    try {
      return line(Fields.of(text));
    } catch (Fields.Unreadable e) {
      return new Nonsense(e.why());
    }
  }

  private static TesterLine line(Fields o) throws Fields.Unreadable {
    return switch (o.kind()) {
      case "hello" -> new Hello(o.text("name"), o.count("bays", 1, BayTest.MOST_BAYS));
      case "begin" ->
          new Begin(
              o.whole("test"),
              o.count("bay", 1, BayTest.MOST_BAYS),
              o.text("label"),
              o.number("charge_A"),
              o.number("discharge_A"),
              o.number("rest_s"),
              o.number("cutOff_V"),
              o.number("full_V"));
      case "stop" -> new Stop(o.whole("test"));
      case "kept" -> new Kept(o.whole("test"));
      case "reading" ->
          new Reading(
              o.whole("test"),
              o.count("bay", 1, BayTest.MOST_BAYS),
              o.whole("number"),
              o.text("phase"),
              o.number("time_s"),
              o.number("voltage_V"),
              o.number("current_A"),
              o.number("discharged_Ah"));
      case "done" ->
          new Done(
              o.whole("test"),
              o.count("bay", 1, BayTest.MOST_BAYS),
              o.number("capacity_Ah"),
              o.number("resistance_mOhm") / 1000,
              o.number("rested_V"));
      case "failed" ->
          new Failed(
              o.whole("test"), o.count("bay", 1, BayTest.MOST_BAYS), o.is("again"), o.text("why"));
      default -> new Nonsense("“kind” is not known");
    };
  }
}
