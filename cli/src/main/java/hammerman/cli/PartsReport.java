package hammerman.cli;

import hammerman.build.PartItem;
import hammerman.build.PartsList;
import hammerman.record.PartRecord;
import hammerman.unit.Currency;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.Map;
import java.util.stream.Collectors;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The parts list as text and as JSON; the keys are a public contract. */
final class PartsReport {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private PartsReport() {}

  static String json(PartsList parts, Map<String, PartRecord> known) {
    ObjectNode root = NODES.objectNode();
    ArrayNode list = root.putArray("parts");
    for (PartItem p : parts.items()) {
      ObjectNode node =
          list.addObject()
              .put("key", p.key())
              .put("kind", p.kind().label())
              .put("name", p.name())
              .put("quantity", JsonReport.figure(p.quantity()))
              .put("spare", JsonReport.figure(p.spare()))
              .put("unit", p.unit());
      if (p.price() == null) {
        node.putNull("priceEach").putNull("price");
      } else {
        node.put("priceEach", JsonReport.figure(p.price()))
            .put("price", JsonReport.figure(p.cost()));
      }
      node.put("mass_kg", JsonReport.figure(p.built()))
          .put("neededFor", p.needed().key())
          .put("have", have(p, known).word());
    }
    root.putObject("totals")
        .put("price", JsonReport.figure(parts.price()))
        .put("unpriced", parts.unpriced().size())
        .put("mass_kg", JsonReport.figure(parts.mass()))
        .put("takenOut_kg", JsonReport.figure(parts.takenOut()))
        .put("netMass_kg", JsonReport.figure(parts.netMass()));
    return JsonMapper.shared().writerWithDefaultPrettyPrinter().writeValueAsString(root);
  }

  private static PartRecord.Have have(PartItem p, Map<String, PartRecord> known) {
    PartRecord r = known.get(p.key());
    return r == null ? PartRecord.Have.MISSING : r.have();
  }

  static String text(PartsList parts, Map<String, PartRecord> known, Currency prices) {
    StringBuilder out = new StringBuilder();
    PartItem.Kind kind = null;
    for (PartItem p : parts.items()) {
      if (p.kind() != kind) {
        kind = p.kind();
        out.append(kind.label()).append('\n');
      }
      out.append(
          "  %13s  %-8s %9s  %s%n"
              .formatted(
                  p.toBuyWords(),
                  have(p, known).word(),
                  p.price() == null ? "" : Figures.fixed(p.cost(), 2),
                  p.name()));
    }
    out.append(
        "In all %s; %s built in%s.%n"
            .formatted(
                prices.money(parts.price(), 2),
                Figures.of(parts.mass(), Unit.KILOGRAM),
                parts.takenOut() > 0
                    ? ", %s taken out, a change of %s"
                        .formatted(
                            Figures.of(parts.takenOut(), Unit.KILOGRAM),
                            Figures.of(parts.netMass(), Unit.KILOGRAM))
                    : ""));
    String without =
        parts.unpriced().stream().map(PartItem::name).collect(Collectors.joining(", "));
    return out.append(without.isEmpty() ? "" : "Without a price: " + without + ".").toString();
  }
}
