package hammerman.cli;

import hammerman.prove.Calibration;
import hammerman.prove.Calibration.Scale;
import hammerman.prove.Replay;
import hammerman.prove.RunFigures;
import hammerman.simulation.Run;
import hammerman.telemetry.Telemetry;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.math.BigDecimal;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** A run that was read, as text and as JSON; the keys are a public contract. */
final class RunReport {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private RunReport() {}

  static String json(Telemetry log, RunFigures f, Replay replay, Optional<Calibration> fit) {
    ObjectNode root = NODES.objectNode();
    ObjectNode figures =
        root.putObject("figures")
            .put("rows", log.size())
            .put("skipped", log.skipped())
            .put("duration_s", JsonReport.figure(f.duration()))
            .put("charge_Ah", JsonReport.figure(f.charge()))
            .put("regenerated_Ah", JsonReport.figure(f.regenerated()))
            .put("energy_Wh", wattHours(f.energy()))
            .put("regenerated_Wh", wattHours(f.energyBack()))
            .put("peakCurrent_A", JsonReport.figure(f.peakCurrent()))
            .put("peakPower_W", JsonReport.figure(f.peakPower()))
            .put("firstVoltage_V", JsonReport.figure(f.firstVoltage()))
            .put("lowestVoltage_V", JsonReport.figure(f.lowestVoltage()))
            .put("lastVoltage_V", JsonReport.figure(f.lastVoltage()))
            .put("hottest_C", JsonReport.figure(Unit.CELSIUS.fromCore(f.hottest())))
            .put("distance_km", f.distance() > 0 ? JsonReport.figure(f.distance() / 1000) : null)
            .put(
                "energyPerDistance_Wh_per_km",
                JsonReport.figure(
                    Unit.WATT_HOUR_PER_KILOMETRE.fromCore(f.perDistance().orElse(Double.NaN))));
    figures.set("resistance_mOhm", resistance(f));
    Run run = replay.run();
    root.putObject("forecast")
        .put("startSoc", JsonReport.figure(replay.startSoc()))
        .put("fromRest", replay.fromRest())
        .put("air_C", JsonReport.figure(Unit.CELSIUS.fromCore(replay.air())))
        .put("endSoc", JsonReport.figure(run.endSoc()))
        .put("endTime_s", JsonReport.figure(run.endTime()))
        .put("charge_Ah", JsonReport.figure(run.totals().delivered()))
        .put("energy_Wh", wattHours(run.totals().energyOut()))
        .put("lowestVoltage_V", JsonReport.figure(run.extremes().lowestVoltage()))
        .put("rms_V", JsonReport.figure(replay.rms(run)));
    fit.ifPresentOrElse(c -> root.set("fit", fit(c)), () -> root.putNull("fit"));
    return JsonMapper.shared().writerWithDefaultPrettyPrinter().writeValueAsString(root);
  }

  private static @Nullable BigDecimal wattHours(double joules) {
    return JsonReport.figure(Unit.WATT_HOUR.fromCore(joules));
  }

  private static ObjectNode resistance(RunFigures f) {
    return NODES
        .objectNode()
        .put("value", JsonReport.figure(1000 * f.resistance()))
        .put("error", JsonReport.figure(1000 * f.resistanceError()));
  }

  private static ObjectNode fit(Calibration c) {
    ObjectNode node = NODES.objectNode();
    node.set("resistanceScale", scale(c.resistance()));
    node.set("capacityScale", scale(c.capacity()));
    node.put("startSoc", JsonReport.figure(c.startSoc()))
        .put("rms_V", JsonReport.figure(c.rms()))
        .put("unscaledRms_V", JsonReport.figure(c.before()))
        .put("samples", c.samples())
        .put("used", JsonReport.figure(c.used()));
    ArrayNode open = node.putArray("notTold");
    c.notTold().forEach(open::add);
    return node;
  }

  private static ObjectNode scale(Scale s) {
    return NODES
        .objectNode()
        .put("value", JsonReport.figure(s.value()))
        .put("error", JsonReport.figure(s.error()))
        .put("low", JsonReport.figure(s.low()))
        .put("high", JsonReport.figure(s.high()));
  }

  static String text(Telemetry log, RunFigures f, Replay replay, Optional<Calibration> fit) {
    StringBuilder out = new StringBuilder();
    out.append(
        "Log       %d rows over %s, %d passed over%n"
            .formatted(log.size(), Figures.duration(f.duration()), log.skipped()));
    line(
        out,
        "Out",
        Figures.of(f.charge(), Unit.AMPERE_HOUR) + ", " + Figures.of(f.energy(), Unit.WATT_HOUR));
    if (f.regenerated() > 0) {
      line(out, "Back", Figures.of(f.regenerated(), Unit.AMPERE_HOUR));
    }
    line(
        out,
        "Peak",
        Figures.of(f.peakCurrent(), Unit.AMPERE) + ", " + Figures.of(f.peakPower(), Unit.WATT));
    line(out, "Lowest", Figures.of(f.lowestVoltage(), Unit.VOLT, 2));
    if (!Double.isNaN(f.resistance())) {
      line(
          out,
          "Pack",
          "%s ± %s within seconds"
              .formatted(
                  Figures.of(f.resistance(), Unit.MILLIOHM),
                  Figures.of(f.resistanceError(), Unit.MILLIOHM)));
    }
    f.perDistance()
        .ifPresent(
            e ->
                line(
                    out,
                    "Way",
                    Figures.distance(f.distance())
                        + ", "
                        + Figures.of(e, Unit.WATT_HOUR_PER_KILOMETRE)));
    Run run = replay.run();
    line(
        out,
        "Forecast",
        "of the same load from %s charge: lowest %s, %s out; %s apart (rms)"
            .formatted(
                Figures.of(replay.startSoc(), Unit.PERCENT, 0),
                Figures.of(run.extremes().lowestVoltage(), Unit.VOLT, 2),
                Figures.of(run.totals().energyOut(), Unit.WATT_HOUR),
                Figures.of(replay.rms(run), Unit.VOLT, 2)));
    fit.ifPresentOrElse(
        c -> {
          line(out, "Fit", "resistance " + times(c.resistanceTold()) + ", 95 % certain");
          line(out, "", "capacity " + times(c.capacityTold()));
          line(out, "", "%s apart (rms)".formatted(Figures.of(c.rms(), Unit.VOLT, 2)));
          c.notTold().forEach(s -> line(out, "Mind", s));
        },
        () -> line(out, "Fit", "none: the log has no voltage, or too few rows"));
    return out.toString().stripTrailing();
  }

  private static String times(Optional<Scale> scale) {
    return scale.map(s -> "× " + s.words()).orElse("not told");
  }

  private static void line(StringBuilder out, String name, String words) {
    out.append("%-9s %s%n".formatted(name, words));
  }
}
