package hammerman.search;

import hammerman.cell.CellLibrary;
import hammerman.cell.CellType;
import hammerman.design.Design;
import hammerman.forecast.Trial;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;

/**
 * All cells of a library at all counts against one duty.
 *
 * <p>Hard limits are every stop that cell or counts can mend, and the duty's mass and money. Guard
 * parts are not judged: they are chosen afterwards; BMS count and charge voltage follow the counts
 * as in {@link Design#withCounts}. Deterministic: the same input gives the same ranking.
 *
 * @param candidates those that serve, best score first
 * @param tried how many pairs of cell and counts were looked at
 */
public record Search(List<Candidate> candidates, int tried) {
  /** The longest string searched. */
  public static final int MOST_SERIES = 30;

  /** The largest group searched. */
  public static final int MOST_PARALLEL = 40;

  private static final int QUALITIES = 5;

  public Search {
    candidates = List.copyOf(candidates);
  }

  /**
   * Searches to the end.
   *
   * @param design gives the duty and everything but cell and counts
   * @param cells to try
   * @param weights of the ranking
   */
  public static Search of(Design design, CellLibrary cells, Weights weights) {
    return of(design, cells, weights, s -> {}, () -> false);
  }

  /**
   * Searches, showing what was found after each cell, until done or cancelled.
   *
   * @param design gives the duty and everything but cell and counts
   * @param cells to try
   * @param weights of the ranking
   * @param progress takes the ranking so far
   * @param cancelled asked between trials; when true the search ends with what it has
   */
  public static Search of(
      Design design,
      CellLibrary cells,
      Weights weights,
      Consumer<Search> progress,
      BooleanSupplier cancelled) {
    List<Candidate> found = new ArrayList<>();
    int tried = 0;
    for (CellType cell : cells.cells()) {
      for (int s = 1; s <= MOST_SERIES && !cancelled.getAsBoolean(); s++) {
        tried += MOST_PARALLEL;
        if (inVoltageWindow(design, cell, s)) {
          string(design.withCell(cell).withCounts(s, 1), found, cancelled);
        }
      }
      progress.accept(new Search(ranked(found, weights), tried));
      if (cancelled.getAsBoolean()) {
        break;
      }
    }
    return new Search(ranked(found, weights), tried);
  }

  /**
   * Returns the knee of the trade of mass for life: of the candidates that nothing beats in both,
   * the one farthest from the line between the lightest and the one that lives longest, each scaled
   * to its range (Das 1999, "On characterizing the knee of the Pareto curve", eq. 1).
   *
   * @return empty if none lies above that line
   */
  public Optional<Candidate> knee() {
    List<Candidate> front = new ArrayList<>();
    double longest = Double.NEGATIVE_INFINITY;
    for (Candidate c :
        candidates.stream()
            .sorted(
                Comparator.comparingDouble(Candidate::mass)
                    .thenComparing(Comparator.comparingDouble(Candidate::years).reversed()))
            .toList()) {
      if (c.years() > longest) {
        front.add(c);
        longest = c.years();
      }
    }
    if (front.size() < 3) {
      return Optional.empty();
    }
    Candidate first = front.getFirst();
    Candidate last = front.getLast();
    return front.subList(1, front.size() - 1).stream()
        .filter(c -> gain(first, c, last) > 0)
        .max(Comparator.comparingDouble(c -> gain(first, c, last)));
  }

  /** Share of the years gained less the share of the mass paid for them. */
  private static double gain(Candidate first, Candidate c, Candidate last) {
    return (c.years() - first.years()) / (last.years() - first.years())
        - (c.mass() - first.mass()) / (last.mass() - first.mass());
  }

  /** Returns the same candidates ranked by other weights, without searching again. */
  public Search ranked(Weights weights) {
    return new Search(ranked(candidates, weights), tried);
  }

  /**
   * Whether a string can work at all: charged it must not exceed the machine, and full at rest it
   * must be above the machine's cut-out. What fails this is stopped by the voltage rules at any
   * parallel count.
   */
  private static boolean inVoltageWindow(Design design, CellType cell, int series) {
    var machine = design.duty().machine();
    double offset = design.chargeVoltagePerCell() - design.pack().cell().fullVoltage();
    double charged = series * (cell.fullVoltage() + offset);
    double rested = series * cell.openCircuit().value(1);
    // A millivolt more than the rule allows, so that rounding never drops what the rule lets pass.
    return charged <= machine.maximumVoltage() + 1e-3 && rested > machine.cutOutVoltage();
  }

  /** Tries one string at every parallel count. */
  private static void string(Design one, List<Candidate> found, BooleanSupplier cancelled) {
    Double mass = one.duty().bounds().mass();
    Double budget = one.duty().bounds().budget();
    for (int p = 1; p <= MOST_PARALLEL && !cancelled.getAsBoolean(); p++) {
      Design design = one.withCounts(one.pack().series(), p);
      boolean tooHeavy = mass != null && design.pack().mass() > mass;
      boolean tooDear = budget != null && design.pack().cost() > budget;
      if (tooHeavy || tooDear) {
        return;
      }
      Trial trial = Trial.of(design);
      if (!trial.stopped()) {
        found.add(
            new Candidate(
                design,
                design.pack().mass(),
                design.pack().cost(),
                trial.years(),
                trial.margin(),
                trial.peakTemperature(),
                trial.sag(),
                trial.duty().totals().heat(),
                0,
                false));
      }
    }
  }

  private static List<Candidate> ranked(List<Candidate> found, Weights weights) {
    double[] w = {
      weights.mass(), weights.cost(), weights.life(), weights.margin(), weights.coolness()
    };
    double leastMass = found.stream().mapToDouble(Candidate::mass).min().orElse(0);
    double leastCost = found.stream().mapToDouble(Candidate::cost).min().orElse(0);
    double sum = Arrays.stream(w).sum();
    List<double[]> raw = found.stream().map(Candidate::qualities).toList();
    List<Candidate> ranked = new ArrayList<>();
    for (int k = 0; k < found.size(); k++) {
      double[] shortfall = found.get(k).shortfalls(leastMass, leastCost, weights);
      double score = 0;
      for (int q = 0; q < QUALITIES; q++) {
        score += w[q] * shortfall[q];
      }
      ranked.add(found.get(k).withScore(sum > 0 ? score / sum : 0, best(raw, k)));
    }
    ranked.sort(
        Comparator.comparingDouble(Candidate::score)
            .thenComparingDouble(Candidate::mass)
            .thenComparing(c -> c.design().pack().cell().id())
            .thenComparing(Candidate::counts));
    return ranked;
  }

  /** Whether nothing dominates candidate {@code k}: the Pareto front. */
  private static boolean best(List<double[]> all, int k) {
    double[] mine = all.get(k);
    for (double[] other : all) {
      boolean noWorse = true;
      boolean better = false;
      for (int q = 0; q < QUALITIES && noWorse; q++) {
        noWorse = other[q] <= mine[q];
        better |= other[q] < mine[q];
      }
      if (noWorse && better) {
        return false;
      }
    }
    return true;
  }
}
