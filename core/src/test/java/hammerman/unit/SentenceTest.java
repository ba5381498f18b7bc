package hammerman.unit;

import static org.assertj.core.api.Assertions.assertThat;

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
}
