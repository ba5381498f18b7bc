package hammerman.store;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.record.RunCondition;
import hammerman.record.RunResult;
import hammerman.record.RunSheet;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A file is material from a stranger: what cannot be read of a sheet is left out. */
class SheetTextTest {
  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "{",
        "[]",
        "null",
        "\"words\"",
        "{\"conditions\":{\"AIR\":5000}}",
        "{\"results\":{\"PEAK_CURRENT\":-1}}",
        "{\"log\":{\"VOLTAGE\":{\"channel\":1,\"unit\":\"NO_UNIT\"}}}",
        "{\"own\":{\" \":\"x\"}}"
      })
  void whatIsNoSheetIsAnEmptyOne(String text) {
    assertThat(SheetText.read(text)).isEqualTo(RunSheet.NOTHING);
  }

  @Test
  void whatALaterVersionWritesMoreIsPassedOver() {
    RunSheet s =
        SheetText.read(
            "{\"conditions\":{\"AIR\":290,\"MOON\":\"full\",\"WIRE\":7,\"COURSE\":\"hill\"},"
                + "\"results\":{\"CHARGE\":3,\"SMILES\":9},\"more\":[1,2]}");
    assertThat(s.figures()).containsOnlyKeys(RunCondition.AIR);
    assertThat(s.words()).containsOnlyKeys(RunCondition.COURSE);
    assertThat(s.results()).containsOnlyKeys(RunResult.CHARGE);
  }

  @Test
  void whatIsWrittenIsReadAgain() {
    RunSheet s =
        RunSheet.NOTHING
            .withFigure(RunCondition.CARRIED, 81.25)
            .withWords(RunCondition.SETTINGS, "30 A, \"eco\"")
            .withOwn("\\ wind {", "3 m/s; west")
            .withResult(RunResult.DISTANCE, 10_100.5)
            .withPhotos(List.of("connector, warm.jpg", "ramp \"north\".png"));
    assertThat(SheetText.read(SheetText.of(s))).isEqualTo(s);
    assertThat(SheetText.read(SheetText.of(RunSheet.NOTHING))).isEqualTo(RunSheet.NOTHING);
  }
}
