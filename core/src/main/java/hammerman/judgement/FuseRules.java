package hammerman.judgement;

import static hammerman.judgement.Text.amperes;
import static hammerman.judgement.Text.volts;

import hammerman.chain.FuseWindow;
import hammerman.finding.Station;
import hammerman.guard.Fuse;
import hammerman.judgement.Rule.Found;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Whether fuse and wire suit each other and the duty. */
final class FuseRules {
  static final List<Rule> ALL =
      List.of(
          new Rule(
              "fuse.unprotected",
              "wire",
              Station.GUARD,
              "The fuse rating against the ampacity of the wire it protects.",
              FuseRules::unprotected),
          new Rule(
              "wire.continuous",
              "wire amps",
              Station.GUARD,
              "The heaviest ten minutes against the wire's ampacity.",
              FuseRules::wire),
          new Rule(
              "fuse.voltage",
              "fuse volts",
              Station.GUARD,
              "The fuse's DC voltage rating against the pack's highest voltage.",
              FuseRules::voltage),
          new Rule(
              "fuse.interrupt",
              "fuse kA",
              Station.GUARD,
              "The class's interrupt rating against the short-circuit current.",
              FuseRules::interrupt),
          new Rule(
              "fuse.nuisance",
              "fuse small",
              Station.GUARD,
              "The fuse rating against the duty's continuous current and hardest moment.",
              FuseRules::nuisance));

  private FuseRules() {}

  private static Optional<Found> unprotected(Case c) {
    Fuse fuse = c.guard().fuse();
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
                .formatted(wireFor(c, Math.max(window.lower(), fuse.rating())))
            : "Fit %s to %s, or wire of %s or more."
                .formatted(
                    amperes(window.lower()), amperes(window.upper()), wireFor(c, fuse.rating())));
  }

  private static String wireFor(Case c, double current) {
    double area = c.guard().wiring().areaFor(current, c.asked().surroundings().hottestInUse());
    return Figures.of(area * 1.005, Unit.SQUARE_MILLIMETRE);
  }

  private static Optional<Found> wire(Case c) {
    double asked = c.chain().demand().continuous();
    double carries = c.chain().fuseWindow().upper();
    if (asked <= carries) {
      return Optional.empty();
    }
    return Found.stop(
        "The main wire is too thin",
        "The heaviest ten minutes draw %s; the wire carries %s in the hottest air."
            .formatted(amperes(asked), amperes(carries)),
        "Take wire of %s or more.".formatted(wireFor(c, c.chain().fuseWindow().lower())));
  }

  private static Optional<Found> voltage(Case c) {
    double highest = Math.max(c.guard().charge().voltage(), c.pack().fullVoltage());
    double rated = c.guard().fuse().voltageRating();
    if (highest <= rated) {
      return Optional.empty();
    }
    return Found.stop(
        "The fuse cannot break this voltage",
        "Full, the pack has %s; the fuse is rated %s DC. It could go on burning as an arc."
            .formatted(volts(highest), volts(rated)),
        "Take a fuse rated for %s DC or more.".formatted(volts(highest)));
  }

  private static Optional<Found> interrupt(Case c) {
    double prospective = c.chain().shortCircuitCurrent();
    double rated = c.guard().fuse().kind().interruptRating();
    if (prospective <= rated) {
      return Optional.empty();
    }
    return Found.stop(
        "The fuse cannot break a short circuit of this pack",
        "Shorted, the pack gives about %s; a %s fuse breaks %s."
            .formatted(
                Figures.of(prospective, Unit.KILOAMPERE),
                c.guard().fuse().kind().label().toLowerCase(Locale.ROOT),
                Figures.of(rated, Unit.KILOAMPERE)),
        "Take a class with a higher interrupt rating.");
  }

  private static Optional<Found> nuisance(Case c) {
    double rating = c.guard().fuse().rating();
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
                .formatted(wireFor(c, window.lower()), amperes(window.lower()))
            : "Fit %s to %s.".formatted(amperes(window.lower()), amperes(window.upper())));
  }
}
