package hammerman.project;

import hammerman.cell.CellCurrents;
import hammerman.cell.CellFormat;
import hammerman.cell.CellTemperatures;
import hammerman.cell.CellType;
import hammerman.cell.Chemistry;
import hammerman.duty.Bounds;
import hammerman.duty.Duty;
import hammerman.duty.Habits;
import hammerman.duty.Machine;
import hammerman.duty.Moment;
import hammerman.duty.Surroundings;
import hammerman.duty.Task;
import hammerman.guard.Bms;
import hammerman.guard.ChargePlan;
import hammerman.guard.ChargePort;
import hammerman.guard.Closing;
import hammerman.guard.Connector;
import hammerman.guard.Fuse;
import hammerman.guard.FuseClass;
import hammerman.guard.Fusing;
import hammerman.guard.Guard;
import hammerman.guard.Leads;
import hammerman.guard.Protection;
import hammerman.guard.Switch;
import hammerman.guard.Wire;
import hammerman.guard.Wiring;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Cooling;
import hammerman.pack.Lot;
import hammerman.pack.Pack;
import hammerman.pack.Strip;
import hammerman.unit.Unit;
import java.util.List;
import java.util.Set;

/**
 * The project to start from. It is written here, not read from a document: the window waits for it,
 * and the first document that is read costs more than all the rest of the start.
 */
final class Starter {
  static final Project PROJECT =
      new Project(
          "Untitled pack",
          "",
          duty(),
          List.of(new Project.Variant("First try", pack(), guard(), null, null, null, List.of())),
          0,
          null);

  private Starter() {}

  private static Duty duty() {
    return new Duty(
        new Machine("My machine", 30, 44, 10, 20, 0, 0, 0, null),
        new Task.ByTime(150, Unit.HOUR.toCore(2)),
        new Moment("Start under load", 20, 5),
        new Surroundings(
            celsius(5), celsius(30), celsius(10), celsius(25), celsius(15), celsius(25)),
        new Habits(Unit.PER_WEEK.toCore(2), 0.6, Unit.DAY.toCore(60), null, 0.8),
        Bounds.NONE,
        null);
  }

  private static Pack pack() {
    return new Pack(
        cell(),
        10,
        4,
        new Strip(
            ConductorMaterial.NICKEL,
            Unit.MILLIMETRE.toCore(0.15),
            Unit.MILLIMETRE.toCore(8),
            1,
            0),
        Cooling.SEALED,
        Lot.ONE_BATCH,
        null);
  }

  /** The balanced 18 mm cell of the library, without reading all of it. */
  private static CellType cell() {
    return new CellType(
        "b18650",
        "18 mm balanced",
        new CellFormat.Cylinder(Unit.MILLIMETRE.toCore(18), Unit.MILLIMETRE.toCore(65)),
        Chemistry.NMC,
        3,
        Unit.MILLIOHM.toCore(26),
        new CellCurrents(15, 20, 1.5, 4),
        3.6,
        4.2,
        2.5,
        new CellTemperatures(celsius(0), celsius(45), celsius(-20), celsius(60)),
        Unit.GRAM.toCore(47),
        4,
        1000,
        "typical for the class",
        null,
        null,
        null);
  }

  private static Guard guard() {
    Connector pair =
        new Connector("Shrouded pair, 45 A", 45, 70, Unit.MILLIOHM.toCore(0.45), 600, false);
    return new Guard(
        new Protection.DischargePath(
            new Bms(
                10,
                20,
                50,
                1,
                10,
                2.8,
                4.25,
                Unit.MILLIOHM.toCore(5),
                60,
                new Bms.Balance(Bms.Balance.Kind.PASSIVE, Unit.MILLIAMPERE.toCore(60)),
                1,
                Unit.MILLIAMPERE.toCore(0.2))),
        new ChargePlan(42, 4, ChargePlan.Kind.LITHIUM, 0.002),
        new Fusing.MainFuse(new Fuse(FuseClass.CARTRIDGE, 30, 160)),
        new Wiring(copper(3.31), new Leads(0.075, 0.125, 0.25, 0.375, 0.075), 0.1, pair, 1),
        new ChargePort(copper(1.5), 0.4, 0.1, new Fuse(FuseClass.CARTRIDGE, 10, 160), pair),
        Closing.SWITCH,
        new Switch("Battery isolator, 60 A", 60, 60, Unit.MILLIOHM.toCore(1)),
        null,
        Set.of());
  }

  /** A copper wire of so many mm² in free air. */
  private static Wire copper(double area) {
    return new Wire(
        ConductorMaterial.COPPER,
        Unit.SQUARE_MILLIMETRE.toCore(area),
        celsius(105),
        Wire.Laid.FREE);
  }

  private static double celsius(double t) {
    return Unit.CELSIUS.toCore(t);
  }
}
