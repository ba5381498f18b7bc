package hammerman.watch;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.Samples;
import hammerman.SoundDesigns;
import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.guard.Protection;
import hammerman.pack.MatchedCells;
import hammerman.probe.ProbeCard;
import hammerman.watch.SimulatedPack.Fault;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class ChargeWatchTest {
  private static final double LONGEST = 40 * 3600;

  /** How a watched charge ended, with the truth at that moment. */
  private record Ended(ChargeWatch.Call call, double time, double highest, double kelvin) {}

  private static Ended charge(Design d, double start, Fault fault, int at, long seed) {
    SimulatedPack pack = new SimulatedPack(d, start, fault, at, seed);
    ChargeWatch watch = ChargeWatch.of(Chain.of(d), start);
    pack.hear(PackLine.write(new PackLine.Plug(true)));
    double silent = 0;
    for (double t = 0; t < LONGEST; t += SimulatedPack.EVERY) {
      boolean heard = false;
      ChargeWatch.Call call = null;
      for (String line : pack.advance(SimulatedPack.EVERY)) {
        if (PackLine.read(line) instanceof PackLine.Frame f) {
          call = watch.take(f.frame());
          heard = true;
        }
      }
      silent = heard ? 0 : silent + SimulatedPack.EVERY;
      call = call == null ? watch.silent(silent) : call;
      if (call.stop() || call.ended()) {
        return new Ended(
            call, t, Arrays.stream(pack.groups()).max().orElseThrow(), pack.temperature());
      }
    }
    throw new AssertionError("neither ended nor stopped");
  }

  private static double limit(Design d) {
    return d.guard()
        .protection()
        .bms()
        .map(b -> b.overVoltage())
        .orElse(d.pack().cell().fullVoltage() + 0.05);
  }

  /** The same of cells that were sorted, groups a thousandth apart. */
  private static Design level(Design d) {
    List<MatchedCells.Group> groups = new ArrayList<>();
    for (int g = 0; g < d.pack().series(); g++) {
      List<MatchedCells.Cell> cells = new ArrayList<>();
      for (int c = 0; c < d.pack().parallel(); c++) {
        double hours = d.pack().cell().capacity() * (1 + 5e-4 * (g % 3 - 1));
        cells.add(new MatchedCells.Cell("C" + g + "." + c, hours, null));
      }
      groups.add(new MatchedCells.Group(cells));
    }
    return d.withPack(d.pack().withMeasured(new MatchedCells(groups, false)));
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
  void aSoundChargeEndsWithoutAlarm(long seed) {
    Design d = level(SoundDesigns.of(seed));
    double start = 0.1 + 0.6 * new Random(seed).nextDouble();
    Ended e = charge(d, start, Fault.NONE, 0, seed);
    assertThat(e.call().stop()).as(e.call().say()).isFalse();
    assertThat(e.call().ended()).isTrue();
  }

  /** A BMS counts from when it woke up, and the charger may be plugged in hours later. */
  @Test
  void aClockThatRanLongBeforeIsNoAlarm() {
    Design d = level(Samples.barrow());
    SimulatedPack pack = new SimulatedPack(d, 0.3, Fault.NONE, 0, 2);
    ChargeWatch watch = ChargeWatch.of(Chain.of(d), 0.3);
    pack.hear(PackLine.write(new PackLine.Plug(true)));
    ChargeWatch.Call call = watch.silent(0);
    for (double t = 0; t < LONGEST && !call.ended() && !call.stop(); t += SimulatedPack.EVERY) {
      for (String line : pack.advance(SimulatedPack.EVERY)) {
        if (PackLine.read(line) instanceof PackLine.Frame f) {
          if (t == 0) {
            ChargeFrame still = f.frame();
            call =
                watch.take(
                    new ChargeFrame(39_999, still.groups(), still.pack(), 0, still.kelvin()));
          }
          call = watch.take(f.frame().since(-40_000));
        }
      }
    }
    assertThat(call.stop()).as(call.say()).isFalse();
    assertThat(call.ended()).isTrue();
  }

  @ParameterizedTest
  @EnumSource(
      value = Fault.class,
      names = {"RUNAWAY", "SENSOR", "CHARGER", "SHORT", "SILENT", "LOW"})
  void aFaultIsStoppedInTime(Fault fault) {
    for (long seed = 1; seed <= 3; seed++) {
      Design d = Samples.barrow();
      int at = new Random(seed).nextInt(d.pack().series());
      Ended e = charge(d, 0.3, fault, at, seed);
      assertThat(e.call().stop()).as("%s at %d", fault, at).isTrue();
      assertThat(e.highest()).as("true voltage at %s", fault).isLessThan(limit(d) + 1e-3);
      assertThat(e.kelvin())
          .as("true temperature at %s", fault)
          .isLessThan(d.pack().cell().temperatures().chargeHighest());
      assertThat(e.call().margin()).isNotEmpty();
    }
  }

  @ParameterizedTest
  @CsvSource({"RUNAWAY, runs away|is its limit", "SENSOR, stuck|add up", "SILENT, nobody watches"})
  void itSaysWhatItSaw(Fault fault, String words) {
    Ended e = charge(Samples.barrow(), 0.3, fault, 4, 1);
    assertThat(e.call().say()).containsPattern(words);
  }

  @Test
  void withoutABmsTheCellsOwnLimitCounts() {
    Design d = Samples.withGuard(Samples.barrow(), g -> g.withProtection(new Protection.None()));
    Ended e = charge(d, 0.3, Fault.CHARGER, 0, 1);
    assertThat(e.call().stop()).isTrue();
    assertThat(e.highest()).isLessThan(d.pack().cell().fullVoltage() + 0.05);
  }

  @Test
  void coldCellsAreNotCharged() {
    Design d = Samples.barrow();
    ChargeWatch watch = ChargeWatch.of(Chain.of(d), 0.3);
    double[] groups = new double[13];
    Arrays.fill(groups, 3.7);
    ChargeWatch.Call call = watch.take(new ChargeFrame(10, groups, 48.1, 8, new double[] {271.15}));
    assertThat(call.stop()).isTrue();
    assertThat(call.say()).contains("plates out");
  }

  @Test
  void aReadingTwiceOrLateIsLeftOutAndAStopStays() {
    Design d = Samples.barrow();
    ChargeWatch watch = ChargeWatch.of(Chain.of(d), 0.3);
    double[] groups = new double[13];
    Arrays.fill(groups, 3.7);
    double[] warm = {298.15};
    assertThat(watch.take(new ChargeFrame(3600, groups, 48.1, 8, warm)).stop()).isFalse();
    watch.take(new ChargeFrame(7200, groups, 48.1, 8, warm));
    double once = watch.charge();
    assertThat(once).isEqualTo(8);
    watch.take(new ChargeFrame(7200, groups, 48.1, 8, warm));
    watch.take(new ChargeFrame(3600, groups, 48.1, 8, warm));
    assertThat(watch.charge()).isEqualTo(once);
    groups[3] = 4.30;
    assertThat(watch.take(new ChargeFrame(7210, groups, 48.7, 8, warm)).stop()).isTrue();
    groups[3] = 3.7;
    assertThat(watch.take(new ChargeFrame(7220, groups, 48.1, 8, warm)).stop()).isTrue();
  }

  @Test
  void linesAreReadBackAndNonsenseIsPassedOver() {
    PackLine frame =
        new PackLine.Frame(
            new ChargeFrame(20, new double[] {3.7, Double.NaN}, 7.4, 2, new double[] {298.15}));
    PackLine back = PackLine.read(PackLine.write(frame));
    ChargeFrame f = ((PackLine.Frame) back).frame();
    assertThat(f.groups()[0]).isEqualTo(3.7);
    assertThat(f.groups()[1]).isNaN();
    assertThat(f.kelvin()[0]).isEqualTo(298.15);
    for (String odd : new String[] {"", "{", "[]", "{\"kind\":\"frame\"}", "{\"kind\":\"x\"}"}) {
      assertThat(PackLine.read(odd)).isInstanceOf(PackLine.Nonsense.class);
    }
  }

  @Test
  void theMeterReadsThePlugAsItIsWired() {
    Design d = Samples.barrow();
    SimulatedPack pack = new SimulatedPack(d, 0.3, Fault.SWAPPED, 4, 1);
    double[] read = new double[14];
    for (int k = 0; k < 14; k++) {
      pack.hear(PackLine.write(new PackLine.Ask(k)));
      read[k] = ((PackLine.Volts) PackLine.read(pack.advance(0).getFirst())).volts();
    }
    ProbeCard card = ProbeCard.of(d, read);
    assertThat(card.all())
        .singleElement()
        .satisfies(x -> assertThat(x.leads()).containsExactly(4, 5));
  }
}
