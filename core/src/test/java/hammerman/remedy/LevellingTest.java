package hammerman.remedy;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.pack.Pack;
import org.junit.jupiter.api.Test;

class LevellingTest {
  private final Pack pack = Samples.barrow().pack();

  @Test
  void aGroupIsBroughtToTheMiddleByTheChargeBetweenTheTwoVoltages() {
    var curve = pack.cell().openCircuit();
    double level = curve.value(0.4);
    double low = curve.value(0.3);
    Levelling l = Levelling.of(pack, new double[] {level, level, low, level, curve.value(0.45)}, 6);
    assertThat(l.middle()).isEqualTo(level);
    // A tenth of six cells' capacity in, a twentieth out.
    assertThat(l.parts().get(2).charge()).isCloseTo(0.1 * 6 * pack.cell().capacity(), within(1e-6));
    assertThat(l.parts().get(4).charge())
        .isCloseTo(-0.05 * 6 * pack.cell().capacity(), within(1e-6));
    assertThat(l.parts().get(2).time())
        .isCloseTo(3600 * l.parts().get(2).charge() / l.parts().get(2).current(), within(1e-6));
    assertThat(l.parts().get(2).advice()).startsWith("Bring up");
    assertThat(l.parts().get(4).advice()).startsWith("Bring down");
    assertThat(l.parts().get(0).advice()).isEqualTo("level");
  }

  @Test
  void whatWouldFlowIsTheGapOverBothResistances() {
    var curve = pack.cell().openCircuit();
    double level = curve.value(0.5);
    Levelling l = Levelling.of(pack, new double[] {level, level, level + 0.05}, 1);
    // R0 is 0.7 of R10 in the middle of the charge.
    double r = 2 * 0.7 * pack.cell().r10();
    assertThat(l.parts().get(2).joined()).isCloseTo(0.05 / r, within(0.02 * 0.05 / r));
  }

  @Test
  void aGroupThatSatBelowItsCutOffIsNotRevived() {
    Levelling l = Levelling.of(pack, new double[] {3.6, 3.6, 1.9}, 6);
    assertThat(l.parts().get(2).advice()).contains("never revive");
    assertThat(l.parts().get(2).charge()).isZero();
  }

  @Test
  void onTheFlatPartTheChargeIsAGuess() {
    Pack flat = Samples.pack("f32700", 4, 6);
    var curve = flat.cell().openCircuit();
    Levelling l =
        Levelling.of(flat, new double[] {curve.value(0.6), curve.value(0.6), curve.value(0.4)}, 6);
    assertThat(l.parts().get(2).advice()).contains("flat");
  }
}
