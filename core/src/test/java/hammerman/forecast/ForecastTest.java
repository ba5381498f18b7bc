package hammerman.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.duty.Task;
import hammerman.finding.Finding;
import hammerman.finding.Severity;
import hammerman.pack.Assembly;
import hammerman.unit.Unit;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class ForecastTest {
  private final Design barrow = Samples.barrow();
  private final Forecast forecast = Forecast.of(barrow);

  @Test
  void theWorkedExampleIsPlausible() {
    assertThat(forecast.duty().outcome().complete()).isTrue();
    double out = Unit.WATT_HOUR.fromCore(forecast.duty().totals().energyOut());
    assertThat(out).isBetween(1000.0, 1264.0);
    assertThat(forecast.onward().endTime()).isGreaterThan(forecast.duty().endTime());
    assertThat(Unit.CELSIUS.fromCore(forecast.duty().extremes().peakTemperature()))
        .isBetween(39.0, 55.0);
    assertThat(forecast.charge().time() / 3600).isBetween(2.0, 5.0);
    assertThat(forecast.life().years()).isBetween(1.0, 6.0);
    assertThat(forecast.judgements())
        .extracting(Finding::id)
        .containsExactly("strip.current", "machine.floor", "duty.shortWhenWorn");
  }

  @Test
  void theSameDesignGivesTheSameForecast() {
    Forecast again = Forecast.of(barrow);
    assertThat(again.duty().totals()).isEqualTo(forecast.duty().totals());
    assertThat(again.life()).isEqualTo(forecast.life());
    assertThat(again.judgements()).isEqualTo(forecast.judgements());
  }

  @Test
  void theOnwardRunBeginsAsTheDutyRun() {
    assertThat(forecast.onward().outcome().complete()).isFalse();
    assertThat(forecast.range()).isGreaterThan(forecast.duty().totals().distance());
  }

  @Test
  void chargingLowerLivesLonger() {
    Design lower = Samples.withGuard(barrow, g -> g.withCharge(g.charge().withVoltage(52.5)));
    assertThat(Forecast.of(lower).life().years()).isGreaterThan(forecast.life().years());
    assertThat(forecast.otherCeilings()).hasSize(2);
    assertThat(forecast.otherCeilings().getFirst().life().years())
        .isGreaterThan(forecast.life().years());
  }

  /** Of two packs the one that is joined as charged follows the ceiling, and so does the time. */
  @Test
  void schoolsOfChargingChargeBothPacks() {
    SecondPack second =
        new SecondPack(barrow.pack(), barrow.guard(), SecondPack.Joining.DIODES, 1, 0.6);
    List<Ceiling> schools = Ceiling.of(barrow.withSecond(second));
    Ceiling full = schools.getFirst();
    Ceiling eighty = schools.get(2);
    SecondPack lower = Objects.requireNonNull(eighty.design().second());
    assertThat(lower.guard().charge().voltage())
        .isEqualTo(eighty.design().guard().charge().voltage())
        .isLessThan(second.guard().charge().voltage() - 1);
    assertThat(lower.soc()).isCloseTo(0.8, within(1e-9));
    assertThat(lower.firstSoc()).as("it was not full before").isEqualTo(0.6);
    assertThat(full.design().second()).isEqualTo(second);
    assertThat(eighty.forecast().reach().typical().endTime())
        .isLessThan(0.92 * full.forecast().reach().typical().endTime());
  }

  @Test
  void settledTemperatureBalancesHeatMadeAndShed() {
    Thermal t = forecast.thermal();
    double current = forecast.chain().demand().continuous();
    double resistance =
        forecast.chain().path().cells(0.5, t.settled(), hammerman.chain.Path.Settling.SETTLED)
            + forecast.chain().path().assembly().stripResistance(t.settled());
    double hottest = barrow.duty().surroundings().hottestInUse();
    assertThat(t.conductance() * (t.settled() - hottest))
        .isCloseTo(current * current * resistance, within(1e-3));
  }

  @Test
  void fullEffortInAHotSealedBoxHasATimeLimit() {
    Design hot =
        barrow.withDuty(
            barrow
                .duty()
                .withMachine(barrow.duty().machine().withFullEffortCurrent(55))
                .withSurroundings(barrow.duty().surroundings().withHottestInUse(318.15)));
    assertThat(Forecast.of(hot).thermal().timeToLimit()).isPresent();
    assertThat(Forecast.of(barrow.withFit(null)).thermal().timeToLimit()).isEmpty();
  }

  @Test
  void aLoadThatOnlyIdlesEndsAtTheLongestForecast() {
    Design idle = barrow.withDuty(barrow.duty().withTask(new Task.ByTime(0.02, 3600)));
    assertThat(Forecast.of(idle).onward().outcome().complete()).isTrue();
  }

  @ParameterizedTest
  @EnumSource(Headline.class)
  void everyHeadlineShowsItsWorking(Headline headline) {
    var d = Workings.of(headline, forecast);
    assertThat(d.result()).matches("(?s).*\\d.*");
    assertThat(d.formula()).isNotBlank();
    assertThat(d.inputs()).isNotEmpty();
    assertThat(d.source()).isNotBlank();
    assertThat(d.validity()).isNotBlank();
  }

  @Test
  void workingsFollowTheDesign() {
    Forecast more = Forecast.of(barrow.withCounts(14, 7));
    assertThat(Workings.figure(Headline.FULL_VOLTAGE, more)).isEqualTo("58.8 V");
    assertThat(Workings.figure(Headline.CAPACITY, more)).isEqualTo("31.5 Ah");
    assertThat(Workings.of(Headline.CAPACITY, more).inputs().getFirst().value()).isEqualTo("7");
  }

  @Test
  void theFieldAgreesWithTheFullForecast() {
    StackField field = StackField.of(barrow, Assembly.estimated(barrow.pack()));
    for (int[] counts : new int[][] {{13, 6}, {13, 3}, {14, 6}, {12, 8}, {10, 6}}) {
      boolean stopped =
          Forecast.of(barrow.withCounts(counts[0], counts[1])).judgements().stream()
              .anyMatch(
                  j ->
                      j.severity() == Severity.STOP
                          && j.station() == hammerman.finding.Station.STACK);
      assertThat(field.at(counts[0], counts[1]).orElseThrow().stopped())
          .as("%dS%dP", counts[0], counts[1])
          .isEqualTo(stopped);
    }
  }

  @Test
  void countsBeyondTheUsualAreInsideTheField() {
    assertThat(
            StackField.of(
                    barrow.withCounts(40, 30), Assembly.estimated(barrow.withCounts(40, 30).pack()))
                .at(40, 30))
        .isPresent();
    assertThat(
            StackField.of(
                    barrow.withCounts(250, 500),
                    Assembly.estimated(barrow.withCounts(250, 500).pack()))
                .at(250, 500))
        .isPresent();
    assertThat(
            StackField.of(
                    barrow.withCounts(1, 1), Assembly.estimated(barrow.withCounts(1, 1).pack()))
                .at(1, 1))
        .isPresent();
  }

  @Test
  void changingTheCountsTakesBmsAndChargeAlong() {
    Design more = barrow.withCounts(14, 6);
    assertThat(more.guard().charge().voltage()).isCloseTo(58.8, within(1e-9));
    assertThat(more.guard().protection().bms().orElseThrow().series()).isEqualTo(14);
    Design owned = Samples.withBms(barrow, b -> b.withSeries(10)).withCounts(14, 6);
    assertThat(owned.guard().protection().bms().orElseThrow().series()).isEqualTo(10);
  }

  @Test
  void changingTheCellTakesChargeAndBmsVoltagesAlong() {
    Design phosphate = barrow.withCell(Samples.cell("f32700"));
    assertThat(phosphate.chargeVoltagePerCell()).isCloseTo(3.65, within(1e-3));
    assertThat(phosphate.guard().protection().bms().orElseThrow().overVoltage())
        .isCloseTo(3.70, within(1e-9));
  }

  @Test
  void theFieldsMeasuresAreThoseOfItsDesigns() {
    Design barrow = Samples.barrow();
    StackField field = StackField.of(barrow, Assembly.estimated(barrow.pack()));
    StackField.Square chosen = field.at(13, 6).orElseThrow();
    assertThat(StackField.Measure.ENERGY.of(chosen)).isEqualTo(barrow.pack().energy());
    assertThat(StackField.Measure.SAG.of(chosen))
        .isEqualTo(Chain.of(barrow).sag().get(2).tenSeconds());
    double small = StackField.Measure.TIME_TO_LIMIT.of(field.at(13, 1).orElseThrow());
    assertThat(small).isLessThan(StackField.Measure.TIME_TO_LIMIT.of(chosen));
  }
}
