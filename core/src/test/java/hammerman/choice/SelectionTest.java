package hammerman.choice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.choice.ChargerCheck.Verdict;
import hammerman.design.Design;
import hammerman.finding.Severity;
import hammerman.finding.Station;
import hammerman.forecast.Ceiling;
import hammerman.forecast.Forecast;
import hammerman.guard.Guard.Part;
import hammerman.guard.Parts;
import hammerman.guard.Precharge;
import hammerman.project.Shipped;
import hammerman.unit.Unit;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SelectionTest {
  private static final Parts PARTS = Shipped.parts();

  private static List<String> guardStops(Design d) {
    return Forecast.of(d).judgements().stream()
        .filter(j -> j.station() == Station.GUARD && j.severity() != Severity.NOTE)
        .map(j -> j.id())
        .toList();
  }

  /** Whatever the guard was before, what is suggested lines up. */
  @ParameterizedTest
  @CsvSource({
    "b21700, 13, 6", "e21700, 13, 7", "p21700, 12, 8", "f32700, 16, 6", "b18650, 13, 10",
    "e18650, 10, 12", "hp50, 12, 5", "t21700, 7, 9", "fp50, 4, 1", "l66160, 20, 1"
  })
  void whatIsSuggestedLinesUp(String cell, int series, int parallel) {
    Design barrow = Samples.barrow();
    Design d =
        barrow
            .withCell(Samples.cell(cell))
            .withCounts(series, parallel)
            .withDuty(barrow.duty().withMachine(barrow.duty().machine().withMaximumVoltage(90)));
    Selection s = Selection.of(d, PARTS);
    assertThat(s.choices()).hasSize(Part.values().length);
    assertThat(s.choices()).allMatch(c -> !c.why().isBlank());
    assertThat(guardStops(d.withGuard(s.guard()))).isEmpty();
  }

  @Test
  void ofEachKindTheWeakestThatSuitsIsTaken() {
    Design d = Samples.barrow();
    Selection s = Selection.of(d, PARTS);
    var fuse = s.guard().fuse().orElseThrow();
    double least = Forecast.of(d).chain().fuseWindow().lower();
    assertThat(fuse.rating()).isGreaterThanOrEqualTo(least);
    assertThat(fuse.kind().sizes()).noneMatch(size -> size >= least && size < fuse.rating());
    assertThat(choice(s, Part.WIRE).why())
        .containsPattern("Carries \\S+ A in the hottest air, so the fuse of \\S+ A protects it");
    Choice choice = choice(s, Part.FUSE);
    assertThat(choice.smaller()).isNotBlank();
    assertThat(choice.larger()).contains("thicker wire");
  }

  @Test
  void lockedPartsStayAndTheOthersFit() {
    Design d = Samples.barrow();
    Design locked =
        d.withGuard(
            d.guard()
                .withFuse(f -> f.withRating(80))
                .withLocked(Part.FUSE, true)
                .withLocked(Part.CHARGER, true));
    Selection s = Selection.of(locked, PARTS);
    assertThat(s.guard().fuse().orElseThrow().rating()).isEqualTo(80);
    assertThat(s.guard().charge()).isEqualTo(d.guard().charge());
    assertThat(choice(s, Part.FUSE).locked()).isTrue();
    double carries = s.guard().wiring().wire().ampacity(311.15);
    assertThat(carries).isGreaterThanOrEqualTo(80);
    Design thin =
        Samples.withWire(d, w -> w.withArea(2e-6))
            .withGuard(
                Samples.withWire(d, w -> w.withArea(2e-6)).guard().withLocked(Part.WIRE, true));
    assertThat(choice(Selection.of(thin, PARTS), Part.FUSE).why()).contains("unlock the wire");
  }

  private static Choice choice(Selection s, Part part) {
    return s.choices().stream().filter(c -> c.part() == part).findFirst().orElseThrow();
  }

  @ParameterizedTest
  @CsvSource({
    "54.6, FINE",
    "54.5, FINE",
    "54.73, FINE",
    "54.74, DO_NOT_USE",
    "58.8, DO_NOT_USE",
    "53.3, UNDER_CHARGES",
    "50.4, UNDER_CHARGES",
    "42, WRONG_CHARGER"
  })
  void aChargersVoltageIsJudgedPerCell(double volts, Verdict verdict) {
    ChargerCheck check = ChargerCheck.of(Samples.barrow(), volts);
    assertThat(check.verdict()).isEqualTo(verdict);
    assertThat(check.offset()).isCloseTo(volts / 13 - 4.2, within(1e-12));
    assertThat(check.words()).contains("per cell").doesNotContain("adjust", "screw");
  }

  @Test
  void underChargingByAboutWhatTheCurveSays() {
    // 53.43 V / 13 = 4.11 V, which the curve puts at 90 %.
    ChargerCheck check = ChargerCheck.of(Samples.barrow(), 53.43);
    assertThat(check.share()).isCloseTo(0.90, within(0.005));
    assertThat(check.words()).contains("under-charges by about 10 %");
  }

  @Test
  void prechargeByHand() {
    // 100 Ω · 1500 µF = 0.15 s; ½ · 1.5 mF · 54.6² = 2.236 J; 54.6² / 100 = 29.8 W.
    Precharge p = new Precharge(100, 5);
    assertThat(p.time(1500e-6)).isCloseTo(0.45, within(1e-12));
    assertThat(Precharge.energy(54.6, 1500e-6)).isCloseTo(2.23587, within(1e-5));
    assertThat(p.peakPower(54.6)).isCloseTo(29.8116, within(1e-4));
    assertThat(p.current(54.6)).isCloseTo(0.546, within(1e-12));
  }

  @Test
  void chargingLowerTradesRangeForYears() {
    List<Ceiling> all = Ceiling.of(Samples.barrow());
    assertThat(all).hasSize(4);
    Forecast full = all.get(0).forecast();
    Forecast ninety = all.get(1).forecast();
    Forecast eighty = all.get(2).forecast();
    Forecast onTheDay = all.get(3).forecast();
    assertThat(ninety.onward().endTime()).isLessThan(full.onward().endTime());
    assertThat(eighty.onward().endTime()).isLessThan(ninety.onward().endTime());
    assertThat(onTheDay.onward().endTime()).isEqualTo(full.onward().endTime());
    assertThat(onTheDay.life().years()).isGreaterThan(full.life().years());
  }

  /**
   * The weakest charger that is done before the pack is wanted again, and no faster than the
   * standard charge.
   */
  @ParameterizedTest
  @CsvSource({"4, 10", "14, 10", "30, 1.27"})
  void theChargerFollowsFromTheHoursThereAre(double perWeek, double hours) {
    Design d = Samples.barrow();
    d =
        d.withDuty(
            d.duty().withHabits(d.duty().habits().withCycles(Unit.PER_WEEK.toCore(perWeek))));
    double chosen = Selection.of(d, PARTS).guard().charge().current();
    double kind = d.pack().parallel() * d.pack().cell().currents().standardCharge();
    assertThat(chosen).isLessThanOrEqualTo(kind);
    double least = 1.15 * d.pack().capacity() / hours;
    assertThat(PARTS.chargers())
        .as("weaker than %s A and done in %s h", chosen, hours)
        .noneMatch(c -> c.current() < chosen && c.current() >= least * 1.01);
  }
}
