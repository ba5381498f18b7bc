package hammerman.forecast;

import static hammerman.forecast.Inputs.CIRCUIT_RANGE;
import static hammerman.forecast.Inputs.CIRCUIT_SOURCE;
import static hammerman.forecast.Inputs.JUNCTION_FORMULA;
import static hammerman.forecast.Inputs.RUN_FORMULA;
import static hammerman.forecast.Inputs.capacity;
import static hammerman.forecast.Inputs.cell;
import static hammerman.forecast.Inputs.computed;
import static hammerman.forecast.Inputs.model;
import static hammerman.forecast.Inputs.pack;
import static hammerman.forecast.Inputs.series;
import static hammerman.forecast.Inputs.startCharge;
import static hammerman.forecast.Inputs.yours;

import hammerman.finding.Derivation;
import hammerman.guard.ChargePlan;
import hammerman.heat.HeatMap;
import hammerman.life.LifeForecast;
import hammerman.pack.Pack;
import hammerman.simulation.Day;
import hammerman.simulation.Run;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;

/**
 * The workings of figures that come out of runs through time: times, temperatures, charge, life.
 */
final class RunWorkings {
  private RunWorkings() {}

  static String otherDays(Headline headline, Forecast f) {
    boolean cold = f.reach().coldest().endTime() <= f.onward().endTime();
    Run worst = cold ? f.reach().coldest() : f.onward();
    String when = cold ? " coldest" : " hottest";
    return switch (headline) {
      case RUN_TIME -> Reach.time(worst) + when;
      case RANGE -> Reach.way(worst) + when;
      case PEAK_TEMPERATURE ->
          f.days().stream()
                  .filter(d -> d.kind() == Day.Kind.TYPICAL)
                  .map(d -> Figures.of(d.run().extremes().peakTemperature(), Unit.CELSIUS, 0))
                  .findFirst()
                  .orElse("–")
              + " typical";
      case CHARGE_TIME -> Figures.duration(f.usualCharge().time()) + " typical";
      case SAG -> "coldest day";
      case SETTLED_TEMPERATURE -> "hottest day";
      case LIFE ->
          f.life().years() >= LifeForecast.HORIZON
              ? "no end in sight"
              : "middle " + Answer.LIFE.shown(Answer.LIFE.of(f));
      default -> "";
    };
  }

  static Derivation dutyTime(Forecast f) {
    return run("Time served", Figures.duration(f.duty().endTime()), f, f.duty(), hottest(f));
  }

  static Derivation runTime(Forecast f) {
    Run run = f.reach().typical();
    return run("Time until the pack ends", Reach.time(run), f, run, typical(f));
  }

  static Derivation range(Forecast f) {
    Run run = f.reach().typical();
    return run("Distance until the pack ends", Reach.way(run), f, run, typical(f));
  }

  static Derivation peakTemperature(Forecast f) {
    String title = "Highest cell temperature in the duty";
    return f.thermal()
        .map()
        .map(m -> hottestCell(title, m, f))
        .orElseGet(
            () ->
                run(
                    title,
                    Figures.of(f.own().extremes().peakTemperature(), Unit.CELSIUS, 0),
                    f,
                    f.own(),
                    hottest(f)));
  }

  private static double hottest(Forecast f) {
    return f.design().duty().surroundings().hottestInUse();
  }

  private static double typical(Forecast f) {
    var air = f.design().duty().surroundings();
    return 0.5 * (air.coldestInUse() + air.hottestInUse());
  }

  private static Derivation hottestCell(String title, HeatMap map, Forecast f) {
    return new Derivation(
        title,
        Figures.of(map.hottest(), Unit.CELSIUS, 0),
        "C dT_k/dt = I_k² R + heat of strips + Σ G_kj (T_j − T_k) + G_k (T_box − T_k)",
        List.of(
            computed("k", "when it is hottest", Figures.duration(map.hottestTime())),
            computed(
                "T_mean",
                "highest of the pack as one lump",
                Figures.of(f.own().extremes().peakTemperature(), Unit.CELSIUS, 0)),
            computed("ΔT", "most between two cells", Figures.of(map.spread(), Unit.KELVIN, 1)),
            yours(
                "T_air",
                "hottest in use",
                Figures.of(f.design().duty().surroundings().hottestInUse(), Unit.CELSIUS, 0)),
            shed(f),
            computed(
                "check",
                "heat balance error",
                Figures.fixed(Math.abs(map.imbalance()) * 100, 4) + " %")),
        "heat balance of each cell of the layout; contacts and heat transfer typical",
        CIRCUIT_RANGE + "; no heat from box to box",
        map.hottest() > 353.15);
  }

  private static Derivation.Input shed(Forecast f) {
    return computed(
        "G",
        f.chain().path().assembly().known()
            ? "heat shed by the layout"
            : "heat shed by a plain box (estimate)",
        Figures.number(f.thermal().conductance()) + " W/K");
  }

  /** A figure read off a simulated run. */
  private static Derivation run(String title, String result, Forecast f, Run run, double air) {
    Pack p = pack(f);
    return new Derivation(
        title,
        result,
        f.pair().isPresent() ? RUN_FORMULA + ";  " + JUNCTION_FORMULA : RUN_FORMULA,
        List.of(
            startCharge(f),
            capacity(f),
            model(
                "1 − z_least",
                "share that this air lets out",
                Figures.of(f.chain().path().circuit().reachable(air), Unit.PERCENT, 0)),
            model("R0, v1, v2", "shares of R10, and times", "0.70; 0.596, 15 s; 0.30, 300 s"),
            cell("R10", "cell resistance", cell(f).r10(), Unit.MILLIOHM),
            yours(
                "T_air",
                air == hottest(f) ? "hottest in use" : "middle of those in use",
                Figures.of(air, Unit.CELSIUS, 0)),
            computed(
                "C",
                "heat capacity of the cells",
                Figures.number(p.heatCapacity() / 1e3) + " kJ/K"),
            shed(f),
            computed(
                "check",
                "energy balance error",
                Figures.fixed(Math.abs(run.totals().imbalance()) * 100, 4) + " %")),
        CIRCUIT_SOURCE,
        CIRCUIT_RANGE + "; one thermal lump" + (f.pair().isPresent() ? " each" : ""),
        air > 353.15);
  }

  static Derivation settledTemperature(Forecast f) {
    return new Derivation(
        "Settled temperature at the continuous current",
        f.thermal().settled() > Thermal.TOLD
            ? "above " + Figures.of(Thermal.TOLD, Unit.CELSIUS, 0)
            : Figures.of(f.thermal().settled(), Unit.CELSIUS, 0),
        "G (T − T_air) = I² (S/P · R_settled(T) + R_strips(T))",
        List.of(
            computed(
                "I",
                "continuous current",
                Figures.of(f.chain().demand().continuous(), Unit.AMPERE)),
            shed(f),
            yours(
                "T_air",
                "hottest in use",
                Figures.of(f.design().duty().surroundings().hottestInUse(), Unit.CELSIUS, 0))),
        "lumped heat balance; heat transfer of the box typical",
        "one thermal lump"
            + (f.chain().path().assembly().known()
                ? ""
                : ", plain box of one layer around the cells")
            + "; held for hours",
        f.thermal().settled() > Thermal.TOLD);
  }

  static Derivation chargeTime(Forecast f) {
    var plan = f.design().guard().charge();
    return new Derivation(
        "Charge time",
        Figures.duration(f.charge().time()),
        "I = min( I_charger , (V_set − V_inner) / R ) until I < 5 % of I_charger",
        List.of(
            yours("I_charger", "charger current", Figures.exact(plan.current(), Unit.AMPERE)),
            yours("V_set", "charge voltage", Figures.exact(plan.voltage(), Unit.VOLT)),
            computed("z0", "charge at the start", Figures.of(f.own().endSoc(), Unit.PERCENT, 0)),
            computed(
                "CC",
                "time at constant current",
                Figures.duration(f.charge().constantCurrentTime())),
            model("end", "taper that ends it", Figures.of(ChargePlan.TAPER_END, Unit.PERCENT))),
        CIRCUIT_SOURCE,
        "cells all alike; balancing not included",
        false);
  }

  static Derivation chargeCeiling(Forecast f) {
    return new Derivation(
        "Charge ceiling",
        Figures.of(f.chain().ceiling(), Unit.PERCENT, 0),
        "z = OCV⁻¹( V_set / S − I_end (R_settled / P + R_outer / S) )",
        List.of(
            yours(
                "V_set",
                "charge voltage",
                Figures.exact(f.design().guard().charge().voltage(), Unit.VOLT)),
            series(pack(f)),
            computed(
                "V_set / S",
                "per cell",
                Figures.of(f.design().chargeVoltagePerCell(), Unit.VOLT, 3)),
            model(
                "I_end",
                "current at which the charger ends",
                Figures.of(
                    ChargePlan.TAPER_END * f.design().guard().charge().current(), Unit.AMPERE)),
            yours(
                "T",
                "charging, for the resistances",
                Figures.of(f.chain().chargingAir(), Unit.CELSIUS, 0))),
        "rested voltage curve typical for " + cell(f).chemistry().label(),
        "at the end of the taper, cells settled",
        false);
  }

  static Derivation life(Forecast f) {
    LifeForecast life = f.life();
    var cycling = life.conditions().cycling();
    var storage = life.conditions().rests().get(1);
    return new Derivation(
        "Life to " + Figures.of(life.endOfLife(), Unit.PERCENT, 0) + " of the capacity",
        years(life),
        "loss = calendar(V, T) · t^n + cycles(V, DOD) · Q^m, band ± 30 % of the loss",
        List.of(
            computed(
                "DOD", "share of capacity each time", Figures.of(cycling.depth(), Unit.PERCENT, 0)),
            computed(
                "V_mean",
                "mean cell voltage in use",
                Figures.of(cycling.meanVoltage(), Unit.VOLT, 2)),
            computed(
                "T_use",
                "mean temperature in use and in charge",
                Figures.of(cycling.temperature(), Unit.CELSIUS, 0)),
            yours(
                "n_cyc",
                "duties",
                Figures.number(Unit.PER_WEEK.fromCore(f.design().duty().habits().meanCycles()))
                    + " per week, over the whole year"),
            yours("z_store", "stored at", Figures.of(storage.soc(), Unit.PERCENT, 0)),
            yours(
                "T_store",
                "storage, half the time at each",
                Figures.fixed(Unit.CELSIUS.fromCore(storage.temperature()), 0)
                    + " and "
                    + Figures.of(life.conditions().rests().get(2).temperature(), Unit.CELSIUS, 0)),
            computed(
                "calendar", "share of the loss", Figures.of(life.calendarShare(), Unit.PERCENT, 0)),
            computed("EFC", "equivalent full cycles", Figures.number(life.equivalentFullCycles())),
            computed(
                "R",
                "growth of the resistance",
                life.resistanceGrowth().isPresent()
                    ? Figures.of(life.resistanceGrowth().getAsDouble(), Unit.PERCENT, 0)
                    : "not known for this chemistry")),
        life.source(),
        life.validity(),
        life.extrapolated());
  }

  /** Returns the life as shown: a band in years. */
  static String years(LifeForecast life) {
    if (life.yearsLow() >= LifeForecast.HORIZON) {
      return "over " + Figures.number(LifeForecast.HORIZON) + " years";
    }
    String high =
        life.yearsHigh() >= LifeForecast.HORIZON
            ? "over " + Figures.fixed(LifeForecast.HORIZON, 0)
            : Figures.fixed(life.yearsHigh(), life.yearsHigh() < 10 ? 1 : 0);
    return Figures.fixed(life.yearsLow(), life.yearsHigh() < 10 ? 1 : 0) + " to " + high + " years";
  }
}
