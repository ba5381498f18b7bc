package hammerman.table;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CellTextTest {
  @ParameterizedTest
  @ValueSource(
      strings = {
        "=HYPERLINK(\"x\")",
        "+1+1",
        "-2+3",
        "@SUM(A1)",
        "\t=1",
        "\r=1",
        "'quoted",
        "''",
        "",
        "a=b",
        "'",
        "-12.5",
        "+3e4",
        "plain; with, all | of it"
      })
  void aTextComesBackAsItWasAndNoSpreadsheetRunsIt(String text) {
    String written = CellText.written(text);
    assertThat(CellText.read(written)).isEqualTo(text);
    if (!text.matches("[+-]?[0-9.e]*")) {
      assertThat(written).doesNotStartWith("=").doesNotStartWith("+").doesNotStartWith("-");
      assertThat(written).doesNotStartWith("@").doesNotStartWith("\t").doesNotStartWith("\r");
    }
  }

  @Test
  void figuresStayFigures() {
    assertThat(CellText.written("A1", "-12.5", "=1")).containsExactly("A1", "-12.5", "'=1");
  }
}
