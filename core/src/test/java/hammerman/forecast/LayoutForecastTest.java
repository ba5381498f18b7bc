package hammerman.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.chain.Layout;
import hammerman.fit.Filling;
import hammerman.heat.HeatMap;
import hammerman.interconnect.Network;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What the worked example's layout makes of currents and heat. */
class LayoutForecastTest {
  private static final Forecast BARROW = Forecast.of(Samples.barrow());

  @Test
  void everyMendIsSolvedAnewAndTheBestIsFirst() {
    List<Mend> mends = Mend.of(BARROW);
    assertThat(mends).hasSizeGreaterThanOrEqualTo(5);
    assertThat(mends).extracting(Mend::load).isSorted();
    Layout.Solved now = BARROW.layout().flatMap(Layout::solved).orElseThrow();
    double load = now.network().hardestWorked().map(Network.Segment::load).orElseThrow();
    assertThat(mends.getFirst().load()).isLessThan(load);
    for (Mend m : mends) {
      Network n = Forecast.of(m.design()).layout().flatMap(Layout::solved).orElseThrow().network();
      assertThat(n.heat()).isCloseTo(m.loss(), within(1e-9));
    }
    assertThat(mends).anyMatch(m -> m.what().startsWith("Take the leads off by a bar"));
  }

  @Test
  void warmerCellsDieSooner() {
    Warmth w = Warmth.of(BARROW).orElseThrow();
    assertThat(w.hottestYears()).isLessThan(w.coolestYears());
    assertThat(w.map().imbalance()).isCloseTo(0, within(1e-3));
    assertThat(w.timeToLimit()).isPresent();
  }

  @Test
  void whatCoolingDoesIsWorkedOutForEachWay() {
    Warmth w = Warmth.of(BARROW).orElseThrow();
    List<Warmth.Change> changes = Warmth.changes(BARROW);
    assertThat(changes)
        .extracting(Warmth.Change::what)
        .contains("A fan", "Aluminium plate", "Foam");
    assertThat(map(changes, "A fan").hottest()).isLessThan(w.map().hottest());
    assertThat(map(changes, "Aluminium plate").spread()).isLessThan(w.map().spread());
    assertThat(map(changes, "Foam").spread()).isGreaterThan(w.map().spread());
    assertThat(changes)
        .filteredOn(c -> c.what().equals("Foam"))
        .first()
        .extracting(c -> c.plan().orElseThrow().filling())
        .isEqualTo(Filling.FOAM);
  }

  private static HeatMap map(List<Warmth.Change> changes, String what) {
    return changes.stream().filter(c -> c.what().equals(what)).findFirst().orElseThrow().map();
  }

  @Test
  void aDesignWithoutABoxHasNeither() {
    Forecast open = Forecast.of(Samples.barrow().withFit(null));
    assertThat(Warmth.of(open)).isEmpty();
    assertThat(Warmth.changes(open)).isEmpty();
    assertThat(Mend.of(open)).isEmpty();
  }
}
