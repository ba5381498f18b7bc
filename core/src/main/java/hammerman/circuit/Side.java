package hammerman.circuit;

import hammerman.cell.CellType;
import hammerman.cell.Health;
import hammerman.chain.Chain;
import hammerman.chain.Path.Settling;
import hammerman.chain.Supply;
import hammerman.design.SecondPack.Joining;
import hammerman.guard.Bms;
import hammerman.guard.Fusing;
import hammerman.guard.Guard;
import hammerman.pack.Pack;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** One pack of the circuit with what it carries and who protects it. */
final class Side {
  /** Charge at which a short circuit is weakest and still deep: nearly empty. */
  private static final double LOW = 0.1;

  /** Resistance of worn cells over that of new ones; typical at the end of life. */
  private final Chain chain;

  final Supply.Branch branch;
  final boolean second;
  final double share;
  final List<Protector> protectors;

  /** Who is counted on to protect wire: fuses, and only where there are none the BMS. */
  final List<Protector> ofWire;

  final double hottest;
  final double coldest;

  Side(Chain chain, boolean second) {
    this.chain = chain;
    this.second = second;
    Supply supply = chain.supply();
    branch = second ? supply.second().orElseThrow() : supply.first();
    hottest = chain.design().duty().surroundings().hottestInUse();
    coldest = chain.design().duty().surroundings().coldestInUse();
    share = share(supply);
    List<Protector> all = new ArrayList<>();
    bms().ifPresent(b -> all.add(Protector.of(b)));
    guard().fuse().ifPresent(f -> all.add(Protector.of(f)));
    cellFuses().ifPresent(all::add);
    protectors = List.copyOf(all);
    ofWire =
        bms().isPresent() && all.size() > 1 ? List.copyOf(all.subList(1, all.size())) : protectors;
  }

  /** The largest share of the machine's current that it carries at any charge, hot or cold. */
  private double share(Supply supply) {
    if (supply.joining() == null) {
      return 1;
    }
    double most = 0;
    for (double current : new double[] {chain.demand().continuous(), chain.demand().peak()}) {
      for (double soc : new double[] {1, 0.5, 0.2}) {
        for (double kelvin : new double[] {coldest, hottest}) {
          Supply.Split s = supply.split(current, soc, kelvin, Settling.TEN_SECONDS);
          most = Math.max(most, (second ? s.second() : s.first()) / current);
        }
      }
    }
    return Math.max(most, 0.01);
  }

  Pack pack() {
    return branch.pack();
  }

  CellType cell() {
    return pack().cell();
  }

  Guard guard() {
    return branch.guard();
  }

  /** The BMS that can open the discharge, if there is one. */
  Optional<Bms> bms() {
    return guard().protection().inDischargePath();
  }

  Optional<Protector> cellFuses() {
    return guard().fusing() instanceof Fusing.MainAndCells f
        ? Optional.of(Protector.cellFuses(f.fuse(), f.cellRating(), pack().parallel()))
        : Optional.empty();
  }

  Part part(Part.Kind kind, String name) {
    return new Part(kind, second, name);
  }

  /** The current that braking may push into it, A. */
  double braking() {
    double back = chain.design().duty().machine().regenerationCurrent();
    return chain.supply().joining() == Joining.DIODES
        ? 0
        : share * guard().allowedRegeneration(back);
  }

  /** The voltage across its own parts when they open, V. */
  double across() {
    Joining joining = chain.supply().joining();
    return joining == Joining.SERIES || joining == Joining.PARALLEL
        ? chain.supply().highest()
        : branch.highest();
  }

  /** Resistance of the lead before the fuse, Ω. */
  private double lead() {
    return guard().wiring().wire().resistance(guard().wiring().leads().packToFuse(), hottest);
  }

  /** Short-circuit current of this pack alone at its fuse: full, warm, A. */
  double own() {
    return pack().fullVoltage() / (branch.bare(1, hottest, Settling.OHMIC) + lead());
  }

  /** The largest short-circuit current at its fuse with every source that feeds it, A. */
  double mostFault() {
    Supply supply = chain.supply();
    if (supply.joining() == null) {
      return own();
    }
    Supply.Branch other = second ? supply.first() : supply.second().orElseThrow();
    double bare = branch.bare(1, hottest, Settling.OHMIC) + lead();
    double theirs = other.resistance(1, hottest, Settling.OHMIC);
    return switch (supply.joining()) {
      case SERIES ->
          Math.max(own(), (pack().fullVoltage() + other.pack().fullVoltage()) / (bare + theirs));
      case PARALLEL ->
          Math.max(own(), other.pack().fullVoltage() / (theirs + guard().own(hottest)));
      case DIODES, SWITCH_OVER -> own();
    };
  }

  /**
   * The smallest short-circuit current, at the far end of the leads: nearly empty, cold, worn, A.
   */
  double leastFault() {
    double outer = guard().own(coldest) + branch.shared().shared(coldest);
    return leastFault(outer);
  }

  /** The smallest short-circuit current through a resistance (Ω) outside the pack, A. */
  double leastFault(double outer) {
    double fresh = branch.bare(LOW, coldest, Settling.TEN_SECONDS);
    double strips = branch.assembly().stripResistance(coldest);
    return branch.openCircuit(LOW) / (Health.WORN_RESISTANCE * (fresh - strips) + strips + outer);
  }
}
