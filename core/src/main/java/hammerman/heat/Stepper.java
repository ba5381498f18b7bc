package hammerman.heat;

import hammerman.fit.Placing;
import hammerman.fit.Sheet;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The hot loop of a warming layout: explicit steps, as short as the stiffest node needs, on flat
 * arrays; nothing is made in a step. Cells are renumbered without the empty places, and their
 * neighbours lie one after the other in one array, which costs a little clarity for speed.
 */
final class Stepper {
  private static final int FRAMES = 120;

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

  /**
   * @param cellShares heat of the cell at each place over the pack's current squared, Ω
   * @param strapShares the same of strips, links and contacts
   */
  Stepper(WarmLayout layout, double[] cellShares, double[] strapShares) {
    Placing placing = layout.placing();
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
    for (int b = 0; b < outside.length; b++) {
      outside[b] = layout.cooling().heatTransfer() * layout.boxes().get(b).surface();
    }
    List<int[]> near = placing.neighbours();
    List<int[]> stacked = placing.stacked();
    int[] list = new int[10 * size];
    double[] g = new double[10 * size];
    double end = layout.contact().end() * placing.footprint().end();
    int enclosing = placing.footprint().enclosing(layout.pattern());
    int at = 0;
    for (int k = 0; k < size; k++) {
      Sheet sheet = placing.sheets().get(placing.sheetOf(place[k]));
      box[k] = sheet.box();
      for (int m : near.get(place[k])) {
        if (index[m] >= 0) {
          double far = placing.places().get(place[k]).to(placing.places().get(m));
          g[at] = placing.footprint().conductance(layout.filling().conductivity(), far);
          list[at++] = index[m];
        }
      }
      int beside = at - start[k];
      for (int m : stacked.get(place[k])) {
        if (index[m] >= 0) {
          g[at] = end;
          list[at++] = index[m];
        }
      }
      start[k + 1] = at;
      int covered = at - start[k] - beside;
      double open = Math.max(0, enclosing - beside) / (double) enclosing;
      toCase[k] = end * (2 - covered) + layout.contact().side() * open * placing.footprint().side();
      inside[box[k]] += toCase[k];
    }
    other = Arrays.copyOf(list, at);
    between = Arrays.copyOf(g, at);
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
    double[] t = new double[size];
    double[] next = new double[size];
    double[] sums = new double[size];
    double[] shell = new double[outside.length];
    Arrays.fill(t, air);
    int parts = (int) Math.max(1, Math.ceil(effort.step() * stiffest() / (0.5 * capacity)));
    double dt = effort.step() / parts;
    int every = Math.max(1, (effort.steps() + FRAMES - 1) / FRAMES);
    List<double[]> frames = new ArrayList<>();
    List<Double> times = new ArrayList<>();
    frames.add(frame(t));
    times.add(0.0);
    double made = 0;
    double shed = 0;
    double hottest = air;
    int hot = 0;
    double when = 0;
    int steps = 0;
    for (int s = 0; s < effort.steps() && hottest < limit; s++) {
      double squared = effort.squares()[s];
      double factor = effort.factors()[s];
      for (int part = 0; part < parts; part++) {
        Arrays.fill(shell, 0);
        for (int k = 0; k < size; k++) {
          shell[box[k]] += toCase[k] * t[k];
        }
        for (int b = 0; b < shell.length; b++) {
          shell[b] = (shell[b] + outside[b] * air) / (inside[b] + outside[b]);
          shed += outside[b] * (shell[b] - air) * dt;
        }
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
      steps = s + 1;
      for (int k = 0; k < size; k++) {
        sums[k] += t[k];
        if (t[k] > hottest) {
          hottest = t[k];
          hot = k;
          when = steps * effort.step();
        }
      }
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
