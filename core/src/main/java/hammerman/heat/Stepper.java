package hammerman.heat;

import hammerman.fit.Placing;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The hot loop of a warming layout: explicit steps, as short as the stiffest node needs, on flat
 * arrays; nothing is made in a step. Cells are renumbered without the empty places, and their
 * neighbours lie one after the other in one array, which costs a little clarity for speed.
 */
final class Stepper {
  private static final double STEP = 1;
  private static final int FRAMES = 120;

  private final int places;
  private final int[] place;
  private final int size;
  private final int[] start;
  private final int[] other;
  private final double[] between;
  private final double[] toCase;
  private final double[] share;
  private final double outside;
  private final double capacity;
  private final double air;

  /**
   * @param share heat of each place over the pack's current squared, Ω
   * @param outside conductance from the case to the air, W/K
   */
  Stepper(WarmLayout layout, double[] share, double outside) {
    Placing placing = layout.placing();
    int[] group = layout.grouping().group();
    List<int[]> near = placing.neighbours();
    this.outside = outside;
    capacity = layout.cell().mass() * layout.cell().specificHeat();
    air = layout.air();
    places = group.length;
    int[] index = new int[places];
    int[] found = new int[places];
    int n = 0;
    for (int k = 0; k < places; k++) {
      index[k] = group[k] >= 0 ? n : -1;
      if (group[k] >= 0) {
        found[n++] = k;
      }
    }
    size = n;
    place = Arrays.copyOf(found, n);
    this.share = new double[n];
    toCase = new double[n];
    start = new int[n + 1];
    int[] list = new int[8 * n];
    double[] g = new double[8 * n];
    int enclosing = placing.footprint().enclosing(layout.pattern());
    int at = 0;
    for (int k = 0; k < n; k++) {
      this.share[k] = share[place[k]];
      for (int m : near.get(place[k])) {
        if (index[m] >= 0) {
          double far = placing.places().get(place[k]).to(placing.places().get(m));
          g[at] = placing.footprint().conductance(layout.filling().conductivity(), far);
          list[at++] = index[m];
        }
      }
      start[k + 1] = at;
      double open = Math.max(0, enclosing - (at - start[k])) / (double) enclosing;
      toCase[k] =
          layout.contact().end() * 2 * placing.footprint().end()
              + layout.contact().side() * open * placing.footprint().side();
    }
    other = Arrays.copyOf(list, at);
    between = Arrays.copyOf(g, at);
  }

  /** Steps through currents, until they end or a cell is as hot as a limit. */
  HeatMap run(double[] currents, double limit) {
    double[] t = new double[size];
    double[] next = new double[size];
    double[] sums = new double[size];
    Arrays.fill(t, air);
    double sumCase = 0;
    double stiffest = 0;
    for (int k = 0; k < size; k++) {
      double sum = toCase[k];
      for (int e = start[k]; e < start[k + 1]; e++) {
        sum += between[e];
      }
      sumCase += toCase[k];
      stiffest = Math.max(stiffest, sum);
    }
    int parts = (int) Math.max(1, Math.ceil(STEP * stiffest / (0.5 * capacity)));
    double dt = STEP / parts;
    int every = Math.max(1, (currents.length + FRAMES - 1) / FRAMES);
    List<double[]> frames = new ArrayList<>();
    List<Double> times = new ArrayList<>();
    frames.add(frame(t));
    times.add(0.0);
    double made = 0;
    double shed = 0;
    double hottest = air;
    int hot = 0;
    double when = 0;
    int seconds = 0;
    for (int s = 0; s < currents.length && hottest < limit; s++) {
      double squared = currents[s] * currents[s];
      for (int part = 0; part < parts; part++) {
        double flow = 0;
        for (int k = 0; k < size; k++) {
          flow += toCase[k] * t[k];
        }
        double shell = (flow + outside * air) / (sumCase + outside);
        shed += outside * (shell - air) * dt;
        for (int k = 0; k < size; k++) {
          double heat = squared * share[k];
          made += heat * dt;
          double in = heat + toCase[k] * (shell - t[k]);
          for (int e = start[k]; e < start[k + 1]; e++) {
            in += between[e] * (t[other[e]] - t[k]);
          }
          next[k] = t[k] + in * dt / capacity;
        }
        double[] swap = t;
        t = next;
        next = swap;
      }
      seconds = s + 1;
      for (int k = 0; k < size; k++) {
        sums[k] += t[k];
        if (t[k] > hottest) {
          hottest = t[k];
          hot = k;
          when = seconds;
        }
      }
      if (seconds % every == 0 || seconds == currents.length) {
        frames.add(frame(t));
        times.add((double) seconds);
      }
    }
    double stored = 0;
    for (int k = 0; k < size; k++) {
      stored += capacity * (t[k] - air);
      sums[k] = seconds == 0 ? air : sums[k] / seconds;
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
