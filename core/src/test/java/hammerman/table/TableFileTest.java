package hammerman.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TableFileTest {
  @TempDir Path home;

  private Path file(String text, Charset charset) throws IOException {
    return Files.write(home.resolve("log.csv"), text.getBytes(charset));
  }

  private TableFile table(String text) throws IOException, UnreadableTable {
    return TableFile.open(file(text, StandardCharsets.UTF_8));
  }

  private static List<List<String>> rows(TableFile t) throws UnreadableTable {
    List<List<String>> rows = new ArrayList<>();
    t.rows((line, fields) -> rows.add(List.copyOf(fields)), p -> {}, () -> false);
    return rows;
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "a,b~1.5,2~3.25,4 | , | false",
        "a;b~1,5;2~3,25;4 | ; | true",
        "a;b~1.5;2~3.25;4 | ; | false",
        "`a\tb~1,5\t2~3,25\t4` | `\t` | true"
      })
  void delimiterAndDecimalSignAreFoundOut(String text, String delimiter, boolean comma)
      throws IOException, UnreadableTable {
    TableFile t = table(text.replace('~', '\n'));
    assertThat(t.delimiter()).isEqualTo(delimiter.charAt(0));
    assertThat(t.decimalComma()).isEqualTo(comma);
    assertThat(t.columns()).containsExactly("a", "b");
    List<List<String>> rows = rows(t);
    assertThat(rows).hasSize(2);
    assertThat(t.number(rows.getFirst().getFirst())).isEqualTo(1.5);
    assertThat(t.number(rows.get(1).getFirst())).isEqualTo(3.25);
  }

  @Test
  void linesBeforeTheHeadArePassedOver() throws IOException, UnreadableTable {
    TableFile t = table("Meter 3\nexported today\ntime,volts,amps\n0,50,1\n1,49,2\n2,48,3\n");
    assertThat(t.skip()).isEqualTo(2);
    assertThat(t.headed()).isTrue();
    assertThat(t.indexOf("amps")).isEqualTo(2);
    assertThat(t.indexOf("watts")).isEqualTo(-1);
    assertThat(rows(t)).hasSize(3);
    assertThat(rows(t).getLast()).containsExactly("2", "48", "3");
  }

  @Test
  void columnsWithoutAHeadGetNumbers() throws IOException, UnreadableTable {
    TableFile t = table("0,50\n1,49\n");
    assertThat(t.headed()).isFalse();
    assertThat(t.columns()).containsExactly("column 1", "column 2");
    assertThat(rows(t)).hasSize(2);
    assertThat(t.sample()).hasSize(2);
  }

  @Test
  void aByteOrderMarkAndQuotesDoNoHarm() throws IOException, UnreadableTable {
    TableFile t = table("\uFEFF\"time, s\",\"volts\"\n\"0\",\"50.5\"\n\"1\",\"50.4\"\n");
    assertThat(t.columns()).containsExactly("time, s", "volts");
    assertThat(t.number(rows(t).getFirst().get(1))).isEqualTo(50.5);
  }

  @Test
  void otherCodingsAreRead() throws IOException, UnreadableTable {
    TableFile wide = TableFile.open(file("\uFEFFa;b\n1;2\n", StandardCharsets.UTF_16LE));
    assertThat(wide.charset()).isEqualTo(StandardCharsets.UTF_16);
    assertThat(wide.columns()).hasSize(2);
    TableFile old = TableFile.open(file("Größe;b\n1;2\n", StandardCharsets.ISO_8859_1));
    assertThat(old.columns()).containsExactly("Größe", "b");
  }

  @Test
  void readingTellsItsProgressAndStopsWhenAsked() throws IOException, UnreadableTable {
    StringBuilder text = new StringBuilder("t,v\n");
    for (int k = 0; k < 50_000; k++) {
      text.append(k).append(",50\n");
    }
    TableFile t = table(text.toString());
    List<Double> shares = new ArrayList<>();
    assertThat(t.rows((line, f) -> {}, shares::add, () -> false)).isTrue();
    assertThat(shares).isSorted().hasSizeGreaterThan(5).allMatch(s -> s >= 0 && s <= 1);
    int[] read = new int[1];
    assertThat(t.rows((line, f) -> read[0]++, p -> {}, () -> true)).isFalse();
    assertThat(read[0]).isLessThan(10_000);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "one word", "a,b", "\u0000\u0001\u0002"})
  void whatIsNoTableIsRefusedWithTheFileAndACure(String text) throws IOException {
    Path file = file(text, StandardCharsets.UTF_8);
    assertThatThrownBy(() -> TableFile.open(file))
        .isInstanceOf(UnreadableTable.class)
        .hasMessageStartingWith("log.csv")
        .message()
        .endsWith(".");
  }

  @Test
  void aMissingFileIsSaid() {
    assertThatThrownBy(() -> TableFile.open(home.resolve("gone.csv")))
        .isInstanceOf(UnreadableTable.class)
        .hasMessageContaining("gone.csv does not exist");
  }

  @ParameterizedTest
  @CsvSource({
    "12, false, 12",
    "-3.5, false, -3.5",
    "−3.5 A, false, -3.5",
    "'1,234.5', false, 1234.5",
    "'1,234,567', false, 1234567",
    "'1.234,5', true, 1234.5",
    "1 234.5 W, false, 1234.5",
    "2.5e-3, false, 0.0025",
    "+7, false, 7",
    "123456789012345678, false, 1.2345678901234568E17"
  })
  void numbersAreReadAsMetersWriteThem(String field, boolean comma, double value) {
    assertThat(Numbers.parse(field, comma)).isCloseTo(value, within(1e-12 * Math.abs(value)));
  }

  /** A point in a file of decimal commas is an error rather than ten times too much. */
  @Test
  void theOtherSignIsNotSilentlyDropped() {
    assertThat(Numbers.parse("1.5", true)).isNaN();
    assertThat(Numbers.parse("1.2345", true)).isNaN();
  }

  @ParameterizedTest
  @ValueSource(strings = {"", " ", "abc", "1:30", "--", "1.2.3", "e", "1,5"})
  void whatIsNoNumberIsNone(String field) {
    assertThat(Numbers.parse(field, false)).isNaN();
  }
}
