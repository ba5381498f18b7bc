package hammerman.build;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.build.ExampleBuild.Entry;
import hammerman.forecast.Forecast;
import hammerman.project.Shipped;
import hammerman.project.Shipped.Example;
import hammerman.record.Fact;
import hammerman.record.StepRecord;
import hammerman.record.StepRecord.Verdict;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class ExampleBuildTest {
  private static final Instant NOW = Instant.parse("2026-06-20T12:00:00Z");

  private static List<Fact<StepRecord>> facts(ExampleBuild b) {
    List<Fact<StepRecord>> all = new ArrayList<>();
    b.steps().forEach(e -> all.add(new Fact<>(all.size() + 1, e.at(), e.step(), null)));
    return all;
  }

  @ParameterizedTest
  @EnumSource(Example.class)
  void theRecordIsOneThatABuilderMayHaveLeft(Example example) {
    ExampleBuild build = Shipped.build(example, NOW);
    assertThat(build).as("the same every time").isEqualTo(Shipped.build(example, NOW));
    List<Entry> steps = build.steps();
    List<String> outside =
        steps.stream()
            .filter(e -> e.step().verdict() == Verdict.OUTSIDE)
            .map(e -> e.step().step())
            .toList();
    assertThat(outside).as("a blind tip and two swapped leads").hasSize(3);
    for (int k = 1; k < steps.size(); k++) {
      assertThat(steps.get(k).at()).isAfter(steps.get(k - 1).at());
    }
    long pauses = 0;
    for (int k = 1; k < steps.size(); k++) {
      Duration gap = Duration.between(steps.get(k - 1).at(), steps.get(k).at());
      pauses += gap.compareTo(Duration.ofHours(12)) > 0 ? 1 : 0;
    }
    assertThat(pauses).as("evenings").isBetween(1L, 12L);
    Progress p = Progress.of(Forecast.of(Shipped.example(example).design()), facts(build));
    assertThat(outside).allSatisfy(id -> assertThat(p.state(id)).isEqualTo(Progress.State.DONE));
    switch (example) {
      case TERRACE_BARROW -> assertThat(p.isComplete()).isTrue();
      case DARK_SKY_BOX -> {
        assertThat(p.next().orElseThrow().id()).isEqualTo("charge.place");
        assertThat(p.words(NOW)).startsWith("You stopped 6 days ago.");
      }
      case PAVEMENT_SPEAKER -> assertThat(p.next().orElseThrow().id()).isEqualTo("probe.steps");
    }
  }

  @ParameterizedTest
  @EnumSource(Example.class)
  void theBookletHasASheetForEveryFewSteps(Example example) throws IOException {
    Forecast f = Forecast.of(Shipped.example(example).design());
    ExampleBuild build = Shipped.build(example, NOW);
    Progress p = Progress.of(f, facts(build));
    try (PDDocument pdf = Loader.loadPDF(Booklet.pdf(example.label(), p, Setting.of(f)))) {
      assertThat(pdf.getNumberOfPages()).isBetween(p.marks().size() / 14, p.marks().size() / 4);
      String words = new PDFTextStripper().getText(pdf);
      assertThat(words)
          .contains("Build of " + example.label(), "Settings", "Expect", "rings", "mohm")
          .doesNotContain("?");
    }
  }
}
