package hammerman.unit;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SentenceTest {
  @ParameterizedTest
  @CsvSource({
    "The fuse is too small, the fuse is too small",
    "BMS groups, BMS groups",
    "A, a",
    "'', ''",
    "already small, already small"
  })
  void wordsStandWithinASentence(String first, String within) {
    assertThat(Sentence.within(first)).isEqualTo(within);
  }

  @Test
  void aFileThatIsNotThereIsSaidWithTheCure() {
    assertThat(Sentence.missing("pack.json"))
        .isEqualTo("pack.json does not exist. Check the name and the folder.");
    assertThat(Sentence.missing("gr�ße.json"))
        .contains("does not exist", "give the file a plain one");
    assertThat(Sentence.missing("a\nb")).doesNotContain("\n");
  }

  @Test
  void aLongOrWildNameIsShownShortAndPlain() {
    assertThat(Sentence.printable("x".repeat(500))).hasSizeLessThan(130).endsWith("…");
    assertThat(Sentence.printable("bell\u0007 and \u202Eturn")).isEqualTo("bell� and �turn");
  }

  @Test
  void wordsBeginASentence() {
    assertThat(Sentence.beginning("strips run hot")).isEqualTo("Strips run hot");
    assertThat(Sentence.beginning("")).isEmpty();
  }
}
