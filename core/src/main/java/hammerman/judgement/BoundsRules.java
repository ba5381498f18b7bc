package hammerman.judgement;

import hammerman.chain.Speeds;
import hammerman.duty.Drive;
import hammerman.duty.Load;
import hammerman.finding.Finding.Measure;
import hammerman.finding.Station;
import hammerman.judgement.Rule.Found;
import hammerman.unit.Currency;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Whether the pack keeps within mass, room, money and law, and the drive suits its voltage. */
final class BoundsRules {
  /** Share of the unloaded speed below which a motor mostly makes heat; usual practice. */
  private static final double SLOW_SHARE = 0.4;

  /** Share of the unloaded speed at which a motor works well; usual practice. */
  private static final double GOOD_SHARE = 0.75;

  static final List<Rule> ALL =
      List.of(
          new Rule(
              "bounds.mass",
              "mass",
              Station.STACK,
              "The pack's mass against the limit.",
              BoundsRules::mass),
          new Rule(
              "bounds.volume",
              "room",
              Station.STACK,
              "The volume of a plain box around the cells against the room there is.",
              BoundsRules::volume),
          new Rule(
              "bounds.budget",
              "cost",
              Station.STACK,
              "The cells' price against the budget.",
              BoundsRules::budget),
          new Rule(
              "bounds.localPower",
              "local rules",
              Station.DUTY,
              "The highest power of the duty against the limit that local rules set.",
              BoundsRules::localPower),
          new Rule(
              "drive.tooFast",
              "reduction",
              Station.DUTY,
              "The fastest stretch against 40 % of the unloaded speed at half charge.",
              BoundsRules::tooFast),
          new Rule(
              "drive.tooSlow",
              "reduction",
              Station.DUTY,
              "The fastest stretch against the unloaded speed when nearly empty.",
              BoundsRules::tooSlow));

  private BoundsRules() {}

  /** A bound that the user set, if it is passed by more than rounding. */
  private static Optional<Measure> passed(
      String quantity, double value, @Nullable Double limit, Unit unit) {
    return Optional.ofNullable(limit)
        .map(l -> Measure.most(quantity, value, l, unit))
        .filter(Measure::exceeded);
  }

  private static String[] apart(Measure m) {
    return Figures.apart(m.value(), m.limit(), m.unit());
  }

  private static Optional<Found> mass(Case c) {
    return passed("mass", c.pack().mass(), c.asked().bounds().mass(), Unit.KILOGRAM)
        .flatMap(
            m ->
                Found.warn(
                    "Heavier than allowed",
                    "The pack weighs about %s; the limit is %s.".formatted((Object[]) apart(m)),
                    "Use fewer cells or a cell with more energy per mass.",
                    m));
  }

  private static Optional<Found> volume(Case c) {
    return passed("volume", c.pack().volume(), c.asked().bounds().volume(), Unit.LITRE)
        .flatMap(
            m ->
                Found.warn(
                    "Larger than the room there is",
                    "In a plain box the cells take about %s; there is room for %s."
                        .formatted((Object[]) apart(m)),
                    "Use fewer cells or a cell with more energy in its size.",
                    m));
  }

  private static Optional<Found> budget(Case c) {
    Currency prices = c.asked().bounds().prices();
    return passed("cost of the cells", c.pack().cost(), c.asked().bounds().budget(), Unit.MONEY)
        .flatMap(
            m ->
                Found.warn(
                    "Dearer than the budget",
                    "The cells cost %s; the budget is %s."
                        .formatted(prices.money(m.value(), 0), prices.money(m.limit(), 0)),
                    "Use fewer cells or a cheaper cell.",
                    m));
  }

  private static Optional<Found> localPower(Case c) {
    return passed(
            "power", c.duty().extremes().peakPower(), c.asked().bounds().localPower(), Unit.WATT)
        .flatMap(
            m ->
                Found.note(
                    "More power than local rules allow",
                    "The duty draws up to %s; you entered %s as the local limit."
                        .formatted((Object[]) apart(m)),
                    "Local rules come first: read what they measure (often rated motor power, not"
                        + " battery power), and set the machine's limit accordingly.",
                    m));
  }

  private static double fastest(Case c) {
    return c.asked().task().load().steps().stream().mapToDouble(Load.Step::speed).max().orElse(0);
  }

  private static Optional<Found> tooFast(Case c) {
    Drive drive = c.asked().machine().drive();
    Optional<Speeds> speeds = Speeds.of(c.chain());
    double fastest = fastest(c);
    if (drive == null || speeds.isEmpty() || fastest == 0) {
      return Optional.empty();
    }
    double unloaded = speeds.get().middle();
    if (fastest >= SLOW_SHARE * unloaded) {
      return Optional.empty();
    }
    return Found.note(
        "Geared for far more speed than you use",
        "Unloaded it would do %s; your fastest stretch is %s. So far below, a motor draws much"
                .formatted(speed(unloaded), speed(fastest))
            + " current for its torque and mostly makes heat.",
        "A reduction near %s would suit, or fewer groups in series."
            .formatted(reduction(c, drive, fastest)),
        Measure.least("fastest stretch", fastest, SLOW_SHARE * unloaded, Unit.KILOMETRE_PER_HOUR));
  }

  private static Optional<Found> tooSlow(Case c) {
    Drive drive = c.asked().machine().drive();
    Optional<Speeds> speeds = Speeds.of(c.chain());
    double fastest = fastest(c);
    if (drive == null || speeds.isEmpty() || fastest <= speeds.get().nearlyEmpty()) {
      return Optional.empty();
    }
    return Found.note(
        "The fastest stretch is out of reach when nearly empty",
        "You ask for %s; at 10 %% charge the drive does %s with nothing to pull."
            .formatted(speed(fastest), speed(speeds.get().nearlyEmpty())),
        "A reduction near %s, more groups in series, or a slower stretch."
            .formatted(reduction(c, drive, fastest)),
        Measure.most(
            "fastest stretch", fastest, speeds.get().nearlyEmpty(), Unit.KILOMETRE_PER_HOUR));
  }

  private static String reduction(Case c, Drive drive, double fastest) {
    double middle = c.chain().path().openCircuit(0.5);
    return Figures.number(drive.reductionFor(fastest / GOOD_SHARE, middle));
  }

  private static String speed(double metresPerSecond) {
    return Figures.of(metresPerSecond, Unit.KILOMETRE_PER_HOUR);
  }
}
