package hammerman.probe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hammerman.Samples;
import hammerman.design.Design;
import hammerman.probe.ProbeFault.Kind;
import hammerman.table.UnreadableTable;
import hammerman.unit.InvalidValue;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Every fault, and every two of them: found, or honestly one of a few. */
class ProbeCardTest {
  private static Design design(int series) {
    return Samples.barrow().withFit(null).withCounts(series, 6);
  }

  /** A pack as it is wired: the voltage of each group, and the tap of each lead. */
  private static final class Wired {
    final double[] groups;
    final int[] taps;

    Wired(int series, Random noise) {
      groups = new double[series];
      Arrays.setAll(groups, g -> 3.7 + 0.008 * Math.clamp(noise.nextGaussian(), -2, 2));
      taps = new int[series + 1];
      Arrays.setAll(taps, k -> k);
    }

    double[] read() {
      double[] at = new double[groups.length + 1];
      for (int g = 0; g < groups.length; g++) {
        at[g + 1] = at[g] + groups[g];
      }
      return Arrays.stream(taps).mapToDouble(t -> t < 0 ? 0.02 : at[t]).toArray();
    }
  }

  /** Something done wrong, and which fault of the card it is. */
  private record Mistake(Kind kind, int a, int b) {
    void make(Wired w) {
      switch (kind) {
        case SWAPPED -> {
          int t = w.taps[a];
          w.taps[a] = w.taps[b];
          w.taps[b] = t;
        }
        case MISPLACED -> w.taps[a] = b;
        case OPEN -> w.taps[a] = -1;
        case REVERSED -> w.groups[a] = -w.groups[a];
        case SHORT -> w.groups[a] = 0.01;
        case LOW -> w.groups[a] = 3.3;
        case HIGH -> w.groups[a] = 4.05;
        case SERIES, UNKNOWN -> throw new IllegalArgumentException();
      }
    }

    boolean isOfLead() {
      return kind == Kind.SWAPPED || kind == Kind.MISPLACED || kind == Kind.OPEN;
    }

    boolean touches(Mistake other) {
      if (isOfLead() != other.isOfLead()) {
        return false;
      }
      return isOfLead()
          ? a == other.a || b == other.b || a == other.b || b == other.a
          : a == other.a;
    }

    boolean isSaidBy(ProbeFault f) {
      return f.kind() == kind
          && (isOfLead()
              ? f.leads().contains(a) && (kind == Kind.OPEN || f.leads().contains(b))
              : f.leads().get(0) <= a && a < f.leads().get(1));
    }
  }

  private static List<Mistake> mistakes(int series) {
    List<Mistake> all = new ArrayList<>();
    for (int a = 0; a <= series; a++) {
      for (int b = a + 1; b <= series; b++) {
        all.add(new Mistake(Kind.SWAPPED, a, b));
      }
      if (a > 0) {
        all.add(new Mistake(Kind.OPEN, a, -1));
        all.add(new Mistake(Kind.MISPLACED, a, a - 1));
      }
      if (a > 0 && a < series) {
        all.add(new Mistake(Kind.MISPLACED, a, a + 1));
      }
    }
    for (int g = 0; g < series; g++) {
      for (Kind k : List.of(Kind.REVERSED, Kind.SHORT, Kind.LOW, Kind.HIGH)) {
        all.add(new Mistake(k, g, -1));
      }
    }
    return all;
  }

  /** A set of faults that says what was done, or fewer that explain the same readings. */
  private static void assertSaid(ProbeCard card, List<Mistake> done) {
    assertThat(card.isSound()).as(() -> done.toString()).isFalse();
    int fewest = card.faults().getFirst().size();
    assertThat(fewest).as(() -> done + ": " + card.words()).isLessThanOrEqualTo(done.size());
    if (fewest == done.size()) {
      boolean said =
          card.faults().stream()
              .anyMatch(set -> done.stream().allMatch(m -> set.stream().anyMatch(m::isSaidBy)));
      assertThat(said).as(() -> done + ": " + card.words()).isTrue();
    }
  }

  @ParameterizedTest
  @ValueSource(ints = {3, 4, 5, 7, 10, 13, 16, 20, 24})
  void everySingleFaultIsFoundOrIsOneOfAFew(int series) {
    Design d = design(series);
    Random noise = new Random(series);
    for (Mistake m : mistakes(series)) {
      Wired w = new Wired(series, noise);
      m.make(w);
      assertSaid(ProbeCard.of(d, w.read()), List.of(m));
    }
  }

  @ParameterizedTest
  @ValueSource(ints = {3, 4, 5, 7, 13})
  void everyPairOfFaultsIsFoundOrIsOneOfAFew(int series) {
    Design d = design(series);
    Random noise = new Random(series);
    List<Mistake> all = mistakes(series);
    for (int a = 0; a < all.size(); a++) {
      for (int b = a + 1; b < all.size(); b++) {
        // Beyond 7S a sample of the pairs, by a fixed seed.
        if (all.get(a).touches(all.get(b)) || (series > 7 && noise.nextInt(12) > 0)) {
          continue;
        }
        Wired w = new Wired(series, noise);
        all.get(b).make(w);
        all.get(a).make(w);
        assertSaid(ProbeCard.of(d, w.read()), List.of(all.get(a), all.get(b)));
      }
    }
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 3, 4, 7, 13, 24, 32})
  void nothingIsSaidOfASoundPack(int series) {
    Random noise = new Random(series);
    for (int k = 0; k < 200; k++) {
      ProbeCard card = ProbeCard.of(design(series), new Wired(series, noise).read());
      assertThat(card.isSound()).as(card.words()).isTrue();
    }
  }

  /** What the card says is done: then it has nothing more to say. */
  @ParameterizedTest
  @ValueSource(ints = {4, 7, 13, 24})
  void theAdviceMendsIt(int series) {
    Design d = design(series);
    Random noise = new Random(series);
    for (Mistake m : mistakes(series)) {
      Wired w = new Wired(series, noise);
      m.make(w);
      ProbeCard card = ProbeCard.of(d, w.read());
      if (card.alternatives()) {
        continue;
      }
      for (ProbeFault f : card.all()) {
        switch (f.kind()) {
          case SWAPPED -> new Mistake(Kind.SWAPPED, f.leads().get(0), f.leads().get(1)).make(w);
          case MISPLACED, OPEN -> w.taps[f.leads().getFirst()] = f.leads().getFirst();
          case REVERSED -> w.groups[f.leads().getFirst()] *= -1;
          case SHORT, LOW, HIGH -> w.groups[f.leads().getFirst()] = 3.7;
          case SERIES, UNKNOWN -> {}
        }
      }
      assertThat(ProbeCard.of(d, w.read()).isSound()).as("%s: %s", m, card.words()).isTrue();
    }
  }

  @Test
  void anotherCountIsSaidBeforeTheBmsIsPluggedIn() {
    ProbeCard card = ProbeCard.of(design(13), new Wired(12, new Random(1)).read());
    assertThat(card.all())
        .singleElement()
        .satisfies(f -> assertThat(f.kind()).isEqualTo(Kind.SERIES));
    assertThat(card.words()).contains("the pack has 12 groups");
  }

  @Test
  void readingsThatNoTwoFaultsExplainAreNotExplained() {
    Random random = new Random(3);
    double[] wild = random.doubles(14, 0, 50).toArray();
    wild[0] = 0;
    assertThat(ProbeCard.of(design(13), wild).words()).contains("Do not plug it in");
    assertThatThrownBy(() -> ProbeCard.of(design(40), new double[41]))
        .isInstanceOf(InvalidValue.class);
  }

  @Test
  void readingsComeOutOfATable(@TempDir Path folder) throws IOException, UnreadableTable {
    Path file = folder.resolve("card.csv");
    Files.writeString(file, "lead;volts\nB1;3,71\nB2;7,40\n3;11,10\n");
    assertThat(ReadingsFile.read(file)).containsExactly(Double.NaN, 3.71, 7.40, 11.10);
    Files.writeString(file, "lead;volts\n1;3,71\n1;7,40\n");
    assertThatThrownBy(() -> ReadingsFile.read(file))
        .isInstanceOf(UnreadableTable.class)
        .hasMessageContaining("twice");
    Files.writeString(file, "lead;volts\nplus;3,71\n1;7,40\n");
    assertThatThrownBy(() -> ReadingsFile.read(file)).hasMessageContaining("no lead");
  }
}
