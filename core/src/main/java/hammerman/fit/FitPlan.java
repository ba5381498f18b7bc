package hammerman.fit;

import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;

/**
 * How the pack is to be fitted: the box, the packing, what lies between, where the leads are taken
 * off, and what was moved by hand. Places and groups follow from it.
 *
 * @param container the box
 * @param packing how cells stand beside each other
 * @param filling what lies between them
 * @param takeOff where the leads are taken off
 * @param swaps places whose cells were exchanged by hand, in order
 */
@RecordBuilder
public record FitPlan(
    Container container,
    Packing packing,
    Filling filling,
    Network.TakeOff takeOff,
    List<Swap> swaps)
    implements FitPlanBuilder.With {
  private static final int MOST_SWAPS = 10_000;

  public FitPlan {
    swaps = List.copyOf(swaps);
    Valid.count("Moves by hand", swaps.size(), 0, MOST_SWAPS);
  }

  /** Two places whose cells were exchanged. */
  public record Swap(int first, int second) {
    public Swap {
      Valid.count("Place of a move", first, 0, 1_000_000);
      Valid.count("Place of a move", second, 0, 1_000_000);
    }
  }

  /** A change of the box or the packing puts the places elsewhere, so moves by hand go. */
  @Override
  public FitPlan withContainer(Container value) {
    return new FitPlan(value, packing, filling, takeOff, List.of());
  }

  /** See {@link #withContainer}. */
  @Override
  public FitPlan withPacking(Packing value) {
    return new FitPlan(container, value, filling, takeOff, List.of());
  }

  /** Returns this plan with one more exchange. */
  public FitPlan plusSwap(int first, int second) {
    List<Swap> more = new ArrayList<>(swaps);
    more.add(new Swap(first, second));
    return new FitPlan(container, packing, filling, takeOff, more);
  }

  /** Returns this plan without moves by hand. */
  public FitPlan withoutSwaps() {
    return new FitPlan(container, packing, filling, takeOff, List.of());
  }
}
