package hammerman.tester;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.cell.CellType;
import hammerman.device.StandInServer;
import hammerman.tester.Hearing.Heard;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** A tester over a bad line: nothing lost, nothing counted twice. */
class TesterTest {
  private static final CellType CELL = Samples.cell("e18650");

  private static SimulatedTester tester() {
    return new SimulatedTester(CELL, 4, 3);
  }

  private static TesterLine.Begin begin(long test, int bay, String label) {
    return new TesterLine.Begin(test, bay, label, 2, 2, 600, 2.5, 4.2);
  }

  /** A label of a cell with nothing wrong, and of one with something. */
  private static String label(SimulatedTester t, SimulatedTester.Fault fault) {
    for (int k = 0; ; k++) {
      if (t.truth("L" + k).fault() == fault) {
        return "L" + k;
      }
    }
  }

  private static List<TesterLine> finish(SimulatedTester t) {
    return t.pass(20 * 3600);
  }

  @Test
  void aTestFindsOutWhatTheCellIs() {
    SimulatedTester t = tester();
    String label = label(t, SimulatedTester.Fault.NONE);
    t.take(begin(1, 2, label));
    TesterLine.Done done = (TesterLine.Done) finish(t).getLast();
    SimulatedTester.Truth truth = t.truth(label);
    assertThat(done.bay()).isEqualTo(2);
    assertThat(done.capacity())
        .as("the drop over its resistance ends the discharge a little early")
        .isLessThanOrEqualTo(truth.capacity() + 0.01)
        .isGreaterThan(0.93 * truth.capacity());
    assertThat(done.resistance()).isCloseTo(truth.resistance(), within(1e-4));
    assertThat(done.voltage()).isBetween(3.0, 4.0);
  }

  @Test
  void deadCellsAndLostContactsFailWithTheirReason() {
    SimulatedTester t = tester();
    t.take(begin(1, 1, label(t, SimulatedTester.Fault.DEAD)));
    t.take(begin(2, 2, label(t, SimulatedTester.Fault.CONTACT)));
    t.take(begin(3, 9, "far"));
    List<TesterLine> lines = finish(t);
    assertThat(lines)
        .filteredOn(TesterLine.Failed.class::isInstance)
        .extracting(l -> ((TesterLine.Failed) l).why())
        .containsExactlyInAnyOrder(
            "rests at 0.4 V; it is not charged", "the contact was lost", "there is no such bay");
  }

  @Test
  void whatIsWrongWithACellDoesNotFollowFromItsNeighbours() {
    SimulatedTester t = tester();
    List<SimulatedTester.Truth> cells =
        IntStream.rangeClosed(1, 1000).mapToObj(k -> t.truth("L" + k)).toList();
    int bad = 0;
    int twice = 0;
    double rising = 0;
    for (int k = 1; k < cells.size(); k++) {
      boolean is = cells.get(k).fault() != SimulatedTester.Fault.NONE;
      bad += is ? 1 : 0;
      twice += is && cells.get(k - 1).fault() == cells.get(k).fault() ? 1 : 0;
      rising +=
          (cells.get(k).startSoc() - 0.35) * (cells.get(k - 1).startSoc() - 0.35) / cells.size();
    }
    assertThat(bad).as("about 13 of a hundred").isBetween(90, 170);
    assertThat(twice).as("the same fault again: 0.5 of a hundred").isLessThan(15);
    assertThat(rising).as("less than a tenth of the variance").isCloseTo(0, within(0.1 * 0.0075));
  }

  @Test
  void aResultIsSaidAgainUntilItIsKept() {
    SimulatedTester t = tester();
    t.take(begin(7, 1, label(t, SimulatedTester.Fault.NONE)));
    finish(t);
    assertThat(t.greet()).hasSize(2);
    t.take(new TesterLine.Kept(7));
    assertThat(t.greet()).hasSize(1);
    t.take(begin(8, 1, "L1"));
    t.take(new TesterLine.Stop(8));
    assertThat(finish(t)).as("broken off").isEmpty();
  }

  @Test
  void linesGoThereAndBack() {
    for (TesterLine l :
        List.of(
            new TesterLine.Hello("t", 4),
            begin(5, 2, "Ä “1”"),
            new TesterLine.Stop(5),
            new TesterLine.Kept(5),
            new TesterLine.Reading(5, 2, 9, "rest", 60, 3.7, -1, 0.2),
            new TesterLine.Done(5, 2, 2.345, 0.045, 3.61),
            new TesterLine.Failed(5, 2, true, "why"))) {
      assertThat(TesterLine.read(TesterLine.write(l))).isEqualTo(l);
    }
  }

  @Test
  void aFailedTestHasAReasonThatCanBeKeptWhateverTheTesterSays() {
    assertThat(new TesterLine.Failed(1, 1, true, "  ").why()).isEqualTo("no reason given");
    assertThat(new TesterLine.Failed(1, 1, true, " x".repeat(2000)).why())
        .startsWith("x x")
        .hasSizeLessThanOrEqualTo(TesterLine.Failed.LONGEST_WHY);
  }

  @Test
  void nonsenseIsALineLikeAnother() {
    for (String text :
        List.of(
            "",
            "{",
            "[]",
            "null",
            "{\"kind\":\"done\"}",
            "{\"kind\":\"done\",\"test\":1.5}",
            "{\"kind\":\"reading\",\"test\":\"1\"}",
            "x".repeat(10_000))) {
      assertThat(TesterLine.read(text)).isInstanceOf(TesterLine.Nonsense.class);
    }
    Hearing h = new Hearing();
    assertThat(h.hear(TesterLine.read("{"))).containsInstanceOf(Heard.Odd.class);
    assertThat(h.nonsense()).isEqualTo(1);
  }

  @Test
  void strangersOldReadingsAndImpossibleFiguresDoNotCount() {
    Hearing h = new Hearing();
    h.expect(1, 2);
    assertThat(h.hear(new TesterLine.Done(1, 3, 2, 0.04, 3.6)))
        .as("another bay")
        .containsInstanceOf(Heard.Odd.class);
    assertThat(h.hear(new TesterLine.Done(4, 2, 2, 0.04, 3.6)))
        .as("another test")
        .containsInstanceOf(Heard.Odd.class);
    assertThat(h.hear(new TesterLine.Done(1, 2, -2, 0.04, 3.6)))
        .containsInstanceOf(Heard.Odd.class);
    assertThat(h.hear(new TesterLine.Reading(1, 2, 5, "rest", 1, 1, 1, 1)))
        .containsInstanceOf(Heard.Progress.class);
    assertThat(h.hear(new TesterLine.Reading(1, 2, 4, "rest", 1, 1, 1, 1))).isEmpty();
  }

  @Test
  void aResultThatIsKeptAlreadyIsAnsweredNotCounted() {
    Hearing h = new Hearing();
    h.expect(1, 2);
    TesterLine.Done done = new TesterLine.Done(1, 2, 2, 0.04, 3.6);
    assertThat(h.hear(done)).contains(new Heard.Result(done));
    h.kept(1);
    assertThat(h.hear(done)).contains(new Heard.Again(1));
    assertThat(h.hear(new TesterLine.Failed(1, 2, true, "late"))).contains(new Heard.Again(1));
  }

  /** Lines dropped, doubled, late, garbled; connections lost; the disk failing now and then. */
  @Test
  void whateverTheLineDoesEachResultCountsOnce() {
    for (long seed = 0; seed < 60; seed++) {
      Random random = new Random(seed);
      SimulatedTester t = new SimulatedTester(CELL, 3, seed);
      Map<Long, Integer> disk = new HashMap<>();
      Map<Long, Integer> bays = new HashMap<>();
      Hearing hearing = new Hearing();
      List<TesterLine> late = new ArrayList<>();
      long next = 1;
      int quiet = 0;
      while (disk.size() < 12 || quiet++ < 3) {
        for (int bay = 1; bay <= 3; bay++) {
          if (!bays.containsValue(bay) && next <= 12) {
            bays.put(next, bay);
            hearing.expect(next, bay);
            next++;
          }
        }
        bays.forEach(
            (test, bay) -> {
              if (random.nextInt(3) > 0) {
                t.take(begin(test, bay, "L" + test));
              }
            });
        List<TesterLine> heard = new ArrayList<>(t.pass(7200 * random.nextDouble()));
        if (random.nextInt(3) == 0) {
          heard = new ArrayList<>(t.greet());
          hearing = again(disk, bays);
        }
        heard.addAll(late);
        late.clear();
        Collections.shuffle(heard, random);
        for (TesterLine line : heard) {
          int fate = random.nextInt(8);
          if (fate == 0) {
            continue;
          }
          if (fate == 1) {
            late.add(line);
          }
          String text = TesterLine.write(line);
          TesterLine read =
              TesterLine.read(fate == 2 ? text.substring(0, text.length() / 2) : text);
          take(hearing.hear(read), hearing, t, disk, bays, random);
        }
      }
      assertThat(disk.values()).as("seed " + seed).containsOnly(1);
      assertThat(disk).hasSize(12);
    }
  }

  private static Hearing again(Map<Long, Integer> disk, Map<Long, Integer> bays) {
    Hearing h = new Hearing();
    disk.keySet().forEach(h::kept);
    bays.forEach(h::expect);
    return h;
  }

  private static void take(
      Optional<Heard> heard,
      Hearing hearing,
      SimulatedTester t,
      Map<Long, Integer> disk,
      Map<Long, Integer> bays,
      Random random) {
    if (heard.isEmpty()) {
      return;
    }
    long test =
        switch (heard.get()) {
          case Heard.Result r -> r.done().test();
          case Heard.Failure f -> f.failed().test();
          case Heard.Again a -> {
            t.take(new TesterLine.Kept(a.test()));
            yield -1;
          }
          case Heard.Progress p -> -1;
          case Heard.Odd o -> -1;
        };
    if (test < 0 || random.nextInt(4) == 0) {
      return; // The disk is full for now; it is said again.
    }
    disk.merge(test, 1, Integer::sum);
    bays.remove(test);
    hearing.kept(test);
    if (random.nextBoolean()) {
      t.take(new TesterLine.Kept(test));
    }
  }

  @Test
  void itSpeaksOverTheLoopback() throws IOException, InterruptedException {
    Thread serving;
    try (StandInServer server = new StandInServer(tester(), 0, 1e6)) {
      serving = new Thread(() -> serve(server));
      serving.start();
      try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), server.port());
          BufferedReader in =
              new BufferedReader(
                  new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8))) {
        assertThat(TesterLine.read(in.readLine()))
            .isEqualTo(new TesterLine.Hello("simulated tester", 4));
        String sound = label(tester(), SimulatedTester.Fault.NONE);
        String line = TesterLine.write(begin(1, 1, sound)) + "\n";
        socket.getOutputStream().write(line.getBytes(StandardCharsets.UTF_8));
        TesterLine heard = TesterLine.read(in.readLine());
        while (!(heard instanceof TesterLine.Done)) {
          assertThat(heard).isInstanceOf(TesterLine.Reading.class);
          heard = TesterLine.read(in.readLine());
        }
      }
    }
    serving.join(5000);
    assertThat(serving.isAlive()).isFalse();
  }

  private static void serve(StandInServer server) {
    try {
      server.serve();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
