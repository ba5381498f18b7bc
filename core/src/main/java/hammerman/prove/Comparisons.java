package hammerman.prove;

import hammerman.chain.Chain;
import hammerman.prove.Comparison.Entry;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Several runs, each compared with the same one.
 *
 * @param first that all are compared with
 * @param each of the others, in their order
 * @param conclusion what may and may not be said of all
 */
public record Comparisons(Entry first, List<Comparison> each, String conclusion) {
  public Comparisons {
    each = List.copyOf(each);
  }

  /**
   * Compares runs with one of them.
   *
   * @param runs to compare with the first; one or more
   * @param others runs of the same pack, of which those under the same conditions tell the scatter
   */
  public static Comparisons of(Chain chain, Entry first, List<Entry> runs, List<Entry> others) {
    List<Comparison> each = runs.stream().map(r -> Comparison.of(chain, first, r, others)).toList();
    return new Comparisons(first, each, conclusion(first, each));
  }

  private static String conclusion(Entry first, List<Comparison> each) {
    if (each.size() == 1) {
      return each.getFirst().remaining().conclusion();
    }
    List<String> alike = new ArrayList<>();
    List<String> open = new ArrayList<>();
    Map<String, List<String>> causes = new LinkedHashMap<>();
    for (Comparison c : each) {
      if (c.remaining().results().isEmpty()) {
        alike.add(quoted(c));
      } else if (c.remaining().cause().isPresent()) {
        causes.computeIfAbsent(c.remaining().cause().get(), k -> new ArrayList<>()).add(quoted(c));
      } else {
        open.add(quoted(c));
      }
    }
    List<String> said = new ArrayList<>();
    causes.forEach(
        (cause, names) ->
            said.add(
                "What differs in %s may be put down to %s, which alone changed."
                    .formatted(String.join(", ", names), cause)));
    if (!alike.isEmpty()) {
      said.add(
          "%s: no more apart from “%s” than scatter."
              .formatted(String.join(", ", alike), first.name()));
    }
    if (!open.isEmpty()) {
      said.add("Of %s nothing may be put down to one cause.".formatted(String.join(", ", open)));
    }
    return String.join(" ", said);
  }

  private static String quoted(Comparison c) {
    return "“" + c.name() + "”";
  }
}
