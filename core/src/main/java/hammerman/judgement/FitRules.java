package hammerman.judgement;

import static hammerman.judgement.Phrases.amperes;
import static hammerman.judgement.Phrases.percent;

import hammerman.chain.Layout;
import hammerman.finding.Finding.Measure;
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
              "fit.share",
              "cell share",
              "How unevenly the cells of a group share its current, above 125 %, if no cell is"
                  + " overloaded.",
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
            "Give it more room, fewer cells, or another pattern.",
            Measure.most("cells without a place", 1, 0, Unit.ONE));
  }

  private static Optional<Found> moves(Case c, Layout l) {
    return l.arrangement().faults().isEmpty()
        ? Optional.empty()
        : Found.stop(
            "Moves by hand have broken a group",
            String.join(" ", l.arrangement().faults()),
            "Take the last move back.",
            Measure.most("broken groups", l.arrangement().faults().size(), 0, Unit.ONE));
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
        "Use doubled or copper strip, join the leads to whole groups, or let more pairs touch.",
        Measure.most("current of one cell", most, rated, Unit.AMPERE));
  }

  private static Optional<Found> heat(Case c, Layout l) {
    double limit = c.cell().temperatures().dischargeHighest();
    boolean whole = c.own().extremes().peakTemperature() >= limit;
    return c.heat()
        .filter(m -> !whole && m.hottest() >= limit)
        .flatMap(
            m ->
                Found.stop(
                    "One cell reaches its temperature limit",
                    "In this layout the hottest cell is at %s after %s of the duty, the pack as a whole at %s; the limit is %s."
                        .formatted(
                            Phrases.celsius(m.hottest()),
                            Figures.duration(m.hottestTime()),
                            Phrases.celsius(c.own().extremes().peakTemperature()),
                            Phrases.celsius(limit)),
                    "See what cools it under Heat: another filling, a wider gap, a fan.",
                    Measure.most("hottest cell", m.hottest(), limit, Unit.CELSIUS)));
  }

  private static Optional<Found> share(Case c, Grouping g, Network n) {
    double worst = n.worstShare(g);
    if (worst <= UNEVEN || cell(c, g, n).isPresent()) {
      return Optional.empty();
    }
    return Found.note(
        "Cells of a group share unevenly",
        "The hardest-worked cell carries %s of an equal share and will age first."
            .formatted(percent(worst)),
        "Use doubled or copper strip, join the leads to whole groups, or let more pairs touch.",
        Measure.most("share of the hardest-worked cell", worst, UNEVEN, Unit.PERCENT));
  }
}
