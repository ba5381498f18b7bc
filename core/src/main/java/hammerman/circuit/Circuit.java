package hammerman.circuit;

import hammerman.chain.Chain;
import hammerman.chain.Layout;
import hammerman.design.Design;
import hammerman.guard.Guard;
import hammerman.interconnect.Network;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The circuit of a design: its packs, what stands between them and the machine, and the charge
 * side. Every pack is a pack: the second is walked by the same code as the first.
 *
 * <p>Neglects inductance (a fault's current is there at once), the resistance of the fault itself,
 * and that a fuse grows weaker in hot air.
 */
public final class Circuit {
  /** How far above full a cell may be charged, V: what meters of the hobby can tell. */
  public static final double CHARGE_TOLERANCE = 0.010;

  private final Chain chain;
  private final List<Side> sides = new ArrayList<>();
  private final List<Link> links = new ArrayList<>();
  private final DutyCurve duty;
  private final Optional<Network> network;

  private Circuit(Chain chain, Optional<Network> network, DutyCurve duty) {
    this.chain = chain;
    this.network = network;
    this.duty = duty;
    sides.add(new Side(chain, false));
    if (chain.supply().second().isPresent()) {
      sides.add(new Side(chain, true));
    }
    sides.forEach(s -> links.addAll(new Links(this, s).own()));
    links.addAll(Links.shared(this));
    sides.forEach(s -> links.addAll(new Links(this, s).charging()));
  }

  /** Builds the circuit of a design. */
  public static Circuit of(Chain chain, Optional<Layout> layout) {
    return new Circuit(
        chain, layout.flatMap(Layout::solved).map(Layout.Solved::network), new DutyCurve(chain));
  }

  /**
   * Returns the circuit with other parts around the first pack; the duty's currents are kept, which
   * parts hardly change.
   */
  public Circuit rewired(Guard guard) {
    return new Circuit(chain.rewired(guard), network, duty);
  }

  /** Returns the rows of a few kinds of part, for choosing among many. */
  public List<Stress> stresses(Set<Part.Kind> kinds) {
    Table t = new Table();
    Side s = first();
    if (kinds.contains(Part.Kind.BMS)) {
      new BmsStresses(this, s).fill(t);
    }
    if (kinds.contains(Part.Kind.FUSE)) {
      new FuseStresses(s).fill(t);
    }
    if (kinds.stream().anyMatch(k -> k.ordinal() >= Part.Kind.CHARGER.ordinal())) {
      new ChargeStresses(s).fill(t);
    }
    new PathStresses(this).fill(t);
    new LinkStresses(this).fill(t, kinds);
    return t.rows().stream().filter(r -> kinds.contains(r.part().kind())).toList();
  }

  /** Returns the stress table: every part, every way, its worst value. */
  public List<Stress> stresses() {
    Table t = new Table();
    for (Side s : sides) {
      new CellStresses(this, s).fill(t);
      new BmsStresses(this, s).fill(t);
      new FuseStresses(s).fill(t);
      new ChargeStresses(s).fill(t);
    }
    new PathStresses(this).fill(t);
    new LinkStresses(this).fill(t);
    new MachineStresses(this).fill(t);
    JunctionStresses.fill(this, t);
    RestStresses.fill(this, t);
    ReadyMadeStresses.fill(this, t);
    return List.copyOf(t.rows());
  }

  /** Returns only the rows that cells and counts decide, for quick looks at many designs. */
  public List<Stress> stackStresses() {
    Table t = new Table();
    sides.forEach(s -> new CellStresses(this, s).currents(t));
    new LinkStresses(this).strips(t);
    new MachineStresses(this).fill(t);
    return List.copyOf(t.rows());
  }

  /** Returns the parts that carry current, from the cells outwards, then the charge side. */
  public List<Link> links() {
    return List.copyOf(links);
  }

  /**
   * Returns how much of what a link stands is left when the duty, or the charger, asks its most of
   * it: 1 is idle, 0 exactly at a limit, below 0 over it.
   */
  public double margin(Link link) {
    if (link.charging()) {
      return 1 - chargeCurrent(link) / link.continuous();
    }
    int k = duty.worst(link.share(), link.stands());
    return 1 - link.share() * duty.amperes(k) / link.stands().at(duty.seconds(k));
  }

  /** Returns the current of the charger that feeds the pack of a link, A. */
  public double chargeCurrent(Link link) {
    return sides.get(link.part().second() ? 1 : 0).guard().charge().current();
  }

  /** Returns the link of the main circuit with the least margin. */
  public Link weakest() {
    return links.stream()
        .filter(l -> !l.charging())
        .min(Comparator.comparingDouble(this::margin))
        .orElseThrow();
  }

  /** Returns the duty's current against duration. */
  public DutyCurve duty() {
    return duty;
  }

  /** Returns the design point. */
  public Chain chain() {
    return chain;
  }

  /** Returns the design. */
  public Design design() {
    return chain.design();
  }

  /** Returns the largest short-circuit current at the main fuse of a pack, A. */
  public double shortCircuitCurrent(boolean second) {
    return sides.get(second ? 1 : 0).mostFault();
  }

  List<Side> sides() {
    return sides;
  }

  Side first() {
    return sides.getFirst();
  }

  Optional<Side> second() {
    return sides.size() > 1 ? Optional.of(sides.get(1)) : Optional.empty();
  }

  /** The currents of the first pack's layout, if it is known. */
  Optional<Network> network(Side s) {
    return s.second ? Optional.empty() : network;
  }
}
