package hammerman.cli;

import hammerman.chain.SagPoint;
import hammerman.finding.Finding;
import hammerman.forecast.Ensemble;
import hammerman.forecast.EveryCell;
import hammerman.forecast.Forecast;
import hammerman.forecast.Spread;
import hammerman.forecast.Thermal;
import hammerman.life.LifeForecast;
import hammerman.pack.Pack;
import hammerman.project.Project;
import hammerman.project.Shipped;
import hammerman.remedy.Remedy;
import hammerman.search.Search;
import hammerman.simulation.CellTrace;
import hammerman.simulation.Day;
import hammerman.simulation.Recovery;
import hammerman.simulation.Run;
import hammerman.unit.Unit;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** A forecast as JSON; the keys are a public contract. */
final class JsonReport {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  /** Packs drawn for the bands; enough for their first two digits. */
  private static final int DRAWN = 60;

  private JsonReport() {}

  static String full(Project project, Forecast f) {
    ObjectNode root = NODES.objectNode();
    root.set("pack", pack(f.design().pack()));
    root.set("duty", duty(f.duty()));
    Optional<EveryCell> inPlace = EveryCell.of(f);
    root.set("days", days(inPlace.map(EveryCell::days).orElse(f.days())));
    root.set("cells", inPlace.<JsonNode>map(JsonReport::cells).orElse(NODES.nullNode()));
    root.set("untilEnd", untilEnd(f));
    root.set("sag", sag(f));
    root.set("thermal", thermal(f));
    root.set("charge", charge(f));
    root.set("life", life(f.life()));
    int drawn = Math.min(DRAWN, Ensemble.enough(f));
    if (drawn > 0) {
      root.set("spread", spread(f, Spread.of(Ensemble.NONE.grown(f, drawn))));
    } else {
      root.putNull("spread");
    }
    root.set("judgements", list(project, f));
    return text(root);
  }

  static String check(Project project, Forecast f) {
    ObjectNode root = NODES.objectNode();
    ArrayNode found = list(project, f);
    for (int k = 0; k < found.size(); k++) {
      ((ObjectNode) found.get(k)).set("remedies", remedies(f, f.judgements().get(k)));
    }
    root.set("judgements", found);
    root.set("guard", GuardReport.of(f));
    return text(root);
  }

  static String plan(Search search, int top) {
    ArrayNode list = NODES.arrayNode();
    search.candidates().stream()
        .limit(top)
        .forEach(
            c ->
                list.add(
                    NODES
                        .objectNode()
                        .put("cell", c.design().pack().cell().id())
                        .put("series", c.design().pack().series())
                        .put("parallel", c.design().pack().parallel())
                        .put(
                            "energy_Wh",
                            figure(Unit.WATT_HOUR.fromCore(c.design().pack().energy())))
                        .put("mass_kg", figure(c.mass()))
                        .put("cost", figure(c.cost()))
                        .put("years", figure(c.years()))
                        .put("margin", figure(c.margin()))
                        .put(
                            "peakTemperature_C", figure(Unit.CELSIUS.fromCore(c.peakTemperature())))
                        .put("score", figure(c.score()))
                        .put("best", c.best())));
    ObjectNode root = NODES.objectNode();
    root.put("tried", search.tried()).put("serving", search.candidates().size());
    root.set("candidates", list);
    return text(root);
  }

  private static String text(Object node) {
    return JsonMapper.builder().build().writerWithDefaultPrettyPrinter().writeValueAsString(node);
  }

  private static ObjectNode pack(Pack p) {
    return NODES
        .objectNode()
        .put("series", p.series())
        .put("parallel", p.parallel())
        .put("cells", p.cells())
        .put("nominalVoltage_V", figure(p.nominalVoltage()))
        .put("fullVoltage_V", figure(p.fullVoltage()))
        .put("cutoffVoltage_V", figure(p.cutOffVoltage()))
        .put("capacity_Ah", figure(p.capacity()))
        .put("energy_Wh", figure(Unit.WATT_HOUR.fromCore(p.energy())))
        .put("mass_kg", figure(p.mass()))
        .put("cost", figure(p.cost()));
  }

  private static ObjectNode duty(Run run) {
    ObjectNode node =
        NODES
            .objectNode()
            .put("endReason", run.outcome().key())
            .put("endTime_s", figure(run.endTime()))
            .put("delivered_Ah", figure(run.totals().delivered()))
            .put("delivered_Wh", figure(Unit.WATT_HOUR.fromCore(run.totals().energyOut())))
            .put("regenerated_Wh", figure(Unit.WATT_HOUR.fromCore(run.totals().energyBack())))
            .put("heat_Wh", figure(Unit.WATT_HOUR.fromCore(run.totals().heat())))
            .put("lowestVoltage_V", figure(run.extremes().lowestVoltage()))
            .put("peakCurrent_A", figure(run.extremes().peakCurrent()))
            .put(
                "peakTemperature_C",
                figure(Unit.CELSIUS.fromCore(run.extremes().peakTemperature())))
            .put("endSoc", figure(run.endSoc()));
    return run.totals().distance() > 0
        ? node.put("distance_km", figure(Unit.KILOMETRE.fromCore(run.totals().distance())))
        : node.putNull("distance_km");
  }

  private static ArrayNode days(List<Day> days) {
    ArrayNode list = NODES.arrayNode();
    for (Day d : days) {
      Run run = d.run();
      list.add(
          NODES
              .objectNode()
              .put("day", d.kind().key())
              .put("air_C", figure(Unit.CELSIUS.fromCore(d.air())))
              .put("served", d.served())
              .put("left", figure(d.left()))
              .put("endReason", run.outcome().key())
              .put("endTime_s", figure(run.endTime()))
              .put("delivered_Wh", figure(Unit.WATT_HOUR.fromCore(run.totals().energyOut())))
              .put("withheld_Wh", figure(Unit.WATT_HOUR.fromCore(run.totals().withheld())))
              .put("refused_Wh", figure(Unit.WATT_HOUR.fromCore(run.totals().refused())))
              .put("lowestVoltage_V", figure(run.extremes().lowestVoltage()))
              .put(
                  "peakTemperature_C",
                  figure(Unit.CELSIUS.fromCore(run.extremes().peakTemperature())))
              .put("where", d.where().words())
              .set("recovery", d.recovery().map(JsonReport::recovery).orElse(null)));
    }
    return list;
  }

  private static ObjectNode recovery(Recovery of) {
    ObjectNode node = NODES.objectNode().put("how", of.key());
    return switch (of) {
      case Recovery.ByItself r ->
          node.put("rest_s", figure(r.rest()))
              .put("voltage_V", figure(r.voltage()))
              .put("more_s", figure(r.more()))
              .put("finishes", r.finishes());
      case Recovery.StaysOff r -> node;
    };
  }

  /** What each group and cell goes through on each day. */
  private static ArrayNode cells(EveryCell inPlace) {
    ArrayNode list = NODES.arrayNode();
    for (Day d : inPlace.days()) {
      CellTrace c = d.run().cells().orElseThrow();
      ObjectNode node = NODES.objectNode().put("day", d.kind().key());
      node.set(
          "hottest",
          extreme(c.hottest())
              .put("temperature_C", figure(Unit.CELSIUS.fromCore(c.hottest().value()))));
      node.set("lowest", extreme(c.lowest()).put("voltage_V", figure(c.lowest().value())));
      list.add(
          node.put("groupsApart_V", figure(c.apart())).put("chargeApart", figure(c.socApart())));
    }
    return list;
  }

  /** Groups are counted from 1 at the negative end, cells from 1 within their group. */
  private static ObjectNode extreme(CellTrace.Extreme e) {
    return NODES
        .objectNode()
        .put("group", e.place().group() + 1)
        .put("cell", e.place().cell() + 1)
        .put("time_s", figure(e.time()));
  }

  private static ObjectNode spread(Forecast f, Spread s) {
    ObjectNode node = NODES.objectNode().put("members", s.members());
    node.set("endTime_s", band(s.time(), Unit.SECOND));
    node.set("sag_V", band(s.sag(), Unit.VOLT));
    node.set("peakTemperature_C", band(s.hottest(), Unit.CELSIUS));
    node.set("years", band(s.years(), Unit.ONE));
    if (f.range() > 0) {
      node.set("range_km", band(s.distance(), Unit.KILOMETRE));
    } else {
      node.putNull("range_km");
    }
    ArrayNode causes = NODES.arrayNode();
    for (Spread.Cause c : s.causes()) {
      causes.add(
          NODES
              .objectNode()
              .put("cause", c.what().name().toLowerCase(Locale.ROOT))
              .put("share", figure(c.share())));
    }
    node.set("causes", causes);
    return node;
  }

  private static ObjectNode band(Spread.Band b, Unit unit) {
    return NODES
        .objectNode()
        .put("low", figure(unit.fromCore(b.low())))
        .put("middle", figure(unit.fromCore(b.middle())))
        .put("high", figure(unit.fromCore(b.high())));
  }

  /** How far the duty's load goes on until the pack ends it, on three days. */
  private static ObjectNode untilEnd(Forecast f) {
    ObjectNode node = NODES.objectNode();
    node.set("typical", end(f.reach().typical()));
    node.set("hottest", end(f.onward()));
    node.set("coldest", end(f.reach().coldest()));
    return node;
  }

  private static ObjectNode end(Run run) {
    ObjectNode node =
        NODES
            .objectNode()
            .put("endReason", run.outcome().complete() ? "goesOn" : run.outcome().key())
            .put("endTime_s", figure(run.endTime()));
    return run.totals().distance() > 0
        ? node.put("range_km", figure(Unit.KILOMETRE.fromCore(run.totals().distance())))
        : node.putNull("range_km");
  }

  private static ArrayNode sag(Forecast f) {
    ArrayNode list = NODES.arrayNode();
    for (SagPoint p : f.chain().sag()) {
      list.add(
          NODES
              .objectNode()
              .put("soc", figure(p.soc()))
              .put("current_A", figure(p.current()))
              .put("ohmic_V", figure(p.ohmic()))
              .put("tenSecond_V", figure(p.tenSeconds()))
              .put("settled_V", figure(p.settled())));
    }
    return list;
  }

  private static ObjectNode thermal(Forecast f) {
    ObjectNode node =
        NODES
            .objectNode()
            .put(
                "settled_C",
                f.thermal().settled() > Thermal.TOLD
                    ? null
                    : figure(Unit.CELSIUS.fromCore(f.thermal().settled())));
    f.thermal()
        .map()
        .ifPresentOrElse(
            m ->
                node.put("hottestCell_C", figure(Unit.CELSIUS.fromCore(m.hottest())))
                    .put("hottestCellTime_s", figure(m.hottestTime()))
                    .put("spread_K", figure(m.spread())),
            () -> node.putNull("hottestCell_C"));
    OptionalDouble limit = f.thermal().timeToLimit();
    return limit.isPresent()
        ? node.put("timeToLimit_s", figure(limit.getAsDouble()))
        : node.putNull("timeToLimit_s");
  }

  private static ObjectNode charge(Forecast f) {
    return NODES
        .objectNode()
        .put("time_s", figure(f.charge().time()))
        .put("energy_Wh", figure(Unit.WATT_HOUR.fromCore(f.charge().energy())))
        .put("charge_Ah", figure(f.charge().charge()))
        .put("air_C", figure(Unit.CELSIUS.fromCore(f.chain().chargingAir())))
        .put("usualTime_s", figure(f.usualCharge().time()));
  }

  private static ObjectNode life(LifeForecast life) {
    return NODES
        .objectNode()
        .put("years", figure(life.years()))
        .put("equivalentFullCycles", figure(life.equivalentFullCycles()))
        .put("calendarShare", figure(life.calendarShare()))
        .put("yearsLow", figure(life.yearsLow()))
        .put("yearsHigh", figure(life.yearsHigh()))
        .put("limitedBy", life.limit().name().toLowerCase(Locale.ROOT))
        .put("indicative", life.indicative())
        .put("extrapolated", life.extrapolated())
        .put(
            "resistanceGrowth",
            life.resistanceGrowth().isPresent()
                ? figure(life.resistanceGrowth().getAsDouble())
                : null);
  }

  private static ArrayNode list(Project project, Forecast f) {
    ArrayNode list = NODES.arrayNode();
    for (Finding j : f.judgements()) {
      ObjectNode node =
          NODES
              .objectNode()
              .put("id", j.id())
              .put("severity", j.severity().name().toLowerCase(Locale.ROOT))
              .put("title", j.title())
              .put("why", j.why())
              .put("fix", j.fix())
              .put("station", j.station().label())
              .put("subject", j.subject())
              .put("quantity", j.measure().quantity())
              .put("state", j.state())
              .put("source", j.source());
      Finding.Measure m = j.measure();
      measured(node, m.value(), m.limit(), m.atLeast(), m.unit());
      if (!j.caution().isEmpty()) {
        node.put("caution", j.caution());
      }
      project.variant().reasonFor(j.id()).ifPresent(r -> node.put("acknowledged", r));
      list.add(node);
    }
    return list;
  }

  private static ArrayNode remedies(Forecast f, Finding finding) {
    ArrayNode list = NODES.arrayNode();
    for (Remedy r : Remedy.of(f, finding, Shipped.parts())) {
      list.add(NODES.objectNode().put("do", r.what()).put("effect", r.effect()));
    }
    return list;
  }

  /** Puts a value and its limit, in the unit they are shown in; null for what is never reached. */
  static void measured(ObjectNode node, double value, double limit, boolean atLeast, Unit unit) {
    if (Double.isFinite(value)) {
      node.put("value", figure(unit.fromCore(value)));
    } else {
      node.putNull("value");
    }
    node.put("limit", figure(unit.fromCore(limit)))
        .put("limitIs", atLeast ? "least" : "most")
        .put("unit", unit.symbol());
  }

  /**
   * Six significant digits: more than any model here can promise, few enough to read. A figure that
   * there is not, such as the sag of a pack that cannot deliver, is null.
   */
  static @Nullable BigDecimal figure(double value) {
    if (!Double.isFinite(value)) {
      return null;
    }
    BigDecimal rounded = new BigDecimal(value).round(new MathContext(6)).stripTrailingZeros();
    return rounded.scale() < 0 ? rounded.setScale(0) : rounded;
  }
}
