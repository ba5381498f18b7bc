package hammerman.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.finding.Station;
import hammerman.project.Shipped;
import hammerman.record.Aside;
import hammerman.record.BayTest;
import hammerman.record.CalibrationRecord;
import hammerman.record.Fact;
import hammerman.record.Fact.Strike;
import hammerman.record.Incident;
import hammerman.record.InventoryCell;
import hammerman.record.Measured;
import hammerman.record.Measurement;
import hammerman.record.Measurement.Conditions;
import hammerman.record.Measurement.Origin;
import hammerman.record.Run;
import hammerman.record.Run.Channel;
import hammerman.record.RunCondition;
import hammerman.record.RunResult;
import hammerman.record.RunSheet;
import hammerman.record.StepRecord;
import hammerman.record.StepRecord.Verdict;
import hammerman.record.Subject;
import hammerman.record.Trace;
import hammerman.sort.CellSheet;
import hammerman.sort.MeasuredCell;
import hammerman.sort.SortPlan;
import hammerman.sort.Sorting;
import hammerman.sort.Stock;
import hammerman.sort.StockTable;
import hammerman.store.BuildBook.CellPlace;
import hammerman.telemetry.Quantity;
import hammerman.telemetry.Telemetry;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Facts: kept as they are found, struck out and never changed. */
class RecordsTest {
  private static final Instant NOON = Instant.parse("2026-06-01T12:00:00Z");

  @TempDir Path folder;
  private ProjectStore store;

  @BeforeEach
  void create() throws NotKept {
    store =
        ProjectStore.create(
            folder.resolve("a.hammerman"),
            DesignState.of(1, NOON, Station.DUTY, "New", Shipped.starter()),
            NOON);
  }

  @AfterEach
  void close() {
    store.close();
  }

  private static Measurement voltage(long cell, double volts) {
    return new Measurement(
        new Subject.Cell(cell),
        Measured.REST_VOLTAGE,
        volts,
        new Conditions(null, null, 298.0, 3600.0),
        "bench meter",
        Origin.TYPED);
  }

  @Test
  void anotherProjectTakesInWholeWhatOneWroteAsATable() throws Exception {
    InventoryCell known =
        new InventoryCell(
            "A1",
            "reclaimed",
            "7",
            "a neighbour",
            LocalDate.of(2026, 3, 31),
            0.9,
            "dented; warm",
            "a1.jpg");
    Inventory first = store.inventory();
    MeasuredCell a1 = new MeasuredCell("A1", 2.0135, 0.0583, 3.912, 1e-3 / 86400);
    first.take(
        List.of(
            new CellSheet.Row(a1, known), CellSheet.Row.of(MeasuredCell.of("A2", 1.987, 0.061))),
        true,
        "table",
        NOON);
    Path table = folder.resolve("cells.csv");
    StockTable.write(table, Sorting.of(first.stock(true), SortPlan.USUAL, 2.2, null));
    try (ProjectStore other =
        ProjectStore.create(
            folder.resolve("b.hammerman"),
            DesignState.of(1, NOON, Station.DUTY, "New", Shipped.starter()),
            NOON)) {
      other.inventory().take(CellSheet.read(table).rows(), true, "table", NOON);
      List<Stock.Cell> was = first.stock(true).cells();
      List<Stock.Cell> now = other.inventory().stock(true).cells();
      assertThat(now)
          .extracting(Stock.Cell::described)
          .isEqualTo(List.of(known, InventoryCell.labelled("A2")));
      for (int k = 0; k < was.size(); k++) {
        MeasuredCell m = was.get(k).measured();
        MeasuredCell read = now.get(k).measured();
        assertThat(
                new double[] {
                  read.capacity(), read.resistance(), read.voltage(), read.selfDischarge()
                })
            .containsExactly(
                new double[] {m.capacity(), m.resistance(), m.voltage(), m.selfDischarge()},
                within(1e-9));
      }
    }
  }

  @Test
  void cellsComeInPagesAndNoLabelTwice() throws Exception {
    Inventory inventory = store.inventory();
    inventory.add(
        IntStream.range(0, 250).mapToObj(k -> InventoryCell.labelled("C" + k)).toList(), NOON);
    assertThat(inventory.count()).isEqualTo(250);
    assertThat(inventory.cells(240, 50))
        .hasSize(10)
        .extracting(f -> f.value().label())
        .startsWith("C240");
    assertThatThrownBy(
            () ->
                inventory.add(
                    List.of(InventoryCell.labelled("new"), InventoryCell.labelled("C7")), NOON))
        .isInstanceOfSatisfying(
            NotKept.class, e -> assertThat(e.reason()).isEqualTo(NotKept.Reason.REFUSED));
    assertThat(inventory.count()).as("all or none").isEqualTo(250);
  }

  @Test
  void aCorrectionStrikesTheEarlierOutAndBothStay() throws Exception {
    Inventory inventory = store.inventory();
    long cell = inventory.add(List.of(InventoryCell.labelled("A1")), NOON).getFirst();
    long wrong = inventory.measure(List.of(voltage(cell, 3.61)), NOON).getFirst();
    inventory.correct(
        wrong, new Strike(NOON.plusSeconds(60), "read the wrong cell"), voltage(cell, 3.58));
    List<Fact<Measurement>> all = inventory.of(new Subject.Cell(cell));
    assertThat(all).hasSize(2);
    assertThat(all.get(0).counts()).isFalse();
    assertThat(all.get(0).strike().orElseThrow().reason()).isEqualTo("read the wrong cell");
    assertThat(all.get(0).value()).isEqualTo(voltage(cell, 3.61));
    assertThat(all.get(1).counts()).isTrue();
    assertThat(all.get(1).value().value()).isEqualTo(3.58);
    // A second striking out does not rewrite the first reason.
    inventory.strike(wrong, new Strike(NOON.plusSeconds(90), "another"));
    assertThat(inventory.of(new Subject.Cell(cell)).getFirst().strike().orElseThrow().reason())
        .isEqualTo("read the wrong cell");
    assertThatThrownBy(() -> voltage(cell, 12_000)).isInstanceOf(InvalidValue.class);
    assertThatThrownBy(() -> new Strike(NOON, " ")).isInstanceOf(InvalidValue.class);
  }

  @Test
  void stepsAreKeptAndAnOverrideNeedsItsReason() throws Exception {
    BuildBook book = store.buildBook();
    long id = book.record(new StepRecord("probe.7", 25.3, Verdict.WITHIN, ""), NOON);
    book.record(new StepRecord("weld.3", null, Verdict.OVERRIDDEN, "pulled by hand"), NOON);
    book.strike(id, new Strike(NOON, "meter was on AC"));
    assertThat(book.steps(0, 10)).hasSize(2).first().matches(f -> !f.counts());
    assertThat(book.steps(1, 10).getFirst().value().reason()).isEqualTo("pulled by hand");
    assertThatThrownBy(() -> new StepRecord("weld.3", null, Verdict.OVERRIDDEN, ""))
        .hasMessageContaining("an override needs one");
  }

  @Test
  void aCellIsInOnePlaceAndAPlaceHasOneCell() throws Exception {
    List<Long> cells =
        store
            .inventory()
            .add(List.of(InventoryCell.labelled("a"), InventoryCell.labelled("b")), NOON);
    BuildBook book = store.buildBook();
    book.place(
        List.of(new CellPlace(cells.get(0), 0, 0, 0), new CellPlace(cells.get(1), 0, 1, 0)), NOON);
    book.place(
        List.of(new CellPlace(cells.get(0), 0, 1, 0), new CellPlace(cells.get(1), 0, 0, 0)), NOON);
    assertThat(book.places())
        .containsExactly(
            new CellPlace(cells.get(1), 0, 0, 0), new CellPlace(cells.get(0), 0, 1, 0));
    assertThatThrownBy(() -> book.place(List.of(new CellPlace(cells.get(0), 0, 0, 0)), NOON))
        .isInstanceOf(NotKept.class);
    assertThat(book.places()).hasSize(2);
  }

  @Test
  void aLogIsKeptWholeAndDrawnFromItsPyramid() throws Exception {
    int n = 300_000;
    RunBook book = store.runBook();
    Run run =
        new Run(
            "Terraces",
            "",
            "log.csv",
            "",
            List.of(new Channel("t", "s"), new Channel("U", "V"), new Channel("odd", "")),
            RunSheet.NOTHING);
    long id = book.begin(run, 1L, NOON);
    SampleWriter writer = new SampleWriter(3, blocks -> book.append(id, blocks));
    for (int k = 0; k < n; k++) {
      writer.add(new double[] {0.1 * k, wave(k), k % 3 == 0 ? Double.NaN : -k});
    }
    assertThat(book.count()).as("not shown before it is whole").isZero();
    writer.finish();
    book.finish(id, writer.samples());
    assertThat(book.samples(id)).isEqualTo(n);
    assertThat(book.runs(0, 5).getFirst().value()).isEqualTo(run);
    assertThat(book.raw(id, 1, 12_345, 20_000)).hasSize(20_000).startsWith(wave(12_345));
    for (long[] window : new long[][] {{0, n}, {1000, 290_000}, {77_777, 78_900}, {5, 9}}) {
      for (int slots : new int[] {1, 10, 700}) {
        Trace t = book.trace(id, 1, window[0], window[1], slots);
        assertThat(t.size()).isLessThanOrEqualTo(17 * slots + 2);
        assertThat(t.from()).isLessThanOrEqualTo(window[0]);
        assertThat(t.from() + t.size() * t.perSlot()).isGreaterThanOrEqualTo(window[1]);
        for (int s = 0; s < t.size(); s += 1 + t.size() / 50) {
          double low = Double.POSITIVE_INFINITY;
          double high = Double.NEGATIVE_INFINITY;
          long first = t.from() + s * t.perSlot();
          for (long k = first; k < Math.min(n, first + t.perSlot()); k++) {
            low = Math.min(low, wave(k));
            high = Math.max(high, wave(k));
          }
          if (first + t.perSlot() <= window[1]) {
            assertThat(t.low(s)).isEqualTo(low);
            assertThat(t.high(s)).isEqualTo(high);
          }
        }
      }
    }
    Trace odd = book.trace(id, 2, 0, n, 100);
    assertThat(odd.high(0)).isEqualTo(-1);
    assertThat(book.trace(id, 2, 3, 4, 1).low(0)).isNaN();
  }

  private static double wave(long k) {
    return 50 + Math.sin(0.001 * k) + (k % 9973 == 0 ? -20 : 0);
  }

  @Test
  void aLogCutShortLeavesNothing() throws Exception {
    RunBook book = store.runBook();
    Run run = new Run("Cut", "", "", "", List.of(new Channel("t", "s")), RunSheet.NOTHING);
    long id = book.begin(run, null, NOON);
    SampleWriter writer = new SampleWriter(1, blocks -> book.append(id, blocks));
    for (int k = 0; k < 20_000; k++) {
      writer.add(new double[] {k});
    }
    book.removeUnfinished();
    assertThat(book.count()).isZero();
    assertThat(store.database().number("SELECT count(*) FROM block")).isZero();
    long good = book.begin(run, null, NOON);
    book.finish(good, 0);
    book.removeUnfinished();
    book.strike(good, new Strike(NOON, "the clock was wrong"));
    assertThat(book.runs(0, 1).getFirst().counts()).isFalse();
  }

  private static BayTest in(int bay, long cell) {
    return new BayTest(cell, bay, NOON.plusSeconds(3600), null, null);
  }

  @Test
  void aCellIsInOneBayAndABayHoldsOneCell() throws Exception {
    Inventory inventory = store.inventory();
    inventory.add(List.of(InventoryCell.labelled("A1"), InventoryCell.labelled("A2")), NOON);
    inventory.begin(List.of(in(1, 1)), NOON);
    assertThatThrownBy(() -> inventory.begin(List.of(in(2, 2), in(1, 1)), NOON))
        .isInstanceOf(NotKept.class);
    assertThatThrownBy(() -> inventory.begin(List.of(in(2, 1)), NOON)).isInstanceOf(NotKept.class);
    assertThat(inventory.tests()).as("all or none").hasSize(1);
    assertThat(inventory.tests().getFirst().value().isRunning()).isTrue();
  }

  @Test
  void aTestEndsOnceAndWhatItFoundCountsOnce() throws Exception {
    Inventory inventory = store.inventory();
    inventory.add(List.of(InventoryCell.labelled("A1")), NOON);
    long test = inventory.begin(List.of(in(1, 1)), NOON).getFirst();
    List<Measurement> found = List.of(voltage(1, 4.1));
    assertThat(inventory.end(test, new BayTest.Outcome.Measured(), found, NOON)).isTrue();
    assertThat(inventory.end(test, new BayTest.Outcome.Measured(), found, NOON)).isFalse();
    assertThat(inventory.of(new Subject.Cell(1))).hasSize(1);
    assertThat(inventory.tests().getFirst().value().outcome())
        .isEqualTo(new BayTest.Outcome.Measured());
    inventory.begin(List.of(in(1, 1)), NOON);
    assertThat(inventory.tests()).as("the bay is free again").hasSize(2);
  }

  @Test
  void howATestEndedIsKeptWithItsReason() throws Exception {
    Inventory inventory = store.inventory();
    List<BayTest.Outcome> outcomes =
        List.of(
            new BayTest.Outcome.Failed("no contact"),
            new BayTest.Outcome.BrokenOff(),
            new BayTest.Outcome.Measured());
    inventory.add(List.of(InventoryCell.labelled("A1")), NOON);
    for (BayTest.Outcome o : outcomes) {
      long test = inventory.begin(List.of(in(1, 1)), NOON).getFirst();
      assertThat(inventory.end(test, o, List.of(), NOON)).isTrue();
      assertThat(inventory.end(test, new BayTest.Outcome.Failed("again"), List.of(), NOON))
          .isFalse();
    }
    assertThat(inventory.tests()).extracting(t -> t.value().outcome()).isEqualTo(outcomes);
  }

  @Test
  void aTableFillsInWhatIsNotKnownAndLeavesWhatIs() throws Exception {
    Inventory inventory = store.inventory();
    InventoryCell typed = InventoryCell.labelled("A1").withNotes("dented");
    inventory.add(List.of(typed), NOON);
    InventoryCell other = typed.withNotes("as new").withLot("7");
    CellSheet.Row row = new CellSheet.Row(MeasuredCell.of("A1", 2.01, Double.NaN), other);
    CellSheet.Row added = CellSheet.Row.of(MeasuredCell.of("A2", 2.0, Double.NaN));
    assertThat(inventory.take(List.of(row, added, row), false, "sheet", NOON)).isEqualTo(1);
    assertThat(inventory.cells(0, 9))
        .extracting(Fact::value)
        .containsExactly(typed.withLot("7"), InventoryCell.labelled("A2"));
    assertThat(inventory.of(new Subject.Cell(1))).as("the same figure counts once").hasSize(1);
  }

  @Test
  void aCellPutAsideComesBackWithAReasonAndBothStay() throws Exception {
    Inventory inventory = store.inventory();
    inventory.add(List.of(InventoryCell.labelled("A1")), NOON);
    long aside = inventory.setAside(new Aside(1, "dented"), NOON);
    inventory.takeBack(aside, new Strike(NOON, "it was another one"));
    assertThat(inventory.asides())
        .singleElement()
        .satisfies(
            a -> {
              assertThat(a.value().reason()).isEqualTo("dented");
              assertThat(a.counts()).isFalse();
            });
  }

  /** What is written down of a run comes back as it was, and so do scales and incidents. */
  @Test
  void whatRunsCameToComesBackAsItWas() throws Exception {
    RunSheet sheet =
        RunSheet.NOTHING
            .withFigure(RunCondition.AIR, 281.15)
            .withFigure(RunCondition.START_VOLTAGE, 54.2)
            .withWords(RunCondition.WIRE, "10 mm², as built")
            .withOwn("tyre “front”", "1.8 bar")
            .withResult(RunResult.ENERGY, 3.6e6)
            .withLog(List.of(new RunSheet.Holds("CURRENT", 2, Unit.MILLIAMPERE, true)));
    long typed = store.runBook().typed(Run.typed("Sunday", sheet), null, NOON);
    var back = store.runBook().runs(0, 1).getFirst();
    assertThat(back.id()).isEqualTo(typed);
    assertThat(back.value().sheet()).isEqualTo(sheet);
    assertThat(store.runBook().telemetry(back)).as("it has no log").isEmpty();
    store.runBook().describe(typed, back.value().withName("Monday").withNotes("it rained"));
    assertThat(store.runBook().runs(0, 1).getFirst().value().name()).isEqualTo("Monday");
    CalibrationRecord scale =
        new CalibrationRecord(
            CalibrationRecord.Scaled.CAPACITY, 0.93, 0.01, List.of(typed, 7L), false);
    store.proofBook().keep(List.of(scale), NOON);
    assertThat(store.proofBook().calibrations().getFirst().value()).isEqualTo(scale);
    Incident incident = new Incident(Incident.Kind.FUSE, typed, "on the ramp");
    long id = store.proofBook().keep(incident, NOON);
    store.proofBook().strikeIncident(id, new Fact.Strike(NOON, "it was the other fuse"));
    assertThat(store.proofBook().incidents().getFirst().value()).isEqualTo(incident);
    assertThat(store.proofBook().incidents().getFirst().counts()).isFalse();
  }

  /**
   * A log comes out of the file by its quantities, in the core's units and with discharge positive.
   */
  @Test
  void aLogComesBackByItsQuantities() throws Exception {
    RunSheet sheet =
        RunSheet.NOTHING.withLog(
            List.of(
                new RunSheet.Holds("VOLTAGE", 1, Unit.MILLIVOLT, false),
                new RunSheet.Holds("CURRENT", 2, Unit.AMPERE, true),
                new RunSheet.Holds("TEMPERATURE", 3, Unit.CELSIUS, false)));
    RunBook book = store.runBook();
    long id =
        book.begin(
            new Run(
                "Log",
                "",
                "",
                "",
                List.of(
                    new Channel("t", "s"),
                    new Channel("U", "mV"),
                    new Channel("I", "A"),
                    new Channel("T", "°C")),
                sheet),
            null,
            NOON);
    SampleWriter writer = new SampleWriter(4, blocks -> book.append(id, blocks));
    for (int k = 0; k < 20_000; k++) {
      writer.add(new double[] {k, 48_000 + k % 5, -10, k == 7 ? Double.NaN : 21});
    }
    writer.finish();
    book.finish(id, writer.samples());
    Telemetry log = book.telemetry(book.runs(0, 1).getFirst()).orElseThrow();
    assertThat(log.size()).isEqualTo(20_000);
    assertThat(log.at(Quantity.VOLTAGE, 12_003)).isCloseTo(48.003, within(1e-9));
    assertThat(log.at(Quantity.CURRENT, 5)).isEqualTo(10);
    assertThat(log.at(Quantity.TEMPERATURE, 6)).isCloseTo(294.15, within(1e-9));
    assertThat(log.at(Quantity.TEMPERATURE, 7)).isNaN();
  }
}
