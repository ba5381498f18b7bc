package hammerman.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.duty.Load;
import hammerman.pack.Lot;
import hammerman.pack.Pack;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Packs whose cells differ. */
class PopulationTest {
  private static final double ROOM = Samples.ROOM;
  private final Design barrow = Samples.barrow();

  private static double[] filled(int n, double value) {
    double[] all = new double[n];
    Arrays.fill(all, value);
    return all;
  }

  @ParameterizedTest
  @ValueSource(doubles = {-10, 8, 38})
  void cellsThatAreAlikeComeToTheSameEachByItselfAsOneForAll(double celsius) {
    double air = celsius + 273.15;
    Chain chain = Chain.of(barrow);
    for (Load load :
        List.of(barrow.duty().task().load(), Load.power(900, 9000), Load.current(25, 9000))) {
      Discharge once = Discharge.of(chain, load, 0.98, air).withStep(5);
      Run one = once.run();
      Run all = once.with(CellPopulation.alike(barrow.pack()).each()).run();
      assertThat(all.outcome().key()).isEqualTo(one.outcome().key());
      assertThat(all.endTime()).isCloseTo(one.endTime(), within(1e-9 * one.endTime()));
      assertThat(all.endSoc()).isCloseTo(one.endSoc(), within(1e-9));
      assertThat(all.totals().energyOut())
          .isCloseTo(one.totals().energyOut(), within(1e-9 * one.totals().energyOut()));
      assertThat(all.totals().heat())
          .isCloseTo(one.totals().heat(), within(1e-9 * one.totals().heat()));
      assertThat(all.extremes().peakTemperature())
          .isCloseTo(one.extremes().peakTemperature(), within(1e-9 * air));
    }
  }

  /** Two groups in series: the smaller is empty first, at its capacity over the current. */
  @Test
  void theSmallestGroupEndsADischargeAndIsNamed() {
    Pack pack = Samples.pack("b21700", 3, 2);
    double[] capacity = {4.5, 4.5, 4.5, 3.9, 4.5, 4.5};
    CellPopulation cells = CellPopulation.measured(pack, capacity, filled(6, 0.016));
    Run run = Discharge.bare(pack, Load.current(4, 3 * 3600), 1, ROOM).with(cells).run();
    assertThat(run.outcome())
        .isInstanceOfSatisfying(
            Outcome.Empty.class, o -> assertThat(o.place().group()).isEqualTo(1));
    assertThat(run.endTime()).isCloseTo((4.5 + 3.9) / 4 * 3600, within(0.01));
  }

  /** At the very first moment the currents in a group are as one over the resistances. */
  @Test
  void aCellOfHalfTheResistanceGetsTwiceTheHeat() {
    Pack pack = Samples.pack("b21700", 1, 2);
    CellPopulation cells =
        CellPopulation.measured(pack, filled(2, 4.5), new double[] {0.012, 0.024});
    Run run = Discharge.bare(pack, Load.current(9, 1), 0.7, ROOM).with(cells).withStep(0.01).run();
    double each = 0.70 * 0.012 * 6 * 6 + 0.70 * 0.024 * 3 * 3;
    assertThat(run.totals().cellHeat()).isCloseTo(each, within(0.05 * each));
    double behind = 1 / (1 / (0.7 * 0.012) + 1 / (0.7 * 0.024));
    assertThat(run.trace().at(Trace.Channel.VOLTAGE, 0))
        .isCloseTo(
            pack.cell().openCircuit().value(0.7)
                - 9 * (behind + hammerman.pack.Assembly.estimated(pack).stripResistance(ROOM)),
            within(1e-9));
  }

  /** Left alone, cells of one group come to one voltage, and no charge is lost on the way. */
  @Test
  void cellsOfAGroupEvenOutAndLoseNoCharge() {
    Pack pack = Samples.pack("b21700", 1, 2);
    CellPopulation cells =
        CellPopulation.measured(pack, new double[] {4.5, 3.0}, filled(2, 0.016))
            .ahead(new double[] {0.2, -0.3});
    Run run =
        Discharge.bare(pack, Load.current(0, 6 * 3600), 0.6, ROOM).with(cells).withStep(0.5).run();
    double mean = (4.5 * 0.8 + 3.0 * 0.3) / 7.5;
    assertThat(run.endSoc()).isCloseTo(mean, within(1e-9));
    double rested = pack.cell().openCircuit().value(mean);
    assertThat(run.trace().at(Trace.Channel.VOLTAGE, run.trace().size() - 1))
        .isCloseTo(rested, within(2e-4));
    assertThat(run.totals().cellHeat()).as("evening out makes heat").isPositive();
    assertThat(run.totals().imbalance()).isCloseTo(0, within(2e-3));
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void energyIsKeptWithCellsThatDiffer(long seed) {
    Run run =
        Discharge.of(Chain.of(barrow), barrow.duty().task().load(), 1, 300)
            .with(CellPopulation.drawn(barrow.pack(), Tolerance.of(Lot.UNKNOWN), new Random(seed)))
            .run();
    assertThat(run.totals().imbalance()).isCloseTo(0, within(1e-3));
  }

  @Test
  void theSameSeedDrawsTheSameCellsAndTheirSpreadIsThatOfTheLot() {
    Pack pack = Samples.pack("b21700", 20, 50);
    CellPopulation a = CellPopulation.drawn(pack, Tolerance.of(Lot.MIXED), new Random(5));
    CellPopulation b = CellPopulation.drawn(pack, Tolerance.of(Lot.MIXED), new Random(5));
    double sum = 0;
    double squares = 0;
    for (int k = 0; k < pack.cells(); k++) {
      assertThat(a.capacity(k)).isEqualTo(b.capacity(k));
      double off = a.capacity(k) / 4.5 - 1;
      sum += off;
      squares += off * off;
    }
    assertThat(sum / pack.cells()).isCloseTo(0, within(4 * 0.03 / Math.sqrt(pack.cells())));
    assertThat(Math.sqrt(squares / pack.cells())).isCloseTo(0.03, within(0.003));
  }

  /** Each from its own normal draw, capacity, resistance and joint in turn. */
  @Test
  void whatIsDrawnIsTheMeanByOneDrawEach() {
    Pack pack = Samples.pack("b21700", 2, 3);
    Tolerance tolerance = new Tolerance(0.05, 0.2, 4e-4, 0.3);
    CellPopulation cells = CellPopulation.drawn(pack, tolerance, new Random(17));
    Random same = new Random(17);
    for (int k = 0; k < 6; k++) {
      assertThat(cells.capacity(k))
          .isCloseTo(4.5 * (1 + 0.05 * same.nextGaussian()), within(1e-12));
      assertThat(cells.resistance(k))
          .isCloseTo(0.016 * (1 + 0.2 * same.nextGaussian()), within(1e-15));
      assertThat(cells.joint(k)).isCloseTo(4e-4 * (1 + 0.3 * same.nextGaussian()), within(1e-18));
    }
  }

  /** Until they are wanted apart, each measured cell counts as the mean of its group. */
  @Test
  void aMeasuredCellIsTheMeanOfItsGroupUntilTheyAreWantedApart() {
    Pack pack = barrow.withMatched(Samples.cells(13, 6)).pack();
    CellPopulation cells = CellPopulation.of(pack);
    for (int k = 0; k < 78; k++) {
      double mean = 5 + 0.01 * (k / 6 * 6 + 2.5);
      assertThat(cells.capacity(k)).isCloseTo(mean, within(1e-12));
      assertThat(cells.each().capacity(k)).isCloseTo(5 + 0.01 * k, within(1e-12));
    }
    assertThat(cells.groupCapacity(3)).isCloseTo(6 * (5 + 0.205), within(1e-9));
    assertThat(cells.resistance(0))
        .isCloseTo(
            6
                / Arrays.stream(new int[] {0, 1, 2, 3, 4, 5})
                    .mapToDouble(k -> 1 / (0.02 + 1e-4 * k))
                    .sum(),
            within(1e-9));
  }

  /** More spread never helps: the weakest group ends the run. */
  @Test
  void cellsThatDifferMoreGoLessFar() {
    Load load = Load.current(10, 4 * 3600);
    Discharge even = Discharge.bare(barrow.pack(), load, 1, ROOM).withStep(5);
    double alike = even.run().endTime();
    double mixed = even.with(drawn(Lot.MIXED)).run().endTime();
    double unknown = even.with(drawn(Lot.UNKNOWN)).run().endTime();
    assertThat(mixed).isLessThan(alike);
    assertThat(unknown).isLessThan(mixed);
  }

  private CellPopulation drawn(Lot lot) {
    return CellPopulation.drawn(barrow.pack(), Tolerance.of(lot), new Random(11));
  }

  @Test
  void aSpikeOfTenMillisecondsTripsNothingThatHasADelay() {
    Design touchy = Samples.withBms(barrow, b -> b.withTrip(40, 1).withVoltages(3.3, 4.25));
    Load spikes =
        new Load(
            List.of(
                new Load.Step(new Load.Current(5), 10, 0),
                new Load.Step(new Load.Current(60), 0.01, 0)),
            50);
    Run spiked = Discharge.of(Chain.of(touchy), spikes, 0.15, ROOM).run();
    assertThat(spiked.outcome().complete()).isTrue();
    Run held = Discharge.of(Chain.of(touchy), Load.current(60, 10), 0.9, ROOM).run();
    assertThat(held.outcome().key()).isEqualTo("overCurrentTrip");
    assertThat(held.endTime()).as("after its delay, not a step late").isCloseTo(1, within(1e-6));
  }

  /** An end is found within the step: coarse steps end where fine ones do. */
  @Test
  void endsAreFoundWithinTheStep() {
    Discharge d = Discharge.of(Chain.of(barrow), Load.current(20, 7200), 1, ROOM);
    double fine = d.withStep(0.25).run().endTime();
    double coarse = d.withStep(20).run().endTime();
    assertThat(coarse).isCloseTo(fine, within(1.0));
    assertThat(d.withStep(20).run().extremes().lowestVoltage()).isCloseTo(41, within(0.02));
  }

  @Test
  void cellsOfAnotherPackAndFiguresThatAreMissingAreRefused() {
    Pack other = Samples.pack("b21700", 2, 2);
    Discharge d = Discharge.of(Chain.of(barrow), Load.current(5, 10), 1, ROOM);
    CellPopulation wrong = CellPopulation.alike(other);
    assertThatThrownBy(() -> d.with(wrong)).hasMessageContaining("2S2P");
    assertThatThrownBy(() -> CellPopulation.measured(other, filled(3, 4), filled(4, 0.01)))
        .hasMessageContaining("3 capacities");
    assertThatThrownBy(() -> CellPopulation.measured(other, filled(4, 0), filled(4, 0.01)))
        .hasMessageContaining("0.0 Ah");
  }
}
