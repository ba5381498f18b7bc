package hammerman.cli;

import hammerman.build.Expected;
import hammerman.build.Progress;
import hammerman.build.Setting;
import hammerman.build.Stage;
import hammerman.build.Step;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The procedure as text and as JSON; the keys are a public contract. */
final class BuildReport {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private BuildReport() {}

  static String json(Progress progress, List<Setting> settings) {
    ObjectNode root = NODES.objectNode();
    ArrayNode steps = root.putArray("steps");
    for (Step s : progress.procedure().steps()) {
      ObjectNode node =
          steps
              .addObject()
              .put("id", s.id())
              .put("stage", s.stage().key())
              .put("text", s.text())
              .put("state", progress.state(s.id()).word())
              .put("protects", s.safety().protects());
      strings(node.putArray("tools"), s.tools());
      strings(node.putArray("cautions"), s.safety().cautions());
      strings(node.putArray("needs"), s.needs());
      s.expects()
          .ifPresentOrElse(e -> node.set("expects", expects(e)), () -> node.putNull("expects"));
    }
    ArrayNode sheet = root.putArray("settings");
    for (Setting s : settings) {
      sheet
          .addObject()
          .put("device", s.device())
          .put("name", s.name())
          .put("value", s.value())
          .put("why", s.why());
    }
    return JsonMapper.shared().writerWithDefaultPrettyPrinter().writeValueAsString(root);
  }

  private static ObjectNode expects(Expected e) {
    return NODES
        .objectNode()
        .put("value", JsonReport.figure(e.unit().fromCore(e.value())))
        .put("low", JsonReport.figure(e.unit().fromCore(e.low())))
        .put("high", JsonReport.figure(e.unit().fromCore(e.high())))
        .put("unit", e.unit().symbol())
        .put("why", e.why());
  }

  private static void strings(ArrayNode list, List<String> all) {
    all.forEach(list::add);
  }

  static String text(Progress progress, List<Setting> settings, Instant now) {
    StringBuilder out = new StringBuilder();
    Stage stage = null;
    int k = 0;
    for (Step s : progress.procedure().steps()) {
      if (s.stage() != stage) {
        stage = s.stage();
        out.append(stage.label().toUpperCase(Locale.ROOT)).append('\n');
      }
      out.append("%3d  %-18s %s%n".formatted(++k, s.id(), s.text()));
      s.expects().ifPresent(e -> out.append("     expect %s (%s)%n".formatted(e.words(), e.why())));
      s.safety().cautions().forEach(c -> out.append("     ! ").append(c).append('\n'));
    }
    out.append("SETTINGS\n");
    settings.forEach(
        s -> out.append("     %-22s %-24s %s%n".formatted(s.device(), s.name(), s.value())));
    return out.append(progress.words(now)).toString();
  }
}
