package hammerman.template;

import hammerman.fit.Placing;
import java.util.ArrayList;
import java.util.List;

/**
 * A balance lead: from a plate to the lead exit, where the BMS is taken to be.
 *
 * @param number from 0, the most negative plate
 * @param group the group whose end it is soldered to, from 0
 * @param place the cell of that group nearest to the exit
 * @param top whether it starts on the upper face
 * @param length to cut, with what the joint and an error take, m
 */
public record BalanceLead(int number, int group, int place, boolean top, double length) {
  /** Left over for the joint and the connector, m. */
  private static final double TAIL = 0.08;

  private static final double SLACK = 1.15;
  private static final double ROUNDED = 0.01;

  /** Returns the leads of a work, the most negative first. */
  public static List<BalanceLead> of(Work work) {
    Placing placing = work.placing();
    int series = work.solved().grouping().series();
    List<BalanceLead> leads = new ArrayList<>();
    for (int p = 0; p <= series; p++) {
      int g = Math.max(0, p - 1);
      int any = work.solved().grouping().members(g)[0];
      int k = work.solved().grouping().nearest(placing, g, work.exitAt(any));
      boolean top = p % 2 == 1;
      double way =
          placing.places().get(k).to(work.exitAt(k)) + (top ? 0 : placing.footprint().height());
      double length = Math.ceil((SLACK * way + TAIL) / ROUNDED) * ROUNDED;
      leads.add(new BalanceLead(p, g, k, top, length));
    }
    return leads;
  }
}
