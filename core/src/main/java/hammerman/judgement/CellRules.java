package hammerman.judgement;

import static hammerman.judgement.Text.amperes;
import static hammerman.judgement.Text.celsius;
import static hammerman.judgement.Text.percent;
import static hammerman.judgement.Text.upTo;

import hammerman.cell.Health;
import hammerman.chain.Link;
import hammerman.datasheet.Plausibility;
import hammerman.finding.Station;
import hammerman.judgement.Rule.Found;
import hammerman.unit.Figures;
import java.util.List;
import java.util.Optional;

/** Whether each cell can carry its share. */
final class CellRules {
  /** Time for which a cell's peak current is rated, s. */
  private static final double PEAK_TIME = 10;

  static final List<Rule> ALL =
      List.of(
          new Rule(
              "cell.continuous",
              "amps",
              Station.STACK,
              "The heaviest ten minutes' rms current per cell against its continuous rating.",
              CellRules::continuous),
          new Rule(
              "cell.peak",
              "peak amps",
              Station.STACK,
              "The hardest moment's current per cell against its 10 s rating.",
              CellRules::peak),
          new Rule(
              "cell.peakTooLong",
              "long peak",
              Station.STACK,
              "A hardest moment longer than 10 s against the cell's continuous rating.",
              CellRules::peakTooLong),
          new Rule(
              "cell.cold",
              "cold",
              Station.CELL,
              "The coldest use against the cell's lowest discharge temperature.",
              CellRules::cold),
          new Rule(
              "cell.figures",
              "figures",
              Station.CELL,
              "Whether the cell's figures lie within what cells of any class reach.",
              CellRules::figures),
          new Rule(
              "cell.reclaimed",
              "reclaimed",
              Station.CELL,
              "Whether the cells have been used before.",
              CellRules::reclaimed),
          new Rule(
              "strip.continuous",
              "strip",
              Station.STACK,
              "The continuous current per strip against the current for a 20 K rise.",
              CellRules::strip));

  private CellRules() {}

  private static Optional<Found> continuous(Case c) {
    double share = c.chain().demand().continuous() / c.pack().parallel();
    double rated = c.cell().currents().continuous();
    if (share <= rated) {
      return Optional.empty();
    }
    return Found.stop(
        "Each cell carries more than it may for long",
        "The heaviest ten minutes draw %s, %s per cell with %d in parallel; the cell is rated %s."
            .formatted(
                amperes(c.chain().demand().continuous()),
                amperes(share),
                c.pack().parallel(),
                amperes(rated)),
        "Use at least %s in parallel, or a cell rated for %s."
            .formatted(upTo(c.chain().demand().continuous() / rated), amperes(share)));
  }

  private static Optional<Found> peak(Case c) {
    double share = c.chain().demand().peak() / c.pack().parallel();
    double rated = c.cell().currents().peak();
    if (share <= rated) {
      return Optional.empty();
    }
    return Found.stop(
        "The hardest moment overloads each cell",
        "“%s” draws %s, %s per cell with %d in parallel; the cell is rated %s for 10 s."
            .formatted(
                c.asked().hardest().name(),
                amperes(c.chain().demand().peak()),
                amperes(share),
                c.pack().parallel(),
                amperes(rated)),
        "Use at least %s in parallel, or a cell rated for %s."
            .formatted(upTo(c.chain().demand().peak() / rated), amperes(share)));
  }

  private static Optional<Found> peakTooLong(Case c) {
    double duration = c.chain().demand().peakDuration();
    double share = c.chain().demand().peak() / c.pack().parallel();
    var rated = c.cell().currents();
    if (duration <= PEAK_TIME || share <= rated.continuous() || share > rated.peak()) {
      return Optional.empty();
    }
    return Found.warn(
        "The hardest moment outlasts the cell's peak rating",
        "“%s” lasts %s at %s per cell; above %s the cell is only rated for 10 s."
            .formatted(
                c.asked().hardest().name(),
                Figures.duration(duration),
                amperes(share),
                amperes(rated.continuous())),
        "Use at least %s in parallel, or keep it under 10 s."
            .formatted(upTo(c.chain().demand().peak() / rated.continuous())));
  }

  private static Optional<Found> cold(Case c) {
    double coldest = c.asked().surroundings().coldestInUse();
    double allowed = c.cell().temperatures().dischargeLowest();
    if (coldest >= allowed) {
      return Optional.empty();
    }
    return Found.warn(
        "Colder than the cell is made for",
        "The pack must work at %s; the cell is rated down to %s."
            .formatted(celsius(coldest), celsius(allowed)),
        "Keep the pack warm before use, or take a cell rated for the cold.");
  }

  private static Optional<Found> figures(Case c) {
    List<String> doubts = Plausibility.doubts(c.cell());
    if (doubts.isEmpty()) {
      return Optional.empty();
    }
    return Found.note(
        "The cell's figures look unlikely",
        String.join(" ", doubts),
        "Read the datasheet again; mind mAh and Ah, mΩ and Ω.");
  }

  private static Optional<Found> reclaimed(Case c) {
    Health health = c.cell().health();
    if (health == null) {
      return Optional.empty();
    }
    return Found.note(
        "Used cells differ from each other",
        "The figures assume %s of the new capacity and %s of the new resistance for every cell."
            .formatted(percent(health.capacity()), percent(health.resistance())),
        "Measure each one and put outliers aside. Never revive a cell that sat below its cut-off.");
  }

  private static Optional<Found> strip(Case c) {
    Link strip = c.chain().link(Link.Kind.STRIP).orElseThrow();
    double continuous = c.chain().demand().continuous();
    if (continuous <= strip.continuous()) {
      return Optional.empty();
    }
    int layers =
        (int) Math.ceil(c.pack().strip().layers() * continuous / strip.continuous() - 1e-9);
    return Found.warn(
        "The strips run hot",
        "Each strip carries %s for long; %s warms by 20 K at %s."
            .formatted(
                amperes(continuous / c.pack().parallel()),
                c.pack().strip().text(),
                amperes(strip.continuous() / c.pack().parallel())),
        "Use %d layers, wider strip, or copper.".formatted(Math.max(2, layers)));
  }
}
