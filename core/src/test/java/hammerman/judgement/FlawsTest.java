package hammerman.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.Flaws;
import hammerman.Samples;
import hammerman.SoundDesigns;
import hammerman.design.Design;
import hammerman.design.SecondPack.Joining;
import hammerman.finding.Finding;
import hammerman.unit.InvalidValue;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Every single flaw, in every kind of sound design that can have it, is found with its figures. */
class FlawsTest {
  static final List<Design> SOUND =
      Stream.concat(
              LongStream.range(0, 120).mapToObj(SoundDesigns::of),
              Stream.of(
                  SoundDesigns.boxed(),
                  SoundDesigns.of(
                      Samples.cell("t21700"),
                      13,
                      4,
                      SoundDesigns.School.BALANCING_CHARGER,
                      Joining.PARALLEL)))
          .toList();

  /** Tried over the designs; the count of designs that each flaw was found in, by its place. */
  private static final Map<Integer, Integer> FOUND = new LinkedHashMap<>();

  private static final List<String> PROBLEMS = new ArrayList<>();

  @BeforeAll
  static void putEveryFlawIntoEveryDesign() {
    FOUND.clear();
    PROBLEMS.clear();
    List<Flaws.Flaw> all = Flaws.all();
    for (int k = 0; k < all.size(); k++) {
      Flaws.Flaw flaw = all.get(k);
      for (Design sound : SOUND) {
        if (flaw.applies().test(sound)) {
          problem(flaw, sound).ifPresent(PROBLEMS::add);
          FOUND.merge(k, 1, Integer::sum);
        }
      }
    }
  }

  private static Optional<String> problem(Flaws.Flaw flaw, Design sound) {
    String kind =
        "%s in %s of %s, %s, %s: "
            .formatted(
                flaw.id(),
                sound.pack().counts(),
                sound.pack().cell().id(),
                sound.guard().protection().getClass().getSimpleName(),
                sound.second() == null ? "one pack" : sound.second().joining());
    boolean expected = SoundDesigns.SAID.contains(flaw.id());
    if (!expected && SoundDesigns.read(sound).stream().anyMatch(f -> f.id().equals(flaw.id()))) {
      return Optional.of(kind + "said of the sound twin");
    }
    List<Finding> found;
    try {
      found = SoundDesigns.read(flaw.put().apply(sound));
    } catch (InvalidValue e) {
      return Optional.of(kind + e.getMessage());
    }
    // What burns in a short circuit may be too weak short of one already; that is then said.
    String sooner = flaw.id().replace(".withstand", ".overload");
    Optional<Finding> it =
        found.stream().filter(f -> f.id().equals(flaw.id()) || f.id().equals(sooner)).findFirst();
    if (it.isEmpty()) {
      return Optional.of(kind + "silent; found " + found.stream().map(Finding::id).toList());
    }
    Finding f = it.get();
    boolean figures = (f.why() + f.fix()).matches("(?s).*\\d.*") && !f.why().contains("NaN");
    return figures && f.measure().exceeded() && !f.state().isBlank() && !f.source().isBlank()
        ? Optional.empty()
        : Optional.of(kind + "without figures: " + f);
  }

  @Test
  void everyFlawIsFoundAndEveryTwinIsSilent() {
    assertThat(PROBLEMS).isEmpty();
  }

  @Test
  void thereAreTwoHundredFlawsOverEveryCellOfTheTable() {
    List<Flaws.Flaw> all = Flaws.all();
    List<String> never = new ArrayList<>();
    for (int k = 0; k < all.size(); k++) {
      if (!FOUND.containsKey(k)) {
        never.add(all.get(k).id());
      }
    }
    assertThat(never).as("flaws that no sound design could have").isEmpty();
    Set<String> visited =
        all.stream().map(f -> f.id().replaceFirst("^second\\.", "")).collect(Collectors.toSet());
    Set<String> cells =
        Readings.table().stream()
            .map(k -> k.part().key() + "." + k.kind().key())
            .collect(Collectors.toSet());
    cells.removeAll(visited);
    assertThat(cells).as("cells of the table that no flaw visits").isEmpty();
    assertThat(FOUND.values().stream().mapToInt(Integer::intValue).sum())
        .as("flaws put into designs")
        .isGreaterThan(2000);
    assertThat(all).hasSizeGreaterThan(110);
  }
}
