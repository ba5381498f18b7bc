package hammerman.build;

import hammerman.forecast.Forecast;
import hammerman.record.Fact;
import hammerman.record.StepRecord;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How far a build has come: the procedure with the readings taken so far, and what each step is.
 *
 * @param procedure with expectations that rest on the readings
 * @param marks what each step is, by its id, in their order
 * @param last when a step was done last; absent before the first
 */
public record Progress(Procedure procedure, Map<String, Mark> marks, @Nullable Instant last) {
  /** What a step is. */
  public enum State {
    /** It can be done now. */
    OPEN("open"),
    /** Something that it needs is not done. */
    WAITING("waits"),
    /** It is done. */
    DONE("done"),
    /** Its reading is not as it should be: it stops what needs it. */
    OUTSIDE("stopped"),
    /** It goes on against its reading, with a reason. */
    OVERRIDDEN("overridden"),
    /** Its reading was right, but is not what the design now asks for. */
    CHANGED("read again");

    private final String word;

    State(String word) {
      this.word = word;
    }

    /** Returns it in a word or two. */
    public String word() {
      return word;
    }

    /** Whether what needs such a step may go on. */
    public boolean passes() {
      return this == DONE || this == OVERRIDDEN;
    }
  }

  /**
   * A step's state with the fact it rests on.
   *
   * @param state what it is
   * @param fact the last that counts; absent if there is none
   */
  public record Mark(State state, @Nullable Fact<StepRecord> fact) {}

  public Progress {
    marks = Collections.unmodifiableMap(new LinkedHashMap<>(marks));
  }

  /**
   * Works out how far a build is.
   *
   * @param facts what was done, oldest first; those struck out do not count
   */
  public static Progress of(Forecast forecast, List<Fact<StepRecord>> facts) {
    Map<String, Fact<StepRecord>> latest = new HashMap<>();
    Instant last = null;
    for (Fact<StepRecord> f : facts) {
      if (f.counts()) {
        latest.put(f.value().step(), f);
        last = last == null || f.at().isAfter(last) ? f.at() : last;
      }
    }
    Map<String, Double> readings = new HashMap<>();
    latest.forEach(
        (id, f) -> {
          Double reading = f.value().reading();
          if (reading != null && f.value().verdict() != StepRecord.Verdict.OUTSIDE) {
            readings.put(id, reading);
          }
        });
    Procedure procedure = Procedure.of(forecast, readings);
    Map<String, Mark> marks = new LinkedHashMap<>();
    for (Step s : procedure.steps()) {
      Fact<StepRecord> f = latest.get(s.id());
      marks.put(s.id(), new Mark(state(s, f, marks), f));
    }
    return new Progress(procedure, marks, last);
  }

  private static State state(Step s, @Nullable Fact<StepRecord> f, Map<String, Mark> before) {
    if (f == null) {
      return s.needs().stream().allMatch(n -> passed(before, n)) ? State.OPEN : State.WAITING;
    }
    return switch (f.value().verdict()) {
      case OVERRIDDEN -> State.OVERRIDDEN;
      case OUTSIDE -> State.OUTSIDE;
      case DONE, WITHIN -> {
        Double reading = f.value().reading();
        boolean fits =
            reading == null
                ? s.expects().isEmpty() || !s.safety().protects()
                : s.expects().map(e -> e.takes(reading)).orElse(true);
        yield fits ? State.DONE : State.CHANGED;
      }
    };
  }

  private static boolean passed(Map<String, Mark> marks, String id) {
    Mark m = marks.get(id);
    return m != null && m.state().passes();
  }

  /** Returns the state of a step. */
  public State state(String id) {
    Mark m = marks.get(id);
    return m == null ? State.WAITING : m.state();
  }

  /** Returns the step to do next: one that stops the work first of all, then the first open one. */
  public Optional<Step> next() {
    return procedure.steps().stream()
        .filter(s -> state(s.id()) == State.OUTSIDE || state(s.id()) == State.CHANGED)
        .findFirst()
        .or(() -> procedure.steps().stream().filter(s -> state(s.id()) == State.OPEN).findFirst());
  }

  /** Returns how many steps are done. */
  public int done() {
    return (int) marks.values().stream().filter(m -> m.state().passes()).count();
  }

  /** Whether every step is done. */
  public boolean isComplete() {
    return done() == marks.size();
  }

  /** Returns the last step that was done, by its time. */
  public Optional<Step> lastDone() {
    return procedure.steps().stream()
        .filter(
            s -> {
              Fact<StepRecord> f = marks.get(s.id()) == null ? null : marks.get(s.id()).fact();
              return f != null && f.at().equals(last);
            })
        .reduce((a, b) -> b);
  }

  /**
   * Returns the record of a reading (core's unit), with its verdict.
   *
   * @throws InvalidValue if the step has no reading, or something that it needs is not done
   */
  public StepRecord read(String id, double reading) {
    Step s = ready(id);
    Expected e =
        s.expects()
            .orElseThrow(
                () ->
                    new InvalidValue(
                        "Step " + id, "a reading", "has none to take", "Tick it when it is done."));
    return new StepRecord(
        id, reading, e.takes(reading) ? StepRecord.Verdict.WITHIN : StepRecord.Verdict.OUTSIDE, "");
  }

  /**
   * Returns the record of a step that is done without a reading.
   *
   * @throws InvalidValue if it protects someone and has a reading to take, or something that it
   *     needs is not done
   */
  public StepRecord tick(String id) {
    Step s = ready(id);
    if (s.expects().isPresent() && s.safety().protects()) {
      throw new InvalidValue(
          "Step " + id,
          "a tick",
          "needs its reading: " + s.expects().get().words(),
          "Take the reading and type it, or give a reason for going on without.");
    }
    return new StepRecord(id, null, StepRecord.Verdict.DONE, "");
  }

  /**
   * Returns the record of a step that is passed against its reading, or without.
   *
   * @param reason in the builder's words; it stays on the record
   * @throws InvalidValue without a reason, or if something that it needs is not done
   */
  public StepRecord override(String id, @Nullable Double reading, String reason) {
    ready(id);
    return new StepRecord(id, reading, StepRecord.Verdict.OVERRIDDEN, reason);
  }

  private Step ready(String id) {
    Step s =
        procedure
            .step(id)
            .orElseThrow(
                () ->
                    new InvalidValue(
                        "Step", id, "is none of this procedure", "Take one that is listed."));
    List<String> open = new ArrayList<>();
    for (String n : s.needs()) {
      if (!passed(marks, n)) {
        open.add(n);
      }
    }
    if (!open.isEmpty()) {
      throw new InvalidValue(
          "Step " + id,
          "done",
          "needs " + String.join(", ", open) + " first",
          "Do " + open.getFirst() + ", or strike nothing out that it rests on.");
    }
    return s;
  }

  /** Returns where the builder stopped and what is next, in words. */
  public String words(Instant now) {
    Optional<Step> next = next();
    if (next.isEmpty()) {
      return isComplete()
          ? "Every step is done."
          : "Nothing can be done before what is waited for.";
    }
    Step s = next.get();
    String numbers = s.expects().map(e -> " Expect " + e.words() + ".").orElse("");
    Instant then = last;
    String ago =
        then == null
            ? "Nothing is done yet. First: "
            : "You stopped %s. Next: ".formatted(ago(Duration.between(then, now)));
    return ago + s.title() + numbers;
  }

  private static String ago(Duration d) {
    long days = d.toDays();
    if (days >= 1) {
      return days == 1 ? "yesterday" : days + " days ago";
    }
    return d.toMinutes() < 2 ? "just now" : Figures.duration((double) d.toSeconds()) + " ago";
  }
}
