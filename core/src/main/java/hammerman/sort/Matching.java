package hammerman.sort;

import hammerman.pack.MatchedCells;
import hammerman.unit.InvalidValue;
import hammerman.unit.Valid;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;

/**
 * Cells in level groups: {@code series} groups of {@code parallel}, the rest spare.
 *
 * <p>In order: the smallest spread (most less least) of what is to be level among the groups, then
 * the smallest spread of the other figure. To be level is the capacity, the sum over a group's
 * cells, or the conductance, the sum of one over their resistance, or both: capacities first, and
 * then as much of that given up for the conductances as makes the weighed sum of both spreads, as
 * shares of their means, least. Few cells are tried in every way; more begin with the greedy choice
 * (the next best cell to the group with the least, R. Graham, SIAM J. Appl. Math. 17, 1969, 416) or
 * with strongest to weakest and back, and are bettered by exchanges of one and of two cells, shaken
 * and bettered again (H. Lourenço, O. Martin, T. Stützle, Iterated Local Search, 2003). Pairs
 * without spares are best as strongest with weakest. Never worse than the greedy choice. Cost: up
 * to two seconds, also for 2,000 cells.
 *
 * @param groups from the negative end, each in falling order of capacity
 * @param spares in falling order of capacity
 * @param spread of the capacity of the groups, Ah
 * @param lowerBound spread that no choice of these cells can beat, Ah; 0 where nothing is known
 */
public record Matching(
    List<List<MeasuredCell>> groups, List<MeasuredCell> spares, double spread, double lowerBound) {

  private static final double LEVEL = 5e-5;

  /** Series and parallel counts are handled up to here. */
  private static final int MOST = 500;

  /** What is to be the same in all groups first. */
  public enum Level {
    CAPACITY("Capacity"),
    RESISTANCE("Resistance"),
    /** Both, weighed as shares of their means; {@link Terms#capacityWeight}. */
    BOTH("Both, weighed");

    private final String label;

    Level(String label) {
      this.label = label;
    }

    /** Returns it in words. */
    public String label() {
      return label;
    }
  }

  /**
   * How to match.
   *
   * @param level what is to be the same first
   * @param mostRatio largest resistance over the smallest within a group; infinite for no limit
   * @param pinned group, from 0, of cells that stay where they are, by label
   * @param seed of what is left to chance
   * @param capacityWeight share that the capacity has where both count, 0 to 1
   */
  public record Terms(
      Level level,
      double mostRatio,
      Map<String, Integer> pinned,
      long seed,
      double capacityWeight) {
    /** By capacity, nothing pinned. */
    public static final Terms USUAL =
        new Terms(Level.CAPACITY, Double.POSITIVE_INFINITY, Map.of(), 1);

    /** Terms in which both, if asked for, count alike. */
    public Terms(Level level, double mostRatio, Map<String, Integer> pinned, long seed) {
      this(level, mostRatio, pinned, seed, 0.5);
    }

    public Terms {
      pinned = Map.copyOf(pinned);
      if (!(mostRatio >= 1)) {
        throw new InvalidValue(
            "Resistance ratio within a group",
            String.valueOf(mostRatio),
            "must be 1 or more",
            "Type 1.5 or more.");
      }
    }
  }

  public Matching {
    groups = groups.stream().map(List::copyOf).toList();
    spares = List.copyOf(spares);
  }

  /** Matches cells by capacity. */
  public static Matching of(List<MeasuredCell> cells, int series, int parallel) throws TooFewCells {
    return of(cells, series, parallel, Terms.USUAL);
  }

  /**
   * Matches cells.
   *
   * @throws TooFewCells if there are fewer than the groups take
   * @throws InvalidValue if a count is out of its range, or more cells are pinned to a group than
   *     it takes
   */
  public static Matching of(List<MeasuredCell> cells, int series, int parallel, Terms terms)
      throws TooFewCells {
    Valid.count("Series count", series, 1, MOST);
    Valid.count("Parallel count", parallel, 1, MOST);
    if (cells.size() < series * parallel) {
      throw new TooFewCells(cells.size(), series, parallel);
    }
    long without = cells.stream().filter(c -> !c.hasResistance()).count();
    if (terms.level() != Level.CAPACITY && without > 0) {
      throw new InvalidValue(
          "Matching by resistance",
          without + " cells without one",
          "needs the resistance of every cell",
          "Measure them, or match by capacity.");
    }
    List<MeasuredCell> sorted = new ArrayList<>(cells);
    sorted.sort(
        (a, b) ->
            a.capacity() != b.capacity()
                ? Double.compare(b.capacity(), a.capacity())
                : a.label().compareTo(b.label()));
    double bound = LowerBound.of(sorted, series, parallel, terms);
    LevelSearch search = new LevelSearch(sorted, series, parallel, terms, bound);
    int[] groupOf = search.best();
    List<List<MeasuredCell>> groups = new ArrayList<>();
    for (int g = 0; g < series; g++) {
      groups.add(new ArrayList<>());
    }
    List<MeasuredCell> spares = new ArrayList<>();
    for (int k = 0; k < sorted.size(); k++) {
      (groupOf[k] < 0 ? spares : groups.get(groupOf[k])).add(sorted.get(k));
    }
    double[] all = groups.stream().mapToDouble(Matching::capacity).toArray();
    double spread = Arrays.stream(all).max().orElse(0) - Arrays.stream(all).min().orElse(0);
    double found = Math.max(0, rounded(spread));
    boolean best = search.isExact() && terms.level() == Level.CAPACITY;
    return new Matching(groups, spares, found, best ? found : Math.min(bound, found));
  }

  /** Sums of decimals leave a trail of digits that nobody measured. */
  private static double rounded(double ah) {
    return Math.round(ah * 1e9) / 1e9;
  }

  /**
   * Returns the groups as the cells of a pack.
   *
   * @param direct whether resistances are those of direct current after 10 s
   */
  public MatchedCells cells(boolean direct) {
    return cells(groups, direct);
  }

  /** Returns groups of measured cells as the cells of a pack. */
  public static MatchedCells cells(List<List<MeasuredCell>> groups, boolean direct) {
    return new MatchedCells(
        groups.stream()
            .map(
                g ->
                    new MatchedCells.Group(
                        g.stream()
                            .map(
                                c ->
                                    new MatchedCells.Cell(
                                        c.label(),
                                        c.capacity(),
                                        c.hasResistance() ? c.resistance() : null))
                            .toList()))
            .toList(),
        direct);
  }

  /** Returns the capacity of a group, Ah. */
  public static double capacity(List<MeasuredCell> group) {
    return group.stream().mapToDouble(MeasuredCell::capacity).sum();
  }

  /**
   * Returns the resistance of a group, Ω: its cells in parallel; not a number where one was not
   * measured.
   */
  public static double resistance(List<MeasuredCell> group) {
    return 1 / group.stream().mapToDouble(c -> 1 / c.resistance()).sum();
  }

  /** Whether no meter tells the groups apart: they lie within a twentieth of a mAh. */
  public boolean isLevel() {
    return spread < LEVEL;
  }

  /** Returns the group with the least capacity, from 0. */
  public int weakest() {
    int weakest = 0;
    for (int g = 1; g < groups.size(); g++) {
      if (capacity(groups.get(g)) < capacity(groups.get(weakest))) {
        weakest = g;
      }
    }
    return weakest;
  }
}
