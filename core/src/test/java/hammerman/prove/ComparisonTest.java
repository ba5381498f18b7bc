package hammerman.prove;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.chain.Chain;
import hammerman.chain.LaidOut;
import hammerman.design.Design;
import hammerman.duty.Load;
import hammerman.duty.Segment;
import hammerman.duty.Segment.Effort;
import hammerman.duty.Task;
import hammerman.pack.ConductorMaterial;
import hammerman.prove.Comparison.Entry;
import hammerman.record.RunCondition;
import hammerman.record.RunResult;
import hammerman.record.RunSheet;
import hammerman.simulation.CellPopulation;
import hammerman.simulation.Discharge;
import hammerman.simulation.Run;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Runs beside each other: charge and air are worked out, and nothing else is. */
class ComparisonTest {
  private static final Design BARROW = Samples.barrow().withFit(null);
  private static final Chain CHAIN = LaidOut.of(BARROW).chain();
  private static final Load LOAD =
      new Load(
          List.of(
              new Load.Step(new Load.Power(60), 300, 1),
              new Load.Step(new Load.Power(900), 400, 1),
              new Load.Step(new Load.Power(1400), 30, 1)),
          4);

  /** A run of a pack whose resistance is so many times the design's. */
  private static RunSheet run(double soc, double air, double resistance) {
    Run r =
        Discharge.of(CHAIN, LOAD, soc, air)
            .with(CellPopulation.of(BARROW.pack()).scaled(1, resistance))
            .withoutLimits()
            .run();
    return RunSheet.NOTHING
        .withFigure(RunCondition.START_SOC, soc)
        .withFigure(RunCondition.AIR, air)
        .withResult(RunResult.LOWEST_VOLTAGE, r.extremes().lowestVoltage())
        .withResult(RunResult.HOTTEST, r.extremes().peakTemperature())
        .withResult(RunResult.CHARGE, r.totals().delivered());
  }

  private static Entry entry(String name, RunSheet sheet) {
    return new Entry(name, sheet, Optional.of(LOAD), Optional.empty());
  }

  private static Comparison compare(RunSheet a, RunSheet b) {
    return Comparison.of(CHAIN, entry("first", a), entry("second", b), List.of());
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void theCorrectionRecoversTheTruth(long seed) {
    Random r = new Random(seed);
    double resistance = 0.9 + 0.5 * r.nextDouble();
    RunSheet a = run(0.95, 293.15, 1);
    RunSheet b = run(0.6 + 0.35 * r.nextDouble(), 276 + 30 * r.nextDouble(), resistance);
    RunSheet truth = run(0.95, 293.15, resistance);
    RunSheet got = compare(a, b).corrected();
    // The engine corrects with the design's own resistance, so a share of the shift is left over.
    double moved =
        Math.abs(
            b.result(RunResult.LOWEST_VOLTAGE).getAsDouble()
                - truth.result(RunResult.LOWEST_VOLTAGE).getAsDouble());
    assertThat(got.result(RunResult.LOWEST_VOLTAGE).getAsDouble())
        .isCloseTo(
            truth.result(RunResult.LOWEST_VOLTAGE).getAsDouble(), within(0.06 + 0.2 * moved));
    assertThat(got.result(RunResult.HOTTEST).getAsDouble())
        .isCloseTo(truth.result(RunResult.HOTTEST).getAsDouble(), within(3.0));
  }

  @Test
  void whatIsWorkedOutIsNoReasonAnyMore() {
    RunSheet a = run(0.95, 298.15, 1).withWords(RunCondition.WIRE, "as built");
    RunSheet b = run(0.75, 281.15, 1.4).withWords(RunCondition.WIRE, "another pair");
    Comparison c = compare(a, b);
    assertThat(c.raw().conditions()).hasSize(3);
    assertThat(c.raw().conclusion()).contains("Nothing may be put down to one cause");
    assertThat(c.worked()).hasSize(2);
    assertThat(c.remaining().conclusion()).startsWith("Only wire changed");
    assertThat(c.remaining().results()).anyMatch(s -> s.startsWith("Lowest voltage"));
    assertThat(c.next()).contains("repeat “first”");
  }

  @Test
  void twoConditionsThatCannotBeWorkedOutForbidAConclusion() {
    RunSheet a =
        run(0.95, 298.15, 1)
            .withWords(RunCondition.WIRE, "as built")
            .withWords(RunCondition.TOOL, "soft");
    RunSheet b =
        run(0.95, 298.15, 1.4)
            .withWords(RunCondition.WIRE, "another pair")
            .withWords(RunCondition.TOOL, "hard");
    Comparison c = compare(a, b);
    assertThat(c.worked()).isEmpty();
    assertThat(c.remaining().conclusion()).contains("Nothing may be put down to one cause");
    assertThat(c.next()).contains("with only this changed");
  }

  /** The barrow's round with so much on it, as its log would tell it. */
  private static Entry onTheRound(String name, double carried) {
    Task.ByRound round = (Task.ByRound) BARROW.duty().task();
    for (int k = 0; k < round.segments().size(); k++) {
      Segment s = round.segments().get(k);
      if (s.effort() instanceof Effort.Worked w) {
        round = round.withSegment(k, s.withEffort(new Effort.Worked(w.slope(), carried)));
      }
    }
    Load load = round.withRounds(4).load();
    Run r = Discharge.of(CHAIN, load, 0.95, 298.15).withoutLimits().run();
    RunSheet sheet =
        RunSheet.NOTHING
            .withFigure(RunCondition.START_SOC, 0.95)
            .withFigure(RunCondition.AIR, 298.15)
            .withFigure(RunCondition.CARRIED, carried)
            .withResult(RunResult.CHARGE, r.totals().delivered())
            .withResult(RunResult.ENERGY, r.totals().energyOut())
            .withResult(RunResult.LOWEST_VOLTAGE, r.extremes().lowestVoltage());
    return new Entry(name, sheet, Optional.of(load), Optional.of(BARROW));
  }

  /**
   * By the masses of vehicle and load: (95 + 120) / (95 + 40) on every slope, no more on the flat.
   */
  @Test
  void aLighterLoadIsWorkedOutByTheVehicleOfTheDuty() {
    Entry heavy = onTheRound("heavy", 120);
    Entry light = onTheRound("light", 40);
    Comparison c = Comparison.of(CHAIN, heavy, light, List.of());
    double apart = charge(heavy.sheet()) / charge(light.sheet());
    assertThat(apart).as("as they were").isGreaterThan(1.3);
    assertThat(c.worked()).singleElement().asString().startsWith("load carried, 40.0 kg to 120 kg");
    assertThat(charge(c.corrected()) / charge(heavy.sheet())).isCloseTo(1, within(0.05));
    assertThat(c.corrected().result(RunResult.ENERGY).getAsDouble())
        .isCloseTo(
            heavy.sheet().result(RunResult.ENERGY).getAsDouble(),
            within(0.05 * heavy.sheet().result(RunResult.ENERGY).getAsDouble()));
    assertThat(c.remaining().conditions()).isEmpty();
  }

  private static double charge(RunSheet s) {
    return s.result(RunResult.CHARGE).getAsDouble();
  }

  /** What a pack is built of is a condition like any other, and is never worked out. */
  @Test
  void aPackThatWasChangedBetweenTwoRunsIsSaidPartByPart() {
    RunSheet a = run(0.95, 298.15, 1);
    RunSheet b = run(0.95, 298.15, 1.4);
    Design copper =
        BARROW.withPack(
            BARROW.pack().withStrip(BARROW.pack().strip().withMaterial(ConductorMaterial.COPPER)));
    Comparison one = compare(a, BARROW, b, copper);
    assertThat(one.raw().conditions())
        .containsExactly("the design's strip: material nickel, then material copper");
    assertThat(one.remaining().conclusion()).startsWith("Only the design's strip changed");
    Design two =
        copper.withGuard(copper.guard().withCharge(copper.guard().charge().withCurrent(5)));
    assertThat(compare(a, BARROW, b, two).remaining().conclusion())
        .contains("2 conditions changed at once");
    // What a calibration has learned of the same cells is no change of the pack.
    Design learned = Accepted.by(BARROW, 0.95, 1.2);
    assertThat(compare(a, BARROW, b, learned).raw().conditions()).isEmpty();
    Comparison half =
        Comparison.of(
            CHAIN,
            new Entry("a", a, Optional.of(LOAD), Optional.of(BARROW)),
            entry("b", b),
            List.of());
    assertThat(half.remaining().conclusion()).contains("the design is known of one run only");
  }

  private static Comparison compare(RunSheet a, Design with, RunSheet b, Design then) {
    return Comparison.of(
        CHAIN,
        new Entry("first", a, Optional.of(LOAD), Optional.of(with)),
        new Entry("second", b, Optional.of(LOAD), Optional.of(then)),
        List.of());
  }

  @Test
  void severalRunsAreToldApartByWhatMayBeSaidOfEach() {
    RunSheet a = run(0.95, 298.15, 1).withWords(RunCondition.WIRE, "as built");
    Entry wire = entry("wire", run(0.95, 298.15, 1.4).withWords(RunCondition.WIRE, "thin"));
    Entry same = entry("same", a);
    Entry both =
        entry(
            "both",
            run(0.95, 298.15, 1.4)
                .withWords(RunCondition.WIRE, "thin")
                .withWords(RunCondition.TOOL, "hard"));
    Comparisons all =
        Comparisons.of(
            CHAIN,
            entry("first", a.withWords(RunCondition.TOOL, "soft")),
            List.of(withTool(wire, "soft"), withTool(same, "soft"), both),
            List.of());
    assertThat(all.conclusion())
        .contains("What differs in “wire” may be put down to wire, which alone changed.")
        .contains("“same”: no more apart from “first” than scatter.")
        .contains("Of “both” nothing may be put down to one cause.");
  }

  private static Entry withTool(Entry e, String tool) {
    return new Entry(e.name(), e.sheet().withWords(RunCondition.TOOL, tool), e.load(), e.design());
  }

  /** Without its charge or its air a run cannot be corrected, and says so. */
  @Test
  void whatIsNotKnownIsNotWorkedOut() {
    RunSheet a = run(0.95, 298.15, 1);
    RunSheet b = run(0.7, 298.15, 1).withFigure(RunCondition.AIR, null);
    Comparison c = compare(a, b);
    assertThat(c.worked()).isEmpty();
    assertThat(c.corrected()).isEqualTo(b);
    assertThat(c.remaining().conclusion()).contains("air is known of one run only");
  }

  @Test
  void aDifferenceSmallerThanTheScatterOfRepeatsIsNone() {
    RunSheet a = run(0.95, 298.15, 1).withWords(RunCondition.TOOL, "soft");
    RunSheet b = run(0.95, 298.15, 1).withWords(RunCondition.TOOL, "hard");
    double at = a.result(RunResult.LOWEST_VOLTAGE).getAsDouble();
    Random r = new Random(4);
    List<Entry> repeats =
        IntStream.range(0, 20)
            .mapToObj(
                k ->
                    entry(
                        "repeat " + k,
                        a.withResult(RunResult.LOWEST_VOLTAGE, at + r.nextGaussian())))
            .toList();
    RunSheet off = b.withResult(RunResult.LOWEST_VOLTAGE, at + 1.6);
    assertThat(compare(a, off).remaining().results()).as("one run of each").hasSize(1);
    Comparison c = Comparison.of(CHAIN, entry("first", a), entry("second", off), repeats);
    assertThat(c.repeats()).isEqualTo(20);
    assertThat(c.remaining().results()).as("they scatter by a volt").isEmpty();
    assertThat(c.remaining().conclusion()).contains("do not differ by more than scatter");
  }

  @Test
  void aRestVoltageTellsTheChargeWhereItCan() {
    var nmc = BARROW.pack().cell();
    RestCharge half = RestCharge.of(nmc, nmc.openCircuit().value(0.5), 0.005);
    assertThat(half.soc()).isCloseTo(0.5, within(0.01));
    assertThat(half.tells()).isTrue();
    assertThat(half.low()).isLessThan(0.5);
    var lfp = Samples.cell("f32700");
    RestCharge flat = RestCharge.of(lfp, 3.31, 0.005);
    assertThat(flat.tells()).as("3.295 to 3.33 V are 40 to 70 %").isFalse();
    assertThat(flat.words()).startsWith("The voltage cannot tell here");
    assertThat(RestCharge.of(lfp, 3.10, 0.005).tells()).as("near empty it can").isTrue();
  }
}
