package hammerman.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.cell.CellCircuit;
import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.guard.ChargePlan;
import hammerman.simulation.Trace.Channel;
import org.junit.jupiter.api.Test;

class ChargeTest {
  private final Design barrow = Samples.barrow();

  private static Design charged(Design d, double volts, double amperes) {
    return Samples.withGuard(d, g -> g.withCharge(ChargePlan.usual(volts, amperes)));
  }

  @Test
  void holdsTheCurrentThenTheVoltage() {
    Charge charge = Charge.of(Chain.of(barrow), 0.2, Samples.ROOM);
    Trace t = charge.trace();
    double heldUntil = charge.constantCurrentTime();
    for (int k = 0; k < t.size(); k++) {
      if (t.at(Channel.TIME, k) < heldUntil - 5) {
        assertThat(t.at(Channel.CURRENT, k)).isEqualTo(-8);
        assertThat(t.at(Channel.VOLTAGE, k)).isLessThanOrEqualTo(54.6 + 1e-6);
      } else if (t.at(Channel.TIME, k) > heldUntil + 5) {
        assertThat(t.at(Channel.VOLTAGE, k)).isCloseTo(54.6, within(1e-6));
      }
    }
    assertThat(charge.complete()).isTrue();
    assertThat(charge.endSoc()).isGreaterThan(0.97);
  }

  @Test
  void theConstantPhaseLastsAsLongAsTheChargeItBrings() {
    // A weak charger: nearly everything in the first phase, so time is charge over current.
    Charge charge = Charge.of(Chain.of(charged(barrow, 54.6, 1)), 0.5, Samples.ROOM);
    assertThat(charge.time()).isCloseTo(charge.charge() * 3600 / 1, within(0.03 * charge.time()));
  }

  @Test
  void energyInExceedsTheEnergyStored() {
    Charge charge = Charge.of(Chain.of(barrow), 0.2, Samples.ROOM);
    CellCircuit circuit = new CellCircuit(barrow.pack().cell());
    double stored = 13 * circuit.meanOpenCircuit(0.2, charge.endSoc()) * charge.charge() * 3600;
    assertThat(charge.energy()).isGreaterThan(stored).isLessThan(stored * 1.05);
  }

  @Test
  void aLowerCeilingStopsAtItsStateOfCharge() {
    double ceiling = new CellCircuit(barrow.pack().cell()).socAt(4.05);
    Charge charge = Charge.of(Chain.of(charged(barrow, 4.05 * 13, 4)), 0.3, Samples.ROOM);
    assertThat(charge.endSoc()).isCloseTo(ceiling, within(0.02));
  }

  @Test
  void aPackAboveTheSetVoltageTakesNothing() {
    Charge charge = Charge.of(Chain.of(charged(barrow, 45, 4)), 0.9, Samples.ROOM);
    assertThat(charge.time()).isZero();
    assertThat(charge.complete()).isTrue();
  }
}
