package hammerman.watch;

import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.numeric.Middle;
import hammerman.simulation.Charge;
import hammerman.simulation.Trace;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Watches a first charge: every frame of readings against the limits of cell, BMS and charger, and
 * against the forecast of this very charge. It says stop once and keeps to it. What it can tell
 * comes from the readings alone; it does not end the charge itself, so the builder or a switched
 * plug must.
 *
 * <p>Every frame's figures are judged, whatever its time says. Time is counted by the device's
 * clock while that goes on, else by this machine's. What is missing, late or doubtful is said, and
 * becomes a stop when it lasts ({@link ChargeRules}). Not safe for several threads.
 */
public final class ChargeWatch {
  /** The longest that may pass without news, s. */
  public static final double SILENCE = ChargeRules.SILENCE;

  /** After this long without a frame it is said that one is waited for, s. */
  private static final double WAITING = 20;

  /** A charge ends within this of its voltage, V a group. */
  private static final double AT_END = 0.03;

  /** A charge does not end in its first two minutes. */
  private static final double SETTLED = 120;

  private final ChargeLimits limits;
  private final Charge forecast;
  private final List<ChargeRule> rules;
  private final WatchHistory history = new WatchHistory();

  /** Since when each broken rule is broken, s. */
  private final Map<String, Double> brokenSince = new HashMap<>();

  private @Nullable ChargeFrame complete;
  private @Nullable ChargeFrame last;
  private @Nullable Call stop;

  /** When the last frame came, by this machine's clock, and where the charge was then, s. */
  private double came;

  private double elapsed;

  /** The device's time at its last frame that was in order, where the charge was then, s. */
  private double deviceTime = Double.NaN;

  private double deviceAt;
  private double deviceGone;
  private double news;
  private double changed;
  private double flowed;
  private double begun = Double.NaN;
  private int leaps;
  private int sensors = 1;
  private double charge;

  /** How a charge stands. */
  public enum State {
    /** Every reading is there, and within its limits. */
    FINE,
    /** Something is missing, late or doubtful; it becomes a stop if it lasts. */
    DOUBT,
    /** The charge is over as it should be. */
    ENDED,
    /** End the charge now. */
    STOP
  }

  /**
   * What is said of a frame.
   *
   * @param state how the charge stands
   * @param say in words
   * @param margin left to what would hurt, in words; empty if there is nothing to fear
   */
  public record Call(State state, String say, String margin) {
    /** Whether to end the charge now. */
    public boolean stop() {
      return state == State.STOP;
    }

    /** Whether the charge is over as it should be. */
    public boolean ended() {
      return state == State.ENDED;
    }
  }

  private ChargeWatch(ChargeLimits limits, Charge forecast, double now) {
    this.limits = limits;
    this.forecast = forecast;
    this.rules = ChargeRules.of(limits, forecast);
    this.came = now;
  }

  /**
   * Begins to watch the charge of a design.
   *
   * @param soc the pack's state of charge at the beginning, 0 to 1
   * @param now by a clock of this machine that never goes back, s
   */
  public static ChargeWatch of(Chain chain, double soc, double now) {
    Design design = chain.design();
    double start = Math.clamp(soc, 0, 0.999);
    Charge forecast = Charge.of(chain, start, chain.usualChargingAir());
    return new ChargeWatch(ChargeLimits.of(design, start), forecast, now);
  }

  /** Returns the forecast of the charge that is watched. */
  public Charge forecast() {
    return forecast;
  }

  /** Returns the voltage of one group that the forecast has at a time (s), V. */
  public double expected(double time, int series) {
    Trace t = forecast.trace();
    if (t.size() == 0) {
      return Double.NaN;
    }
    return t.at(Trace.Channel.VOLTAGE, t.indexAt(time)) / series;
  }

  /** Returns the voltage that no group may pass, V. */
  public double limit() {
    return limits.highest();
  }

  /** Returns the charge put in so far, Ah. */
  public double charge() {
    return charge;
  }

  /** Returns how long the charge has been watched, s. */
  public double elapsed() {
    return elapsed;
  }

  List<ChargeRule> rules() {
    return rules;
  }

  /**
   * Takes a frame and says what to do.
   *
   * @param now by the clock that the watch began with, s
   */
  public Call take(ChargeFrame frame, double now) {
    Call before = stop;
    if (before != null) {
      return before;
    }
    String clock = advance(frame, Math.max(0, now - came));
    came = now;
    sensors = Math.max(sensors, frame.sensorsRead());
    if (complete == null && frame.groupsRead() == limits.series()) {
      complete = frame;
    }
    if (frame.current() > limits.endCurrent() / 2) {
      flowed = elapsed;
    }
    if (Double.isNaN(begun) && frame.current() > limits.endCurrent()) {
      begun = elapsed;
    }
    last = frame;
    history.add(now, elapsed, deviceGone, frame.kelvin());
    Call call = judge(frame, elapsed, now);
    return call.state() == State.FINE && !clock.isEmpty() ? new Call(State.DOUBT, clock, "") : call;
  }

  /**
   * Says what to do while no frame comes.
   *
   * @param now by the clock that the watch began with, s
   */
  public Call await(double now) {
    Call before = stop;
    if (before != null) {
      return before;
    }
    double since = Math.max(0, now - came);
    ChargeFrame frame = last;
    if (frame != null) {
      Call call = judge(frame, elapsed + since, now);
      return call.state() == State.FINE && since > WAITING
          ? new Call(
              State.DOUBT, "No reading for %s.".formatted(Figures.duration(since)), "unknown")
          : call;
    }
    if (since > SILENCE) {
      return halt(
          "No reading has come for %s: nothing watches the charge. Pull the charger's mains plug and check the connections."
              .formatted(Figures.duration(since)),
          "unknown");
    }
    return new Call(State.DOUBT, "Waiting for the first reading.", "");
  }

  /** Says that the connection is gone: nothing watches any more. */
  public Call lost() {
    Call before = stop;
    return before != null
        ? before
        : halt(
            "The connection is lost: nothing watches the charge. Pull the charger's mains plug,"
                + " then connect again.",
            "unknown");
  }

  /**
   * Moves time and charge on.
   *
   * @param host time of this machine since the last frame, s
   * @return what is wrong with the device's clock; empty if nothing is
   */
  private String advance(ChargeFrame frame, double host) {
    ChargeFrame was = last;
    double before = elapsed;
    double step = frame.time() - deviceTime;
    String wrong = "";
    boolean inOrder = step > 0 && step <= SILENCE;
    if (was == null || inOrder) {
      elapsed = was == null ? host : Math.max(elapsed, deviceAt + step);
      deviceGone += was == null ? 0 : step;
      settle(frame);
    } else {
      elapsed += host;
      if (step == 0) {
        wrong = "The device's clock stands still; its readings may be old.";
      } else if (Double.isNaN(step)) {
        wrong = "The device does not say when it took its readings.";
        deviceTime = Double.isNaN(deviceTime) ? frame.time() : deviceTime;
      } else if (step < 0 && step >= -SILENCE) {
        wrong = "A reading arrived late.";
      } else {
        leaps++;
        settle(frame);
        wrong = "The device's clock has leapt by %s.".formatted(Figures.duration(Math.abs(step)));
      }
    }
    if (was == null || inOrder || !frame.readsAs(was)) {
      news = elapsed;
    }
    if (was == null || !frame.readsAs(was)) {
      changed = elapsed;
    }
    if (was != null) {
      double amperes = 0.5 * (was.current() + frame.current());
      charge += Double.isNaN(amperes) ? 0 : amperes * (elapsed - before) / 3600;
    }
    return wrong;
  }

  private void settle(ChargeFrame frame) {
    if (!Double.isNaN(frame.time())) {
      deviceTime = frame.time();
      deviceAt = elapsed;
    }
  }

  private Call judge(ChargeFrame frame, double at, double now) {
    Moment m = moment(frame, at, now);
    Optional<Call> bad = stopped(m, at);
    if (bad.isPresent()) {
      return bad.get();
    }
    for (ChargeRule r : rules) {
      if (brokenSince.containsKey(r.id())) {
        return new Call(State.DOUBT, "Doubtful: " + r.words().apply(m), r.margin().apply(m));
      }
    }
    if (over(frame, at)) {
      return new Call(
          State.ENDED,
          "The charge has ended: %s charged. Let the pack rest for an hour, then measure the groups."
              .formatted(Figures.of(charge, Unit.AMPERE_HOUR)),
          "");
    }
    if (Double.isNaN(begun) || m.idle() > WAITING) {
      return new Call(
          State.DOUBT,
          "No charge current flows; highest group %s."
              .formatted(Figures.of(frame.highest(), Unit.VOLT, 3)),
          "");
    }
    return new Call(
        State.FINE,
        "Charging normally: highest group %s, %s into the pack."
            .formatted(
                Figures.of(frame.highest(), Unit.VOLT, 3),
                Figures.of(frame.current(), Unit.AMPERE)),
        "");
  }

  /** The stop of the first rule that has been broken for longer than it may be. */
  private Optional<Call> stopped(Moment m, double at) {
    for (ChargeRule r : rules) {
      if (r.broken(m)) {
        double since = brokenSince.computeIfAbsent(r.id(), k -> at);
        if (at - since >= r.patience()) {
          return Optional.of(halt(r.words().apply(m), r.margin().apply(m)));
        }
      } else {
        brokenSince.remove(r.id());
      }
    }
    return Optional.empty();
  }

  private Call halt(String say, String margin) {
    Call call = new Call(State.STOP, say, margin);
    stop = call;
    return call;
  }

  /** Whether the charge has ended: the current is small, and the groups are at their voltage. */
  private boolean over(ChargeFrame f, double at) {
    double since = Double.isNaN(begun) ? at : at - begun;
    return since > SETTLED
        && f.current() <= 1.2 * limits.endCurrent()
        && f.mean() >= limits.end() - AT_END;
  }

  private Moment moment(ChargeFrame f, double at, double now) {
    double[] moved = moved(f);
    int stuck = -1;
    for (int k = moved.length - 1; k >= 0; k--) {
      stuck = Math.abs(moved[k]) < 1e-3 ? k : stuck;
    }
    return new Moment(
        f,
        at - news,
        at - deviceAt,
        at > elapsed ? Double.NaN : history.clock(now, deviceGone),
        leaps,
        charge,
        at - begun,
        at - flowed,
        at - changed,
        sensors,
        at > elapsed ? Double.NaN : history.warming(at, f.kelvin()),
        Middle.within(moved, 0).median(),
        stuck);
  }

  /** How far each group has moved since all were read first, V; empty if they are not all read. */
  private double[] moved(ChargeFrame f) {
    ChargeFrame first = complete;
    double[] now = f.groups();
    if (first == null || f.groupsRead() < now.length || first.groups().length != now.length) {
      return new double[0];
    }
    double[] then = first.groups();
    for (int k = 0; k < now.length; k++) {
      now[k] -= then[k];
    }
    return now;
  }
}
