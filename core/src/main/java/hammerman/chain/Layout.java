package hammerman.chain;

import hammerman.cell.CellCircuit;
import hammerman.design.Design;
import hammerman.fit.Arrangement;
import hammerman.fit.FitPlan;
import hammerman.fit.Grouping;
import hammerman.heat.ThermalLayout;
import hammerman.interconnect.Network;
import hammerman.pack.Assembly;
import hammerman.pack.Contact;
import hammerman.pack.Pack;
import java.util.Optional;

/**
 * The very layout of a design's pack, and how its current spreads over cells and strips.
 *
 * @param plan what it follows from
 * @param arrangement places and groups
 * @param continuous currents at the duty's continuous current, if there are groups
 */
public record Layout(FitPlan plan, Arrangement arrangement, Optional<Network> continuous) {

  /** Works a layout out; empty for a design without a plan of its fit. */
  public static Optional<Layout> of(Chain chain) {
    FitPlan plan = chain.design().fit();
    return plan == null ? Optional.empty() : Optional.of(of(chain, plan));
  }

  /** Works out what another plan would make of the same pack and duty. */
  public static Layout of(Chain chain, FitPlan plan) {
    Pack pack = chain.design().pack();
    Arrangement a = Arrangement.of(plan, pack);
    return new Layout(plan, a, a.grouping().map(g -> network(chain, plan, a, g)));
  }

  private static Network network(Chain chain, FitPlan plan, Arrangement a, Grouping grouping) {
    Design design = chain.design();
    double hottest = design.duty().surroundings().hottestInUse();
    return Network.of(
        plan.boxes(),
        a,
        grouping,
        plan.conductors(),
        design.pack().strip(),
        new CellCircuit(design.pack().cell()).r10(Chain.MIDDLE, hottest),
        chain.demand().continuous(),
        hottest);
  }

  /** A layout whose groups are found and whose network is solved. */
  public record Solved(Layout layout, Grouping grouping, Network network) {

    /** Returns how the pack of a design is put together in it, at its hottest in use. */
    public Assembly assembly(Design design) {
      return Assembly.laidOut(
          design.pack(),
          network.extraResistance(),
          design.duty().surroundings().hottestInUse(),
          warm(design).conductance());
    }

    /** Returns it as it warms in the hottest air, its cells at half charge. */
    public ThermalLayout warm(Design design) {
      double hottest = design.duty().surroundings().hottestInUse();
      return new ThermalLayout(
          layout.plan().boxes(),
          layout.arrangement().placing(),
          layout.plan().packing().pattern(),
          grouping,
          network,
          design.pack().cell(),
          new CellCircuit(design.pack().cell()).settled(Chain.MIDDLE, hottest),
          design.guard().inBox(hottest),
          hottest,
          layout.plan().filling(),
          design.pack().cooling(),
          Contact.USUAL);
    }
  }

  /** Returns it with its groups and network, if there are any. */
  public Optional<Solved> solved() {
    return arrangement.grouping().flatMap(g -> continuous.map(n -> new Solved(this, g, n)));
  }

  /** Returns the same layout at another continuous current, A. */
  public Layout at(double amperes) {
    return new Layout(plan, arrangement, continuous.map(n -> n.at(amperes)));
  }
}
