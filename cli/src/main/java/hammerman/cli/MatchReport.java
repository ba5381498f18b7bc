package hammerman.cli;

import hammerman.forecast.MatchCost;
import hammerman.sort.CellSheet;
import hammerman.sort.Matching;
import hammerman.sort.MeasuredCell;
import hammerman.sort.RejectRules.Sorted;
import hammerman.sort.Rejected;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.StringJoiner;
import java.util.stream.Collectors;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Matched cells as text and as JSON; the keys are a public contract. */
final class MatchReport {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private MatchReport() {}

  /**
   * As JSON.
   *
   * @param matched the groups; empty where there are too few good cells
   * @param cost what they come to in a pack, if that was asked
   */
  static String json(Sorted sorted, Optional<Matching> matched, Optional<MatchCost> cost) {
    ObjectNode root = NODES.objectNode();
    ArrayNode groups = NODES.arrayNode();
    for (List<MeasuredCell> g : matched.map(Matching::groups).orElse(List.of())) {
      ObjectNode node = NODES.objectNode();
      node.set("cells", labels(g));
      groups.add(
          node.put("capacity_Ah", JsonReport.figure(Matching.capacity(g)))
              .put(
                  "resistance_mOhm",
                  JsonReport.figure(Unit.MILLIOHM.fromCore(Matching.resistance(g)))));
    }
    root.set("groups", groups);
    matched.ifPresentOrElse(
        m ->
            root.put("spread_mAh", JsonReport.figure(Unit.MILLIAMPERE_HOUR.fromCore(m.spread())))
                .put(
                    "lowerBound_mAh",
                    JsonReport.figure(Unit.MILLIAMPERE_HOUR.fromCore(m.lowerBound()))),
        () -> root.putNull("spread_mAh").putNull("lowerBound_mAh"));
    ArrayNode rejected = NODES.arrayNode();
    for (Rejected r : sorted.rejected()) {
      rejected.add(NODES.objectNode().put("label", r.cell().label()).put("reason", r.reason()));
    }
    root.set("rejected", rejected);
    root.set("spares", labels(matched.map(Matching::spares).orElse(sorted.accepted())));
    cost.ifPresent(
        c -> {
          ObjectNode node = NODES.objectNode();
          node.set("matched", way(c.matched()));
          node.set("asTheyCame", way(c.dealt()));
          node.set("perfect", way(c.perfect()));
          root.set("cost", node);
        });
    return JsonMapper.builder().build().writerWithDefaultPrettyPrinter().writeValueAsString(root);
  }

  /** Groups are counted from 1 at the negative end. */
  private static ObjectNode way(MatchCost.Way w) {
    ObjectNode node =
        NODES
            .objectNode()
            .put("usable_Ah", JsonReport.figure(w.usable()))
            .put("endTime_s", JsonReport.figure(w.time()))
            .put("lowestVoltage_V", JsonReport.figure(w.lowest()));
    return w.group() < 0 ? node.putNull("endsByGroup") : node.put("endsByGroup", w.group() + 1);
  }

  private static ArrayNode labels(List<MeasuredCell> cells) {
    ArrayNode list = NODES.arrayNode();
    cells.forEach(c -> list.add(c.label()));
    return list;
  }

  static String text(CellSheet.Read read, Sorted sorted, Matching m, Optional<MatchCost> cost) {
    StringJoiner all = new StringJoiner("\n");
    all.add(
        "%d cells read, %d put aside, %d in %d groups, %d spare."
            .formatted(
                read.cells().size(),
                sorted.rejected().size(),
                sorted.accepted().size() - m.spares().size(),
                m.groups().size(),
                m.spares().size()));
    all.add(columns(read));
    all.add(
        "Spread of the groups %s; no choice beats %s."
            .formatted(
                Figures.of(m.spread(), Unit.MILLIAMPERE_HOUR),
                Figures.of(m.lowerBound(), Unit.MILLIAMPERE_HOUR)));
    cost.ifPresent(
        c -> {
          all.add("Until it ends: " + words("matched", c.matched()));
          all.add("               " + words("as they came", c.dealt()));
          all.add("               " + words("perfect", c.perfect()));
        });
    all.add("");
    for (int g = 0; g < m.groups().size(); g++) {
      List<MeasuredCell> group = m.groups().get(g);
      double ohms = Matching.resistance(group);
      all.add(
          "Group %2d  %s%s  %s"
              .formatted(
                  g + 1,
                  Figures.of(Matching.capacity(group), Unit.AMPERE_HOUR, 3),
                  Double.isNaN(ohms) ? "" : "  " + Figures.of(ohms, Unit.MILLIOHM, 2),
                  words(group)));
    }
    if (!m.spares().isEmpty()) {
      all.add("Spare     " + words(m.spares()));
    }
    for (Rejected r : sorted.rejected()) {
      all.add("Aside     %s: %s.".formatted(r.cell().label(), r.reason()));
    }
    return all.toString();
  }

  /** Which columns were taken for what, so that a wrong guess is seen. */
  private static String columns(CellSheet.Read read) {
    return read.columns().entrySet().stream()
        .filter(e -> e.getKey() != CellSheet.Column.LABEL && !e.getKey().describes())
        .sorted(Map.Entry.comparingByKey())
        .map(
            e ->
                "%s from “%s” in %s"
                    .formatted(
                        e.getKey().words(),
                        read.names().get(e.getValue().index()),
                        e.getValue().unit().symbol()
                            + (e.getKey() == CellSheet.Column.SELF_DISCHARGE ? " a day" : "")))
        .collect(Collectors.joining(", ", "Taken: ", "."));
  }

  private static String words(String name, MatchCost.Way w) {
    return "%-12s  %s in %s, down to %s; then %s%s"
        .formatted(
            name,
            Figures.of(w.usable(), Unit.AMPERE_HOUR, 2),
            Figures.duration(w.time()),
            Figures.of(w.lowest(), Unit.VOLT, 1),
            w.ends(),
            w.group() < 0 ? "" : " (group " + (w.group() + 1) + ")");
  }

  private static String words(List<MeasuredCell> cells) {
    return cells.stream().map(MeasuredCell::label).collect(Collectors.joining(" "));
  }
}
