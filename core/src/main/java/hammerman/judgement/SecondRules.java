package hammerman.judgement;

import static hammerman.judgement.Text.amperes;
import static hammerman.judgement.Text.volts;

import hammerman.chain.Junction;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.finding.Station;
import hammerman.judgement.Rule.Found;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;

/** Whether a second pack may be joined to the first. */
final class SecondRules {
  /** Share by which parallel packs may differ in full voltage before one overcharges the other. */
  private static final double SAME = 1e-3;

  static final List<Rule> ALL =
      List.of(
          rule(
              "second.gap",
              "gap",
              "The voltage gap of two packs joined in parallel against what the weaker takes.",
              SecondRules::gap),
          rule(
              "second.machine",
              "sum volts",
              "The sum of two packs in series against the machine's maximum.",
              SecondRules::machine),
          rule(
              "second.bms",
              "sum volts",
              "The sum of two packs in series against what each BMS blocks.",
              SecondRules::bms),
          rule(
              "second.unequalFull",
              "unequal",
              "The full voltages of two packs joined in parallel against each other.",
              SecondRules::unequalFull),
          rule(
              "second.seriesCapacity",
              "unequal",
              "The capacities of two packs in series against each other.",
              SecondRules::seriesCapacity));

  private SecondRules() {}

  private static Rule rule(
      String id, String word, String looksAt, BiFunction<Case, SecondPack, Optional<Found>> check) {
    return new Rule(
        id,
        word,
        Station.GUARD,
        looksAt,
        c -> Optional.ofNullable(c.design().second()).flatMap(s -> check.apply(c, s)));
  }

  private static Optional<Found> gap(Case c, SecondPack s) {
    Junction j = Junction.of(c.chain()).orElseThrow();
    if (s.joining() != Joining.PARALLEL || j.current() <= j.limit()) {
      return Optional.empty();
    }
    return Found.stop(
        "The packs must not be joined at this gap",
        "They rest at %s and %s; joined, %s would rush through %s, and the weaker takes %s."
            .formatted(
                volts(j.first()),
                volts(j.other()),
                amperes(j.current()),
                Figures.of(j.resistance(), Unit.MILLIOHM),
                amperes(j.limit())),
        "Bring them within %s of each other first; check with a meter."
            .formatted(Figures.of(j.allowedGap(), Unit.VOLT, 2)));
  }

  private static double sum(Case c, SecondPack s) {
    return c.highestVoltage() + s.pack().fullVoltage();
  }

  private static Optional<Found> machine(Case c, SecondPack s) {
    double most = c.asked().machine().maximumVoltage();
    if (s.joining() != Joining.SERIES || sum(c, s) <= most) {
      return Optional.empty();
    }
    return Found.stop(
        "In series the packs exceed the machine's limit",
        "Full, they have %s together; the machine survives %s."
            .formatted(volts(sum(c, s)), volts(most)),
        "Use fewer groups, or join them in parallel.");
  }

  private static Optional<Found> bms(Case c, SecondPack s) {
    double weakest =
        Math.min(
            c.guard()
                .protection()
                .inDischargePath()
                .map(b -> b.mosfetVoltage())
                .orElse(Double.POSITIVE_INFINITY),
            s.bmsVoltage() > 0 ? s.bmsVoltage() : Double.POSITIVE_INFINITY);
    if (s.joining() != Joining.SERIES || sum(c, s) <= weakest) {
      return Optional.empty();
    }
    return Found.stop(
        "In series one BMS must block the sum",
        "When one BMS opens, the whole %s lies across its switches; they block %s."
            .formatted(volts(sum(c, s)), volts(weakest)),
        "Take BMS whose switches block %s or more in both packs.".formatted(volts(sum(c, s))));
  }

  private static Optional<Found> unequalFull(Case c, SecondPack s) {
    double a = c.pack().fullVoltage();
    double b = s.pack().fullVoltage();
    if (s.joining() != Joining.PARALLEL || Math.abs(a - b) <= SAME * a) {
      return Optional.empty();
    }
    return Found.stop(
        "Joined directly, one pack overcharges the other",
        "Full, one has %s and the other %s.".formatted(volts(a), volts(b)),
        "Use the same series count and chemistry, diodes, or a switch-over.");
  }

  private static Optional<Found> seriesCapacity(Case c, SecondPack s) {
    double a = c.pack().capacity();
    double b = s.pack().capacity();
    if (s.joining() != Joining.SERIES || Math.abs(a - b) <= 0.05 * Math.max(a, b)) {
      return Optional.empty();
    }
    return Found.note(
        "In series the smaller pack ends the run",
        "One has %s, the other %s; the rest of the larger stays unused."
            .formatted(Figures.of(a, Unit.AMPERE_HOUR), Figures.of(b, Unit.AMPERE_HOUR)),
        "Use packs of the same capacity in series.");
  }
}
