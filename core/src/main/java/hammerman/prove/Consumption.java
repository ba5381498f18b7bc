package hammerman.prove;

import hammerman.record.RunCondition;
import hammerman.record.RunResult;
import hammerman.record.RunSheet;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Energy that runs took for each metre, or for each second where no way was measured, by course.
 *
 * @param course as written down; empty where none was
 * @param byDistance whether it is for each metre, J/m; else for each second, W
 * @param mean of the runs
 * @param spread standard deviation between them; not a number for a single one
 * @param runs that it rests on
 * @param speed mean, m/s; not a number without a way
 */
public record Consumption(
    String course, boolean byDistance, double mean, double spread, int runs, double speed) {

  /** Works it out of what was written down of the runs that count. */
  public static List<Consumption> of(List<RunSheet> runs) {
    Map<String, List<double[]>> ways = new TreeMap<>();
    Map<String, List<double[]>> times = new TreeMap<>();
    for (RunSheet s : runs) {
      double net =
          s.result(RunResult.ENERGY).orElse(Double.NaN) - s.result(RunResult.REGENERATED).orElse(0);
      double way = s.result(RunResult.DISTANCE).orElse(0);
      double time = s.result(RunResult.DURATION).orElse(0);
      String course = s.words().getOrDefault(RunCondition.COURSE, "");
      if (net > 0 && way > 0) {
        ways.computeIfAbsent(course, c -> new ArrayList<>())
            .add(new double[] {net / way, time > 0 ? way / time : Double.NaN});
      } else if (net > 0 && time > 0) {
        times
            .computeIfAbsent(course, c -> new ArrayList<>())
            .add(new double[] {net / time, Double.NaN});
      }
    }
    List<Consumption> all = new ArrayList<>();
    ways.forEach((course, found) -> all.add(of(course, true, found)));
    times.forEach((course, found) -> all.add(of(course, false, found)));
    return all;
  }

  private static Consumption of(String course, boolean byDistance, List<double[]> found) {
    double mean = found.stream().mapToDouble(f -> f[0]).average().orElse(0);
    double speed =
        found.stream().mapToDouble(f -> f[1]).filter(Double::isFinite).average().orElse(Double.NaN);
    double off = found.stream().mapToDouble(f -> (f[0] - mean) * (f[0] - mean)).sum();
    double spread = found.size() > 1 ? Math.sqrt(off / (found.size() - 1)) : Double.NaN;
    return new Consumption(course, byDistance, mean, spread, found.size(), speed);
  }
}
