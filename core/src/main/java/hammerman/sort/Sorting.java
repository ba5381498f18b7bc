package hammerman.sort;

import hammerman.pack.MatchedCells;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Where each cell of the stock stands by a plan, and which of them are matched.
 *
 * @param entries of all cells, in the order of the stock
 * @param accepted good cells with the figures by which they are matched, those in the pack among
 *     them
 * @param bounds beyond which a cell is an outlier
 */
public record Sorting(List<Entry> entries, List<MeasuredCell> accepted, RejectRules.Bounds bounds) {
  /** Nothing to sort. */
  public static final Sorting NONE = new Sorting(List.of(), List.of(), RejectRules.Bounds.NONE);

  /** So many characters stand in a narrow column. */
  private static final int FEW = 20;

  /**
   * A cell, and where it stands.
   *
   * @param cause in a few words; empty where the state says it
   * @param why the same with its figures
   * @param group in the pack, from 0; -1 for none
   * @param taken figures by which it is matched, also those that were not measured of it
   */
  public record Entry(
      Stock.Cell cell, CellState state, String cause, String why, int group, MeasuredCell taken) {
    /** Returns its state in words. */
    public String words() {
      return state == CellState.IN_PACK ? "group " + (group + 1) : state.words();
    }
  }

  /**
   * What a limit does.
   *
   * @param limit in words
   * @param cells that it alone puts aside
   * @param spreadWithout standard deviation of the capacities over their mean, were it not there
   * @param spread as it is
   */
  public record LimitCost(String limit, int cells, double spreadWithout, double spread) {}

  public Sorting {
    entries = List.copyOf(entries);
    accepted = List.copyOf(accepted);
  }

  /**
   * Sorts.
   *
   * @param typical capacity of the type, Ah, for cells whose capacity is not to be measured
   * @param pack the cells of the design, if it has any
   */
  public static Sorting of(
      Stock stock, SortPlan plan, double typical, @Nullable MatchedCells pack) {
    Map<String, Integer> groups = new HashMap<>();
    for (int g = 0; pack != null && g < pack.groups().size(); g++) {
      for (MatchedCells.Cell c : pack.groups().get(g).cells()) {
        groups.put(c.label(), g);
      }
    }
    double filler = filler(stock, plan, typical);
    List<MeasuredCell> judged = new ArrayList<>();
    Map<String, MeasuredCell> taken = new HashMap<>();
    for (Stock.Cell c : stock.cells()) {
      MeasuredCell m = filled(c, plan, filler);
      taken.put(c.label(), m);
      if (c.aside() == null && c.test() == null) {
        judged.add(m);
      }
    }
    RejectRules.Sorted sorted = plan.rules().apply(judged);
    Map<String, Rejected> bad = new HashMap<>();
    sorted.rejected().forEach(r -> bad.put(r.cell().label(), r));
    List<Entry> entries = new ArrayList<>(stock.cells().size());
    List<MeasuredCell> accepted = new ArrayList<>();
    for (Stock.Cell c : stock.cells()) {
      MeasuredCell m = taken.getOrDefault(c.label(), c.measured());
      Entry e = entry(c, m, plan, bad.get(c.label()), groups.getOrDefault(c.label(), -1), pack);
      entries.add(e);
      if (e.state() == CellState.ACCEPTED
          || e.state() == CellState.SPARE
          || (e.state() == CellState.IN_PACK && !Double.isNaN(m.capacity()))) {
        accepted.add(m);
      }
    }
    return new Sorting(entries, accepted, sorted.bounds());
  }

  private static Entry entry(
      Stock.Cell c,
      MeasuredCell m,
      SortPlan plan,
      @Nullable Rejected bad,
      int group,
      @Nullable MatchedCells pack) {
    if (c.aside() != null) {
      String why = c.aside().value().reason();
      return new Entry(c, CellState.REJECTED, inFew(why), why, group, m);
    }
    if (c.test() != null) {
      String bay = "bay " + c.test().value().bay();
      return new Entry(c, CellState.ON_TEST, bay, bay, group, m);
    }
    if (bad != null && bad.rule() != Rejected.Rule.NOT_MEASURED) {
      return new Entry(c, CellState.REJECTED, bad.rule().words(), bad.reason(), group, m);
    }
    if (group >= 0) {
      return new Entry(c, CellState.IN_PACK, "", "", group, m);
    }
    if (bad != null) {
      String cause = c.count() == 0 ? "" : bad.rule().words();
      return new Entry(c, CellState.NEW, cause, bad.reason(), -1, m);
    }
    if (plan.restDays() > 0 && c.restingSince() != null) {
      return new Entry(c, CellState.RESTING, "", "rests for its self-discharge", -1, m);
    }
    return new Entry(c, pack == null ? CellState.ACCEPTED : CellState.SPARE, "", "", -1, m);
  }

  /** What a reason begins with, where that is short. */
  private static String inFew(String reason) {
    String first = reason.split("[,:;]", 2)[0].strip();
    return first.length() <= FEW ? first : "by you";
  }

  /** The capacity of cells whose own is not measured by the builder's school, Ah. */
  private static double filler(Stock stock, SortPlan plan, double typical) {
    return switch (plan.school()) {
      case EACH -> Double.NaN;
      case QUICK -> typical;
      case SAMPLE -> {
        double[] known = capacities(stock);
        yield known.length == 0 ? typical : Arrays.stream(known).average().orElse(typical);
      }
    };
  }

  /** Returns the capacities that were measured, Ah. */
  public static double[] capacities(Stock stock) {
    return stock.cells().stream()
        .mapToDouble(c -> c.measured().capacity())
        .filter(v -> !Double.isNaN(v))
        .toArray();
  }

  /** A cell that was looked at has the filler for its capacity; one that was not has none. */
  private static MeasuredCell filled(Stock.Cell c, SortPlan plan, double filler) {
    MeasuredCell m = c.measured();
    boolean looked =
        plan.school() == SortPlan.School.SAMPLE || m.hasResistance() || !Double.isNaN(m.voltage());
    return Double.isNaN(m.capacity()) && looked
        ? new MeasuredCell(m.label(), filler, m.resistance(), m.voltage(), m.selfDischarge())
        : m;
  }

  /** Returns the labels of the cells that count with a capacity that was not measured of them. */
  public Set<String> assumed() {
    return entries.stream()
        .filter(e -> Double.isNaN(e.cell().measured().capacity()))
        .filter(e -> !Double.isNaN(e.taken().capacity()))
        .map(e -> e.cell().label())
        .collect(Collectors.toSet());
  }

  /** Returns how many cells stand so. */
  public int count(CellState state) {
    return (int) entries.stream().filter(e -> e.state() == state).count();
  }

  /**
   * Returns what each limit costs in cells and gains in level cells; limits that do nothing too.
   */
  public static List<LimitCost> limits(
      Stock stock, SortPlan plan, double typical, @Nullable MatchedCells pack) {
    RejectRules rules = plan.rules();
    Sorting now = of(stock, plan, typical, pack);
    List<LimitCost> all = new ArrayList<>();
    if (rules.leastCapacity() != null) {
      all.add(
          cost("Least capacity", now, stock, plan, rules.withLeastCapacity(null), typical, pack));
    }
    if (rules.mostResistance() != null) {
      all.add(
          cost("Most resistance", now, stock, plan, rules.withMostResistance(null), typical, pack));
    }
    if (rules.deviations() != null) {
      all.add(cost("Outliers", now, stock, plan, rules.withDeviations(null), typical, pack));
    }
    all.add(
        cost("Self-discharge", now, stock, plan, rules.withMostSelfDischarge(1e-3), typical, pack));
    return all;
  }

  private static LimitCost cost(
      String limit,
      Sorting now,
      Stock stock,
      SortPlan plan,
      RejectRules without,
      double typical,
      @Nullable MatchedCells pack) {
    Sorting then = of(stock, plan.withRules(without), typical, pack);
    return new LimitCost(
        limit,
        then.accepted().size() - now.accepted().size(),
        spread(then.accepted()),
        spread(now.accepted()));
  }

  /** Standard deviation of the capacities as a share of their mean. */
  private static double spread(List<MeasuredCell> cells) {
    double[] q = cells.stream().mapToDouble(MeasuredCell::capacity).toArray();
    double mean = Arrays.stream(q).average().orElse(Double.NaN);
    double squares = Arrays.stream(q).map(v -> (v - mean) * (v - mean)).sum();
    return q.length < 2 ? 0 : Math.sqrt(squares / (q.length - 1)) / mean;
  }
}
