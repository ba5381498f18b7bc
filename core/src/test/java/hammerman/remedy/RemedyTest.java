package hammerman.remedy;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.Flaws;
import hammerman.Samples;
import hammerman.SoundDesigns;
import hammerman.circuit.Stress;
import hammerman.design.Design;
import hammerman.finding.Finding;
import hammerman.finding.Severity;
import hammerman.forecast.Forecast;
import hammerman.guard.Guard;
import hammerman.guard.Parts;
import hammerman.project.Shipped;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

/** Every remedy of every flaw, applied: the finding is gone and nothing else is worse. */
class RemedyTest {
  private static final Parts PARTS = Shipped.parts();

  /** What no change of parts cures: it must be measured, looked up, or left alone. */
  private static final Set<String> NO_CURE =
      Set.of(
          "cell.hot",
          "cell.lot",
          "second.cell.lot",
          "junction.capacity",
          "machine.match",
          "readyMade.voltage");

  private static final List<Design> SOUND =
      LongStream.range(0, 120).mapToObj(SoundDesigns::of).toList();

  @Test
  void everyRemedyOfEveryFlawCuresItAndHarmsNothing() {
    List<String> wrong = new ArrayList<>();
    Map<String, Integer> offered = new LinkedHashMap<>();
    for (Flaws.Flaw flaw : Flaws.all()) {
      Optional<Design> sound = SOUND.stream().filter(flaw.applies()).findFirst();
      if (sound.isEmpty()) {
        continue;
      }
      Forecast now = Forecast.of(flaw.put().apply(sound.get()));
      Optional<Finding> found =
          now.judgements().stream().filter(f -> f.id().equals(flaw.id())).findFirst();
      if (found.isEmpty()) {
        continue;
      }
      List<Remedy> remedies = Remedy.of(now, found.get(), PARTS);
      offered.merge(flaw.id(), remedies.size(), Math::max);
      for (Remedy r : remedies) {
        String where = flaw.id() + ", “" + r.what() + "”: ";
        harm(now, Forecast.of(r.design()), found.get()).forEach(h -> wrong.add(where + h));
        assertThat(r.what()).isNotBlank();
        assertThat(r.effect()).as(where).isNotBlank().doesNotContain("NaN", "∞");
      }
    }
    assertThat(wrong).isEmpty();
    Set<String> uncured = new TreeSet<>();
    offered.forEach(
        (id, n) -> {
          if (n == 0) {
            uncured.add(id);
          }
        });
    assertThat(uncured).as("flaws that nothing cures").isSubsetOf(NO_CURE);
  }

  private static List<String> harm(Forecast now, Forecast then, Finding cured) {
    List<String> harm = new ArrayList<>();
    if (ids(then, Severity.NOTE).contains(cured.id())) {
      harm.add("the finding is still there");
    }
    Set<String> before = ids(now, Severity.WARN);
    now.circuit().stresses().stream().filter(Stress::exceeded).forEach(s -> before.add(s.id()));
    Set<String> stops = ids(then, Severity.STOP);
    stops.removeAll(before);
    stops.forEach(s -> harm.add("new stop " + s));
    Guard a = now.design().guard();
    Guard b = then.design().guard();
    if ((a.fuse().isPresent() && b.fuse().isEmpty())
        || (a.protection().bms().isPresent() && b.protection().bms().isEmpty())
        || (a.chargePort().fuse() != null && b.chargePort().fuse() == null)) {
      harm.add("a protection was taken away");
    }
    for (String kind : List.of("overload", "withstand", "short", "overcharge", "length")) {
      then.circuit().stresses().stream()
          .filter(s -> s.exceeded() && s.kind().key().equals(kind) && !before.contains(s.id()))
          .forEach(s -> harm.add(s.id() + " is worse"));
    }
    return harm;
  }

  private static Set<String> ids(Forecast f, Severity least) {
    return f.judgements().stream()
        .filter(j -> j.severity().compareTo(least) <= 0)
        .map(Finding::id)
        .collect(Collectors.toCollection(TreeSet::new));
  }

  @Test
  void sizesAreThoseThatAreSold() {
    Design thin = Samples.withWire(Samples.barrow(), w -> w.withArea(1.5e-6));
    Forecast now = Forecast.of(thin);
    Finding wire =
        now.judgements().stream().filter(f -> f.id().startsWith("wire.")).findFirst().orElseThrow();
    List<Remedy> remedies = Remedy.of(now, wire, PARTS);
    assertThat(remedies).isNotEmpty();
    double area = remedies.getFirst().design().guard().wiring().wire().area();
    assertThat(PARTS.wires()).anyMatch(w -> Math.abs(w.area() - area) < 1e-12);
    assertThat(remedies.getFirst().what()).contains("wire");
    assertThat(remedies.getFirst().effect()).matches("margin −.* becomes \\+.*");
  }

  /** In air of 62 °C no count of cells helps, and none is offered. */
  @Test
  void whereNothingHelpsNothingIsOffered() {
    Design d = Samples.barrow();
    Design hot =
        d.withDuty(
            d.duty().withSurroundings(d.duty().surroundings().withHottestInUse(273.15 + 62)));
    Forecast now = Forecast.of(hot);
    Finding air =
        now.judgements().stream().filter(f -> f.id().equals("cell.hot")).findFirst().orElseThrow();
    assertThat(air.fix()).contains("No count of cells helps");
    assertThat(Remedy.of(now, air, PARTS)).isEmpty();
  }

  @Test
  void whereVoltageIsLackingMoreInParallelIsNotOffered() {
    Design d = Samples.barrow();
    Design low = d.withDuty(d.duty().withMachine(d.duty().machine().withCutOutVoltage(50)));
    Forecast now = Forecast.of(low);
    Finding floor =
        now.judgements().stream()
            .filter(f -> f.id().equals("machine.floor"))
            .findFirst()
            .orElseThrow();
    for (Remedy r : Remedy.of(now, floor, PARTS)) {
      assertThat(r.design().pack().parallel()).as(r.what()).isLessThanOrEqualTo(12);
    }
  }
}
