package hammerman;

import hammerman.cell.CellType;
import hammerman.chain.Chain;
import hammerman.chain.LaidOut;
import hammerman.choice.Selection;
import hammerman.circuit.Circuit;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.duty.Bounds;
import hammerman.duty.Duty;
import hammerman.duty.Habits;
import hammerman.duty.Machine;
import hammerman.duty.Moment;
import hammerman.duty.Surroundings;
import hammerman.duty.Task;
import hammerman.finding.Finding;
import hammerman.finding.Severity;
import hammerman.fit.FitPlan;
import hammerman.guard.Bms;
import hammerman.guard.BmsClass;
import hammerman.guard.ChargePlan;
import hammerman.guard.ChargePort;
import hammerman.guard.Closing;
import hammerman.guard.Fuse;
import hammerman.guard.FuseClass;
import hammerman.guard.Fusing;
import hammerman.guard.Guard;
import hammerman.guard.Leads;
import hammerman.guard.Protection;
import hammerman.guard.Wire;
import hammerman.guard.Wiring;
import hammerman.judgement.Judge;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Cooling;
import hammerman.pack.Lot;
import hammerman.pack.Pack;
import hammerman.pack.Strip;
import hammerman.pack.TakeOff;
import hammerman.project.Shipped;
import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import org.jspecify.annotations.Nullable;

/**
 * Sound designs of every kind, drawn by seed: all chemistries, 1 to 24 groups, all schools, one and
 * two packs. What must be said of them all the same (touch above 60 V, a school's price) is listed
 * in {@link #SAID}.
 */
public final class SoundDesigns {
  /** Ids that a sound design may have: what its school costs, and the touch above 60 V. */
  public static final List<String> SAID = List.of("bms.none", "second.bms.none", "pack.touch");

  private static final double ROOM = 273.15;
  private static final int[] SERIES = {1, 2, 3, 4, 7, 8, 10, 12, 13, 14, 15, 16, 20, 24};

  private SoundDesigns() {}

  /** The schools of protection and fusing. */
  public enum School {
    PATH,
    CHARGE_ONLY,
    BALANCING_CHARGER,
    CELL_FUSES
  }

  /** Draws a design. */
  public static Design of(long seed) {
    Random r = new Random(seed);
    List<CellType> cells = Shipped.cells().cells();
    CellType cell = cells.get(r.nextInt(cells.size()));
    int series = SERIES[r.nextInt(SERIES.length)];
    School school = School.values()[r.nextInt(School.values().length)];
    Joining[] ways = {null, null, null, Joining.SERIES, Joining.PARALLEL, Joining.DIODES};
    Joining joining = r.nextInt(3) == 0 ? Joining.SWITCH_OVER : ways[r.nextInt(ways.length)];
    if (joining == Joining.SERIES) {
      // No class of fuse breaks more than 160 V.
      series = Math.min(series, 16);
    }
    // Nor more than 20 kA, which cells of less than 4 mΩ give from a few in parallel on.
    int parallel = cell.r10() < 4e-3 ? 1 : 2 + r.nextInt(6);
    return of(cell, series, parallel, school, joining);
  }

  /** Builds a sound design of a kind. */
  public static Design of(
      CellType cell, int series, int parallel, School school, @Nullable Joining joining) {
    int all = joining == Joining.SERIES ? 2 * series : series;
    // Few groups have little voltage to lose in wire and contacts.
    double most = Math.min(40, 12 * series);
    double continuous = Math.min(0.25 * cell.currents().continuous() * parallel, most);
    double peak = Math.min(0.4 * cell.currents().peak() * parallel, 1.6 * continuous);
    Strip strip = new Strip(ConductorMaterial.COPPER, 0.5e-3, 20e-3, 4, 0);
    Pack pack = new Pack(cell, series, parallel, strip, Cooling.OPEN, Lot.ONE_BATCH);
    Duty duty = duty(cell, pack, all, continuous, peak);
    Guard guard = guard(pack, school, parallel);
    Design d =
        new Design(
            duty,
            pack,
            guard,
            joining == null ? null : new SecondPack(pack, branch(guard), joining, 0.9, 0.9),
            null,
            null);
    return fitted(d, school);
  }

  /** The barrow in its box, with stout strips and a bar over the end groups. */
  public static Design boxed() {
    Design d = Samples.barrow();
    FitPlan fit = Objects.requireNonNull(d.fit());
    Strip copper = new Strip(ConductorMaterial.COPPER, 0.3e-3, 10e-3, 2, 0);
    return d.withPack(d.pack().withStrip(copper))
        .withFit(fit.withConductors(fit.conductors().withTakeOff(TakeOff.WHOLE_GROUP)))
        .withDuty(d.duty().withMachine(d.duty().machine().withCutOutVoltage(36)));
  }

  private static Duty duty(CellType cell, Pack pack, int all, double continuous, double peak) {
    double full = all * cell.fullVoltage();
    Machine machine =
        new Machine(
            "Machine",
            Math.ceil(all * cell.cutOffVoltage() * 100) / 100,
            full * 1.2,
            continuous,
            peak * 1.01,
            0,
            10e-6,
            0.001,
            null);
    double watts = continuous * all * cell.nominalVoltage() * 0.9;
    double seconds = 0.4 * pack.capacity() / continuous * 3600;
    return new Duty(
        machine,
        new Task.ByTime(watts, Math.min(seconds, 20_000)),
        new Moment("Start", peak, 8),
        new Surroundings(ROOM + 15, ROOM + 28, ROOM + 15, ROOM + 28, ROOM + 10, ROOM + 25),
        new Habits(2 / (7 * 86400.0), 0.6, 60 * 86400.0, null, 0.8),
        Bounds.NONE,
        null);
  }

  private static Guard guard(Pack pack, School school, int parallel) {
    CellType cell = pack.cell();
    Guard base = Samples.barrow().guard();
    BmsClass any = Shipped.parts().bms().getFirst();
    Bms bms = any.unit(pack.series(), cell);
    Fuse fuse = new Fuse(FuseClass.CARTRIDGE, 30, FuseClass.CARTRIDGE.voltageRating());
    Wire wire = base.wiring().wire().withInsulationLimit(ROOM + 105);
    double charger = 0.9 * cell.currents().standardCharge() * parallel;
    return new Guard(
        switch (school) {
          case PATH, CELL_FUSES -> new Protection.DischargePath(bms);
          case CHARGE_ONLY -> new Protection.ChargeOnly(bms);
          case BALANCING_CHARGER -> new Protection.None();
        },
        new ChargePlan(
            Math.floor(pack.fullVoltage() * 1000 + 1e-6) / 1000,
            Math.min(charger, 20),
            school == School.BALANCING_CHARGER
                ? ChargePlan.Kind.BALANCING
                : ChargePlan.Kind.LITHIUM,
            0.001),
        new Fusing.MainFuse(fuse),
        new Wiring(wire, new Leads(0.1, 0.2, 0.3, 0.4, 0.1), 0.1, base.wiring().connector(), 1),
        new ChargePort(wire, 0.4, 0.1, fuse, base.wiring().connector()),
        Closing.SWITCH,
        base.mainSwitch(),
        null,
        EnumSet.noneOf(Guard.Part.class));
  }

  private static Guard branch(Guard g) {
    return g.withWiring(g.wiring().withLeads(new Leads(0.1, 0.3, 0, 0, 0.1))).withMainSwitch(null);
  }

  /** Chooses the parts, and brings BMS and wire to what two packs ask of them. */
  private static Design fitted(Design d, School school) {
    Design locked = d.withGuard(d.guard().withLocked(Guard.Part.CHARGER, true));
    Guard g = Selection.of(locked, Shipped.parts()).guard();
    double volts = Chain.of(d).supply().highest();
    g = fused(d, g);
    g = g.withProtection(g.protection().withBms(b -> suited(b, d, volts)));
    if (school == School.CELL_FUSES) {
      Fuse main = g.fuse().orElseThrow();
      double each = Math.max(1, 2.2 * main.rating() / d.pack().parallel());
      g = g.withFusing(new Fusing.MainAndCells(main, each));
    }
    Design one = d.withGuard(g);
    SecondPack s = d.second();
    if (s != null) {
      Guard own = branch(g);
      one = one.withSecond(s.withGuard(own));
    }
    return thicker(one);
  }

  /** With two packs the fuse is asked for their voltage and currents. */
  private static Guard fused(Design d, Guard g) {
    for (double size : FuseClass.CARTRIDGE.sizes()) {
      Guard tried =
          g.withFuse(f -> new Fuse(FuseClass.CARTRIDGE, size, FuseClass.CARTRIDGE.voltageRating()));
      Design one = d.withGuard(tried);
      SecondPack s = d.second();
      Design both = s == null ? one : one.withSecond(s.withGuard(branch(tried)));
      if (found(both).stream().noneMatch(f -> f.id().matches("(second\\.)?fuse\\..*"))) {
        return tried;
      }
    }
    return g;
  }

  private static Bms suited(Bms b, Design d, double volts) {
    double peak = d.duty().hardest().current();
    return b.withSeries(d.pack().series())
        .withMosfetVoltage(Math.max(b.mosfetVoltage(), Math.ceil(volts * 1.1)))
        .withChargeCurrent(Math.max(b.chargeCurrent(), d.guard().charge().current()))
        .withContinuousCurrent(Math.max(b.continuousCurrent(), peak))
        .withTrip(1.2 * Math.max(peak, b.continuousCurrent()), 1)
        .withBalance(new Bms.Balance(Bms.Balance.Kind.ACTIVE, 1 + d.pack().capacity() / 100))
        .withTemperatureSensors(2);
  }

  /** Takes thicker wire and stronger contacts until nothing in the path is short of them. */
  private static Design thicker(Design d) {
    Design now = d;
    for (int k = 0; k < 6; k++) {
      List<String> ids = found(now).stream().map(Finding::id).toList();
      if (ids.stream().noneMatch(SoundDesigns::path)) {
        return now;
      }
      Wiring w = now.guard().wiring();
      double more = Math.min(900e-6, w.wire().area() * 1.7);
      Design next =
          now.withGuard(
              now.guard()
                  .withWiring(
                      w.withWire(w.wire().withArea(more))
                          .withConnector(Shipped.parts().connectors().getLast()))
                  .withMainSwitch(Shipped.parts().switches().getLast())
                  .withChargePort(
                      now.guard()
                          .chargePort()
                          .withWire(now.guard().chargePort().wire().withArea(more))
                          .withPlug(Shipped.parts().connectors().getLast())));
      SecondPack s = next.second();
      now = s == null ? next : next.withSecond(s.withGuard(wider(s.guard(), more)));
    }
    return now;
  }

  private static Guard wider(Guard g, double area) {
    return g.withWiring(g.wiring().withWire(g.wiring().wire().withArea(area)))
        .withChargePort(
            g.chargePort()
                .withWire(g.chargePort().wire().withArea(area))
                .withPlug(Shipped.parts().connectors().getLast()));
  }

  private static boolean path(String id) {
    return id.matches("(second\\.)?(wire|sharedWire|switch|connector|charge).*");
  }

  /** What the stress table says, from warnings up. */
  public static List<Finding> found(Design d) {
    return read(d).stream().filter(f -> f.severity() != Severity.NOTE).toList();
  }

  /** What the stress table says. */
  public static List<Finding> read(Design d) {
    LaidOut built = LaidOut.of(d);
    return Judge.read(Circuit.of(built.chain(), built.layout()));
  }
}
