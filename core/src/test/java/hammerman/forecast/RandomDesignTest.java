package hammerman.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.cell.CellType;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.duty.Drive;
import hammerman.duty.Duty;
import hammerman.duty.Machine;
import hammerman.duty.Segment;
import hammerman.duty.Task;
import hammerman.duty.Task.ByLog.LogStep;
import hammerman.duty.Vehicle;
import hammerman.finding.Derivation;
import hammerman.finding.Finding;
import hammerman.guard.Bms;
import hammerman.guard.ChargePlan;
import hammerman.guard.Fuse;
import hammerman.guard.FuseClass;
import hammerman.guard.Fusing;
import hammerman.guard.Guard;
import hammerman.guard.Precharge;
import hammerman.guard.Protection;
import hammerman.pack.Assembly;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Cooling;
import hammerman.pack.Lot;
import hammerman.pack.Pack;
import hammerman.pack.Strip;
import hammerman.project.Project;
import hammerman.project.ProjectDocument;
import hammerman.project.Shipped;
import hammerman.project.UnreadableProject;
import hammerman.simulation.Run;
import hammerman.simulation.Trace;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Whatever people type, the forecast stands: nothing throws, nothing is NaN, energy is conserved.
 */
class RandomDesignTest {
  private static final int DESIGNS = 60;

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5})
  void everyDesignHasASaneForecast(long seed) {
    Random random = new Random(seed);
    for (int k = 0; k < DESIGNS; k++) {
      Design design = design(random);
      Forecast f = Forecast.of(design);
      check(f.duty());
      check(f.onward());
      assertThat(f.onward().endTime()).isGreaterThanOrEqualTo(f.duty().endTime() - 1e-6);
      assertThat(f.thermal().settled())
          .isGreaterThanOrEqualTo(design.duty().surroundings().hottestInUse());
      assertThat(f.charge().endSoc()).isBetween(0.0, 1.0);
      assertThat(f.life().yearsLow()).isLessThanOrEqualTo(f.life().years());
      assertThat(f.life().years()).isLessThanOrEqualTo(f.life().yearsHigh());
      assertThat(f.life().calendarShare()).isBetween(0.0, 1.0);
      for (Headline h : Headline.values()) {
        Derivation d = Workings.of(h, f);
        assertThat(d.toString()).doesNotContain("NaN", "Infinity", "∞");
      }
      for (Finding j : f.judgements()) {
        assertThat(j.why() + j.fix() + j.title())
            .as(j.id())
            .doesNotContain("NaN", "∞", "%s", "null");
      }
    }
  }

  /**
   * Of any design: with more in parallel it never sags more; the colder the less far; the warmer it
   * is stored the shorter it lives; a charge in the cold is never the quicker.
   */
  @ParameterizedTest
  @ValueSource(longs = {31, 32, 33})
  void whatNeverHelpsNeverHelps(long seed) {
    Random random = new Random(seed);
    for (int k = 0; k < 25; k++) {
      Design design = design(random).withSecond(null);
      Forecast f = Forecast.of(design);
      Forecast wider =
          Forecast.of(design.withPack(design.pack().withParallel(design.pack().parallel() + 1)));
      for (int s = 0; s < f.chain().sag().size(); s++) {
        assertThat(wider.chain().sag().get(s).settled())
            .as("%s wider", design.pack().counts())
            .isGreaterThanOrEqualTo(f.chain().sag().get(s).settled() - 1e-9);
      }
      var air = design.duty().surroundings();
      double colder = Math.max(233.15, air.coldestInUse() - 8);
      Forecast cold =
          Forecast.of(
              design.withDuty(design.duty().withSurroundings(air.withColdestInUse(colder))));
      assertThat(cold.reach().coldest().endTime())
          .as("%s colder", design.pack().counts())
          .isLessThanOrEqualTo(f.reach().coldest().endTime() * (1 + 1e-6));
      Forecast warm =
          Forecast.of(
              design.withDuty(
                  design
                      .duty()
                      .withSurroundings(
                          air.withHottestStored(Math.min(343.15, air.hottestStored() + 5)))));
      assertThat(warm.life().years()).isLessThanOrEqualTo(f.life().years() * (1 + 1e-9));
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {11, 12})
  void everyDesignSurvivesTheFile(long seed) throws UnreadableProject {
    Random random = new Random(seed);
    for (int k = 0; k < DESIGNS; k++) {
      Project project = Shipped.starter().withDesign(design(random));
      byte[] once = ProjectDocument.bytes(project);
      byte[] twice = ProjectDocument.bytes(ProjectDocument.parse(once, "random"));
      assertThat(new String(twice, StandardCharsets.UTF_8))
          .isEqualTo(new String(once, StandardCharsets.UTF_8));
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {21, 22})
  void everyFieldHoldsTheChosenSquare(long seed) {
    Random random = new Random(seed);
    for (int k = 0; k < 8; k++) {
      Design design = design(random);
      StackField field = StackField.of(design, Assembly.estimated(design.pack()));
      assertThat(field.squares()).hasSize(field.columns() * field.rows());
      assertThat(field.at(design.pack().series(), design.pack().parallel())).isPresent();
    }
  }

  private static void check(Run run) {
    Run.Totals t = run.totals();
    assertThat(run.endSoc()).isBetween(0.0, 1.0);
    assertThat(Double.isFinite(t.energyOut() + t.cellHeat() + t.pathHeat() + t.chemical()))
        .isTrue();
    assertThat(t.cellHeat()).isGreaterThanOrEqualTo(-1e-6 * Math.abs(t.chemical()));
    if (Math.abs(t.chemical()) > 3600) {
      assertThat(t.imbalance()).isCloseTo(0, within(1e-3));
    }
    double before = -1;
    for (int k = 0; k < run.trace().size(); k++) {
      double time = run.trace().at(Trace.Channel.TIME, k);
      assertThat(time).isGreaterThanOrEqualTo(before);
      before = time;
    }
  }

  private static double from(Random r, double low, double high) {
    return low * Math.pow(high / low, r.nextDouble());
  }

  private static <T> T one(Random r, List<T> of) {
    return of.get(r.nextInt(of.size()));
  }

  private static Design design(Random r) {
    CellType cell = one(r, Shipped.cells().cells());
    int series = 1 + r.nextInt(24);
    Pack pack =
        new Pack(
            cell,
            series,
            1 + r.nextInt(20),
            new Strip(
                one(r, List.of(ConductorMaterial.values())),
                from(r, 0.05e-3, 1e-3),
                from(r, 2e-3, 30e-3),
                1 + r.nextInt(3),
                r.nextInt(4) == 0 ? 0.1e-3 : 0),
            one(r, List.of(Cooling.values())),
            one(r, List.of(Lot.values())));
    return new Design(
        duty(r, pack),
        pack,
        guard(r, pack),
        r.nextInt(3) == 0 ? Samples.second(one(r, List.of(SecondPack.Joining.values()))) : null,
        null,
        null);
  }

  private static Duty duty(Random r, Pack pack) {
    double full = pack.fullVoltage();
    Duty base = Samples.barrow().duty();
    double peak = from(r, 1, 200);
    Machine machine =
        new Machine(
            "m",
            full * (0.3 + 0.6 * r.nextDouble()),
            full * (0.95 + r.nextDouble()),
            peak / 2,
            peak,
            r.nextDouble() * peak,
            from(r, 1e-5, 1e-2),
            from(r, 1e-6, 0.1),
            r.nextBoolean() ? Drive.TYPICAL : null);
    double coldest = 253.15 + 40 * r.nextDouble();
    return base.withMachine(machine)
        .withTask(task(r, full * peak / 3))
        .withHardest(base.hardest().withCurrent(from(r, 1, 200)).withDuration(from(r, 0.5, 120)))
        .withSurroundings(
            base.surroundings()
                .withColdestInUse(253.15)
                .withHottestInUse(coldest + 25 * r.nextDouble()));
  }

  private static Task task(Random r, double watts) {
    return switch (r.nextInt(4)) {
      case 0 -> new Task.ByTime(from(r, 0.1, Math.max(1, watts)), from(r, 60, 40_000));
      case 1 -> new Task.ByDistance(from(r, 100, 50_000), from(r, 10, 300), from(r, 0.5, 8));
      case 2 -> {
        List<LogStep> steps = new ArrayList<>();
        steps.add(new LogStep(from(r, 1, 900), from(r, 1, Math.max(2, watts)), 1));
        for (int k = r.nextInt(30); k > 0; k--) {
          steps.add(new LogStep(from(r, 0.5, 900), (r.nextDouble() - 0.3) * watts, r.nextDouble()));
        }
        yield new Task.ByLog("log", Task.ByLog.Quantity.POWER, steps, 1 + r.nextInt(3));
      }
      default -> {
        List<Segment> segments = new ArrayList<>();
        segments.add(segment(from(r, 1, Math.max(2, watts)), from(r, 5, 900), 1));
        for (int k = r.nextInt(5); k > 0; k--) {
          segments.add(
              segment((r.nextDouble() - 0.3) * watts, from(r, 5, 900), r.nextDouble() * 3));
        }
        segments.add(Segment.Template.DESCENT.segment());
        yield new Task.ByRound(Vehicle.TYPICAL, segments, 1 + r.nextInt(6));
      }
    };
  }

  private static Segment segment(double watts, double seconds, double speed) {
    return new Segment(
        "part", speed, new Segment.Extent.Lasting(seconds), new Segment.Effort.Given(watts));
  }

  private static Guard guard(Random r, Pack pack) {
    CellType cell = pack.cell();
    Bms bms =
        new Bms(
            pack.series(),
            from(r, 5, 200),
            from(r, 10, 400),
            from(r, 0.1, 20),
            from(r, 1, 50),
            cell.cutOffVoltage() + 0.2 * r.nextDouble(),
            cell.fullVoltage() + 0.05,
            from(r, 1e-3, 20e-3),
            from(r, 20, 200),
            new Bms.Balance(Bms.Balance.Kind.PASSIVE, r.nextInt(3) * 0.05),
            r.nextInt(3),
            from(r, 1e-5, 1e-2));
    Protection protection =
        one(
            r,
            List.of(
                new Protection.DischargePath(bms),
                new Protection.ChargeOnly(bms),
                new Protection.None()));
    Guard base = Samples.barrow().guard();
    double volts =
        pack.series()
            * (cell.cutOffVoltage() + r.nextDouble() * (cell.fullVoltage() - cell.cutOffVoltage()));
    return base.withProtection(protection)
        .withCharge(
            new ChargePlan(
                volts,
                from(r, 0.1, 50),
                one(r, List.of(ChargePlan.Kind.values())),
                0.02 * r.nextDouble()))
        .withFusing(fusing(r))
        .withPrecharge(r.nextBoolean() ? new Precharge(from(r, 1, 2000), from(r, 0.5, 50)) : null)
        .withMainSwitch(r.nextBoolean() ? base.mainSwitch() : null)
        .withWiring(
            base.wiring()
                .withWire(base.wiring().wire().withArea(from(r, 0.5e-6, 70e-6)))
                .withConnectorPairs(r.nextInt(4))
                .withLeads(base.wiring().leads().scaled(from(r, 0.1, 5))));
  }

  private static Fusing fusing(Random r) {
    Fuse fuse = new Fuse(one(r, List.of(FuseClass.values())), from(r, 1, 300), from(r, 12, 400));
    return one(
        r,
        List.of(
            new Fusing.MainFuse(fuse),
            new Fusing.MainAndCells(fuse, from(r, 1, 50)),
            new Fusing.BmsOnly()));
  }
}
