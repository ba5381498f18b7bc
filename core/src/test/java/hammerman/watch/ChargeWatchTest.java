package hammerman.watch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.SoundDesigns;
import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.guard.ChargePlan;
import hammerman.guard.Protection;
import hammerman.pack.MatchedCells;
import hammerman.probe.ProbeCard;
import hammerman.watch.ChargeWatch.State;
import hammerman.watch.SimulatedPack.Fault;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
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
    ChargeWatch watch = ChargeWatch.of(Chain.of(d), start, 0);
    pack.hear(PackLine.write(new PackLine.Plug(true)));
    for (double t = SimulatedPack.EVERY; t < LONGEST; t += SimulatedPack.EVERY) {
      ChargeWatch.Call call = watch.await(t);
      for (String line : pack.advance(SimulatedPack.EVERY)) {
        if (PackLine.read(line) instanceof PackLine.Frame f) {
          call = watch.take(f.frame(), t);
        }
      }
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
    ChargeWatch watch = ChargeWatch.of(Chain.of(d), 0.3, 0);
    pack.hear(PackLine.write(new PackLine.Plug(true)));
    ChargeWatch.Call call = watch.await(0);
    for (double t = 0; t < LONGEST && !call.ended() && !call.stop(); t += SimulatedPack.EVERY) {
      for (String line : pack.advance(SimulatedPack.EVERY)) {
        if (PackLine.read(line) instanceof PackLine.Frame f) {
          call = watch.take(f.frame().at(f.frame().time() + 40_000), t);
        }
      }
    }
    assertThat(call.stop()).as(call.say()).isFalse();
    assertThat(call.ended()).isTrue();
  }

  /** The end is known by the charge voltage of the design, whatever the BMS is set to. */
  @ParameterizedTest
  @CsvSource({
    "b21700, 4.20",
    "b21700, 4.10",
    "b21700, 4.05",
    "b21700, 4.00",
    "f26650, 3.65",
    "f26650, 3.50",
    "f26650, 3.45",
    "n18650, 3.95",
    "l66160, 2.70"
  })
  void aChargeToAnyVoltageEndsAsSuch(String cell, double volts) {
    Design base = Samples.barrow();
    Design d =
        level(
            Samples.withGuard(
                base.withPack(Samples.pack(cell, 13, 4)),
                g ->
                    g.withProtection(new Protection.None())
                        .withCharge(ChargePlan.usual(13 * volts, 4))));
    Ended e = charge(d, 0.5, Fault.NONE, 0, 3);
    assertThat(e.call().stop()).as(e.call().say()).isFalse();
    assertThat(e.call().ended()).isTrue();
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
  @CsvSource({
    "RUNAWAY, runs ahead|its limit is",
    "SENSOR, stuck|add up",
    "SILENT, nothing watches"
  })
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

  /** A frame that comes late or twice is no news, but its figures are judged. */
  @Test
  void aLateFrameMovesNoChargeAndIsJudgedAllTheSame() {
    Bench b = new Bench(Samples.barrow(), 0.3);
    b.frames(100, f -> f);
    double once = b.watch.charge();
    assertThat(once).isCloseTo(8 * 990 / 3600.0, within(0.05));
    assertThat(b.take(b.sound().at(b.device - 30)).state()).isEqualTo(State.DOUBT);
    assertThat(b.take(b.sound()).state()).isEqualTo(State.DOUBT);
    assertThat(b.watch.charge()).isEqualTo(once);
    assertThat(b.frames(1, f -> f).state()).isEqualTo(State.FINE);
    assertThat(b.take(b.all(4.3).at(b.device - 30)).stop()).isTrue();
    assertThat(b.frames(1, f -> f).stop()).as("a stop stays").isTrue();
  }

  @Test
  void whatComesBackInTimeIsNoStop() {
    Bench b = new Bench(Samples.barrow(), 0.3);
    b.frames(20, f -> f);
    for (int k = 0; k < 5; k++) {
      b.step(5);
      assertThat(b.take(b.celsius()).state()).isEqualTo(State.DOUBT);
      b.step(4);
      assertThat(b.take(b.sound()).state()).isEqualTo(State.FINE);
    }
  }

  @Test
  void whereNothingFlowsAllIsNotWell() {
    Bench b = new Bench(Samples.barrow(), 0.3);
    assertThat(b.frames(5, f -> b.current(0)).say()).contains("No charge current");
    assertThat(b.frames(5, f -> f).state()).isEqualTo(State.FINE);
  }

  /** What passed as well, in the lines of a pack as they came; the figures are real dangers. */
  @ParameterizedTest
  @CsvSource({
    "pack-stuck-clock, Group 1 is at 4.540 V, 30",
    "pack-time-too-large-once, Group 1 is at 4.540 V, 20",
    "pack-one-of-13-groups, Of 13 groups 1 are read, 20",
    "pack-no-temperature-any-more, 0 of 1 temperature sensors, 30",
    "pack-negative-current, out of the pack, 10"
  })
  void whatPassedOnceIsStopped(String name, String words, double within) throws Exception {
    ChargeWatch watch = ChargeWatch.of(Chain.of(Samples.barrow()), 0.3, 0);
    ChargeWatch.Call call = watch.await(0);
    double t = 0;
    for (String line : lines(name)) {
      t += 10;
      call = call.stop() ? call : watch.take(((PackLine.Frame) PackLine.read(line)).frame(), t);
      if (call.stop()) {
        break;
      }
    }
    assertThat(call.stop()).as(call.say()).isTrue();
    assertThat(call.say()).contains(words);
    assertThat(t).isLessThanOrEqualTo(within + 10);
  }

  @Test
  void aContactThatThereCannotBeIsNotUnderstood() throws Exception {
    assertThat(PackLine.read(lines("pack-negative-contact").getFirst()))
        .isInstanceOf(PackLine.Nonsense.class);
  }

  private static List<String> lines(String name) throws Exception {
    try (InputStream in =
        Objects.requireNonNull(
            ChargeWatchTest.class.getResourceAsStream("/findings/" + name + ".lines"))) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8)
          .lines()
          .filter(l -> !l.isBlank())
          .toList();
    }
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
    PackLine half =
        PackLine.read(
            "{\"kind\":\"frame\",\"time_s\":\"x\",\"groups_V\":[4.5,\"y\"],\"current_A\":null}");
    assertThat(((PackLine.Frame) half).frame().highest())
        .as("a figure counts, whatever stands beside it")
        .isEqualTo(4.5);
    for (String odd : new String[] {"", "{", "[]", "{\"kind\":\"x\"}"}) {
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
