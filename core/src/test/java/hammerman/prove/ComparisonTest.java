package hammerman.prove;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.chain.Chain;
import hammerman.chain.LaidOut;
import hammerman.design.Design;
import hammerman.duty.Load;
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
    return new Entry(name, sheet, Optional.of(LOAD));
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
            .withFigure(RunCondition.CARRIED, 120.0);
    RunSheet b =
        run(0.95, 298.15, 1.4)
            .withWords(RunCondition.WIRE, "another pair")
            .withFigure(RunCondition.CARRIED, 60.0);
    Comparison c = compare(a, b);
    assertThat(c.worked()).isEmpty();
    assertThat(c.remaining().conclusion()).contains("Nothing may be put down to one cause");
    assertThat(c.next()).contains("with only this changed");
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
