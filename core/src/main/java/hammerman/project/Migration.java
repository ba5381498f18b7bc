package hammerman.project;

import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;
import java.util.function.Consumer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Brings a document of an earlier format to the present one. */
final class Migration {
  /** Resistivity of copper at 20 °C, Ω mm²/m. */
  private static final double COPPER = 0.01724;

  /** Judgements that have another name now. */
  private static final Map<String, String> RENAMED =
      Map.ofEntries(
          Map.entry("voltage.aboveMachine", "machine.voltage"),
          Map.entry("voltage.cutsOutUnderLoad", "machine.floor"),
          Map.entry("voltage.noCutOff", "cell.low"),
          Map.entry("voltage.touch", "pack.touch"),
          Map.entry("cell.continuous", "cell.current"),
          Map.entry("cell.peak", "cell.current"),
          Map.entry("cell.peakTooLong", "cell.current"),
          Map.entry("strip.continuous", "strip.current"),
          Map.entry("fit.strip", "strip.current"),
          Map.entry("fit.peak", "strip.current"),
          Map.entry("bms.series", "bms.count"),
          Map.entry("bms.continuous", "bms.current"),
          Map.entry("bms.peak", "bms.trip"),
          Map.entry("bms.chargeBelowCharger", "bms.charge"),
          Map.entry("bms.chargeBelowRegeneration", "bms.brake"),
          Map.entry("bms.cutOffTooLow", "cell.low"),
          Map.entry("bms.mosfet", "bms.voltage"),
          Map.entry("bms.cutOffHigh", "bms.unused"),
          Map.entry("bms.overVoltage", "bms.overcharge"),
          Map.entry("charge.aboveFull", "cell.overcharge"),
          Map.entry("charge.farBelow", "cell.undercharge"),
          Map.entry("charge.cold", "cell.chargeCold"),
          Map.entry("charge.cellCurrent", "cell.charge"),
          Map.entry("charge.regeneration", "cell.brake"),
          Map.entry("charge.slow", "charger.time"),
          Map.entry("fuse.unprotected", "wire.overload"),
          Map.entry("fuse.interrupt", "fuse.short"),
          Map.entry("fuse.nuisance", "fuse.current"),
          Map.entry("fuse.cellSmall", "cellFuse.current"),
          Map.entry("fuse.cellLarge", "cellFuse.clears"),
          Map.entry("wire.continuous", "wire.current"),
          Map.entry("wire.peak", "wire.current"),
          Map.entry("wire.charge", "chargeLead.charge"),
          Map.entry("connector.continuous", "connector.current"),
          Map.entry("connector.peak", "connector.current"),
          Map.entry("switch.continuous", "switch.current"),
          Map.entry("precharge.current", "precharge.spark"),
          Map.entry("precharge.slow", "precharge.time"),
          Map.entry("second.gap", "junction.gap"),
          Map.entry("second.machine", "machine.voltage"),
          Map.entry("second.bms", "bms.voltage"),
          Map.entry("second.unequalFull", "junction.unequal"),
          Map.entry("second.seriesCapacity", "junction.capacity"));

  /** What brings a format to the next one, by the number of the format. */
  private static final NavigableMap<Integer, Consumer<ObjectNode>> STEPS =
      new TreeMap<>(Map.of(1, Migration::fromFirst, 2, Migration::fromSecond));

  private Migration() {}

  /** Brings a document of a format to the present one; each step is for its own format alone. */
  static void from(int version, ObjectNode document) {
    STEPS
        .tailMap(version, true)
        .forEach(
            (of, step) -> {
              step.accept(document);
              document.put("version", of + 1);
            });
  }

  /**
   * From format 1: strips had no overlay; a fit had one box and two choices of conductors.
   * Exchanges of cells by hand were counted from places that are numbered otherwise now, so they
   * go.
   */
  private static void fromFirst(ObjectNode document) {
    for (JsonNode variant : document.path("project").path("variants")) {
      if (variant.path("fit") instanceof ObjectNode fit && fit.has("container")) {
        fit(fit);
      }
    }
  }

  private static void fit(ObjectNode fit) {
    ArrayNode boxes = fit.putArray("boxes");
    boxes.add(fit.remove("container"));
    fit.put("style", "SHORT_LINKS");
    fit.put("joining", "TOUCHING");
    fit.putArray("locked");
    ObjectNode conductors = fit.putObject("conductors");
    conductors.set("takeOff", fit.remove("takeOff"));
    conductors.put("joint", "WELDED");
    ObjectNode link = conductors.putObject("link");
    link.put("material", "COPPER");
    link.put("thickness_mm", 1);
    link.put("width_mm", 10);
    link.put("layers", 1);
    conductors.putArray("special");
    fit.remove("swaps");
  }

  /**
   * From format 2: the charge lead stood in two places and had neither fuse nor plug; a second pack
   * had a resistance and a voltage in place of parts; what stands, waits and spreads was not asked.
   * What was not asked takes the value that is usual.
   */
  private static void fromSecond(ObjectNode document) {
    JsonNode project = document.path("project");
    if (project.path("duty").path("machine") instanceof ObjectNode machine) {
      machine.put("standingCurrent_mA", 0);
    }
    if (project.path("duty").path("surroundings") instanceof ObjectNode air) {
      double warmest =
          Math.max(
              air.path("coldestCharging_C").asDouble(0), air.path("hottestStored_C").asDouble(0));
      air.put("hottestCharging_C", warmest);
    }
    if (project.path("duty").path("habits") instanceof ObjectNode habits) {
      habits.put("longestRest_d", 60);
    }
    for (JsonNode variant : project.path("variants")) {
      variant(variant);
    }
  }

  private static void variant(JsonNode variant) {
    lot(variant.path("pack"));
    if (variant.path("guard") instanceof ObjectNode guard) {
      guard(guard);
      if (variant.path("second") instanceof ObjectNode second) {
        lot(second.path("pack"));
        second.set("guard", secondGuard(guard, second));
      }
    }
    for (JsonNode a : variant.path("acknowledged")) {
      if (a instanceof ObjectNode o) {
        String id = o.path("id").asString("");
        o.put("id", RENAMED.getOrDefault(id, id));
      }
    }
  }

  private static void lot(JsonNode pack) {
    if (pack instanceof ObjectNode p) {
      p.put("lot", p.path("cell").has("health") ? "UNKNOWN" : "ONE_BATCH");
    }
  }

  private static void guard(ObjectNode guard) {
    if (guard.path("protection").path("unit") instanceof ObjectNode bms) {
      bms.put("quiescentCurrent_mA", 0.2);
    }
    if (guard.path("charge") instanceof ObjectNode charge) {
      charge.put("kind", "LITHIUM");
      charge.put("tolerance_percent", 0.2);
    }
    if (guard.path("wiring") instanceof ObjectNode wiring) {
      ObjectNode port = guard.putObject("chargePort");
      if (wiring.has("chargeWire")) {
        port.set("wire", wiring.remove("chargeWire"));
      }
      if (wiring.path("leads") instanceof ObjectNode leads && leads.has("chargePort_m")) {
        port.set("length_m", leads.remove("chargePort_m"));
      }
      port.put("beforeFuse_m", 0.1);
    }
    String name = guard.path("mainSwitch").path("name").asString("");
    guard.put(
        "closing",
        guard.has("mainSwitch") ? name.startsWith("Contactor") ? "CONTACTOR" : "SWITCH" : "PLUG");
  }

  /** Parts like the first pack's, with the resistance and the voltage that the second had. */
  private static ObjectNode secondGuard(ObjectNode first, ObjectNode second) {
    ObjectNode guard = first.deepCopy();
    guard.putArray("locked");
    double path = second.path("pathResistance_mOhm").asDouble(0);
    double blocks = second.path("bmsVoltage_V").asDouble(0);
    second.remove("pathResistance_mOhm");
    second.remove("bmsVoltage_V");
    JsonNode cell = second.path("pack").path("cell");
    int series = second.path("pack").path("series").asInt(1);
    if (guard.path("charge") instanceof ObjectNode charge) {
      charge.put("voltage_V", series * cell.path("fullVoltage_V").asDouble(4.2));
    }
    if (blocks <= 0) {
      guard.putObject("protection").put("kind", "none");
    } else if (guard.path("protection").path("unit") instanceof ObjectNode bms) {
      bms.put("series", series);
      bms.put("mosfetVoltage_V", blocks);
      bms.put("cutOffVoltage_V", cell.path("cutOffVoltage_V").asDouble(2.5) + 0.3);
      bms.put("overVoltage_V", cell.path("fullVoltage_V").asDouble(4.2) + 0.05);
      bms.put("resistance_mOhm", Math.min(path, bms.path("resistance_mOhm").asDouble(0)));
      path -= bms.path("resistance_mOhm").asDouble(0);
    }
    JsonNode fuse = guard.path("fusing").path("fuse").path("rating_A");
    path -= fuse.isNumber() ? 100 / fuse.asDouble() : 0;
    if (guard.path("wiring").path("leads") instanceof ObjectNode leads) {
      double area = guard.path("wiring").path("wire").path("area_mm2").asDouble(4);
      double cut = 1 + guard.path("wiring").path("slack_percent").asDouble(0) / 100;
      double length = Math.clamp(path / 1000 * area / COPPER / cut, 0, 50);
      leads.put("packToFuse_m", Math.min(0.1, length));
      leads.put("fuseToSwitch_m", Math.max(0, length - 0.1));
      leads.put("switchToMachine_m", 0);
      leads.put("machineToBms_m", 0);
      leads.put("bmsToPack_m", 0);
    }
    guard.remove("mainSwitch");
    guard.remove("precharge");
    guard.put("closing", "PLUG");
    return guard;
  }
}
