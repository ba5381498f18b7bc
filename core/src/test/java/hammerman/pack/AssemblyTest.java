package hammerman.pack;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import org.junit.jupiter.api.Test;

/** A layout's own figures, and what they say of neighbouring counts. */
class AssemblyTest {
  private static final double WARM = 311.15;

  private final Pack pack = Samples.barrow().pack();

  @Test
  void anEstimateIsOneStripPerCellAndAPlainBox() {
    Assembly a = Assembly.estimated(pack);
    assertThat(a.known()).isFalse();
    double one = pack.strip().resistance(pack.cell().format().pitch(), WARM);
    assertThat(a.stripResistance(WARM)).isCloseTo(13 * one / 6, within(1e-15));
    // 78 cells: 12 W/m²K at both ends, 8 at the sides of a square block; the box sheds 6.
    double inside =
        12 * 78 * 2 * Math.PI * 0.0105 * 0.0105
            + 8 * 4 * Math.sqrt(78 * pack.cell().format().packedFootprint()) * 0.07;
    double outside = 6 * pack.surface();
    assertThat(a.conductance()).isCloseTo(inside * outside / (inside + outside), within(1e-12));
  }

  @Test
  void aLayoutGivesItsOwnFiguresBack() {
    Assembly a = Assembly.laidOut(pack, 6e-3, WARM, 0.5);
    assertThat(a.known()).isTrue();
    assertThat(a.stripResistance(WARM)).isCloseTo(6e-3, within(1e-15));
    assertThat(a.conductance()).isCloseTo(0.5, within(1e-12));
    // Warmer strips resist more, in the way of their metal.
    double rise =
        ConductorMaterial.NICKEL.resistivity(WARM + 20)
            / ConductorMaterial.NICKEL.resistivity(WARM);
    assertThat(a.stripResistance(WARM + 20)).isCloseTo(6e-3 * rise, within(1e-12));
  }

  @Test
  void neighbouringCountsAreBuiltAlike() {
    Assembly a = Assembly.laidOut(pack, 6e-3, WARM, 0.5);
    Assembly wider = a.of(pack.withCounts(13, 12));
    assertThat(wider.stripResistance(WARM)).isCloseTo(3e-3, within(1e-15));
    assertThat(wider.conductance()).isGreaterThan(0.5);
    Assembly longer = a.of(pack.withCounts(26, 6));
    assertThat(longer.stripResistance(WARM)).isCloseTo(12e-3, within(1e-15));
  }

  @Test
  void whatIsNoFigureIsRefused() {
    assertThatThrownBy(() -> new Assembly(pack, Double.NaN, 1))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Assembly(pack, 1, 0)).isInstanceOf(IllegalArgumentException.class);
    // Rounding may leave a hair below nothing.
    assertThat(Assembly.laidOut(pack, -1e-18, WARM, 0.5).stripResistance(WARM)).isZero();
  }
}
