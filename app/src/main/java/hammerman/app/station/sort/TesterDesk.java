package hammerman.app.station.sort;

import hammerman.app.job.DeviceLink;
import hammerman.app.job.OwnStandIn;
import hammerman.cell.CellType;
import hammerman.record.Aside;
import hammerman.record.BayTest;
import hammerman.record.Fact;
import hammerman.record.Measured;
import hammerman.record.Measurement;
import hammerman.record.Measurement.Conditions;
import hammerman.record.Measurement.Origin;
import hammerman.record.Subject;
import hammerman.sort.CellState;
import hammerman.sort.OtherCell;
import hammerman.sort.SortPlan;
import hammerman.sort.Sorting.Entry;
import hammerman.sort.Stock;
import hammerman.tester.Hearing;
import hammerman.tester.Hearing.Heard;
import hammerman.tester.SimulatedTester;
import hammerman.tester.TesterLine;
import java.io.IOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import org.jspecify.annotations.Nullable;

/**
 * The tests in the bays: begun in the record first, then said to the tester if one is connected;
 * what it finds is kept once, and only then is the tester told that it need not say it again.
 */
final class TesterDesk implements DeviceLink.Listener<TesterLine> {
  /** Where a tester listens unless it is told otherwise. */
  static final int PORT = 7717;

  private static final String INSTRUMENT = "cell tester";

  private final SortState state;
  private final Runnable changed;
  private final ReadOnlyStringWrapper standing =
      new ReadOnlyStringWrapper(this, "standing", "No tester is connected.");
  private Hearing hearing = new Hearing();
  private @Nullable DeviceLink<TesterLine> link;
  private boolean wanted;
  private @Nullable OwnStandIn standIn;

  /**
   * @param changed told when a bay shows something new
   */
  TesterDesk(SortState state, Runnable changed) {
    this.state = state;
    this.changed = changed;
  }

  /** How the tester stands, in words. */
  ReadOnlyStringProperty standingProperty() {
    return standing.getReadOnlyProperty();
  }

  /** Returns the latest reading of each running test. */
  Map<Long, TesterLine.Reading> readings() {
    return hearing.readings();
  }

  /** Returns the running tests by their bays. */
  Map<Integer, Entry> running() {
    Map<Integer, Entry> all = new TreeMap<>();
    for (Entry e : state.shown().sorting().entries()) {
      Fact<BayTest> test = e.cell().test();
      if (test != null) {
        all.put(test.value().bay(), e);
      }
    }
    return all;
  }

  void connect(int port) {
    disconnect();
    wanted = true;
    standing.set("Connecting …");
    DeviceLink.open(
        "tester",
        port,
        TesterLine::read,
        this,
        opened -> {
          link = opened;
          hearing = new Hearing();
          running().values().forEach(this::expect);
          changed.run();
        });
  }

  void disconnect() {
    wanted = false;
    if (link != null) {
      link.close();
      link = null;
    }
    standing.set("No tester is connected.");
    changed.run();
  }

  /** Connects to a stand-in of this program's own; its cells are made up. */
  void simulate(CellType type, int bays, double speed) {
    try {
      if (standIn == null) {
        standIn =
            OwnStandIn.start("tester", new SimulatedTester(type, bays, 1, rested(), 0), speed);
      }
      connect(standIn.port());
    } catch (IOException e) {
      standing.set("The stand-in could not be started: " + e.getMessage());
    }
  }

  /** Where cells were read to rest, V by label; the cells made up are taken to rest there. */
  private Map<String, Double> rested() {
    Map<String, Double> all = new HashMap<>();
    for (Stock.Cell c : state.shown().read().stock().cells()) {
      Fact<Measurement> read = c.rested();
      if (read != null) {
        all.put(c.label(), read.value().value());
      }
    }
    return all;
  }

  private void expect(Entry e) {
    Fact<BayTest> test = e.cell().test();
    if (test != null) {
      long number = number(test.at(), test.value().bay());
      hearing.expect(number, test.value().bay());
      if (link != null) {
        link.say(TesterLine.write(begin(number, test.value().bay(), e.cell().label())));
      }
    }
  }

  /**
   * Returns the number under which the tester knows a test: by when it was begun and in which bay,
   * so that no test of another project has it too.
   */
  static long number(Instant begun, int bay) {
    return begun.toEpochMilli() * BayTest.MOST_BAYS + bay - 1;
  }

  private TesterLine.Begin begin(long test, int bay, String label) {
    SortPlan plan = state.shown().plan();
    CellType type = state.session().project().design().pack().cell();
    return new TesterLine.Begin(
        test,
        bay,
        label,
        plan.bays().charge(),
        plan.bays().discharge(),
        plan.bays().rest(),
        type.cutOffVoltage(),
        type.fullVoltage());
  }

  /** Puts cells that are not measured yet into the bays that are free. */
  void load() {
    SortState.Shown s = state.shown();
    Set<Integer> taken = new HashSet<>(running().keySet());
    List<Stock.Cell> waiting = waiting(s);
    List<BayTest> tests = new ArrayList<>();
    List<String> labels = new ArrayList<>();
    Instant now = state.now();
    Instant due = now.plus(s.plan().bays().test(s.typical()));
    for (int bay = 1; bay <= s.plan().bays().bays() && tests.size() < waiting.size(); bay++) {
      if (taken.add(bay)) {
        Stock.Cell c = waiting.get(tests.size());
        tests.add(new BayTest(c.id(), bay, due, null, null));
        labels.add(c.label());
      }
    }
    if (tests.isEmpty()) {
      state.say(
          waiting.isEmpty() ? "Every cell has its capacity measured." : "Every bay is taken.");
      return;
    }
    boolean unknown =
        s.read().stock().cells().stream().noneMatch(c -> c.measured().hasResistance());
    if (link != null && !s.plan().direct() && unknown) {
      state.edit("Resistance as the tester measures it", plan -> plan.withDirect(true));
    }
    state
        .session()
        .keeper()
        .record(
            store -> store.inventory().begin(tests, now),
            ids -> {
              for (int k = 0; k < ids.size(); k++) {
                int bay = tests.get(k).bay();
                hearing.expect(number(now, bay), bay);
                if (link != null) {
                  link.say(TesterLine.write(begin(number(now, bay), bay, labels.get(k))));
                }
              }
              state.say(
                  "Loaded %s: %s."
                      .formatted(
                          TesterView.named(tests.stream().map(BayTest::bay).toList()),
                          String.join(", ", labels)));
            },
            state::say);
  }

  /** Cells whose capacity is to be measured and is not. */
  static List<Stock.Cell> waiting(SortState.Shown s) {
    return s.sorting().entries().stream()
        .filter(e -> e.state() == CellState.NEW)
        .map(Entry::cell)
        .filter(c -> Double.isNaN(c.measured().capacity()))
        .toList();
  }

  /** Breaks a test off; the cell is as it was before. */
  void breakOff(Fact<BayTest> test) {
    Instant now = state.now();
    long number = number(test.at(), test.value().bay());
    hearing.kept(number);
    if (link != null) {
      link.say(TesterLine.write(new TesterLine.Stop(number)));
    }
    state.record(
        "Bay %d is free again; the test is marked as broken off.".formatted(test.value().bay()),
        store -> store.inventory().end(test.id(), new BayTest.Outcome.BrokenOff(), List.of(), now));
  }

  @Override
  public void said(List<TesterLine> lines) {
    // Another project may have been opened since it was connected.
    running()
        .forEach(
            (bay, e) -> {
              Fact<BayTest> test = e.cell().test();
              if (test != null) {
                hearing.expect(number(test.at(), bay), bay);
              }
            });
    boolean shown = false;
    for (TesterLine line : lines) {
      if (line instanceof TesterLine.Hello h) {
        standing.set("Connected: %s, %d bays.".formatted(h.name(), h.bays()));
        shown = true;
      }
      Heard heard = hearing.hear(line).orElse(null);
      shown |= heard instanceof Heard.Progress;
      if (heard != null) {
        heard(heard);
      }
    }
    if (shown) {
      changed.run();
    }
  }

  private void heard(Heard heard) {
    switch (heard) {
      case Heard.Progress p -> {}
      case Heard.Result r -> keep(r.done());
      case Heard.Failure f -> keep(f.failed());
      case Heard.Again a -> kept(a.test());
      case Heard.Odd o -> state.say(o.words());
    }
  }

  private void kept(long test) {
    hearing.kept(test);
    if (link != null) {
      link.say(TesterLine.write(new TesterLine.Kept(test)));
    }
  }

  /** The cell whose test has a number, if it is of this project. */
  private @Nullable Entry of(long number) {
    for (Entry e : running().values()) {
      Fact<BayTest> test = e.cell().test();
      if (test != null && number(test.at(), test.value().bay()) == number) {
        return e;
      }
    }
    return null;
  }

  private void keep(TesterLine.Done d) {
    Entry e = of(d.test());
    Fact<BayTest> of = e == null ? null : e.cell().test();
    if (e == null || of == null) {
      return;
    }
    Subject cell = new Subject.Cell(e.cell().id());
    SortPlan plan = state.shown().plan();
    Conditions test =
        new Conditions(
            plan.bays().discharge(),
            state.session().project().design().pack().cell().cutOffVoltage(),
            null,
            plan.bays().rest());
    List<Measurement> found =
        List.of(
            measurement(cell, Measured.REST_VOLTAGE, d.voltage(), Conditions.UNKNOWN),
            measurement(cell, Measured.CAPACITY, d.capacity(), test),
            measurement(cell, Measured.DC_RESISTANCE, d.resistance(), test));
    Instant now = state.now();
    Optional<String> other = OtherCell.suspected(e.cell(), d.voltage(), d.bay(), now);
    state
        .session()
        .keeper()
        .record(
            store -> {
              boolean ended =
                  store.inventory().end(of.id(), new BayTest.Outcome.Measured(), found, now);
              if (ended && other.isPresent()) {
                store.inventory().setAside(new Aside(e.cell().id(), other.get()), now);
              }
              return ended;
            },
            ended -> {
              kept(d.test());
              state.say(
                  other
                      .map(
                          why ->
                              ("%s is put aside: %s. Look at the label in the bay; take the cell"
                                      + " back if it is the right one, else strike what the tester"
                                      + " read.")
                                  .formatted(e.cell().label(), why))
                      .orElse("Bay %d is done: %s.".formatted(d.bay(), e.cell().label())));
            },
            state::say);
  }

  private static Measurement measurement(
      Subject cell, Measured what, double value, Conditions conditions) {
    return new Measurement(cell, what, value, conditions, INSTRUMENT, Origin.DEVICE);
  }

  private void keep(TesterLine.Failed f) {
    Entry e = of(f.test());
    Fact<BayTest> of = e == null ? null : e.cell().test();
    if (e == null || of == null) {
      return;
    }
    Instant now = state.now();
    state
        .session()
        .keeper()
        .record(
            store -> {
              boolean ended =
                  store
                      .inventory()
                      .end(of.id(), new BayTest.Outcome.Failed(f.why()), List.of(), now);
              if (ended && !f.again()) {
                store
                    .inventory()
                    .setAside(new Aside(e.cell().id(), "test failed: " + f.why()), now);
              }
              return ended;
            },
            ended -> {
              kept(f.test());
              state.say(
                  "Bay %d failed with %s: %s.%s"
                      .formatted(
                          f.bay(),
                          e.cell().label(),
                          f.why(),
                          f.again() ? " It may be tried again." : " It is put aside."));
            },
            state::say);
  }

  @Override
  public void lost(String why) {
    if (!wanted) {
      return;
    }
    link = null;
    standing.set(why + " Tests that run are kept, and taken up when it is connected again.");
    changed.run();
  }
}
