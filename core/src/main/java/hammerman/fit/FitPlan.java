package hammerman.fit;

import hammerman.pack.Conductors;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * How the pack is to be fitted: the boxes, the packing, what groups are to be like, what lies
 * between, how the current is led, and what was moved by hand. Places and groups follow from it.
 *
 * @param boxes filled one after the other, layer by layer; groups in different ones are joined by
 *     flexible links
 * @param packing how cells stand beside each other
 * @param style what groups are to be like
 * @param joining how the current gets from one group to the next
 * @param byHand groups as they were arranged by hand; absent while none was moved
 * @param locked groups, from 0, that stay when the rest is arranged anew
 * @param filling what lies between the cells
 * @param conductors how the current is led
 */
@RecordBuilder
public record FitPlan(
    List<Container> boxes,
    Packing packing,
    Style style,
    Joining joining,
    @Nullable HandGrouping byHand,
    List<Integer> locked,
    Filling filling,
    Conductors conductors)
    implements FitPlanBuilder.With {
  private static final int MOST_BOXES = 20;
  private static final int MOST_LOCKED = 1000;

  public FitPlan {
    boxes = List.copyOf(boxes);
    locked = List.copyOf(new TreeSet<>(locked));
    Valid.count("Boxes", boxes.size(), 1, MOST_BOXES);
    Valid.count("Locked groups", locked.size(), 0, MOST_LOCKED);
    for (int g : locked) {
      Valid.count("Locked group", g, 0, MOST_LOCKED);
    }
  }

  /** A plan for one box with the usual choices. */
  public static FitPlan of(Container box, Packing packing) {
    return new FitPlan(
        List.of(box),
        packing,
        Style.SHORT_LINKS,
        Joining.TOUCHING,
        null,
        List.of(),
        Filling.AIR,
        Conductors.USUAL);
  }

  /** Another box or packing puts the places elsewhere, so what was moved by hand goes. */
  @Override
  public FitPlan withBoxes(List<Container> value) {
    return new FitPlan(value, packing, style, joining, null, List.of(), filling, conductors);
  }

  /** See {@link #withBoxes}. */
  @Override
  public FitPlan withPacking(Packing value) {
    return new FitPlan(boxes, value, style, joining, null, List.of(), filling, conductors);
  }

  /** Another style arranges the groups anew. */
  @Override
  public FitPlan withStyle(Style value) {
    return new FitPlan(boxes, packing, value, joining, null, List.of(), filling, conductors);
  }

  /** Returns this plan with another box in the place of one, from 0. */
  public FitPlan withBox(int k, Container value) {
    List<Container> changed = new ArrayList<>(boxes);
    changed.set(k, value);
    return withBoxes(changed);
  }

  /** Returns this plan with groups as they are now, ready to be moved by hand. */
  public FitPlan arranged(Grouping grouping) {
    return withByHand(HandGrouping.of(grouping));
  }

  /** Returns this plan with a group locked, or no longer. */
  public FitPlan withLock(int group, boolean lock) {
    List<Integer> changed = new ArrayList<>(locked);
    changed.remove(Integer.valueOf(group));
    if (lock) {
      changed.add(group);
    }
    return withLocked(changed);
  }
}
