package hammerman.app.station.duty;

import hammerman.app.control.Form;
import hammerman.app.session.Session;
import hammerman.duty.Drive;
import hammerman.duty.Duty;
import hammerman.duty.Motor;
import hammerman.finding.Station;
import hammerman.project.Project;
import hammerman.unit.Unit;
import java.util.function.BiFunction;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** The forms of the machine, its surroundings and the limits. */
final class DutyForms {
  private DutyForms() {}

  static Project duty(Project p, Function<Duty, Duty> change) {
    return p.withDesign(p.design().withDuty(change.apply(p.duty())));
  }

  private static Form form(Session session) {
    return new Form(session, Station.DUTY, 138, 76);
  }

  private static void in(
      Form form,
      String name,
      Unit unit,
      Function<Duty, Double> read,
      BiFunction<Duty, Double, Duty> write) {
    form.quantity(name, unit, p -> read.apply(p.duty()), (p, v) -> duty(p, d -> write.apply(d, v)));
  }

  static Form machine(Session session) {
    Form form = form(session);
    form.section("Machine, off its controller")
        .text(
            "Machine",
            p -> p.duty().machine().name(),
            (p, v) -> duty(p, d -> d.withMachine(d.machine().withName(v))));
    in(
        form,
        "Cuts out below",
        Unit.VOLT,
        d -> d.machine().cutOutVoltage(),
        (d, v) -> d.withMachine(d.machine().withCutOutVoltage(v)));
    in(
        form,
        "Survives at most",
        Unit.VOLT,
        d -> d.machine().maximumVoltage(),
        (d, v) -> d.withMachine(d.machine().withMaximumVoltage(v)));
    in(
        form,
        "Draws at full effort",
        Unit.AMPERE,
        d -> d.machine().fullEffortCurrent(),
        (d, v) -> d.withMachine(d.machine().withFullEffortCurrent(v)));
    in(
        form,
        "Lets through at most",
        Unit.AMPERE,
        d -> d.machine().peakCurrent(),
        (d, v) -> d.withMachine(d.machine().withPeakCurrent(v)));
    in(
        form,
        "Pushes back braking",
        Unit.AMPERE,
        d -> d.machine().regenerationCurrent(),
        (d, v) -> d.withMachine(d.machine().withRegenerationCurrent(v)));
    in(
        form,
        "Input capacitors",
        Unit.MICROFARAD,
        d -> d.machine().inputCapacitance(),
        (d, v) -> d.withMachine(d.machine().withInputCapacitance(v)));
    in(
        form,
        "Draws while off",
        Unit.MILLIAMPERE,
        d -> d.machine().standingCurrent(),
        (d, v) -> d.withMachine(d.machine().withStandingCurrent(v)));
    form.section("Hardest moment")
        .text(
            "What happens",
            p -> p.duty().hardest().name(),
            (p, v) -> duty(p, d -> d.withHardest(d.hardest().withName(v))));
    in(
        form,
        "Battery current",
        Unit.AMPERE,
        d -> d.hardest().current(),
        (d, v) -> d.withHardest(d.hardest().withCurrent(v)));
    in(
        form,
        "Lasts",
        Unit.SECOND,
        d -> d.hardest().duration(),
        (d, v) -> d.withHardest(d.hardest().withDuration(v)));
    return form;
  }

  /** The drive is known once its motor constant is given. */
  static Form drive(Session session) {
    Form form = form(session);
    form.section("Motor, reduction, wheel");
    form.optional(
        "Motor turns",
        Unit.RPM_PER_VOLT,
        p -> p.duty().machine().drive() == null ? null : driveOf(p).motorConstant(),
        (p, v) -> withDrive(p, v == null ? null : driveOf(p).withMotorConstant(v)));
    form.quantityWhen(
        DutyForms::hasDrive,
        "Reduction",
        Unit.ONE,
        p -> driveOf(p).reduction(),
        (p, v) -> withDrive(p, driveOf(p).withReduction(v)));
    form.quantityWhen(
        DutyForms::hasDrive,
        "Wheel diameter",
        Unit.MILLIMETRE,
        p -> driveOf(p).wheelDiameter(),
        (p, v) -> withDrive(p, driveOf(p).withWheelDiameter(v)));
    motor(
        form,
        "Motor resistance",
        Unit.MILLIOHM,
        Motor::resistance,
        (m, v) -> v == null ? null : m.withResistance(v));
    motor(
        form,
        "Current without load",
        Unit.AMPERE,
        Motor::noLoadCurrent,
        (m, v) -> v == null ? null : m.withNoLoadCurrent(v));
    motor(form, "Motor current, most", Unit.AMPERE, Motor::currentLimit, Motor::withCurrentLimit);
    return form;
  }

  /** A figure of the motor; the motor is known once one of them is given. */
  private static void motor(
      Form form,
      String name,
      Unit unit,
      Function<Motor, @Nullable Double> read,
      BiFunction<Motor, @Nullable Double, @Nullable Motor> write) {
    form.optionalWhen(
        DutyForms::hasDrive,
        name,
        unit,
        "unknown",
        p -> driveOf(p).motor() == null ? null : read.apply(motorOf(p)),
        (p, v) -> withDrive(p, driveOf(p).withMotor(write.apply(motorOf(p), v))));
  }

  private static Motor motorOf(Project p) {
    Motor motor = driveOf(p).motor();
    return motor == null ? Motor.TYPICAL : motor;
  }

  private static boolean hasDrive(Project p) {
    return p.duty().machine().drive() != null;
  }

  private static Drive driveOf(Project p) {
    Drive drive = p.duty().machine().drive();
    return drive == null ? Drive.TYPICAL : drive;
  }

  private static Project withDrive(Project p, @Nullable Drive drive) {
    return duty(p, d -> d.withMachine(d.machine().withDrive(drive)));
  }

  static Form air(Session session) {
    Form form = form(session);
    form.section("Air around it");
    in(
        form,
        "Coldest in use",
        Unit.CELSIUS,
        d -> d.surroundings().coldestInUse(),
        (d, v) -> d.withSurroundings(d.surroundings().withColdestInUse(v)));
    in(
        form,
        "Hottest in use",
        Unit.CELSIUS,
        d -> d.surroundings().hottestInUse(),
        (d, v) -> d.withSurroundings(d.surroundings().withHottestInUse(v)));
    in(
        form,
        "Coldest charging",
        Unit.CELSIUS,
        d -> d.surroundings().coldestCharging(),
        (d, v) -> d.withSurroundings(d.surroundings().withColdestCharging(v)));
    in(
        form,
        "Hottest charging",
        Unit.CELSIUS,
        d -> d.surroundings().hottestCharging(),
        (d, v) -> d.withSurroundings(d.surroundings().withHottestCharging(v)));
    in(
        form,
        "Coldest in storage",
        Unit.CELSIUS,
        d -> d.surroundings().coldestStored(),
        (d, v) -> d.withSurroundings(d.surroundings().withColdestStored(v)));
    in(
        form,
        "Hottest in storage",
        Unit.CELSIUS,
        d -> d.surroundings().hottestStored(),
        (d, v) -> d.withSurroundings(d.surroundings().withHottestStored(v)));
    return form;
  }

  static Form habits(Session session) {
    Form form = form(session);
    form.section("Habits");
    in(
        form,
        "This duty, times",
        Unit.PER_WEEK,
        d -> d.habits().cycles(),
        (d, v) -> d.withHabits(d.habits().withCycles(v)));
    in(
        form,
        "Stored at charge",
        Unit.PERCENT,
        d -> d.habits().storageSoc(),
        (d, v) -> d.withHabits(d.habits().withStorageSoc(v)));
    in(
        form,
        "Longest rest",
        Unit.DAY,
        d -> d.habits().longestRest(),
        (d, v) -> d.withHabits(d.habits().withLongestRest(v)));
    form.optional(
        "Months of use a year",
        Unit.ONE,
        p -> p.duty().habits().season(),
        (p, v) -> duty(p, d -> d.withHabits(d.habits().withSeason(v))));
    in(
        form,
        "Worn out at capacity",
        Unit.PERCENT,
        d -> d.habits().endOfLife(),
        (d, v) -> d.withHabits(d.habits().withEndOfLife(v)));
    return form;
  }

  static Form limits(Session session) {
    Form form = form(session);
    form.section("Limits, where they matter");
    form.optional(
        "Mass at most",
        Unit.KILOGRAM,
        p -> p.duty().bounds().mass(),
        (p, v) -> duty(p, d -> d.withBounds(d.bounds().withMass(v))));
    form.optional(
        "Room for the pack",
        Unit.LITRE,
        p -> p.duty().bounds().volume(),
        (p, v) -> duty(p, d -> d.withBounds(d.bounds().withVolume(v))));
    form.optional(
        "Cells cost at most",
        Unit.MONEY,
        p -> p.duty().bounds().budget(),
        (p, v) -> duty(p, d -> d.withBounds(d.bounds().withBudget(v))));
    form.optional(
        "Local power limit",
        Unit.WATT,
        p -> p.duty().bounds().localPower(),
        (p, v) -> duty(p, d -> d.withBounds(d.bounds().withLocalPower(v))));
    form.word(
        "Prices are in",
        "not said",
        p -> p.duty().bounds().currency(),
        (p, v) -> duty(p, d -> d.withBounds(d.bounds().withCurrency(v))));
    return form;
  }
}
