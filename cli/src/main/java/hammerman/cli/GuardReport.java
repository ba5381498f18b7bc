package hammerman.cli;

import hammerman.chain.Chain;
import hammerman.chain.Junction;
import hammerman.choice.Choice;
import hammerman.choice.Selection;
import hammerman.circuit.Circuit;
import hammerman.circuit.DutyCurve;
import hammerman.circuit.Link;
import hammerman.circuit.Stress;
import hammerman.forecast.Forecast;
import hammerman.project.Shipped;
import hammerman.simulation.TwinRun;
import hammerman.wiring.WiringPlan;
import java.util.Locale;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The guard as JSON: links, fuse window, suggestion, leads, and a second pack. */
final class GuardReport {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private GuardReport() {}

  static ObjectNode of(Forecast f) {
    Chain chain = f.chain();
    ObjectNode root = NODES.objectNode();
    root.put("continuous_A", JsonReport.figure(chain.demand().continuous()))
        .put("tenSeconds_A", JsonReport.figure(chain.demand().tenSeconds()))
        .put("hardest_A", JsonReport.figure(chain.demand().peak()))
        .put("shortCircuit_A", JsonReport.figure(chain.shortCircuitCurrent()));
    root.set(
        "fuseWindow",
        NODES
            .objectNode()
            .put("lower_A", JsonReport.figure(chain.fuseWindow().lower()))
            .put("upper_A", JsonReport.figure(chain.fuseWindow().upper())));
    root.set("links", links(f.circuit()));
    root.set("stresses", stresses(f.circuit()));
    ArrayNode choices = NODES.arrayNode();
    for (Choice c : Selection.of(f.design(), Shipped.parts()).choices()) {
      choices.add(
          NODES
              .objectNode()
              .put("part", c.part().name().toLowerCase(Locale.ROOT))
              .put("suggested", c.chosen())
              .put("why", c.why())
              .put("locked", c.locked()));
    }
    root.set("suggested", choices);
    ArrayNode leads = NODES.arrayNode();
    for (WiringPlan.Run r : WiringPlan.of(chain).runs()) {
      leads.add(
          NODES
              .objectNode()
              .put("from", r.from())
              .put("to", r.to())
              .put("length_m", JsonReport.figure(r.length()))
              .put("area_mm2", JsonReport.figure(r.wire().area() * 1e6))
              .put("drop_V", JsonReport.figure(r.drop()))
              .put("heat_W", JsonReport.figure(r.heat())));
    }
    root.set("leads", leads);
    f.pair().ifPresent(run -> root.set("second", second(Junction.of(chain).orElseThrow(), run)));
    return root;
  }

  private static ArrayNode links(Circuit circuit) {
    ArrayNode links = NODES.arrayNode();
    DutyCurve duty = circuit.duty();
    for (Link link : circuit.links()) {
      ObjectNode node =
          NODES
              .objectNode()
              .put("kind", link.part().key())
              .put("name", link.part().name())
              .put("continuous_A", JsonReport.figure(link.continuous()))
              .put("shortTime_A", JsonReport.figure(link.stands().at(duty.hardestSeconds())));
      links.add(node.put("margin", JsonReport.figure(circuit.margin(link))));
    }
    return links;
  }

  private static ArrayNode stresses(Circuit circuit) {
    ArrayNode rows = NODES.arrayNode();
    for (Stress s : circuit.stresses()) {
      ObjectNode node =
          NODES
              .objectNode()
              .put("id", s.id())
              .put("subject", s.part().label())
              .put("quantity", s.kind().label())
              .put("state", s.state().words())
              .put("corner", s.corner().words())
              .put("protector", s.protector())
              .put("source", s.source());
      JsonReport.measured(node, s.value(), s.limit(), s.atLeast(), s.unit());
      rows.add(
          Double.isNaN(s.seconds())
              ? node.putNull("duration_s")
              : node.put("duration_s", JsonReport.figure(s.seconds())));
    }
    return rows;
  }

  private static ObjectNode second(Junction j, TwinRun run) {
    return NODES
        .objectNode()
        .put("joining", j.second().joining().name().toLowerCase(Locale.ROOT))
        .put("gap_V", JsonReport.figure(j.gap()))
        .put("joiningCurrent_A", JsonReport.figure(j.current()))
        .put("allowedGap_V", JsonReport.figure(j.allowedGap()))
        .put("served", run.served())
        .put("endTime_s", JsonReport.figure(run.both().endTime()))
        .put("first_Ah", JsonReport.figure(run.first().charge()))
        .put("second_Ah", JsonReport.figure(run.second().charge()))
        .put("pushedIntoFirst_A", JsonReport.figure(run.first().back()))
        .put("pushedIntoSecond_A", JsonReport.figure(run.second().back()));
  }
}
