package hammerman.simulation;

import java.util.ArrayList;
import java.util.List;

/** Keeps what each group and cell of a run goes through; of two moments too close, the first. */
final class CellRecorder {
  /** Moments kept at the most; beyond, every second one goes. */
  private static final int MOST = 480;

  private final PackState state;
  private final List<Double> times = new ArrayList<>();
  private final List<double[]> volts = new ArrayList<>();
  private final List<double[]> kelvin = new ArrayList<>();
  private double apart;
  private double socApart;
  private double hottest = Double.NEGATIVE_INFINITY;
  private double lowest = Double.POSITIVE_INFINITY;
  private double hottestTime;
  private double lowestTime;
  private Outcome.Place hottestPlace = Outcome.Place.EVERY;
  private Outcome.Place lowestPlace = Outcome.Place.EVERY;
  private int every = 1;
  private int since;

  CellRecorder(PackState state) {
    this.state = state;
  }

  void add(double time, double current) {
    double low = state.lowestGroup(current);
    apart = Math.max(apart, state.highestGroup(current) - low);
    if (low < lowest) {
      lowest = low;
      lowestTime = time;
      lowestPlace = state.lowestPlace(current);
    }
    if (state.temperature() > hottest) {
      hottest = state.temperature();
      hottestTime = time;
      hottestPlace = state.hottestPlace();
    }
    if (since++ % every == 0) {
      keep(time, current);
    }
  }

  private void keep(double time, double current) {
    socApart = Math.max(socApart, state.socApart());
    times.add(time);
    volts.add(state.groupVoltages(current));
    kelvin.add(state.temperatures());
    if (times.size() > MOST) {
      for (int k = times.size() - 1; k > 0; k -= 2) {
        int drop = k % 2 == 0 ? k - 1 : k;
        times.remove(drop);
        volts.remove(drop);
        kelvin.remove(drop);
      }
      every *= 2;
      since = 1;
    }
  }

  CellTrace trace() {
    return new CellTrace(
        times.stream().mapToDouble(Double::doubleValue).toArray(),
        volts,
        kelvin,
        new CellTrace.Extreme(hottestPlace, hottest, hottestTime),
        new CellTrace.Extreme(lowestPlace, lowest, lowestTime),
        apart,
        socApart);
  }
}
