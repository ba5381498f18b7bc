package hammerman.chain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.circuit.Circuit;
import hammerman.circuit.Part;
import hammerman.design.Design;
import hammerman.duty.Load;
import hammerman.duty.Task;
import hammerman.simulation.Discharge;
import hammerman.simulation.Run;
import hammerman.simulation.Trace;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ChainTest {
  private final Design barrow = Samples.barrow();
  private final Chain chain = Chain.of(barrow);

  @Test
  void currentForAPowerGivesThatPowerBack() {
    double kelvin = 281.15;
    double current = chain.path().currentFor(1500, 0.5, kelvin);
    double volts = chain.path().voltage(current, 0.5, kelvin, Path.Settling.TEN_SECONDS);
    assertThat(volts * current).isCloseTo(1500, within(1e-6));
  }

  @Test
  void sagAfterTenSecondsIsWhatASimulationGives() {
    // Where the resistance does not depend on charge, and before heat matters.
    double kelvin = 298.15;
    Run run = Discharge.of(Chain.of(barrow), Load.current(30, 10), 0.5, kelvin).withStep(0.1).run();
    double simulated = run.trace().at(Trace.Channel.VOLTAGE, run.trace().size() - 1);
    double formula = chain.path().voltage(30, run.endSoc(), kelvin, Path.Settling.TEN_SECONDS);
    assertThat(simulated).isCloseTo(formula, within(0.02));
  }

  @Test
  void shortCircuitCurrentByHand() {
    // At 38 °C: exp(22000 / 8.314462618 (1/311.15 − 1/298.15)) = 0.6902 of the resistance.
    double warm = Math.exp(22_000 / 8.314462618 * (1 / 311.15 - 1 / 298.15));
    double cells = 13 * 0.7 * 0.016 * 1.08 * warm / 6;
    double lead = 1.724e-8 * (1 + 0.00393 * 18) * 0.135 * 1.0 / 8.37e-6;
    double strips = 13 * 6.99e-8 * (1 + 0.006 * 18) * 21.5e-3 / (0.15e-3 * 8e-3) / 6;
    assertThat(chain.shortCircuitCurrent()).isCloseTo(54.6 / (cells + lead + strips), within(0.1));
  }

  @Test
  void heaviestWindowMatchesASlidingSum() {
    Random random = new Random(7);
    for (int trial = 0; trial < 50; trial++) {
      List<Load.Step> steps =
          random
              .doubles(1 + random.nextInt(8), -20, 60)
              .mapToObj(a -> new Load.Step(new Load.Current(a), 1 + random.nextInt(700), 0))
              .toList();
      Load load = new Load(steps, 1 + random.nextInt(5));
      double found =
          new LoadCurve(load, 600, d -> d instanceof Load.Current c ? c.amperes() : 0)
              .heaviest(600);
      assertThat(found).isCloseTo(slidingRms(load), within(1e-6));
    }
  }

  /** Two rounds of 10 A for 100 s and 30 A for 50 s: the windows of any length, by hand. */
  @Test
  void aWindowOfAnyLengthTakesItsHeaviestPlace() {
    Load load = new Load(List.of(current(10, 100), current(30, 50)), 2);
    LoadCurve c = new LoadCurve(load, 1e6, d -> ((Load.Current) d).amperes());
    assertThat(c.heaviest(1)).isCloseTo(30, within(1e-12));
    assertThat(c.heaviest(50)).isCloseTo(30, within(1e-12));
    assertThat(c.heaviest(80)).isCloseTo(rms(900 * 50 + 100 * 30, 80), within(1e-9));
    assertThat(c.heaviest(150)).isCloseTo(rms(900 * 50 + 100 * 100, 150), within(1e-9));
    assertThat(c.heaviest(200)).isCloseTo(rms(900 * 100 + 100 * 100, 200), within(1e-9));
    assertThat(c.heaviest(300)).isCloseTo(rms(900 * 100 + 100 * 200, 300), within(1e-9));
    assertThat(c.heaviest(5000)).as("its own length").isEqualTo(c.heaviest(300));
    Load once = new Load(List.of(current(10, 100), current(30, 50), current(-40, 10)), 1);
    LoadCurve o = new LoadCurve(once, 1e6, d -> ((Load.Current) d).amperes());
    assertThat(o.heaviest(10)).as("braking heats as well").isCloseTo(40, within(1e-12));
    assertThat(o.heaviest(60)).isCloseTo(rms(1600 * 10 + 900 * 50, 60), within(1e-9));
  }

  private static Load.Step current(double amperes, double seconds) {
    return new Load.Step(new Load.Current(amperes), seconds, 0);
  }

  private static double rms(double squares, double seconds) {
    return Math.sqrt(squares / seconds);
  }

  private static double slidingRms(Load load) {
    int n = (int) load.duration();
    double[] sum = new double[n + 1];
    int t = 0;
    for (int r = 0; r < load.rounds(); r++) {
      for (Load.Step s : load.steps()) {
        double a = ((Load.Current) s.demand()).amperes();
        for (int k = 0; k < s.duration(); k++) {
          sum[t + 1] = sum[t] + a * a;
          t++;
        }
      }
    }
    int window = (int) Math.min(Demand.WINDOW, n);
    double most = 0;
    for (int k = 0; k + window <= n; k++) {
      most = Math.max(most, sum[k + window] - sum[k]);
    }
    return Math.sqrt(most / window);
  }

  @Test
  void floorIsWhereTheHardestMomentMeetsTheCutOut() {
    Floor floor = chain.floor();
    assertThat(floor.who()).isEqualTo(Floor.Who.MACHINE);
    double there = chain.path().voltage(55, floor.soc(), 281.15, Path.Settling.TEN_SECONDS);
    assertThat(there).isCloseTo(41, within(1e-3));
  }

  @Test
  void nothingIsLeftOfTheVoltageWhereThePackCannotGiveTheCurrent() {
    Chain weak = Chain.of(barrow.withCounts(3, 1));
    double most =
        weak.path().openCircuit(0.1)
            / weak.path().resistance(0.1, 281.15, Path.Settling.TEN_SECONDS);
    assertThat(weak.path().voltage(0.99 * most, 0.1, 281.15, Path.Settling.TEN_SECONDS))
        .isGreaterThan(0);
    assertThat(weak.path().voltage(1.01 * most, 0.1, 281.15, Path.Settling.TEN_SECONDS)).isZero();
  }

  @Test
  void moreParallelCellsSagLessAndMoreSeriesGiveMoreVolts() {
    double now = chain.sag().get(1).tenSeconds();
    assertThat(Chain.of(barrow.withCounts(13, 8)).sag().get(1).tenSeconds()).isGreaterThan(now);
    assertThat(Chain.of(barrow.withCounts(14, 6)).sag().get(1).tenSeconds()).isGreaterThan(now + 3);
  }

  @Test
  void aSteadyLoadIsItsOwnContinuousCurrent() {
    Design steady = barrow.withDuty(barrow.duty().withTask(new Task.ByTime(480, 3600)));
    Chain c = Chain.of(steady);
    double current = c.demand().continuous();
    assertThat(c.lowest()).as("where the machine cuts out").isEqualTo(c.floor().soc());
    double volts = c.path().voltage(current, c.lowest(), 281.15, Path.Settling.TEN_SECONDS);
    assertThat(current * volts).isCloseTo(480, within(1e-6));
  }

  @Test
  void weakestLinkIsTheOneWithTheLeastMargin() {
    Design weak = Samples.withGuard(barrow, g -> g.withFuse(f -> f.withRating(30)));
    Circuit circuit = Circuit.of(Chain.of(weak), Optional.empty());
    assertThat(circuit.weakest().part().kind()).isEqualTo(Part.Kind.FUSE);
    assertThat(circuit.margin(circuit.weakest())).isNegative();
  }
}
