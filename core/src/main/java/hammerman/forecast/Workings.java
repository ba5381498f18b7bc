package hammerman.forecast;

import static hammerman.forecast.Inputs.CIRCUIT_RANGE;
import static hammerman.forecast.Inputs.CIRCUIT_SOURCE;
import static hammerman.forecast.Inputs.JUNCTION_FORMULA;
import static hammerman.forecast.Inputs.arithmetic;
import static hammerman.forecast.Inputs.cell;
import static hammerman.forecast.Inputs.computed;
import static hammerman.forecast.Inputs.model;
import static hammerman.forecast.Inputs.pack;
import static hammerman.forecast.Inputs.parallel;
import static hammerman.forecast.Inputs.series;
import static hammerman.forecast.Inputs.yours;

import hammerman.chain.Chain;
import hammerman.chain.Demand;
import hammerman.chain.Path;
import hammerman.finding.Derivation;
import hammerman.guard.Fuse;
import hammerman.guard.FuseClass;
import hammerman.pack.Pack;
import hammerman.unit.Figures;
import hammerman.unit.Reference;
import hammerman.unit.Unit;
import java.util.List;

/** Shows how each headline figure of a forecast came about, with its inputs and source. */
public final class Workings {

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
      case DUTY_TIME -> RunWorkings.dutyTime(f);
      case RUN_TIME -> RunWorkings.runTime(f);
      case RANGE -> RunWorkings.range(f);
      case PEAK_TEMPERATURE -> RunWorkings.peakTemperature(f);
      case SETTLED_TEMPERATURE -> RunWorkings.settledTemperature(f);
      case CHARGE_TIME -> RunWorkings.chargeTime(f);
      case CHARGE_CEILING -> RunWorkings.chargeCeiling(f);
      case LIFE -> RunWorkings.life(f);
    };
  }

  /** Returns the working of a picture that comes out of many runs. */
  public static Derivation of(Swept swept, Forecast f) {
    return SweepWorkings.of(swept, f);
  }

  /** Returns the figure of a headline alone, as shown. */
  public static String figure(Headline headline, Forecast f) {
    return of(headline, f).result();
  }

  /**
   * Returns what a headline that tells of one day comes to on others, for beside it; empty where it
   * does not depend on the day.
   */
  public static String otherDays(Headline headline, Forecast f) {
    return RunWorkings.otherDays(headline, f);
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
        f.design().duty().bounds().prices().money(p.cost(), 0),
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
                "open-circuit voltage at the lowest charge at which the duty runs, "
                    + Figures.of(c.lowest(), Unit.PERCENT, 0),
                Figures.of(c.path().openCircuit(c.lowest()), Unit.VOLT, 1)),
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
        "powers turned into currents at the lowest charge at which the duty runs; regeneration"
            + " heats as discharge does",
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
        "V = S · OCV − I · (S/P · R10 · k_SOC · k_T + R_ext), not below 0"
            + (f.pair().isPresent() ? ";  " + JUNCTION_FORMULA : ""),
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
                "R_ext",
                strips(c) + ", BMS, fuse, leads, connectors",
                Figures.of(c.path().outside(cold), Unit.MILLIOHM))),
        CIRCUIT_SOURCE,
        f.pair().isPresent() ? CIRCUIT_RANGE + "; the inputs are the first pack's" : CIRCUIT_RANGE,
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
                Figures.number(d.peak() / Math.max(1e-9, smallestFor(c)))),
            computed("wire", "ampacity", Figures.of(c.fuseWindow().upper(), Unit.AMPERE))),
        "opening times typical for the fast blade class; 75 % and the factor 2 are usual practice",
        "20 ms to 100 h",
        false);
  }

  /** The rating at which the hardest moment alone just does not open the fuse, A. */
  private static double smallestFor(Chain c) {
    FuseClass kind = c.design().guard().fuse().map(Fuse::kind).orElse(FuseClass.BOLT_DOWN);
    return Fuse.smallestRating(kind, 0, c.demand().peak(), c.demand().peakDuration());
  }

  private static Derivation shortCircuit(Forecast f) {
    Chain c = f.chain();
    double room = Reference.ROOM;
    return new Derivation(
        "Short-circuit current",
        Figures.of(c.shortCircuitCurrent(), Unit.KILOAMPERE),
        "I = V_full / (S/P · R0 + R_ext)",
        List.of(
            computed("V_full", "full voltage", Figures.of(pack(f).fullVoltage(), Unit.VOLT, 1)),
            computed(
                "R0",
                "cells, ohmic, full, 25 °C",
                Figures.of(c.path().cells(1, room, Path.Settling.OHMIC), Unit.MILLIOHM)),
            computed(
                "R_ext",
                strips(c) + ", BMS, fuse, leads",
                Figures.of(c.path().outside(room), Unit.MILLIOHM))),
        "Ohm's law; what the fuse must be able to break",
        "at the machine's end of the leads; nearer the pack it is higher",
        false);
  }

  private static Derivation wireAmpacity(Forecast f) {
    var wiring = f.design().guard().wiring().wire();
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

  private static String strips(Chain c) {
    return c.path().assembly().known() ? "strips of the layout" : "strips (estimate)";
  }

  private static double coldResistance(Chain c) {
    double cold = c.design().duty().surroundings().coldestInUse();
    return c.path().resistance(c.lowest(), cold, Path.Settling.TEN_SECONDS);
  }
}
