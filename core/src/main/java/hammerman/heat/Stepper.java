package hammerman.heat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A layout under way through a heat profile whose currents share out as they do at the start. One
 * is good for one run.
 */
final class Stepper {
  private static final int FRAMES = 120;

  private final ThermalNetwork network;
  private final int places;
  private final int[] place;
  private final double[] ofCells;
  private final double[] ofStraps;
  private final double inBox;
  private final double air;
  private final double[] t;
  private final double[] watts;
  private final double[] sums;
  private double made;
  private double hottest;
  private int hot;
  private double when;

  /**
   * @param cellShares heat of the cell at each place over the pack's current squared, Ω
   * @param strapShares the same of strips, links and contacts
   */
  Stepper(ThermalLayout layout, double[] cellShares, double[] strapShares) {
    places = layout.grouping().places();
    place = layout.order();
    network = layout.network(place);
    inBox = layout.inBox();
    air = layout.air();
    ofCells = Arrays.stream(place).mapToDouble(p -> cellShares[p]).toArray();
    ofStraps = Arrays.stream(place).mapToDouble(p -> strapShares[p]).toArray();
    t = new double[place.length];
    watts = new double[place.length];
    sums = new double[place.length];
    Arrays.fill(t, air);
    hottest = air;
  }

  /** Steps through a heat profile, until it ends or a cell is as hot as a limit. */
  HeatMap run(HeatProfile profile, double limit) {
    int every = Math.max(1, (profile.steps() + FRAMES - 1) / FRAMES);
    List<double[]> frames = new ArrayList<>();
    List<Double> times = new ArrayList<>();
    frames.add(frame(t));
    times.add(0.0);
    int steps = 0;
    while (steps < profile.steps() && hottest < limit) {
      warm(profile.squares()[steps], profile.factors()[steps], profile.step());
      steps++;
      note(steps * profile.step());
      if (steps % every == 0 || steps == profile.steps()) {
        frames.add(frame(t));
        times.add(steps * profile.step());
      }
    }
    double stored = 0;
    for (int k = 0; k < t.length; k++) {
      stored += network.capacity() * (t[k] - air);
      sums[k] = steps == 0 ? air : sums[k] / steps;
    }
    return new HeatMap(
        times.stream().mapToDouble(Double::doubleValue).toArray(),
        frames,
        hottest,
        t.length == 0 ? -1 : place[hot],
        when,
        made,
        network.shed(),
        stored,
        frame(sums));
  }

  private void warm(double squared, double factor, double dt) {
    for (int k = 0; k < t.length; k++) {
      watts[k] = squared * (ofCells[k] * factor + ofStraps[k]);
      made += watts[k] * dt;
    }
    made += squared * inBox * dt;
    network.step(t, watts, squared * inBox, dt);
  }

  /** Keeps what is the hottest so far, and sums for the means. */
  private void note(double time) {
    for (int k = 0; k < t.length; k++) {
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
    for (int k = 0; k < t.length; k++) {
      all[place[k]] = t[k];
    }
    return all;
  }
}
