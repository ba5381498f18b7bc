package hammerman.remedy;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.design.Design;
import hammerman.unit.InvalidValue;
import java.util.Arrays;
import org.junit.jupiter.api.Test;

/** A pack that got weak: which group, and what each cure gives. */
class ReworkTest {
  private static final Design BARROW = Samples.barrow();

  private static double[] groups(double usual, int sick, double value) {
    double[] all = new double[13];
    Arrays.fill(all, usual);
    for (int g = 0; g < all.length; g++) {
      all[g] += 0.002 * (g % 3);
    }
    all[sick] = value;
    return all;
  }

  private static Rework.Way way(Rework r, String words) {
    return r.ways().stream().filter(w -> w.what().contains(words)).findFirst().orElseThrow();
  }

  @Test
  void theWeakGroupIsFoundAndReplacingItGivesBackWhatItTook() {
    Rework r = Rework.byCapacity(BARROW, groups(24, 7, 20));
    assertThat(r.sick()).singleElement().satisfies(s -> assertThat(s.group()).isEqualTo(7));
    assertThat(r.sick().getFirst().next()).contains("of 6 takes 4.00");
    Rework.Way now = way(r, "As it is");
    Rework.Way healed = way(r, "in the place of group 8");
    assertThat(healed.usable()).isGreaterThan(1.12 * now.usable());
    assertThat(way(r, "dealt out anew").usable())
        .as("the mean of all, the weak one among them")
        .isBetween(now.usable(), healed.usable());
    assertThat(way(r, "Half the parallel").usable()).isCloseTo(now.usable() / 2, within(0.6));
    assertThat(r.ways()).allSatisfy(w -> assertThat(w.design().pack().matched()).isPresent());
  }

  @Test
  void withoutTheGroupTheMachineGetsLessVoltageAndIsTold() {
    Rework r = Rework.byCapacity(BARROW, groups(24, 7, 20));
    Rework.Way fewer = way(r, "12S6P");
    assertThat(fewer.design().guard().charge().voltage())
        .isCloseTo(BARROW.guard().charge().voltage() * 12 / 13, within(0.01));
    assertThat(fewer.steps()).anyMatch(s -> s.contains("12 groups"));
  }

  @Test
  void aSoundPackHasNothingToReplace() {
    Rework r = Rework.byCapacity(BARROW, groups(24, 3, 24));
    assertThat(r.sick()).isEmpty();
    assertThat(r.ways()).noneMatch(w -> w.what().contains("place of"));
  }

  @Test
  void aLowGroupIsBroughtUpByTheChargeThatIsMissing() {
    double[] volts = groups(3.8, 2, 3.7);
    Rework r = Rework.byVoltage(BARROW, volts);
    assertThat(r.ways()).as("voltages do not tell capacities").isEmpty();
    assertThat(r.sick())
        .singleElement()
        .satisfies(
            s -> {
              assertThat(s.group()).isEqualTo(2);
              assertThat(s.next()).startsWith("Bring up").contains("a week");
            });
    assertThat(Rework.byVoltage(BARROW, groups(3.8, 2, 1.2)).sick().getFirst().next())
        .contains("never revive");
  }

  @Test
  void everyGroupNeedsItsFigure() {
    assertThatThrownBy(() -> Rework.byCapacity(BARROW, new double[] {24, 24}))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("13 groups");
    assertThatThrownBy(() -> Rework.byVoltage(BARROW, groups(3.8, 2, 9)))
        .isInstanceOf(InvalidValue.class);
  }
}
