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
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.application.Platform;

/** The foremost stacks of a search with their parts, looked for one after another. */
final class Foremost {
  /** So many of the foremost are looked at. */
  private static final int MOST = 12;

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

  /** Looks for the parts of those that are foremost now and were not looked at yet. */
  void equip(Search search) {
    List<Design> foremost =
        search.candidates().stream()
            .sorted(Comparator.comparingDouble(Candidate::score))
            .limit(MOST)
            .map(Candidate::design)
            .filter(d -> !equipped.containsKey(d))
            .toList();
    if (foremost.isEmpty()) {
      return;
    }
    Parts shelf = parts.get();
    equipping.submit(
        () -> {
          for (Design d : foremost) {
            if (Thread.currentThread().isInterrupted()) {
              throw new CancellationException("superseded");
            }
            Equipped made = Equipped.of(d, shelf);
            Platform.runLater(
                () -> {
                  equipped.put(d, made);
                  onEach.run();
                });
          }
          return foremost.size();
        },
        all -> {});
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
