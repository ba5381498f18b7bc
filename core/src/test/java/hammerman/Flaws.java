package hammerman;

import hammerman.cell.CellType;
import hammerman.chain.Chain;
import hammerman.circuit.Circuit;
import hammerman.circuit.Link;
import hammerman.circuit.Part;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.duty.Duty;
import hammerman.duty.LeadBattery;
import hammerman.duty.Machine;
import hammerman.duty.Surroundings;
import hammerman.duty.Task;
import hammerman.guard.Bms;
import hammerman.guard.ChargePlan;
import hammerman.guard.ChargePort;
import hammerman.guard.Connector;
import hammerman.guard.Fuse;
import hammerman.guard.FuseClass;
import hammerman.guard.Fusing;
import hammerman.guard.Guard;
import hammerman.guard.Leads;
import hammerman.guard.Precharge;
import hammerman.guard.Protection;
import hammerman.guard.Switch;
import hammerman.guard.Wire;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Lot;
import hammerman.pack.Pack;
import hammerman.pack.Strip;
import hammerman.readymade.HardStart;
import hammerman.readymade.ReadyMade;
import hammerman.readymade.ReadyMadeUse;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

/**
 * Single flaws by part and stress: each is put into a sound design. A flaw of a pack's own parts is
 * put into a second pack as well.
 */
public final class Flaws {
  private final List<Flaw> all = new ArrayList<>();

  private Flaws() {}

  /**
   * A flaw.
   *
   * @param id of the row of the stress table that it must be found by
   * @param applies whether a sound design can have it
   * @param put puts it in
   */
  public record Flaw(String id, Predicate<Design> applies, UnaryOperator<Design> put) {}

  /** Returns the flaws. */
  public static List<Flaw> all() {
    Flaws f = new Flaws();
    f.cells();
    f.charging();
    f.bms();
    f.fuses();
    f.path();
    f.machine();
    f.junction();
    f.rest();
    return List.copyOf(f.all);
  }

  private static boolean any(Design d) {
    return true;
  }

  private static boolean path(Design d) {
    return d.guard().protection().inDischargePath().isPresent();
  }

  /** Whether each cell's strip has some current, but none beyond what strip is sold for. */
  private static boolean some(Design d) {
    double each = d.duty().hardest().current() / d.pack().parallel();
    return each > 2 && each < 30;
  }

  private static boolean one(Design d) {
    return d.second() == null;
  }

  private static Predicate<Design> joined(Joining how) {
    return d -> d.second() != null && d.second().joining() == how;
  }

  private void add(String id, Predicate<Design> applies, UnaryOperator<Design> put) {
    all.add(new Flaw(id, applies, put));
  }

  /** A flaw of a pack's own parts: in the first, and in the second where there is one. */
  private void guard(String id, Predicate<Guard> applies, UnaryOperator<Guard> put) {
    add(id, d -> applies.test(d.guard()), d -> d.withGuard(put.apply(d.guard())));
    add(
        "second." + id,
        d -> d.second() != null && applies.test(d.second().guard()),
        d -> {
          SecondPack s = Objects.requireNonNull(d.second());
          return d.withSecond(s.withGuard(put.apply(s.guard())));
        });
  }

  private void pack(String id, Predicate<Pack> applies, UnaryOperator<Pack> put) {
    add(id, d -> applies.test(d.pack()), d -> d.withPack(put.apply(d.pack())));
    add(
        "second." + id,
        d -> d.second() != null && applies.test(d.second().pack()),
        d -> {
          SecondPack s = Objects.requireNonNull(d.second());
          return d.withSecond(s.withPack(put.apply(s.pack())));
        });
  }

  private void cell(String id, UnaryOperator<CellType> put) {
    pack(id, p -> true, p -> p.withCell(put.apply(p.cell())));
  }

  private static Design duty(Design d, UnaryOperator<Duty> change) {
    return d.withDuty(change.apply(d.duty()));
  }

  private static Design machine(Design d, UnaryOperator<Machine> change) {
    return duty(d, x -> x.withMachine(change.apply(x.machine())));
  }

  private static Design air(Design d, UnaryOperator<Surroundings> change) {
    return duty(d, x -> x.withSurroundings(change.apply(x.surroundings())));
  }

  private static Design hardest(Design d, double amperes, double seconds) {
    return machine(
        duty(d, x -> x.withHardest(x.hardest().withCurrent(amperes).withDuration(seconds))),
        m -> m.withPeakCurrent(Math.max(m.peakCurrent(), amperes)));
  }

  private static Design braking(Design d, double amperes) {
    return machine(d, m -> m.withRegenerationCurrent(amperes));
  }

  private static boolean hasBms(Guard g) {
    return g.protection().bms().isPresent();
  }

  private static boolean hasPath(Guard g) {
    return g.protection().inDischargePath().isPresent();
  }

  private static Guard bms(Guard g, UnaryOperator<Bms> change) {
    return g.withProtection(g.protection().withBms(change));
  }

  private static double volts(Design d) {
    return Chain.of(d).supply().highest();
  }

  private void cells() {
    add(
        "cell.current",
        d -> one(d) && path(d),
        d -> hardest(d, 1.05 * d.pack().parallel() * d.pack().cell().currents().peak(), 8));
    // Short enough for a ten-second rating, but minutes long.
    add(
        "cell.current",
        d -> one(d) && path(d),
        d ->
            hardest(
                d,
                0.5
                    * d.pack().parallel()
                    * (d.pack().cell().currents().peak() + d.pack().cell().currents().continuous()),
                300));
    add(
        "second.cell.current",
        joined(Joining.SERIES),
        d -> hardest(d, 1.05 * d.pack().parallel() * d.pack().cell().currents().peak(), 8));
    add(
        "cell.effort",
        d -> one(d) && path(d),
        d ->
            machine(
                d,
                m ->
                    m.withFullEffortCurrent(
                        1.1 * d.pack().parallel() * d.pack().cell().currents().continuous())));
    add(
        "cell.alone",
        joined(Joining.PARALLEL),
        d -> hardest(d, 1.1 * d.pack().parallel() * d.pack().cell().currents().peak(), 8));
    add(
        "cell.brake",
        d -> one(d) && path(d),
        d ->
            braking(
                d.withGuard(bms(d.guard(), b -> b.withChargeCurrent(5000))),
                1.1 * d.pack().parallel() * d.pack().cell().currents().fastCharge()));
    add(
        "cell.brakeCold",
        d -> one(d),
        d ->
            air(
                braking(d, 1),
                a -> a.withColdestInUse(d.pack().cell().temperatures().chargeLowest() - 5)));
    add("cell.brakeFull", d -> one(d) && !path(d), d -> braking(d, 1));
    add(
        "second.cell.brakeFull",
        d -> joined(Joining.PARALLEL).test(d) && !path(d),
        d -> braking(d, 2));
    add(
        "cell.cold",
        Flaws::any,
        d -> air(d, a -> a.withColdestInUse(d.pack().cell().temperatures().dischargeLowest() - 1)));
    add(
        "cell.hot",
        Flaws::any,
        d ->
            air(d, a -> a.withHottestInUse(d.pack().cell().temperatures().dischargeHighest() + 2)));
    add(
        "cell.low",
        d -> one(d) && !path(d),
        d -> machine(d, m -> m.withCutOutVoltage(m.cutOutVoltage() * 0.9)));
    guard("cell.low", Flaws::hasPath, g -> bms(g, b -> b.withCutOffVoltage(0.6)));
    // A fuse and a BMS far above what the cells stand.
    add(
        "cell.overload",
        d ->
            one(d)
                && path(d)
                && d.pack().series() > 2
                && d.guard().fusing() instanceof Fusing.MainFuse,
        d -> {
          double stands = d.pack().parallel() * d.pack().cell().currents().peak();
          return d.withGuard(
              bms(d.guard(), b -> b.withTrip(6 * stands, 1).withTemperatureSensors(2))
                  .withFuse(
                      f -> new Fuse(f.kind(), Math.min(4000, 5 * stands), f.voltageRating())));
        });
    pack("cell.lot", p -> p.series() > 1 && p.parallel() < 6, p -> p.withLot(Lot.UNKNOWN));
    cell("cell.figure", c -> c.withFullVoltage(c.fullVoltage() + 0.7));
    cell("cell.figureLow", c -> c.withCutOffVoltage(0.6));
    cell(
        "cell.figureCold", c -> c.withTemperatures(c.temperatures().withChargeLowest(273.15 - 40)));
    cell(
        "cell.figureHot",
        c -> c.withTemperatures(c.temperatures().withDischargeHighest(273.15 + 95)));
    Strip thin = Strip.plain(ConductorMaterial.NICKEL, 0.02e-3, 0.5e-3, 1);
    add("strip.current", d -> one(d) && some(d), d -> d.withPack(d.pack().withStrip(thin)));
    add(
        "second.strip.current",
        d -> joined(Joining.SERIES).test(d) && some(d),
        d -> {
          SecondPack s = Objects.requireNonNull(d.second());
          return d.withSecond(s.withPack(s.pack().withStrip(thin)));
        });
    add(
        "strip.effort",
        d -> one(d) && path(d),
        d ->
            machine(
                d,
                m ->
                    m.withFullEffortCurrent(
                        1.1 * d.pack().parallel() * d.pack().strip().ampacity())));
    add(
        "strip.overload",
        d -> d.fit() == null && one(d) && path(d) && d.guard().fusing() instanceof Fusing.MainFuse,
        d -> {
          double hard = d.duty().hardest().current();
          Design late =
              d.withGuard(
                  bms(d.guard(), b -> b.withTrip(9000, 1)).withFuse(f -> f.withRating(3 * hard)));
          return late.withPack(late.pack().withStrip(carrying(1.1 * hard / d.pack().parallel())));
        });
  }

  /** A strip that just carries a current, A. */
  private static Strip carrying(double amperes) {
    double width = 0.5e-3;
    while (strip(width).ampacity() < amperes) {
      width *= 1.05;
    }
    return strip(width);
  }

  private static Strip strip(double width) {
    return Strip.plain(ConductorMaterial.COPPER, 0.1e-3, width, 1);
  }

  private void charging() {
    guard("cell.charge", g -> true, g -> g.withCharge(g.charge().withCurrent(4000)));
    add(
        "cell.chargeCold",
        Flaws::any,
        d -> air(d, a -> a.withColdestCharging(d.pack().cell().temperatures().chargeLowest() - 3)));
    add(
        "cell.chargeHot",
        Flaws::any,
        d ->
            air(d, a -> a.withHottestCharging(d.pack().cell().temperatures().chargeHighest() + 3)));
    guard(
        "cell.overcharge",
        g -> true,
        g -> g.withCharge(g.charge().withVoltage(g.charge().voltage() * 1.012)));
    guard("cell.overcharge", g -> true, g -> g.withCharge(g.charge().withTolerance(0.02)));
    guard(
        "cell.undercharge",
        g -> true,
        g -> g.withCharge(g.charge().withVoltage(g.charge().voltage() * 0.75)));
    guard("charger.match", g -> true, g -> g.withCharge(g.charge().withKind(ChargePlan.Kind.LEAD)));
    guard(
        "charger.match", g -> true, g -> g.withCharge(g.charge().withKind(ChargePlan.Kind.SUPPLY)));
    guard("charger.time", g -> true, g -> g.withCharge(g.charge().withCurrent(0.01)));
    guard("chargeFuse.none", g -> true, g -> g.withChargePort(g.chargePort().withFuse(null)));
    guard(
        "chargeFuse.charge",
        g -> true,
        g -> port(g, f -> f.withRating(g.charge().current() * 1.1)));
    guard("chargeFuse.voltage", g -> true, g -> port(g, f -> f.withVoltageRating(1)));
    guard("chargeFuse.figure", g -> true, g -> port(g, f -> f.withVoltageRating(500)));
    add(
        "chargeFuse.short",
        d -> short1(d) > 1050 && volts(d) <= 58,
        d -> d.withGuard(port(d.guard(), f -> f.withKind(FuseClass.BLADE))));
    guard(
        "chargeLead.charge",
        g -> true,
        g -> g.withChargePort(g.chargePort().withWire(thin(g.chargePort().wire()))));
    guard(
        "chargeLead.length",
        g -> !(g.fusing() instanceof Fusing.MainAndCells),
        g -> g.withChargePort(g.chargePort().withBeforeFuse(1.4)));
    guard(
        "chargeLead.figure",
        g -> true,
        g ->
            g.withChargePort(
                g.chargePort().withWire(g.chargePort().wire().withInsulationLimit(573.15))));
    add(
        "chargeLead.withstand",
        d -> !path(d) && d.guard().fusing() instanceof Fusing.MainFuse && short1(d) > 400,
        d ->
            d.withGuard(
                port(d.guard(), f -> f.withRating(300))
                    .withCharge(d.guard().charge().withCurrent(0.5))
                    .withChargePort(
                        portOf(d.guard(), 300)
                            .withWire(d.guard().chargePort().wire().withArea(0.3e-6)))));
    add(
        "chargePlug.withstand",
        d -> !path(d) && d.guard().fusing() instanceof Fusing.MainFuse && short1(d) > 900,
        d ->
            d.withGuard(
                d.guard()
                    .withChargePort(
                        portOf(d.guard(), 300)
                            .withWire(d.guard().chargePort().wire().withArea(70e-6))
                            .withPlug(new Connector("Small", 2, 3, 1e-3, 600, false)))));
    guard(
        "chargePlug.charge",
        g -> true,
        g ->
            g.withChargePort(
                g.chargePort().withPlug(new Connector("Small", 0.1, 0.1, 1e-3, 600, false))));
    guard(
        "chargePlug.voltage",
        g -> true,
        g ->
            g.withChargePort(
                g.chargePort().withPlug(new Connector("Low", 60, 90, 1e-3, 1, false))));
  }

  private static double short1(Design d) {
    return Circuit.of(Chain.of(d), Optional.empty()).shortCircuitCurrent(false);
  }

  private static Guard port(Guard g, UnaryOperator<Fuse> change) {
    return g.withChargePort(
        g.chargePort().withFuse(change.apply(Objects.requireNonNull(g.chargePort().fuse()))));
  }

  private static ChargePort portOf(Guard g, double rating) {
    return g.chargePort()
        .withFuse(Objects.requireNonNull(g.chargePort().fuse()).withRating(rating));
  }

  private static Wire thin(Wire w) {
    return w.withArea(0.01e-6);
  }

  private void bms() {
    add(
        "bms.none",
        Flaws::one,
        d ->
            d.withGuard(
                d.guard().withProtection(new Protection.None()).withFusing(new Fusing.BmsOnly())));
    guard("bms.none", g -> true, g -> g.withProtection(new Protection.None()));
    guard("bms.count", Flaws::hasBms, g -> bms(g, b -> b.withSeries(b.series() + 1)));
    add(
        "bms.current",
        d -> one(d) && path(d),
        d -> d.withGuard(bms(d.guard(), b -> b.withContinuousCurrent(0.1).withOverCurrent(0.2))));
    add("bms.effort", d -> one(d) && path(d), d -> machine(d, m -> m.withFullEffortCurrent(900)));
    add(
        "bms.trip",
        d -> one(d) && path(d),
        d -> d.withGuard(bms(d.guard(), b -> b.withTrip(d.duty().hardest().current() * 0.98, 1))));
    guard(
        "bms.charge",
        Flaws::hasBms,
        g -> bms(g, b -> b.withChargeCurrent(g.charge().current() * 0.9)));
    add(
        "bms.brake",
        d -> one(d) && path(d),
        d -> braking(d.withGuard(bms(d.guard(), b -> b.withChargeCurrent(20))), 21));
    guard("bms.voltage", Flaws::hasBms, g -> bms(g, b -> b.withMosfetVoltage(1)));
    add(
        "bms.voltage",
        d -> joined(Joining.SERIES).test(d) && path(d),
        d -> d.withGuard(bms(d.guard(), b -> b.withMosfetVoltage(0.6 * volts(d)))));
    guard(
        "bms.overcharge",
        Flaws::hasBms,
        g -> bms(g, b -> b.withOverVoltage(b.overVoltage() + 0.1)));
    guard(
        "bms.interrupted",
        Flaws::hasBms,
        g -> bms(g, b -> b.withOverVoltage(b.overVoltage() - 0.1)));
    add(
        "bms.unused",
        Flaws::path,
        d ->
            d.withGuard(
                bms(
                    d.guard(),
                    b -> b.withCutOffVoltage(d.pack().cell().openCircuit().value(0.25)))));
    guard(
        "bms.balance",
        Flaws::hasBms,
        g -> bms(g, b -> b.withBalance(new Bms.Balance(Bms.Balance.Kind.PASSIVE, 0))));
    guard("bms.sensor", Flaws::hasBms, g -> bms(g, b -> b.withTemperatureSensors(0)));
  }

  private void fuses() {
    guard("fuse.none", Flaws::hasPath, g -> g.withFusing(new Fusing.BmsOnly()));
    guard("fuse.none", g -> !hasPath(g), g -> g.withFusing(new Fusing.BmsOnly()));
    guard("fuse.voltage", g -> true, g -> g.withFuse(f -> f.withVoltageRating(1)));
    add(
        "fuse.voltage",
        d -> joined(Joining.SERIES).test(d) && volts(d) > 60,
        d -> d.withGuard(d.guard().withFuse(f -> f.withVoltageRating(0.6 * volts(d)))));
    guard("fuse.figure", g -> true, g -> g.withFuse(f -> f.withVoltageRating(500)));
    add(
        "fuse.short",
        d -> short1(d) > 1050 && volts(d) <= 58,
        d -> d.withGuard(d.guard().withFuse(f -> f.withKind(FuseClass.BLADE))));
    guard("fuse.current", g -> true, g -> g.withFuse(f -> f.withRating(0.1)));
    add("fuse.effort", Flaws::one, d -> machine(d, m -> m.withFullEffortCurrent(900)));
    add(
        "fuse.clears",
        d -> one(d) && !path(d) && d.guard().fusing() instanceof Fusing.MainFuse,
        d ->
            d.withGuard(
                d.guard()
                    .withFuse(f -> f.withRating(Math.min(5000, short1(d))))
                    .withWiring(
                        d.guard().wiring().withWire(d.guard().wiring().wire().withArea(1000e-6)))));
    guard(
        "lead.length",
        g -> true,
        g -> g.withWiring(g.wiring().withLeads(g.wiring().leads().withPackToFuse(0.5))));
    guard(
        "lead.length",
        g -> true,
        g -> g.withWiring(g.wiring().withLeads(g.wiring().leads().withPackToFuse(2))));
    guard(
        "cellFuse.current",
        g -> g.fusing() instanceof Fusing.MainAndCells,
        g -> g.withFusing(new Fusing.MainAndCells(g.fuse().orElseThrow(), 0.1)));
    add(
        "cellFuse.effort",
        d -> one(d) && d.guard().fusing() instanceof Fusing.MainAndCells,
        d -> machine(d, m -> m.withFullEffortCurrent(2500)));
    add(
        "cellFuse.clears",
        d -> d.guard().fusing() instanceof Fusing.MainAndCells && d.pack().parallel() > 1,
        d ->
            d.withGuard(
                d.guard()
                    .withFusing(new Fusing.MainAndCells(d.guard().fuse().orElseThrow(), 900))));
  }

  private void path() {
    add("wire.current", Flaws::one, d -> d.withGuard(wire(d.guard(), Flaws::thin)));
    add("wire.effort", Flaws::one, d -> machine(d, m -> m.withFullEffortCurrent(3000)));
    add(
        "wire.overload",
        d -> one(d) && path(d),
        d ->
            d.withGuard(
                bms(
                    wire(
                            d.guard(),
                            w -> w.withArea(1.2 * w.areaFor(d.duty().hardest().current(), 301.15)))
                        .withFuse(
                            f -> f.withRating(Math.min(5000, 5 * d.duty().hardest().current()))),
                    b -> b.withTrip(9000, 1))));
    withstand("wire.withstand", d -> little(d) && one(d), Part.Kind.WIRE);
    withstand(
        "sharedWire.withstand",
        d -> little(d) && joined(Joining.PARALLEL).test(d),
        Part.Kind.SHARED_WIRE);
    withstand(
        "strip.withstand",
        d -> little(d) && one(d) && d.pack().cell().r10() > 10e-3,
        Part.Kind.STRIPS);
    withstand("switch.withstand", d -> little(d) && one(d), Part.Kind.SWITCH);
    withstand("connector.withstand", d -> little(d) && one(d), Part.Kind.CONNECTORS);
    guard("wire.figure", g -> true, g -> wire(g, w -> w.withInsulationLimit(573.15)));
    add(
        "wire.drop",
        d -> one(d) && d.pack().series() > 9,
        d ->
            d.withGuard(
                d.guard()
                    .withWiring(d.guard().wiring().withLeads(new Leads(0.1, 95, 95, 95, 95)))));
    // Each pack has its fuse; the lead that both share has neither's.
    add(
        "sharedWire.overload",
        joined(Joining.PARALLEL),
        d -> {
          double hard = d.duty().hardest().current();
          SecondPack s = Objects.requireNonNull(d.second());
          Guard g =
              wire(d.guard(), w -> w.withArea(1.1 * w.areaFor(1.1 * hard, 301.15)))
                  .withFuse(f -> f.withRating(1.3 * hard));
          return d.withGuard(bms(g, b -> b.withTrip(9000, 1)))
              .withSecond(
                  s.withGuard(
                      bms(
                          s.guard().withFuse(f -> f.withRating(1.3 * hard)),
                          b -> b.withTrip(9000, 1))));
        });
    add("sharedWire.current", d -> !one(d), d -> d.withGuard(wire(d.guard(), Flaws::thin)));
    add("sharedWire.effort", d -> !one(d), d -> machine(d, m -> m.withFullEffortCurrent(3000)));
    add("switch.none", Flaws::any, d -> d.withGuard(d.guard().withMainSwitch(null)));
    add("switch.voltage", Flaws::any, d -> d.withGuard(withSwitch(d, 300, 0.6 * volts(d))));
    add("switch.current", Flaws::any, d -> d.withGuard(withSwitch(d, 0.1, 600)));
    add("switch.effort", Flaws::one, d -> machine(d, m -> m.withFullEffortCurrent(900)));
    add(
        "switch.overload",
        d -> one(d) && path(d),
        d ->
            bigFuse(d, 8)
                .withGuard(
                    bigFuse(d, 8)
                        .guard()
                        .withMainSwitch(
                            new Switch("Small", 1.4 * d.duty().hardest().current(), 600, 1e-3))));
    add("connector.voltage", Flaws::any, d -> d.withGuard(plug(d, 300, 400, 0.6 * volts(d))));
    add("connector.current", Flaws::any, d -> d.withGuard(plug(d, 0.1, 0.1, 600)));
    add("connector.effort", Flaws::one, d -> machine(d, m -> m.withFullEffortCurrent(900)));
    add(
        "connector.overload",
        d -> one(d) && path(d),
        d -> {
          Design big = bigFuse(d, 8);
          double hard = d.duty().hardest().current();
          return big.withGuard(plug(big, 1.4 * hard, 1.5 * hard, 600));
        });
    add(
        "precharge.none",
        Flaws::any,
        d -> machine(d.withGuard(d.guard().withPrecharge(null)), m -> m.withInputCapacitance(0.9)));
    // A pre-charging plug does not help where a switch closes after it.
    add(
        "precharge.none",
        d -> volts(d) > 20 && d.guard().precharge() == null,
        d ->
            machine(
                d.withGuard(
                    d.guard()
                        .withWiring(
                            d.guard()
                                .wiring()
                                .withConnector(new Connector("Soft", 300, 400, 1e-4, 600, true)))),
                m -> m.withInputCapacitance(0.01)));
    add(
        "precharge.energy",
        Flaws::any,
        d ->
            machine(
                d.withGuard(d.guard().withPrecharge(new Precharge(1000, 0.05))),
                m -> m.withInputCapacitance(0.9)));
    add(
        "precharge.spark",
        d -> volts(d) > 3,
        d -> d.withGuard(d.guard().withPrecharge(new Precharge(volts(d) / 12, 100))));
    add(
        "precharge.time",
        Flaws::any,
        d ->
            machine(
                d.withGuard(d.guard().withPrecharge(new Precharge(100_000, 100))),
                m -> m.withInputCapacitance(1e-3)));
  }

  /** Much short-circuit current, and no BMS in the way of it. */
  private static boolean little(Design d) {
    return !path(d)
        && d.pack().series() > 2
        && d.guard().fusing() instanceof Fusing.MainFuse
        && short1(d) > 1500;
  }

  /** The same pack for a duty of a few watts. */
  private static Design idle(Design d) {
    return duty(
        hardest(d, 3, 8),
        x ->
            x.withMachine(x.machine().withFullEffortCurrent(2).withPeakCurrent(4))
                .withTask(new Task.ByTime(1, 3600)));
  }

  /** A part that stands the weakest short circuit until its fuse opens, but not the strongest. */
  private void withstand(String id, Predicate<Design> applies, Part.Kind kind) {
    add(
        id,
        applies,
        d -> {
          Design now = idle(d).withGuard(d.guard().withFuse(f -> f.withRating(5)));
          SecondPack s = now.second();
          if (s != null) {
            now = now.withSecond(s.withGuard(s.guard().withFuse(f -> f.withRating(5))));
          }
          Link link =
              Circuit.of(Chain.of(now), Optional.empty()).links().stream()
                  .filter(l -> l.part().kind() == kind)
                  .findFirst()
                  .orElseThrow();
          double aim = Math.pow(link.leastFault(), 0.3) * Math.pow(link.mostFault(), 0.7);
          // 1.5 times its current for ten seconds, with I² t constant, at the 3 ms of the fuse.
          double tenSeconds = aim / 1.5 / Math.sqrt(10 / 3e-3);
          return switch (kind) {
            case SWITCH ->
                now.withGuard(
                    now.guard()
                        .withMainSwitch(new Switch("Small", tenSeconds / Math.sqrt(6), 600, 1e-3)));
            case CONNECTORS -> now.withGuard(plug(now, 0.8 * tenSeconds, tenSeconds, 600));
            case STRIPS ->
                now.withPack(now.pack().withStrip(enduring(aim / now.pack().parallel())));
            default -> now.withGuard(wire(now.guard(), w -> w.withArea(enduring(w, aim))));
          };
        });
  }

  private static double enduring(Wire w, double amperes) {
    double area = 0.05e-6;
    while (w.withArea(area).damageCurrent(301.15, 3e-3) < amperes) {
      area *= 1.05;
    }
    return area;
  }

  private static Strip enduring(double amperes) {
    double width = 0.5e-3;
    while (Math.sqrt(5) * strip(width).shortTimeAmpacity(3e-3) < amperes) {
      width *= 1.05;
    }
    return strip(width);
  }

  private static Guard wire(Guard g, UnaryOperator<Wire> change) {
    return g.withWiring(g.wiring().withWire(change.apply(g.wiring().wire())));
  }

  private static Guard withSwitch(Design d, double amperes, double volts) {
    return d.guard().withMainSwitch(new Switch("Other", amperes, Math.max(1, volts), 1e-3));
  }

  private static Guard plug(Design d, double continuous, double peak, double volts) {
    return d.guard()
        .withWiring(
            d.guard()
                .wiring()
                .withConnector(
                    new Connector("Other", continuous, peak, 1e-4, Math.max(1, volts), false)));
  }

  /** Fuse and BMS that open far too late. */
  private static Design bigFuse(Design d, double times) {
    return d.withGuard(
        bms(
            wire(d.guard(), w -> w.withArea(500e-6))
                .withFuse(f -> f.withRating(Math.min(5000, times * d.duty().hardest().current()))),
            b -> b.withTrip(9000, 1)));
  }

  private void machine() {
    add("machine.voltage", Flaws::any, d -> machine(d, m -> m.withMaximumVoltage(0.97 * volts(d))));
    add(
        "machine.overcharge",
        Flaws::one,
        d ->
            machine(
                d.withGuard(d.guard().withCharge(d.guard().charge().withVoltage(0.97 * volts(d)))),
                m -> m.withMaximumVoltage(0.98 * volts(d))));
    // A reserve or diode-joined pack of more voltage reaches the machine too.
    add(
        "machine.voltage",
        d -> joined(Joining.DIODES).test(d) || joined(Joining.SWITCH_OVER).test(d),
        d -> {
          SecondPack s = Objects.requireNonNull(d.second());
          double per = s.guard().charge().voltage() / s.pack().series();
          int more = s.pack().series() + 1 + s.pack().series() / 3;
          return d.withSecond(
              s.withPack(s.pack().withCounts(more, s.pack().parallel()))
                  .withGuard(s.guard().withCharge(s.guard().charge().withVoltage(per * more))));
        });
    add(
        "machine.floor",
        Flaws::any,
        d -> machine(d, m -> m.withCutOutVoltage(0.99 * openCircuit(d, 0.6))));
    add(
        "machine.match",
        d -> volts(d) > 6,
        d -> duty(d, x -> x.withReplaces(new LeadBattery(2 * Math.floor(volts(d) / 2.6), 20))));
    add(
        "pack.touch",
        d -> volts(d) <= 60 && one(d),
        d ->
            machine(
                d.withCounts(
                    (int) Math.ceil(62 / d.pack().cell().fullVoltage()), d.pack().parallel()),
                m -> m.withMaximumVoltage(100)));
    add(
        "pack.touch",
        d -> joined(Joining.SERIES).test(d) && d.pack().fullVoltage() <= 60 && volts(d) > 60,
        d -> d);
    ReadyMade battery = new ReadyMade(Samples.cell("p18650"), 10, 2, 40, 0.05, 2.6);
    add(
        "readyMade.match",
        Flaws::any,
        d ->
            machine(d, m -> m.withMaximumVoltage(Math.max(50, m.maximumVoltage())))
                .withReadyMade(new ReadyMadeUse(battery, new HardStart(0.25, 0.4, 8, 0, null))));
    add(
        "readyMade.voltage",
        d -> d.duty().machine().maximumVoltage() < 42,
        d -> d.withReadyMade(new ReadyMadeUse(battery, new HardStart(0.25, 0.4, 8, 8, 30.0))));
  }

  private static double openCircuit(Design d, double soc) {
    var s = Chain.of(d).supply();
    return d.second() != null && d.second().joining() == Joining.SERIES
        ? s.first().openCircuit(soc) + s.second().orElseThrow().openCircuit(soc)
        : s.first().openCircuit(soc);
  }

  private void junction() {
    add(
        "junction.gap",
        d -> joined(Joining.PARALLEL).test(d) && d.pack().series() > 2,
        d -> d.withSecond(Objects.requireNonNull(d.second()).withSoc(0).withFirstSoc(1)));
    add(
        "junction.brakeCold",
        joined(Joining.PARALLEL),
        d ->
            air(
                d.withSecond(Objects.requireNonNull(d.second()).withSoc(0.85)),
                a -> a.withColdestInUse(d.pack().cell().temperatures().chargeLowest() - 1)));
    add(
        "junction.unequal",
        joined(Joining.PARALLEL),
        d -> {
          SecondPack s = Objects.requireNonNull(d.second());
          return d.withSecond(
              s.withPack(s.pack().withCounts(s.pack().series() + 1, s.pack().parallel())));
        });
    add(
        "junction.match",
        joined(Joining.PARALLEL),
        d -> {
          SecondPack s = Objects.requireNonNull(d.second());
          CellType other =
              Samples.cell(d.pack().cell().chemistry().label().equals("NMC") ? "m18650" : "b21700");
          return d.withSecond(s.withPack(s.pack().withCell(other)));
        });
    add(
        "junction.capacity",
        joined(Joining.SERIES),
        d -> {
          SecondPack s = Objects.requireNonNull(d.second());
          return d.withSecond(
              s.withPack(s.pack().withCounts(s.pack().series(), s.pack().parallel() + 1)));
        });
  }

  private void rest() {
    add(
        "pack.days",
        d -> d.guard().mainSwitch() != null,
        d -> machine(d.withGuard(d.guard().withMainSwitch(null)), m -> m.withStandingCurrent(50)));
    guard("pack.days", Flaws::hasBms, g -> bms(g, b -> b.withQuiescentCurrent(10)));
    add(
        "pack.storedFull",
        Flaws::any,
        d -> duty(d, x -> x.withHabits(x.habits().withStorageSoc(0.95))));
    add(
        "pack.storedEmpty",
        Flaws::any,
        d -> duty(d, x -> x.withHabits(x.habits().withStorageSoc(0.05))));
    add("pack.storedHot", Flaws::any, d -> air(d, a -> a.withHottestStored(320)));
    add(
        "pack.storedHot",
        Flaws::any,
        d ->
            air(
                duty(d, x -> x.withHabits(x.habits().withStorageSoc(0.85))),
                a -> a.withHottestStored(310)));
  }
}
