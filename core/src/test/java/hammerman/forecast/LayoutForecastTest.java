package hammerman.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.chain.Layout;
import hammerman.chain.Path;
import hammerman.design.Design;
import hammerman.fit.Filling;
import hammerman.heat.HeatMap;
import hammerman.heat.HeatProfile;
import hammerman.interconnect.Network;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Strip;
import hammerman.simulation.Trace;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** What the worked example's layout makes of currents and heat. */
class LayoutForecastTest {
  private static final Forecast BARROW = Forecast.of(Samples.fromOneCell(Samples.barrow()));

  @Test
  void everyMendIsSolvedAnewAndTheBestIsFirst() {
    List<StripRemedy> remedies = StripRemedy.of(BARROW);
    assertThat(remedies).hasSizeGreaterThanOrEqualTo(5);
    assertThat(remedies).extracting(StripRemedy::load).isSorted();
    Layout.Solved now = BARROW.layout().flatMap(Layout::solved).orElseThrow();
    double load = now.network().hardestWorked().map(Network.Segment::load).orElseThrow();
    assertThat(remedies.getFirst().load()).isLessThan(load);
    for (StripRemedy m : remedies) {
      Network n = Forecast.of(m.design()).layout().flatMap(Layout::solved).orElseThrow().network();
      assertThat(n.heat()).isCloseTo(m.loss(), within(1e-9));
    }
    assertThat(remedies).anyMatch(m -> m.what().startsWith("Take the leads off by a bar"));
  }

  @Test
  void warmerCellsDieSooner() {
    CellTemperatures w = CellTemperatures.of(BARROW).orElseThrow();
    assertThat(w.hottestYears()).isLessThan(w.coolestYears());
    assertThat(w.map().imbalance()).isCloseTo(0, within(1e-3));
  }

  /** What the network adds to the ideal pack is what every run and the sag count with. */
  @Test
  void theRunsCountWithTheResistanceOfTheLayout() {
    double hottest = BARROW.design().duty().surroundings().hottestInUse();
    Layout.Solved s = BARROW.layout().flatMap(Layout::solved).orElseThrow();
    assertThat(BARROW.chain().path().assembly().stripResistance(hottest))
        .isCloseTo(s.network().extraResistance(), within(1e-12));
    assertThat(s.network().current()).isCloseTo(BARROW.chain().demand().continuous(), within(1e-9));
    Design copper =
        BARROW
            .design()
            .withPack(
                BARROW
                    .design()
                    .pack()
                    .withStrip(Strip.plain(ConductorMaterial.COPPER, 0.3e-3, 10e-3, 1)));
    Forecast better = Forecast.of(copper);
    assertThat(better.chain().sag().get(2).tenSeconds())
        .isGreaterThan(BARROW.chain().sag().get(2).tenSeconds());
    assertThat(better.duty().totals().heat()).isLessThan(BARROW.duty().totals().heat());
  }

  /** The lump sheds what the layout sheds, so the two agree but for what lies between cells. */
  @Test
  void theHottestCellIsALittleWarmerThanTheLump() {
    HeatMap map = BARROW.thermal().map().orElseThrow();
    double lump = BARROW.duty().extremes().peakTemperature();
    double air = BARROW.design().duty().surroundings().hottestInUse();
    assertThat(map.hottest()).isBetween(lump, lump + map.spread());
    double[] last = map.last();
    double mean = Arrays.stream(last).filter(t -> !Double.isNaN(t)).average().orElseThrow();
    Trace t = BARROW.duty().trace();
    double end = t.at(Trace.Channel.TEMPERATURE, t.size() - 1);
    assertThat(mean - air).isCloseTo(end - air, within(0.05 * (end - air)));
    assertThat(map.made()).isCloseTo(heatInTheBox(BARROW), within(0.05 * map.made()));
  }

  /** Heat of cells, strips and BMS through the duty: all but that of the path beyond, J. */
  private static double heatInTheBox(Forecast f) {
    double hottest = f.design().duty().surroundings().hottestInUse();
    double strips =
        f.chain().path().assembly().stripResistance(hottest) + f.design().guard().inBox(hottest);
    double outside = f.chain().path().outside(hottest);
    var totals = f.duty().totals();
    return totals.cellHeat() + totals.pathHeat() * strips / outside;
  }

  @Test
  void fullEffortLastsNoLongerThanTheLumpSays() {
    Forecast open = Forecast.of(Samples.barrow().withFit(null));
    assertThat(open.thermal().map()).isEmpty();
    OptionalDouble now = BARROW.thermal().timeToLimit();
    OptionalDouble lump = Thermal.timeToLimit(BARROW.chain(), 1);
    assertThat(now).isPresent();
    if (lump.isPresent()) {
      assertThat(now.getAsDouble()).isLessThanOrEqualTo(lump.getAsDouble() + 10);
    }
  }

  /**
   * Squares and factors of a heat profile are means over its steps: no heat is lost between them.
   */
  @Test
  void anEffortKeepsTheHeatOfItsRun() {
    HeatProfile profile = Thermal.heatProfile(BARROW);
    Trace t = BARROW.duty().trace();
    double squares = 0;
    for (int k = 1; k < t.size(); k++) {
      double dt = t.at(Trace.Channel.TIME, k) - t.at(Trace.Channel.TIME, k - 1);
      squares += Math.pow(t.at(Trace.Channel.CURRENT, k), 2) * dt;
    }
    assertThat(Arrays.stream(profile.squares()).sum() * profile.step())
        .isCloseTo(squares, within(1e-9 * squares));
    double cells = 0;
    for (int k = 0; k < profile.squares().length; k++) {
      cells += profile.squares()[k] * profile.factors()[k] * profile.step();
    }
    double hottest = BARROW.design().duty().surroundings().hottestInUse();
    double nominal = BARROW.chain().path().cells(0.5, hottest, Path.Settling.SETTLED);
    double made = BARROW.duty().totals().cellHeat();
    assertThat(cells * nominal).isCloseTo(made, within(5e-3 * made));
  }

  @Test
  void whatCoolingDoesIsWorkedOutForEachWay() {
    CellTemperatures w = CellTemperatures.of(BARROW).orElseThrow();
    List<CellTemperatures.Change> changes = CellTemperatures.changes(BARROW);
    assertThat(changes)
        .extracting(CellTemperatures.Change::what)
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

  private static HeatMap map(List<CellTemperatures.Change> changes, String what) {
    return changes.stream().filter(c -> c.what().equals(what)).findFirst().orElseThrow().map();
  }

  @Test
  void aDesignWithoutABoxHasNeither() {
    Forecast open = Forecast.of(Samples.barrow().withFit(null));
    assertThat(CellTemperatures.of(open)).isEmpty();
    assertThat(CellTemperatures.changes(open)).isEmpty();
    assertThat(StripRemedy.of(open)).isEmpty();
  }
}
