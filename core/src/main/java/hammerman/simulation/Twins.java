package hammerman.simulation;

import hammerman.chain.Chain;
import hammerman.chain.Layout;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.duty.Load;
import hammerman.pack.Assembly;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Two packs under way: goes through the load step by step and keeps the books of both. */
final class Twins implements Unloaded {
  /** Ends are found to within this, s. */
  private static final double SOONEST = 1e-9;

  /** The voltage of a cut-out is met to within this, V, if so many trials give it. */
  private static final double CLOSE = 1e-6;

  private static final int MOST_TRIALS = 4;

  private static final Load.Demand OFF = new Load.Current(0);

  private final Joining joining;
  private final Load load;
  private final double outer;
  private final double cutOut;
  private final double step;
  private final Branch a;
  private final Branch b;
  private final TwinSources sources;
  private final Recorder recorder;
  private double now;
  private final Books books = new Books();
  private double switchedAt = Double.NaN;
  private @Nullable Outcome ended;

  /** Whether who gives what has changed since the last sample. */
  private boolean changed;

  /**
   * @param step the longest, s
   * @param traces whether samples are kept
   */
  Twins(Chain chain, TwinRun.Cells cells, Load load, double ambient, double step, boolean traces) {
    SecondPack second = Objects.requireNonNull(chain.design().second());
    Design design = chain.design();
    var machine = design.duty().machine();
    this.joining = second.joining();
    this.load = load;
    this.step = cells.shared(step);
    outer = design.guard().shared(ambient);
    cutOut = machine.cutOutVoltage();
    Assembly laid = chain.path().assembly();
    Layout.Solved layout = cells.layout();
    InPlace place = layout == null ? null : InPlace.of(layout, design, ambient);
    a =
        new Branch(
            cells.first(),
            laid,
            design.guard(),
            second.firstSoc(),
            ambient,
            place,
            recorder(traces));
    if (cells.told()) {
      a.tell();
    }
    Assembly other = Assembly.estimated(second.pack());
    b =
        new Branch(
            cells.second(), other, second.guard(), second.soc(), ambient, null, recorder(traces));
    b.waiting = joining == Joining.SWITCH_OVER;
    double mostBack = design.guard().allowedRegeneration(machine.regenerationCurrent());
    sources = new TwinSources(joining, outer, machine.peakCurrent(), mostBack, a, b);
    recorder = recorder(traces);
  }

  /** The same packs with the rest of their load. */
  private Twins(Twins before, Load rest) {
    joining = before.joining;
    load = rest;
    step = before.step;
    outer = before.outer;
    cutOut = before.cutOut;
    a = before.a;
    b = before.b;
    sources = before.sources;
    recorder = Recorder.ofExtremes();
  }

  private static Recorder recorder(boolean traces) {
    return traces ? Recorder.tracing() : Recorder.ofExtremes();
  }

  TwinRun run() {
    Run both = through();
    TwinRun.Side first = a.side(both);
    TwinRun.Side second = b.side(both);
    Optional<Recovery> recovery = new Rest(this, load, step).after(both);
    return new TwinRun(joining, both, first, second, switchedAt, recovery);
  }

  private Run through() {
    Rounds.go(load, this::goes, () -> now);
    books.heat(a.books());
    books.heat(b.books());
    return new Run(
        ended == null ? new Outcome.Complete() : ended,
        now,
        soc(),
        books.totals(),
        recorder.extremes(),
        recorder.trace(),
        a.cells());
  }

  @Override
  public void rest(double dt) {
    look();
    sources.split(OFF);
    lookAhead(dt);
    sources.split(OFF);
    a.rest(dt);
    b.rest(dt);
  }

  /** In series both are needed; else one that serves is enough. */
  @Override
  public boolean isBack(Outcome why) {
    return switch (why) {
      case Outcome.MachineCutOut o -> machineVoltage() > cutOut;
      case Outcome.BmsCutOff o -> closes();
      case Outcome.TooHot o -> closes();
      case Outcome.OverCurrent o -> closes();
      case Outcome.Complete o -> true;
      case Outcome.Empty o -> false;
      case Outcome.FuseOpens o -> false;
      case Outcome.CannotDeliver o -> false;
    };
  }

  private boolean closes() {
    return joining == Joining.SERIES
        ? a.isBack() && b.isBack()
        : (!a.waiting && a.isBack()) || (!b.waiting && b.isBack());
  }

  @Override
  public double machineVoltage() {
    look();
    return sources.voltage(sources.split(OFF));
  }

  @Override
  public Run takeUp(Load rest) {
    a.closeIfBack();
    b.closeIfBack();
    return new Twins(this, rest).through();
  }

  /** In series the emptier ends it; else what is left counts together. */
  private double soc() {
    return joining == Joining.SERIES
        ? Math.min(a.soc(), b.soc())
        : (a.soc() * a.capacity() + b.soc() * b.capacity()) / (a.capacity() + b.capacity());
  }

  /** Goes through one step of the load; whether the run goes on after it. */
  private boolean goes(Load.Step s) {
    int parts = (int) Math.max(1, Math.ceil(s.duration() / step - 1e-9));
    double dt = s.duration() / parts;
    changed = true;
    for (int k = 0; k < parts; k++) {
      double left = dt;
      // A pack that opens within a step cuts it short; the other goes on with the rest.
      while (left > SOONEST && ended == null) {
        left -= advance(s, left);
      }
    }
    return ended == null;
  }

  /** Goes on by at most {@code longest} seconds; returns how far. */
  private double advance(Load.Step s, double longest) {
    look();
    double begins = sources.split(s.demand());
    if (Double.isNaN(begins)) {
      double watts = s.demand() instanceof Load.Power p ? p.watts() : 0;
      double most = sources.mostPower();
      record(sources.split(OFF));
      ended = new Outcome.CannotDeliver(watts, most);
      return 0;
    }
    if (changed) {
      record(begins);
      changed = false;
    }
    double voltage = sources.voltage(begins);
    if (begins > 0 && voltage < cutOut) {
      handOver(new Outcome.MachineCutOut(voltage, cutOut));
      return 0;
    }
    lookAhead(longest);
    double total = sources.split(s.demand());
    if (Double.isNaN(total)) {
      // It ends within this step, at its start or at the next.
      look();
      total = sources.split(s.demand());
    }
    double asked = sources.asked();
    double before = sources.voltage(total);
    double dt = Math.min(longest, Math.min(a.lasts(), b.lasts()));
    a.step(dt);
    b.step(dt);
    double after = sources.voltage(s.demand(), total);
    boolean low = total > 0 && after < cutOut;
    double beyond = low ? dt * (cutOut - after) / (voltage - after) : -1;
    double late = Math.max(beyond, Math.max(a.late(), b.late()));
    if (late > SOONEST) {
      // The step reached beyond the first event in it: it is taken anew, as short as it should be.
      boolean toCutOut = low && beyond >= late - SOONEST;
      dt = toCutOut ? toCutOut(s.demand(), total, voltage, dt, after) : Math.max(0, dt - late);
      again(dt);
      after = sources.voltage(s.demand(), total);
    }
    book(total, dt, s.speed() * dt);
    if (asked < 0) {
      books.refuse((total - asked) * before * dt);
    } else {
      books.withhold(Math.max(0, asked - total) * before * dt);
    }
    now += dt;
    record(atTheEnd(s.demand(), total));
    changed = late >= 0;
    if (a.late() >= late - SOONEST && a.late() >= 0) {
      a.open(now);
    }
    if (b.late() >= late - SOONEST && b.late() >= 0) {
      b.open(now);
    }
    if (low && beyond >= late - SOONEST) {
      handOver(new Outcome.MachineCutOut(after, cutOut));
    } else if (joining == Joining.SERIES ? a.open || b.open : !a.serves() && !b.serves()) {
      handOver(whatOpened());
    }
    return dt;
  }

  /** How long a step goes until the voltage at its end is the machine's cut-out, s. */
  private double toCutOut(
      Load.Demand demand, double total, double voltage, double dt, double after) {
    double from = 0;
    double above = voltage;
    double to = dt;
    double below = after;
    double found = dt;
    for (int k = 0; k < MOST_TRIALS; k++) {
      found = from + (to - from) * (above - cutOut) / (above - below);
      again(found);
      double volts = sources.voltage(demand, total);
      if (Math.abs(volts - cutOut) < CLOSE) {
        return found;
      }
      if (volts < cutOut) {
        to = found;
        below = volts;
      } else {
        from = found;
        above = volts;
      }
    }
    return found;
  }

  private void again(double dt) {
    a.again(dt);
    b.again(dt);
  }

  /** The current that meets a demand at this moment; the last one where it can no longer be had. */
  private double atTheEnd(Load.Demand demand, double last) {
    look();
    double i = sources.split(demand);
    return Double.isNaN(i) ? sources.split(new Load.Current(last)) : i;
  }

  private void look() {
    a.look();
    b.look();
  }

  private void lookAhead(double dt) {
    a.lookAhead(dt);
    b.lookAhead(dt);
  }

  private void book(double total, double dt, double way) {
    a.book(dt, way);
    b.book(dt, way);
    double through = joining == Joining.SERIES ? total : a.current() + b.current();
    double lost = through * sources.lost(total) * dt;
    books.path(lost);
    books.flow(total, a.energy() + b.energy() - lost, dt);
    books.move(way);
  }

  /** Takes note of the present moment at the current that flows. */
  private void record(double total) {
    double hottest = Math.max(a.temperature(), b.temperature());
    recorder.add(now, sources.voltage(total), total, hottest, soc(), books.distance());
    a.record(now);
    b.record(now);
  }

  /** What opened the pack that opened last. */
  private Outcome whatOpened() {
    return (b.open && !(a.openedAt() > b.openedAt()) ? b : a).why();
  }

  /** The present pack has ended: the reserve takes over, or the run ends. */
  private void handOver(Outcome why) {
    if (joining == Joining.SWITCH_OVER && b.waiting) {
      a.waiting = true;
      b.waiting = false;
      a.rests();
      changed = true;
      switchedAt = now;
    } else {
      ended = why;
    }
  }
}
