package hammerman.circuit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.SoundDesigns;
import hammerman.chain.Chain;
import hammerman.chain.Path.Settling;
import hammerman.chain.Supply;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.duty.Task;
import hammerman.guard.Bms;
import hammerman.guard.FuseClass;
import hammerman.guard.Fusing;
import hammerman.pack.Lot;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Currents, times and faults of the circuit against values worked out by hand. */
class CircuitTest {
  private static final double HOT = 311.15;
  private final Design barrow = Samples.barrow().withFit(null);

  private static Circuit circuit(Design d) {
    return Circuit.of(Chain.of(d), Optional.empty());
  }

  private static Stress row(Design d, String id) {
    return circuit(d).stresses().stream().filter(s -> s.id().equals(id)).findFirst().orElseThrow();
  }

  private Design with(Joining joining) {
    return barrow.withSecond(Samples.second(joining));
  }

  /**
   * 13 cells of 16 mΩ, 0.7 at once, 1.08 when full, at 38 °C; six side by side; strips; 0.135 m.
   */
  private static double source(int parallel, double health) {
    double warm = Math.exp(22_000 / 8.314462618 * (1 / HOT - 1 / 298.15));
    double cells = 13 * 0.7 * 0.016 * health * 1.08 * warm / parallel;
    double strips = 13 * 6.99e-8 * (1 + 0.006 * 18) * 21.5e-3 / (0.15e-3 * 8e-3) / parallel;
    return cells + strips;
  }

  private static double lead(double metres) {
    return 1.724e-8 * (1 + 0.00393 * 18) * metres / 8.37e-6;
  }

  @Test
  void theShortCircuitIsTakenAtTheFuseFullAndWarm() {
    Stress s = row(barrow, "fuse.short");
    assertThat(s.value()).isCloseTo(54.6 / (source(6, 1) + lead(0.135)), within(0.1));
    assertThat(s.limit()).isEqualTo(20_000);
    assertThat(s.state()).isEqualTo(State.SHORT);
    assertThat(s.corner().words()).isEqualTo("full, 38 °C");
    // At the far end of the leads and at 25 °C it would be far less.
    assertThat(s.value()).isGreaterThan(1.5 * 54.6 / (source(6, 1) / 0.69 + 0.012));
  }

  @Test
  void inSeriesBothPacksFeedTheFaultAndLieAcrossWhatOpens() {
    Design d = with(Joining.SERIES);
    SecondPack s = Objects.requireNonNull(d.second());
    double other = source(4, 1.4) + s.guard().own(HOT);
    double both = 2 * 54.6 / (source(6, 1) + lead(0.135) + other);
    double alone = 54.6 / (source(6, 1) + lead(0.135));
    assertThat(row(d, "fuse.short").value()).isCloseTo(Math.max(both, alone), within(0.5));
    for (String id :
        List.of(
            "bms.voltage", "second.bms.voltage", "fuse.voltage", "switch.voltage", "pack.touch")) {
      assertThat(row(d, id).value()).as(id).isCloseTo(109.2, within(1e-9));
    }
    assertThat(row(d, "machine.voltage").value()).isCloseTo(109.2, within(1e-9));
  }

  /** I1 = (E1 − E2 + I R2) / (R1 + R2); the same charge, so E1 = E2. */
  @Test
  void inParallelEachPackCarriesItsShare() {
    Circuit c = circuit(with(Joining.PARALLEL));
    Supply supply = c.chain().supply();
    double r1 = supply.first().resistance(0.5, HOT, Settling.TEN_SECONDS);
    double r2 = supply.second().orElseThrow().resistance(0.5, HOT, Settling.TEN_SECONDS);
    Supply.Split split = supply.split(30, 0.5, HOT, Settling.TEN_SECONDS);
    assertThat(split.first()).isCloseTo(30 * r2 / (r1 + r2), within(1e-9));
    assertThat(split.first() + split.second()).isCloseTo(30, within(1e-12));
    Link cells = c.links().getFirst();
    assertThat(cells.share()).isBetween(split.first() / 30 - 0.02, split.first() / 30 + 0.05);
    double watts = split.voltage() * 30;
    assertThat(supply.currentFor(watts, 0.5, HOT)).isCloseTo(30, within(1e-6));
  }

  @Test
  void aReserveOfMoreVoltageReachesTheMachine() {
    SecondPack more =
        Samples.second(Joining.SWITCH_OVER)
            .withPack(Samples.second(Joining.SWITCH_OVER).pack().withCounts(15, 4));
    Design d =
        barrow.withSecond(
            more.withGuard(more.guard().withCharge(more.guard().charge().withVoltage(63))));
    assertThat(row(d, "machine.voltage").value()).isEqualTo(63);
    assertThat(row(d, "machine.voltage").exceeded()).isTrue();
  }

  /** 1.5 A s … the longest times of the class: 0.5 s at 3.5 times; I² t constant above 6 times. */
  @Test
  void clearingTimesOfFuses() {
    FuseClass bolt = FuseClass.BOLT_DOWN;
    assertThat(bolt.openingTime(1.1)).isInfinite();
    assertThat(bolt.openingTime(1.35)).isCloseTo(600, within(1e-6));
    assertThat(bolt.openingTime(3.5)).isCloseTo(0.5, within(1e-9));
    assertThat(bolt.openingTime(6)).isCloseTo(0.1, within(1e-9));
    assertThat(bolt.openingTime(12)).isCloseTo(0.025, within(1e-9));
    assertThat(bolt.openingTime(1000)).isCloseTo(0.002, within(1e-12));
    assertThat(FuseClass.CARTRIDGE.openingTime(3.5)).isCloseTo(0.75, within(1e-9));
    for (double m = 1.2; m < 6; m += 0.1) {
      assertThat(bolt.openingMultiple(bolt.openingTime(m))).isCloseTo(m, within(1e-6));
    }
  }

  /** A short circuit of 2.4 kA for 3 ms through 8.37 mm²: I² t far below (ρ c ΔT / ρe) A². */
  @Test
  void wireStandsTheShortCircuitUntilTheFuseClears() {
    Stress s = row(barrow, "wire.withstand");
    double rise = 105 + 55 - 38;
    double hot = 1.724e-8 * (1 + 0.00393 * 85);
    double perSecond = 8960 * 385 * rise / hot * Math.pow(8.37e-6, 2);
    assertThat(s.limit()).isCloseTo(Math.sqrt(perSecond / s.seconds()), within(0.02 * s.limit()));
    assertThat(s.protector()).isEqualTo("60 A fuse");
    assertThat(s.exceeded()).isFalse();
  }

  @Test
  void nobodyEndsWhatLiesBelowTheFuseAndAboveTheWire() {
    Design d = Samples.withWire(barrow, w -> w.withArea(4e-6));
    Stress s = row(d, "wire.overload");
    assertThat(s.exceeded()).isTrue();
    // 1.1 times the rating never opens it, half as much again only after minutes.
    assertThat(s.value()).isBetween(60.0, 100.0);
    assertThat(s.seconds()).isGreaterThan(60);
  }

  /** I² = Ic² + (Ip² − Ic²) · 10 s / t, six cells of 22 A and 35 A. */
  @Test
  void partsAreComparedAtEveryDuration() {
    Endurance cells = circuit(barrow).links().getFirst().stands();
    assertThat(cells.at(5)).isCloseTo(210, within(1e-9));
    assertThat(cells.at(40))
        .isCloseTo(6 * Math.sqrt(22 * 22 + (35 * 35 - 22 * 22) / 4.0), within(1e-9));
    assertThat(cells.at(1e9)).isCloseTo(132, within(1e-3));
    Design steady = barrow.withDuty(barrow.duty().withTask(new Task.ByTime(600, 3600)));
    DutyCurve curve = circuit(steady).duty();
    double task = steady.duty().hardest().current();
    for (int k = 0; k < curve.size(); k++) {
      double moment = task * Math.min(1, Math.sqrt(12 / curve.seconds(k)));
      assertThat(curve.amperes(k)).isGreaterThanOrEqualTo(moment - 1e-9);
      if (k > 0) {
        assertThat(curve.amperes(k)).isLessThanOrEqualTo(curve.amperes(k - 1) + 1e-9);
      }
    }
  }

  /** Minutes through parts rated for ten seconds, and a task harder than the moment entered. */
  @Test
  void longMomentsAndPeaksOfTheTaskAreJudged() {
    Design long1 =
        barrow.withDuty(
            barrow.duty().withHardest(barrow.duty().hardest().withCurrent(85).withDuration(180)));
    assertThat(row(long1, "connector.current").exceeded()).isTrue();
    assertThat(row(long1, "connector.current").seconds()).isGreaterThan(60);
    Design task =
        barrow.withDuty(
            barrow
                .duty()
                .withMachine(barrow.duty().machine().withPeakCurrent(300))
                .withTask(new Task.ByTime(7000, 60))
                .withHardest(barrow.duty().hardest().withCurrent(10).withDuration(1)));
    assertThat(row(task, "connector.current").state()).isEqualTo(State.RUNNING);
    assertThat(row(task, "connector.current").exceeded()).isTrue();
  }

  /**
   * 27 Ah · 0.9 less the weakest group's shortfall, over 8 mA, 0.2 mA and 2 % in 30 days at 30 °C.
   */
  @Test
  void standingDaysByHand() {
    Design d =
        Samples.withGuard(barrow, g -> g.withMainSwitch(null))
            .withPack(barrow.pack().withLot(Lot.MIXED));
    double weakest = 1 - 0.03 * Math.sqrt(2 * Math.log(13) / 6);
    double left = 27 * 3600 * (0.9 - (1 - weakest));
    double self = 27 * 3600 * 0.02 / (30 * 86400.0) * Math.pow(2, 0.5);
    double seconds = left / (8e-3 + 0.2e-3 + self);
    assertThat(row(d, "pack.days").value()).isCloseTo(seconds, within(1e-6 * seconds));
    // With the main switch open the machine draws nothing.
    assertThat(row(barrow, "pack.days").value()).isGreaterThan(1.5 * seconds);
  }

  @Test
  void whoStandsBehindWhomIsSaid() {
    assertThat(row(barrow, "cell.overload").protector())
        .contains("BMS above 90 A", "60 A fuse", "sensor");
    Design fused =
        Samples.withGuard(
            barrow, g -> g.withFusing(new Fusing.MainAndCells(g.fuse().orElseThrow(), 15)));
    assertThat(row(fused, "lead.length").protector()).contains("cell fuses");
    Design bare = Samples.withGuard(barrow, g -> g.withFusing(new Fusing.BmsOnly()));
    assertThat(row(bare, "wire.overload").protector()).isEqualTo("BMS above 90 A");
  }

  /** Leads, plugs and switch that two packs share are protected only when both fuses open. */
  @Test
  void whatTwoPacksShareIsProtectedByBothFusesTogether() {
    Design d = with(Joining.PARALLEL);
    Stress shared = row(d, "sharedWire.overload");
    assertThat(shared.protector()).isEqualTo("each pack's 60 A fuse");
    assertThat(shared.value()).isGreaterThan(90);
    assertThat(shared.exceeded()).isTrue();
  }

  @Test
  void aSmallerBmsDelayNeverLetsMoreThrough() {
    Design slow = Samples.withBms(barrow, b -> b.withOverCurrentDelay(20));
    Design quick = Samples.withBms(barrow, (Bms b) -> b.withOverCurrentDelay(0.5));
    assertThat(row(quick, "cell.overload").measure().margin())
        .isGreaterThanOrEqualTo(row(slow, "cell.overload").measure().margin());
  }

  /** Every row has a place, a state, a unit and a source; nothing is not a number. */
  @Test
  void rowsAreWholeForAnyDesign() {
    for (long seed = 0; seed < 120; seed++) {
      for (Stress s : circuit(SoundDesigns.of(seed)).stresses()) {
        assertThat(s.value()).as(s.id()).isNotNaN();
        assertThat(s.limit()).as(s.id()).isFinite();
        assertThat(s.source()).as(s.id()).isNotBlank();
        assertThat(s.measure().margin()).as(s.id()).isFinite();
      }
    }
  }
}
