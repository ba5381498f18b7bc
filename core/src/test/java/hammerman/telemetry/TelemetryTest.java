package hammerman.telemetry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.duty.Load;
import hammerman.duty.Task;
import hammerman.table.TableFile;
import hammerman.table.UnreadableTable;
import hammerman.unit.Unit;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class TelemetryTest {
  @TempDir Path folder;

  /** The same run as ten devices might write it: 100 W, 200 W, −50 W, 0 W; ¶ ends a line. */
  record Way(String name, String text, Charset charset) {
    Way(String name, String text) {
      this(name, text, StandardCharsets.UTF_8);
    }

    @Override
    public String toString() {
      return name;
    }
  }

  static Stream<Way> ways() {
    return Stream.of(
        new Way("comma", "time,voltage,current¶0,50,2¶1,50,4¶2,50,-1¶3,50,0¶"),
        new Way(
            "semicolon, decimal comma",
            "Time (s);Voltage (V);Current (A)¶"
                + "0,0;50,0;2,0¶"
                + "1,0;50,0;4,0¶"
                + "2,0;50,0;-1,0¶"
                + "3,0;50,0;0,0¶"),
        new Way("tabs", "t\tPack V\tAmps¶0\t50\t2¶1\t50\t4¶2\t50\t-1¶3\t50\t0¶"),
        new Way("byte order mark", "\uFEFFtime,power¶0,100¶1,200¶2,-50¶3,0¶"),
        new Way(
            "quoted",
            "\"time\",\"voltage\",\"current\"¶"
                + "\"0\",\"50.0\",\"2.0\"¶"
                + "\"1\",\"50.0\",\"4.0\"¶"
                + "\"2\",\"50.0\",\"-1.0\"¶"
                + "\"3\",\"50.0\",\"0\"¶"),
        new Way(
            "missing cells", "time,voltage,current¶0,50,2¶0.5,,3¶1,50,4¶1.5,50,¶2,50,-1¶3,50,0¶"),
        new Way(
            "unsorted and repeated times",
            "time,voltage,current¶2,50,-1¶0,50,2¶1,50,9¶3,50,0¶1,50,4¶"),
        new Way(
            "milliseconds and milliamperes",
            "time_ms,voltage_mV,current_mA¶"
                + "0,50000,2000¶"
                + "1000,50000,4000¶"
                + "2000,50000,-1000¶"
                + "3000,50000,0¶"),
        new Way(
            "discharge negative, preamble",
            "Meter log 7¶unit no. 4¶time;u;i¶0;50;-2¶1;50;-4¶2;50;1¶3;50;0¶"),
        new Way(
            "dates, kilowatts, Latin letters",
            "Timestamp|Power (kW)|Temp (°C)¶"
                + "2026-05-01 10:00:00|0.1|20¶"
                + "2026-05-01 10:00:01|0.2|21¶"
                + "2026-05-01 10:00:02|-0.05|21¶"
                + "2026-05-01 10:00:03|0|21¶",
            StandardCharsets.ISO_8859_1),
        new Way(
            "clock, two heads of columns more, UTF-16",
            "elapsed,speed [km/h],voltage,current¶"
                + "00:00:00,3.6,50,2¶"
                + "00:00:01,3.6,50,4¶"
                + "00:00:02,3.6,50,-1¶"
                + "00:00:03,0,50,0¶",
            StandardCharsets.UTF_16LE));
  }

  private Path file(String text, Charset charset) throws IOException {
    String start = charset.equals(StandardCharsets.UTF_16LE) ? "\uFEFF" : "";
    return Files.write(
        folder.resolve("log.csv"), (start + text.replace('¶', '\n')).getBytes(charset));
  }

  private Telemetry read(String text) throws IOException, UnreadableTable {
    TableFile table = TableFile.open(file(text, StandardCharsets.UTF_8));
    return Telemetry.read(table, Mapping.guess(table), p -> {}, () -> false).orElseThrow();
  }

  @ParameterizedTest
  @MethodSource("ways")
  void tenWaysOfWritingTheSameRun(Way way) throws IOException, UnreadableTable {
    TableFile table = TableFile.open(file(way.text(), way.charset()));
    Telemetry log = Telemetry.read(table, Mapping.guess(table), p -> {}, () -> false).orElseThrow();
    assertThat(log.size()).isEqualTo(4);
    assertThat(log.duration()).isEqualTo(3);
    double[] watts = {100, 200, -50, 0};
    for (int k = 0; k < 4; k++) {
      assertThat(log.power(k)).isCloseTo(watts[k], within(1e-9));
    }
    assertThat(log.peak()).isCloseTo(200, within(1e-9));
  }

  static Stream<Way> hopeless() {
    return Stream.of(
        new Way("is empty", ""),
        new Way("is not a table", "just¶some¶words¶"),
        new Way("has a head but no rows", "time,current¶"),
        new Way("no column holds the time", "colour,current¶1,2¶2,3¶"),
        new Way("no column holds a current or a power", "time,voltage¶0,50¶1,50¶"),
        new Way("only 0 rows have both", "time,current¶soon,many¶later,few¶"),
        new Way("only 1 rows have both", "time,current¶5,1¶5,2¶"),
        new Way("must last from 1 s to 30 d", "time,current¶0,1¶9000000,2¶"),
        new Way("is not text", "\u0000\u0001\u0002,\u0000"));
  }

  @ParameterizedTest
  @MethodSource("hopeless")
  void theHopelessIsRefusedWithAReason(Way way) throws IOException {
    Path file = file(way.text(), way.charset());
    assertThatThrownBy(
            () -> {
              TableFile table = TableFile.open(file);
              Telemetry.read(table, Mapping.guess(table), p -> {}, () -> false);
            })
        .isInstanceOf(UnreadableTable.class)
        .hasMessageContaining("log.csv")
        .hasMessageContaining(way.name());
  }

  @Test
  void aMappingIsRememberedAndCorrected() throws IOException, UnreadableTable {
    TableFile table = TableFile.open(file("when,how much\n0,-3\n60,-4\n", StandardCharsets.UTF_8));
    Mapping mapping =
        new Mapping(java.util.Map.of(), true)
            .with(Quantity.TIME, Optional.of(new Mapping.Source("when", Unit.MINUTE)))
            .with(Quantity.CURRENT, Optional.of(new Mapping.Source("how much", Unit.AMPERE)));
    Mapping again = Mapping.of(mapping.text(), table).orElseThrow();
    assertThat(again).isEqualTo(mapping);
    Telemetry log = Telemetry.read(table, again, p -> {}, () -> false).orElseThrow();
    assertThat(log.duration()).isEqualTo(3600);
    assertThat(log.at(Quantity.CURRENT, 0)).isEqualTo(3);
    assertThat(log.flow()).isEqualTo(Task.ByLog.Quantity.CURRENT);
    TableFile other = TableFile.open(file("a,b\n0,1\n1,2\n", StandardCharsets.UTF_8));
    assertThat(Mapping.of(mapping.text(), other)).isEmpty();
  }

  @Test
  void readingIsCancelled() throws IOException, UnreadableTable {
    StringBuilder text = new StringBuilder("time,current\n");
    for (int k = 0; k < 20_000; k++) {
      text.append(k).append(",1\n");
    }
    TableFile table = TableFile.open(file(text.toString(), StandardCharsets.UTF_8));
    double[] share = {0};
    assertThat(Telemetry.read(table, Mapping.guess(table), p -> share[0] = p, () -> share[0] > 0.3))
        .isEmpty();
    assertThat(share[0]).isBetween(0.3, 0.9);
  }

  @Test
  void reducingKeepsEnergyTimeAndPeaks() throws IOException, UnreadableTable {
    Random random = new Random(5);
    StringBuilder text = new StringBuilder("time,power\n");
    double energy = 0;
    int n = 30_000;
    for (int k = 0; k < n; k++) {
      double base = 200 + 150 * Math.sin(k / 900.0);
      double watts = k >= 12_000 && k < 12_030 ? 1500 : base + random.nextGaussian();
      energy += watts * 0.5;
      text.append(k * 0.5).append(',').append(watts).append('\n');
    }
    Task.ByLog task = read(text.toString()).asTask();
    assertThat(task.steps()).hasSizeLessThanOrEqualTo(Task.ByLog.MOST_STEPS);
    Load load = task.load();
    assertThat(load.duration()).isCloseTo(n * 0.5, within(1e-6));
    double kept = 0;
    double most = 0;
    for (Load.Step s : load.steps()) {
      double watts = ((Load.Power) s.demand()).watts();
      kept += watts * s.duration();
      most = Math.max(most, watts);
    }
    assertThat(kept).isCloseTo(energy, within(1e-6 * energy));
    assertThat(most).isGreaterThan(1490);
  }

  @Test
  void aPauseInTheLogCountsAsRest() throws IOException, UnreadableTable {
    StringBuilder text = new StringBuilder("time,power\n");
    for (int k = 0; k < 100; k++) {
      text.append(k).append(",500\n");
    }
    for (int k = 0; k < 100; k++) {
      text.append(4000 + k).append(",500\n");
    }
    Task.ByLog task = read(text.toString()).asTask();
    double energy = task.steps().stream().mapToDouble(s -> s.value() * s.duration()).sum();
    assertThat(energy).isCloseTo(200 * 500, within(1.0));
    assertThat(task.load().duration()).isCloseTo(4100, within(1e-6));
  }
}
