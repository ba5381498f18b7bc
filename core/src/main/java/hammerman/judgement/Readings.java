package hammerman.judgement;

import hammerman.circuit.Circuit;
import hammerman.circuit.Part;
import hammerman.circuit.Stress;
import hammerman.finding.Finding;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Reads the stress table: each row whose limit is passed becomes a finding. */
final class Readings {
  /** A cell of the table: a kind of part and a way of stressing it. */
  record TableKey(Part.Kind part, Stress.Kind kind) {}

  private static final Map<TableKey, Words> WORDS = words();

  private Readings() {}

  private static Map<TableKey, Words> words() {
    Map<TableKey, Words> all = new LinkedHashMap<>();
    CellWords.put(all);
    PackWords.put(all);
    GuardWords.put(all);
    FuseWords.put(all);
    PathWords.put(all);
    return all;
  }

  /** Returns the cells of the table, in the order of the documentation. */
  static Set<TableKey> table() {
    return words().keySet();
  }

  /** Returns what the rows of a circuit say. */
  static List<Finding> of(Circuit circuit, List<Stress> rows) {
    Map<String, Stress> exceeded = new HashMap<>();
    rows.stream().filter(Stress::exceeded).forEach(s -> exceeded.put(s.id(), s));
    List<Finding> found = new ArrayList<>();
    for (Stress s : rows) {
      if (s.exceeded() && !saidBy(s, exceeded.keySet())) {
        found.add(finding(s, circuit));
      }
    }
    return found;
  }

  /** Whether another row of the same part already says what this one would. */
  private static boolean saidBy(Stress s, Set<String> exceeded) {
    String part = s.part().key() + ".";
    String pack = s.part().second() ? "second." : "";
    return switch (s.kind()) {
      case EFFORT, ALONE -> exceeded.contains(part + Stress.Kind.CURRENT.key());
      case WITHSTAND ->
          s.protector().isEmpty() || exceeded.contains(part + Stress.Kind.OVERLOAD.key());
      case OVERLOAD ->
          // Without fuse and BMS, and with a current that is too much anyway, it is said already.
          s.protector().isEmpty() || exceeded.contains(part + Stress.Kind.CURRENT.key());
      case CLEARS -> s.part().kind() == Part.Kind.FUSE && exceeded.contains(pack + "fuse.short");
      case OVERCHARGE ->
          s.part().kind() == Part.Kind.MACHINE
              && exceeded.contains(part + Stress.Kind.VOLTAGE.key());
      default -> false;
    };
  }

  private static Finding finding(Stress s, Circuit c) {
    Words w = WORDS.get(new TableKey(s.part().kind(), s.kind()));
    if (w == null) {
      throw new IllegalStateException("no words for " + s.id());
    }
    return new Finding(
        s.id(),
        w.severity().of(s, c),
        w.word(),
        s.part().second() ? w.title() + " (second pack)" : w.title(),
        w.why().of(s, c),
        w.fix().of(s, c),
        w.station(),
        s.part().label(),
        s.measure(),
        (s.state().words() + ", " + s.corner().words()).replaceAll(", $", ""),
        s.source(),
        w.caution());
  }

  /** Returns the rows of the documentation. */
  static String page() {
    return words().entrySet().stream()
        .map(
            e ->
                "| `%s.%s` | %s | %s |"
                    .formatted(
                        e.getKey().part().key(),
                        e.getKey().kind().key(),
                        e.getValue().station().label(),
                        e.getValue().looksAt()))
        .collect(Collectors.joining("\n"));
  }
}
