package hammerman.sort;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.record.InventoryCell;
import hammerman.sort.CellSheet.Column;
import hammerman.table.UnreadableTable;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Tables as people keep them: each holds the same three cells. */
class CellSheetTest {
  @TempDir Path dir;

  private Path file(String text, Charset charset) throws IOException {
    return Files.writeString(dir.resolve("cells.csv"), text, charset);
  }

  static Stream<Arguments> messy() {
    return Stream.of(
        Arguments.of(
            "plain",
            rows("label,capacity_mAh,resistance_mOhm", "A1,2010,41.5", "A2,1985,43", "B7,2050,40")),
        Arguments.of(
            "decimal comma",
            rows(
                "Cell;Capacity (Ah);IR (mΩ);OCV (V)",
                "A1;2,010;41,5;3,61",
                "A2;1,985;43,0;3,60",
                "B7;2,050;40,0;3,62")),
        Arguments.of(
            "tabs",
            rows(
                "No.\tCap [mAh]\tDC resistance [Ohm]",
                "A1\t2010\t0.0415",
                "A2\t1985\t0.043",
                "B7\t2050\t0.040")),
        Arguments.of(
            "units in fields",
            rows("ID,Q,ESR", "A1,2010 mAh,41.5 mΩ", "A2,1985 mAh,43 mΩ", "B7,2.05 Ah,40 mΩ")),
        Arguments.of(
            "no units",
            rows(
                "cell id | rest voltage | internal resistance | discharge capacity",
                "A1 | 3.61 | 41.5 | 2010",
                "A2 | 3.60 | 43 | 1985",
                "B7 | 3.62 | 40 | 2050")),
        Arguments.of(
            "preamble and blank lines",
            rows(
                "Tester export, 4 bays",
                "",
                "label;mAh;mOhm",
                "A1;2010;41.5",
                "",
                "A2;1985;43",
                "B7;2050;40",
                ";;")),
        Arguments.of(
            "titles from a spreadsheet",
            rows(
                "Cells of May;;;",
                "2026;;;",
                "Nr;Ri, mOhm;capacity mAh;notes",
                "A1;41,5;2010;",
                "A2;43,0;1985;dented",
                "B7;40,0;2050;")),
        Arguments.of(
            "byte order mark and quotes",
            rows(
                "\uFEFF\"Label\",\"Measured capacity, Ah\",\"AC resistance, mOhm\"",
                "\"A1\",\"2.010\",\"41.5\"",
                "\"A2\",\"1.985\",\"43.0\"",
                "\"B7\",\"2.050\",\"40.0\"")),
        Arguments.of(
            "grouped thousands",
            rows("Name;Capacity, mAh;R", "A1;2,010;41.5", "A2;1,985;43.0", "B7;2,050;40.0")),
        Arguments.of("headless", rows("A1;3.61;2010;41.5", "A2;3.60;1985;43", "B7;3.62;2050;40")),
        Arguments.of(
            "rated beside measured",
            rows(
                "code,rated capacity Ah,capacity Ah,Ri mOhm,notes",
                "A1,2.6,2.010,41.5,",
                "A2,2.6,1.985,43,dented",
                "B7,2.6,2.050,40,")));
  }

  private static String rows(String... lines) {
    return String.join("\n", lines) + "\n";
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("messy")
  void tablesAsPeopleKeepThem(String name, String text) throws IOException, UnreadableTable {
    CellSheet.Read read = CellSheet.read(file(text, StandardCharsets.UTF_8));
    assertThat(read.cells()).extracting(MeasuredCell::label).containsExactly("A1", "A2", "B7");
    double[] capacity = {2.010, 1.985, 2.050};
    double[] ohms = {0.0415, 0.043, 0.040};
    for (int k = 0; k < 3; k++) {
      assertThat(read.cells().get(k).capacity()).isCloseTo(capacity[k], within(1e-9));
      assertThat(read.cells().get(k).resistance()).isCloseTo(ohms[k], within(1e-9));
    }
  }

  @Test
  void otherCodingsAndOtherFiguresAreRead() throws IOException, UnreadableTable {
    String text =
        "label;capacity mAh;voltage mV;self-discharge mV/day\nÄ1;2010;3610;1.5\nÄ2;1985;3600;9\n";
    CellSheet.Read read = CellSheet.read(file(text, StandardCharsets.ISO_8859_1));
    assertThat(read.cells()).extracting(MeasuredCell::label).containsExactly("Ä1", "Ä2");
    assertThat(read.cells().get(0).voltage()).isCloseTo(3.61, within(1e-9));
    assertThat(read.cells().get(1).selfDischarge() * 86400).isCloseTo(9e-3, within(1e-9));
    assertThat(read.columns()).doesNotContainKey(Column.RESISTANCE);
    assertThat(read.cells().get(0).hasResistance()).isFalse();
  }

  @Test
  void emptyAndForeignFieldsAreNotMeasured() throws IOException, UnreadableTable {
    CellSheet.Read read =
        CellSheet.read(
            file("label,capacity mAh,mOhm\nA1,2010,41\nA2,,42\nA3,bad,\n", StandardCharsets.UTF_8));
    assertThat(read.cells()).hasSize(3);
    assertThat(read.cells().get(1).capacity()).isNaN();
    assertThat(read.cells().get(2).capacity()).isNaN();
    assertThat(read.cells().get(2).resistance()).isNaN();
  }

  @Test
  void wordsAreReadAndWhatStandsTwiceIsTold() throws IOException, UnreadableTable {
    CellSheet.Read read =
        CellSheet.read(
            file(
                rows(
                    "Label,capacity mAh,Model,Batch,Seller,Price,Remarks,Bought,Photo",
                    "A1,2010,reclaimed,7,a neighbour,0.90,,2026-03-31,a1.jpg",
                    "A2,1985,,8,,,dented,,",
                    "A1,2008,,,,,,,"),
                StandardCharsets.UTF_8));
    assertThat(read.rows().getFirst().described())
        .isEqualTo(
            new InventoryCell(
                "A1",
                "reclaimed",
                "7",
                "a neighbour",
                LocalDate.of(2026, 3, 31),
                0.90,
                "",
                "a1.jpg"));
    assertThat(read.rows().get(1).described().notes()).isEqualTo("dented");
    assertThat(read.repeated()).containsExactly("A1");
  }

  @Test
  void aDayThatIsNoneNamesItsLine() throws IOException {
    Path file = file("label,capacity mAh,bought\nA1,2010,in May\n", StandardCharsets.UTF_8);
    assertThatThrownBy(() -> CellSheet.read(file))
        .isInstanceOf(UnreadableTable.class)
        .hasMessageContaining("line 2")
        .hasMessageContaining("2026-03-31");
  }

  @Test
  void aPriceThatCannotBeNamesItsLine() throws IOException {
    Path file = file("label,capacity mAh,price\nA1,2010,1\nA2,1985,-4\n", StandardCharsets.UTF_8);
    assertThatThrownBy(() -> CellSheet.read(file))
        .isInstanceOf(UnreadableTable.class)
        .hasMessageContaining("line 3")
        .hasMessageContaining("Price");
  }

  @Test
  void aTableWithoutCapacitiesSaysWhatToName() throws IOException {
    Path file = file("label,colour,notes\nA1,red,ok\nA2,blue,ok\n", StandardCharsets.UTF_8);
    assertThatThrownBy(() -> CellSheet.read(file))
        .isInstanceOf(UnreadableTable.class)
        .hasMessageContaining("no column with capacities among label, colour, notes");
  }
}
