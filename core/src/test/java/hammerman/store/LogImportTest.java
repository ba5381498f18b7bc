package hammerman.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hammerman.record.Run;
import hammerman.record.Run.Channel;
import hammerman.table.TableFile;
import hammerman.table.UnreadableTable;
import hammerman.telemetry.Mapping;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A log comes in whole, as the file has it. */
class LogImportTest {
  @TempDir Path folder;

  private Path log(String text) throws IOException {
    return Files.writeString(folder.resolve("run.csv"), text);
  }

  private static LogImport importOf(Path file) throws UnreadableTable {
    TableFile table = TableFile.open(file);
    return new LogImport(table, Mapping.guess(table));
  }

  @Test
  void channelsKeepTheirNamesUnitsOrderAndSign() throws Exception {
    Run run =
        importOf(
                log(
                    """
                    Voltage (V);Time (ms);Current [A];Gear
                    50,1;1000;-3;2
                    49,9;1500;-4;2
                    49,8;2500;5;3
                    """))
            .run("Run");
    assertThat(run.channels())
        .containsExactly(
            new Channel("Time", "s"),
            new Channel("Voltage", "V"),
            new Channel("Current", "A"),
            new Channel("Gear", ""));
    assertThat(run.source()).isEqualTo("run.csv");
    assertThat(run.sourceHash()).matches("[0-9a-f]{64}");
  }

  @Test
  void rowsStayInTheOrderOfTheFileWithWordsAndGapsAsMissingFigures() throws Exception {
    Path file =
        log(
            """
            Time (s);Voltage (V);Current (A);Mark
            10;50;3;start
            12;49;x;7
            11;48;4;
            20;47;5;9
            """);
    List<SampleBlock> blocks = new ArrayList<>();
    LogImport.Imported read =
        importOf(file).read(blocks::addAll, share -> {}, () -> false).orElseThrow();
    assertThat(read.samples()).isEqualTo(4);
    assertThat(channel(blocks, 0)).containsExactly(0, 2, 1, 10);
    assertThat(channel(blocks, 1)).containsExactly(50, 49, 48, 47);
    assertThat(channel(blocks, 2)).containsExactly(3, Double.NaN, 4, 5);
    assertThat(channel(blocks, 3)).containsExactly(Double.NaN, 7, Double.NaN, 9);
    assertThat(read.telemetry().size()).as("the reading is sorted and judged").isEqualTo(3);
    assertThat(read.telemetry().skipped()).isEqualTo(1);
  }

  private static double[] channel(List<SampleBlock> blocks, int channel) {
    return blocks.stream()
        .filter(b -> b.channel() == channel && b.level() == 0)
        .map(b -> SampleBlock.read(b.figures()))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aCancelledImportGivesNothingAndAFailingStoreIsSaid() throws Exception {
    StringBuilder text = new StringBuilder("Time (s);Voltage (V);Current (A)\n");
    for (int k = 0; k < 20_000; k++) {
      text.append(k).append(";50;").append(k % 9).append('\n');
    }
    Path file = log(text.toString());
    assertThat(importOf(file).read(blocks -> {}, share -> {}, () -> true)).isEmpty();
    SampleWriter.Sink full =
        blocks -> {
          throw new NotKept(NotKept.Reason.FULL, "No room is left.");
        };
    assertThatThrownBy(() -> importOf(file).read(full, share -> {}, () -> false))
        .isInstanceOf(NotKept.class)
        .hasMessage("No room is left.");
  }

  @Test
  void aStrayQuoteIsSaidWithItsLine() throws IOException {
    Path file = log("Time (s);Voltage (V)\n1;2\n2;\"3\"x\n3;4\n");
    assertThatThrownBy(() -> TableFile.open(file))
        .isInstanceOf(UnreadableTable.class)
        .hasMessageContaining("line 3")
        .hasMessageContaining("quote");
  }
}
