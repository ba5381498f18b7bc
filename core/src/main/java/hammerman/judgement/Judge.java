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
              FuseRules.ALL)
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
}
