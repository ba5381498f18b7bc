package hammerman.prove;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.chain.LaidOut;
import hammerman.duty.Load;
import hammerman.project.Shipped;
import hammerman.prove.ExampleSeason.Logged;
import hammerman.simulation.Discharge;
import hammerman.simulation.Run;
import hammerman.telemetry.Quantity;
import hammerman.telemetry.Telemetry;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A live meter over a bad line, and the seasons that go with the examples. */
class MeterTest {
  private static Run hour() {
    return Discharge.of(
            LaidOut.of(Samples.barrow().withFit(null)).chain(),
            new Load(
                List.of(
                    new Load.Step(new Load.Power(400), 40, 1),
                    new Load.Step(new Load.Power(900), 20, 1)),
                60),
            0.95,
            293.15)
        .run();
  }

  /** Fifty samples a second for an hour; lines are lost, doubled, late, and the connection too. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4})
  void noSampleOfAnHourIsLostAndNoneCountsTwice(long seed) {
    Random r = new Random(seed);
    Run run = hour();
    SimulatedMeter meter = new SimulatedMeter(run, 5);
    MeterLog log = new MeterLog();
    List<Double> times = new ArrayList<>();
    Deque<String> late = new ArrayDeque<>();
    meter.greeting();
    long ended = -1;
    boolean connected = true;
    for (double t = 0; ended < 0 || log.next() < ended; t += 0.5) {
      List<String> lines = new ArrayList<>(meter.advance(0.5));
      if (connected && r.nextInt(200) == 0) {
        connected = false;
        late.clear();
      } else if (!connected && r.nextInt(20) == 0) {
        connected = true;
        lines.addAll(0, meter.greeting());
      }
      if (!connected) {
        continue;
      }
      for (String line : lines) {
        switch (r.nextInt(40)) {
          case 0 -> late.add(line);
          case 1 -> ended = Math.max(ended, take(log, meter, times, line + "garbled"));
          default -> ended = Math.max(ended, take(log, meter, times, line));
        }
        if (r.nextInt(30) == 0) {
          ended = Math.max(ended, take(log, meter, times, line));
        }
        if (!late.isEmpty() && r.nextInt(4) == 0) {
          ended = Math.max(ended, take(log, meter, times, late.poll()));
        }
      }
      if (r.nextInt(60) == 0) {
        // What the program asks for by connecting anew.
        for (String line : meter.greeting()) {
          ended = Math.max(ended, take(log, meter, times, line));
        }
      }
      assertThat(t).as("it comes to its end").isLessThan(9000);
    }
    assertThat(times).hasSize((int) Math.floor(run.endTime() * SimulatedMeter.RATE));
    for (int k = 0; k < times.size(); k += 997) {
      assertThat(times.get(k)).isCloseTo(k / 50.0, within(0.006));
    }
  }

  private static long take(MeterLog log, SimulatedMeter meter, List<Double> times, String line) {
    return switch (MeterLine.read(line)) {
      case MeterLine.Samples s -> {
        double[] fresh = log.take(s);
        for (int k = 0; k < fresh.length; k += MeterLine.FIGURES) {
          times.add(fresh[k]);
        }
        meter.hear(MeterLine.heard(log.next()));
        yield -1;
      }
      case MeterLine.End e -> e.number();
      case MeterLine.Hello h -> -1;
      case MeterLine.Heard h -> -1;
      case MeterLine.Nonsense n -> -1;
    };
  }

  /** The change from one run on is in the logs, and is found. */
  @ParameterizedTest
  @EnumSource(Shipped.Example.class)
  void theTrueChangeOfASeasonIsFound(Shipped.Example example) {
    ExampleSeason season = Shipped.season(example);
    var chain = LaidOut.of(Shipped.example(example).design()).chain();
    List<Calibration> fits =
        season.runs().stream()
            .map(Logged::log)
            .map(log -> Calibration.of(Replay.of(chain, log)).orElseThrow())
            .toList();
    var words = season.runs().stream().map(l -> l.sheet().words().values().toString()).toList();
    int change = words.indexOf(words.getLast());
    assertThat(change).isPositive();
    double before =
        fits.subList(0, change).stream()
            .mapToDouble(c -> c.resistance().value())
            .average()
            .orElseThrow();
    double after =
        fits.subList(change, fits.size()).stream()
            .mapToDouble(c -> c.resistance().value())
            .average()
            .orElseThrow();
    assertThat(Math.abs(after / before - 1)).as("resistance moved").isGreaterThan(0.08);
    double last = fits.getLast().capacity().value();
    assertThat(last).as("and it faded").isLessThan(fits.getFirst().capacity().value() + 0.01);
    List<Comparison.Entry> all =
        season.runs().stream()
            .map(
                l ->
                    new Comparison.Entry(
                        l.name(),
                        l.sheet(),
                        Optional.of(l.log().asTask().load()),
                        Optional.empty()))
            .toList();
    Comparison told = Comparison.of(chain, all.getFirst(), all.getLast(), all);
    assertThat(told.remaining().cause()).as(told.remaining().conclusion()).isPresent();
  }

  /** The speed that is logged is that of the duty's stretches, whatever steps the engine took. */
  @Test
  void aSeasonMovesAtTheDutysOwnSpeeds() {
    double[] speeds =
        Shipped.terraceBarrow().design().duty().task().load().steps().stream()
            .mapToDouble(Load.Step::speed)
            .distinct()
            .toArray();
    Telemetry log = Shipped.season(Shipped.Example.TERRACE_BARROW).runs().getFirst().log();
    int other = 0;
    for (int k = 0; k < log.size(); k++) {
      double speed = log.at(Quantity.SPEED, k);
      if (Arrays.stream(speeds).noneMatch(s -> Math.abs(s - speed) < 1e-6)) {
        other++;
      }
    }
    assertThat(other / (double) log.size())
        .as("but where one stretch follows on another")
        .isLessThan(0.02);
  }

  @Test
  void whatIsNotALineOfTheMeterIsNonsense() {
    assertThat(MeterLine.read("{\"kind\":\"samples\",\"number\":3,\"rows\":[1,2,3]}"))
        .isInstanceOf(MeterLine.Nonsense.class);
    assertThat(MeterLine.read("{\"kind\":\"samples\",\"number\":-1,\"rows\":[1,2,3,4]}"))
        .isInstanceOf(MeterLine.Nonsense.class);
    assertThat(MeterLine.read("")).isInstanceOf(MeterLine.Nonsense.class);
  }
}
