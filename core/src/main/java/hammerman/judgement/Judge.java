package hammerman.judgement;

import hammerman.finding.Judgement;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** Applies every rule to a case. */
public final class Judge {
  private static final List<Rule> RULES =
      Stream.of(
              VoltageRules.ALL,
              CellRules.ALL,
              DutyRules.ALL,
              BoundsRules.ALL,
              BmsRules.ALL,
              ChargeRules.ALL,
              FuseRules.ALL,
              WireRules.ALL,
              SecondRules.ALL,
              FitRules.ALL)
          .flatMap(List::stream)
          .toList();

  private Judge() {}

  /** Returns what the rules find, worst first, then in the order of the work. */
  public static List<Judgement> judge(Case c) {
    return RULES.stream()
        .flatMap(r -> r.judge(c).stream())
        .sorted(Comparator.comparing(Judgement::severity))
        .toList();
  }

  /** Returns the ids of all rules with what each looks at, for the documentation. */
  public static List<String> catalogue() {
    return RULES.stream()
        .map(r -> "| `" + r.id() + "` | " + r.station().label() + " | " + r.looksAt() + " |")
        .toList();
  }

  /** Returns the page of the documentation that lists the rules. */
  public static String page() {
    return """
    # Judgements

    What is looked at, by id. A value exactly on its limit is within it, unless its line says otherwise. \
    This page is written by `./hammerman rules > docs/judgements.md`; a test holds it against the rules.

    | id | mended at | looks at |
    |---|---|---|
    """
        + String.join("\n", catalogue())
        + "\n";
  }
}
