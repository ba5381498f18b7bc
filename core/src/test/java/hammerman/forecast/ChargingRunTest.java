package hammerman.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.duty.Load;
import hammerman.simulation.Charge;
import hammerman.simulation.Discharge;
import hammerman.simulation.Run;
import org.junit.jupiter.api.Test;

/** What a charge and braking depend on besides the cells: the air, the BMS, its over-voltage. */
class ChargingRunTest {
  private static final Design BARROW = Samples.barrow();

  /** The charge that is told first is in the coldest air of charging, and takes longer there. */
  @Test
  void aChargeInTheColdTakesLonger() {
    Forecast f = Forecast.of(BARROW);
    assertThat(f.charge().time()).isGreaterThan(f.usualCharge().time() + 60);
    Charge cold = Charge.of(f.chain(), f.own().endSoc(), f.chain().chargingAir());
    assertThat(f.charge().time()).isCloseTo(cold.time(), within(1e-9));
  }

  /** The resistance of a BMS ends the constant current sooner, and the charge lower. */
  @Test
  void aBmsOfMoreResistanceTapersSooner() {
    Chain little = Chain.of(Samples.withBms(BARROW, b -> b.withResistance(1e-3)));
    Chain much = Chain.of(Samples.withBms(BARROW, b -> b.withResistance(60e-3)));
    Charge one = Charge.of(little, 0.2, Samples.ROOM);
    Charge other = Charge.of(much, 0.2, Samples.ROOM);
    assertThat(other.constantCurrentTime()).isLessThan(one.constantCurrentTime() - 60);
    assertThat(much.ceiling()).isLessThan(little.ceiling());
  }

  /** A BMS at its over-voltage lets no braking in, though the cells have room. */
  @Test
  void brakingIsRefusedAtTheOverVoltageOfTheBms() {
    Run taken = braking(4.25);
    Run refused = braking(4.1);
    assertThat(taken.totals().regenerated()).isCloseTo(3 * 10 / 3600.0, within(1e-9));
    assertThat(refused.totals().regenerated()).isZero();
    assertThat(refused.totals().refused()).isGreaterThan(3 * 50 * 10);
  }

  /** Ten seconds of 3 A into nearly full cells. */
  private static Run braking(double overVoltage) {
    Chain chain = Chain.of(Samples.withBms(BARROW, b -> b.withVoltages(2.8, overVoltage)));
    return Discharge.of(chain, Load.current(-3, 10), 0.95, Samples.ROOM).run();
  }
}
