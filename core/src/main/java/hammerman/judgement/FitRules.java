package hammerman.judgement;

import static hammerman.judgement.Text.amperes;
import static hammerman.judgement.Text.percent;

import hammerman.chain.Layout;
import hammerman.finding.Station;
import hammerman.fit.Grouping;
import hammerman.interconnect.Network;
import hammerman.judgement.Rule.Found;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;

/** Whether the pack goes into its box, and what the layout does to cells and strips. */
final class FitRules {
  /** Share over an equal one at which uneven ageing begins to matter; typical practice. */
  private static final double UNEVEN = 1.25;

  static final List<Rule> ALL =
      List.of(
          rule(
              "fit.room",
              "room",
              "Places in the box against the cells, and whether groups that touch can be formed.",
              FitRules::room),
          rule(
              "fit.moves",
              "moves",
              "Whether groups are whole and touch after moves by hand.",
              FitRules::moves),
          solved(
              "fit.cell",
              "cell share",
              "The continuous current of the hardest-worked cell of the layout against its rating.",
              FitRules::cell),
          solved(
              "fit.strip",
              "strip piece",
              "The continuous current of the strongest piece of strip against that for a 20 K"
                  + " rise.",
              FitRules::strip),
          solved(
              "fit.peak",
              "strip peak",
              "The hardest moment's current in the strongest piece of strip against what it stands"
                  + " for as long, if it suits for long.",
              FitRules::peak),
          solved(
              "fit.share",
              "cell share",
              "How unevenly the cells of a group share its current, above 125 %, if no cell or"
                  + " strip is overloaded.",
              FitRules::share),
          rule(
              "fit.heat",
              "hot cell",
              "The hottest cell of the layout through the duty against its limit, if the pack as a"
                  + " whole stays below it.",
              FitRules::heat));

  private FitRules() {}

  private interface Check {
    Optional<Found> of(Case c, Grouping grouping, Network network);
  }

  private static Rule rule(
      String id, String word, String looksAt, BiFunction<Case, Layout, Optional<Found>> check) {
    return new Rule(
        id, word, Station.FIT, looksAt, c -> c.layout().flatMap(l -> check.apply(c, l)));
  }

  private static Rule solved(String id, String word, String looksAt, Check check) {
    return rule(
        id,
        word,
        looksAt,
        (c, l) ->
            l.arrangement()
                .grouping()
                .flatMap(g -> l.continuous().flatMap(n -> check.of(c, g, n))));
  }

  private static Optional<Found> room(Case c, Layout l) {
    return l.arrangement().why().isEmpty()
        ? Optional.empty()
        : Found.stop(
            "The pack does not go into this box",
            l.arrangement().why(),
            "Give it more room, fewer cells, or another pattern.");
  }

  private static Optional<Found> moves(Case c, Layout l) {
    return l.arrangement().faults().isEmpty()
        ? Optional.empty()
        : Found.stop(
            "Moves by hand have broken a group",
            String.join(" ", l.arrangement().faults()),
            "Take the last move back.");
  }

  private static Optional<Found> cell(Case c, Grouping g, Network n) {
    double most = n.worstShare(g) * n.current() / g.parallel();
    double rated = c.cell().currents().continuous();
    if (most <= rated) {
      return Optional.empty();
    }
    return Found.warn(
        "One cell works beyond its rating",
        "The layout gives it %s for long, where an equal share is %s; it is rated %s."
            .formatted(amperes(most), amperes(n.current() / g.parallel()), amperes(rated)),
        "Use doubled or copper strip, join the leads to whole groups, or let more pairs touch.");
  }

  private static Optional<Found> strip(Case c, Grouping g, Network n) {
    return n.hardestWorked()
        .filter(s -> s.load() > 1)
        .flatMap(
            s ->
                Found.warn(
                    "A piece of strip runs hot",
                    "In this layout one piece carries %s for long; %s warms by 20 K at %s. One cell carries %s of an equal share."
                        .formatted(
                            amperes(Math.abs(s.current())),
                            s.strip().text(),
                            amperes(s.strip().ampacity()),
                            percent(n.worstShare(g))),
                    "See what mends it under Strips: doubled or copper strip there, or another"
                        + " take-off."));
  }

  private static Optional<Found> peak(Case c, Grouping g, Network n) {
    double by = c.chain().demand().peak() / n.current();
    double seconds = c.chain().demand().peakDuration();
    return n.hardestWorked()
        .filter(s -> s.load() <= 1)
        .filter(s -> Math.abs(s.current()) * by > s.strip().shortTimeAmpacity(seconds))
        .flatMap(
            s ->
                Found.warn(
                    "A piece of strip runs hot in the hardest moment",
                    "It carries %s for %s; %s stands %s for as long."
                        .formatted(
                            amperes(Math.abs(s.current()) * by),
                            Figures.of(seconds, Unit.SECOND),
                            s.strip().text(),
                            amperes(s.strip().shortTimeAmpacity(seconds))),
                    "Use doubled or copper strip there."));
  }

  private static Optional<Found> heat(Case c, Layout l) {
    double limit = c.cell().temperatures().dischargeHighest();
    boolean whole = c.duty().extremes().peakTemperature() >= limit;
    return c.heat()
        .filter(m -> !whole && m.hottest() >= limit)
        .flatMap(
            m ->
                Found.stop(
                    "One cell reaches its temperature limit",
                    "In this layout the hottest cell is at %s after %s of the duty, the pack as a whole at %s; the limit is %s."
                        .formatted(
                            Text.celsius(m.hottest()),
                            Figures.duration(m.hottestTime()),
                            Text.celsius(c.duty().extremes().peakTemperature()),
                            Text.celsius(limit)),
                    "See what cools it under Heat: another filling, a wider gap, a fan."));
  }

  private static Optional<Found> share(Case c, Grouping g, Network n) {
    double worst = n.worstShare(g);
    if (worst <= UNEVEN || cell(c, g, n).isPresent() || strip(c, g, n).isPresent()) {
      return Optional.empty();
    }
    return Found.note(
        "Cells of a group share unevenly",
        "The hardest-worked cell carries %s of an equal share and will age first."
            .formatted(percent(worst)),
        "Use doubled or copper strip, join the leads to whole groups, or let more pairs touch.");
  }
}
