package hammerman.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.SoundDesigns;
import hammerman.design.Design;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Nothing is said against designs that a careful electrician would build. */
class SoundDesignsTest {
  @Test
  void soundDesignsOfEveryKindAreSilent() {
    List<String> said = new ArrayList<>();
    for (long seed = 0; seed < 400; seed++) {
      Design d = SoundDesigns.of(seed);
      String kind =
          "%d: %s of %s, %s, %s: "
              .formatted(
                  seed,
                  d.pack().counts(),
                  d.pack().cell().id(),
                  d.guard().protection().getClass().getSimpleName(),
                  d.second() == null ? "one pack" : d.second().joining());
      SoundDesigns.found(d).stream()
          .filter(f -> !SoundDesigns.SAID.contains(f.id()))
          .forEach(f -> said.add(kind + f.id() + ": " + f.why()));
    }
    assertThat(said).isEmpty();
  }
}
