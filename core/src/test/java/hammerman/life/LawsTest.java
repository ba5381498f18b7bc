package hammerman.life;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.cell.CellCircuit;
import hammerman.cell.CellType;
import hammerman.cell.Chemistry;
import hammerman.cell.CycleLife;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What each law covers, what it is a likeness of, and how it is scaled. */
class LawsTest {
  private static Conditions.Rest rest(double volts, double soc, double celsius) {
    return new Conditions.Rest(1, volts, soc, celsius + 273.15);
  }

  private static Conditions use(double restCelsius, double useCelsius, double rate) {
    return new Conditions(
        List.of(rest(3.8, 0.6, restCelsius)),
        Conditions.Cycling.plain(1, 0.8, 3.7, 0.5, useCelsius + 273.15, rate));
  }

  /** The NMC cells rested at 35 to 50 °C and were cycled at 35 °C. */
  @ParameterizedTest
  @CsvSource({
    "35, 35, false",
    "50, 35, false",
    "34.9, 35, true",
    "50.1, 35, true",
    "40, 40, false",
    "40, 30, false",
    "40, 40.1, true",
    "40, 29.9, true"
  })
  void outsideThePapersTemperaturesNmcIsExtrapolated(double rest, double use, boolean outside) {
    assertThat(new NickelLaw().extrapolates(use(rest, use, 1))).isEqualTo(outside);
  }

  /** The LFP cells rested at 0 to 60 °C and were cycled at 15 to 60 °C, C/2 to 10 C. */
  @ParameterizedTest
  @CsvSource({
    "0, 15, 0.5, false",
    "60, 60, 10, false",
    "-0.1, 25, 1, true",
    "60.1, 25, 1, true",
    "25, 14.9, 1, true",
    "25, 60.1, 1, true",
    "25, 25, 0.49, true",
    "25, 25, 10.1, true"
  })
  void outsideThePapersRangePhosphateIsExtrapolated(
      double rest, double use, double rate, boolean outside) {
    assertThat(new PhosphateLaw().extrapolates(use(rest, use, rate))).isEqualTo(outside);
  }

  @Test
  void oneRestOutsideIsEnough() {
    Conditions.Cycling cycling = use(40, 35, 1).cycling();
    Conditions winter = new Conditions(List.of(rest(3.8, 0.6, 40), rest(3.8, 0.6, 5)), cycling);
    assertThat(new NickelLaw().extrapolates(winter)).isTrue();
    Conditions frost = new Conditions(List.of(rest(3.8, 0.6, 40), rest(3.8, 0.6, -5)), cycling);
    assertThat(new PhosphateLaw().extrapolates(frost)).isTrue();
  }

  /** Below its empty voltage the paper's line would give back capacity; it gives none. */
  @Test
  void restingNeverHeals() {
    assertThat(new NickelLaw().calendarRate(rest(3.0, 0, 35))).isZero();
    assertThat(new NickelLaw().calendarResistanceRate(rest(3.0, 0, 35))).isZero();
    assertThat(new NickelLaw().cycleResistanceRate(cycling(3.725, 0.01))).isZero();
  }

  private static Conditions.Cycling cycling(double volts, double depth) {
    return Conditions.Cycling.plain(1, depth, volts, 0.5, 308.15, 1);
  }

  @Test
  void outsideItsRatesPhosphateTakesTheNearestTold() {
    PhosphateLaw law = new PhosphateLaw();
    assertThat(law.cycleRate(use(25, 25, 0.1).cycling()))
        .isEqualTo(law.cycleRate(use(25, 25, 0.5).cycling()));
    assertThat(law.cycleRate(use(25, 25, 30).cycling()))
        .isEqualTo(law.cycleRate(use(25, 25, 10).cycling()));
  }

  /** Schmalstieg's cell moves its 2.05 Ah in both directions, Wang's delivers its 2.2 Ah. */
  @Test
  void chargeIsCountedAsThePapersCountIt() {
    assertThat(new NickelLaw().throughputPerEquivalentCycle()).isEqualTo(4.1);
    assertThat(new PhosphateLaw().throughputPerEquivalentCycle()).isEqualTo(2.2);
    assertThat(new NickelLaw().calendarExponent()).isEqualTo(0.75);
    assertThat(new NickelLaw().cycleExponent()).isEqualTo(0.5);
    assertThat(new PhosphateLaw().calendarExponent()).isEqualTo(0.5);
    assertThat(new PhosphateLaw().cycleExponent()).isEqualTo(0.55);
  }

  @ParameterizedTest
  @CsvSource({"LCO, 1.2", "LMO, 1.6", "LTO, 0.3", "NA_ION, 1.2"})
  void aLikenessAgesAsNmcAtTheSameCharge(Chemistry chemistry, double factor) {
    IndicativeLaw law = IndicativeLaw.of(chemistry);
    NickelLaw nmc = new NickelLaw();
    double own = chemistry.openCircuit().value(0.8);
    double alike = Chemistry.NMC.openCircuit().value(0.8);
    Conditions.Rest here = new Conditions.Rest(0.4, own, 0.8, 303.15);
    Conditions.Rest there = new Conditions.Rest(0.4, alike, 0.8, 303.15);
    assertThat(law.calendarRate(here)).isEqualTo(factor * nmc.calendarRate(there));
    assertThat(law.calendarResistanceRate(here))
        .isEqualTo(factor * nmc.calendarResistanceRate(there));
    Conditions.Cycling used = new Conditions.Cycling(2, 0.7, 0.9, own, 0.8, 308.15, 0.5);
    Conditions.Cycling likened = new Conditions.Cycling(2, 0.7, 0.9, alike, 0.8, 308.15, 0.5);
    assertThat(law.cycleRate(used)).isEqualTo(nmc.cycleRate(likened)).isPositive();
    assertThat(law.cycleResistanceRate(used))
        .isEqualTo(nmc.cycleResistanceRate(likened))
        .isPositive();
    assertThat(law.calendarExponent()).isEqualTo(nmc.calendarExponent());
    assertThat(law.cycleExponent()).isEqualTo(nmc.cycleExponent());
    assertThat(law.throughputPerEquivalentCycle()).isEqualTo(nmc.throughputPerEquivalentCycle());
    assertThat(law.indicative()).isTrue();
    assertThat(law.extrapolates(use(40, 35, 1))).as("always").isTrue();
    assertThat(law.knowsResistance()).isTrue();
    assertThat(law.source()).contains("likeness", "Schmalstieg", chemistry.label());
    assertThat(law.validity()).isEqualTo("indicative only");
  }

  @ParameterizedTest
  @CsvSource({"NMC", "NCA", "LFP"})
  void whatHasAnEquationOfItsOwnIsNotLikened(Chemistry chemistry) {
    assertThatThrownBy(() -> IndicativeLaw.of(chemistry))
        .hasMessageContaining(chemistry.label())
        .hasMessageContaining("an equation of its own");
  }

  @Test
  void eachSaysWhereItComesFromAndWhatItWasTestedAt() {
    NickelLaw nmc = new NickelLaw();
    assertThat(nmc.source()).contains("Schmalstieg", "257 (2014) 325");
    assertThat(nmc.validity()).contains("35 to 50 °C", "2.05 Ah");
    assertThat(nmc.knowsResistance()).isTrue();
    assertThat(nmc.indicative()).isFalse();
    PhosphateLaw lfp = new PhosphateLaw();
    assertThat(lfp.source()).contains("Wang", "196 (2011) 3942", "Naumann", "17 (2018) 153");
    assertThat(lfp.validity()).contains("15 to 60 °C", "C/2 to 10 C");
    assertThat(lfp.knowsResistance()).isFalse();
    assertThat(lfp.indicative()).isFalse();
    assertThat(lfp.calendarResistanceRate(rest(3.3, 1, 40))).isZero();
    assertThat(lfp.cycleResistanceRate(cycling(3.3, 1))).isZero();
  }

  /** Half the cycles told, twice the loss of a cycle's root: the calendar part is left alone. */
  @Test
  void onlyTheCyclePartMeetsTheDatasheet() {
    CellType cell = Samples.cell("b21700");
    NickelLaw law = new NickelLaw();
    CycleLife told = new CycleLife(500, 0.8, 0.9, 1, 298.15);
    ScaledLaw scaled = ScaledLaw.of(law, cell, told, false);
    double volts = new CellCircuit(cell).meanOpenCircuit(0.05, 0.95);
    Conditions.Cycling test = Conditions.Cycling.plain(1, 0.9, volts, 0.5, 298.15, 1);
    // 500 cycles of 90 % move 500 · 0.9 · 4.1 Ah of the paper's cell and cost a fifth.
    assertThat(scaled.cycleRate(test) * Math.sqrt(500 * 0.9 * 4.1)).isCloseTo(0.2, within(1e-12));
    double factor = scaled.cycleRate(test) / law.cycleRate(test);
    assertThat(scaled.cycleResistanceRate(test))
        .isCloseTo(factor * law.cycleResistanceRate(test), within(1e-15));
    Conditions.Rest rest = rest(3.9, 0.65, 35);
    assertThat(scaled.calendarRate(rest)).isEqualTo(law.calendarRate(rest));
    assertThat(scaled.calendarResistanceRate(rest)).isEqualTo(law.calendarResistanceRate(rest));
    assertThat(scaled.calendarExponent()).isEqualTo(0.75);
    assertThat(scaled.cycleExponent()).isEqualTo(0.5);
    assertThat(scaled.throughputPerEquivalentCycle()).isEqualTo(4.1);
    assertThat(scaled.knowsResistance()).isTrue();
    assertThat(scaled.indicative()).isFalse();
    assertThat(scaled.extrapolates(use(40, 35, 1))).isFalse();
    assertThat(scaled.extrapolates(use(20, 35, 1))).isTrue();
    assertThat(scaled.validity()).isEqualTo(law.validity());
    assertThat(scaled.source()).contains("Schmalstieg", "datasheet's cycle life");
    CellType phosphate = Samples.cell("f32700");
    ScaledLaw other = ScaledLaw.of(new PhosphateLaw(), phosphate, told, true);
    assertThat(other.knowsResistance()).isFalse();
    assertThat(other.source()).contains("typical for the chemistry");
  }

  @Test
  void theDatasheetComesBeforeWhatIsTypicalAndThatBeforeNothing() {
    CellType titanate = Samples.cell("l66160");
    assertThat(AgeingLaw.of(titanate).source()).contains("typical for the chemistry");
    CycleLife told = new CycleLife(15000, 0.8, 1, 1, 298.15);
    assertThat(AgeingLaw.of(titanate.withCycleLife(told)).source()).contains("datasheet's");
    assertThat(AgeingLaw.of(Samples.cell("b21700"))).isInstanceOf(NickelLaw.class);
    assertThat(AgeingLaw.of(Samples.cell("f32700"))).isInstanceOf(PhosphateLaw.class);
  }
}
