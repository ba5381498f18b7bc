package hammerman.forecast;

import hammerman.cell.CellCircuit;
import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.fit.FitPlan;
import hammerman.fit.Grouping;
import hammerman.fit.HeatMap;
import hammerman.fit.Network;
import hammerman.fit.Placing;
import hammerman.pack.Pack;
import hammerman.simulation.Run;
import hammerman.simulation.Trace;
import java.util.List;
import java.util.Optional;

/**
 * The very layout of a design's pack: places, groups, currents and heat.
 *
 * @param plan what it follows from
 * @param placing where cells can stand
 * @param why why there are no groups; empty if there are
 * @param faults what moves by hand have broken, in sentences
 * @param solved groups, currents and heat, if groups were found
 */
public record Layout(
    FitPlan plan, Placing placing, String why, List<String> faults, Optional<Solved> solved) {
  public Layout {
    faults = List.copyOf(faults);
  }

  /**
   * What is solved for groups.
   *
   * @param grouping which cell belongs where
   * @param continuous currents at the duty's continuous current
   * @param heat through the duty, in the hottest air
   */
  public record Solved(Grouping grouping, Network continuous, HeatMap heat) {}

  /** Works a layout out for a forecast whose design has a plan; empty without one. */
  public static Optional<Layout> of(Forecast f) {
    FitPlan plan = f.design().fit();
    return plan == null ? Optional.empty() : Optional.of(of(f, plan));
  }

  private static Layout of(Forecast f, FitPlan plan) {
    Design design = f.design();
    Pack pack = design.pack();
    Placing placing = Placing.of(plan.container(), pack.cell().format(), plan.packing());
    return switch (Grouping.of(placing, pack.series(), pack.parallel(), plan.container().exit())) {
      case Grouping.Result.NotPossible n ->
          new Layout(plan, placing, n.why(), List.of(), Optional.empty());
      case Grouping.Result.Found found -> {
        Grouping grouping = found.grouping();
        for (FitPlan.Swap s : plan.swaps()) {
          if (Math.max(s.first(), s.second()) < placing.places().size()) {
            grouping = grouping.swapped(s.first(), s.second());
          }
        }
        List<String> faults = grouping.faults(placing);
        yield new Layout(
            plan,
            placing,
            "",
            faults,
            faults.isEmpty() ? Optional.of(solved(f, plan, placing, grouping)) : Optional.empty());
      }
    };
  }

  private static Solved solved(Forecast f, FitPlan plan, Placing placing, Grouping grouping) {
    Design design = f.design();
    double hottest = design.duty().surroundings().hottestInUse();
    CellCircuit circuit = new CellCircuit(design.pack().cell());
    Network network =
        Network.of(
            placing,
            grouping,
            design.pack().strip(),
            circuit.r10(Chain.MIDDLE, hottest),
            f.chain().demand().continuous(),
            hottest,
            plan.container().exit(),
            plan.takeOff());
    HeatMap heat =
        HeatMap.of(
            placing,
            grouping,
            network,
            design.pack().cell(),
            circuit.settled(Chain.MIDDLE, hottest),
            everySecond(f.duty()),
            hottest,
            plan.filling(),
            design.pack().cooling());
    return new Solved(grouping, network, heat);
  }

  /** The current of a run in each of its seconds, A. */
  private static double[] everySecond(Run run) {
    Trace t = run.trace();
    double[] current = new double[(int) Math.ceil(run.endTime())];
    int k = 0;
    for (int s = 0; s < current.length; s++) {
      while (k + 1 < t.size() && t.at(Trace.Channel.TIME, k + 1) <= s + 1) {
        k++;
      }
      current[s] = t.at(Trace.Channel.CURRENT, k);
    }
    return current;
  }
}
