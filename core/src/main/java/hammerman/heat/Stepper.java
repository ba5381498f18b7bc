package hammerman.heat;

import hammerman.fit.Placing;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A layout that warms, under way: the hot loop. Explicit steps, as short as the stiffest node
 * needs, on flat arrays; nothing is made in a step. One is good for one run. Cells are renumbered
 * without the empty places, and their neighbours lie one after the other in one array, which costs
 * a little clarity for speed.
 */
final class Stepper {
  private static final int FRAMES = 120;

  /** Six neighbours beside, and one at either end. */
  private static final int MOST_NEAR = 8;

  private final int places;
  private final int[] place;
  private final int size;
  private final int[] start;
  private final int[] other;
  private final double[] between;
  private final double[] toCase;
  private final int[] box;
  private final double[] ofCells;
  private final double[] ofStraps;
  private final double[] outside;
  private final double[] inside;
  private final double capacity;
  private final double air;

  private double[] t;
  private double[] next;
  private final double[] sums;
  private final double[] shell;
  private double made;
  private double shed;
  private double hottest;
  private int hot;
  private double when;

  /**
   * @param cellShares heat of the cell at each place over the pack's current squared, Ω
   * @param strapShares the same of strips, links and contacts
   */
  Stepper(WarmLayout layout, double[] cellShares, double[] strapShares) {
    int[] group = layout.grouping().group();
    capacity = layout.cell().mass() * layout.cell().specificHeat();
    air = layout.air();
    places = group.length;
    place = standing(group);
    size = place.length;
    int[] index = new int[places];
    Arrays.fill(index, -1);
    ofCells = new double[size];
    ofStraps = new double[size];
    toCase = new double[size];
    box = new int[size];
    start = new int[size + 1];
    for (int k = 0; k < size; k++) {
      index[place[k]] = k;
      ofCells[k] = cellShares[place[k]];
      ofStraps[k] = strapShares[place[k]];
    }
    outside = new double[layout.boxes().size()];
    inside = new double[layout.boxes().size()];
    shell = new double[layout.boxes().size()];
    for (int b = 0; b < outside.length; b++) {
      outside[b] = layout.cooling().heatTransfer() * layout.boxes().get(b).surface();
    }
    other = new int[MOST_NEAR * size];
    between = new double[MOST_NEAR * size];
    join(layout, index);
    t = new double[size];
    next = new double[size];
    sums = new double[size];
    Arrays.fill(t, air);
    hottest = air;
  }

  /** Fills in what each cell touches: its neighbours, the cells over and under it, its box. */
  private void join(WarmLayout layout, int[] index) {
    Placing placing = layout.placing();
    List<int[]> near = placing.neighbours();
    List<int[]> stacked = placing.stacked();
    double end = layout.contact().end() * placing.footprint().end();
    int enclosing = placing.footprint().enclosing(layout.pattern());
    int at = 0;
    for (int k = 0; k < size; k++) {
      box[k] = placing.sheets().get(placing.sheetOf(place[k])).box();
      for (int m : near.get(place[k])) {
        if (index[m] >= 0) {
          double far = placing.places().get(place[k]).to(placing.places().get(m));
          between[at] = placing.footprint().conductance(layout.filling().conductivity(), far);
          other[at++] = index[m];
        }
      }
      int beside = at - start[k];
      for (int m : stacked.get(place[k])) {
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

  /** The places where a cell stands. */
  private static int[] standing(int[] group) {
    int[] found = new int[group.length];
    int n = 0;
    for (int k = 0; k < group.length; k++) {
      if (group[k] >= 0) {
        found[n++] = k;
      }
    }
    return Arrays.copyOf(found, n);
  }

  /** Heat shed per kelvin above the air if all cells are equally warm, W/K. */
  double conductance() {
    double sum = 0;
    for (int b = 0; b < outside.length; b++) {
      sum += inside[b] * outside[b] / (inside[b] + outside[b]);
    }
    return sum;
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

  /** Steps through an effort, until it ends or a cell is as hot as a limit. */
  HeatMap run(Effort effort, double limit) {
    int parts = (int) Math.max(1, Math.ceil(effort.step() * stiffest() / (0.5 * capacity)));
    double dt = effort.step() / parts;
    int every = Math.max(1, (effort.steps() + FRAMES - 1) / FRAMES);
    List<double[]> frames = new ArrayList<>();
    List<Double> times = new ArrayList<>();
    frames.add(frame(t));
    times.add(0.0);
    int steps = 0;
    while (steps < effort.steps() && hottest < limit) {
      for (int part = 0; part < parts; part++) {
        shed(dt);
        warm(effort.squares()[steps], effort.factors()[steps], dt);
      }
      steps++;
      note(steps * effort.step());
      if (steps % every == 0 || steps == effort.steps()) {
        frames.add(frame(t));
        times.add(steps * effort.step());
      }
    }
    double stored = 0;
    for (int k = 0; k < size; k++) {
      stored += capacity * (t[k] - air);
      sums[k] = steps == 0 ? air : sums[k] / steps;
    }
    return new HeatMap(
        times.stream().mapToDouble(Double::doubleValue).toArray(),
        frames,
        hottest,
        size == 0 ? -1 : place[hot],
        when,
        made,
        shed,
        stored,
        frame(sums));
  }

  /** Finds the temperature of each box, and what it gives to the air. */
  private void shed(double dt) {
    Arrays.fill(shell, 0);
    for (int k = 0; k < size; k++) {
      shell[box[k]] += toCase[k] * t[k];
    }
    for (int b = 0; b < shell.length; b++) {
      shell[b] = (shell[b] + outside[b] * air) / (inside[b] + outside[b]);
      shed += outside[b] * (shell[b] - air) * dt;
    }
  }

  /** Goes on by {@code dt} seconds. */
  private void warm(double squared, double factor, double dt) {
    for (int k = 0; k < size; k++) {
      double heat = squared * (ofCells[k] * factor + ofStraps[k]);
      made += heat * dt;
      double in = heat + toCase[k] * (shell[box[k]] - t[k]);
      for (int e = start[k]; e < start[k + 1]; e++) {
        in += between[e] * (t[other[e]] - t[k]);
      }
      next[k] = t[k] + in * dt / capacity;
    }
    double[] swap = t;
    t = next;
    next = swap;
  }

  /** Keeps what is the hottest so far, and sums for the means. */
  private void note(double time) {
    for (int k = 0; k < size; k++) {
      sums[k] += t[k];
      if (t[k] > hottest) {
        hottest = t[k];
        hot = k;
        when = time;
      }
    }
  }

  /** Temperatures by place, not a number where none stands. */
  private double[] frame(double[] t) {
    double[] all = new double[places];
    Arrays.fill(all, Double.NaN);
    for (int k = 0; k < size; k++) {
      all[place[k]] = t[k];
    }
    return all;
  }
}
