package hammerman.simulation;

import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.duty.Load;
import hammerman.numeric.Source;

/**
 * Two packs at their junction, each a source E behind its resistance R: who gives what. In parallel
 * V = (Σ E/R − I) / Σ 1/R; diodes let current out only. A pack that is full takes none, as the
 * other's or as the machine's, while it goes on giving.
 */
final class TwinSources {
  private final Joining joining;
  private final double outer;
  private final double mostOut;
  private final double mostBack;
  private final Branch a;
  private final Branch b;

  /** Current that was asked for before limits, and the source it was asked of. */
  private double asked;

  private double emf;
  private double ohms;

  /** What gives at this moment, V, and its resistance, Ω. */
  private double present;

  private double behind;

  /**
   * @param outer resistance that both share, Ω
   * @param mostOut current limit of the machine, A
   * @param mostBack highest current taken back, A
   */
  TwinSources(Joining joining, double outer, double mostOut, double mostBack, Branch a, Branch b) {
    this.joining = joining;
    this.outer = outer;
    this.mostOut = mostOut;
    this.mostBack = mostBack;
    this.a = a;
    this.b = b;
  }

  /** The current asked for in the last split, before any limit, A. */
  double asked() {
    return asked;
  }

  /** The most that could be had of the source in the last split, W. */
  double mostPower() {
    return emf * emf / (4 * (ohms + outer));
  }

  /** What the machine's current drops before it, V, where none of the packs is meant. */
  double lost(double total) {
    return total * outer + drop();
  }

  private double drop() {
    return joining == Joining.DIODES ? SecondPack.DIODE_DROP : 0;
  }

  /** Gives each pack its current; returns the current at the machine, NaN if it cannot be had. */
  double split(Load.Demand demand) {
    a.rests();
    b.rests();
    return switch (joining) {
      case SERIES -> series(demand);
      case PARALLEL -> a.serves() && b.serves() ? parallel(demand) : alone(demand, one());
      case DIODES -> a.serves() && b.serves() ? diodes(demand) : alone(demand, one());
      case SWITCH_OVER -> alone(demand, one());
    };
  }

  private Branch one() {
    return a.serves() ? a : b;
  }

  private double series(Load.Demand demand) {
    double i = wanted(demand, a.emf + b.emf, a.ohms + b.ohms);
    if (i < 0 && !(a.takes(i) && b.takes(i))) {
      i = 0;
    }
    a.gives(i);
    b.gives(i);
    return i;
  }

  private double parallel(Load.Demand demand) {
    double g = 1 / a.ohms + 1 / b.ohms;
    double e = (a.emf / a.ohms + b.emf / b.ohms) / g;
    double i = wanted(demand, e, 1 / g);
    double junction = e - i / g;
    double toA = (a.emf - junction) / a.ohms;
    double toB = (b.emf - junction) / b.ohms;
    if (toA < 0 && !a.takes(toA)) {
      return alone(demand, b);
    }
    if (toB < 0 && !b.takes(toB)) {
      return alone(demand, a);
    }
    a.gives(toA);
    b.gives(toB);
    return i;
  }

  private double diodes(Load.Demand demand) {
    double g = 1 / a.ohms + 1 / b.ohms;
    double e = (a.emf / a.ohms + b.emf / b.ohms) / g - drop();
    double i = wanted(demand, e, 1 / g);
    double junction = e - i / g + drop();
    if (Double.isNaN(i)) {
      return i;
    }
    if (i <= 0) {
      (a.emf > b.emf ? a : b).gives(0);
      return 0;
    }
    double toA = (a.emf - junction) / a.ohms;
    double toB = (b.emf - junction) / b.ohms;
    if (toA < 0 || toB < 0) {
      return alone(demand, toA < 0 ? b : a);
    }
    a.gives(toA);
    b.gives(toB);
    return i;
  }

  private double alone(Load.Demand demand, Branch one) {
    double i = wanted(demand, one.emf - drop(), one.ohms);
    boolean refused = i < 0 && (joining == Joining.DIODES || !one.takes(i));
    double given = refused ? 0 : i;
    one.gives(Double.isNaN(given) ? 0 : given);
    return given;
  }

  /** The current that a demand draws from a source (V) with a resistance (Ω). */
  private double wanted(Load.Demand demand, double e, double r) {
    asked =
        switch (demand) {
          case Load.Current c -> c.amperes();
          case Load.Power p -> Source.current(e, r + outer, p.watts());
        };
    emf = e;
    ohms = r;
    return Double.isNaN(asked) ? asked : Math.clamp(asked, -mostBack, mostOut);
  }

  /** Voltage at the machine at a current, of the packs that gave in the last split, V. */
  double voltage(double total) {
    see();
    return present - total * behind - lost(total);
  }

  /** The same under a demand; at the last current where it can no longer be had. */
  double voltage(Load.Demand demand, double last) {
    see();
    double i = wanted(demand, present - drop(), behind);
    return present - (Double.isNaN(i) ? last : i) * behind - lost(Double.isNaN(i) ? last : i);
  }

  /** The packs that gave in the last split as one source, as they are at this moment. */
  private void see() {
    if (joining == Joining.SERIES) {
      present = a.source() + b.source();
      behind = a.resistance() + b.resistance();
    } else if (a.conducts() && b.conducts()) {
      behind = 1 / (1 / a.resistance() + 1 / b.resistance());
      present = (a.source() / a.resistance() + b.source() / b.resistance()) * behind;
    } else {
      Branch one = b.conducts() ? b : a;
      present = one.source();
      behind = one.resistance();
    }
  }
}
