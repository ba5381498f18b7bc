package hammerman;

import hammerman.cell.CellType;
import hammerman.cell.Health;
import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.duty.Load;
import hammerman.fit.FitPlan;
import hammerman.guard.Bms;
import hammerman.guard.Guard;
import hammerman.guard.Leads;
import hammerman.guard.Protection;
import hammerman.guard.Wire;
import hammerman.pack.MatchedCells;
import hammerman.pack.Pack;
import hammerman.pack.TakeOff;
import hammerman.project.Shipped;
import hammerman.simulation.Run;
import hammerman.simulation.Trace;
import hammerman.simulation.TwinRun;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.UnaryOperator;

/** Designs and cells that tests start from. */
public final class Samples {
  /** 25 °C in K. */
  public static final double ROOM = 298.15;

  private Samples() {}

  public static CellType cell(String id) {
    return Shipped.cells().find(id).orElseThrow();
  }

  /** The worked example of the powered barrow. */
  public static Design barrow() {
    return Shipped.terraceBarrow().design();
  }

  /** The barrow's pack built from another cell and counts. */
  public static Pack pack(String id, int series, int parallel) {
    return barrow().pack().withCell(cell(id)).withCounts(series, parallel);
  }

  /** Measured cells in groups, the resistance of the last not known. */
  public static MatchedCells cells(int series, int parallel) {
    List<MatchedCells.Group> groups = new ArrayList<>();
    for (int g = 0; g < series; g++) {
      List<MatchedCells.Cell> cells = new ArrayList<>();
      for (int c = 0; c < parallel; c++) {
        int k = g * parallel + c;
        Double ohms = k == series * parallel - 1 ? null : 0.02 + 1e-4 * k;
        cells.add(new MatchedCells.Cell("A" + k, 5 + 0.01 * k, ohms));
      }
      groups.add(new MatchedCells.Group(cells));
    }
    return new MatchedCells(groups, true);
  }

  /** A second pack for the barrow: the same string, fewer cells, more worn, less charged. */
  public static SecondPack second(SecondPack.Joining joining) {
    Pack pack = barrow().pack();
    CellType worn = pack.cell().withHealth(new Health(0.85, 1.4));
    return new SecondPack(pack.withCell(worn).withCounts(13, 4), branch(3e-3), joining, 0.98, 1);
  }

  /** The barrow's parts for a second pack, whose leads bring its path to a resistance, Ω. */
  public static Guard branch(double ohms) {
    Guard g = barrow().guard();
    Guard bare = g.withWiring(g.wiring().withLeads(new Leads(0, 0, 0, 0, 0)).withSlack(0));
    double bms = ohms - bare.withProtection(new Protection.None()).own(ROOM);
    return bare.withMainSwitch(null)
        .withPrecharge(null)
        .withProtection(bare.protection().withBms(b -> b.withResistance(bms)));
  }

  /** A design in its box whose leads are taken off from one cell, which crowds the current. */
  public static Design fromOneCell(Design d) {
    FitPlan fit = Objects.requireNonNull(d.fit());
    return d.withFit(fit.withConductors(fit.conductors().withTakeOff(TakeOff.ONE_CELL)));
  }

  public static Design withGuard(Design d, UnaryOperator<Guard> change) {
    return d.withGuard(change.apply(d.guard()));
  }

  public static Design withWire(Design d, UnaryOperator<Wire> change) {
    return withGuard(d, g -> g.withWiring(g.wiring().withWire(change.apply(g.wiring().wire()))));
  }

  public static Design withBms(Design d, UnaryOperator<Bms> change) {
    return withGuard(d, g -> g.withProtection(g.protection().withBms(change)));
  }

  /** Two packs through a load together, in the hottest air. */
  public static TwinRun together(Design first, SecondPack second, Load load) {
    double hottest = first.duty().surroundings().hottestInUse();
    return TwinRun.of(Chain.of(first.withSecond(second)), load, hottest);
  }

  /** The last sample of a run. */
  public static double last(Run run, Trace.Channel channel) {
    return run.trace().at(channel, run.trace().size() - 1);
  }
}
