package hammerman.duty;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hammerman.build.PartsList;
import hammerman.forecast.Forecast;
import hammerman.forecast.Headline;
import hammerman.forecast.Workings;
import hammerman.project.Project;
import hammerman.project.ProjectDocument;
import hammerman.project.Shipped;
import hammerman.unit.InvalidValue;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Limits of the duty, and the currency in which all money is said. */
class BoundsTest {
  private static final Bounds EUROS = Bounds.NONE.withCurrency("EUR");

  @Test
  void moneyCarriesTheCurrencyWhereItIsKnown() {
    assertThat(EUROS.prices().money(405.6, 0)).isEqualTo("406 EUR");
    assertThat(EUROS.prices().of("+3.2")).isEqualTo("+3.2 EUR");
    assertThat(Bounds.NONE.prices().money(5.2, 2)).isEqualTo("5.20");
  }

  @Test
  void aCurrencyIsAWordAndNoTale() {
    assertThatThrownBy(() -> Bounds.NONE.withCurrency("what the shop takes"))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("Currency")
        .hasMessageContaining("three letters");
    assertThatThrownBy(() -> Bounds.NONE.withCurrency(" ")).isInstanceOf(InvalidValue.class);
  }

  @Test
  void itIsKeptInTheDocumentAndReachesFiguresAndJudgements() throws Exception {
    Project barrow = Shipped.terraceBarrow();
    Project priced = barrow.withDuty(barrow.duty().withBounds(EUROS.withBudget(100.0)));
    Project read = ProjectDocument.parse(ProjectDocument.bytes(priced), "priced");
    assertThat(read).isEqualTo(priced);
    Forecast f = Forecast.of(read.design());
    assertThat(Workings.of(Headline.COST, f).result()).isEqualTo("406 EUR");
    assertThat(f.judgements())
        .filteredOn(j -> j.id().equals("bounds.budget"))
        .singleElement()
        .satisfies(j -> assertThat(j.why()).contains("406 EUR", "100 EUR"));
    assertThat(PartsList.of(f, Map.of()).price()).as("more than its cells").isGreaterThan(406);
  }
}
