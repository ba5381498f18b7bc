package hammerman.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import hammerman.Samples;
import hammerman.cell.CellLibrary;
import hammerman.cell.CellType;
import hammerman.cell.CycleLife;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.duty.Task;
import hammerman.fit.Arrangement;
import hammerman.fit.FitPlan;
import hammerman.fit.Grouping;
import hammerman.guard.ChargePlan;
import hammerman.guard.Fusing;
import hammerman.guard.Guard;
import hammerman.guard.Protection;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Conductors;
import hammerman.pack.Lot;
import hammerman.pack.MatchedCells;
import hammerman.pack.TakeOff;
import hammerman.project.UnreadableProject.Reason;
import hammerman.readymade.HardStart;
import hammerman.readymade.ReadyMade;
import hammerman.readymade.ReadyMadeUse;
import hammerman.sort.RejectRules;
import hammerman.sort.SortPlan;
import hammerman.unit.QuantityText;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.node.ObjectNode;

class ProjectDocumentTest {
  @TempDir Path folder;

  private static String demo() {
    return new String(ProjectDocument.bytes(Shipped.terraceBarrow()), StandardCharsets.UTF_8);
  }

  private static UnreadableProject refusal(String document) {
    return refusal(document.getBytes(StandardCharsets.UTF_8));
  }

  private static UnreadableProject refusal(byte[] bytes) {
    try {
      ProjectDocument.parse(bytes, "pack.hammerman");
    } catch (UnreadableProject e) {
      assertThat(e.getMessage()).contains("pack.hammerman").doesNotContain("\n", "Exception");
      return e;
    }
    throw new AssertionError("was read");
  }

  @Test
  void whatIsWrittenIsReadBackTheSame() throws IOException {
    Project project =
        Shipped.terraceBarrow()
            .plusVariant("Copper, no BMS, thick wire")
            .withDesign(
                Samples.withGuard(
                        Samples.withWire(
                            Samples.barrow(), w -> w.withArea(QuantityText.awgArea(6))),
                        g ->
                            g.withProtection(new Protection.None())
                                .withLocked(Guard.Part.WIRE, true)
                                .withFusing(new Fusing.BmsOnly()))
                    .withSecond(Samples.second(SecondPack.Joining.DIODES))
                    .withPack(
                        Samples.barrow()
                            .pack()
                            .withStrip(
                                Samples.barrow()
                                    .pack()
                                    .strip()
                                    .withMaterial(ConductorMaterial.COPPER)))
                    .withDuty(
                        Samples.barrow()
                            .duty()
                            .withBounds(Samples.barrow().duty().bounds().withMass(null))
                            .withTask(new Task.ByDistance(12_000, 90, 1.2))));
    Project again = ProjectDocument.parse(ProjectDocument.bytes(project), "again");
    assertThat(new String(ProjectDocument.bytes(again), StandardCharsets.UTF_8))
        .isEqualTo(new String(ProjectDocument.bytes(project), StandardCharsets.UTF_8));
    assertThat(again.variants()).hasSize(2);
    assertThat(again.variant().guard().protection()).isInstanceOf(Protection.None.class);
    assertThat(again.duty().bounds().mass()).isNull();
  }

  /** A cycle life goes through a table; what the usual test leaves open may be left out. */
  @Test
  void aCycleLifeGoesThroughATable(@TempDir Path folder) throws Exception {
    CellType told =
        Samples.cell("f32700").withCycleLife(CycleLife.USUAL.withCycles(3000).withLeft(0.75));
    Path file = folder.resolve("cells.csv");
    CellFile.save(new CellLibrary(List.of(told, Samples.cell("b21700"))), file);
    assertThat(CellFile.read(file).cells())
        .extracting(CellType::cycleLife)
        .containsExactly(told.cycleLife(), null);
    String sparse = Files.readString(file).replace(",3000,75,100,1,25", ",1500,,,,");
    Files.writeString(file, sparse);
    assertThat(CellFile.read(file).cells().getFirst().cycleLife())
        .isEqualTo(CycleLife.USUAL.withCycles(1500));
  }

  @Test
  void shippedProjectsAndSavedOnesFollowTheSchema() throws IOException, UnreadableProject {
    Schema schema =
        SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
            .getSchema(Files.readString(Path.of("../docs/project.schema.json")), InputFormat.JSON);
    assertThat(schema.validate(demo(), InputFormat.JSON)).isEmpty();
    assertThat(
            schema.validate(
                Files.readString(Path.of("../examples/terrace-barrow.json")), InputFormat.JSON))
        .isEmpty();
    assertThat(
            schema.validate(demo().replace("\"series\" : 13", "\"series\" : -1"), InputFormat.JSON))
        .isNotEmpty();
    assertThat(
            schema.validate(
                new String(ProjectDocument.bytes(Shipped.starter()), StandardCharsets.UTF_8),
                InputFormat.JSON))
        .isEmpty();
    Project full = Shipped.example(Shipped.Example.DARK_SKY_BOX);
    Design d =
        full.design()
            .withSecond(Samples.second(SecondPack.Joining.DIODES))
            .withReadyMade(
                new ReadyMadeUse(
                    new ReadyMade(Samples.cell("p18650"), 10, 2, 40, 0.05, 2.6),
                    new HardStart(0.25, 0.4, 8, 0, 30.0)));
    d = d.withCell(d.pack().cell().withCycleLife(CycleLife.USUAL.withCycles(3000)));
    MatchedCells cells = Samples.cells(4, 2);
    String unmeasured = cells.all().get(3).label();
    d = d.withMatched(cells.assuming(Set.of(unmeasured)));
    SortPlan sorting =
        SortPlan.USUAL
            .withMostRatio(1.5)
            .withRules(RejectRules.USUAL.withLeastCapacity(1.8).withDeviations(null));
    Project sorted = full.withDesign(d).withSorting(sorting);
    String written = new String(ProjectDocument.bytes(sorted), StandardCharsets.UTF_8);
    assertThat(schema.validate(written, InputFormat.JSON)).isEmpty();
    Project read = ProjectDocument.parse(ProjectDocument.bytes(sorted), "sorted");
    assertThat(read.sortPlan()).isEqualTo(sorting);
    assertThat(read.design().pack().matched().orElseThrow().withoutCapacity())
        .containsExactly(unmeasured);
  }

  @Test
  void emptyRandomAndForeignFilesAreRefused() {
    assertThat(refusal(new byte[0]).reason()).isEqualTo(Reason.EMPTY);
    byte[] noise = new byte[4096];
    new Random(3).nextBytes(noise);
    assertThat(refusal(noise).reason()).isEqualTo(Reason.NOT_A_PROJECT);
    assertThat(refusal("{\"format\": \"something else\"}").reason())
        .isEqualTo(Reason.NOT_A_PROJECT);
    assertThat(refusal("[1, 2]").reason()).isEqualTo(Reason.NOT_A_PROJECT);
    byte[] zipNoise = Arrays.copyOf(noise, 4096);
    zipNoise[0] = 'P';
    zipNoise[1] = 'K';
    assertThat(refusal(zipNoise).reason()).isIn(Reason.NOT_A_PROJECT, Reason.DAMAGED);
  }

  /** A file as a format had it, kept from its time. */
  private static byte[] kept(int format) {
    String name = "format-" + format + ".json";
    try (var in = Objects.requireNonNull(ProjectDocumentTest.class.getResourceAsStream(name))) {
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Test
  void aKeptFileOfEveryEarlierFormatIsReadAndWrittenAsOfNow() throws Exception {
    for (int format = 1; format < ProjectDocument.VERSION; format++) {
      Project read = ProjectDocument.parse(kept(format), "format " + format);
      assertThat(ProjectDocument.parse(ProjectDocument.bytes(read), "anew")).isEqualTo(read);
    }
  }

  @Test
  void aDocumentOfTheFirstFormatIsRead() throws UnreadableProject {
    ObjectNode document = (ObjectNode) JsonMapping.MAPPER.readTree(kept(1));
    ObjectNode fit = (ObjectNode) document.path("project").path("variants").get(0).path("fit");
    fit.putArray("swaps").addObject().put("first", 1).put("second", 2);
    byte[] bytes = document.toString().getBytes(StandardCharsets.UTF_8);
    FitPlan read =
        Objects.requireNonNull(ProjectDocument.parse(bytes, "old").variants().getFirst().fit());
    assertThat(read.boxes()).hasSize(1);
    assertThat(read.boxes().getFirst().depth()).isCloseTo(0.082, within(1e-12));
    assertThat(read.boxes().getFirst().keepOuts()).hasSize(1);
    assertThat(read.packing().gap()).isCloseTo(5e-4, within(1e-12));
    assertThat(read.conductors()).isEqualTo(Conductors.USUAL.withTakeOff(TakeOff.ONE_CELL));
    assertThat(read.byHand()).isNull();
  }

  @Test
  void aDocumentOfTheSecondFormatIsRead() throws UnreadableProject {
    Project p = ProjectDocument.parse(kept(2), "old");
    Guard g = p.variant().guard();
    assertThat(g.chargePort().wire().area()).isCloseTo(1.5e-6, within(1e-12));
    assertThat(g.chargePort().length()).isCloseTo(0.4, within(1e-12));
    assertThat(g.chargePort().fuse()).isNull();
    assertThat(g.charge().kind()).isEqualTo(ChargePlan.Kind.LITHIUM);
    assertThat(p.variant().pack().lot()).isEqualTo(Lot.ONE_BATCH);
    SecondPack s = Objects.requireNonNull(p.variant().second());
    assertThat(s.guard().own(293.15)).isCloseTo(8e-3, within(2e-4));
    assertThat(s.guard().protection().bms().orElseThrow().mosfetVoltage()).isEqualTo(80);
    assertThat(s.guard().charge().voltage()).isCloseTo(54.6, within(1e-9));
    assertThat(p.variant().reasonFor("machine.floor")).contains("the ramp is short");
  }

  @Test
  void whatWasArrangedByHandIsKept() throws IOException {
    Project p = Shipped.terraceBarrow();
    FitPlan plan = Objects.requireNonNull(p.variant().fit());
    Grouping g = Arrangement.of(plan, p.variant().pack()).grouping().orElseThrow();
    FitPlan moved =
        plan.arranged(g.exchanged(3, 4))
            .withLock(2, true)
            .withConductors(plan.conductors().with(3, p.variant().pack().strip().withSteel(1e-4)));
    byte[] written = ProjectDocument.bytes(p.withDesign(p.design().withFit(moved)));
    assertThat(ProjectDocument.parse(written, "moved").variant().fit()).isEqualTo(moved);
  }

  @Test
  void aNewerVersionIsRefusedKindly() {
    UnreadableProject e = refusal(demo().replace("\"version\" : 3", "\"version\" : 9"));
    assertThat(e.reason()).isEqualTo(Reason.NEWER);
    assertThat(e.getMessage()).contains("format 9", "up to 3");
  }

  @Test
  void aDamagedDocumentSaysWhereAndWhatCouldBeRead() {
    String document = demo();
    UnreadableProject e = refusal(document.substring(0, document.indexOf("\"habits\"")));
    assertThat(e.reason()).isEqualTo(Reason.DAMAGED);
    assertThat(e.getMessage()).contains("line", "name", "notes", "left as it is");
  }

  /** The container of the versions up to 3. */
  private static byte[] container(String entry, byte[] document) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      zip.putNextEntry(new ZipEntry(entry));
      zip.write(document);
      zip.closeEntry();
    }
    return bytes.toByteArray();
  }

  @Test
  void aContainerOfEarlierVersionsIsReadAndATruncatedOneIsDamaged() throws IOException {
    byte[] whole = container("project.json", ProjectDocument.bytes(Shipped.terraceBarrow()));
    assertThat(ProjectDocument.parse(whole, "old")).isEqualTo(Shipped.terraceBarrow());
    assertThat(refusal(Arrays.copyOf(whole, whole.length / 2)).reason()).isEqualTo(Reason.DAMAGED);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          "series" : 13, "parallel"        | "series" : -1, "parallel"        | Series count is -1
          "series" : 13, "parallel"        | "series" : 1000000000, "parallel"| Series count is 1000000000
          "cutOutVoltage_V" : 41           | "cutOutVoltage_V" : NaN          | damaged
          "cutOutVoltage_V" : 41           | "cutOutVoltage_V" : "NaN"        | cutOutVoltage_V
          "cutOutVoltage_V" : 41           | "cutOutVoltage_V" : 1e999        | not a number
          "cutOutVoltage_V" : 41           | "cutOutVoltage_V" : null         | cutOutVoltage_V is null
          "cutOutVoltage_V" : 41           | "cutOutVolts" : 41               | “cutOutVoltage_V” is missing
          "cutOutVoltage_V" : 41           | "cutOutVoltage_V" : 41, "colour": 1 | “colour” is not known
          "cutOutVoltage_V" : 41,          |                                  | cutOutVoltage_V
          "chemistry" : "NMC"              | "chemistry" : "XYZ"              | XYZ
          "kind" : "byRound"               | "kind" : "byMagic"               | byMagic
          "active" : 0                     | "active" : 7                     | Active variant is 7
          "active" : 0                     | "active" : 0.9                   | a whole number
          "cutOutVoltage_V" : 41           | "cutOutVoltage_V" : "41"         | A number is needed
          "cutOutVoltage_V" : 41           | "cutOutVoltage_V" : [41]         | A number is needed
          "kind" : "byRound"               | "kind" : "byRond"                | one of byTime, byDistance
          "chemistry" : "NMC"              | "chemistry" : "nmc"              | one of NMC, NCA
          "rating_A" : 60                  | "rating_A" : -60                 | Fuse rating is −60 A
          """)
  void badValuesAreNamedWithTheirPlace(String good, String bad, String said) {
    String document = demo().replaceAll("\\s+", " ");
    assertThat(document).contains(good);
    UnreadableProject e = refusal(document.replace(good, bad == null ? "" : bad));
    assertThat(e.getMessage()).contains(said);
  }

  @Test
  void aMissingCellIsNamed() {
    String document = demo().replaceAll("(?s)\"cell\" : \\{.*?\"source\" : \"[^\"]*\"\\s*\\},", "");
    assertThat(refusal(document).getMessage()).contains("cell", "missing");
  }

  @Test
  void containersWithUnknownPartsAreNotOpenedOnlyToLoseThem() throws IOException {
    assertThat(refusal(container("tables/run.csv", new byte[3])).getMessage())
        .contains("tables/run.csv");
  }

  @Test
  void theStarterLibraryHoldsFifteenGenericCells() {
    assertThat(Shipped.cells().cells()).hasSize(15);
    assertThat(Shipped.cells().cells()).allSatisfy(c -> assertThat(c.source()).isNotBlank());
    assertThat(Samples.cell("t21700").r10()).isCloseTo(0.0065, within(1e-12));
  }

  @Test
  void cellsGoOutAndComeBack() throws IOException, UnreadableProject {
    var cells = Shipped.cells();
    for (String name : new String[] {"cells.json", "cells.csv"}) {
      Path file = folder.resolve(name);
      CellFile.save(cells, file);
      var back = CellFile.read(file).cells();
      assertThat(back).hasSameSizeAs(cells.cells());
      for (int k = 0; k < back.size(); k++) {
        assertThat(back.get(k).toString()).isEqualTo(cells.cells().get(k).toString());
      }
    }
  }

  @Test
  void aTableOfCellsWithASlipIsRefusedWithItsLine() throws IOException {
    Path file = folder.resolve("cells.csv");
    CellFile.save(Shipped.cells(), file);
    String text = Files.readString(file);
    Files.writeString(file, text.replaceFirst("cylinder", "star"));
    assertThatThrownBy(() -> CellFile.read(file))
        .isInstanceOf(UnreadableProject.class)
        .hasMessageContaining("line 2")
        .hasMessageContaining("star");
  }
}
