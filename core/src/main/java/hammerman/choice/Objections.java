package hammerman.choice;

import hammerman.chain.Chain;
import hammerman.chain.Demand;
import hammerman.design.Design;
import hammerman.guard.BmsClass;
import hammerman.guard.Connector;
import hammerman.guard.Fuse;
import hammerman.guard.FuseClass;
import hammerman.guard.Guard;
import hammerman.guard.Precharge;
import hammerman.guard.Protection;
import hammerman.guard.Switch;
import hammerman.guard.Wire;
import hammerman.unit.Figures;
import hammerman.unit.Unit;

/**
 * What stands against a part for a duty; empty if nothing.
 *
 * @param design the design
 * @param chain its demands
 * @param hottest air, K
 * @param highest voltage of the pack, V
 */
record Objections(Design design, Chain chain, double hottest, double highest) {
  private static final double MOST_FIRST_CURRENT = 10;
  private static final double MOST_DROP = 0.03;

  /** A fuse as sold. */
  record Size(FuseClass kind, double rating) {}

  double least(FuseClass kind) {
    return Fuse.smallestRating(
        kind, demand().continuous(), demand().peak(), demand().peakDuration());
  }

  String bms(BmsClass b, Guard guard) {
    boolean path = guard.protection() instanceof Protection.DischargePath;
    double back = design.duty().machine().regenerationCurrent();
    if (path && b.continuousCurrent() < demand().continuous()) {
      return "carries less than the " + amperes(demand().continuous()) + " of the duty";
    }
    if (path && b.overCurrent() < demand().peak()) {
      return "opens at the hardest moment's " + amperes(demand().peak());
    }
    if (b.chargeCurrent() < guard.charge().current()) {
      return "lets in less than the charger's " + amperes(guard.charge().current());
    }
    if (path && b.chargeCurrent() < back) {
      return "lets in less than the " + amperes(back) + " of braking";
    }
    return b.mosfetVoltage() < highest ? "blocks less than " + volts(highest) : "";
  }

  String fuse(Size s, double upper) {
    if (s.rating() < least(s.kind())) {
      return "may blow in use";
    }
    if (s.kind().voltageRating() < highest) {
      return "cannot break " + volts(highest);
    }
    if (s.kind().interruptRating() < chain.shortCircuitCurrent()) {
      return "cannot break the short-circuit current";
    }
    return s.rating() > upper ? "does not protect the wire" : "";
  }

  String wire(Wire w, double protectedAt, Guard guard) {
    if (w.ampacity(hottest) < Math.max(protectedAt, demand().continuous())) {
      return "the fuse of " + amperes(protectedAt) + " would not protect it";
    }
    if (w.shortTimeAmpacity(hottest, demand().peakDuration()) < demand().peak()) {
      return "the hardest moment would overheat it";
    }
    double lost = demand().continuous() * guard.wiring().withWire(w).resistance(hottest);
    return lost > MOST_DROP * design.pack().nominalVoltage()
        ? "loses more than 3 % of the voltage"
        : "";
  }

  String connector(Connector c) {
    if (c.continuous() < demand().continuous()) {
      return "carries only " + amperes(c.continuous());
    }
    if (c.peak() < demand().peak()) {
      return "stands only " + amperes(c.peak()) + " for 10 s";
    }
    return c.voltageRating() < highest ? "is not made for " + volts(highest) : "";
  }

  String mainSwitch(Switch s) {
    if (s.continuous() < demand().continuous()) {
      return "carries only " + amperes(s.continuous());
    }
    return s.voltageRating() < highest ? "breaks only " + volts(s.voltageRating()) : "";
  }

  String precharge(Precharge p, double energy) {
    if (p.pulseEnergy() < energy) {
      return "stands only " + Figures.of(p.pulseEnergy(), Unit.JOULE) + " a start";
    }
    return p.current(highest) > MOST_FIRST_CURRENT
        ? "begins with " + amperes(p.current(highest)) + " and sparks itself"
        : "";
  }

  private Demand demand() {
    return chain.demand();
  }

  static String amperes(double a) {
    return Figures.compact(a) + " A";
  }

  static String volts(double v) {
    return Figures.of(v, Unit.VOLT, 1);
  }
}
