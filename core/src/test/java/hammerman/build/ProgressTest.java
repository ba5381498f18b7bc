package hammerman.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hammerman.Samples;
import hammerman.forecast.Forecast;
import hammerman.record.Fact;
import hammerman.record.StepRecord;
import hammerman.record.StepRecord.Verdict;
import hammerman.unit.InvalidValue;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class ProgressTest {
  private static final Instant START = Instant.parse("2026-03-01T18:00:00Z");

  private final Forecast barrow = Forecast.of(Samples.barrow());
  private final List<Fact<StepRecord>> facts = new ArrayList<>();

  private Progress now() {
    return Progress.of(barrow, facts);
  }

  private void keep(StepRecord r) {
    facts.add(new Fact<>(facts.size() + 1, START.plus(Duration.ofMinutes(facts.size())), r, null));
  }

  /** Does every step as it should be done, up to one. */
  private void upTo(String id) {
    Progress p = now();
    for (Step s = p.next().orElseThrow(); !s.id().equals(id); s = p.next().orElseThrow()) {
      String step = s.id();
      Progress at = p;
      keep(s.expects().map(e -> at.read(step, e.value())).orElseGet(() -> at.tick(step)));
      p = now();
    }
  }

  @Test
  void aStepThatProtectsIsNotTickedWithoutItsReading() {
    upTo("cells.rest");
    assertThatThrownBy(() -> now().tick("cells.rest"))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("needs its reading");
    assertThat(now().read("cells.rest", 3.6).verdict()).isEqualTo(Verdict.WITHIN);
  }

  @Test
  void aReadingOutsideStopsWhatNeedsItAndSaysWhy() {
    upTo("group.3.join");
    StepRecord bad = now().read("group.3.join", 0.02);
    assertThat(bad.verdict()).isEqualTo(Verdict.OUTSIDE);
    keep(bad);
    Progress p = now();
    assertThat(p.state("group.3.join")).isEqualTo(Progress.State.OUTSIDE);
    assertThat(p.next().orElseThrow().id()).as("first of all").isEqualTo("group.3.join");
    assertThat(p.state("link.3")).isEqualTo(Progress.State.WAITING);
    assertThat(p.state("group.4.join")).isEqualTo(Progress.State.OPEN);
    Check check = p.procedure().step("group.3.join").orElseThrow().reading().orElseThrow();
    // What would read nothing at all comes before a cell that is somewhat low.
    assertThat(check.causes(0.02))
        .containsExactlyInAnyOrderElementsOf(check.ifLow())
        .first()
        .satisfies(c -> assertThat(c.say()).contains("shorted"));
    assertThat(check.causes(3.5)).first().satisfies(c -> assertThat(c.say()).contains("lower"));
    assertThat(check.causes(3.61)).isEmpty();
    assertThatThrownBy(() -> p.read("link.3", 7.2))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("group.3.join");
    // Mended and read again, the work goes on.
    keep(p.read("group.3.join", 3.61));
    assertThat(now().state("group.3.join")).isEqualTo(Progress.State.DONE);
  }

  @Test
  void goingOnAgainstAReadingNeedsAReasonThatStays() {
    upTo("cells.gap");
    assertThatThrownBy(() -> now().override("cells.gap", 0.08, " "))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("Reason");
    keep(now().override("cells.gap", 0.08, "two cells still level out overnight"));
    Progress p = now();
    assertThat(p.state("cells.gap")).isEqualTo(Progress.State.OVERRIDDEN);
    assertThat(p.marks().get("cells.gap"))
        .extracting(m -> m.fact())
        .extracting(f -> f.value().reason())
        .asString()
        .contains("overnight");
    assertThat(p.next().orElseThrow().id()).isEqualTo("cells.place");
  }

  @Test
  void whatIsStruckOutCountsNoMore() {
    upTo("cells.gap");
    Fact<StepRecord> last = facts.removeLast();
    facts.add(
        new Fact<>(
            last.id(), last.at(), last.value(), new Fact.Strike(START, "read the wrong cell")));
    assertThat(now().next().orElseThrow().id()).isEqualTo(last.value().step());
  }

  @Test
  void aChangedDesignAsksForItsReadingsAgain() {
    upTo("set.machine");
    Progress was = now();
    assertThat(was.state("set.charger")).isEqualTo(Progress.State.DONE);
    Forecast lower =
        Forecast.of(
            Samples.withGuard(Samples.barrow(), g -> g.withCharge(g.charge().withVoltage(52.0))));
    Progress p = Progress.of(lower, facts);
    assertThat(p.state("set.charger")).isEqualTo(Progress.State.CHANGED);
    assertThat(p.next().orElseThrow().id()).isEqualTo("set.charger");
  }

  @Test
  void aBuilderWhoComesBackIsToldWhereAndWithWhichNumbers() {
    upTo("group.1.join");
    Instant six = facts.getLast().at().plus(Duration.ofDays(6));
    assertThat(now().words(six))
        .startsWith("You stopped 6 days ago.")
        .contains("group 1")
        .contains("Expect 3.61 V");
  }

  @Test
  void aBuildDoneAsExpectedEnds() {
    Progress p = now();
    while (p.next().isPresent()) {
      String id = p.next().orElseThrow().id();
      Progress at = p;
      keep(
          p.procedure()
              .step(id)
              .orElseThrow()
              .expects()
              .map(e -> at.read(id, e.value()))
              .orElseGet(() -> at.tick(id)));
      assertThat(facts.getLast().value().verdict()).isNotEqualTo(Verdict.OUTSIDE);
      p = now();
    }
    assertThat(p.isComplete()).isTrue();
    assertThat(p.words(START)).isEqualTo("Every step is done.");
  }
}
