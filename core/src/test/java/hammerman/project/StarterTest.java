package hammerman.project;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.cell.CellType;
import hammerman.finding.Finding;
import hammerman.finding.Severity;
import hammerman.forecast.Forecast;
import org.junit.jupiter.api.Test;

/** The project to start from stands in code, beside the documents it must agree with. */
class StarterTest {
  @Test
  void itsCellIsTheOneOfTheLibrary() {
    CellType starts = Starter.PROJECT.design().pack().cell();
    CellType shelved = Shipped.cells().find(starts.id()).orElseThrow();
    assertThat(starts).isEqualTo(shelved);
  }

  @Test
  void itIsSoundAndServesItsDuty() {
    Forecast f = Forecast.of(Starter.PROJECT.design());
    assertThat(f.judgements())
        .as("what a newcomer sees first")
        .extracting(Finding::severity)
        .doesNotContain(Severity.STOP, Severity.WARN);
  }
}
