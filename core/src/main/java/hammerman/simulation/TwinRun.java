package hammerman.simulation;

import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.duty.Load;
import hammerman.guard.Guard;
import hammerman.pack.Assembly;
import java.util.Arrays;
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
 * @param served whether the load was served to its end
 * @param endTime when it ended, s
 * @param first what the first pack gave
 * @param second what the second pack gave
 * @param outerHeat heat in what both share: leads, fuse, switch, diodes, J
 * @param delivered net energy at the machine, J
 * @param time of each sample, s
 * @param voltage at the machine at each sample, V
 * @param switchedAt when the reserve took over, s; not a number if it never did
 */
@SuppressWarnings("ArrayRecordComponent")
public record TwinRun(
    Joining joining,
    boolean served,
    double endTime,
    Side first,
    Side second,
    double outerHeat,
    double delivered,
    double[] time,
    double[] voltage,
    double switchedAt) {

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
    SecondPack second = chain.design().second();
    if (second == null) {
      throw new IllegalArgumentException("the design has one pack only");
    }
    return of(chain, second, chain.design().duty().task().load());
  }

  static TwinRun of(Chain chain, SecondPack second, Load load) {
    return new Twins(chain, second, load).run();
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
    private boolean ended;

    Twins(Chain chain, SecondPack second, Load load) {
      Design design = chain.design();
      this.joining = second.joining();
      this.load = load;
      double ambient = design.duty().surroundings().hottestInUse();
      outer = design.guard().shared(ambient);
      cutOut = design.duty().machine().cutOutVoltage();
      mostOut = design.duty().machine().peakCurrent();
      mostBack = design.guard().allowedRegeneration(design.duty().machine().regenerationCurrent());
      int expected = (int) Math.min(2e6, load.duration() / STEP + load.steps().size() * 2.0 + 8);
      every = Math.max(1, expected / MOST_STEPS + 1);
      int size = expected / every + load.rounds() * load.steps().size() + 8;
      a = new Branch(chain.path().assembly(), design.guard(), second.firstSoc(), ambient, size);
      b =
          new Branch(
              Assembly.estimated(second.pack()), second.guard(), second.soc(), ambient, size);
      if (joining == Joining.SWITCH_OVER) {
        b.waiting = true;
      }
      time = new double[size];
      voltage = new double[size];
    }

    TwinRun run() {
      for (int round = 0; round < load.rounds() && !ended; round++) {
        for (Load.Step s : load.steps()) {
          go(s);
          if (ended) {
            break;
          }
        }
      }
      double[] t = Arrays.copyOf(time, samples);
      double[] v = Arrays.copyOf(voltage, samples);
      return new TwinRun(
          joining,
          !ended,
          now,
          a.side(samples),
          b.side(samples),
          outerHeat,
          delivered,
          t,
          v,
          switchedAt);
    }

    private void go(Load.Step s) {
      int parts = (int) Math.max(1, Math.ceil(s.duration() / STEP - 1e-9));
      double dt = s.duration() / parts;
      for (int k = 0; k < parts && !ended; k++) {
        advance(s.demand(), dt);
      }
    }

    private void advance(Load.Demand demand, double dt) {
      double total = split(demand);
      if (Double.isNaN(total)) {
        ended = true;
        return;
      }
      double before = machineVoltage(total);
      if (total > 0 && before < cutOut) {
        handOver();
        return;
      }
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
        handOver();
      }
    }

    private boolean closedOut() {
      return (a.open || a.waiting) && (b.open || b.waiting);
    }

    /** The present pack has ended: the reserve takes over, or the run ends. */
    private void handOver() {
      if (joining == Joining.SWITCH_OVER && b.waiting) {
        a.waiting = true;
        b.waiting = false;
        a.current = 0;
        switchedAt = now;
      } else {
        ended = true;
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
    private boolean waiting;
    private double charge;
    private double chemical;
    private double heat;
    private double peak;
    private double back;
    private double hottest;
    private double openedAt = Double.NaN;

    Branch(Assembly assembly, Guard guard, double soc, double ambient, int size) {
      state =
          new PackState(
              CellPopulation.alike(assembly.pack()),
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
