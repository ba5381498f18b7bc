package hammerman.chain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.cell.CellCircuit;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.duty.Machine;
import hammerman.duty.Moment;
import hammerman.duty.Segment;
import hammerman.duty.Task;
import hammerman.duty.Task.ByLog;
import hammerman.guard.ChargePlan;
import hammerman.guard.Protection;
import hammerman.pack.Assembly;
import hammerman.unit.Reference;
import java.util.List;
import java.util.Objects;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The figures of the design point, each from its parts by hand. */
class DesignPointTest {
  private static final Design BARROW = Samples.barrow();
  private static final double COLD = 281.15;

  private static Design asked(ByLog.Quantity quantity, List<ByLog.LogStep> steps, Moment hardest) {
    return BARROW.withDuty(
        BARROW.duty().withTask(new ByLog("by hand", quantity, steps, 1)).withHardest(hardest));
  }

  private static Design asked(List<ByLog.LogStep> currents, Moment hardest) {
    return asked(ByLog.Quantity.CURRENT, currents, hardest);
  }

  private static ByLog.LogStep step(double value, double seconds) {
    return new ByLog.LogStep(seconds, value, 0);
  }

  private static Design machine(UnaryOperator<Machine> change) {
    return BARROW.withDuty(BARROW.duty().withMachine(change.apply(BARROW.duty().machine())));
  }

  @Test
  void theSagIsWhatEachResistanceTakes() {
    Chain c = Chain.of(BARROW);
    CellCircuit cell = new CellCircuit(BARROW.pack().cell());
    double outside =
        Assembly.estimated(BARROW.pack()).stripResistance(COLD) + BARROW.guard().resistance(COLD);
    assertThat(c.sag()).extracting(SagPoint::soc).containsExactly(1.0, 0.5, 0.2, 0.1);
    for (SagPoint p : c.sag()) {
      double rested = 13 * BARROW.pack().cell().openCircuit().value(p.soc());
      assertThat(p.current()).as("the hardest moment's").isEqualTo(55);
      assertThat(p.ohmic())
          .isCloseTo(rested - 55 * (13 * cell.ohmic(p.soc(), COLD) / 6 + outside), within(1e-9));
      assertThat(p.tenSeconds())
          .isCloseTo(rested - 55 * (13 * cell.r10(p.soc(), COLD) / 6 + outside), within(1e-9));
      assertThat(p.settled())
          .isCloseTo(rested - 55 * (13 * cell.settled(p.soc(), COLD) / 6 + outside), within(1e-9));
    }
    assertThat(groupVoltage(c, 0.5, COLD))
        .isCloseTo(
            BARROW.pack().cell().openCircuit().value(0.5) - 55 * cell.r10(0.5, COLD) / 6,
            within(1e-12));
  }

  /** 20 A for ten minutes, 40 A for eight seconds, then idle: every window by hand. */
  @Test
  void continuousAndTenSecondCurrentsAreTheHeaviestWindows() {
    Chain c =
        Chain.of(
            asked(List.of(step(20, 600), step(40, 8), step(0, 600)), new Moment("none", 30, 5)));
    double continuous = Math.sqrt((20 * 20 * 592 + 40 * 40 * 8) / 600.0);
    double ten = Math.sqrt((40 * 40 * 8 + 20 * 20 * 2) / 10.0);
    assertThat(c.demand().continuous()).isCloseTo(continuous, within(1e-9));
    assertThat(c.demand().tenSeconds())
        .as("30 A for 5 s is none of it")
        .isCloseTo(ten, within(1e-9));
    assertThat(c.demand().peak()).isEqualTo(30);
    assertThat(c.demand().peakDuration()).isEqualTo(5);
    assertThat(c.curve(3600).heaviest(1208))
        .isCloseTo(Math.sqrt((20 * 20 * 600 + 40 * 40 * 8) / 1208.0), within(1e-9));
  }

  /** A moment of ten seconds or more counts in the ten-second figure, a shorter one does not. */
  @ParameterizedTest
  @CsvSource({"50, 10, 50", "50, 9.9, 20", "15, 30, 20", "50, 60, 50"})
  void theHardestMomentCountsWhenItLasts(double amperes, double seconds, double tenSeconds) {
    Chain c = Chain.of(asked(List.of(step(20, 700)), new Moment("pull", amperes, seconds)));
    assertThat(c.demand().tenSeconds()).isCloseTo(tenSeconds, within(1e-9));
  }

  /** The machine lets no more through than it can, and gives back what pack and BMS take. */
  @Test
  void currentsAreHeldToWhatTheMachineLetsThrough() {
    Moment pull = new Moment("pull", 20, 5);
    double back = BARROW.guard().allowedRegeneration(15);
    assertThat(back).isPositive().isLessThanOrEqualTo(15);
    assertThat(continuous(asked(List.of(step(90, 700), step(-40, 700)), pull)))
        .as("its peak current")
        .isCloseTo(60, within(1e-9));
    assertThat(continuous(asked(List.of(step(0.001, 1), step(-40, 700)), pull)))
        .isCloseTo(back, within(1e-9));
    ByLog.Quantity power = ByLog.Quantity.POWER;
    assertThat(continuous(asked(power, List.of(step(0.001, 1), step(-5000, 700)), pull)))
        .isCloseTo(back, within(1e-9));
    assertThat(continuous(asked(power, List.of(step(1e5, 700)), pull))).isCloseTo(60, within(1e-9));
  }

  private static double continuous(Design d) {
    return Chain.of(d).demand().continuous();
  }

  /** The charger's voltage is the rested one there and what its last current drops on the way. */
  @ParameterizedTest
  @CsvSource({"54.6, 6", "52.0, 6", "53.3, 12", "50.7, 2"})
  void theChargeEndsWhereTheLastCurrentMeetsTheVoltage(double volts, double amperes) {
    Design d =
        Samples.withGuard(
            BARROW, g -> g.withCharge(g.charge().withVoltage(volts).withCurrent(amperes)));
    Chain c = Chain.of(d);
    double soc = c.ceiling();
    double kelvin = c.chargingAir();
    double last = ChargePlan.TAPER_END * amperes;
    CellCircuit cell = new CellCircuit(d.pack().cell());
    double path =
        13 * cell.settled(soc, kelvin) / 6
            + Assembly.estimated(d.pack()).stripResistance(kelvin)
            + d.guard().chargingPath();
    assertThat(13 * cell.openCircuit(soc) + last * path).isCloseTo(volts, within(2e-3));
    assertThat(soc).isBetween(0.5, 1.0);
  }

  @Test
  void aChargeIsForecastInAirThatTheCellBears() {
    Chain c = Chain.of(BARROW);
    var air = BARROW.duty().surroundings();
    assertThat(c.chargingAir()).isEqualTo(air.coldestCharging());
    assertThat(c.usualChargingAir()).isEqualTo((air.coldestCharging() + air.hottestCharging()) / 2);
    Design frost =
        BARROW.withDuty(
            BARROW
                .duty()
                .withSurroundings(air.withColdestCharging(253.15).withHottestCharging(263.15)));
    double least = BARROW.pack().cell().temperatures().chargeLowest();
    assertThat(Chain.of(frost).chargingAir()).isEqualTo(least).isGreaterThan(263.15);
    assertThat(Chain.of(frost).usualChargingAir()).isEqualTo(least);
  }

  /** With the machine's cut-out low the BMS cuts first; without a BMS the cell's own limit. */
  @Test
  void theFloorIsTheHighestOfWhatCutsOff() {
    Design low = machine(m -> m.withCutOutVoltage(20.0));
    Floor bms = Chain.of(low).floor();
    double cutOff = BARROW.guard().protection().inDischargePath().orElseThrow().cutOffVoltage();
    assertThat(bms.who()).isEqualTo(Floor.Who.BMS);
    assertThat(bms.who().words()).isEqualTo("the BMS");
    assertThat(bms.limit()).isEqualTo(cutOff);
    assertThat(groupVoltage(Chain.of(low), bms.soc(), COLD)).isCloseTo(cutOff, within(1e-4));
    Design none = Samples.withGuard(low, g -> g.withProtection(new Protection.None()));
    Floor cell = Chain.of(none).floor();
    assertThat(cell.who()).isEqualTo(Floor.Who.CELL);
    assertThat(cell.who().words()).isEqualTo("the cell's own cut-off");
    assertThat(cell.limit()).isEqualTo(BARROW.pack().cell().cutOffVoltage());
    assertThat(groupVoltage(Chain.of(none), cell.soc(), COLD))
        .isCloseTo(cell.limit(), within(1e-4));
  }

  @Test
  void theFloorLiesBetweenEmptyAndFull() {
    Design gentle =
        machine(m -> m.withCutOutVoltage(20.0))
            .withDuty(
                machine(m -> m.withCutOutVoltage(20.0))
                    .duty()
                    .withHardest(new Moment("nothing", 0.5, 5)));
    assertThat(Chain.of(gentle).floor().soc()).as("never met").isZero();
    Design mad = BARROW.withDuty(BARROW.duty().withHardest(new Moment("all", 900, 5)));
    assertThat(Chain.of(mad).floor().soc()).as("not even full").isEqualTo(1);
    assertThat(Chain.of(mad).lowest()).as("at most half").isEqualTo(0.5);
    double reach = new CellCircuit(BARROW.pack().cell()).reachable(COLD);
    assertThat(reach).isBetween(0.9, 0.99);
    assertThat(Chain.of(gentle).lowest()).as("what the cold keeps").isEqualTo(1 - reach);
  }

  /** The second pack has its own groups: the weaker of both decides. */
  @Test
  void withTwoPacksTheFirstGroupToCutOffIsTheFloor() {
    Design low = machine(m -> m.withCutOutVoltage(15.0));
    SecondPack worn = Samples.second(Joining.SERIES);
    Floor two = Chain.of(low.withSecond(worn)).floor();
    Floor one = Chain.of(low).floor();
    assertThat(two.soc()).isGreaterThan(one.soc());
    CellCircuit cell = new CellCircuit(worn.pack().cell());
    double each = 55.0 / worn.pack().parallel();
    assertThat(cell.openCircuit(two.soc()) - each * cell.r10(two.soc(), COLD))
        .isCloseTo(two.limit(), within(1e-4));
  }

  @Test
  void theFuseWindowHasTheDutyBelowAndTheWireAbove() {
    Chain c = Chain.of(BARROW);
    assertThat(c.fuseWindow().lower()).isGreaterThanOrEqualTo(c.demand().continuous() / 0.75);
    double hottest = BARROW.duty().surroundings().hottestInUse();
    assertThat(c.fuseWindow().upper()).isEqualTo(BARROW.guard().wiring().wire().ampacity(hottest));
    assertThat(c.fuseWindow().empty()).isFalse();
    assertThat(new FuseWindow(40, 40).empty()).isFalse();
    assertThat(new FuseWindow(40.1, 40).empty()).isTrue();
  }

  /** Two like packs in parallel: each fuse carries half. */
  @Test
  void eachOfTwoPacksFusesItsOwnShare() {
    Design d = asked(List.of(step(30, 700)), new Moment("pull", 30, 5));
    SecondPack twin = new SecondPack(d.pack(), d.guard(), Joining.PARALLEL, 1, 1);
    double alone = Chain.of(d).fuseWindow().lower();
    assertThat(Chain.of(d.withSecond(twin)).fuseWindow().lower())
        .isCloseTo(alone / 2, within(0.02 * alone));
  }

  @Test
  void rewiredKeepsWhatIsAsked() {
    Chain c = Chain.of(BARROW);
    Chain thick = c.rewired(Samples.withWire(BARROW, w -> w.withArea(35e-6)).guard());
    assertThat(thick.demand()).isEqualTo(c.demand());
    assertThat(thick.floor()).isEqualTo(c.floor());
    assertThat(thick.fuseWindow()).isEqualTo(c.fuseWindow());
    assertThat(thick.path().outside(COLD)).isLessThan(c.path().outside(COLD));
    assertThat(thick.supply().first().resistance(0.5, COLD, Path.Settling.OHMIC))
        .isLessThan(c.supply().first().resistance(0.5, COLD, Path.Settling.OHMIC));
    assertThat(thick.design().guard().wiring().wire().area()).isEqualTo(35e-6);
  }

  /** 60 rpm a volt is 2π rad/s a volt; 36 to 1, 0.4 m wheel. */
  @Test
  void speedsComeFromTheRestedVoltage() {
    Chain c = Chain.of(BARROW);
    Speeds s = Speeds.of(c).orElseThrow();
    double perVolt = 60 * 2 * Math.PI / 60 / 36 * 0.2;
    var ocv = BARROW.pack().cell().openCircuit();
    assertThat(s.full()).isCloseTo(perVolt * 13 * ocv.value(c.ceiling()), within(1e-9));
    assertThat(s.middle()).isCloseTo(perVolt * 13 * ocv.value(0.5), within(1e-9));
    assertThat(s.nearlyEmpty()).isCloseTo(perVolt * 13 * ocv.value(0.1), within(1e-9));
    assertThat(s.perGroup()).isCloseTo(perVolt * ocv.value(0.5), within(1e-9));
    assertThat(Speeds.of(Chain.of(machine(m -> m.withDrive(null))))).isEmpty();
  }

  @Test
  void thePullIsThatOfTheMotorHeldStill() {
    Chain c = Chain.of(BARROW);
    Pull p = Pull.of(c).orElseThrow();
    double volts = 13 * BARROW.pack().cell().openCircuit().value(0.5);
    assertThat(p.volts()).isCloseTo(volts, within(1e-9));
    assertThat(p.stall()).isCloseTo(volts / 0.15, within(1e-9));
    assertThat(p.current()).as("its controller's limit").isEqualTo(60);
    double torque = (60 - 1.2) / (2 * Math.PI) * 36;
    assertThat(p.torque()).isCloseTo(torque, within(1e-9));
    double best = Math.sqrt(volts * 1.2 / 0.15);
    assertThat(p.bestCurrent()).isCloseTo(best, within(1e-9));
    assertThat(p.bestEfficiency())
        .isCloseTo((volts - best * 0.15) * (best - 1.2) / (volts * best), within(1e-12))
        .isBetween(0.6, 0.95);
    // The heaviest load on the round stands on the slope that the wheel's force just holds.
    Task.ByRound round = (Task.ByRound) BARROW.duty().task();
    double heaviest = 0;
    for (var s : round.segments()) {
      if (s.effort() instanceof Segment.Effort.Worked w) {
        heaviest = Math.max(heaviest, w.load());
      }
    }
    assertThat(heaviest).isPositive();
    double force = torque / 0.2;
    double angle = Math.atan(p.slope().orElseThrow());
    if (Double.isFinite(p.slope().orElseThrow())) {
      assertThat((95 + heaviest) * 9.81 * (Math.sin(angle) + 0.045 * Math.cos(angle)))
          .isCloseTo(force, within(1e-6 * force));
    } else {
      assertThat(force).isGreaterThan((95 + heaviest) * 9.81);
    }
    assertThat(Pull.of(Chain.of(machine(m -> m.withDrive(null))))).isEmpty();
    Design bare = machine(m -> m.withDrive(Objects.requireNonNull(m.drive()).withMotor(null)));
    assertThat(Pull.of(Chain.of(bare))).isEmpty();
    Design timed = BARROW.withDuty(BARROW.duty().withTask(new Task.ByTime(300, 3600)));
    assertThat(Pull.of(Chain.of(timed)).orElseThrow().slope()).isEmpty();
  }

  /** What flows when two rested packs are joined: the gap over both resistances. */
  @ParameterizedTest
  @EnumSource(Joining.class)
  void joinedDirectlyTheGapDrivesTheCurrent(Joining joining) {
    SecondPack s = Samples.second(joining);
    Chain c = Chain.of(BARROW.withSecond(s));
    Junction j = Junction.of(c).orElseThrow();
    var ocv = BARROW.pack().cell().openCircuit();
    double a = 13 * ocv.value(s.firstSoc());
    double b = 13 * s.pack().cell().openCircuit().value(s.soc());
    double ohms =
        13 * new CellCircuit(BARROW.pack().cell()).ohmic(s.firstSoc(), Reference.ROOM) / 6
            + 13 * new CellCircuit(s.pack().cell()).ohmic(s.soc(), Reference.ROOM) / 4
            + Assembly.estimated(BARROW.pack()).stripResistance(Reference.ROOM)
            + Assembly.estimated(s.pack()).stripResistance(Reference.ROOM)
            + BARROW.guard().own(Reference.ROOM)
            + s.guard().own(Reference.ROOM);
    assertThat(j.first()).isCloseTo(a, within(1e-9));
    assertThat(j.other()).isCloseTo(b, within(1e-9));
    assertThat(j.gap()).isCloseTo(Math.abs(a - b), within(1e-9)).isPositive();
    assertThat(j.resistance()).isCloseTo(ohms, within(1e-9));
    assertThat(j.current()).isCloseTo(Math.abs(a - b) / ohms, within(1e-6));
    assertThat(j.limit())
        .as("the one that is charged: the second, of four, rests lower")
        .isCloseTo(
            4 * Math.min(s.pack().cell().currents().fastCharge(), s.pack().strip().ampacity()),
            within(1e-9));
    assertThat(j.allowedGap()).isCloseTo(j.limit() * ohms, within(1e-9));
    assertThat(Junction.of(Chain.of(BARROW))).isEmpty();
  }

  @Test
  void theLowerPackIsTheOneThatIsCharged() {
    SecondPack fuller = Samples.second(Joining.PARALLEL).withSoc(1).withFirstSoc(0.3);
    Junction j = Junction.of(Chain.of(BARROW.withSecond(fuller))).orElseThrow();
    assertThat(j.other()).isGreaterThan(j.first());
    assertThat(j.gap()).isPositive();
    assertThat(j.limit())
        .isCloseTo(
            6
                * Math.min(
                    BARROW.pack().cell().currents().fastCharge(), BARROW.pack().strip().ampacity()),
            within(1e-9));
  }

  @Test
  void aBranchEndsItsChargeAtItsOwnVoltage() {
    Supply s = Chain.of(BARROW.withSecond(Samples.second(Joining.SERIES))).supply();
    for (Supply.Branch b : s.branches()) {
      double volts = b.guard().charge().voltage() / b.pack().series();
      assertThat(b.circuit().openCircuit(b.ceiling())).isCloseTo(volts, within(2e-3));
      assertThat(b.highest())
          .isEqualTo(Math.max(b.guard().charge().voltage(), b.pack().fullVoltage()));
    }
  }

  /** Laid out in its box a pack's strips are those of the layout, at the current it then has. */
  @Test
  void theLayoutCarriesTheContinuousCurrent() {
    LaidOut laid = LaidOut.of(BARROW);
    Layout.Solved solved = laid.solved().orElseThrow();
    assertThat(solved.network().current()).isEqualTo(laid.chain().demand().continuous());
    assertThat(laid.chain().path().assembly().stripResistance(313.15))
        .isNotEqualTo(Assembly.estimated(BARROW.pack()).stripResistance(313.15));
    Layout other = solved.layout().at(3);
    assertThat(other.solved().orElseThrow().network().current()).isEqualTo(3);
    assertThat(LaidOut.of(BARROW.withFit(null)).layout()).isEmpty();
    assertThat(LaidOut.of(BARROW.withFit(null)).chain().demand())
        .isEqualTo(Chain.of(BARROW.withFit(null)).demand());
  }

  /** Voltage of a group under the hardest moment, after 10 s. */
  private static double groupVoltage(Chain c, double soc, double kelvin) {
    Path path = c.path();
    return path.circuit().openCircuit(soc)
        - 55 * path.circuit().r10(soc, kelvin) / c.design().pack().parallel();
  }
}
