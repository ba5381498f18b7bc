package hammerman.chain;

import hammerman.cell.CellCircuit;
import hammerman.design.Design;
import hammerman.fit.Arrangement;
import hammerman.fit.FitPlan;
import hammerman.fit.Grouping;
import hammerman.fit.Network;
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
    Design design = chain.design();
    FitPlan plan = design.fit();
    if (plan == null) {
      return Optional.empty();
    }
    Pack pack = design.pack();
    Arrangement a = Arrangement.of(plan, pack.cell().format(), pack.series(), pack.parallel());
    return Optional.of(new Layout(plan, a, a.grouping().map(g -> network(chain, plan, a, g))));
  }

  private static Network network(Chain chain, FitPlan plan, Arrangement a, Grouping grouping) {
    Design design = chain.design();
    double hottest = design.duty().surroundings().hottestInUse();
    return Network.of(
        a.placing(),
        grouping,
        design.pack().strip(),
        new CellCircuit(design.pack().cell()).r10(Chain.MIDDLE, hottest),
        chain.demand().continuous(),
        hottest,
        plan.container().exit(),
        plan.takeOff());
  }
}
