package hammerman.guard;

import static java.util.Comparator.comparingDouble;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.guard.Parts.WireSize;
import hammerman.pack.ConductorMaterial;
import hammerman.project.Shipped;
import hammerman.unit.InvalidValue;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Small parts of the guard, by hand. */
class PartsTest {
  private static final double WARM = 311.15;

  private final Guard guard = Samples.barrow().guard();
  private final Wire wire = guard.wiring().wire();

  /** 100 Ω and 2 mF at 54.6 V: τ 0.2 s, 0.55 A, 30 W at first, 2.98 J in all. */
  @Test
  void prechargeByHand() {
    Precharge p = new Precharge(100, 5);
    assertThat(p.time(2e-3)).isCloseTo(0.6, within(1e-12));
    assertThat(p.current(54.6)).isCloseTo(0.546, within(1e-12));
    assertThat(p.peakPower(54.6)).isCloseTo(29.8116, within(1e-9));
    assertThat(Precharge.energy(54.6, 2e-3)).isCloseTo(2.98116, within(1e-9));
    assertThat(p.pulseEnergy()).isEqualTo(50);
  }

  /** The exponential itself: after 3 τ 95.02 % of the voltage is there. */
  @Test
  void threeTimeConstantsAreNinetyFivePerCent() {
    Precharge p = new Precharge(47, 5);
    double tau = 47 * 1e-3;
    assertThat(1 - Math.exp(-p.time(1e-3) / tau)).isCloseTo(0.95, within(3e-4));
  }

  @Test
  void anImbalanceTakesHoursToRemove() {
    Bms.Balance b = new Bms.Balance(Bms.Balance.Kind.PASSIVE, 0.06);
    assertThat(b.hoursFor(0.9)).isCloseTo(15, within(1e-9));
    assertThat(new Bms.Balance(Bms.Balance.Kind.PASSIVE, 0).hoursFor(0.1)).isInfinite();
  }

  @ParameterizedTest
  @CsvSource({"b21700, 2.8, 4.25", "f32700, 2.8, 3.7", "l66160, 1.8, 2.85", "n18650, 1.8, 4.0"})
  void bmsVoltagesSuitTheCell(String id, double cutOff, double over) {
    assertThat(BmsClass.cutOffFor(Samples.cell(id))).isCloseTo(cutOff, within(1e-9));
    assertThat(BmsClass.overVoltageFor(Samples.cell(id))).isCloseTo(over, within(1e-9));
  }

  @Test
  void everyShippedBmsClassMakesAUnitForItsCounts() {
    for (BmsClass c : Shipped.parts().bms()) {
      Bms unit = c.unit(c.leastSeries(), Samples.cell("b21700"));
      assertThat(unit.overVoltage()).isGreaterThan(unit.cutOffVoltage());
      assertThat(unit.overCurrent()).isGreaterThanOrEqualTo(unit.continuousCurrent());
      assertThat(c.source()).isNotBlank();
      // Its switches block what its largest string has when full.
      assertThat(c.mosfetVoltage()).isGreaterThan(c.mostSeries() * 4.2);
    }
  }

  /** A part of one's own takes its place among those sold, so that the weakest that suits wins. */
  @Test
  void ownPartsStandWhereTheirStrengthPutsThem() {
    Connector own = new Connector("Spare plug", 33, 40, 1e-3, 60, false);
    Parts none =
        new Parts(List.of(), List.of(), List.of(own), List.of(), List.of(), List.of(), List.of());
    List<Connector> all = Shipped.parts().with(none).connectors();
    assertThat(all).contains(own).isSortedAccordingTo(comparingDouble(Connector::continuous));
    assertThat(Shipped.parts().wires()).isSortedAccordingTo(comparingDouble(WireSize::area));
    assertThat(Parts.fuses())
        .hasSizeGreaterThan(20)
        .isSortedAccordingTo(comparingDouble(Fuse::rating));
    assertThat(Parts.fuses().getFirst().text()).matches("[\\d.]+ A [a-z -]+");
    for (int series = 1; series <= 24; series++) {
      int s = series;
      assertThat(Shipped.parts().bms(s)).allMatch(b -> b.leastSeries() <= s && s <= b.mostSeries());
    }
  }

  @Test
  void aWireCarriesLessInABundleInHeatAndInAluminium() {
    double free = wire.ampacity(WARM);
    assertThat(wire.withLaid(Wire.Laid.BUNDLED).ampacity(WARM)).isCloseTo(0.7 * free, within(1e-9));
    assertThat(wire.ampacity(WARM + 30)).isLessThan(free);
    assertThat(wire.withMaterial(ConductorMaterial.ALUMINIUM).ampacity(WARM))
        .isLessThan(0.85 * free);
    assertThat(wire.ampacity(wire.insulationLimit() - 1e-6)).isLessThan(1);
  }

  /** I² R of the wire is h times its outside times the rise, at the limit of its insulation. */
  @Test
  void ampacityIsAHeatBalance() {
    double i = wire.ampacity(WARM);
    double made = i * i * wire.resistance(1, wire.insulationLimit());
    double shed = 10 * Math.PI * wire.outerDiameter() * (wire.insulationLimit() - WARM);
    assertThat(made).isCloseTo(shed, within(1e-9 * shed));
  }

  @Test
  void whatRuinsAWireIsMoreThanWhatItStands() {
    for (double seconds : new double[] {0.1, 1, 10, 100, 1000}) {
      assertThat(wire.damageCurrent(WARM, seconds))
          .isGreaterThan(wire.shortTimeAmpacity(WARM, seconds));
    }
  }

  @Test
  void slackIsPaidInResistance() {
    Wiring w = guard.wiring();
    double plain = w.withSlack(0).resistance(2, 293.15);
    assertThat(w.withSlack(0.25).resistance(2, 293.15)).isCloseTo(1.25 * plain, within(1e-12));
  }

  @Test
  void impossiblePartsAreRefusedByName() {
    assertThatThrownBy(() -> new Precharge(0, 5))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("Pre-charge resistance");
    assertThatThrownBy(() -> wire.withArea(-1))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("Wire cross-section");
    Bms b = guard.protection().bms().orElseThrow();
    assertThatThrownBy(() -> b.withVoltages(4.3, 4.2))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("over-voltage");
  }
}
