package hammerman.prove;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.table.TableFile;
import hammerman.telemetry.Mapping;
import hammerman.telemetry.Telemetry;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.function.IntFunction;
import java.util.stream.Stream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Logs as loggers leave them: 36 A at 50 V once a second, so that each row is 10 mAh. */
class MessyLogTest {
  @TempDir Path folder;

  /**
   * A log.
   *
   * @param rows that count
   * @param seconds from the first to the last of them
   * @param runs that the file holds
   * @param skipped rows that are passed over
   * @param extra mAh beyond those of the rows, as where one holds through a gap
   */
  record Messy(
      String name, String text, int rows, double seconds, int runs, int skipped, double extra) {
    @Override
    public String toString() {
      return name;
    }
  }

  private static String rows(int from, int to, IntFunction<String> row) {
    StringBuilder out = new StringBuilder();
    for (int k = from; k < to; k++) {
      out.append(row.apply(k)).append('\n');
    }
    return out.toString();
  }

  private static String plain(int t) {
    return t + ",50,36";
  }

  private static String clock(int seconds) {
    int t = seconds % 86_400;
    return "%02d:%02d:%02d,50,36".formatted(t / 3600, t / 60 % 60, t % 60);
  }

  static Stream<Messy> logs() {
    String head = "time,voltage,current\n";
    return Stream.of(
        // The last row before the gap holds for a minute instead of a second.
        new Messy(
            "an hour's gap",
            head + rows(0, 50, MessyLogTest::plain) + rows(3650, 3700, MessyLogTest::plain),
            100,
            3699,
            1,
            0,
            590),
        new Messy("midnight", head + rows(86_350, 86_450, MessyLogTest::clock), 100, 99, 1, 0, 0),
        new Messy(
            "two midnights, hours apart",
            head
                + rows(86_380, 86_420, MessyLogTest::clock)
                + rows(172_780, 172_820, MessyLogTest::clock),
            80,
            86_439,
            1,
            0,
            590),
        new Messy(
            "two runs in one file",
            head + rows(0, 60, MessyLogTest::plain) + rows(0, 100, MessyLogTest::plain),
            100,
            99,
            2,
            60,
            0),
        new Messy(
            "started anew with its head again",
            head + rows(0, 100, MessyLogTest::plain) + head + rows(0, 40, MessyLogTest::plain),
            100,
            99,
            2,
            41,
            0),
        new Messy(
            "a clock set back by an hour",
            head + rows(7000, 7090, MessyLogTest::plain) + rows(3490, 3530, MessyLogTest::plain),
            90,
            89,
            2,
            40,
            0),
        new Messy(
            "a counter that resets",
            "time,voltage,current,Ah\n" + rows(0, 100, k -> plain(k) + "," + k % 30 * 0.01),
            100,
            99,
            1,
            0,
            0),
        new Messy(
            "units on a line of their own",
            "time;voltage;current\ns;V;A\n" + rows(0, 100, k -> k + ";50,0;36,0"),
            100,
            99,
            1,
            1,
            0),
        new Messy(
            "channels nobody knows",
            "time,flags,voltage,mode,current,x1,x2,x3,note\n"
                + rows(0, 100, k -> k + ",0x1F,50,eco,36,,nan,7,a b"),
            100,
            99,
            1,
            0,
            0),
        new Messy(
            "a sum at its end and blank lines",
            head + rows(0, 100, k -> plain(k) + "\n") + "Total,,3600 As\n",
            100,
            99,
            1,
            1,
            0),
        new Messy(
            "the end cut off in the middle of a row",
            head + rows(0, 100, MessyLogTest::plain) + "100,5",
            100,
            99,
            1,
            1,
            0),
        new Messy(
            "written with exponents",
            head + rows(0, 100, k -> String.format(Locale.ROOT, "%.3e,5.0E1,3.6e+1", (double) k)),
            100,
            99,
            1,
            0,
            0));
  }

  @ParameterizedTest
  @MethodSource("logs")
  void whatCountsIsReadAndTheRestIsPassedOver(Messy m) throws Exception {
    Path file = Files.writeString(folder.resolve("log.csv"), m.text());
    TableFile table = TableFile.open(file);
    Telemetry log =
        Telemetry.read(table, Mapping.guess(table), share -> {}, () -> false).orElseThrow();
    assertThat(log.size()).isEqualTo(m.rows());
    assertThat(log.duration()).isCloseTo(m.seconds(), within(1e-6));
    assertThat(log.runs()).isEqualTo(m.runs());
    assertThat(log.skipped()).isEqualTo(m.skipped());
    assertThat(1000 * RunFigures.of(log).charge())
        .isCloseTo(10.0 * m.rows() + m.extra(), within(10.5));
  }
}
