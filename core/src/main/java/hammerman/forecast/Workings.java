package hammerman.forecast;

import hammerman.cell.CellType;
import hammerman.chain.Chain;
import hammerman.chain.Demand;
import hammerman.chain.Path;
import hammerman.finding.Derivation;
import hammerman.finding.Derivation.Input;
import hammerman.finding.Origin;
import hammerman.guard.ChargePlan;
import hammerman.guard.Fuse;
import hammerman.guard.FuseClass;
import hammerman.life.LifeForecast;
import hammerman.pack.Pack;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;

/** Shows how each headline figure of a forecast came about, with its inputs and source. */
public final class Workings {
  private static final String ALWAYS = "any pack";
  private static final String CIRCUIT_SOURCE =
      "equivalent circuit with two RC branches: G. Plett, Battery Management Systems vol. I (2015),"
          + " ch. 2; curves typical for the chemistry";
  private static final String CIRCUIT_RANGE =
      "−30 to 80 °C, cells all alike; reversible heat taken as zero (no dU/dT known)";

  private Workings() {}

  /** Returns the working of a figure. */
  public static Derivation of(Headline headline, Forecast f) {
    return switch (headline) {
      case NOMINAL_VOLTAGE -> nominalVoltage(f);
      case FULL_VOLTAGE -> fullVoltage(f);
      case CAPACITY -> capacity(f);
      case ENERGY -> energy(f);
      case MASS -> mass(f);
      case COST -> cost(f);
      case CONTINUOUS_CURRENT -> continuousCurrent(f);
      case CURRENT_PER_CELL -> currentPerCell(f);
      case SAG -> sag(f);
      case FUSE_WINDOW -> fuseWindow(f);
      case SHORT_CIRCUIT -> shortCircuit(f);
      case WIRE_AMPACITY -> wireAmpacity(f);
      case DUTY_TIME -> dutyTime(f);
      case RUN_TIME -> runTime(f);
      case RANGE -> range(f);
      case PEAK_TEMPERATURE -> peakTemperature(f);
      case SETTLED_TEMPERATURE -> settledTemperature(f);
      case CHARGE_TIME -> chargeTime(f);
      case CHARGE_CEILING -> chargeCeiling(f);
      case LIFE -> life(f);
    };
  }

  /** Returns the figure of a headline alone, as shown. */
  public static String figure(Headline headline, Forecast f) {
    return of(headline, f).result();
  }

  private static Derivation nominalVoltage(Forecast f) {
    Pack p = pack(f);
    return arithmetic(
        "Nominal voltage",
        Figures.of(p.nominalVoltage(), Unit.VOLT, 1),
        "V = S · V_cell",
        series(p),
        cell("V_cell", "nominal cell voltage", p.cell().nominalVoltage(), Unit.VOLT));
  }

  private static Derivation fullVoltage(Forecast f) {
    Pack p = pack(f);
    return arithmetic(
        "Full voltage",
        Figures.of(p.fullVoltage(), Unit.VOLT, 1),
        "V = S · V_full",
        series(p),
        cell("V_full", "full cell voltage", p.cell().fullVoltage(), Unit.VOLT));
  }

  private static Derivation capacity(Forecast f) {
    Pack p = pack(f);
    return arithmetic(
        "Rated capacity",
        Figures.of(p.capacity(), Unit.AMPERE_HOUR),
        "Q = P · Q_cell",
        parallel(p),
        cell("Q_cell", "rated cell capacity", p.cell().capacity(), Unit.AMPERE_HOUR));
  }

  private static Derivation energy(Forecast f) {
    Pack p = pack(f);
    return arithmetic(
        "Rated energy",
        Figures.of(p.energy(), Unit.WATT_HOUR),
        "E = V · Q",
        computed("V", "nominal voltage", Figures.of(p.nominalVoltage(), Unit.VOLT, 1)),
        computed("Q", "rated capacity", Figures.of(p.capacity(), Unit.AMPERE_HOUR)));
  }

  private static Derivation mass(Forecast f) {
    Pack p = pack(f);
    return new Derivation(
        "Mass",
        Figures.of(p.mass(), Unit.KILOGRAM),
        "m = S · P · m_cell · (1 + b)",
        List.of(
            series(p),
            parallel(p),
            cell("m_cell", "cell mass", p.cell().mass(), Unit.GRAM),
            model(
                "b", "strip, insulation, leads", Figures.of(Pack.BUILD_MASS_SHARE, Unit.PERCENT))),
        "build share typical for hand-built packs",
        "an estimate until the pack is fitted; BMS and outer box not included",
        false);
  }

  private static Derivation cost(Forecast f) {
    Pack p = pack(f);
    return arithmetic(
        "Price of the cells",
        Figures.fixed(p.cost(), 0),
        "c = S · P · c_cell",
        series(p),
        parallel(p),
        cell("c_cell", "price of one cell", p.cell().price(), Unit.MONEY));
  }

  private static Derivation continuousCurrent(Forecast f) {
    Chain c = f.chain();
    return new Derivation(
        "Continuous current",
        Figures.of(c.demand().continuous(), Unit.AMPERE),
        "I = √( max over 600 s of mean I² ),  I(P) = (E − √(E² − 4 R P)) / 2R",
        List.of(
            model("window", "what counts as continuous", Figures.duration(Demand.WINDOW)),
            computed(
                "E",
                "open-circuit voltage at half charge",
                Figures.of(c.path().openCircuit(Chain.MIDDLE), Unit.VOLT, 1)),
            computed(
                "R",
                "resistance to the machine, 10 s",
                Figures.of(coldResistance(c), Unit.MILLIOHM)),
            yours(
                "T",
                "coldest in use",
                Figures.of(f.design().duty().surroundings().coldestInUse(), Unit.CELSIUS, 0))),
        "quadratic of a source with resistance; window of the order of a cell's thermal time"
            + " constant",
        "powers turned into currents at half charge; regeneration heats as discharge does",
        false);
  }

  private static Derivation currentPerCell(Forecast f) {
    Pack p = pack(f);
    double peak = f.chain().demand().peak();
    return arithmetic(
        "Current per cell at the hardest moment",
        Figures.of(peak / p.parallel(), Unit.AMPERE),
        "I_cell = I / P",
        yours("I", f.design().duty().hardest().name(), Figures.of(peak, Unit.AMPERE)),
        parallel(p));
  }

  private static Derivation sag(Forecast f) {
    Chain c = f.chain();
    double cold = f.design().duty().surroundings().coldestInUse();
    var point = c.sag().get(2);
    return new Derivation(
        "Voltage at the hardest moment, 20 % charge",
        Figures.of(point.tenSeconds(), Unit.VOLT, 1),
        "V = S · OCV − I · (S/P · R10 · k_SOC · k_T + R_outside)",
        List.of(
            yours(
                "I", f.design().duty().hardest().name(), Figures.of(point.current(), Unit.AMPERE)),
            computed(
                "OCV",
                "cell at rest, 20 %",
                Figures.of(c.path().circuit().openCircuit(0.2), Unit.VOLT, 3)),
            cell("R10", "cell resistance, 10 s", cell(f).r10(), Unit.MILLIOHM),
            model("k_SOC", "at 20 % charge", Figures.fixed(c.path().circuit().socFactor(0.2), 2)),
            computed(
                "k_T",
                "at " + Figures.of(cold, Unit.CELSIUS, 0),
                Figures.fixed(c.path().circuit().temperatureFactor(cold), 2)),
            computed(
                "R_outside",
                "strips, BMS, fuse, leads, connectors",
                Figures.of(c.path().outside(cold), Unit.MILLIOHM))),
        CIRCUIT_SOURCE,
        CIRCUIT_RANGE,
        cold < 243.15);
  }

  private static Derivation fuseWindow(Forecast f) {
    Chain c = f.chain();
    Demand d = c.demand();
    return new Derivation(
        "Fuse window",
        c.fuseWindow().empty()
            ? "none"
            : Figures.number(c.fuseWindow().lower())
                + " to "
                + Figures.of(c.fuseWindow().upper(), Unit.AMPERE),
        "lower = max( I / 0.75 , I_h / m(2 t_h) ),  upper = wire ampacity",
        List.of(
            computed("I", "continuous current", Figures.of(d.continuous(), Unit.AMPERE)),
            yours("I_h", "hardest moment", Figures.of(d.peak(), Unit.AMPERE)),
            yours("t_h", "its length", Figures.duration(d.peakDuration())),
            model(
                "m",
                "multiple surely carried for 2 t_h",
                Figures.number(FuseClass.safeMultiple(Fuse.TIME_FACTOR * d.peakDuration()))),
            computed("wire", "ampacity", Figures.of(c.fuseWindow().upper(), Unit.AMPERE))),
        "opening times typical for the fast blade class; 75 % and the factor 2 are usual practice",
        "20 ms to 100 h",
        false);
  }

  private static Derivation shortCircuit(Forecast f) {
    Chain c = f.chain();
    double room = 298.15;
    return new Derivation(
        "Short-circuit current",
        Figures.of(c.shortCircuitCurrent(), Unit.KILOAMPERE),
        "I = V_full / (S/P · R0 + R_outside)",
        List.of(
            computed("V_full", "full voltage", Figures.of(pack(f).fullVoltage(), Unit.VOLT, 1)),
            computed(
                "R0",
                "cells, ohmic, full, 25 °C",
                Figures.of(c.path().cells(1, room, Path.Settling.OHMIC), Unit.MILLIOHM)),
            computed(
                "R_outside",
                "strips, BMS, fuse, leads",
                Figures.of(c.path().outside(room), Unit.MILLIOHM))),
        "Ohm's law; what the fuse must be able to break",
        "at the machine's end of the leads; nearer the pack it is higher",
        false);
  }

  private static Derivation wireAmpacity(Forecast f) {
    var wiring = f.design().guard().wiring();
    double hottest = f.design().duty().surroundings().hottestInUse();
    return new Derivation(
        "Ampacity of the main wire",
        Figures.of(wiring.ampacity(hottest), Unit.AMPERE),
        "I = √( h · perimeter · ΔT · A / ρ )",
        List.of(
            yours("A", "cross-section", Figures.of(wiring.area(), Unit.SQUARE_MILLIMETRE)),
            yours(
                "T_max", "insulation limit", Figures.of(wiring.insulationLimit(), Unit.CELSIUS, 0)),
            yours("T_air", "hottest in use", Figures.of(hottest, Unit.CELSIUS, 0)),
            model("h", "heat transfer in still air", "10 W/m²K")),
        "steady heat balance of a wire; insulation thickness typical for its size",
        "single wire in free air; bundled or covered wire carries less",
        false);
  }

  private static Derivation dutyTime(Forecast f) {
    return run("Time served", Figures.duration(f.duty().endTime()), f);
  }

  private static Derivation runTime(Forecast f) {
    return run("Time until the pack ends", Figures.duration(f.onward().endTime()), f);
  }

  private static Derivation range(Forecast f) {
    return run("Distance until the pack ends", Figures.of(f.range(), Unit.KILOMETRE), f);
  }

  private static Derivation peakTemperature(Forecast f) {
    return run(
        "Highest cell temperature in the duty",
        Figures.of(f.duty().extremes().peakTemperature(), Unit.CELSIUS, 0),
        f);
  }

  /** A figure read off a simulated run. */
  private static Derivation run(String title, String result, Forecast f) {
    Pack p = pack(f);
    double air = f.design().duty().surroundings().hottestInUse();
    return new Derivation(
        title,
        result,
        "dz/dt = −I / 3600 Q;  V = S (OCV − v1 − v2 − I R0 / P) − I R_outside;  C dT/dt = heat − h"
            + " A (T − T_air)",
        List.of(
            computed("z0", "charge at the start", Figures.of(f.chain().ceiling(), Unit.PERCENT, 0)),
            computed(
                "Q",
                "capacity in this air",
                Figures.of(
                    f.chain().path().circuit().capacity(air) * p.parallel(), Unit.AMPERE_HOUR)),
            model("R0, v1, v2", "shares of R10, and times", "0.70; 0.596, 15 s; 0.30, 300 s"),
            cell("R10", "cell resistance", cell(f).r10(), Unit.MILLIOHM),
            yours("T_air", "hottest in use", Figures.of(air, Unit.CELSIUS, 0)),
            computed(
                "C",
                "heat capacity of the cells",
                Figures.number(p.heatCapacity() / 1e3) + " kJ/K"),
            computed(
                "h A", "heat shed by the box", Figures.number(f.thermal().conductance()) + " W/K"),
            computed(
                "check",
                "energy balance error",
                Figures.fixed(Math.abs(f.duty().totals().imbalance()) * 100, 4) + " %")),
        CIRCUIT_SOURCE,
        CIRCUIT_RANGE + "; one thermal lump",
        air > 353.15);
  }

  private static Derivation settledTemperature(Forecast f) {
    return new Derivation(
        "Settled temperature at the continuous current",
        Figures.of(f.thermal().settled(), Unit.CELSIUS, 0),
        "h A (T − T_air) = I² (S/P · R_settled(T) + R_strips(T))",
        List.of(
            computed(
                "I",
                "continuous current",
                Figures.of(f.chain().demand().continuous(), Unit.AMPERE)),
            computed(
                "h A", "heat shed by the box", Figures.number(f.thermal().conductance()) + " W/K"),
            yours(
                "T_air",
                "hottest in use",
                Figures.of(f.design().duty().surroundings().hottestInUse(), Unit.CELSIUS, 0))),
        "lumped heat balance; heat transfer of the box typical",
        "one thermal lump, plain box of one layer around the cells; held for hours",
        f.thermal().settled() > 353.15);
  }

  private static Derivation chargeTime(Forecast f) {
    var plan = f.design().guard().charge();
    return new Derivation(
        "Charge time",
        Figures.duration(f.charge().time()),
        "I = min( I_charger , (V_set − V_inner) / R ) until I < 5 % of I_charger",
        List.of(
            yours("I_charger", "charger current", Figures.exact(plan.current(), Unit.AMPERE)),
            yours("V_set", "charge voltage", Figures.exact(plan.voltage(), Unit.VOLT)),
            computed("z0", "charge at the start", Figures.of(f.duty().endSoc(), Unit.PERCENT, 0)),
            computed(
                "CC",
                "time at constant current",
                Figures.duration(f.charge().constantCurrentTime())),
            model("end", "taper that ends it", Figures.of(ChargePlan.TAPER_END, Unit.PERCENT))),
        CIRCUIT_SOURCE,
        "cells all alike; balancing not included",
        false);
  }

  private static Derivation chargeCeiling(Forecast f) {
    return new Derivation(
        "Charge ceiling",
        Figures.of(f.chain().ceiling(), Unit.PERCENT, 0),
        "z = OCV⁻¹( V_set / S )",
        List.of(
            yours(
                "V_set",
                "charge voltage",
                Figures.exact(f.design().guard().charge().voltage(), Unit.VOLT)),
            series(pack(f)),
            computed(
                "V_set / S",
                "per cell",
                Figures.of(f.design().chargeVoltagePerCell(), Unit.VOLT, 3))),
        "rested voltage curve typical for " + cell(f).chemistry().label(),
        "after a full taper, 25 °C",
        false);
  }

  private static Derivation life(Forecast f) {
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
                "mean temperature in use",
                Figures.of(cycling.temperature(), Unit.CELSIUS, 0)),
            yours(
                "n_cyc",
                "duties",
                Figures.number(Unit.PER_WEEK.fromCore(f.design().duty().habits().cycles()))
                    + " per week"),
            yours("z_store", "stored at", Figures.of(storage.soc(), Unit.PERCENT, 0)),
            yours("T_store", "storage", Figures.of(storage.temperature(), Unit.CELSIUS, 0)),
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
  public static String years(LifeForecast life) {
    if (life.yearsLow() >= LifeForecast.HORIZON) {
      return "over " + Figures.number(LifeForecast.HORIZON) + " years";
    }
    String high =
        life.yearsHigh() >= LifeForecast.HORIZON
            ? "over " + Figures.fixed(LifeForecast.HORIZON, 0)
            : Figures.fixed(life.yearsHigh(), life.yearsHigh() < 10 ? 1 : 0);
    return Figures.fixed(life.yearsLow(), life.yearsHigh() < 10 ? 1 : 0) + " to " + high + " years";
  }

  private static double coldResistance(Chain c) {
    double cold = c.design().duty().surroundings().coldestInUse();
    return c.path().cells(Chain.MIDDLE, cold, Path.Settling.TEN_SECONDS) + c.path().outside(cold);
  }

  private static Derivation arithmetic(
      String title, String result, String formula, Input... inputs) {
    return new Derivation(
        title, result, formula, List.of(inputs), "arithmetic of the stack", ALWAYS, false);
  }

  private static Pack pack(Forecast f) {
    return f.design().pack();
  }

  private static CellType cell(Forecast f) {
    return pack(f).cell();
  }

  private static Input series(Pack p) {
    return yours("S", "in series", Integer.toString(p.series()));
  }

  private static Input parallel(Pack p) {
    return yours("P", "in parallel", Integer.toString(p.parallel()));
  }

  private static Input yours(String symbol, String name, String value) {
    return new Input(symbol, name, value, Origin.YOURS);
  }

  private static Input cell(String symbol, String name, double value, Unit unit) {
    return new Input(symbol, name, Figures.exact(value, unit), Origin.CELL);
  }

  private static Input computed(String symbol, String name, String value) {
    return new Input(symbol, name, value, Origin.COMPUTED);
  }

  private static Input model(String symbol, String name, String value) {
    return new Input(symbol, name, value, Origin.MODEL);
  }
}
