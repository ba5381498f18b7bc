package hammerman.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.Flaws;
import hammerman.Samples;
import hammerman.cell.Health;
import hammerman.chain.Chain;
import hammerman.circuit.Circuit;
import hammerman.circuit.Part;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.duty.Drive;
import hammerman.duty.Duty;
import hammerman.duty.Task;
import hammerman.finding.Finding;
import hammerman.finding.Severity;
import hammerman.finding.Station;
import hammerman.fit.Arrangement;
import hammerman.fit.FitPlan;
import hammerman.fit.Grouping;
import hammerman.fit.Outline;
import hammerman.forecast.Forecast;
import hammerman.guard.Bms;
import hammerman.guard.Fusing;
import hammerman.guard.Protection;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Lot;
import hammerman.pack.MatchedCells;
import hammerman.pack.Strip;
import hammerman.pack.TakeOff;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

/** Each flaw of duty, bounds or fit on an otherwise sound design, and its repair. */
class RulesTest {
  /** The barrow with a lower cut-out, a shorter day and stout strips: nothing to object to. */
  static final Design SOUND =
      duty(
          Samples.barrow()
              .withFit(null)
              .withPack(
                  Samples.barrow()
                      .pack()
                      .withStrip(Strip.plain(ConductorMaterial.COPPER, 0.2e-3, 10e-3, 1))),
          d ->
              d.withMachine(d.machine().withCutOutVoltage(36))
                  .withTask(((Task.ByRound) d.task()).withRounds(8)));

  record Flaw(
      String id, Severity severity, UnaryOperator<Design> flawed, UnaryOperator<Design> repaired) {}

  private static Design duty(Design d, UnaryOperator<Duty> change) {
    return d.withDuty(change.apply(d.duty()));
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

  private static Design rounds(Design d, int n) {
    return duty(d, x -> x.withTask(((Task.ByRound) x.task()).withRounds(n)));
  }

  private static Design steady(Design d, double watts) {
    return duty(d, x -> x.withTask(new Task.ByTime(watts, 900)));
  }

  private static Design charge(Design d, double volts) {
    return Samples.withGuard(d, g -> g.withCharge(g.charge().withVoltage(volts)));
  }

  /** The sound design in its box, with leads from one cell. */
  private static Design boxed(UnaryOperator<FitPlan> change) {
    Design nickel = SOUND.withPack(Samples.barrow().pack());
    return Samples.fromOneCell(
        nickel.withFit(change.apply(Objects.requireNonNull(Samples.barrow().fit()))));
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

  private static Design slowly(Design d) {
    return Samples.withGuard(d, g -> g.withCharge(g.charge().withCurrent(2)));
  }

  private static Design inAir(Design d, double celsius) {
    return duty(d, x -> x.withSurroundings(x.surroundings().withHottestInUse(celsius + 273.15)));
  }

  private static Design coldest(Design d, double celsius) {
    return duty(d, x -> x.withSurroundings(x.surroundings().withColdestInUse(celsius + 273.15)));
  }

  /** The cells of the pack as measured, all good, but some without a resistance. */
  private static MatchedCells measured(int without) {
    List<MatchedCells.Group> groups = new ArrayList<>();
    for (int g = 0; g < 13; g++) {
      List<MatchedCells.Cell> cells = new ArrayList<>();
      for (int k = 0; k < 6; k++) {
        Double ohms = 6 * g + k < without ? null : 0.016;
        cells.add(new MatchedCells.Cell("A" + (6 * g + k + 1), 4.5, ohms));
      }
      groups.add(new MatchedCells.Group(cells));
    }
    return new MatchedCells(groups, true);
  }

  private static MatchedCells allAssumed() {
    MatchedCells cells = measured(0);
    return cells.assuming(
        cells.all().stream().map(MatchedCells.Cell::label).collect(Collectors.toSet()));
  }

  static List<Flaw> flaws() {
    Design boxed = boxed(f -> f);
    return List.of(
        new Flaw("duty.energyShort", Severity.STOP, d -> rounds(d, 16), d -> rounds(d, 8)),
        new Flaw(
            "duty.energyShort",
            Severity.STOP,
            d -> duty(d, x -> x.withMachine(x.machine().withCutOutVoltage(47))),
            d -> d),
        new Flaw(
            "duty.tooHot",
            Severity.STOP,
            d -> duty(d, x -> x.withSurroundings(x.surroundings().withHottestInUse(331.65))),
            d -> d),
        new Flaw("duty.trips", Severity.STOP, d -> bms(d, b -> b.withTrip(30, 1)), d -> d),
        new Flaw(
            "life.unseen",
            Severity.NOTE,
            d -> duty(d, x -> x.withSurroundings(x.surroundings().withColdestCharging(276.15))),
            d -> Samples.withGuard(d, g -> g.withCharge(g.charge().withCurrent(6)))),
        new Flaw(
            "life.unseen",
            Severity.NOTE,
            d -> Samples.withGuard(d, g -> g.withCharge(g.charge().withCurrent(14))),
            d -> Samples.withGuard(d, g -> g.withCharge(g.charge().withCurrent(13.2)))),
        new Flaw(
            "life.unseen",
            Severity.NOTE,
            d -> steady(slowly(d.withCounts(13, 1)), 500),
            d -> steady(slowly(d.withCounts(13, 1)), 200)),
        new Flaw("duty.shortWhenWorn", Severity.NOTE, d -> rounds(d, 11), d -> rounds(d, 8)),
        new Flaw(
            "duty.coldDay",
            Severity.WARN,
            d -> rounds(coldest(d, -20), 12),
            d -> rounds(coldest(d, 20), 12)),
        new Flaw(
            "duty.clipped",
            Severity.STOP,
            d -> duty(d, x -> x.withMachine(x.machine().withPeakCurrent(15))),
            d -> duty(d, x -> x.withMachine(x.machine().withPeakCurrent(30)))),
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
            d -> d.withCell(d.pack().cell().withHealth(Health.NEW))),
        new Flaw(
            "cell.reclaimed",
            Severity.NOTE,
            d -> d.withMatched(measured(1)),
            d -> d.withMatched(measured(0))),
        new Flaw(
            "cell.reclaimed",
            Severity.NOTE,
            d -> d.withMatched(measured(14)),
            d -> d.withMatched(measured(0))),
        new Flaw(
            "cell.reclaimed",
            Severity.NOTE,
            d -> d.withMatched(measured(14).assuming(Set.of("A1", "A78"))),
            d -> d.withMatched(measured(0).assuming(Set.of("another cell")))),
        // What is only taken to be so is no proof that the groups are level.
        new Flaw(
            "cell.lot",
            Severity.NOTE,
            d -> d.withPack(d.pack().withLot(Lot.UNKNOWN)).withMatched(allAssumed()),
            d -> d.withPack(d.pack().withLot(Lot.UNKNOWN)).withMatched(measured(0))),
        new Flaw("charge.regenerationFull", Severity.WARN, d -> regen(d, 1), d -> regen(d, 15)),
        new Flaw(
            "charge.hot",
            Severity.NOTE,
            d -> duty(d, x -> x.withSurroundings(x.surroundings().withHottestInUse(318.15))),
            d -> d),
        new Flaw(
            "fit.room",
            Severity.STOP,
            d ->
                boxed(
                    f ->
                        f.withBox(
                            0, f.boxes().getFirst().withOutline(Outline.rectangle(0.15, 0.15)))),
            d -> boxed),
        new Flaw("fit.moves", Severity.STOP, d -> boxed(RulesTest::torn), d -> boxed),
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
            d -> inAir(steady(barred(boxed), 1200), 40)),
        new Flaw(
            "duty.pair",
            Severity.STOP,
            d -> rounds(d.withSecond(Samples.second(SecondPack.Joining.PARALLEL)), 40),
            d -> rounds(d.withSecond(Samples.second(SecondPack.Joining.PARALLEL)), 12)));
  }

  @TestFactory
  Stream<DynamicTest> flawsAreFoundAndRepairsAreQuiet() {
    return flaws().stream()
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
                      assertThat(j.measure().exceeded()).as(j.measure().toString()).isTrue();
                      assertThat(find(f.id(), f.repaired().apply(SOUND)).map(Finding::severity))
                          .as("on the repaired design")
                          .isNotEqualTo(Optional.of(f.severity()));
                    }));
  }

  @Test
  void aSoundDesignIsQuiet() {
    assertThat(Forecast.of(SOUND).judgements()).isEmpty();
  }

  /** What two packs serve together, the first alone need not. */
  @Test
  void aPairThatServesTheDutyIsNotToldThatItIsShort() {
    Design alone = rounds(SOUND, 14);
    assertThat(find("duty.energyShort", alone)).isPresent();
    Design pair = alone.withSecond(Samples.second(SecondPack.Joining.PARALLEL));
    assertThat(Forecast.of(pair).judgements())
        .extracting(Finding::id)
        .noneMatch(id -> id.startsWith("duty.") && !id.equals("duty.shortWhenWorn"));
  }

  /** Directly in parallel each cell carries its share, not all. */
  @Test
  void theCellsOfAPairAreJudgedByTheirShare() {
    Design hard = hardest(SOUND, 240, 10);
    assertThat(find("cell.current", hard)).isPresent();
    SecondPack same =
        new SecondPack(hard.pack(), Samples.branch(3e-3), SecondPack.Joining.PARALLEL, 1, 1);
    assertThat(find("cell.current", hard.withSecond(same))).isEmpty();
    assertThat(find("cell.alone", hard.withSecond(same))).isPresent();
  }

  @Test
  void chargersWithinTenMillivoltsACellAreRight() {
    assertThat(find("cell.overcharge", charge(SOUND, 54.62))).isEmpty();
    assertThat(find("cell.overcharge", charge(SOUND, 54.8)).map(Finding::severity))
        .contains(Severity.WARN);
    Finding far = find("cell.overcharge", charge(SOUND, 55.4)).orElseThrow();
    assertThat(far.severity()).isEqualTo(Severity.STOP);
    assertThat(far.fix()).contains("54.6 V or less");
    assertThat(far.caution()).contains("burn");
  }

  @Test
  void touchReadsOtherwiseAboveHundredAndTwentyVolts() {
    Finding low = find("pack.touch", SOUND.withCounts(15, 6)).orElseThrow();
    Finding high = find("pack.touch", SOUND.withCounts(60, 6)).orElseThrow();
    assertThat(low.severity()).isEqualTo(Severity.WARN);
    assertThat(high.severity()).isEqualTo(Severity.STOP);
    assertThat(high.why()).isNotEqualTo(low.why()).contains("252 V");
    assertThat(high.fix()).contains("licensed person");
  }

  @Test
  void twoProtectionsMissingAtOnceAreAStop() {
    Design none = Samples.withGuard(SOUND, g -> g.withProtection(new Protection.None()));
    assertThat(find("bms.none", none).map(Finding::severity)).contains(Severity.WARN);
    Design both = Samples.withGuard(none, g -> g.withFusing(new Fusing.BmsOnly()));
    assertThat(find("bms.none", both).map(Finding::severity)).contains(Severity.STOP);
    assertThat(find("fuse.none", both).map(Finding::severity)).contains(Severity.STOP);
  }

  @Test
  void theWorstComesFirst() {
    Design bad =
        hardest(
            charge(
                Samples.withGuard(
                    SOUND, g -> g.withFusing(new Fusing.BmsOnly()).withMainSwitch(null)),
                56),
            61,
            12);
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
  void everythingLookedAtIsListedOnce() {
    assertThat(Judge.ids()).doesNotHaveDuplicates();
    assertThat(flaws().stream().map(Flaw::id)).allMatch(Judge.ids()::contains);
    assertThat(Flaws.all().stream().map(f -> f.id().replaceFirst("^second\\.", "")))
        .allMatch(Judge.ids()::contains);
  }

  @Test
  void thePageOfJudgementsIsTrue() throws IOException {
    assertThat(Files.readString(Path.of("../docs/judgements.md"))).isEqualTo(Judge.page());
  }

  /** A value exactly on its limit is within it; so is one exactly on the limit of a stop. */
  @Test
  void whatIsExactlyOnALimitIsWithinIt() {
    Design full = SOUND.withCell(SOUND.pack().cell().withFullVoltage(4));
    assertThat(find("pack.touch", full.withCounts(15, 6))).isEmpty();
    Finding high = find("pack.touch", full.withCounts(30, 6)).orElseThrow();
    assertThat(high.severity()).isEqualTo(Severity.WARN);
    assertThat(high.why()).contains("120 V", "Above 60 V");
    assertThat(high.fix()).doesNotContain("licensed");
    Design unfused =
        Samples.withGuard(full.withCounts(15, 6), g -> g.withFusing(new Fusing.BmsOnly()));
    assertThat(find("fuse.none", unfused).map(Finding::severity)).contains(Severity.WARN);
    assertThat(find("fuse.none", unfused.withCounts(16, 6)).map(Finding::severity))
        .contains(Severity.STOP);
    assertThat(find("bounds.mass", mass(SOUND, SOUND.pack().mass()))).isEmpty();
    assertThat(find("bounds.localPower", power(SOUND, 1500))).isEmpty();
    assertThat(find("bounds.localPower", power(SOUND, 1499))).isPresent();
  }

  private static Design mass(Design d, double kilograms) {
    return duty(d, x -> x.withBounds(x.bounds().withMass(kilograms)));
  }

  private static Design power(Design d, double watts) {
    return duty(d, x -> x.withBounds(x.bounds().withLocalPower(watts)));
  }

  /** The quick look says what the whole one says of what cell and counts mend, and no more. */
  @Test
  void aQuickLookFindsWhatCellAndCountsMend() {
    Design bad = hardest(charge(SOUND.withCounts(15, 2), 66), 240, 10).withCounts(15, 2);
    Chain chain = Chain.of(bad);
    Forecast f = Forecast.of(bad);
    Circuit circuit = Circuit.of(chain, Optional.empty());
    List<Finding> quick =
        Judge.stack(
            new Case(
                circuit,
                f.duty(),
                f.own(),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty()));
    assertThat(quick).isNotEmpty().allMatch(j -> j.station() == Station.STACK);
    assertThat(quick.stream().map(Finding::id)).contains("cell.current", "pack.touch");
    Set<Part.Kind> fuse = EnumSet.of(Part.Kind.FUSE);
    assertThat(Judge.read(circuit, fuse).stream().map(Finding::id))
        .isNotEmpty()
        .isEqualTo(
            Judge.read(circuit).stream()
                .map(Finding::id)
                .filter(id -> id.startsWith("fuse."))
                .toList());
  }

  private static Optional<Finding> find(String id, Design d) {
    return Forecast.of(d).judgements().stream().filter(j -> j.id().equals(id)).findFirst();
  }
}
