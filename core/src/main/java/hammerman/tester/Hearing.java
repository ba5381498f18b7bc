package hammerman.tester;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What is made of a tester's lines: each result once, whatever is said twice, late or not at all in
 * between. Not safe for several threads.
 *
 * <p>A result is a fact once its test is known to be running and its figures can be; it is handed
 * on until {@link #kept} says that it is on the disk, so that a failure to keep it loses nothing.
 */
public final class Hearing {
  private final Map<Long, Integer> running = new HashMap<>();
  private final Set<Long> ended = new HashSet<>();
  private final Map<Long, TesterLine.Reading> last = new HashMap<>();
  private int nonsense;

  /** What a line comes to. */
  public sealed interface Heard {
    /** A reading that is newer than the last of its test. */
    record Progress(TesterLine.Reading reading) implements Heard {}

    /** A result to be kept. */
    record Result(TesterLine.Done done) implements Heard {}

    /** A test that failed, to be kept. */
    record Failure(TesterLine.Failed failed) implements Heard {}

    /** A result that is kept already; the tester is to be told. */
    record Again(long test) implements Heard {}

    /** Something to tell the builder. */
    record Odd(String words) implements Heard {}
  }

  /** Notes a test that is running, so that its lines are known. */
  public void expect(long test, int bay) {
    if (!ended.contains(test)) {
      running.put(test, bay);
    }
  }

  /** Notes that a test's end is on the disk, or was before this began. */
  public void kept(long test) {
    running.remove(test);
    last.remove(test);
    ended.add(test);
  }

  /** Returns the latest reading of each test that is running. */
  public Map<Long, TesterLine.Reading> readings() {
    return Map.copyOf(last);
  }

  /** Returns how many lines said nothing that is known. */
  public int nonsense() {
    return nonsense;
  }

  /** Takes a line; empty if it says nothing new. */
  public Optional<Heard> hear(TesterLine line) {
    return switch (line) {
      case TesterLine.Reading r -> reading(r);
      case TesterLine.Done d -> {
        if (ended.contains(d.test())) {
          yield Optional.of(new Heard.Again(d.test()));
        }
        if (!isHere(d.test(), d.bay())) {
          yield stranger(d.test(), d.bay());
        }
        yield isPossible(d)
            ? Optional.of(new Heard.Result(d))
            : Optional.of(
                new Heard.Odd(
                    "Bay %d gives figures that cannot be (%s Ah, %s Ω, %s V); they are not kept."
                        .formatted(d.bay(), d.capacity(), d.resistance(), d.voltage())));
      }
      case TesterLine.Failed f -> {
        if (ended.contains(f.test())) {
          yield Optional.of(new Heard.Again(f.test()));
        }
        yield isHere(f.test(), f.bay())
            ? Optional.of(new Heard.Failure(f))
            : stranger(f.test(), f.bay());
      }
      case TesterLine.Nonsense n -> {
        nonsense++;
        yield Optional.of(
            new Heard.Odd("A line from the tester was not understood: " + n.why() + "."));
      }
      case TesterLine.Hello h -> Optional.empty();
      case TesterLine.Begin b -> Optional.empty();
      case TesterLine.Stop s -> Optional.empty();
      case TesterLine.Kept k -> Optional.empty();
    };
  }

  private Optional<Heard> reading(TesterLine.Reading r) {
    TesterLine.Reading was = last.get(r.test());
    if (!isHere(r.test(), r.bay()) || (was != null && was.number() >= r.number())) {
      return Optional.empty();
    }
    last.put(r.test(), r);
    return Optional.of(new Heard.Progress(r));
  }

  private boolean isHere(long test, int bay) {
    return running.getOrDefault(test, -1) == bay;
  }

  private static Optional<Heard> stranger(long test, int bay) {
    return Optional.of(
        new Heard.Odd(
            "Bay %d reports test %d, which is not running there; it is not counted."
                .formatted(bay, test)));
  }

  private static boolean isPossible(TesterLine.Done d) {
    return d.capacity() >= 0
        && d.capacity() < 1000
        && d.resistance() > 0
        && d.resistance() < 10
        && d.voltage() > -1
        && d.voltage() < 10;
  }
}
