package hammerman.sort;

import hammerman.numeric.Middle;
import hammerman.sort.Rejected.Rule;
import hammerman.unit.Figures;
import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Which cells are put aside. Limits that are absent follow from the cells themselves: an outlier
 * lies more than {@link #deviations} times 1.4826 median absolute deviations from the median (B.
 * Iglewicz, D. Hoaglin, How to Detect and Handle Outliers, 1993, eq. 3.1: 3.5), where the deviation
 * is taken as at least a hundredth of the median, so that cells that are nearly alike are all kept.
 *
 * @param lowestVoltage rest voltage below which a cell is never used, V; if absent, 2.5 V, or 1.5 V
 *     for cells that rest below 2.7 V
 * @param mostSelfDischarge highest loss of voltage at rest, V/s; 5 mV a day is usual
 * @param leastCapacity own limit, Ah; absent for none
 * @param mostResistance own limit, Ω; absent for none
 * @param deviations that make an outlier; absent for none
 */
@RecordBuilder
public record RejectRules(
    @In(Unit.VOLT) @Nullable Double lowestVoltage,
    @In(Unit.MILLIVOLT_PER_DAY) double mostSelfDischarge,
    @In(Unit.AMPERE_HOUR) @Nullable Double leastCapacity,
    @In(Unit.MILLIOHM) @Nullable Double mostResistance,
    @Nullable Double deviations)
    implements RejectRulesBuilder.With {

  /** What is usual. */
  public static final RejectRules USUAL = new RejectRules(null, 5e-3 / 86400, null, null, 3.5);

  public RejectRules {
    if (lowestVoltage != null) {
      Valid.range("Lowest rest voltage", lowestVoltage, 0, 5, Unit.VOLT);
    }
    Valid.range("Most self-discharge", mostSelfDischarge, 0, 1e-3, Unit.MILLIVOLT_PER_DAY);
    if (leastCapacity != null) {
      Valid.range("Least capacity", leastCapacity, 0, 1000, Unit.AMPERE_HOUR);
    }
    if (mostResistance != null) {
      Valid.range("Most resistance", mostResistance, 0, 10, Unit.MILLIOHM);
    }
    if (deviations != null) {
      Valid.range("Deviations of an outlier", deviations, 0.5, 100, Unit.ONE);
    }
  }

  private static final double LEAST_DEVIATION = 0.01;
  private static final double LOW_CHEMISTRY = 2.7;

  /**
   * What came of it.
   *
   * @param accepted in the order they came
   * @param rejected in the order they came
   * @param bounds beyond which a cell is an outlier
   */
  public record Sorted(List<MeasuredCell> accepted, List<Rejected> rejected, Bounds bounds) {
    public Sorted {
      accepted = List.copyOf(accepted);
      rejected = List.copyOf(rejected);
    }
  }

  /**
   * Beyond which figures a cell is an outlier; not a number where there is no such bound.
   *
   * @param leastCapacity Ah
   * @param mostCapacity Ah
   * @param leastResistance Ω
   * @param mostResistance Ω
   */
  public record Bounds(
      double leastCapacity, double mostCapacity, double leastResistance, double mostResistance) {
    /** No bounds. */
    public static final Bounds NONE = new Bounds(Double.NaN, Double.NaN, Double.NaN, Double.NaN);
  }

  private Bounds bounds(Middle capacity, Middle resistance) {
    return deviations == null
        ? Bounds.NONE
        : new Bounds(
            capacity.median() - deviations * capacity.deviation(),
            capacity.median() + deviations * capacity.deviation(),
            resistance.median() - deviations * resistance.deviation(),
            resistance.median() + deviations * resistance.deviation());
  }

  /** Applies the rules to cells. */
  public Sorted apply(List<MeasuredCell> cells) {
    List<Rejected> out = new ArrayList<>();
    List<MeasuredCell> once = once(cells, out);
    double cutOff = cutOff(once);
    List<MeasuredCell> sound = new ArrayList<>();
    for (MeasuredCell c : once) {
      Optional<Rejected> bad = bad(c, cutOff);
      bad.ifPresentOrElse(out::add, () -> sound.add(c));
    }
    Middle capacity =
        Middle.within(
            sound.stream().mapToDouble(MeasuredCell::capacity).toArray(), LEAST_DEVIATION);
    Middle resistance =
        Middle.within(
            sound.stream()
                .filter(MeasuredCell::hasResistance)
                .mapToDouble(MeasuredCell::resistance)
                .toArray(),
            LEAST_DEVIATION);
    List<MeasuredCell> accepted = new ArrayList<>();
    for (MeasuredCell c : sound) {
      Optional<Rejected> odd = odd(c, capacity, resistance);
      odd.ifPresentOrElse(out::add, () -> accepted.add(c));
    }
    Map<MeasuredCell, Integer> place = new HashMap<>();
    for (int k = 0; k < cells.size(); k++) {
      place.putIfAbsent(cells.get(k), k);
    }
    out.sort((a, b) -> place.getOrDefault(a.cell(), 0) - place.getOrDefault(b.cell(), 0));
    return new Sorted(accepted, out, bounds(capacity, resistance));
  }

  /**
   * A label that stands twice with different figures names two cells, and neither is used; with the
   * same figures it is one cell that was entered twice, and counts once.
   */
  private static List<MeasuredCell> once(List<MeasuredCell> cells, List<Rejected> out) {
    Map<String, List<MeasuredCell>> byLabel = new HashMap<>();
    for (MeasuredCell c : cells) {
      byLabel.computeIfAbsent(c.label(), l -> new ArrayList<>()).add(c);
    }
    List<MeasuredCell> kept = new ArrayList<>();
    for (MeasuredCell c : cells) {
      List<MeasuredCell> same = byLabel.getOrDefault(c.label(), List.of());
      boolean alike = same.stream().distinct().count() == 1;
      if (same.size() == 1 || (alike && !kept.contains(c))) {
        kept.add(c);
      } else if (!alike) {
        out.add(
            new Rejected(
                c,
                Rule.TWICE,
                "%d cells are labelled “%s”, with different figures; give each its own label"
                    .formatted(same.size(), c.label())));
      }
    }
    return kept;
  }

  private double cutOff(List<MeasuredCell> cells) {
    if (lowestVoltage != null) {
      return lowestVoltage;
    }
    double middle =
        Middle.of(
                cells.stream()
                    .mapToDouble(MeasuredCell::voltage)
                    .filter(v -> !Double.isNaN(v))
                    .toArray(),
                0)
            .median();
    return middle < LOW_CHEMISTRY ? 1.5 : 2.5;
  }

  private Optional<Rejected> bad(MeasuredCell c, double cutOff) {
    if (c.voltage() < cutOff) {
      return Optional.of(
          new Rejected(
              c,
              Rule.BELOW_CUT_OFF,
              "rests at %s, below %s; never revive it"
                  .formatted(volts(c.voltage()), volts(cutOff))));
    }
    if (Double.isNaN(c.capacity())) {
      return Optional.of(new Rejected(c, Rule.NOT_MEASURED, "its capacity is not measured"));
    }
    if (!(c.capacity() > 0) || c.resistance() <= 0) {
      return Optional.of(
          new Rejected(
              c,
              Rule.NOT_POSSIBLE,
              c.capacity() > 0
                  ? "a resistance of %s cannot be; measure again".formatted(ohms(c.resistance()))
                  : "holds nothing (%s)".formatted(hours(c.capacity()))));
    }
    if (c.selfDischarge() > mostSelfDischarge) {
      return Optional.of(
          new Rejected(
              c,
              Rule.SELF_DISCHARGE,
              "loses %s mV a day at rest, more than %s"
                  .formatted(
                      Figures.number(c.selfDischarge() * 86.4e6),
                      Figures.number(mostSelfDischarge * 86.4e6))));
    }
    if (leastCapacity != null && c.capacity() < leastCapacity) {
      return Optional.of(low(c, leastCapacity, "below your limit of "));
    }
    if (mostResistance != null && c.resistance() > mostResistance) {
      return Optional.of(high(c, mostResistance, "above your limit of "));
    }
    return Optional.empty();
  }

  private Optional<Rejected> odd(MeasuredCell c, Middle capacity, Middle resistance) {
    double most = deviations == null ? Double.POSITIVE_INFINITY : deviations;
    double q = capacity.apart(c.capacity());
    if (q < -most) {
      return Optional.of(low(c, capacity.median(), "far below the middle of "));
    }
    if (q > most) {
      return Optional.of(
          new Rejected(
              c,
              Rule.CAPACITY_ODD,
              "%s is far above the middle of %s; measure again, or it is another type of cell"
                  .formatted(hours(c.capacity()), hours(capacity.median()))));
    }
    if (!c.hasResistance()) {
      return Optional.empty();
    }
    double r = resistance.apart(c.resistance());
    if (r > most) {
      return Optional.of(high(c, resistance.median(), "far above the middle of "));
    }
    return r < -most
        ? Optional.of(
            new Rejected(
                c,
                Rule.RESISTANCE_ODD,
                "%s is far below the middle of %s; measure again, or it is another type of cell"
                    .formatted(ohms(c.resistance()), ohms(resistance.median()))))
        : Optional.empty();
  }

  private static Rejected low(MeasuredCell c, double limit, String than) {
    return new Rejected(
        c, Rule.CAPACITY_LOW, "holds %s, %s%s".formatted(hours(c.capacity()), than, hours(limit)));
  }

  private static Rejected high(MeasuredCell c, double limit, String than) {
    return new Rejected(
        c, Rule.RESISTANCE_HIGH, "has %s, %s%s".formatted(ohms(c.resistance()), than, ohms(limit)));
  }

  private static String volts(double v) {
    return Figures.of(v, Unit.VOLT, 2);
  }

  private static String hours(double ah) {
    return Figures.of(ah, Unit.AMPERE_HOUR, 3);
  }

  private static String ohms(double r) {
    return Figures.of(r, Unit.MILLIOHM);
  }
}
