package hammerman.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.Flaws;
import hammerman.SoundDesigns;
import hammerman.design.Design;
import hammerman.finding.Finding;
import hammerman.forecast.Forecast;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * What a builder reads of each flaw, whole: severity, place, title, reason, cure and caution, as
 * they were read through and found true. What is said now is written beside it, to be compared.
 */
class SaidTest {
  private static final Path NOW = Path.of("target", "said.txt");

  @Test
  void everyFlawIsToldAsItWasReadThrough() throws IOException {
    String now = String.join("\n", Stream.concat(rows(), rules()).toList());
    Files.writeString(NOW, now);
    assertThat(now).as("what is said of each flaw; all of it is in %s", NOW).isEqualTo(read());
  }

  private static String read() throws IOException {
    try (InputStream in = SaidTest.class.getResourceAsStream("said.txt")) {
      return new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  /** Of each flaw in the circuit, put into the first sound design that can have it. */
  private static Stream<String> rows() {
    List<String> said = new ArrayList<>();
    for (Flaws.Flaw flaw : Flaws.all()) {
      FlawsTest.SOUND.stream()
          .filter(flaw.applies())
          .findFirst()
          .ifPresent(d -> said.addAll(said(flaw.id(), flaw.put().apply(d))));
    }
    return said.stream();
  }

  private static List<String> said(String id, Design flawed) {
    return SoundDesigns.read(flawed).stream()
        .filter(f -> f.id().equals(id))
        .map(SaidTest::text)
        .toList();
  }

  private static Stream<String> rules() {
    return RulesTest.flaws().stream()
        .map(f -> find(f.id(), Forecast.of(f.flawed().apply(RulesTest.SOUND))))
        .flatMap(Optional::stream)
        .map(SaidTest::text);
  }

  private static Optional<Finding> find(String id, Forecast f) {
    return f.judgements().stream()
        .filter(j -> j.id().equals(id))
        .min(Comparator.comparing(Finding::severity));
  }

  private static String text(Finding f) {
    return """
    %s (%s, %s, %s; %s)
      %s
      %s
      %s
      %s
    """
        .formatted(
            f.id(),
            f.severity().word().toLowerCase(Locale.ROOT),
            f.station().label(),
            f.subject(),
            f.state(),
            f.title(),
            f.why(),
            f.fix(),
            f.caution())
        .replaceAll("(?m)^ +$\\R?", "");
  }
}
