package hammerman.pack;

import hammerman.unit.InvalidValue;
import hammerman.unit.QuantityText;
import hammerman.unit.QuantityText.Reading;
import hammerman.unit.Unit;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Strips as people type them: “0.15x8”, “2 x 0.15 x 8 nickel”, “0.2x10 copper + 0.1 steel”. */
public final class StripText {
  private static final Pattern FORM =
      Pattern.compile(
          "(?:(\\d+)\\s*[x×]\\s*)?([\\d.,]+)\\s*[x×]\\s*([\\d.,]+)\\s*(?:mm)?\\s*([\\p{L} -]*?)\\s*"
              + "(?:\\+\\s*([\\d.,]+)\\s*(?:mm)?\\s*steel)?");

  private StripText() {}

  /**
   * Reads a strip.
   *
   * @param usual whose metal is meant where none is named
   * @throws InvalidValue if it is none
   */
  public static Strip read(String typed, Strip usual) {
    Matcher m = FORM.matcher(typed.strip());
    if (!m.matches()) {
      throw refused(typed, "not thickness × width");
    }
    String metal = m.group(4).strip().toLowerCase(Locale.ROOT);
    return new Strip(
        metal.isEmpty() ? usual.material() : material(typed, metal),
        millimetres(typed, m.group(2)),
        millimetres(typed, m.group(3)),
        m.group(1) == null ? 1 : Integer.parseInt(m.group(1)),
        m.group(5) == null ? 0 : millimetres(typed, m.group(5)));
  }

  private static double millimetres(String typed, String figure) {
    if (QuantityText.read(figure, Unit.MILLIMETRE) instanceof Reading.Understood u) {
      return u.core();
    }
    throw refused(typed, "“" + figure + "” is no figure");
  }

  private static ConductorMaterial material(String typed, String metal) {
    for (ConductorMaterial c : ConductorMaterial.values()) {
      if (c.label().toLowerCase(Locale.ROOT).startsWith(metal)) {
        return c;
      }
    }
    throw refused(typed, "“" + metal + "” is no metal known here");
  }

  private static InvalidValue refused(String typed, String why) {
    return new InvalidValue(
        "Strip",
        "“" + typed + "”",
        why,
        "Type it like “0.15x8” or “2 x 0.2 x 10 copper + 0.1 steel”.");
  }
}
