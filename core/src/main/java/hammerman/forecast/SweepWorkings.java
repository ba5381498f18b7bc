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
import static hammerman.forecast.Inputs.startCharge;
import static hammerman.forecast.Inputs.yours;

import hammerman.cell.Health;
import hammerman.duty.Surroundings;
import hammerman.duty.Vehicle;
import hammerman.finding.Derivation;
import hammerman.finding.Derivation.Input;
import hammerman.guard.Bms;
import hammerman.simulation.Day;
import hammerman.simulation.Tolerance;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** The workings of curves and bars that come out of many runs. */
final class SweepWorkings {
  private static final String LUMP = CIRCUIT_RANGE + "; one thermal lump";

  private SweepWorkings() {}

  static Derivation of(Swept swept, Forecast f) {
    return switch (swept) {
      case DAYS -> days(f);
      case AIR -> air(f);
      case POWER -> power(f);
      case SPEED -> speed(f);
      case MOVES -> moves(f);
      case SPREAD -> spread(f);
    };
  }

  private static Derivation days(Forecast f) {
    List<Input> inputs = new ArrayList<>();
    for (Day day : f.days()) {
      inputs.add(computed("T_air", day.kind().label(), celsius(day.air())));
    }
    inputs.addAll(cells(f));
    inputs.add(worn(f));
    inputs.addAll(ends(f));
    return new Derivation(
        "The duty on the four days",
        f.days().size() + " runs",
        RUN_FORMULA,
        inputs,
        CIRCUIT_SOURCE,
        CIRCUIT_RANGE
            + "; one thermal lump at first, every cell in its place once it has one; cells as warm"
            + " as the air at the start"
            + second(f),
        f.life().extrapolated());
  }

  private static Derivation air(Forecast f) {
    double from = AirSweep.coldest(f);
    double to = AirSweep.hottest(f);
    List<Input> inputs = new ArrayList<>();
    inputs.add(
        model(
            "T_air",
            "every " + Figures.of(AirSweep.EVERY, Unit.KELVIN, 1) + " or less",
            "%s to %s".formatted(celsius(from), celsius(to))));
    inputs.addAll(cells(f));
    inputs.add(
        model(
            "1 − z_least",
            "share that the coldest and the hottest let out",
            "%s, %s".formatted(reachable(f, from), reachable(f, to))));
    inputs.add(worn(f));
    inputs.add(
        yours(
            "I_full",
            "full effort, held",
            Figures.exact(f.design().duty().machine().fullEffortCurrent(), Unit.AMPERE)));
    inputs.addAll(ends(f));
    return new Derivation(
        "How long the load, and full effort, go on in any air",
        3 * (AirSweep.parts(from, to) + 1) + " runs",
        RUN_FORMULA,
        inputs,
        CIRCUIT_SOURCE,
        LUMP + "; cells as warm as the air at the start" + second(f),
        f.life().extrapolated());
  }

  private static Derivation power(Forecast f) {
    Surroundings air = f.design().duty().surroundings();
    List<Input> inputs = new ArrayList<>();
    inputs.add(
        model(
            "P_m",
            "%d powers, the highest".formatted(PowerSweep.PARTS),
            Figures.of(PowerSweep.highest(f), Unit.WATT)));
    inputs.add(
        yours(
            "T_air",
            "coldest and hottest in use",
            "%s, %s".formatted(celsius(air.coldestInUse()), celsius(air.hottestInUse()))));
    inputs.addAll(cells(f));
    inputs.addAll(ends(f));
    return new Derivation(
        "Energy and usable charge at any power",
        2 * PowerSweep.PARTS + " runs at the most",
        "E = ∫ P_m dt;  I = (V_oc − √(V_oc² − 4 R P_m)) / 2R;  dz/dt = −I / 3600 Q",
        inputs,
        CIRCUIT_SOURCE,
        LUMP + "; each power held from the charge ceiling on" + second(f),
        false);
  }

  private static Derivation speed(Forecast f) {
    List<Input> inputs = new ArrayList<>();
    SpeedSweep.vehicle(f).ifPresent(v -> inputs.addAll(vehicle(v)));
    inputs.add(model("w, m_load", "head wind and load", "as the sliders say; the way is level"));
    Surroundings air = f.design().duty().surroundings();
    inputs.add(
        yours(
            "T_air",
            "middle of those in use",
            celsius(0.5 * (air.coldestInUse() + air.hottestInUse()))));
    inputs.addAll(cells(f));
    inputs.addAll(ends(f));
    return new Derivation(
        "Range at any speed",
        SpeedSweep.PARTS + 1 + " runs",
        "P = ((m + m_load) g c + ½ ρ A (v + w)²) v / η + P_aux;  range = v · t(P)",
        inputs,
        "forces on a vehicle at constant speed; t(P): " + CIRCUIT_SOURCE,
        LUMP + "; no starts, stops or slopes" + second(f),
        false);
  }

  private static List<Input> vehicle(Vehicle v) {
    return List.of(
        yours("m", "vehicle", Figures.exact(v.mass(), Unit.KILOGRAM)),
        yours("c", "rolling resistance", Figures.number(v.rollingResistance())),
        yours("A", "drag area", Figures.number(v.dragArea()) + " m²"),
        model(
            "ρ, g", "air and gravity", "%s kg/m³, %s m/s²".formatted(Vehicle.AIR, Vehicle.GRAVITY)),
        yours("η", "drive efficiency", Figures.of(v.driveEfficiency(), Unit.PERCENT, 0)),
        yours("P_aux", "what runs all the time", Figures.exact(v.auxiliaryPower(), Unit.WATT)));
  }

  private static Derivation moves(Forecast f) {
    List<Input> inputs = new ArrayList<>();
    for (Answer a : Answer.values()) {
      double now = a.of(f);
      if (Double.isFinite(now)) {
        inputs.add(computed("y", a.label() + " now, " + a.when(), a.shown(now)));
      }
    }
    Arrays.stream(Sensitivity.Input.values())
        .map(i -> model("Δx", i.label() + ", either way", i.by()))
        .forEach(inputs::add);
    return new Derivation(
        "What moves an answer: it with one input lower, and higher",
        2 * Sensitivity.Input.values().length + " answers",
        "y(x − Δx)  and  y(x + Δx),  all else as it is",
        inputs,
        "one input at a time; each answer worked out as its own figure is, in coarse steps",
        LUMP + "; what two inputs do together is not told" + second(f),
        f.life().extrapolated());
  }

  private static Derivation spread(Forecast f) {
    Tolerance t = Tolerance.of(pack(f));
    Surroundings air = f.design().duty().surroundings();
    return new Derivation(
        "Packs as they might come out",
        Ensemble.enough(f) + " packs",
        "x_k = x (1 + σ N(0, 1)) for every cell;  band from the 5th to the 95th percentile",
        List.of(
            model("σ_Q", "of the cells' capacity", Figures.of(t.capacity(), Unit.PERCENT)),
            model("σ_R", "of their resistance", Figures.of(t.resistance(), Unit.PERCENT)),
            model(
                "R_joint, σ",
                "two joints of a cell, made by hand",
                "%s, %s"
                    .formatted(
                        Figures.of(t.joint(), Unit.MILLIOHM),
                        Figures.of(t.jointSpread(), Unit.PERCENT, 0))),
            model("σ_load", "of the load", Figures.of(Ensemble.LOAD, Unit.PERCENT, 0)),
            yours(
                "T_air",
                "anywhere in use",
                "%s to %s".formatted(celsius(air.coldestInUse()), celsius(air.hottestInUse()))),
            computed(
                "cells",
                "where they come from",
                pack(f).matched().isPresent() ? "these, as measured" : pack(f).lot().label())),
        "spreads typical for where the cells come from; drawn with a fixed seed, so that the same"
            + " design gives the same band",
        LUMP + "; all drawn independently" + second(f),
        false);
  }

  /** What every run begins with. */
  private static List<Input> cells(Forecast f) {
    return List.of(
        startCharge(f), capacity(f), cell("R10", "cell resistance", cell(f).r10(), Unit.MILLIOHM));
  }

  /** What the end of their life leaves of the cells. */
  private static Input worn(Forecast f) {
    Health worn = Forecast.worn(f.life());
    return computed(
        "worn",
        "capacity left, and resistance against new",
        "%s, %s times"
            .formatted(
                Figures.of(worn.capacity(), Unit.PERCENT, 0), Figures.fixed(worn.resistance(), 2)));
  }

  /** What ends a run, each as far as it is there. */
  private static List<Input> ends(Forecast f) {
    List<Input> all = new ArrayList<>();
    var machine = f.design().duty().machine();
    all.add(
        yours(
            "V_out", "the machine cuts out at", Figures.exact(machine.cutOutVoltage(), Unit.VOLT)));
    f.design()
        .guard()
        .protection()
        .inDischargePath()
        .map(Bms::cutOffVoltage)
        .ifPresent(
            v -> all.add(yours("V_off", "the BMS opens, per group", Figures.exact(v, Unit.VOLT))));
    all.add(
        cell(
            "T_max",
            "hottest that a cell may be",
            cell(f).temperatures().dischargeHighest(),
            Unit.CELSIUS));
    return all;
  }

  private static String second(Forecast f) {
    return f.design().second() == null ? "" : "; " + JUNCTION_FORMULA;
  }

  private static String reachable(Forecast f, double air) {
    return Figures.of(f.chain().path().circuit().reachable(air), Unit.PERCENT, 0);
  }

  private static String celsius(double kelvin) {
    return Figures.of(kelvin, Unit.CELSIUS, 0);
  }
}
