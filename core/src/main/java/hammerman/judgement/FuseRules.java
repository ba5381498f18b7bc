package hammerman.judgement;

import static hammerman.judgement.Text.amperes;
import static hammerman.judgement.Text.volts;

import hammerman.chain.FuseWindow;
import hammerman.finding.Station;
import hammerman.guard.Fuse;
import hammerman.guard.Fusing;
import hammerman.judgement.Rule.Found;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiFunction;

/** Whether the fuses suit the wire, the pack and the duty. */
final class FuseRules {
  /** Multiple of its rating at which a fuse surely opens within half a second; typical. */
  private static final double SURE_MULTIPLE = 3.5;

  private static final double ROOM = 298.15;

  static final List<Rule> ALL =
      List.of(
          new Rule(
              "fuse.none",
              "no fuse",
              Station.GUARD,
              "Whether there is a main fuse.",
              FuseRules::none),
          rule(
              "fuse.unprotected",
              "wire",
              "The fuse rating against the ampacity of the wire it protects.",
              FuseRules::unprotected),
          rule(
              "fuse.voltage",
              "fuse volts",
              "The fuse's DC voltage rating against the pack's highest voltage.",
              FuseRules::voltage),
          rule(
              "fuse.interrupt",
              "fuse kA",
              "The class's interrupt rating against the short-circuit current.",
              FuseRules::interrupt),
          rule(
              "fuse.nuisance",
              "fuse small",
              "The fuse rating against the duty's continuous current and hardest moment.",
              FuseRules::nuisance),
          new Rule(
              "fuse.cellSmall",
              "cell fuses",
              Station.GUARD,
              "The cell fuses against each cell's share of the load.",
              FuseRules::cellSmall),
          new Rule(
              "fuse.cellLarge",
              "cell fuses",
              Station.GUARD,
              "The cell fuses against what the other cells of a group push into a shorted one.",
              FuseRules::cellLarge));

  private FuseRules() {}

  private static Rule rule(
      String id, String word, String looksAt, BiFunction<Case, Fuse, Optional<Found>> check) {
    return new Rule(
        id, word, Station.GUARD, looksAt, c -> c.guard().fuse().flatMap(f -> check.apply(c, f)));
  }

  private static Optional<Found> none(Case c) {
    if (c.guard().fuse().isPresent()) {
      return Optional.empty();
    }
    return Found.warn(
        "Nothing but electronics breaks a short circuit",
        "Shorted, the pack gives about %s; switches of a BMS often fail closed at such a current."
            .formatted(Figures.of(c.chain().shortCircuitCurrent(), Unit.KILOAMPERE)),
        "Fit a main fuse close to the pack's positive end.");
  }

  private static Optional<Found> unprotected(Case c, Fuse fuse) {
    FuseWindow window = c.chain().fuseWindow();
    if (fuse.rating() <= window.upper()) {
      return Optional.empty();
    }
    return Found.stop(
        "The fuse does not protect the wire",
        "The wire overheats above %s; the fuse is %s and would let it."
            .formatted(amperes(window.upper()), amperes(fuse.rating())),
        window.empty()
            ? "No rating suits: take wire of %s or more."
                .formatted(WireRules.areaFor(c, Math.max(window.lower(), fuse.rating())))
            : "Fit %s to %s, or wire of %s or more."
                .formatted(
                    amperes(window.lower()),
                    amperes(window.upper()),
                    WireRules.areaFor(c, fuse.rating())));
  }

  private static Optional<Found> voltage(Case c, Fuse fuse) {
    double highest = c.highestVoltage();
    double rated = fuse.voltageRating();
    if (highest <= rated) {
      return Optional.empty();
    }
    return Found.stop(
        "The fuse cannot break this voltage",
        "Full, the pack has %s; the fuse is rated %s DC. It could go on burning as an arc."
            .formatted(volts(highest), volts(rated)),
        "Take a fuse rated for %s DC or more.".formatted(volts(highest)));
  }

  private static Optional<Found> interrupt(Case c, Fuse fuse) {
    double prospective = c.chain().shortCircuitCurrent();
    double rated = fuse.kind().interruptRating();
    if (prospective <= rated) {
      return Optional.empty();
    }
    return Found.stop(
        "The fuse cannot break a short circuit of this pack",
        "Shorted, the pack gives about %s; a %s fuse breaks %s."
            .formatted(
                Figures.of(prospective, Unit.KILOAMPERE),
                fuse.kind().label().toLowerCase(Locale.ROOT),
                Figures.of(rated, Unit.KILOAMPERE)),
        "Take a class with a higher interrupt rating.");
  }

  private static Optional<Found> nuisance(Case c, Fuse fuse) {
    double rating = fuse.rating();
    FuseWindow window = c.chain().fuseWindow();
    if (rating >= window.lower()) {
      return Optional.empty();
    }
    var demand = c.chain().demand();
    return Found.warn(
        "The fuse may blow in use",
        "%s for long and %s for %s ask for %s or more; the fuse is %s."
            .formatted(
                amperes(demand.continuous()),
                amperes(demand.peak()),
                Figures.duration(demand.peakDuration()),
                amperes(window.lower()),
                amperes(rating)),
        window.empty()
            ? "No rating suits this wire: take wire of %s or more, then a fuse of %s."
                .formatted(WireRules.areaFor(c, window.lower()), amperes(window.lower()))
            : "Fit %s to %s.".formatted(amperes(window.lower()), amperes(window.upper())));
  }

  private static Optional<Found> cellSmall(Case c) {
    if (!(c.guard().fusing() instanceof Fusing.MainAndCells f)) {
      return Optional.empty();
    }
    var demand = c.chain().demand();
    int p = c.pack().parallel();
    double least =
        Fuse.smallestRating(
            f.fuse().kind(), demand.continuous() / p, demand.peak() / p, demand.peakDuration());
    if (f.cellRating() >= least) {
      return Optional.empty();
    }
    return Found.warn(
        "The cell fuses may blow in use",
        "Each cell carries %s for long and %s at the hardest moment; its fuse is %s."
            .formatted(
                amperes(demand.continuous() / p),
                amperes(demand.peak() / p),
                amperes(f.cellRating())),
        "Make them %s or more.".formatted(amperes(least)));
  }

  private static Optional<Found> cellLarge(Case c) {
    int p = c.pack().parallel();
    if (!(c.guard().fusing() instanceof Fusing.MainAndCells f) || p < 2) {
      return Optional.empty();
    }
    double cell = c.chain().path().circuit().ohmic(1, ROOM);
    // The others in parallel feed the shorted cell, which is taken as having half its resistance.
    double current = c.cell().fullVoltage() / (cell / (p - 1) + 0.5 * cell);
    if (f.cellRating() * SURE_MULTIPLE <= current) {
      return Optional.empty();
    }
    return Found.warn(
        "The cell fuses may not clear a shorted cell",
        "The %d others push about %s into a shorted cell; a fuse of %s surely opens above %s."
            .formatted(
                p - 1,
                amperes(current),
                amperes(f.cellRating()),
                amperes(f.cellRating() * SURE_MULTIPLE)),
        "Make them %s or less.".formatted(amperes(current / SURE_MULTIPLE)));
  }
}
