package hammerman.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.finding.Derivation;
import hammerman.finding.Origin;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the workings of the worked example say, against the same sums done by hand. */
class WorkingsTest {
  private final Forecast forecast = Forecast.of(Samples.barrow());

  @ParameterizedTest
  @CsvSource({
    "NOMINAL_VOLTAGE, 46.8 V",
    "FULL_VOLTAGE, 54.6 V",
    "CAPACITY, 27.0 Ah",
    "ENERGY, 1264 Wh",
    "MASS, 6.12 kg",
    "COST, 406",
    "CURRENT_PER_CELL, 9.17 A",
    "CHARGE_CEILING, 100 %"
  })
  void plainSums(Headline headline, String shown) {
    assertThat(Workings.figure(headline, forecast)).isEqualTo(shown);
  }

  @Test
  void sagByHand() {
    double cold = Math.exp(22_000 / 8.314462618 * (1 / 281.15 - 1 / 298.15));
    double cells = 13.0 / 6 * 0.016 * 1.1 * cold;
    double copper = 1.724e-8 * (1 + 0.00393 * (281.15 - 293.15));
    double nickel = 6.99e-8 * (1 + 0.006 * (281.15 - 293.15));
    double strips = 13 * nickel * 21.5e-3 / (0.15e-3 * 8e-3) / 6;
    double outside = strips + copper * 1.782 / 8.37e-6 + 0.9e-3 + 0.5e-3 + 0.1 / 60 + 3e-3;
    double volts = 13 * 3.55 - 55 * (cells + outside);
    Forecast open = Forecast.of(Samples.barrow().withFit(null));
    assertThat(Workings.figure(Headline.SAG, open)).isEqualTo(Figures.of(volts, Unit.VOLT, 1));
    Derivation d = Workings.of(Headline.SAG, open);
    assertThat(input(d, "R_ext")).isEqualTo(Figures.of(outside, Unit.MILLIOHM));
    assertThat(input(d, "k_T")).isEqualTo(Figures.fixed(cold, 2));
    assertThat(d.extrapolated()).isFalse();
  }

  @Test
  void fuseWindowByHand() {
    // 55 A for 12 s: twice 12 s on the least melting curve of a cartridge, 1.5 times
    // as slow as the fast blade, logarithmic.
    double share = Math.log(360_000 / 16.0) / Math.log(360_000 / 0.75);
    double lower = 55 / (1.1 * Math.pow(1.35 / 1.1, share));
    assertThat(forecast.chain().fuseWindow().lower()).isCloseTo(lower, within(1e-9));
    assertThat(Workings.figure(Headline.FUSE_WINDOW, forecast))
        .startsWith(Figures.number(lower) + " to ");
  }

  @Test
  void inputsTellWhereTheyCameFrom() {
    Derivation d = Workings.of(Headline.CAPACITY, forecast);
    assertThat(d.inputs())
        .extracting(Derivation.Input::origin)
        .containsExactly(Origin.YOURS, Origin.CELL);
    assertThat(Workings.of(Headline.CHARGE_TIME, forecast).inputs())
        .extracting(Derivation.Input::origin)
        .contains(Origin.YOURS, Origin.COMPUTED, Origin.MODEL);
  }

  @Test
  void outsideItsRangeAFigureSaysSo() {
    var d = Samples.barrow();
    Forecast polar =
        Forecast.of(
            d.withDuty(
                d.duty().withSurroundings(d.duty().surroundings().withColdestInUse(233.15))));
    assertThat(Workings.of(Headline.SAG, polar).extrapolated()).isTrue();
    assertThat(Workings.of(Headline.LIFE, forecast).source()).contains("Schmalstieg");
    Forecast phosphate = Forecast.of(d.withCell(Samples.cell("f32700")));
    assertThat(Workings.of(Headline.LIFE, phosphate).source()).contains("Wang", "Naumann");
    assertThat(input(Workings.of(Headline.LIFE, phosphate), "R")).contains("not known");
  }

  @Test
  void lifeIsShownAsABandWithSensibleDigits() {
    assertThat(Workings.figure(Headline.LIFE, forecast)).matches("\\d\\.\\d to \\d\\.\\d years");
    var d = Samples.barrow();
    Forecast idle =
        Forecast.of(
            d.withDuty(
                d.duty()
                    .withHabits(d.duty().habits().withCycles(0).withStorageSoc(0.05))
                    .withSurroundings(
                        d.duty()
                            .surroundings()
                            .withColdestStored(263.15)
                            .withHottestStored(268.15))));
    assertThat(Workings.figure(Headline.LIFE, idle)).startsWith("over 30");
  }

  @Test
  void aTrialAgreesWithTheForecast() {
    Trial trial = Trial.of(Samples.barrow(), forecast.chain().path().assembly());
    assertThat(trial.margin()).isCloseTo(forecast.duty().endSoc(), within(2e-3));
    assertThat(trial.peakTemperature())
        .isCloseTo(forecast.duty().extremes().peakTemperature(), within(0.2));
    assertThat(trial.years()).isCloseTo(forecast.life().years(), within(0.02));
    assertThat(trial.worst().orElseThrow().id()).isEqualTo("machine.floor");
    assertThat(trial.stopped()).isFalse();
  }

  /** What a curve says of how it came about holds for the runs it was made of. */
  @Test
  void curvesTellTheRunsThatTheyAreMadeOf() {
    AirSweep air = AirSweep.of(forecast);
    Derivation inAir = Workings.of(Swept.AIR, forecast);
    assertThat(inAir.result()).isEqualTo(3 * air.points().size() + " runs");
    assertThat(input(inAir, "T_air"))
        .isEqualTo(
            Figures.of(air.points().getFirst().air(), Unit.CELSIUS, 0)
                + " to "
                + Figures.of(air.points().getLast().air(), Unit.CELSIUS, 0));
    assertThat(input(inAir, "V_out")).isEqualTo("41 V");
    assertThat(input(inAir, "V_off")).isEqualTo("2.8 V");
    Derivation days = Workings.of(Swept.DAYS, forecast);
    assertThat(days.inputs().stream().filter(i -> i.symbol().equals("T_air")))
        .extracting(Derivation.Input::value)
        .containsExactlyElementsOf(
            forecast.days().stream().map(d -> Figures.of(d.air(), Unit.CELSIUS, 0)).toList());
    assertThat(input(days, "worn")).isEqualTo(input(inAir, "worn"));
    PowerSweep power = PowerSweep.of(forecast);
    Derivation atPower = Workings.of(Swept.POWER, forecast);
    double highest = Math.max(power.hot().getLast().power(), power.cold().getLast().power());
    assertThat(Unit.WATT.toCore(Double.parseDouble(input(atPower, "P_m").replace(" W", ""))))
        .isGreaterThanOrEqualTo(Math.floor(highest));
    Derivation atSpeed = Workings.of(Swept.SPEED, forecast);
    SpeedSweep.Point point = SpeedSweep.of(forecast, 2, 40).orElseThrow().points().get(12);
    double c = Double.parseDouble(input(atSpeed, "c"));
    double v = point.speed();
    double force = (95 + 40) * 9.81 * c + 0.5 * 1.204 * 0.7 * (v + 2) * (v + 2);
    assertThat(point.power()).as(atSpeed.formula()).isCloseTo(force * v / 0.62 + 8, within(1e-9));
    assertThat(input(atSpeed, "η")).isEqualTo("62 %");
  }

  @Test
  void barsAndBandsTellWhatWasChanged() {
    Derivation moves = Workings.of(Swept.MOVES, forecast);
    assertThat(moves.inputs().stream().filter(i -> i.symbol().equals("Δx")))
        .hasSameSizeAs(Sensitivity.Input.values());
    Derivation spread = Workings.of(Swept.SPREAD, forecast);
    assertThat(input(spread, "σ_R"))
        .as("3.75 times the capacity's")
        .isEqualTo(Figures.of(3.75 * forecast.design().pack().lot().spread(), Unit.PERCENT));
    assertThat(spread.result()).isEqualTo("200 packs");
  }

  private static String input(Derivation d, String symbol) {
    return d.inputs().stream()
        .filter(i -> i.symbol().equals(symbol))
        .map(Derivation.Input::value)
        .findFirst()
        .orElseThrow();
  }
}
