package hammerman.judgement;

import hammerman.circuit.Circuit;
import hammerman.circuit.State;
import hammerman.circuit.Stress;
import hammerman.design.SecondPack.Joining;
import hammerman.guard.Guard;
import hammerman.pack.Pack;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.Locale;
import java.util.Objects;

/** Phrases that sentences are put together from. */
final class Phrases {
  static final String SHORT =
      "A shorted pack welds tools and burns hands: rings off, insulated tools, eye protection, the"
          + " fuse fitted last.";

  static final String ARC =
      "Above 60 V DC an arc keeps burning. Local codes and a licensed person come first.";

  private static final double DAY = 86_400;

  private Phrases() {}

  static String value(Stress s) {
    return Figures.apart(s.value(), s.limit(), s.unit())[0];
  }

  static String limit(Stress s) {
    return Figures.apart(s.value(), s.limit(), s.unit())[1];
  }

  /** What is needed, rounded up. */
  static String up(double core, Unit unit) {
    return Figures.atLeast(core, unit);
  }

  /** What is allowed, rounded down. */
  static String down(double core, Unit unit) {
    return Figures.atMost(core, unit);
  }

  /** A short-circuit current: in amperes, from a thousand on in kiloamperes. */
  static String fault(double a) {
    return Figures.of(a, a < 1000 ? Unit.AMPERE : Unit.KILOAMPERE);
  }

  static String amperes(double a) {
    return Figures.of(a, Unit.AMPERE);
  }

  static String volts(double v) {
    return Figures.of(v, Unit.VOLT, 1);
  }

  static String cellVolts(double v) {
    return Figures.of(v, Unit.VOLT, 2);
  }

  static String celsius(double kelvin) {
    return Figures.of(kelvin, Unit.CELSIUS, 0);
  }

  static String percent(double fraction) {
    return Figures.of(fraction, Unit.PERCENT, 0);
  }

  /** Who draws the current, and how long: “Start on the ramp” draws 55.0 A for 12 s. */
  static String draws(Stress s, Circuit c) {
    String time = Figures.duration(s.seconds());
    return s.state() == State.HARDEST
        ? "“%s” draws %s, averaged over %s"
            .formatted(c.design().duty().hardest().name(), value(s), time)
        : "the heaviest %s of the duty draw %s".formatted(time, value(s));
  }

  static String capital(String text) {
    return text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
  }

  /** “Start” draws 60 A for 12 s; “Toggle” stands 50 A that long. */
  static String tooMuch(Stress s, Circuit c) {
    return capital(draws(s, c))
        + "; “%s” stands %s that long.".formatted(s.part().name(), limit(s));
  }

  static String effort(Stress s, Circuit c) {
    return "At full effort the machine asks %s of “%s”, which stands %s for long."
        .formatted(value(s), s.part().name(), limit(s));
  }

  /** Full, the pack has 54.6 V; “Toggle” is made for 32 V DC. */
  static String voltage(Stress s, Circuit c) {
    String who =
        c.chain().supply().joining() == Joining.SERIES
            ? "Full, the two packs have %s together"
            : "Full, the pack has %s";
    return who.formatted(value(s))
        + "; “%s” is made for %s DC.".formatted(s.part().name(), limit(s));
  }

  /** What ends it, or which of several does: the 40 A fuse. */
  static String who(Stress s) {
    String names = s.protector();
    if (names.startsWith("each ") || names.startsWith("the ")) {
      return names;
    }
    String article = names.contains(", ") ? "the first of " : "the ";
    return article + names;
  }

  /** How long it may stand: in days, rounded down; in hours and minutes when less than two. */
  static String standing(double seconds) {
    return seconds < 2 * DAY ? Figures.duration(seconds) : down(seconds, Unit.DAY);
  }

  /** What nobody ends. */
  static String overload(Stress s, Circuit c) {
    String who =
        s.protector().isEmpty()
            ? "nothing ends it"
            : s.seconds() >= 10_800
                ? who(s) + " does not end it"
                : "%s ends it after up to %s".formatted(who(s), Figures.duration(s.seconds()));
    return "At %s, %s; “%s” is ruined above %s in that time."
        .formatted(value(s), who, s.part().name(), limit(s));
  }

  static String withstand(Stress s, Circuit c) {
    String who =
        s.protector().isEmpty()
            ? "nothing clears it"
            : "%s takes up to %s".formatted(who(s), Figures.duration(s.seconds()));
    return "In a short circuit of %s, %s; “%s” stands %s that long."
        .formatted(fault(s.value()), who, s.part().name(), limit(s));
  }

  static Pack pack(Stress s, Circuit c) {
    return s.part().second()
        ? Objects.requireNonNull(c.design().second()).pack()
        : c.design().pack();
  }

  static Guard guard(Stress s, Circuit c) {
    return s.part().second()
        ? Objects.requireNonNull(c.design().second()).guard()
        : c.design().guard();
  }
}
