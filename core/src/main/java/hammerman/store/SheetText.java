package hammerman.store;

import hammerman.record.RunCondition;
import hammerman.record.RunResult;
import hammerman.record.RunSheet;
import hammerman.record.RunSheet.Holds;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The sheet of a run as the file holds it: a JSON object (docs/file-format.md). */
final class SheetText {
  private SheetText() {}

  static String of(RunSheet sheet) {
    ObjectNode o = JsonMapper.shared().createObjectNode();
    ObjectNode conditions = o.putObject("conditions");
    sheet.figures().forEach((c, v) -> conditions.put(c.name(), v));
    sheet.words().forEach((c, v) -> conditions.put(c.name(), v));
    ObjectNode own = o.putObject("own");
    sheet.own().forEach(own::put);
    ObjectNode results = o.putObject("results");
    sheet.results().forEach((r, v) -> results.put(r.name(), v));
    ObjectNode log = o.putObject("log");
    for (Holds h : sheet.log()) {
      log.putObject(h.quantity())
          .put("channel", h.channel())
          .put("unit", h.unit().name())
          .put("negative", h.negative());
    }
    ArrayNode photos = o.putArray("photos");
    sheet.photos().forEach(photos::add);
    return o.toString();
  }

  /** Reads a sheet; what cannot be read of it is left out, since the run itself still counts. */
  static RunSheet read(String text) {
    try {
      JsonNode o = JsonMapper.shared().readTree(text);
      Map<RunCondition, Double> figures = new EnumMap<>(RunCondition.class);
      Map<RunCondition, String> words = new EnumMap<>(RunCondition.class);
      for (RunCondition c : RunCondition.values()) {
        JsonNode v = o.path("conditions").path(c.name());
        if (c.unit() != null && v.isNumber()) {
          figures.put(c, v.asDouble());
        } else if (c.unit() == null && v.isString()) {
          words.put(c, v.asString());
        }
      }
      Map<String, String> own = new TreeMap<>();
      o.path("own").properties().forEach(e -> own.put(e.getKey(), e.getValue().asString("")));
      Map<RunResult, Double> results = new EnumMap<>(RunResult.class);
      for (RunResult r : RunResult.values()) {
        JsonNode v = o.path("results").path(r.name());
        if (v.isNumber()) {
          results.put(r, v.asDouble());
        }
      }
      List<Holds> log = new ArrayList<>();
      o.path("log")
          .properties()
          .forEach(
              e ->
                  log.add(
                      new Holds(
                          e.getKey(),
                          e.getValue().path("channel").asInt(0),
                          Unit.valueOf(e.getValue().path("unit").asString("ONE")),
                          e.getValue().path("negative").asBoolean(false))));
      List<String> photos = new ArrayList<>();
      for (JsonNode name : o.path("photos")) {
        photos.add(name.asString(""));
      }
      return new RunSheet(figures, words, own, results, log, photos);
    } catch (JacksonException | IllegalArgumentException e) {
      return RunSheet.NOTHING;
    }
  }
}
