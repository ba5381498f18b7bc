package hammerman.simulation;

import hammerman.cell.Health;
import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.duty.Load;
import hammerman.numeric.Source;
import hammerman.pack.Assembly;
import java.util.Arrays;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import org.jspecify.annotations.Nullable;

/** Two packs under way: goes through the load step by step and keeps the books of both. */
final class Twins implements Unloaded {
  private static final double STEP = 1;
  private static final int MOST_SAMPLES = 14_400;

  /** Ends are found to within this, s. */
  private static final double SOONEST = 1e-9;

  private final Joining joining;
  private final Load load;
  private final double outer;
  private final double cutOut;
  private final double mostOut;
  private final double mostBack;
  private final Branch a;
  private final Branch b;
  private final Recorder recorder;
  private final double[] times;
  private final int every;
  private int samples;
  private int steps;
  private double now;
  private double out;
  private double back;
  private double energyOut;
  private double energyBack;
  private double outerHeat;
  private double withheld;
  private double refused;
  private double distance;
  private double switchedAt = Double.NaN;
  private @Nullable Outcome ended;

  /** Current that was asked for before limits, and the source it was asked of. */
  private double asked;

  private double source;
  private double behind;

  Twins(Chain chain, SecondPack second, Load load, double ambient, Health worn) {
    Design design = chain.design();
    this.joining = second.joining();
    this.load = load;
    outer = design.guard().shared(ambient);
    cutOut = design.duty().machine().cutOutVoltage();
    mostOut = design.duty().machine().peakCurrent();
    mostBack = design.guard().allowedRegeneration(design.duty().machine().regenerationCurrent());
    int expected = (int) Math.min(2e6, load.duration() / STEP + load.steps().size() * 2.0 + 8);
    every = Math.max(1, expected / MOST_SAMPLES + 1);
    int size = expected / every + load.rounds() * load.steps().size() + 8;
    Assembly laid = chain.path().assembly();
    a = new Branch(laid, design.guard(), second.firstSoc(), ambient, worn, size);
    Assembly other = Assembly.estimated(second.pack());
    b = new Branch(other, second.guard(), second.soc(), ambient, worn, size);
    b.waiting = joining == Joining.SWITCH_OVER;
    recorder = Recorder.tracing(size);
    times = new double[size];
  }

  /** The same packs with the rest of their load. */
  private Twins(Twins before, Load rest) {
    joining = before.joining;
    load = rest;
    outer = before.outer;
    cutOut = before.cutOut;
    mostOut = before.mostOut;
    mostBack = before.mostBack;
    every = before.every;
    a = before.a;
    b = before.b;
    recorder = Recorder.tracing(before.times.length);
    times = new double[before.times.length];
  }

  TwinRun run() {
    Run both = through();
    TwinRun.Side first = a.side(samples);
    TwinRun.Side second = b.side(samples);
    Optional<Recovery> recovery = new Rest(this, load, STEP).after(both);
    return new TwinRun(
        joining, both, first, second, Arrays.copyOf(times, samples), switchedAt, recovery);
  }

  private Run through() {
    see(machineVoltage(0), 0);
    for (int round = 0; round < load.rounds() && ended == null; round++) {
      for (Load.Step s : load.steps()) {
        if (Thread.currentThread().isInterrupted()) {
          throw new CancellationException("the run was given up after " + now + " s");
        }
        go(s);
        if (ended != null) {
          break;
        }
      }
    }
    return new Run(
        ended == null ? new Outcome.Complete() : ended,
        now,
        soc(),
        new Run.Totals(
            out,
            back,
            energyOut,
            energyBack,
            a.chemical() + b.chemical(),
            a.cellHeat() + b.cellHeat(),
            a.pathHeat() + b.pathHeat() + outerHeat,
            refused,
            withheld,
            distance),
        recorder.extremes(),
        recorder.trace(),
        Optional.empty());
  }

  @Override
  public void rest(double dt) {
    split(new Load.Current(0));
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
    split(new Load.Current(0));
    return machineVoltage(0);
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

  private void go(Load.Step s) {
    int parts = (int) Math.max(1, Math.ceil(s.duration() / STEP - 1e-9));
    double dt = s.duration() / parts;
    for (int k = 0; k < parts; k++) {
      double left = dt;
      // A pack that opens within a step cuts it short; the other goes on with the rest.
      while (left > SOONEST && ended == null) {
        double taken = advance(s.demand(), left);
        distance += s.speed() * taken;
        left -= taken;
      }
    }
  }

  /** Goes on by at most {@code longest} seconds; returns how far. */
  private double advance(Load.Demand demand, double longest) {
    double total = split(demand);
    if (Double.isNaN(total)) {
      double watts = demand instanceof Load.Power p ? p.watts() : 0;
      ended = new Outcome.CannotDeliver(watts, source * source / (4 * (behind + outer)));
      return 0;
    }
    double before = machineVoltage(total);
    if (total > 0 && before < cutOut) {
      see(before, total);
      handOver(new Outcome.MachineCutOut(before, cutOut));
      return 0;
    }
    a.step(longest);
    b.step(longest);
    double after = machineVoltage(total);
    boolean low = total > 0 && after < cutOut;
    double beyond = low ? longest * (cutOut - after) / (before - after) : -1;
    double late = Math.max(beyond, Math.max(a.late(), b.late()));
    double dt = longest;
    if (late > SOONEST) {
      // The step reached beyond the first event in it: it is taken anew, as short as it should be.
      dt = Math.max(0, longest - late);
      a.again(dt);
      b.again(dt);
      after = machineVoltage(total);
    }
    book(total, before, after, dt);
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

  private void book(double total, double before, double after, double dt) {
    double energy = 0.5 * (before + after) * total * dt;
    if (total >= 0) {
      out += total * dt / 3600;
      energyOut += energy;
    } else {
      back -= total * dt / 3600;
      energyBack -= energy;
    }
    withheld += Math.max(0, asked - total) * before * dt;
    refused += asked < 0 ? (total - asked) * before * dt : 0;
    double diodes = joining == Joining.DIODES ? TwinRun.DIODE_DROP * (a.current + b.current) : 0;
    outerHeat += (total * total * outer + diodes) * dt;
    a.book(dt);
    b.book(dt);
    see(before, total);
    now += dt;
    see(after, total);
    if (steps++ % every == 0 && samples < times.length) {
      recorder.add(now, after, total, hottest(), soc(), distance);
      times[samples] = now;
      a.record(samples);
      b.record(samples++);
    }
  }

  private void see(double voltage, double current) {
    recorder.see(now, voltage, current, hottest());
  }

  private double hottest() {
    return Math.max(a.temperature(), b.temperature());
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
      a.current = 0;
      switchedAt = now;
    } else {
      ended = why;
    }
  }

  /** Gives each pack its current; returns the current at the machine, NaN if it cannot be had. */
  private double split(Load.Demand demand) {
    a.current = 0;
    b.current = 0;
    if (joining == Joining.SERIES) {
      double i = wanted(demand, a.source() + b.source(), a.resistance() + b.resistance());
      a.current = i;
      b.current = i;
      return i;
    }
    if (joining == Joining.DIODES) {
      return diodes(demand);
    }
    if (!(a.serves() && b.serves())) {
      return alone(demand, a.serves() ? a : b, 0);
    }
    double g = 1 / a.resistance() + 1 / b.resistance();
    double e = (a.source() / a.resistance() + b.source() / b.resistance()) / g;
    double i = wanted(demand, e, 1 / g);
    double junction = e - i / g;
    a.current = (a.source() - junction) / a.resistance();
    b.current = (b.source() - junction) / b.resistance();
    return i;
  }

  private double diodes(Load.Demand demand) {
    if (!(a.serves() && b.serves())) {
      return Math.max(0, alone(demand, a.serves() ? a : b, TwinRun.DIODE_DROP));
    }
    double g = 1 / a.resistance() + 1 / b.resistance();
    double e = (a.source() / a.resistance() + b.source() / b.resistance()) / g - TwinRun.DIODE_DROP;
    double i = wanted(demand, e, 1 / g);
    if (Double.isNaN(i) || i <= 0) {
      return Double.isNaN(i) ? i : 0;
    }
    double junction = e - i / g + TwinRun.DIODE_DROP;
    double toA = (a.source() - junction) / a.resistance();
    double toB = (b.source() - junction) / b.resistance();
    if (toA < 0 || toB < 0) {
      return Math.max(0, alone(demand, toA < 0 ? b : a, TwinRun.DIODE_DROP));
    }
    a.current = toA;
    b.current = toB;
    return i;
  }

  private double alone(Load.Demand demand, Branch one, double drop) {
    double i = wanted(demand, one.source() - drop, one.resistance());
    one.current = Double.isNaN(i) || (drop > 0 && i < 0) ? 0 : i;
    return Double.isNaN(i) ? i : one.current;
  }

  /** The current that a demand draws from a source (V) with a resistance (Ω). */
  private double wanted(Load.Demand demand, double e, double r) {
    double i =
        switch (demand) {
          case Load.Current c -> c.amperes();
          case Load.Power p -> Source.current(e, r + outer, p.watts());
        };
    asked = i;
    source = e;
    behind = r;
    return Double.isNaN(i) ? i : Math.clamp(i, -mostBack, mostOut);
  }

  private double machineVoltage(double total) {
    if (joining == Joining.SERIES) {
      return a.source() + b.source() - total * (a.resistance() + b.resistance() + outer);
    }
    double drop = joining == Joining.DIODES ? TwinRun.DIODE_DROP : 0;
    Branch one = a.waiting || a.open || (a.current == 0 && b.current != 0) ? b : a;
    return one.source() - one.current * one.resistance() - drop - total * outer;
  }
}
