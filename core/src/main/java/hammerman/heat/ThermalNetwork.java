package hammerman.heat;

import hammerman.fit.Placing;
import java.util.Arrays;
import java.util.List;

/**
 * What the cells of a layout touch, as conductances, and the way heat takes from them over their
 * boxes into the air: the one place where a layout warms, stepped in place on flat arrays.
 *
 * <p>Explicit steps, as short as the stiffest cell needs. Cells are numbered by the order they were
 * asked for in; their neighbours lie one after the other in one array, which costs a little clarity
 * for speed. A box has no heat capacity of its own: it is as warm as what flows through it makes
 * it.
 */
public final class ThermalNetwork {
  /** Six neighbours beside, and one at either end. */
  private static final int MOST_NEAR = 8;

  private final int size;
  private final int[] start;
  private final int[] other;
  private final double[] between;
  private final double[] toCase;
  private final int[] box;
  private final double[] outside;
  private final double[] inside;
  private final double[] shell;
  private final double[] next;
  private final double capacity;
  private final double air;
  private final double stiffest;
  private double shed;

  /**
   * @param order the place of each cell
   */
  ThermalNetwork(ThermalLayout layout, int[] order) {
    capacity = layout.cell().mass() * layout.cell().specificHeat();
    air = layout.air();
    size = order.length;
    int[] index = new int[layout.grouping().places()];
    Arrays.fill(index, -1);
    for (int k = 0; k < size; k++) {
      index[order[k]] = k;
    }
    toCase = new double[size];
    box = new int[size];
    start = new int[size + 1];
    other = new int[MOST_NEAR * size];
    between = new double[MOST_NEAR * size];
    next = new double[size];
    int boxes = layout.boxes().size();
    outside = new double[boxes];
    inside = new double[boxes];
    shell = new double[boxes];
    for (int b = 0; b < boxes; b++) {
      outside[b] = layout.cooling().heatTransfer() * layout.boxes().get(b).surface();
    }
    join(layout, order, index);
    stiffest = stiffest();
  }

  /** Fills in what each cell touches: its neighbours, the cells over and under it, its box. */
  private void join(ThermalLayout layout, int[] order, int[] index) {
    Placing placing = layout.placing();
    List<int[]> near = placing.neighbours();
    List<int[]> stacked = placing.stacked();
    double end = layout.contact().end() * placing.footprint().end();
    int enclosing = placing.footprint().enclosing(layout.pattern());
    int at = 0;
    for (int k = 0; k < size; k++) {
      int place = order[k];
      box[k] = placing.sheets().get(placing.sheetOf(place)).box();
      for (int m : near.get(place)) {
        if (index[m] >= 0) {
          double far = placing.places().get(place).to(placing.places().get(m));
          between[at] = placing.footprint().conductance(layout.filling().conductivity(), far);
          other[at++] = index[m];
        }
      }
      int beside = at - start[k];
      for (int m : stacked.get(place)) {
        if (index[m] >= 0) {
          between[at] = end;
          other[at++] = index[m];
        }
      }
      start[k + 1] = at;
      int covered = at - start[k] - beside;
      double open = Math.max(0, enclosing - beside) / (double) enclosing;
      toCase[k] = end * (2 - covered) + layout.contact().side() * open * placing.footprint().side();
      inside[box[k]] += toCase[k];
    }
  }

  /** The greatest sum of conductances at a cell, W/K. */
  private double stiffest() {
    double most = 0;
    for (int k = 0; k < size; k++) {
      double sum = toCase[k];
      for (int e = start[k]; e < start[k + 1]; e++) {
        sum += between[e];
      }
      most = Math.max(most, sum);
    }
    return most;
  }

  /** Returns the heat shed per kelvin above the air if all cells are equally warm, W/K. */
  double conductance() {
    double sum = 0;
    for (int b = 0; b < outside.length; b++) {
      sum += inside[b] * outside[b] / (inside[b] + outside[b]);
    }
    return sum;
  }

  /** Returns the heat capacity of a cell, J/K. */
  double capacity() {
    return capacity;
  }

  /** Returns the heat given to the air so far, J. */
  double shed() {
    return shed;
  }

  /**
   * Goes on by a time.
   *
   * @param kelvin temperature of each cell, K; holds those at the end afterwards
   * @param watts heat made at each cell, W
   * @param inBox heat made in the box of the first cell by other things than cells, W
   * @param dt s
   */
  public void step(double[] kelvin, double[] watts, double inBox, double dt) {
    int parts = (int) Math.max(1, Math.ceil(dt * stiffest / (0.5 * capacity)));
    double part = dt / parts;
    for (int n = 0; n < parts; n++) {
      shed(kelvin, inBox, part);
      warm(kelvin, watts, part / capacity);
    }
  }

  /** Finds the temperature of each box, and what it gives to the air. */
  private void shed(double[] kelvin, double inBox, double dt) {
    Arrays.fill(shell, 0);
    for (int k = 0; k < size; k++) {
      shell[box[k]] += toCase[k] * kelvin[k];
    }
    if (size > 0) {
      shell[box[0]] += inBox;
    }
    for (int b = 0; b < shell.length; b++) {
      shell[b] = (shell[b] + outside[b] * air) / (inside[b] + outside[b]);
      shed += outside[b] * (shell[b] - air) * dt;
    }
  }

  private void warm(double[] kelvin, double[] watts, double perCapacity) {
    for (int k = 0; k < size; k++) {
      double in = watts[k] + toCase[k] * (shell[box[k]] - kelvin[k]);
      for (int e = start[k]; e < start[k + 1]; e++) {
        in += between[e] * (kelvin[other[e]] - kelvin[k]);
      }
      next[k] = kelvin[k] + in * perCapacity;
    }
    System.arraycopy(next, 0, kelvin, 0, size);
  }
}
