package hammerman.fit;

import hammerman.cell.CellType;
import hammerman.pack.Cooling;
import java.util.Arrays;
import java.util.List;

/**
 * One thermal node for each cell of a layout and one for the case, stepped through a time of known
 * currents: C dT/dt = heat + Σ G (T_j − T) + G_case (T_case − T), the case against the air by h A.
 *
 * <p>Explicit steps, as short as the stiffest node needs. Half of a piece of strip's heat goes to
 * either cell it sits on. The case has no heat capacity of its own; cells at the rim see it through
 * their open sides, all through their ends. Reversible heat is neglected.
 *
 * @param time of each sample, s
 * @param hottest temperature of the hottest cell at each sample, K
 * @param last temperature of each place at the end, K; not a number for an empty one
 * @param hottestPlace the place that is hottest at the end
 * @param made heat made, J
 * @param shed heat given to the air, J
 * @param stored heat stored in the cells, J
 */
@SuppressWarnings("ArrayRecordComponent")
public record HeatMap(
    double[] time,
    double[] hottest,
    double[] last,
    int hottestPlace,
    double made,
    double shed,
    double stored) {
  private static final double STEP = 1;
  private static final int SAMPLES = 600;

  /** Conductance from a cell's two ends to the case, per end area, W/(m² K); typical. */
  private static final double END = 12;

  /** Conductance from a cell's open side to the case, per side, W/(m² K); typical. */
  private static final double SIDE = 8;

  /**
   * Steps a layout through a time.
   *
   * @param network currents at the network's own current; shares hold for every other current
   * @param cell the cell type
   * @param resistance of one cell as it makes heat, settled, Ω
   * @param currents of the pack, A, one for each second
   * @param air temperature, K
   */
  public static HeatMap of(
      Placing placing,
      Grouping grouping,
      Network network,
      CellType cell,
      double resistance,
      double[] currents,
      double air,
      Filling filling,
      Cooling cooling) {
    List<int[]> near = placing.neighbours();
    int n = grouping.group().length;
    double height = cell.format().height();
    double r = placing.radius();
    double between = filling.conductance() * height;
    double[] toCase = new double[n];
    double[] share = new double[n];
    int cells = 0;
    for (int k = 0; k < n; k++) {
      if (grouping.group()[k] >= 0) {
        cells++;
        int touching = 0;
        for (int m : near.get(k)) {
          touching += grouping.group()[m] >= 0 ? 1 : 0;
        }
        double open = Math.max(0, 6 - touching) / 6.0;
        toCase[k] = END * 2 * Math.PI * r * r + SIDE * open * 2 * Math.PI * r * height;
        double i = network.cellCurrents()[k] / network.current();
        share[k] = i * i * resistance;
      }
    }
    for (Network.Segment s : network.segments()) {
      double per = s.heat() / (network.current() * network.current());
      share[s.from()] += per / 2;
      share[s.to()] += per / 2;
    }
    double side = Math.sqrt(cells * cell.format().packedFootprint());
    double outside = cooling.heatTransfer() * (2 * side * side + 4 * side * height);
    double capacity = cell.mass() * cell.specificHeat();
    return new Stepper(near, grouping.group(), between, toCase, share, outside, capacity, air)
        .run(currents);
  }

  /** Returns the highest temperature of the whole time, K. */
  public double peak() {
    double most = 0;
    for (double t : hottest) {
      most = Math.max(most, t);
    }
    return most;
  }

  /** Returns the error of the heat balance as a share of the heat made. */
  public double imbalance() {
    return (made - shed - stored) / Math.max(1, made);
  }

  /** The hot loop: flat arrays, nothing made in a step. */
  private static final class Stepper {
    private final int[] start;
    private final int[] other;
    private final double between;
    private final double[] toCase;
    private final double[] share;
    private final double outside;
    private final double capacity;
    private final double air;
    private final int[] place;
    private final int size;

    Stepper(
        List<int[]> near,
        int[] group,
        double between,
        double[] toCase,
        double[] share,
        double outside,
        double capacity,
        double air) {
      this.between = between;
      this.outside = outside;
      this.capacity = capacity;
      this.air = air;
      int[] index = new int[group.length];
      int[] places = new int[group.length];
      int n = 0;
      for (int k = 0; k < group.length; k++) {
        index[k] = group[k] >= 0 ? n : -1;
        if (group[k] >= 0) {
          places[n++] = k;
        }
      }
      size = n;
      place = Arrays.copyOf(places, n);
      this.toCase = new double[n];
      this.share = new double[n];
      start = new int[n + 1];
      int[] list = new int[8 * n];
      int at = 0;
      for (int k = 0; k < n; k++) {
        this.toCase[k] = toCase[place[k]];
        this.share[k] = share[place[k]];
        for (int m : near.get(place[k])) {
          if (index[m] >= 0) {
            list[at++] = index[m];
          }
        }
        start[k + 1] = at;
      }
      other = Arrays.copyOf(list, at);
    }

    HeatMap run(double[] currents) {
      double[] t = new double[size];
      double[] next = new double[size];
      Arrays.fill(t, air);
      double sumCase = 0;
      double stiffest = 0;
      for (int k = 0; k < size; k++) {
        sumCase += toCase[k];
        stiffest = Math.max(stiffest, toCase[k] + between * (start[k + 1] - start[k]));
      }
      int parts = (int) Math.max(1, Math.ceil(STEP * stiffest / (0.5 * capacity)));
      double dt = STEP / parts;
      int every = Math.max(1, currents.length / SAMPLES);
      double[] time = new double[currents.length / every + 1];
      double[] hottest = new double[time.length];
      int samples = 0;
      double made = 0;
      double shed = 0;
      for (int s = 0; s < currents.length; s++) {
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
              in += between * (t[other[e]] - t[k]);
            }
            next[k] = t[k] + in * dt / capacity;
          }
          double[] swap = t;
          t = next;
          next = swap;
        }
        if (s % every == 0 && samples < time.length) {
          time[samples] = s + STEP;
          hottest[samples++] = max(t);
        }
      }
      return result(t, time, hottest, samples, made, shed);
    }

    private static double max(double[] t) {
      double most = 0;
      for (double v : t) {
        most = Math.max(most, v);
      }
      return most;
    }

    private HeatMap result(
        double[] t, double[] time, double[] hottest, int samples, double made, double shed) {
      int places = 0;
      for (int k : place) {
        places = Math.max(places, k + 1);
      }
      double[] last = new double[places];
      Arrays.fill(last, Double.NaN);
      double stored = 0;
      int warm = 0;
      for (int k = 0; k < size; k++) {
        last[place[k]] = t[k];
        stored += capacity * (t[k] - air);
        if (t[k] > t[warm]) {
          warm = k;
        }
      }
      return new HeatMap(
          Arrays.copyOf(time, samples),
          Arrays.copyOf(hottest, samples),
          last,
          size == 0 ? -1 : place[warm],
          made,
          shed,
          stored);
    }
  }
}
