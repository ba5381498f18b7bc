package hammerman.circuit;

import hammerman.guard.Bms;
import hammerman.guard.Fuse;
import hammerman.unit.Figures;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What opens the circuit by itself.
 *
 * @param name what it is called
 * @param time the longest time that it takes at a current
 * @param knees currents up to which it takes longer than just above them, A
 */
public record Protector(String name, Time time, List<Double> knees) {
  public Protector {
    knees = List.copyOf(knees);
  }

  /** Multiple of its threshold above which a BMS opens as for a short circuit; typical. */
  private static final double BMS_SHORT = 3;

  /** Time in which it then opens, s; typical. */
  private static final double BMS_SHORT_TIME = 1e-3;

  /** Time in which a sensor on a cell sees an overload, s; typical of the cell's heat capacity. */
  private static final double SENSOR_TIME = 600;

  /** The longest time to open at a current. */
  @FunctionalInterface
  public interface Time {
    /** Returns the time, s, at a current, A; infinite if it does not open. */
    double at(double amperes);
  }

  static Protector of(Fuse f) {
    return new Protector(
        Figures.compact(f.rating()) + " A fuse",
        i -> f.kind().openingTime(i / f.rating()),
        List.of(1.1 * f.rating(), 1.35 * f.rating()));
  }

  static Protector of(Bms b) {
    return new Protector(
        "BMS above " + Figures.compact(b.overCurrent()) + " A",
        i ->
            i > BMS_SHORT * b.overCurrent()
                ? BMS_SHORT_TIME
                : i > b.overCurrent() ? Math.max(b.overCurrentDelay(), BMS_SHORT_TIME) : INFINITE,
        List.of(b.overCurrent(), BMS_SHORT * b.overCurrent()));
  }

  /** A BMS whose sensor ends what heats a cell beyond its rated current for long. */
  static Protector sensor(double rated) {
    return new Protector(
        "BMS temperature sensor", i -> i > rated ? SENSOR_TIME : INFINITE, List.of(rated));
  }

  /** Fuses at every cell of a group, of a main fuse's class. */
  static Protector cellFuses(Fuse main, double each, int parallel) {
    return new Protector(
        Figures.compact(each) + " A cell fuses",
        i -> main.kind().openingTime(i / parallel / each),
        List.of(1.1 * each * parallel));
  }

  /** Several that must all open, each carrying its share of the current. */
  static Protector all(List<List<Protector>> sides, List<Double> shares) {
    Set<String> names = new LinkedHashSet<>();
    List<Double> knees = new ArrayList<>();
    for (int k = 0; k < sides.size(); k++) {
      names.add(names(sides.get(k)));
      for (Protector p : sides.get(k)) {
        for (double knee : p.knees()) {
          knees.add(knee / Math.max(1e-6, shares.get(k)));
        }
      }
    }
    return new Protector(
        names.size() == 1 ? "each pack's " + names.iterator().next() : String.join(" and ", names),
        i -> {
          double longest = 0;
          for (int k = 0; k < sides.size(); k++) {
            longest = Math.max(longest, first(sides.get(k), i * shares.get(k)));
          }
          return longest;
        },
        knees);
  }

  private static final double INFINITE = Double.POSITIVE_INFINITY;

  /** Returns the time until the first of several opens, s. */
  static double first(List<Protector> all, double amperes) {
    double least = INFINITE;
    for (Protector p : all) {
      least = Math.min(least, p.time().at(amperes));
    }
    return least;
  }

  /** Returns their names. */
  static String names(List<Protector> all) {
    return all.stream().map(Protector::name).collect(Collectors.joining(", "));
  }
}
