package hammerman.simulation;

import hammerman.cell.Health;
import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.duty.Load;
import hammerman.guard.Guard;
import hammerman.pack.Assembly;
import java.util.Arrays;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Two packs through a whole duty: the first and the second of a design, joined as it says.
 *
 * <p>In parallel each pack is a source E behind its resistance R; the junction takes the voltage at
 * which the currents add up to the load's: V = (Σ E/R − I) / Σ 1/R. Diodes let current out only and
 * drop 0.4 V. A pack whose BMS opens leaves the other alone. A reserve takes over when the first
 * has ended. Currents are constant over a step of 1 s; both packs keep their own temperature.
 *
 * @param joining how they were joined
 * @param outcome how it ended; a pack that opens ends it only if the other cannot go on
 * @param endTime when it ended, s
 * @param first what the first pack gave
 * @param second what the second pack gave
 * @param outerHeat heat in what both share: leads, fuse, switch, diodes, J
 * @param delivered net energy at the machine, J
 * @param time of each sample, s
 * @param voltage at the machine at each sample, V
 * @param switchedAt when the reserve took over, s; not a number if it never did
 * @param withheld energy asked for above the machine's current limit, J
 * @param refused braking energy that could not be taken back, J
 * @param distance way covered, m
 */
@SuppressWarnings("ArrayRecordComponent")
public record TwinRun(
    Joining joining,
    Outcome outcome,
    double endTime,
    Side first,
    Side second,
    double outerHeat,
    double delivered,
    double[] time,
    double[] voltage,
    double switchedAt,
    double withheld,
    double refused,
    double distance) {

  /** Forward drop of the diodes, V; typical of a Schottky pair. */
  public static final double DIODE_DROP = 0.4;

  private static final double STEP = 1;
  private static final int MOST_STEPS = 14_400;

  /**
   * One pack's part in it.
   *
   * @param charge net charge out, Ah
   * @param chemical energy taken from its open-circuit voltage, J
   * @param heat in its cells, strips and own path, J
   * @param peak highest current out, A
   * @param back highest current that the other pack or braking pushed into it, A
   * @param endSoc state of charge at the end, 0 to 1
   * @param hottest highest temperature, K
   * @param openedAt when its own protection opened, s; not a number if it never did
   * @param current at each sample, A
   * @param soc at each sample, 0 to 1
   */
  @SuppressWarnings("ArrayRecordComponent")
  public record Side(
      double charge,
      double chemical,
      double heat,
      double peak,
      double back,
      double endSoc,
      double hottest,
      double openedAt,
      double[] current,
      double[] soc) {}

  /** Whether all was done that was asked for, as {@link Run#served()}. */
  public boolean served() {
    return asRun().served();
  }

  /**
   * Returns the two as one run: net of what braking gave back, without a trace. The state of charge
   * is that of the emptier pack in series, where the first to be empty ends it, else the mean.
   */
  public Run asRun() {
    boolean series = joining == Joining.SERIES;
    double out = series ? first.charge() : first.charge() + second.charge();
    double soc =
        series
            ? Math.min(first.endSoc(), second.endSoc())
            : 0.5 * (first.endSoc() + second.endSoc());
    double peak = series ? first.peak() : first.peak() + second.peak();
    double lowest = Arrays.stream(voltage).min().orElse(0);
    return new Run(
        outcome,
        endTime,
        soc,
        new Run.Totals(
            /* delivered= */ out,
            0,
            /* energyOut= */ delivered,
            0,
            first.chemical() + second.chemical(),
            first.heat() + second.heat(),
            outerHeat,
            refused,
            withheld,
            distance),
        new Run.Extremes(
            lowest, 0, peak, peak * lowest, Math.max(first.hottest(), second.hottest())),
        Trace.NONE,
        Optional.empty());
  }

  /** Returns the energy balance error as a share of what was taken from the cells. */
  public double imbalance() {
    double taken = first.chemical() + second.chemical();
    double left = taken - delivered - outerHeat - first.heat() - second.heat();
    return left / Math.max(1, Math.abs(taken));
  }

  /**
   * Runs the duty of a design with a second pack, in the hottest air; how the second is put
   * together is estimated.
   *
   * @throws IllegalArgumentException if the design has no second pack
   */
  public static TwinRun of(Chain chain) {
    return of(chain, chain.design().duty().surroundings().hottestInUse(), Health.NEW);
  }

  /**
   * Runs the duty in air of a temperature (K), the cells of both packs worn further.
   *
   * @throws IllegalArgumentException if the design has no second pack
   */
  public static TwinRun of(Chain chain, double air, Health worn) {
    SecondPack second = chain.design().second();
    if (second == null) {
      throw new IllegalArgumentException("the design has one pack only");
    }
    return new Twins(chain, second, chain.design().duty().task().load(), air, worn).run();
  }

  static TwinRun of(Chain chain, SecondPack second, Load load) {
    double hottest = chain.design().duty().surroundings().hottestInUse();
    return new Twins(chain, second, load, hottest, Health.NEW).run();
  }

  /** The two packs under way. */
  private static final class Twins {
    private final Joining joining;
    private final Load load;
    private final double outer;
    private final double cutOut;
    private final double mostOut;
    private final double mostBack;
    private final Branch a;
    private final Branch b;
    private final double[] time;
    private final double[] voltage;
    private final int every;
    private int samples;
    private int steps;
    private double now;
    private double delivered;
    private double outerHeat;
    private double switchedAt = Double.NaN;
    private @Nullable Outcome ended;
    private double withheld;
    private double refused;
    private double distance;

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
      every = Math.max(1, expected / MOST_STEPS + 1);
      int size = expected / every + load.rounds() * load.steps().size() + 8;
      Assembly laid = chain.path().assembly();
      a = new Branch(laid, design.guard(), second.firstSoc(), ambient, worn, size);
      Assembly other = Assembly.estimated(second.pack());
      b = new Branch(other, second.guard(), second.soc(), ambient, worn, size);
      if (joining == Joining.SWITCH_OVER) {
        b.waiting = true;
      }
      time = new double[size];
      voltage = new double[size];
    }

    TwinRun run() {
      for (int round = 0; round < load.rounds() && ended == null; round++) {
        for (Load.Step s : load.steps()) {
          go(s);
          if (ended != null) {
            break;
          }
        }
      }
      double[] t = Arrays.copyOf(time, samples);
      double[] v = Arrays.copyOf(voltage, samples);
      return new TwinRun(
          joining,
          ended == null ? new Outcome.Complete() : ended,
          now,
          a.side(samples),
          b.side(samples),
          outerHeat,
          delivered,
          t,
          v,
          switchedAt,
          withheld,
          refused,
          distance);
    }

    private void go(Load.Step s) {
      int parts = (int) Math.max(1, Math.ceil(s.duration() / STEP - 1e-9));
      double dt = s.duration() / parts;
      for (int k = 0; k < parts && ended == null; k++) {
        double before = now;
        advance(s.demand(), dt);
        distance += s.speed() * (now - before);
      }
    }

    private void advance(Load.Demand demand, double dt) {
      double total = split(demand);
      if (Double.isNaN(total)) {
        double watts = demand instanceof Load.Power p ? p.watts() : 0;
        ended = new Outcome.CannotDeliver(watts, source * source / (4 * (behind + outer)));
        return;
      }
      double before = machineVoltage(total);
      if (total > 0 && before < cutOut) {
        handOver(new Outcome.MachineCutOut(before, cutOut));
        return;
      }
      withheld += Math.max(0, asked - total) * before * dt;
      refused += asked < 0 ? (total - asked) * before * dt : 0;
      a.step(dt);
      b.step(dt);
      double after = machineVoltage(total);
      double diodes = joining == Joining.DIODES ? DIODE_DROP * (a.current + b.current) : 0;
      delivered += 0.5 * (before + after) * total * dt;
      outerHeat += (total * total * outer + diodes) * dt;
      now += dt;
      if (steps++ % every == 0 && samples < time.length) {
        time[samples] = now;
        voltage[samples] = after;
        a.record(samples);
        b.record(samples++);
      }
      a.check(now);
      b.check(now);
      if (joining == Joining.SERIES ? a.open || b.open : closedOut()) {
        handOver(whatOpened());
      }
    }

    private boolean closedOut() {
      return (a.open || a.waiting) && (b.open || b.waiting);
    }

    /** What opened the pack that opened last. */
    private Outcome whatOpened() {
      Branch last = b.open && !(a.openedAt > b.openedAt) ? b : a;
      Outcome why = last.why;
      return why == null ? new Outcome.Empty(Outcome.Place.EVERY) : why;
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
      boolean first = !a.open && !a.waiting;
      boolean other = !b.open && !b.waiting;
      if (joining == Joining.DIODES) {
        return diodes(demand, first, other);
      }
      if (!(first && other)) {
        return alone(demand, first ? a : b, 0);
      }
      double g = 1 / a.resistance() + 1 / b.resistance();
      double e = (a.source() / a.resistance() + b.source() / b.resistance()) / g;
      double i = wanted(demand, e, 1 / g);
      double junction = e - i / g;
      a.current = (a.source() - junction) / a.resistance();
      b.current = (b.source() - junction) / b.resistance();
      return i;
    }

    private double diodes(Load.Demand demand, boolean first, boolean other) {
      if (!(first && other)) {
        return Math.max(0, alone(demand, first ? a : b, DIODE_DROP));
      }
      double g = 1 / a.resistance() + 1 / b.resistance();
      double e = (a.source() / a.resistance() + b.source() / b.resistance()) / g - DIODE_DROP;
      double i = wanted(demand, e, 1 / g);
      if (Double.isNaN(i) || i <= 0) {
        return Double.isNaN(i) ? i : 0;
      }
      double junction = e - i / g + DIODE_DROP;
      double toA = (a.source() - junction) / a.resistance();
      double toB = (b.source() - junction) / b.resistance();
      if (toA < 0 || toB < 0) {
        return Math.max(0, alone(demand, toA < 0 ? b : a, DIODE_DROP));
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
            case Load.Power p -> {
              double root = e * e - 4 * (r + outer) * p.watts();
              yield root < 0 ? Double.NaN : 2 * p.watts() / (e + Math.sqrt(root));
            }
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
      double drop = joining == Joining.DIODES ? DIODE_DROP : 0;
      Branch one = a.waiting || a.open || (a.current == 0 && b.current != 0) ? b : a;
      return one.source() - one.current * one.resistance() - drop - total * outer;
    }
  }

  /** One pack with its books. */
  private static final class Branch {
    private final PackState state;
    private final Watch watch;
    private final double[] currents;
    private final double[] socs;
    private double current;
    private @Nullable Outcome ended;
    private double late;
    private boolean open;
    private @Nullable Outcome why;
    private boolean waiting;
    private double charge;
    private double chemical;
    private double heat;
    private double peak;
    private double back;
    private double hottest;
    private double openedAt = Double.NaN;

    Branch(Assembly assembly, Guard guard, double soc, double ambient, Health worn, int size) {
      state =
          new PackState(
              CellPopulation.alike(assembly.pack()).worn(worn),
              assembly,
              new PackState.Leads(guard.own(ambient), guard.inBox(ambient)),
              soc,
              ambient,
              null);
      watch = new Watch(state, Limits.ofBranch(assembly.pack(), guard));
      currents = new double[size];
      socs = new double[size];
      hottest = ambient;
    }

    double source() {
      return state.innerVoltage();
    }

    double resistance() {
      return state.pathResistance();
    }

    void step(double dt) {
      double left = state.timeToEmpty(current);
      Outcome already = watch.before(current);
      state.step(current, dt);
      Outcome now = watch.after(current, dt, left <= dt);
      ended = already == null ? now : already;
      late = watch.late();
      charge += current * dt / 3600;
      chemical += state.chemical();
      heat +=
          state.cellHeat() + state.stripHeat() + current * current * state.leadResistance() * dt;
      peak = Math.max(peak, current);
      back = Math.max(back, -current);
      hottest = Math.max(hottest, state.temperature());
    }

    void check(double now) {
      boolean full = current < 0 && state.fullest() >= 1;
      if (!open && (ended != null || full)) {
        open = true;
        why = ended;
        openedAt = now - late;
      }
    }

    void record(int k) {
      currents[k] = current;
      socs[k] = state.soc();
    }

    Side side(int samples) {
      return new Side(
          charge,
          chemical,
          heat,
          peak,
          back,
          state.soc(),
          hottest,
          openedAt,
          Arrays.copyOf(currents, samples),
          Arrays.copyOf(socs, samples));
    }
  }
}
