package hammerman.tester;

import hammerman.cell.CellType;
import hammerman.device.StandIn;
import hammerman.numeric.MonotoneCubic;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.SplittableRandom;

/**
 * A cell tester made up: bays with cells drawn from a seed, some of them bad. Time goes on when it
 * is told to, so that it runs as fast as is wanted and the same each time. A cell has a capacity
 * and a resistance of its own by its label; its voltage follows its type's open-circuit curve less
 * the drop over the resistance. Not safe for several threads.
 *
 * <p>Of a hundred labels some two are dead, three have a bad contact, three lose charge fast and
 * five hold far less than the others.
 */
public final class SimulatedTester implements StandIn {
  private static final double STEP = 10;

  /** Readings come every so many seconds of a test. */
  private static final double EVERY = 60;

  private final CellType type;
  private final int bays;
  private final long seed;
  private final Map<Integer, Test> running = new HashMap<>();
  private final Map<Long, TesterLine> unkept = new LinkedHashMap<>();
  private final Deque<TesterLine> out = new ArrayDeque<>();
  private final MonotoneCubic openCircuit;
  private final Map<String, Double> rested;
  private final int wrongBay;

  /** A cell as it is, which the tester finds out. */
  record Truth(double capacity, double resistance, double startSoc, Fault fault) {}

  /** What is wrong with a cell. */
  enum Fault {
    NONE,
    DEAD,
    CONTACT,
    WEAK,
    LEAKY
  }

  private static final class Test {
    private final TesterLine.Begin begin;
    private final Truth truth;
    private final double rested;
    private double seconds;
    private double soc;
    private double out;
    private double phaseTime;
    private int phase;
    private long number;
    private double nextReading = EVERY;

    Test(TesterLine.Begin begin, Truth truth, double rested) {
      this.begin = begin;
      this.truth = truth;
      this.rested = rested;
      soc = truth.startSoc();
    }
  }

  private static final List<String> PHASES =
      List.of("charge", "rest", "discharge", "rest", "charge");

  /**
   * @param type of the cells, as new ones are
   * @param bays that it has
   * @param seed of the cells
   */
  public SimulatedTester(CellType type, int bays, long seed) {
    this(type, bays, seed, Map.of(), 0);
  }

  /**
   * @param type of the cells, as new ones are
   * @param bays that it has
   * @param seed of the cells
   * @param rested rest voltage by label where one was read, V; its cell rests there
   * @param wrongBay in which another cell lies than is said; 0 for none
   */
  public SimulatedTester(
      CellType type, int bays, long seed, Map<String, Double> rested, int wrongBay) {
    this.rested = Map.copyOf(rested);
    this.wrongBay = wrongBay;
    this.type = type;
    this.bays = bays;
    this.seed = seed;
    openCircuit = type.openCircuit();
  }

  @Override
  public List<String> greeting() {
    return greet().stream().map(TesterLine::write).toList();
  }

  @Override
  public void hear(String line) {
    take(TesterLine.read(line));
  }

  @Override
  public List<String> advance(double seconds) {
    return pass(seconds).stream().map(TesterLine::write).toList();
  }

  /** Returns what is said first on every connection: what it is, and what is not kept yet. */
  public List<TesterLine> greet() {
    List<TesterLine> lines = new ArrayList<>();
    lines.add(new TesterLine.Hello("simulated tester", bays));
    lines.addAll(unkept.values());
    return lines;
  }

  /** Takes a line from the program. */
  public void take(TesterLine line) {
    switch (line) {
      case TesterLine.Begin b -> begin(b);
      case TesterLine.Stop s -> running.values().removeIf(t -> t.begin.test() == s.test());
      case TesterLine.Kept k -> unkept.remove(k.test());
      case TesterLine.Hello h -> {}
      case TesterLine.Reading r -> {}
      case TesterLine.Done d -> {}
      case TesterLine.Failed f -> {}
      case TesterLine.Nonsense n -> {}
    }
  }

  private void begin(TesterLine.Begin b) {
    Test was = running.get(b.bay());
    if (unkept.containsKey(b.test()) || (was != null && was.begin.test() == b.test())) {
      return;
    }
    if (b.bay() < 1 || b.bay() > bays || was != null) {
      end(
          new TesterLine.Failed(
              b.test(), b.bay(), true, was == null ? "there is no such bay" : "the bay is taken"),
          b.test());
      return;
    }
    Truth truth = truth(b.bay() == wrongBay ? "not " + b.label() : b.label());
    double rested =
        truth.fault() == Fault.DEAD
            ? 0.4
            : openCircuit.value(truth.startSoc()) - (truth.fault() == Fault.LEAKY ? 0.08 : 0);
    running.put(b.bay(), new Test(b, truth, rested));
  }

  /** Draws a cell by its label: always the same one. */
  Truth truth(String label) {
    Random random = random(label.hashCode());
    double kind = random.nextDouble();
    Fault fault =
        kind < 0.02
            ? Fault.DEAD
            : kind < 0.05
                ? Fault.CONTACT
                : kind < 0.08 ? Fault.LEAKY : kind < 0.13 ? Fault.WEAK : Fault.NONE;
    double q = 1 + 0.04 * Math.clamp(random.nextGaussian(), -2.5, 2.5);
    double r = 1 + 0.07 * Math.clamp(random.nextGaussian(), -2.5, 2.5);
    double drawn = 0.2 + 0.3 * random.nextDouble();
    Double read = rested.get(label);
    double start = read == null ? drawn : Math.clamp(openCircuit.inverse(read), 0, 1);
    return new Truth(
        type.capacity() * q * (fault == Fault.WEAK ? 0.6 : 1),
        type.r10() * r * (fault == Fault.WEAK ? 1.8 : 1),
        start,
        fault);
  }

  /** Seeds that follow each other would give draws that do so too, hence the mixing. */
  private Random random(long of) {
    return new Random(new SplittableRandom(seed * 31 + of).nextLong());
  }

  /** Lets time go on, and returns what is said meanwhile. */
  public List<TesterLine> pass(double seconds) {
    for (double left = seconds; left > 0; left -= STEP) {
      double dt = Math.min(STEP, left);
      for (Test t : List.copyOf(running.values())) {
        step(t, dt);
      }
    }
    List<TesterLine> said = List.copyOf(out);
    out.clear();
    return said;
  }

  private void step(Test t, double dt) {
    t.seconds += dt;
    t.phaseTime += dt;
    if (t.truth.fault() == Fault.DEAD) {
      fail(t, false, "rests at 0.4 V; it is not charged");
      return;
    }
    if (t.truth.fault() == Fault.CONTACT && t.seconds > 1200) {
      fail(t, true, "the contact was lost");
      return;
    }
    double amperes =
        switch (PHASES.get(t.phase)) {
          case "charge" -> -t.begin.charge();
          case "discharge" -> t.begin.discharge();
          default -> 0;
        };
    t.soc -= amperes * dt / 3600 / t.truth.capacity();
    t.out += Math.max(0, amperes) * dt / 3600;
    double volts = openCircuit.value(Math.clamp(t.soc, 0, 1)) - amperes * t.truth.resistance();
    boolean over =
        switch (PHASES.get(t.phase)) {
          case "charge" -> t.soc >= 1;
          case "discharge" -> volts <= t.begin.cutOff() || t.soc <= 0;
          default -> t.phaseTime >= t.begin.rest();
        };
    if (t.seconds >= t.nextReading) {
      t.nextReading += EVERY;
      double noise = 1e-3 * random(t.begin.test() * 977 + t.number).nextGaussian();
      out.add(
          new TesterLine.Reading(
              t.begin.test(),
              t.begin.bay(),
              ++t.number,
              PHASES.get(t.phase),
              t.seconds,
              volts + noise,
              amperes,
              t.out));
    }
    if (over) {
      t.phase++;
      t.phaseTime = 0;
      if (t.phase == PHASES.size()) {
        running.remove(t.begin.bay());
        end(
            new TesterLine.Done(
                t.begin.test(),
                t.begin.bay(),
                Math.round(1000 * t.out) / 1000.0,
                Math.round(1e4 * t.truth.resistance()) / 1e4,
                Math.round(1000 * t.rested) / 1000.0),
            t.begin.test());
      }
    }
  }

  private void fail(Test t, boolean again, String why) {
    running.remove(t.begin.bay());
    end(new TesterLine.Failed(t.begin.test(), t.begin.bay(), again, why), t.begin.test());
  }

  private void end(TesterLine line, long test) {
    unkept.put(test, line);
    out.add(line);
  }
}
