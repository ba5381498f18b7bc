package hammerman.glossary;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import org.junit.jupiter.api.Test;

class GlossaryTest {
  @Test
  void everyTermIsExplainedOnceInASentence() {
    assertThat(Glossary.all()).hasSizeGreaterThan(45);
    assertThat(Glossary.all()).extracting(t -> t.name().toLowerCase(Locale.ROOT)).isSorted();
    assertThat(Glossary.all().stream().flatMap(t -> t.others().stream())).doesNotHaveDuplicates();
    assertThat(Glossary.all()).allMatch(t -> t.meaning().endsWith("."));
  }

  @Test
  void aLabelFindsTheTermThatSaysMostOfIt() {
    assertThat(Glossary.best("Cut-out voltage").orElseThrow().name()).isEqualTo("Cut-out voltage");
    assertThat(Glossary.best("Charge current at most")).isEmpty();
    assertThat(Glossary.best("Internal resistance, DC 10 s").orElseThrow().name())
        .isEqualTo("Internal resistance");
    assertThat(Glossary.best("BMS cut-off").orElseThrow().name()).isEqualTo("Cut-off voltage");
  }

  @Test
  void wordsAreFoundWholeAndShortOnesAsTheyAreWritten() {
    assertThat(Glossary.of("The groups sag")).extracting(Term::name).contains("Group", "Sag");
    assertThat(Glossary.of("grouped, sagging, a cellar")).isEmpty();
    assertThat(Glossary.of("bms")).isEmpty();
    assertThat(Glossary.of("Two BMSs")).extracting(Term::name).containsExactly("BMS");
  }
}
