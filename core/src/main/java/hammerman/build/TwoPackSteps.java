package hammerman.build;

import hammerman.chain.Junction;
import hammerman.design.SecondPack;
import hammerman.unit.Figures;
import hammerman.unit.Unit;

/** Both packs joined, each proved by itself. */
final class TwoPackSteps {
  private TwoPackSteps() {}

  static void add(Ground first, Ground second, StepList steps) {
    SecondPack.Joining how = second(first).joining();
    double a = first.whole().value();
    double b = second.whole().value();
    if (how == SecondPack.Joining.SERIES) {
      double sum = a + b;
      var draft =
          steps
              .step(
                  Stage.PACKS,
                  "packs.series",
                  "Both switches open: join the first pack's minus to the second's plus, and read"
                      + " from end to end.")
              .tools("multimeter")
              .caution(
                  "Both packs' voltages add up: so must every fuse's, switch's and BMS's rating.")
              .handles(Live.OUTPUT)
              .protects()
              .expects(
                  new Expected(
                      sum,
                      first.whole().low() + second.whole().low(),
                      first.whole().high() + second.whole().high(),
                      Unit.VOLT,
                      "the sum of both packs as read"))
              .ifReads(
                  Math.abs(a - b),
                  "one pack is turned: the difference is read",
                  "read each pack by itself")
              .ifHigh("a pack was charged meanwhile", "read each pack by itself");
      if (first.pack().fullVoltage() + second.pack().fullVoltage() > Ground.TOUCH) {
        draft.handles(Live.HIGH_VOLTAGE).caution("Together they pass 60 V: gloves, one hand.");
      }
      draft.gate();
      return;
    }
    if (how == SecondPack.Joining.PARALLEL) {
      Junction junction = Junction.of(first.forecast().chain()).orElseThrow();
      double gap = Math.min(0.5, junction.allowedGap());
      steps
          .step(
              Stage.PACKS,
              "packs.gap",
              "Fuses in, not yet joined: read from the first pack's plus to the second's plus with"
                  + " both minus joined through the meter's other lead. Type it without its sign.")
          .tools("multimeter")
          .caution("Packs that differ drive a current into each other that only their fuses end.")
          .handles(Live.OUTPUT)
          .protects()
          .expects(
              0,
              0,
              gap,
              Unit.VOLT,
              "%s between them drive %s through %s; the weaker may take %s"
                  .formatted(
                      Figures.of(gap, Unit.VOLT),
                      Figures.of(gap / junction.resistance(), Unit.AMPERE),
                      Figures.of(junction.resistance(), Unit.MILLIOHM),
                      Figures.atMost(junction.limit(), Unit.AMPERE)))
          .ifHigh("one is fuller", "charge the lower by itself up to the other's voltage")
          .gate();
    }
    String text =
        switch (how) {
          case PARALLEL -> "Join both packs in parallel, and read at the machine's side.";
          case DIODES ->
              "Join both packs through the combiner. Read at its output, then with each pack's fuse"
                  + " out in turn: the other must feed it alone.";
          case SWITCH_OVER ->
              "Throw the change-over switch to each side and read at its output. Between the two it"
                  + " must read nothing: it parts one pack before it joins the other.";
          case SERIES -> throw new IllegalStateException("joined above");
        };
    double low = Math.min(first.whole().low(), second.whole().low());
    double high = Math.max(first.whole().high(), second.whole().high());
    // A diode takes up to a volt of it.
    double drop = how == SecondPack.Joining.DIODES ? 1 : 0;
    steps
        .step(Stage.PACKS, "packs.joined", text)
        .tools("multimeter")
        .handles(Live.OUTPUT)
        .protects()
        .expects(
            Math.max(a, b) - drop / 2,
            low - drop,
            high,
            Unit.VOLT,
            drop > 0 ? "the fuller pack less up to 1 V of its diode" : "both packs as read")
        .ifLow("one of them does not feed", "read before and behind the junction")
        .ifHigh("the packs are in series", "read each by itself")
        .gate();
  }

  private static SecondPack second(Ground first) {
    SecondPack s = first.design().second();
    if (s == null) {
      throw new IllegalArgumentException("no second pack");
    }
    return s;
  }
}
