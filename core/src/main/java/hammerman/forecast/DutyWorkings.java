package hammerman.forecast;

import static hammerman.forecast.Inputs.computed;
import static hammerman.forecast.Inputs.model;
import static hammerman.forecast.Inputs.yours;

import hammerman.chain.Pull;
import hammerman.chain.Speeds;
import hammerman.duty.Drive;
import hammerman.duty.Motor;
import hammerman.duty.Segment;
import hammerman.duty.Task;
import hammerman.duty.Vehicle;
import hammerman.finding.Derivation;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.Optional;

/** The workings of figures of the duty: a segment's power, the speeds of a drive. */
public final class DutyWorkings {
  private DutyWorkings() {}

  /** Returns how a segment's power at the battery came about. */
  public static Derivation power(Task.ByRound round, int index) {
    Segment s = round.segments().get(index);
    String title = "Power at the battery, “" + s.name() + "”";
    String result = Figures.of(s.power(round.vehicle()), Unit.WATT);
    return switch (s.effort()) {
      case Segment.Effort.Given g ->
          new Derivation(
              title,
              result,
              "P = as typed",
              List.of(yours("P", "power", result)),
              "your figure",
              "as you measured it",
              false);
      case Segment.Effort.Worked w -> worked(title, result, round.vehicle(), s, w);
    };
  }

  private static Derivation worked(
      String title, String result, Vehicle v, Segment s, Segment.Effort.Worked w) {
    double wheel = v.wheelPower(s.speed(), w.slope(), w.load());
    boolean driving = wheel >= 0;
    return new Derivation(
        title,
        result,
        driving
            ? "P = v (m g (sin s + c cos s) + ½ ρ A v²) / η + P_aux"
            : "P = v (m g (sin s + c cos s) + ½ ρ A v²) η_b + P_aux",
        List.of(
            yours("v", "speed", Figures.of(s.speed(), Unit.KILOMETRE_PER_HOUR)),
            yours("m", "vehicle and load", Figures.of(v.mass() + w.load(), Unit.KILOGRAM)),
            yours("s", "slope", Figures.of(w.slope(), Unit.PERCENT)),
            yours("c", "rolling resistance", Figures.plain(v.rollingResistance())),
            yours("A", "drag area", Figures.of(v.dragArea(), Unit.SQUARE_METRE)),
            computed("P_wheel", "power at the wheel", Figures.of(wheel, Unit.WATT)),
            driving
                ? yours("η", "drive efficiency", Figures.of(v.driveEfficiency(), Unit.PERCENT))
                : yours(
                    "η_b",
                    "braking efficiency",
                    Figures.of(v.regenerationEfficiency(), Unit.PERCENT)),
            yours("P_aux", "auxiliaries", Figures.of(v.auxiliaryPower(), Unit.WATT)),
            model("g, ρ", "gravity, air", "9.81 m/s², 1.204 kg/m³")),
        "road-load equation: T. D. Gillespie, Fundamentals of Vehicle Dynamics (1992), ch. 4",
        "steady motion in still air; what braking gives back is further capped by the machine and"
            + " the BMS",
        false);
  }

  /** Returns how the speeds of the drive came about; empty if the duty's machine has none. */
  public static Optional<Derivation> speeds(Forecast f) {
    Drive drive = f.design().duty().machine().drive();
    Speeds speeds = Speeds.of(f.chain()).orElse(null);
    if (drive == null || speeds == null) {
      return Optional.empty();
    }
    return Optional.of(
        new Derivation(
            "Speed with nothing to pull, half charged",
            Figures.of(speeds.middle(), Unit.KILOMETRE_PER_HOUR),
            "v = k · V / i · d / 2",
            List.of(
                yours("k", "motor constant", Figures.of(drive.motorConstant(), Unit.RPM_PER_VOLT)),
                computed(
                    "V",
                    "pack at rest, half charged",
                    Figures.of(f.chain().path().openCircuit(0.5), Unit.VOLT, 1)),
                yours("i", "reduction", Figures.number(drive.reduction())),
                yours("d", "wheel", Figures.of(drive.wheelDiameter(), Unit.MILLIMETRE)),
                computed("full", "at the charge ceiling", speed(speeds.full())),
                computed("low", "at 10 % charge", speed(speeds.nearlyEmpty())),
                computed("+1S", "one group more adds", speed(speeds.perGroup()))),
            "speed constant of a motor with permanent magnets: speed in proportion to voltage",
            "unloaded; under load a machine is slower, often by 10 to 25 %",
            false));
  }

  /** Returns how the pull of the motor came about; empty if the duty's machine has none. */
  public static Optional<Derivation> pull(Forecast f) {
    Drive drive = f.design().duty().machine().drive();
    Motor motor = drive == null ? null : drive.motor();
    Pull pull = Pull.of(f.chain()).orElse(null);
    if (drive == null || motor == null || pull == null) {
      return Optional.empty();
    }
    Double limit = motor.currentLimit();
    return Optional.of(
        new Derivation(
            "Torque at the wheel, at the start",
            Figures.of(pull.torque(), Unit.NEWTON_METRE),
            "T = (I − I₀) / k · i, I = min(V / R, √(V I_b / R), I_most); best at √(V I₀ / R)",
            List.of(
                yours("R", "motor resistance", Figures.of(motor.resistance(), Unit.MILLIOHM)),
                yours("I₀", "current without load", Figures.of(motor.noLoadCurrent(), Unit.AMPERE)),
                yours(
                    "I_most",
                    "motor current at most",
                    limit == null ? "not known" : Figures.of(limit, Unit.AMPERE)),
                yours(
                    "I_b",
                    "battery current at most",
                    Figures.of(f.design().duty().machine().peakCurrent(), Unit.AMPERE)),
                yours("k", "motor constant", Figures.of(drive.motorConstant(), Unit.RPM_PER_VOLT)),
                yours("i", "reduction", Figures.number(drive.reduction())),
                computed("V", "pack at rest, half charged", Figures.of(pull.volts(), Unit.VOLT, 1)),
                computed(
                    "I", "motor current at the start", Figures.of(pull.current(), Unit.AMPERE)),
                computed("V / R", "held still, unlimited", Figures.of(pull.stall(), Unit.AMPERE)),
                computed(
                    "√(V I₀ / R)", "best current", Figures.of(pull.bestCurrent(), Unit.AMPERE))),
            "direct-current equivalent of a motor with permanent magnets (Hughes and Drury 2019,"
                + " ch. 3)",
            "before the voltage sags; without losses of the reduction, iron and warm copper; a hill"
                + " needs some to spare",
            false));
  }

  private static String speed(double metresPerSecond) {
    return Figures.of(metresPerSecond, Unit.KILOMETRE_PER_HOUR);
  }
}
