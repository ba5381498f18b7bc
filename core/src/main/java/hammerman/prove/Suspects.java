package hammerman.prove;

import hammerman.chain.Chain;
import hammerman.chain.Path;
import hammerman.forecast.Forecast;
import hammerman.guard.Bms;
import hammerman.guard.Guard;
import hammerman.record.Incident.Kind;
import hammerman.record.RunCondition;
import hammerman.record.RunResult;
import hammerman.record.RunSheet;
import hammerman.unit.Figures;
import hammerman.unit.Reference;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** What may have caused something that went wrong, the likeliest first, by what the record says. */
public final class Suspects {
  private Suspects() {}

  /**
   * A cause.
   *
   * @param cause in words
   * @param why what of the record speaks for it or against it, with figures
   * @param test that tells
   * @param weight how much speaks for it: above 1 the record does, below 1 little
   */
  public record Suspect(String cause, String why, String test, double weight) {
    /** Returns how likely it is, in a word. */
    public String likely() {
      return weight >= 1 ? "likely" : weight >= 0.6 ? "possible" : "less likely";
    }
  }

  /**
   * Looks for causes.
   *
   * @param sheet of the run in which it happened, if it is known
   */
  public static List<Suspect> of(Kind kind, Forecast f, Optional<RunSheet> sheet) {
    List<Suspect> all = new ArrayList<>();
    RunSheet s = sheet.orElse(RunSheet.NOTHING);
    switch (kind) {
      case BMS_TRIP -> trip(f, s, all);
      case FUSE -> fuse(f, s, all);
      case CUT_OUT -> cutOut(f, s, all);
      case HOT_CONNECTOR -> connector(f, s, all);
    }
    all.sort(Comparator.comparingDouble((Suspect x) -> -x.weight()));
    return all;
  }

  private static double peak(Forecast f, RunSheet s) {
    return s.result(RunResult.PEAK_CURRENT).orElse(f.chain().demand().peak());
  }

  /** Whether a peak was logged or is only the design's hardest moment, in words. */
  private static String of(RunSheet s) {
    return s.result(RunResult.PEAK_CURRENT).isPresent()
        ? "the run's peak of %s"
        : "the design's hardest moment of %s";
  }

  private static void trip(Forecast f, RunSheet s, List<Suspect> all) {
    Optional<Bms> bms = f.design().guard().protection().bms();
    double peak = peak(f, s);
    bms.ifPresent(
        b -> {
          all.add(
              new Suspect(
                  "over-current",
                  (of(s) + " against its trip at %s")
                      .formatted(
                          Figures.of(peak, Unit.AMPERE), Figures.of(b.overCurrent(), Unit.AMPERE)),
                  "Take the controller's current limit down by a fifth; if it holds, this was it.",
                  peak / b.overCurrent()));
          double lowest = s.result(RunResult.LOWEST_VOLTAGE).orElse(Double.NaN);
          double floor = b.cutOffVoltage() * f.design().pack().series();
          all.add(
              new Suspect(
                  "a group below its cut-off",
                  Double.isNaN(lowest)
                      ? "the lowest voltage is not written down"
                      : "the pack went down to %s; all groups alike would cut off at %s"
                          .formatted(
                              Figures.of(lowest, Unit.VOLT, 1), Figures.of(floor, Unit.VOLT, 1)),
                  "Read every group at rest at once: the one that is low is the weak one.",
                  Double.isNaN(lowest) ? 0.7 : floor / lowest));
        });
    hot(f, s, all);
    all.add(
        new Suspect(
            "a loose balance lead",
            "a lead that breaks for a moment reads as an empty group",
            "Wiggle each lead with the pack at rest and watch the BMS's readings.",
            0.4));
  }

  private static void hot(Forecast f, RunSheet s, List<Suspect> all) {
    double limit = f.design().pack().cell().temperatures().dischargeHighest();
    double hottest = s.result(RunResult.HOTTEST).orElse(Double.NaN);
    double air = s.figure(RunCondition.AIR).orElse(293.15);
    all.add(
        new Suspect(
            "too hot",
            Double.isNaN(hottest)
                ? "no temperature is written down"
                : "%s at the hottest, the cells may have %s"
                    .formatted(
                        Figures.of(hottest, Unit.CELSIUS, 0), Figures.of(limit, Unit.CELSIUS, 0)),
            "Let it cool for an hour; if it comes back at once without, it was not the heat.",
            Double.isNaN(hottest)
                ? 0.5
                : Math.max(0.1, (hottest - air) / Math.max(5, limit - air))));
  }

  private static void fuse(Forecast f, RunSheet s, List<Suspect> all) {
    Guard g = f.design().guard();
    double rating = g.fuse().map(x -> x.rating()).orElse(Double.NaN);
    double peak = peak(f, s);
    double continuous = f.chain().demand().continuous();
    all.add(
        new Suspect(
            "a short behind it",
            "a fuse with a black, shattered element ended a short; one that melted in the middle,"
                + " an overload",
            "Do not put another in: read the resistance behind it with everything unplugged.",
            1.05));
    all.add(
        new Suspect(
            "overload",
            (of(s) + " and %s for ten minutes, its rating is %s")
                .formatted(
                    Figures.of(peak, Unit.AMPERE),
                    Figures.of(continuous, Unit.AMPERE),
                    Figures.of(rating, Unit.AMPERE)),
            "Log the current of the same work, and compare it with the fuse's window at Guard.",
            Math.max(peak / (2 * rating), continuous / (0.75 * rating))));
    all.add(
        new Suspect(
            "a hot holder",
            "a loose clip heats the fuse until it opens below its rating",
            "Look for a brown or soft holder; read the drop across it under load: above 100 mV it"
                + " is loose.",
            0.6));
  }

  private static void cutOut(Forecast f, RunSheet s, List<Suspect> all) {
    Chain chain = f.chain();
    double floor = f.design().duty().machine().cutOutVoltage();
    double lowest = s.result(RunResult.LOWEST_VOLTAGE).orElse(Double.NaN);
    OptionalDouble soc = Comparison.start(chain, s).stream().mapToDouble(c -> c.soc()).findFirst();
    double taken = s.result(RunResult.CHARGE).orElse(Double.NaN);
    double left =
        soc.orElse(chain.ceiling()) - taken / Math.max(1e-9, f.design().pack().capacity());
    all.add(
        new Suspect(
            "it was empty",
            Double.isNaN(taken)
                ? "how much charge was taken is not written down"
                : "about %s were left".formatted(Figures.of(Math.max(0, left), Unit.PERCENT, 0)),
            "Read the rest voltage after an hour: below a tenth of the charge it was empty.",
            Double.isNaN(taken) ? 0.7 : left < 0.15 ? 1.3 : 0.3));
    var path = chain.path();
    double expected = path.resistance(0.5, Reference.ROOM, Path.Settling.TEN_SECONDS);
    double normal = s.result(RunResult.RESISTANCE).orElse(Double.NaN);
    all.add(
        new Suspect(
            "a joint with too much resistance",
            Double.isNaN(normal)
                ? "the resistance is not written down; by the design it is %s"
                    .formatted(Figures.of(expected, Unit.MILLIOHM))
                : "%s measured, %s by the design"
                    .formatted(
                        Figures.of(normal, Unit.MILLIOHM), Figures.of(expected, Unit.MILLIOHM)),
            "Read the drop across each connector and lug under load; the odd one is it.",
            Double.isNaN(normal) ? 0.6 : Math.max(0.2, normal / expected - 0.3)));
    double air = s.figure(RunCondition.AIR).orElse(293.15);
    all.add(
        new Suspect(
            "the cold",
            "%s in the air; the lowest was %s, it cuts out at %s"
                .formatted(
                    Figures.of(air, Unit.CELSIUS, 0),
                    Double.isNaN(lowest) ? "not written down" : Figures.of(lowest, Unit.VOLT, 1),
                    Figures.of(floor, Unit.VOLT, 1)),
            "Do the same work with the pack at room temperature.",
            air < 278 ? 1.1 : 0.2));
    all.add(
        new Suspect(
            "a weak group",
            "one group falls first and takes the pack's voltage with it",
            "Read every group at once, at rest and again under a steady load.",
            0.65));
  }

  private static void connector(Forecast f, RunSheet s, List<Suspect> all) {
    var wiring = f.design().guard().wiring();
    double rated = wiring.connector().continuous();
    double drawn = f.chain().demand().continuous();
    all.add(
        new Suspect(
            "a loose or dirty contact",
            "at %s each milliohm makes %s there"
                .formatted(
                    Figures.of(drawn, Unit.AMPERE), Figures.of(drawn * drawn * 1e-3, Unit.WATT)),
            "Read the drop across it under load: more than 50 mV is a bad contact.",
            1.0));
    all.add(
        new Suspect(
            "too small a connector",
            "%s for ten minutes, it stands %s for long"
                .formatted(Figures.of(drawn, Unit.AMPERE), Figures.of(rated, Unit.AMPERE)),
            "Feel both halves: evenly warm is too small, one hot pin is a bad contact.",
            drawn / rated));
    all.add(
        new Suspect(
            "a poor crimp or solder joint",
            "the heat then sits in the wire, a centimetre behind the housing",
            "Pull at the wire; read the drop from wire to contact.",
            0.6 + (s.results().containsKey(RunResult.RESISTANCE) ? 0.1 : 0)));
  }
}
