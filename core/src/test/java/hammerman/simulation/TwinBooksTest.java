package hammerman.simulation;

import static hammerman.Samples.last;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.cell.CellCircuit;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.duty.Load;
import hammerman.pack.Assembly;
import hammerman.pack.Pack;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.EnumSource.Mode;

/** Two packs by hand: what each gives at a moment, and what the books say of it. */
class TwinBooksTest {
  private static final double INSTANT = 1e-3;

  private final Design barrow = Samples.barrow();
  private final double kelvin = barrow.duty().surroundings().hottestInUse();
  private final double outer = barrow.guard().shared(kelvin);

  /** The first pack when full and the second at 98 %: voltage, V, and resistance, Ω, of either. */
  private final Pack other = Samples.second(Joining.PARALLEL).pack();

  private final double e1 = 13 * barrow.pack().cell().openCircuit().value(1);
  private final double e2 = 13 * other.cell().openCircuit().value(0.98);
  private final double r1 = ohmic(barrow.pack(), 1, kelvin) + barrow.guard().own(kelvin);
  private final double r2 = ohmic(other, 0.98, kelvin) + 3e-3;

  private TwinRun run(Joining joining, double soc, Load load) {
    return run(barrow, Samples.second(joining).withSoc(soc), load);
  }

  private static TwinRun run(Design first, SecondPack second, Load load) {
    Design d = first;
    if (second.joining() == Joining.SERIES) {
      d = d.withDuty(d.duty().withMachine(d.duty().machine().withMaximumVoltage(130)));
    }
    return Samples.together(d, second, load);
  }

  private static double ohmic(Pack p, double soc, double kelvin) {
    return 13 * new CellCircuit(p.cell()).ohmic(soc, kelvin) / p.parallel()
        + Assembly.estimated(p).stripResistance(kelvin);
  }

  private static double voltage(TwinRun run) {
    return last(run.both(), Trace.Channel.VOLTAGE);
  }

  private static double current(TwinRun run) {
    return last(run.both(), Trace.Channel.CURRENT);
  }

  /** E of each behind its R, both behind what the two share; diodes take 0.4 V of either. */
  @ParameterizedTest
  @EnumSource(Joining.class)
  void theVoltageAtTheMachineByHand(Joining joining) {
    double first = (e1 - e2 + 30 * r2) / (r1 + r2);
    double wanted =
        switch (joining) {
          case SERIES -> e1 + e2 - 30 * (r1 + r2 + outer);
          case PARALLEL -> e1 - first * r1 - 30 * outer;
          case DIODES -> e1 - first * r1 - 30 * outer - 0.4;
          case SWITCH_OVER -> e1 - 30 * (r1 + outer);
        };
    TwinRun run = run(joining, 0.98, Load.current(30, INSTANT));
    assertThat(voltage(run)).isCloseTo(wanted, within(1e-3));
  }

  /** Where one pack lies far below, the other carries all, through its diode. */
  @Test
  void theLowerPackRestsBehindItsDiode() {
    TwinRun run = run(Joining.DIODES, 0.5, Load.current(30, INSTANT));
    assertThat(voltage(run)).isCloseTo(e1 - 30 * (r1 + outer) - 0.4, within(1e-3));
    assertThat(run.first().run().trace().at(Trace.Channel.CURRENT, 0)).isEqualTo(30);
    assertThat(run.second().run().trace().at(Trace.Channel.CURRENT, 0)).isZero();
    SecondPack fuller = Samples.second(Joining.DIODES).withFirstSoc(0.5);
    TwinRun turned = run(barrow, fuller, Load.current(30, INSTANT));
    assertThat(turned.first().run().trace().at(Trace.Channel.CURRENT, 0)).isZero();
    assertThat(turned.second().run().trace().at(Trace.Channel.CURRENT, 0)).isEqualTo(30);
  }

  @ParameterizedTest
  @EnumSource(Joining.class)
  void aPowerIsVoltageByCurrentAtTheMachine(Joining joining) {
    TwinRun run = run(joining, 0.98, Load.power(1100, INSTANT));
    assertThat(voltage(run) * current(run)).isCloseTo(1100, within(0.05));
  }

  /** What two packs share warms neither of them, nor do the diodes. */
  @ParameterizedTest
  @EnumSource(Joining.class)
  void whatTheySharesHeatIsInTheBooksOfBoth(Joining joining) {
    TwinRun run = run(joining, 0.98, Load.current(20, 90));
    double drop = joining == Joining.DIODES ? 0.4 * 20 : 0;
    double own = run.first().run().totals().heat() + run.second().run().totals().heat();
    assertThat(run.both().totals().heat() - own).isCloseTo((400 * outer + drop) * 90, within(1e-6));
    assertThat(run.first().run().totals().chemical() + run.second().run().totals().chemical())
        .isCloseTo(run.both().totals().chemical(), within(1e-6));
    assertThat(run.both().extremes().peakTemperature())
        .isEqualTo(
            Math.max(
                run.first().run().extremes().peakTemperature(),
                run.second().run().extremes().peakTemperature()))
        .isGreaterThan(kelvin);
    assertThat(run.first().peak())
        .isCloseTo(joining == Joining.PARALLEL || joining == Joining.DIODES ? 14 : 20, within(4.0));
  }

  @ParameterizedTest
  @EnumSource(value = Joining.class, names = "DIODES", mode = Mode.EXCLUDE)
  void drivingBrakingAndTheWayAreBooked(Joining joining) {
    Load load =
        new Load(
            List.of(
                new Load.Step(new Load.Current(20), 60, 2),
                new Load.Step(new Load.Current(-2), 30, 3),
                new Load.Step(new Load.Current(0), 10, 0)),
            2);
    TwinRun run = run(barrow, Samples.second(joining).withFirstSoc(0.8).withSoc(0.8), load);
    Run.Totals totals = run.both().totals();
    assertThat(totals.delivered()).isCloseTo(2 * 20 * 60 / 3600.0, within(1e-9));
    assertThat(totals.regenerated()).isCloseTo(2 * 2 * 30 / 3600.0, within(1e-9));
    assertThat(totals.distance()).isCloseTo(2 * (120 + 90), within(1e-9));
    assertThat(totals.withheld()).isZero();
    assertThat(totals.refused()).isZero();
    double volts = run.both().trace().at(Trace.Channel.VOLTAGE, 30);
    assertThat(totals.energyOut()).isCloseTo(2 * 20 * 60 * volts, within(0.01 * 2400 * volts));
    assertThat(totals.energyBack()).isCloseTo(2 * 2 * 30 * volts, within(0.04 * 120 * volts));
    assertThat(run.both().endTime()).isCloseTo(200, within(1e-9));
    assertThat(run.first().back()).isCloseTo(joining == Joining.PARALLEL ? 1.2 : 2, within(0.9));
  }

  /** A limit withholds what is asked beyond it; diodes refuse all that is pushed back. */
  @Test
  void whatIsWithheldAndRefusedIsBooked() {
    double most = barrow.duty().machine().peakCurrent();
    TwinRun run = run(Joining.PARALLEL, 0.98, Load.current(most + 20, 2));
    assertThat(run.both().extremes().peakCurrent()).isEqualTo(most);
    assertThat(run.both().totals().withheld())
        .isCloseTo(20 * voltage(run) * 2, within(0.01 * 40 * voltage(run)));
    double back = barrow.guard().allowedRegeneration(barrow.duty().machine().regenerationCurrent());
    SecondPack half = Samples.second(Joining.PARALLEL).withFirstSoc(0.6).withSoc(0.6);
    TwinRun braked = run(barrow, half, Load.current(-back - 10, 2));
    assertThat(braked.both().totals().regenerated()).isCloseTo(back * 2 / 3600, within(1e-9));
    assertThat(braked.both().totals().refused())
        .isCloseTo(10 * voltage(braked) * 2, within(0.01 * 20 * voltage(braked)));
    TwinRun diodes = run(Joining.DIODES, 0.6, Load.current(-5, 2));
    assertThat(diodes.both().totals().regenerated()).isZero();
    assertThat(diodes.both().totals().refused())
        .isCloseTo(5 * voltage(diodes) * 2, within(0.01 * 10 * voltage(diodes)));
    assertThat(diodes.first().back()).isZero();
  }

  /** The end lies in its step where the voltage meets the cut-out, to the hundredth of a mV. */
  @ParameterizedTest
  @EnumSource(Joining.class)
  void theCutOutIsFoundWithinItsStep(Joining joining) {
    double cutOut = joining == Joining.SERIES ? 92.0 : 47.0;
    Design early =
        barrow.withDuty(
            barrow
                .duty()
                .withMachine(
                    barrow.duty().machine().withMaximumVoltage(130).withCutOutVoltage(cutOut)));
    SecondPack second = Samples.second(joining).withFirstSoc(0.7).withSoc(0.7);
    TwinRun run = run(early, second, Load.power(900, 4 * 3600));
    assertThat(run.both().outcome())
        .isInstanceOfSatisfying(
            Outcome.MachineCutOut.class,
            o -> assertThat(o.voltage()).isCloseTo(cutOut, within(2e-5)));
    assertThat(run.both().extremes().lowestVoltage()).isCloseTo(cutOut, within(2e-5));
    double part = run.both().endTime() % 1;
    assertThat(Math.min(part, 1 - part)).as("not at a whole second").isGreaterThan(1e-6);
    assertThat(run.both().endSoc())
        .isBetween(
            Math.min(run.first().run().endSoc(), run.second().run().endSoc()) - 1e-12,
            Math.max(run.first().run().endSoc(), run.second().run().endSoc()) + 1e-12);
    if (joining == Joining.SERIES) {
      assertThat(run.both().endSoc()).isEqualTo(run.second().run().endSoc());
    }
    if (joining == Joining.SWITCH_OVER) {
      assertThat(run.switchedAt()).isBetween(60.0, run.both().endTime() - 60);
      assertThat(last(run.first().run(), Trace.Channel.CURRENT)).isZero();
    }
  }

  /** The pack that opens last ends it, for its own reason and at its own time. */
  @ParameterizedTest
  @EnumSource(
      value = Joining.class,
      names = {"PARALLEL", "DIODES"})
  void theLastToOpenEndsIt(Joining joining) {
    Load load = Load.current(30, 60);
    SecondPack plain = Samples.second(joining);
    SecondPack weaker = tripping(plain, 20, 3);
    TwinRun run = run(Samples.withBms(barrow, b -> b.withTrip(10, 5)), weaker, load);
    assertThat(run.first().openedAt()).isCloseTo(5, within(1e-6));
    ends(run, 8, 20);
    TwinRun turned =
        run(Samples.withBms(barrow, b -> b.withTrip(25, 4)), tripping(plain, 5, 2), load);
    assertThat(turned.second().openedAt()).isCloseTo(2, within(1e-6));
    ends(turned, 6, 25);
  }

  private static SecondPack tripping(SecondPack pack, double amperes, double seconds) {
    return pack.withGuard(
        pack.guard()
            .withProtection(pack.guard().protection().withBms(b -> b.withTrip(amperes, seconds))));
  }

  private static void ends(TwinRun run, double seconds, double limit) {
    assertThat(run.both().endTime()).isCloseTo(seconds, within(1e-6));
    assertThat(run.both().outcome())
        .isInstanceOfSatisfying(
            Outcome.OverCurrent.class,
            o -> {
              assertThat(o.current()).isCloseTo(30, within(1e-9));
              assertThat(o.threshold()).isEqualTo(limit);
            });
    assertThat(run.both().totals().delivered()).isCloseTo(30 * seconds / 3600, within(1e-9));
  }

  /** When one is open the other gives the whole power, seen from the machine. */
  @ParameterizedTest
  @EnumSource(
      value = Joining.class,
      names = {"PARALLEL", "DIODES"})
  void theOneThatIsLeftGivesThePower(Joining joining) {
    TwinRun run =
        run(
            Samples.withBms(barrow, b -> b.withTrip(5, 2)),
            Samples.second(joining),
            Load.power(700, 30));
    assertThat(run.first().openedAt()).isCloseTo(2, within(1e-6));
    assertThat(voltage(run) * current(run)).isCloseTo(700, within(0.2));
    assertThat(last(run.second().run(), Trace.Channel.CURRENT)).isEqualTo(current(run));
  }

  /**
   * Each stretch of a load in equal steps, its start beside its end; a long load in longer ones.
   */
  @Test
  void stepsAreEvenPartsOfAStretchAndLongLoadsTakeLongerOnes() {
    Trace brief = run(Joining.PARALLEL, 0.98, Load.current(5, 2.5)).both().trace();
    assertThat(brief.size()).isEqualTo(4);
    for (int k = 0; k < 4; k++) {
      assertThat(brief.at(Trace.Channel.TIME, k)).isCloseTo(2.5 * k / 3, within(1e-9));
    }
    TwinRun day = run(Joining.PARALLEL, 0.98, Load.current(0.2, 40_000));
    assertThat(day.both().endTime()).isCloseTo(40_000, within(1e-6));
    assertThat(day.both().trace().size()).isBetween(2_000, 2_500);
    assertThat(day.first().run().trace().size()).isEqualTo(day.both().trace().size());
  }

  /** The most that a source E behind R gives is E² / 4R. */
  @ParameterizedTest
  @EnumSource(Joining.class)
  void whatTheyCannotDeliverIsSaidWithTheMostTheyCan(Joining joining) {
    double beside = r1 * r2 / (r1 + r2);
    double between = (e1 / r1 + e2 / r2) * beside;
    double most =
        switch (joining) {
          case SERIES -> Math.pow(e1 + e2, 2) / (4 * (r1 + r2 + outer));
          case PARALLEL -> between * between / (4 * (beside + outer));
          case DIODES -> Math.pow(between - 0.4, 2) / (4 * (beside + outer));
          case SWITCH_OVER -> e1 * e1 / (4 * (r1 + outer));
        };
    TwinRun run = run(joining, 0.98, Load.power(1e5, 10));
    assertThat(run.both().outcome())
        .isInstanceOfSatisfying(
            Outcome.CannotDeliver.class,
            o -> {
              assertThat(o.demand()).isEqualTo(1e5);
              assertThat(o.most()).isCloseTo(most, within(1e-6 * most));
            });
  }

  /** What begins below the cut-out ends before any time has gone by, with its voltage. */
  @Test
  void whatBeginsBelowTheCutOutEndsAtOnce() {
    Design early =
        barrow.withDuty(barrow.duty().withMachine(barrow.duty().machine().withCutOutVoltage(54.0)));
    TwinRun run = run(early, Samples.second(Joining.PARALLEL), Load.current(45, 60));
    assertThat(run.both().endTime()).isZero();
    assertThat(run.both().totals().delivered()).isZero();
    assertThat(run.both().outcome())
        .isInstanceOfSatisfying(
            Outcome.MachineCutOut.class,
            o -> {
              assertThat(o.voltage()).isLessThan(54.0);
              assertThat(run.both().extremes().lowestVoltage()).isEqualTo(o.voltage());
            });
    assertThat(run.both().extremes().peakCurrent()).isEqualTo(45);
  }
}
