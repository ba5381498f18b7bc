package hammerman.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.Samples;
import hammerman.cell.Health;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.duty.Drive;
import hammerman.duty.Duty;
import hammerman.duty.Task;
import hammerman.finding.Finding;
import hammerman.finding.Severity;
import hammerman.fit.Arrangement;
import hammerman.fit.FitPlan;
import hammerman.fit.Grouping;
import hammerman.fit.Outline;
import hammerman.forecast.Forecast;
import hammerman.guard.Bms;
import hammerman.guard.Connector;
import hammerman.guard.FuseClass;
import hammerman.guard.Fusing;
import hammerman.guard.Guard;
import hammerman.guard.Precharge;
import hammerman.guard.Protection;
import hammerman.guard.Switch;
import hammerman.guard.Wire;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Strip;
import hammerman.pack.TakeOff;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

/** Each flaw on an otherwise sound design, and its repair: the judgement on the first only. */
class JudgeTest {
  /** The barrow with a lower cut-out and a shorter day, so that nothing is left to object to. */
  private static final Design SOUND =
      duty(
          Samples.barrow().withFit(null),
          d ->
              d.withMachine(d.machine().withCutOutVoltage(36))
                  .withTask(((Task.ByRound) d.task()).withRounds(8)));

  private record Flaw(
      String id, Severity severity, UnaryOperator<Design> flawed, UnaryOperator<Design> repaired) {}

  private static Design duty(Design d, UnaryOperator<Duty> change) {
    return d.withDuty(change.apply(d.duty()));
  }

  private static Design fuse(Design d, double rating) {
    return Samples.withGuard(d, g -> g.withFuse(f -> f.withRating(rating)));
  }

  private static Design charge(Design d, double volts) {
    return Samples.withGuard(d, g -> g.withCharge(g.charge().withVoltage(volts)));
  }

  private static Design charger(Design d, double amperes) {
    return Samples.withGuard(d, g -> g.withCharge(g.charge().withCurrent(amperes)));
  }

  private static Design bms(Design d, UnaryOperator<Bms> change) {
    return Samples.withBms(d, change);
  }

  private static Design reduction(Design d, double ratio) {
    return duty(d, x -> x.withMachine(x.machine().withDrive(Drive.TYPICAL.withReduction(ratio))));
  }

  private static Design regen(Design d, double amperes) {
    return duty(d, x -> x.withMachine(x.machine().withRegenerationCurrent(amperes)));
  }

  private static Design hardest(Design d, double amperes, double seconds) {
    return duty(d, x -> x.withHardest(x.hardest().withCurrent(amperes).withDuration(seconds)));
  }

  private static Design maximum(Design d, double volts) {
    return duty(d, x -> x.withMachine(x.machine().withMaximumVoltage(volts)));
  }

  private static Design rounds(Design d, int n) {
    return duty(d, x -> x.withTask(((Task.ByRound) x.task()).withRounds(n)));
  }

  private static Design steady(Design d, double watts) {
    return duty(d, x -> x.withTask(new Task.ByTime(watts, 900)));
  }

  private static Design none(Design d) {
    return Samples.withGuard(d, g -> g.withProtection(new Protection.None()));
  }

  private static Design chargeOnly(Design d) {
    return Samples.withGuard(
        d, g -> g.withProtection(new Protection.ChargeOnly(g.protection().bms().orElseThrow())));
  }

  private static Guard wire(Guard g, UnaryOperator<Wire> change) {
    return g.withWiring(g.wiring().withWire(change.apply(g.wiring().wire())));
  }

  private static Design area(Design d, double squareMillimetres) {
    return Samples.withGuard(d, g -> wire(g, w -> w.withArea(squareMillimetres * 1e-6)));
  }

  private static Design fuseVolts(Design d, double volts) {
    return Samples.withGuard(d, g -> g.withFuse(f -> f.withVoltageRating(volts)));
  }

  /** Where a limit is written in the second column, the value lies exactly on it. */
  private static List<Flaw> flaws() {
    return List.of(
        new Flaw(
            "voltage.aboveMachine", Severity.STOP, d -> maximum(d, 54.5), d -> maximum(d, 54.6)),
        new Flaw(
            "voltage.aboveMachine",
            Severity.WARN,
            d -> maximum(charge(d, 53), 54),
            d -> maximum(charge(d, 53), 54.6)),
        new Flaw(
            "voltage.cutsOutUnderLoad",
            Severity.WARN,
            d -> duty(d, x -> x.withMachine(x.machine().withCutOutVoltage(41))),
            d -> duty(d, x -> x.withMachine(x.machine().withCutOutVoltage(39)))),
        new Flaw(
            "voltage.cutsOutUnderLoad",
            Severity.STOP,
            d -> duty(d, x -> x.withMachine(x.machine().withCutOutVoltage(46))),
            d -> d),
        new Flaw(
            "voltage.touch",
            Severity.WARN,
            d -> maximum(d.withCounts(15, 6), 80),
            d -> maximum(d.withCounts(14, 6), 80)),
        new Flaw(
            "voltage.noCutOff",
            Severity.STOP,
            d -> duty(none(d), x -> x.withMachine(x.machine().withCutOutVoltage(32))),
            d -> duty(none(d), x -> x.withMachine(x.machine().withCutOutVoltage(32.5)))),
        new Flaw(
            "cell.continuous",
            Severity.STOP,
            d -> steady(d.withCell(Samples.cell("r18650")), 1250),
            d -> steady(d.withCell(Samples.cell("r18650")), 900)),
        new Flaw("cell.peak", Severity.STOP, d -> hardest(d, 210.1, 5), d -> hardest(d, 210, 5)),
        new Flaw(
            "cell.peakTooLong", Severity.WARN, d -> hardest(d, 140, 11), d -> hardest(d, 140, 10)),
        new Flaw(
            "cell.cold",
            Severity.WARN,
            d -> duty(d, x -> x.withSurroundings(x.surroundings().withColdestInUse(252.15))),
            d -> duty(d, x -> x.withSurroundings(x.surroundings().withColdestInUse(253.15)))),
        new Flaw(
            "strip.continuous",
            Severity.WARN,
            d -> d.withPack(d.pack().withStrip(d.pack().strip().withSize(0.1e-3, 3e-3))),
            d -> d),
        new Flaw("bms.none", Severity.WARN, JudgeTest::none, d -> d),
        new Flaw("bms.none", Severity.NOTE, JudgeTest::chargeOnly, d -> d),
        new Flaw(
            "bms.series",
            Severity.STOP,
            d -> bms(d, b -> b.withSeries(14)),
            d -> bms(d, b -> b.withSeries(13))),
        new Flaw(
            "bms.continuous",
            Severity.STOP,
            d -> bms(d, b -> b.withContinuousCurrent(12)),
            d -> bms(d, b -> b.withContinuousCurrent(17))),
        new Flaw(
            "bms.peak",
            Severity.STOP,
            d -> bms(d, b -> b.withTrip(54.9, 2)),
            d -> bms(d, b -> b.withTrip(55, 2))),
        new Flaw(
            "bms.peak",
            Severity.WARN,
            d -> bms(d, b -> b.withTrip(54.9, 12)),
            d -> bms(d, b -> b.withTrip(55, 12))),
        new Flaw(
            "bms.chargeBelowCharger", Severity.STOP, d -> charger(d, 20.1), d -> charger(d, 20)),
        new Flaw(
            "bms.chargeBelowRegeneration", Severity.STOP, d -> regen(d, 20.1), d -> regen(d, 20)),
        new Flaw(
            "bms.cutOffTooLow",
            Severity.STOP,
            d -> bms(d, b -> b.withVoltages(2.49, 4.25)),
            d -> bms(d, b -> b.withVoltages(2.5, 4.25))),
        new Flaw(
            "bms.overVoltage",
            Severity.STOP,
            d -> bms(d, b -> b.withVoltages(2.8, 4.31)),
            d -> bms(d, b -> b.withVoltages(2.8, 4.30))),
        new Flaw(
            "bms.overVoltage",
            Severity.WARN,
            d -> bms(d, b -> b.withVoltages(2.8, 4.19)),
            d -> bms(d, b -> b.withVoltages(2.8, 4.2))),
        new Flaw("charge.aboveFull", Severity.STOP, d -> charge(d, 54.7), d -> charge(d, 54.6)),
        new Flaw("charge.farBelow", Severity.WARN, d -> charge(d, 49), d -> charge(d, 52)),
        new Flaw(
            "charge.cold",
            Severity.STOP,
            d -> duty(d, x -> x.withSurroundings(x.surroundings().withColdestCharging(272.15))),
            d -> duty(d, x -> x.withSurroundings(x.surroundings().withColdestCharging(273.15)))),
        new Flaw(
            "charge.cellCurrent",
            Severity.STOP,
            d -> charger(bms(d, b -> b.withChargeCurrent(50)), 36.1),
            d -> charger(bms(d, b -> b.withChargeCurrent(50)), 36)),
        new Flaw("fuse.nuisance", Severity.WARN, d -> fuse(d, 40), d -> fuse(d, 45)),
        new Flaw("fuse.unprotected", Severity.STOP, d -> fuse(d, 80), d -> fuse(d, 60)),
        new Flaw("fuse.voltage", Severity.STOP, d -> fuseVolts(d, 54), d -> fuseVolts(d, 54.6)),
        new Flaw(
            "fuse.interrupt",
            Severity.STOP,
            d -> Samples.withGuard(d, g -> g.withFuse(f -> f.withKind(FuseClass.BLADE))),
            d -> d),
        new Flaw("wire.continuous", Severity.STOP, d -> area(d, 0.75), d -> d),
        new Flaw("duty.energyShort", Severity.STOP, d -> rounds(d, 16), d -> rounds(d, 8)),
        new Flaw(
            "duty.tooHot",
            Severity.STOP,
            d -> duty(d, x -> x.withSurroundings(x.surroundings().withHottestInUse(331.65))),
            d -> d),
        new Flaw("duty.trips", Severity.STOP, d -> bms(d, b -> b.withTrip(30, 1)), d -> d),
        new Flaw("duty.shortWhenWorn", Severity.NOTE, d -> rounds(d, 11), d -> rounds(d, 10)),
        new Flaw(
            "duty.peakAboveMachine",
            Severity.NOTE,
            d -> hardest(d, 60.1, 12),
            d -> hardest(d, 60, 12)),
        new Flaw(
            "bounds.mass",
            Severity.WARN,
            d -> duty(d, x -> x.withBounds(x.bounds().withMass(6.1))),
            d -> duty(d, x -> x.withBounds(x.bounds().withMass(6.2)))),
        new Flaw(
            "bounds.budget",
            Severity.WARN,
            d -> duty(d, x -> x.withBounds(x.bounds().withBudget(405.0))),
            d -> duty(d, x -> x.withBounds(x.bounds().withBudget(405.6)))),
        new Flaw(
            "bounds.volume",
            Severity.WARN,
            d -> duty(d, x -> x.withBounds(x.bounds().withVolume(2.7e-3))),
            d -> duty(d, x -> x.withBounds(x.bounds().withVolume(d.pack().volume())))),
        new Flaw(
            "bounds.localPower",
            Severity.NOTE,
            d -> duty(d, x -> x.withBounds(x.bounds().withLocalPower(1000.0))),
            d -> duty(d, x -> x.withBounds(x.bounds().withLocalPower(1600.0)))),
        new Flaw("drive.tooFast", Severity.NOTE, d -> reduction(d, 18), d -> reduction(d, 36)),
        new Flaw("drive.tooSlow", Severity.NOTE, d -> reduction(d, 46), d -> reduction(d, 36)),
        new Flaw(
            "cell.figures",
            Severity.NOTE,
            d -> d.withCell(d.pack().cell().withMass(0.02)),
            d -> d.withCell(d.pack().cell().withMass(0.07))),
        new Flaw(
            "cell.reclaimed",
            Severity.NOTE,
            d -> d.withCell(d.pack().cell().withHealth(new Health(0.9, 1.2))),
            d -> d.withCell(d.pack().cell().withHealth(Health.NEW))));
  }

  private static Design guard(Design d, UnaryOperator<Guard> change) {
    return Samples.withGuard(d, change);
  }

  private static Design capacitors(Design d, double microfarads) {
    return duty(d, x -> x.withMachine(x.machine().withInputCapacitance(microfarads * 1e-6)));
  }

  private static Design precharge(Design d, double ohms, double watts) {
    return guard(d, g -> g.withPrecharge(new Precharge(ohms, watts)));
  }

  private static Design connector(Design d, double continuous, double peak, double volts) {
    Connector plug = new Connector("pair", continuous, peak, 0.4e-3, volts, false);
    return guard(d, g -> g.withWiring(g.wiring().withConnector(plug)));
  }

  private static Design mainSwitch(Design d, double amperes, double volts) {
    return guard(d, g -> g.withMainSwitch(new Switch("isolator", amperes, volts, 1e-3)));
  }

  private static Design cellFuses(Design d, double amperes) {
    return guard(d, g -> g.withFusing(new Fusing.MainAndCells(g.fuse().orElseThrow(), amperes)));
  }

  private static Design second(Design d, Joining joining, UnaryOperator<SecondPack> change) {
    SecondPack same = new SecondPack(d.pack(), joining, 1, 1, 3e-3, 150);
    return maximum(
        bms(d.withSecond(change.apply(same)), b -> b.withMosfetVoltage(150)),
        joining == Joining.SERIES ? 200 : 58);
  }

  /** What the guard's parts are judged by. */
  private static List<Flaw> partFlaws() {
    return List.of(
        new Flaw(
            "bms.mosfet",
            Severity.STOP,
            d -> bms(d, b -> b.withMosfetVoltage(54)),
            d -> bms(d, b -> b.withMosfetVoltage(54.6))),
        new Flaw(
            "bms.cutOffHigh",
            Severity.NOTE,
            d -> bms(d, b -> b.withVoltages(3.55, 4.25)),
            d -> bms(d, b -> b.withVoltages(3.4, 4.25))),
        new Flaw(
            "bms.balance",
            Severity.NOTE,
            d -> bms(d, b -> b.withBalance(new Bms.Balance(Bms.Balance.Kind.PASSIVE, 0.005))),
            d -> bms(d, b -> b.withBalance(new Bms.Balance(Bms.Balance.Kind.ACTIVE, 1)))),
        new Flaw(
            "bms.balance",
            Severity.NOTE,
            d -> bms(d, b -> b.withBalance(new Bms.Balance(Bms.Balance.Kind.PASSIVE, 0))),
            d -> d),
        new Flaw(
            "bms.sensor",
            Severity.NOTE,
            d -> bms(d, b -> b.withTemperatureSensors(0)),
            d -> bms(d, b -> b.withTemperatureSensors(1))),
        new Flaw(
            "charge.regeneration",
            Severity.STOP,
            d -> bms(regen(d.withCounts(13, 2), 13), b -> b.withChargeCurrent(20)),
            d -> bms(regen(d.withCounts(13, 2), 12), b -> b.withChargeCurrent(20))),
        new Flaw("charge.regenerationFull", Severity.WARN, d -> regen(d, 1), d -> regen(d, 15)),
        new Flaw(
            "charge.hot",
            Severity.NOTE,
            d -> duty(d, x -> x.withSurroundings(x.surroundings().withHottestInUse(318.15))),
            d -> d),
        new Flaw("charge.slow", Severity.NOTE, d -> charger(d, 1), d -> charger(d, 1.125)),
        new Flaw(
            "fuse.none",
            Severity.WARN,
            d -> guard(d, g -> g.withFusing(new Fusing.BmsOnly())),
            d -> d),
        new Flaw("fuse.cellSmall", Severity.WARN, d -> cellFuses(d, 4), d -> cellFuses(d, 10)),
        new Flaw("fuse.cellLarge", Severity.WARN, d -> cellFuses(d, 200), d -> cellFuses(d, 30)),
        new Flaw(
            "wire.peak",
            Severity.STOP,
            d -> area(hardest(d, 60, 300), 1.5),
            d -> area(hardest(d, 60, 300), 8.37)),
        new Flaw(
            "wire.charge",
            Severity.STOP,
            d -> guard(d, g -> chargeArea(g, 0.3)),
            d -> guard(d, g -> chargeArea(g, 1.5))),
        new Flaw(
            "wire.drop",
            Severity.NOTE,
            d -> guard(d, g -> g.withWiring(g.wiring().withLeads(g.wiring().leads().scaled(40)))),
            d -> d),
        new Flaw(
            "connector.continuous",
            Severity.STOP,
            d -> connector(d, 10, 80, 120),
            d -> connector(d, 17, 80, 120)),
        new Flaw(
            "connector.peak",
            Severity.WARN,
            d -> connector(d, 40, 54, 120),
            d -> connector(d, 40, 55, 120)),
        new Flaw(
            "connector.voltage",
            Severity.STOP,
            d -> connector(d, 60, 90, 48),
            d -> connector(d, 60, 90, 54.6)),
        new Flaw("switch.none", Severity.NOTE, d -> guard(d, g -> g.withMainSwitch(null)), d -> d),
        new Flaw(
            "switch.continuous",
            Severity.STOP,
            d -> mainSwitch(d, 10, 60),
            d -> mainSwitch(d, 60, 60)),
        new Flaw(
            "switch.voltage",
            Severity.STOP,
            d -> mainSwitch(d, 60, 48),
            d -> mainSwitch(d, 60, 54.6)),
        new Flaw(
            "precharge.none",
            Severity.WARN,
            d -> connector(guard(d, g -> g.withPrecharge(null)), 60, 90, 120),
            d -> connector(precharge(d, 100, 5), 60, 90, 120)),
        new Flaw(
            "precharge.none",
            Severity.WARN,
            d -> connector(guard(capacitors(d, 2000), g -> g.withPrecharge(null)), 60, 90, 120),
            d -> guard(capacitors(d, 200), g -> g.withPrecharge(null))),
        new Flaw(
            "precharge.energy",
            Severity.STOP,
            d -> precharge(capacitors(d, 10_000), 100, 1),
            d -> precharge(capacitors(d, 10_000), 100, 10)),
        new Flaw(
            "precharge.current",
            Severity.NOTE,
            d -> precharge(d, 5, 5),
            d -> precharge(d, 5.46, 5)),
        new Flaw(
            "precharge.slow",
            Severity.NOTE,
            d -> precharge(d, 2000, 5),
            d -> precharge(d, 1000, 5)),
        new Flaw(
            "second.gap",
            Severity.STOP,
            d -> second(d, Joining.PARALLEL, s -> s.withSoc(0.2)),
            d -> second(d, Joining.PARALLEL, s -> s.withSoc(0.97))),
        new Flaw(
            "second.machine",
            Severity.STOP,
            d -> maximum(second(d, Joining.SERIES, s -> s), 109),
            d -> maximum(second(d, Joining.SERIES, s -> s), 109.2)),
        new Flaw(
            "second.bms",
            Severity.STOP,
            d -> second(d, Joining.SERIES, s -> s.withBmsVoltage(80)),
            d -> second(d, Joining.SERIES, s -> s.withBmsVoltage(109.2))),
        new Flaw(
            "second.unequalFull",
            Severity.STOP,
            d -> second(d, Joining.PARALLEL, s -> s.withPack(s.pack().withCounts(12, 6))),
            d -> second(d, Joining.DIODES, s -> s.withPack(s.pack().withCounts(12, 6)))),
        new Flaw(
            "second.seriesCapacity",
            Severity.NOTE,
            d -> second(d, Joining.SERIES, s -> s.withPack(s.pack().withCounts(13, 4))),
            d -> second(d, Joining.SERIES, s -> s)));
  }

  private static Guard chargeArea(Guard g, double squareMillimetres) {
    return g.withWiring(
        g.wiring().withChargeWire(g.wiring().chargeWire().withArea(squareMillimetres * 1e-6)));
  }

  /** The sound design in its box, with leads from one cell. */
  private static Design boxed(UnaryOperator<FitPlan> change) {
    return SOUND.withFit(change.apply(Objects.requireNonNull(Samples.barrow().fit())));
  }

  /** Two cells of groups far apart exchanged by hand. */
  private static FitPlan torn(FitPlan plan) {
    Grouping g = Arrangement.of(plan, SOUND.pack()).grouping().orElseThrow();
    return plan.arranged(g.exchanged(g.members(0)[0], g.members(12)[0]));
  }

  private static Design barred(Design d) {
    FitPlan plan = Objects.requireNonNull(d.fit());
    Design bar = d.withFit(plan.withConductors(plan.conductors().withTakeOff(TakeOff.WHOLE_GROUP)));
    return bar.withPack(
        bar.pack().withStrip(Strip.plain(ConductorMaterial.COPPER, 0.3e-3, 10e-3, 2)));
  }

  private static Design thin(Design d) {
    return d.withPack(d.pack().withStrip(Strip.plain(ConductorMaterial.NICKEL, 0.05e-3, 5e-3, 1)));
  }

  private static Design inAir(Design d, double celsius) {
    return duty(d, x -> x.withSurroundings(x.surroundings().withHottestInUse(celsius + 273.15)));
  }

  private static List<Flaw> fitFlaws() {
    Design boxed = boxed(f -> f);
    return List.of(
        new Flaw(
            "fit.room",
            Severity.STOP,
            d ->
                boxed(
                    f ->
                        f.withBox(
                            0, f.boxes().getFirst().withOutline(Outline.rectangle(0.15, 0.15)))),
            d -> boxed),
        new Flaw("fit.moves", Severity.STOP, d -> boxed(JudgeTest::torn), d -> boxed),
        new Flaw("fit.strip", Severity.WARN, d -> boxed, d -> barred(boxed)),
        new Flaw(
            "fit.peak",
            Severity.WARN,
            d -> hardest(steady(boxed, 300), 200, 30),
            d -> hardest(steady(barred(boxed), 300), 60, 12)),
        new Flaw(
            "fit.share", Severity.NOTE, d -> steady(boxed, 400), d -> steady(barred(boxed), 400)),
        new Flaw(
            "fit.cell",
            Severity.WARN,
            d -> steady(thin(boxed), 3400),
            d -> steady(barred(boxed), 3400)),
        new Flaw(
            "fit.heat",
            Severity.STOP,
            d -> inAir(steady(thin(boxed), 1200), 50),
            d -> inAir(steady(barred(boxed), 1200), 40)));
  }

  private static Stream<Flaw> all() {
    return Stream.of(flaws(), partFlaws(), fitFlaws()).flatMap(List::stream);
  }

  @Test
  void thereAreAtLeastSixtyFlaws() {
    assertThat(all()).hasSizeGreaterThanOrEqualTo(60);
  }

  @TestFactory
  Stream<DynamicTest> flawsAreFoundAndRepairsAreQuiet() {
    return all()
        .map(
            f ->
                DynamicTest.dynamicTest(
                    f.id() + " " + f.severity(),
                    () -> {
                      Optional<Finding> found = find(f.id(), f.flawed().apply(SOUND));
                      assertThat(found).as("on the flawed design").isPresent();
                      Finding j = found.orElseThrow();
                      assertThat(j.severity()).isEqualTo(f.severity());
                      assertThat(j.why()).as("a reason with figures").matches("(?s).*\\d.*");
                      assertThat(j.fix()).isNotBlank();
                      assertThat(find(f.id(), f.repaired().apply(SOUND)).map(Finding::severity))
                          .as("on the repaired design")
                          .isNotEqualTo(Optional.of(f.severity()));
                    }));
  }

  @Test
  void aSoundDesignIsQuiet() {
    assertThat(Forecast.of(SOUND).judgements()).isEmpty();
  }

  @Test
  void theWorstComesFirst() {
    Design bad = fuse(hardest(charge(none(SOUND), 56), 61, 12), 40);
    List<Severity> order = Forecast.of(bad).judgements().stream().map(Finding::severity).toList();
    assertThat(order).isSorted().contains(Severity.STOP, Severity.WARN, Severity.NOTE);
  }

  @Test
  void aPowerBeyondThePackIsSaid() {
    Design d =
        duty(
            bms(SOUND, b -> b.withVoltages(0.5, 4.25).withTrip(9000, 100)),
            x ->
                x.withMachine(x.machine().withCutOutVoltage(0).withPeakCurrent(5000))
                    .withTask(new Task.ByTime(90_000, 60)));
    assertThat(find("duty.cannotDeliver", d)).isPresent();
  }

  @Test
  void everyRuleIsListedOnceAndTested() {
    List<String> ids =
        Judge.catalogue().stream().map(row -> row.replaceAll("^\\| `([^`]*)`.*", "$1")).toList();
    assertThat(ids).doesNotHaveDuplicates();
    assertThat(Stream.concat(all().map(Flaw::id), Stream.of("duty.cannotDeliver")).distinct())
        .containsExactlyInAnyOrderElementsOf(ids);
  }

  private static Optional<Finding> find(String id, Design d) {
    Forecast f = Forecast.of(d);
    return Judge.judge(new Case(f.chain(), f.duty(), f.layout(), f.thermal().map())).stream()
        .filter(j -> j.id().equals(id))
        .findFirst();
  }
}
