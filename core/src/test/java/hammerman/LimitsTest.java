package hammerman;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowable;

import hammerman.cell.CellFormat;
import hammerman.duty.Load;
import hammerman.duty.Machine;
import hammerman.duty.Segment;
import hammerman.duty.Task;
import hammerman.duty.Vehicle;
import hammerman.guard.Bms;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Strip;
import hammerman.project.Project;
import hammerman.project.Shipped;
import hammerman.unit.InvalidValue;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

/** Every record refuses what it cannot hold, and says which field, which value, which limit. */
class LimitsTest {
  private record Refusal(String field, String value, Runnable make) {}

  private static final Machine MACHINE = Samples.barrow().duty().machine();
  private static final Bms BMS = Samples.barrow().guard().protection().bms().orElseThrow();
  private static final Segment SEGMENT =
      new Segment("part", 1, new Segment.Extent.Lasting(60), new Segment.Effort.Given(100));

  private static Task round(Segment segment, int rounds) {
    return new Task.ByRound(Vehicle.TYPICAL, List.of(segment), rounds);
  }

  private static final Project PROJECT = Shipped.terraceBarrow();

  private static List<Refusal> refusals() {
    var duty = Samples.barrow().duty();
    var guard = Samples.barrow().guard();
    var pack = Samples.barrow().pack();
    return List.of(
        new Refusal("Machine maximum voltage", "41 V", () -> MACHINE.withMaximumVoltage(41)),
        new Refusal(
            "Machine maximum voltage",
            "not a number",
            () -> MACHINE.withMaximumVoltage(Double.NaN)),
        new Refusal("Machine cut-out voltage", "−1 V", () -> MACHINE.withCutOutVoltage(-1)),
        new Refusal("Machine peak current", "0 A", () -> MACHINE.withPeakCurrent(0)),
        new Refusal("Current at full effort", "6000 A", () -> MACHINE.withFullEffortCurrent(6000)),
        new Refusal("Regeneration current", "−2 A", () -> MACHINE.withRegenerationCurrent(-2)),
        new Refusal("Machine name", "empty", () -> MACHINE.withName("  ")),
        new Refusal("Machine name", "201 characters long", () -> MACHINE.withName("x".repeat(201))),
        new Refusal("Power", "0 W", () -> new Task.ByTime(0, 60)),
        new Refusal("Duration", "0 h", () -> new Task.ByTime(10, 0)),
        new Refusal("Distance", "0 km", () -> new Task.ByDistance(0, 50, 1)),
        new Refusal("Time for the distance", "h", () -> new Task.ByDistance(1e7, 50, 0.02)),
        new Refusal(
            "Segment duration", "0 s", () -> SEGMENT.withExtent(new Segment.Extent.Lasting(0))),
        new Refusal("Segment speed", "−3.6 km/h", () -> SEGMENT.withSpeed(-1)),
        new Refusal(
            "Round",
            "without a segment",
            () -> round(SEGMENT.withEffort(new Segment.Effort.Given(-5)), 1)),
        new Refusal(
            "Segments in the round", "0", () -> new Task.ByRound(Vehicle.TYPICAL, List.of(), 1)),
        new Refusal("Rounds", "0", () -> round(SEGMENT, 0)),
        new Refusal(
            "Time for all rounds",
            "h",
            () -> round(SEGMENT.withExtent(new Segment.Extent.Lasting(6 * 86400)), 9)),
        new Refusal("Current at the hardest moment", "0 A", () -> duty.hardest().withCurrent(0)),
        new Refusal("Length of the hardest moment", "0 s", () -> duty.hardest().withDuration(0)),
        new Refusal("Hottest in use", "7 °C", () -> duty.surroundings().withHottestInUse(280.15)),
        new Refusal(
            "Hottest in storage", "−60 °C", () -> duty.surroundings().withHottestStored(213.15)),
        new Refusal("Storage state of charge", "101 %", () -> duty.habits().withStorageSoc(1.01)),
        new Refusal("End of life", "100 %", () -> duty.habits().withEndOfLife(1)),
        new Refusal("Mass limit", "0 kg", () -> duty.bounds().withMass(0.0)),
        new Refusal("Series count", "251", () -> pack.withCounts(251, 1)),
        new Refusal("Parallel count", "501", () -> pack.withCounts(1, 501)),
        new Refusal("Strip thickness", "0.01 mm", () -> pack.strip().withSize(0.01e-3, 8e-3)),
        new Refusal("Strip layers", "0", () -> pack.strip().withLayers(0)),
        new Refusal(
            "Strip width", "0.1 mm", () -> Strip.plain(ConductorMaterial.BRASS, 1e-3, 0.1e-3, 1)),
        new Refusal("BMS over-voltage", "2 V", () -> BMS.withVoltages(2.8, 2)),
        new Refusal("BMS continuous current", "0 A", () -> BMS.withContinuousCurrent(0)),
        new Refusal("BMS over-current delay", "−1 s", () -> BMS.withTrip(50, -1)),
        new Refusal("BMS series count", "0", () -> BMS.withSeries(0)),
        new Refusal("Charge voltage", "0 V", () -> guard.charge().withVoltage(0)),
        new Refusal("Charge current", "0 A", () -> guard.charge().withCurrent(0)),
        new Refusal("Fuse rating", "0 A", () -> guard.withFuse(f -> f.withRating(0))),
        new Refusal("Wire cross-section", "0 mm²", () -> guard.wiring().wire().withArea(0)),
        new Refusal(
            "Insulation limit", "49 °C", () -> guard.wiring().wire().withInsulationLimit(322.15)),
        new Refusal("Connector pairs", "−1", () -> guard.wiring().withConnectorPairs(-1)),
        new Refusal("Cell diameter", "1 mm", () -> new CellFormat.Cylinder(1e-3, 65e-3)),
        new Refusal("Cell thickness", "0.1 mm", () -> new CellFormat.Block(0.1, 1e-4, 0.1, true)),
        new Refusal("Project name", "empty", () -> PROJECT.withName("")),
        new Refusal("Active variant", "3", () -> PROJECT.withActive(3)));
  }

  @TestFactory
  Stream<DynamicTest> impossibleValuesAreRefused() {
    return refusals().stream()
        .map(
            r ->
                DynamicTest.dynamicTest(
                    r.field() + " " + r.value(),
                    () -> {
                      Throwable thrown = catchThrowable(() -> r.make().run());
                      assertThat(thrown).isInstanceOf(InvalidValue.class);
                      assertThat(((InvalidValue) thrown).field()).isEqualTo(r.field());
                      // Field and value, then the limit, then the cure as a sentence of its own.
                      String value = r.value().replace("−1", "[−-]1");
                      assertThat(thrown.getMessage())
                          .matches(
                              "(?s)"
                                  + Pattern.quote(r.field())
                                  + " is .*"
                                  + value
                                  + ".*; .+\\. .+\\.");
                    }));
  }

  @Test
  void aLoadCannotBeEmpty() {
    assertThat(catchThrowable(() -> new Load(new ArrayList<>(), 1)))
        .isInstanceOf(IllegalArgumentException.class);
    assertThat(catchThrowable(() -> Load.current(1, 1).withRounds(0)))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
