package hammerman.app.station.stack;

import hammerman.app.job.Latest;
import hammerman.build.Equipped;
import hammerman.design.Design;
import hammerman.finding.Finding;
import hammerman.guard.Parts;
import hammerman.search.Candidate;
import hammerman.search.Search;
import hammerman.unit.Figures;
import hammerman.unit.Sentence;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.application.Platform;
import org.jspecify.annotations.Nullable;

/** The foremost stacks of a search with their parts, looked for one after another. */
final class Foremost {
  /** So many that suit are looked for. */
  private static final int MOST = 12;

  /** So far down the ranking at most. */
  private static final int FARTHEST = 40;

  private final Supplier<Parts> parts;
  private final Runnable onEach;
  private final Latest equipping = new Latest("parts of what was found");
  private final Map<Design, Equipped> equipped = new HashMap<>();

  /**
   * @param parts on the shelf
   * @param onEach told, on the interface thread, when one more is worked out
   */
  Foremost(Supplier<Parts> parts, Runnable onEach) {
    this.parts = parts;
    this.onEach = onEach;
  }

  /** Forgets them all, for another search. */
  void clear() {
    equipping.cancel();
    equipped.clear();
  }

  /**
   * Looks for the parts of those that are foremost now and were not looked at yet, until enough
   * have parts that suit.
   */
  void equip(Search search) {
    List<Design> ranked =
        search.candidates().stream()
            .sorted(Comparator.comparingDouble(Candidate::score))
            .map(Candidate::design)
            .limit(FARTHEST)
            .toList();
    Map<Design, Boolean> known = new HashMap<>();
    equipped.forEach((d, e) -> known.put(d, e.isFeasible()));
    if (known.keySet().containsAll(wanted(ranked, known))) {
      return;
    }
    Parts shelf = parts.get();
    equipping.submit(
        () -> {
          for (Design d = next(ranked, known); d != null; d = next(ranked, known)) {
            if (Thread.currentThread().isInterrupted()) {
              throw new CancellationException("superseded");
            }
            Design of = d;
            Equipped made = Equipped.of(of, shelf);
            known.put(of, made.isFeasible());
            Platform.runLater(
                () -> {
                  equipped.put(of, made);
                  onEach.run();
                });
          }
          return known.size();
        },
        all -> {});
  }

  /** The next to look at; null when enough suit or none is left. */
  private static @Nullable Design next(List<Design> ranked, Map<Design, Boolean> known) {
    return wanted(ranked, known).stream()
        .filter(d -> !known.containsKey(d))
        .findFirst()
        .orElse(null);
  }

  /** The foremost, with as many more as do not suit. */
  private static List<Design> wanted(List<Design> ranked, Map<Design, Boolean> known) {
    int suit = 0;
    List<Design> wanted = new ArrayList<>();
    for (Design d : ranked) {
      if (suit == MOST) {
        break;
      }
      wanted.add(d);
      suit += known.getOrDefault(d, true) ? 1 : 0;
    }
    return wanted;
  }

  /** A stack with its parts, if that is worked out. */
  Optional<Equipped> of(Candidate c) {
    return Optional.ofNullable(equipped.get(c.design()));
  }

  /** Whether it is known that no part makes a stack sound. */
  boolean isRuledOut(Candidate c) {
    return of(c).filter(e -> !e.isFeasible()).isPresent();
  }

  /** Whether the parts suit, in a word; nothing while that is not known. */
  String suits(Candidate c) {
    return of(c)
        .map(e -> e.against().stream().findFirst().map(Finding::word).orElse("suit"))
        .orElse("");
  }

  /** How that word is written. */
  String style(Candidate c) {
    return of(c)
        .map(e -> e.against().isEmpty() ? "serves" : e.isFeasible() ? "warn" : "stop")
        .orElse("");
  }

  /**
   * What a stack comes to with its parts, in a sentence or two; nothing while that is not known.
   */
  String told(Candidate c) {
    return of(c)
        .map(
            e ->
                "%s with its parts%s: %s, %s by rough prices. %s"
                    .formatted(
                        c.name(),
                        e.design().second() == null ? "" : " and the second pack",
                        Figures.of(e.mass(), Unit.KILOGRAM),
                        e.design().duty().bounds().prices().money(e.price(), 0),
                        verdict(e)))
        .map(Figures::unbroken)
        .orElse("");
  }

  private static String verdict(Equipped e) {
    if (e.against().isEmpty()) {
      return e.design().fit() == null ? "They suit it." : "They suit it, and it fits its box.";
    }
    return e.against().stream()
        .map(f -> Sentence.within(f.title()))
        .collect(Collectors.joining("; ", "No part on the shelf cures: ", "."));
  }
}
