package hammerman.prove;

import hammerman.record.RunCondition;
import hammerman.record.RunResult;
import hammerman.record.RunSheet;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What one of several packs or batteries has done, by the runs that name it: which works more, and
 * whether one of them sags deeper than the others on the same work.
 *
 * @param pack as it is named; empty for runs that name none
 * @param runs how many
 * @param time of them, s
 * @param charge taken, C
 * @param energy taken less what was given back, J
 * @param lowestVoltage of any, V; not a number if none says
 */
public record PackUse(
    String pack, int runs, double time, double charge, double energy, double lowestVoltage) {

  /** Works it out of what was written down of the runs that count, by the names of the packs. */
  public static List<PackUse> of(List<RunSheet> runs) {
    Map<String, List<RunSheet>> packs = new TreeMap<>();
    for (RunSheet s : runs) {
      packs
          .computeIfAbsent(s.words().getOrDefault(RunCondition.PACK, ""), p -> new ArrayList<>())
          .add(s);
    }
    return packs.entrySet().stream().map(e -> of(e.getKey(), e.getValue())).toList();
  }

  private static PackUse of(String pack, List<RunSheet> runs) {
    return new PackUse(
        pack,
        runs.size(),
        sum(runs, RunResult.DURATION),
        sum(runs, RunResult.CHARGE),
        sum(runs, RunResult.ENERGY) - sum(runs, RunResult.REGENERATED),
        runs.stream()
            .flatMapToDouble(s -> s.result(RunResult.LOWEST_VOLTAGE).stream())
            .min()
            .orElse(Double.NaN));
  }

  private static double sum(List<RunSheet> runs, RunResult r) {
    return runs.stream().mapToDouble(s -> s.result(r).orElse(0)).sum();
  }
}
