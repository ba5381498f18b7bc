package hammerman.search;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.cell.CellLibrary;
import hammerman.cell.CellType;
import hammerman.design.Design;
import hammerman.duty.Bounds;
import hammerman.duty.Task;
import hammerman.finding.Severity;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.project.Shipped;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.junit.jupiter.api.Test;

class SearchTest {
  private final Design barrow = Samples.barrow();
  private final CellLibrary few =
      new CellLibrary(
          List.of(Samples.cell("b21700"), Samples.cell("e18650"), Samples.cell("f32700")));

  private static String name(Design d) {
    return d.pack().cell().id() + " " + d.pack().series() + "S" + d.pack().parallel() + "P";
  }

  private static Set<String> names(Search search) {
    Set<String> names = new HashSet<>();
    search.candidates().forEach(c -> names.add(name(c.design())));
    return names;
  }

  @Test
  void findsWhatTheFullForecastOfEveryPairLetsPass() {
    Set<String> byBruteForce = new HashSet<>();
    for (CellType cell : few.cells()) {
      for (int s = 8; s <= 20; s++) {
        for (int p = 1; p <= 14; p++) {
          Design d = barrow.withCell(cell).withCounts(s, p);
          boolean stopped =
              Forecast.of(d).judgements().stream()
                  .anyMatch(j -> j.severity() == Severity.STOP && j.station() == Station.STACK);
          Bounds bounds = d.duty().bounds();
          boolean over =
              d.pack().mass() > Objects.requireNonNull(bounds.mass())
                  || d.pack().cost() > Objects.requireNonNull(bounds.budget());
          if (!stopped && !over) {
            byBruteForce.add(name(d));
          }
        }
      }
    }
    assertThat(byBruteForce).isNotEmpty();
    assertThat(names(Search.of(barrow, few, Weights.EVEN))).isEqualTo(byBruteForce);
  }

  @Test
  void theFirstHasTheLeastScoreWorkedOutBySimpleMeans() {
    List<Candidate> all = Search.of(barrow, Shipped.cells(), Weights.EVEN).candidates();
    assertThat(all).hasSizeGreaterThan(3);
    double least = all.stream().mapToDouble(Candidate::mass).min().orElseThrow();
    Search light = Search.of(barrow, Shipped.cells(), Weights.of(1, 0, 0, 0, 0));
    for (Candidate c : light.candidates()) {
      assertThat(c.score()).isCloseTo(c.mass() / least - 1, within(1e-12));
    }
    assertThat(light.candidates().getFirst().mass()).isEqualTo(least);
    assertThat(all).isSortedAccordingTo((a, b) -> Double.compare(a.score(), b.score()));
  }

  @Test
  void eachQualityCanDecide() {
    Search found = Search.of(barrow, Shipped.cells(), Weights.EVEN);
    List<Candidate> all = found.candidates();
    assertThat(found.ranked(Weights.of(0, 1, 0, 0, 0)).candidates().getFirst().cost())
        .isEqualTo(all.stream().mapToDouble(Candidate::cost).min().orElseThrow());
    // Of life, reserve and coolness as much is wanted as was asked for, and no more.
    double longest = all.stream().mapToDouble(Candidate::years).max().orElseThrow();
    assertThat(found.ranked(new Weights(0, 0, 1, 0, 0, longest, 0)).candidates().getFirst().years())
        .isEqualTo(longest);
    Candidate first =
        found.ranked(new Weights(1e-5, 0, 1, 0, 0, 0.8 * longest, 0)).candidates().getFirst();
    assertThat(first.years()).isBetween(0.8 * longest, longest);
    assertThat(first.mass())
        .as("the lightest of those that last as long")
        .isEqualTo(
            all.stream()
                .filter(c -> c.years() >= 0.8 * longest)
                .mapToDouble(Candidate::mass)
                .min()
                .orElseThrow());
    double most = all.stream().mapToDouble(Candidate::margin).max().orElseThrow();
    assertThat(found.ranked(new Weights(0, 0, 0, 1, 0, 0, most)).candidates().getFirst().margin())
        .isEqualTo(most);
  }

  /** 150 Wh asked of anything: the first is not a pack that uses a fifth of itself. */
  @Test
  void aSmallDutyGetsASmallPack() {
    Design small =
        barrow.withDuty(
            barrow
                .duty()
                .withTask(new Task.ByTime(50, 3 * 3600))
                .withBounds(Bounds.NONE)
                .withHardest(barrow.duty().hardest().withCurrent(6))
                .withMachine(barrow.duty().machine().withFullEffortCurrent(3).withPeakCurrent(8)));
    Search found = Search.of(small, Shipped.cells(), Weights.EVEN);
    Candidate first = found.candidates().getFirst();
    assertThat(first.margin()).as(first.counts()).isLessThanOrEqualTo(0.5);
    assertThat(first.margin()).isGreaterThanOrEqualTo(0.1);
    double score = first.score();
    for (Candidate c : found.candidates()) {
      boolean asGood =
          c.margin() >= Math.min(first.margin(), Weights.USUAL_RESERVE)
              && c.years() >= Math.min(first.years(), Weights.USUAL_YEARS);
      if (asGood && c.peakTemperature() <= first.peakTemperature()) {
        assertThat(c.mass() < first.mass() && c.cost() < first.cost())
            .as("%s is smaller, cheaper and as good as the first, %s", c.counts(), first.counts())
            .isFalse();
      }
      assertThat(c.score()).isGreaterThanOrEqualTo(score);
    }
  }

  @Test
  void theBestAreThoseThatNothingDominates() {
    List<Candidate> all = Search.of(barrow, Shipped.cells(), Weights.EVEN).candidates();
    for (Candidate c : all) {
      boolean dominated =
          all.stream()
              .anyMatch(
                  o ->
                      o.mass() <= c.mass()
                          && o.cost() <= c.cost()
                          && o.years() >= c.years()
                          && o.margin() >= c.margin()
                          && o.peakTemperature() <= c.peakTemperature()
                          && (o.mass() < c.mass()
                              || o.cost() < c.cost()
                              || o.years() > c.years()
                              || o.margin() > c.margin()
                              || o.peakTemperature() < c.peakTemperature()));
      assertThat(c.best()).as(name(c.design())).isEqualTo(!dominated);
    }
  }

  @Test
  void withoutBoundsMoreIsFound() {
    Design free = barrow.withDuty(barrow.duty().withBounds(Bounds.NONE));
    Search bound = Search.of(barrow, Shipped.cells(), Weights.EVEN);
    Search open = Search.of(free, Shipped.cells(), Weights.EVEN);
    assertThat(open.candidates()).hasSizeGreaterThan(bound.candidates().size());
    assertThat(names(open)).containsAll(names(bound));
    assertThat(open.tried()).isEqualTo(15 * 30 * 40);
  }

  @Test
  void theSameSearchGivesTheSameRanking() {
    assertThat(Search.of(barrow, few, Weights.EVEN))
        .isEqualTo(Search.of(barrow, few, Weights.EVEN));
  }

  @Test
  void progressGrowsAndCancellingStops() {
    List<Integer> tried = new ArrayList<>();
    Search whole = Search.of(barrow, few, Weights.EVEN, s -> tried.add(s.tried()), () -> false);
    assertThat(tried).containsExactly(1200, 2400, 3600);
    int[] asked = {0};
    Search cut = Search.of(barrow, few, Weights.EVEN, s -> {}, () -> ++asked[0] > 20);
    assertThat(cut.tried()).isLessThan(whole.tried());
  }

  @Test
  void aDutyThatNothingServesFindsNothing() {
    Design poor =
        barrow.withDuty(barrow.duty().withBounds(Bounds.NONE.withMass(0.5).withBudget(10.0)));
    assertThat(Search.of(poor, Shipped.cells(), Weights.EVEN).candidates()).isEmpty();
  }

  @Test
  void weightsBelowNothingAreRefused() {
    assertThatThrownBy(() -> Weights.of(-1, 0, 0, 0, 0))
        .hasMessageContaining("Weight of mass is −1");
  }

  @Test
  void theSchoolsAreTheBestOfTheirKind() {
    Search found = Search.of(barrow, Shipped.cells(), Weights.EVEN);
    Schools schools = Schools.of(found);
    assertThat(schools.contests()).hasSize(2);
    Schools.Contest cells = schools.contests().getFirst();
    Candidate energy = cells.one().best().orElseThrow();
    Candidate power = cells.other().best().orElseThrow();
    assertThat(energy.design().pack().cell().currents().continuous())
        .isLessThanOrEqualTo(3.5 * energy.design().pack().cell().capacity());
    assertThat(found.candidates())
        .allMatch(c -> c.score() >= Math.min(energy.score(), power.score()));
    Schools.Contest volts = schools.contests().get(1);
    assertThat(volts.one().best().orElseThrow().design().pack().series()).isEqualTo(13);
    assertThat(volts.other().best().orElseThrow().design().pack().series()).isEqualTo(12);
  }

  /** The knee, worked out apart: the largest area of the triangle with both ends of the front. */
  @Test
  void theKneeIsFarthestFromTheLineBetweenLightestAndLongestLived() {
    assertThat(knee(Search.of(barrow, few, Weights.EVEN))).isFalse();
    assertThat(knee(Search.of(barrow, Shipped.cells(), Weights.EVEN))).isTrue();
  }

  /** Whether there is one; it is the right one. */
  private static boolean knee(Search search) {
    List<Candidate> front = new ArrayList<>();
    for (Candidate c : search.candidates()) {
      boolean beaten =
          search.candidates().stream()
              .anyMatch(
                  o ->
                      o.mass() <= c.mass()
                          && o.years() >= c.years()
                          && (o.mass() < c.mass() || o.years() > c.years()));
      if (!beaten) {
        front.add(c);
      }
    }
    front.sort(Comparator.comparingDouble(Candidate::mass));
    assertThat(front).hasSizeGreaterThan(2);
    Candidate a = front.getFirst();
    Candidate b = front.getLast();
    Candidate best = a;
    double most = 0;
    for (Candidate c : front) {
      double area =
          (b.mass() - a.mass()) * (c.years() - a.years())
              - (b.years() - a.years()) * (c.mass() - a.mass());
      if (area > most) {
        most = area;
        best = c;
      }
    }
    assertThat(search.knee().map(c -> name(c.design())).orElse(""))
        .isEqualTo(most > 0 ? name(best.design()) : "");
    return most > 0;
  }
}
