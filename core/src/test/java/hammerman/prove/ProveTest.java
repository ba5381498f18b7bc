package hammerman.prove;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.chain.Chain;
import hammerman.chain.LaidOut;
import hammerman.design.Design;
import hammerman.duty.Load;
import hammerman.prove.Differences.Compared;
import hammerman.prove.Differences.Condition;
import hammerman.prove.Differences.Result;
import hammerman.simulation.CellPopulation;
import hammerman.simulation.Discharge;
import hammerman.simulation.Run;
import hammerman.simulation.Trace;
import hammerman.table.TableFile;
import hammerman.telemetry.Mapping;
import hammerman.telemetry.Telemetry;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ProveTest {
  @TempDir Path folder;

  private final Design barrow = Samples.barrow().withFit(null);
  private final Chain chain = LaidOut.of(barrow).chain();

  /** Hills and levels drawn at random, to about a share of the charge. */
  private Load load(Random r, double share) {
    List<Load.Step> steps = new ArrayList<>();
    double left = share * barrow.pack().capacity() * 3600;
    steps.add(new Load.Step(new Load.Current(0), 60, 0));
    while (left > 0) {
      double amperes = r.nextInt(4) == 0 ? 0 : 5 + 30 * r.nextDouble();
      double time = 20 + r.nextInt(60);
      steps.add(new Load.Step(new Load.Current(amperes), time, 1.2));
      left -= amperes * time;
    }
    return new Load(steps, 1);
  }

  /** A log as a meter would write it once a second, of cells that are not as the design says. */
  private Telemetry log(Random r, double share, double capacity, double resistance, double noise)
      throws Exception {
    Run run =
        Discharge.of(chain, load(r, share), 0.95, 293.15)
            .with(CellPopulation.of(barrow.pack()).scaled(capacity, resistance))
            .withoutLimits()
            .run();
    return telemetry(run, r, noise);
  }

  private Telemetry telemetry(Run run, Random r, double noise) throws Exception {
    StringBuilder text = new StringBuilder("time_s,voltage_V,current_A,speed_m/s,temp_C\n");
    Trace t = run.trace();
    for (int k = 1; k < t.size(); k++) {
      text.append(
          String.format(
              Locale.ROOT,
              "%.3f,%.4f,%.4f,1.2,20%n",
              t.at(Trace.Channel.TIME, k - 1),
              t.at(Trace.Channel.VOLTAGE, k) + noise * r.nextGaussian(),
              t.at(Trace.Channel.CURRENT, k)));
    }
    return read(text.toString());
  }

  private Telemetry read(String text) throws Exception {
    Path file = Files.writeString(folder.resolve("log.csv"), text);
    TableFile table = TableFile.open(file);
    return Telemetry.read(table, Mapping.guess(table), share -> {}, () -> false).orElseThrow();
  }

  @Test
  void whatALogSaysByHand() throws Exception {
    // A minute at 50 V and 10 A, then at 48 V and 30 A: 40 A minutes, 500 W and 1440 W.
    StringBuilder text = new StringBuilder("time_s,voltage_V,current_A,speed_m/s\n");
    for (int k = 0; k < 120; k++) {
      boolean hard = k / 10 % 2 == 1;
      text.append(k).append(hard ? ",48,30,2\n" : ",50,10,2\n");
    }
    RunFigures f = RunFigures.of(read(text.toString()));
    assertThat(f.charge()).isCloseTo(40 / 60.0, within(1e-9));
    assertThat(f.energy()).isCloseTo(60 * 500 + 60 * 1440.0, within(1e-6));
    assertThat(f.peakCurrent()).isEqualTo(30);
    assertThat(f.peakPower()).isEqualTo(1440);
    assertThat(f.lowestVoltage()).isEqualTo(48);
    assertThat(f.distance()).isCloseTo(240, within(1e-9));
    assertThat(f.resistance()).as("2 V for 20 A").isCloseTo(0.1, within(1e-9));
    assertThat(f.perDistance().orElseThrow()).isCloseTo((30_000 + 86_400) / 240.0, within(1e-6));
  }

  @Test
  void aLogOfTheDesignItselfIsMetByItsForecast() throws Exception {
    Replay r = Replay.of(chain, log(new Random(1), 0.6, 1, 1, 0));
    assertThat(r.fromRest()).isTrue();
    assertThat(r.startSoc()).isCloseTo(0.95, within(0.01));
    assertThat(r.rms(r.run())).as("of 50 V").isLessThan(0.05);
  }

  @Test
  void knownScalesAreFoundWithinTheirOwnUncertainty() throws Exception {
    int capacity = 0;
    int resistance = 0;
    int seeds = 100;
    for (int seed = 1; seed <= seeds; seed++) {
      Random r = new Random(seed * 7919L);
      double q = 0.8 + 0.25 * r.nextDouble();
      double ohms = 0.8 + 0.8 * r.nextDouble();
      Calibration c =
          Calibration.of(Replay.of(chain, log(r, 0.4 * q, q, ohms, 0.03))).orElseThrow();
      capacity += c.capacity().low() <= q && q <= c.capacity().high() ? 1 : 0;
      resistance += c.resistance().low() <= ohms && ohms <= c.resistance().high() ? 1 : 0;
      assertThat(c.capacity().value()).isCloseTo(q, within(0.01));
      assertThat(c.resistance().value()).isCloseTo(ohms, within(0.02));
      assertThat(c.rms()).isLessThan(c.before());
      assertThat(c.notTold()).isEmpty();
      assertThat(c.capacityTold()).contains(c.capacity());
      assertThat(c.resistanceTold()).contains(c.resistance());
    }
    // 95 of 100 intervals of 95 % hold the truth.
    assertThat(capacity).as("capacity within its interval").isGreaterThanOrEqualTo(seeds - 5);
    assertThat(resistance).as("resistance within its interval").isGreaterThanOrEqualTo(seeds - 5);
  }

  @Test
  void aShortLogSaysThatItTellsNoCapacity() throws Exception {
    Calibration c =
        Calibration.of(Replay.of(chain, log(new Random(3), 0.08, 0.9, 1.2, 0.03))).orElseThrow();
    assertThat(c.notTold()).anyMatch(s -> s.contains("nearly empty"));
    assertThat(c.capacity().error()).isGreaterThan(c.resistance().error());
  }

  @Test
  void aLogThatHardlyDrawsTellsNeitherScaleHoweverSmallItsErrors() throws Exception {
    // Standby: a third of an ampere with a meter's noise, as an inline meter left on shows it.
    Random r = new Random(11);
    double least = 1;
    for (int seed = 0; seed < 12; seed++) {
      StringBuilder text = new StringBuilder("time_s,voltage_V,current_A\n");
      for (int k = 0; k < 600; k++) {
        text.append(
            String.format(
                Locale.ROOT,
                "%d,%.3f,%.3f%n",
                k,
                54.56 + 0.02 * r.nextGaussian(),
                0.3 + 0.02 * r.nextGaussian()));
      }
      Optional<Calibration> fit = Calibration.of(Replay.of(chain, read(text.toString())));
      if (fit.isPresent()) {
        Calibration c = fit.get();
        assertThat(c.capacityTold()).isEmpty();
        assertThat(c.resistanceTold()).isEmpty();
        assertThat(c.notTold()).anyMatch(s -> s.contains("too little to tell the resistance"));
        least = Math.min(least, c.resistance().value());
      }
    }
    assertThat(least).as("the search does go astray there").isLessThan(0.9);
  }

  @Test
  void aLogWithoutCurrentIsRefusedInWords() {
    assertThatThrownBy(() -> Replay.of(chain, read("time_s,power_W\n0,100\n1,100\n2,100\n3,120\n")))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("current");
  }

  @Test
  void aCauseIsNamedOnlyIfItAloneChanged() {
    Random r = new Random(7);
    String[] names = {"air", "charge at the start", "load carried", "wire"};
    for (int n = 0; n < 400; n++) {
      Map<String, Condition> one = new TreeMap<>();
      Map<String, Condition> other = new TreeMap<>();
      int changed = 0;
      for (String name : names) {
        boolean differs = r.nextInt(3) == 0;
        one.put(name, Condition.of("a"));
        other.put(name, Condition.of(differs ? "b" : "a"));
        changed += differs ? 1 : 0;
      }
      Result here = Result.of(10, 0.1, Unit.AMPERE_HOUR);
      Result there = Result.of(r.nextBoolean() ? 10.05 : 12, 0.1, Unit.AMPERE_HOUR);
      Differences d =
          Differences.between(
              new Compared("first", one, Map.of("charge", here)),
              new Compared("second", other, Map.of("charge", there)));
      assertThat(d.conditions()).hasSize(changed);
      assertThat(d.results()).hasSize(there.value() == 12 ? 1 : 0);
      assertThat(d.conclusion().contains("may be put down to it"))
          .isEqualTo(changed == 1 && there.value() == 12);
    }
  }

  @Test
  void whatIsKnownOfOneRunOnlyForbidsAConclusion() {
    Differences d =
        Differences.between(
            new Compared(
                "a", Map.of("air", Condition.of("8 °C")), Map.of("t", Result.of(1, 0, Unit.HOUR))),
            new Compared("b", Map.of(), Map.of("t", Result.of(2, 0, Unit.HOUR))));
    assertThat(d.conclusion()).contains("air is known of one run only");
  }

  /** Two logs alike halve the variance; two that contradict each other do not make a sure one. */
  @Test
  void severalLogsTellAScaleTogether() {
    Calibration.Scale one = new Calibration.Scale(1.10, 0.02);
    Calibration.Scale both = Calibration.Scale.together(List.of(one, one));
    assertThat(both.value()).isCloseTo(1.10, within(1e-12));
    assertThat(both.error()).isCloseTo(0.02 / Math.sqrt(2), within(1e-12));
    Calibration.Scale vague =
        Calibration.Scale.together(List.of(one, new Calibration.Scale(1.3, 0.2)));
    assertThat(vague.value()).as("the sharper one weighs more").isBetween(1.10, 1.103);
    Calibration.Scale torn =
        Calibration.Scale.together(List.of(one, new Calibration.Scale(1.30, 0.02)));
    assertThat(torn.value()).isCloseTo(1.20, within(1e-12));
    assertThat(torn.error()).as("half their distance").isCloseTo(0.1, within(1e-9));
    assertThat(Calibration.Scale.together(List.of(one))).isEqualTo(one);
  }
}
