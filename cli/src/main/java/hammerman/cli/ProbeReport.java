package hammerman.cli;

import hammerman.probe.ProbeCard;
import hammerman.probe.ProbeFault;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** A probe card as JSON; the keys are a public contract. */
final class ProbeReport {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private ProbeReport() {}

  static String json(ProbeCard card) {
    ObjectNode root = NODES.objectNode();
    ArrayNode expected = NODES.arrayNode();
    card.expected().forEach(v -> expected.add(JsonReport.figure(v)));
    root.set("expected_V", expected);
    root.put("alternatives", card.alternatives());
    ArrayNode faults = NODES.arrayNode();
    for (int set = 0; set < card.faults().size(); set++) {
      for (ProbeFault f : card.faults().get(set)) {
        ArrayNode leads = NODES.arrayNode();
        f.leads().forEach(leads::add);
        ObjectNode node = NODES.objectNode().put("kind", f.kind().key());
        node.set("leads", leads);
        faults.add(node.put("say", f.say()).put("set", set + 1));
      }
    }
    root.set("faults", faults);
    return JsonMapper.shared().writerWithDefaultPrettyPrinter().writeValueAsString(root);
  }
}
