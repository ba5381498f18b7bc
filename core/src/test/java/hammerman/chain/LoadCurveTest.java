package hammerman.chain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.duty.Load;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class LoadCurveTest {
  private static final int[] WINDOWS = {1, 7, 10, 45, 60, 200, 600, 3600};

  /** Every window of whole seconds is tried, over every second of all rounds. */
  @Test
  void theHeaviestWindowIsFoundWhereTryingThemAllFindsIt() {
    Random random = new Random(5);
    for (int trial = 0; trial < 60; trial++) {
      Load load = load(random);
      for (int longest : new int[] {600, 3600}) {
        LoadCurve curve = new LoadCurve(load, longest, LoadCurveTest::amperes);
        for (int window : WINDOWS) {
          if (window <= longest) {
            assertThat(curve.heaviest(window))
                .as("window of %d s of %d rounds of %s", window, load.rounds(), load.steps())
                .isCloseTo(tried(load, window), within(1e-9));
          }
        }
      }
    }
  }

  /** One step of 20 A in much rest, by hand: half of a window of twice its length. */
  @Test
  void aWindowIsNoHeavierThanWhatLiesInIt() {
    Load load =
        new Load(
            List.of(
                new Load.Step(new Load.Current(0), 100, 0),
                new Load.Step(new Load.Current(20), 30, 0),
                new Load.Step(new Load.Current(0), 100, 0)),
            1);
    LoadCurve curve = new LoadCurve(load, 600, LoadCurveTest::amperes);
    assertThat(curve.heaviest(30)).isCloseTo(20, within(1e-12));
    assertThat(curve.heaviest(60)).isCloseTo(20 * Math.sqrt(0.5), within(1e-12));
    assertThat(curve.heaviest(600)).isCloseTo(20 * Math.sqrt(30 / 230.0), within(1e-12));
  }

  private static Load load(Random random) {
    List<Load.Step> steps = new ArrayList<>();
    int count = 1 + random.nextInt(6);
    for (int k = 0; k < count; k++) {
      Load.Demand demand = new Load.Current(random.nextInt(50) - 10);
      steps.add(new Load.Step(demand, 1 + random.nextInt(90), 0));
    }
    return new Load(steps, 1 + random.nextInt(40));
  }

  private static double amperes(Load.Demand demand) {
    return demand instanceof Load.Current c ? c.amperes() : Double.NaN;
  }

  private static double tried(Load load, int window) {
    List<Double> sums = new ArrayList<>(List.of(0.0));
    for (int round = 0; round < load.rounds(); round++) {
      for (Load.Step s : load.steps()) {
        for (int k = 0; k < s.duration(); k++) {
          sums.add(sums.getLast() + Math.pow(amperes(s.demand()), 2));
        }
      }
    }
    int seconds = sums.size() - 1;
    int length = Math.min(window, seconds);
    double most = 0;
    for (int from = 0; from + length <= seconds; from++) {
      most = Math.max(most, sums.get(from + length) - sums.get(from));
    }
    return Math.sqrt(most / length);
  }
}
