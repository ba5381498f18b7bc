package hammerman.search;

import hammerman.cell.CellType;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * The schools of stacking, each by the best that a search found for it: many energy cells against
 * few power cells, higher voltage against lower.
 *
 * @param contests one for each question
 */
public record Schools(List<Contest> contests) {
  /** Continuous rate, 1/h, up to which a cell counts as an energy cell; usual practice. */
  private static final double ENERGY_RATE = 3.5;

  public Schools {
    contests = List.copyOf(contests);
  }

  /** Two sides of a question. */
  public record Contest(String question, Side one, Side other) {}

  /**
   * One side.
   *
   * @param name what it stands for
   * @param best the best stack of that kind; empty if none serves the duty
   */
  public record Side(String name, Optional<Candidate> best) {}

  /** Picks the champions of a search's ranking. */
  public static Schools of(Search search) {
    List<Candidate> all = search.candidates();
    int most = all.stream().mapToInt(Schools::series).max().orElse(0);
    int least = all.stream().mapToInt(Schools::series).min().orElse(0);
    return new Schools(
        List.of(
            new Contest(
                "Many energy cells, or few power cells?",
                side("Energy cells", all, c -> rate(c) <= ENERGY_RATE),
                side("Power cells", all, c -> rate(c) > ENERGY_RATE)),
            new Contest(
                "Higher voltage, or lower?",
                side("Most groups, " + most + "S", all, c -> series(c) == most),
                least < most
                    ? side("Fewest groups, " + least + "S", all, c -> series(c) == least)
                    : new Side("No other count serves", Optional.empty()))));
  }

  private static Side side(String name, List<Candidate> all, Predicate<Candidate> school) {
    return new Side(
        name, all.stream().filter(school).min(Comparator.comparingDouble(Candidate::score)));
  }

  private static double rate(Candidate c) {
    CellType cell = c.design().pack().cell();
    return cell.currents().continuous() / cell.capacity();
  }

  private static int series(Candidate c) {
    return c.design().pack().series();
  }
}
