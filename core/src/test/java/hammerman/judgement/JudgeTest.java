package hammerman.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.Samples;
import hammerman.cell.CellType;
import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.duty.Drive;
import hammerman.duty.Duty;
import hammerman.duty.Task;
import hammerman.finding.Judgement;
import hammerman.finding.Severity;
import hammerman.forecast.Forecast;
import hammerman.guard.Bms;
import hammerman.guard.FuseClass;
import hammerman.guard.Protection;
import java.util.List;
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
          Samples.barrow(),
          d ->
              d.withMachine(d.machine().withCutOutVoltage(36))
                  .withTask(((Task.ByRound) d.task()).withRounds(8)));

  private record Flaw(
      String id, Severity severity, UnaryOperator<Design> flawed, UnaryOperator<Design> repaired) {}

  private static Design duty(Design d, UnaryOperator<Duty> change) {
    return d.withDuty(change.apply(d.duty()));
  }

  private static Design fuse(Design d, double rating) {
    return Samples.withGuard(d, g -> g.withFuse(g.fuse().withRating(rating)));
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

  private static Design area(Design d, double squareMillimetres) {
    return Samples.withGuard(d, g -> g.withWiring(g.wiring().withArea(squareMillimetres * 1e-6)));
  }

  private static Design fuseVolts(Design d, double volts) {
    return Samples.withGuard(d, g -> g.withFuse(g.fuse().withVoltageRating(volts)));
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
            d -> Samples.withGuard(d, g -> g.withFuse(g.fuse().withKind(FuseClass.BLADE))),
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
            d -> d.withCell(d.pack().cell().withHealth(new CellType.Health(0.9, 1.2))),
            d -> d.withCell(d.pack().cell().withHealth(CellType.Health.NEW))));
  }

  @TestFactory
  Stream<DynamicTest> flawsAreFoundAndRepairsAreQuiet() {
    return flaws().stream()
        .map(
            f ->
                DynamicTest.dynamicTest(
                    f.id() + " " + f.severity(),
                    () -> {
                      Optional<Judgement> found = find(f.id(), f.flawed().apply(SOUND));
                      assertThat(found).as("on the flawed design").isPresent();
                      Judgement j = found.orElseThrow();
                      assertThat(j.severity()).isEqualTo(f.severity());
                      assertThat(j.why()).as("a reason with figures").matches("(?s).*\\d.*");
                      assertThat(j.fix()).isNotBlank();
                      assertThat(find(f.id(), f.repaired().apply(SOUND)).map(Judgement::severity))
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
    List<Severity> order = Forecast.of(bad).judgements().stream().map(Judgement::severity).toList();
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
    assertThat(
            Stream.concat(flaws().stream().map(Flaw::id), Stream.of("duty.cannotDeliver"))
                .distinct())
        .containsExactlyInAnyOrderElementsOf(ids);
  }

  private static Optional<Judgement> find(String id, Design d) {
    Forecast f = Forecast.of(d);
    return Judge.judge(new Case(Chain.of(d), f.duty())).stream()
        .filter(j -> j.id().equals(id))
        .findFirst();
  }
}
