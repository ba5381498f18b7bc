package hammerman.build;

import hammerman.probe.ProbeCard;
import hammerman.template.BalanceLead;
import hammerman.unit.Figures;
import hammerman.unit.Sentence;
import hammerman.unit.Unit;
import java.util.List;
import java.util.OptionalInt;

/** The balance leads, the probe card, and the BMS or what stands in for it. */
final class BalanceSteps {
  private final Ground on;
  private final StepList steps;

  BalanceSteps(Ground on, StepList steps) {
    this.on = on;
    this.steps = steps;
  }

  /** Fits the leads to the string, while it is open. */
  void fit() {
    steps
        .step(
            Stage.BALANCE,
            "leads.free",
            "Take the balance plug out of the BMS, or never put it in yet. Cover the plug, and put"
                + " a sleeve over the free end of each lead until it is on.")
        .tools("sleeves")
        .caution("Two bare balance leads short a group; a lead in the wrong place kills a BMS.")
        .protects()
        .makesSafe(Live.BALANCE_LEADS)
        .gate();
    List<BalanceLead> laid = on.balanceLeads();
    String lengths =
        laid.isEmpty()
            ? ""
            : " Lengths: "
                + String.join(
                    ", ",
                    laid.stream()
                        .map(l -> l.number() + ": " + Figures.of(l.length(), Unit.CENTIMETRE, 0))
                        .toList())
                + ".";
    steps
        .step(
            Stage.BALANCE,
            "leads.fit",
            "Fit the %d balance leads one by one: lead 0 to the pack's negative end, then lead k to the"
                    .formatted(on.series() + 1)
                + " positive end of group k. Keep them off strip edges and corners."
                + lengths)
        .tools("soldering iron, 80 W or more")
        .caution("Solder to the strip beside a cell, not above it.", "One lead bare at a time.")
        .handles(Live.BALANCE_LEADS, Live.CELLS)
        .protects()
        .gate();
  }

  /** Reads every lead, and joins the BMS in the order that it stands. */
  void protect() {
    probe();
    if (on.bms().isEmpty()) {
      steps
          .step(
              Stage.PROTECTION,
              "balance.socket",
              "There is no BMS: fix the balance plug where it can be reached, under a cap. It goes"
                  + " to the balancing charger at every charge and to nothing else.")
          .caution(
              "Without a BMS nothing but the machine's cut-out ends a discharge: set it before the"
                  + " first run.")
          .handles(Live.BALANCE_LEADS)
          .protects()
          .gate();
      return;
    }
    sensors();
    minus();
    plug();
    output();
  }

  private void probe() {
    for (int k = 0; k <= on.series(); k++) {
      Expected e =
          k == 0
              ? new Expected(0, -0.02, 0.02, Unit.VOLT, "lead 0 is battery minus itself")
              : on.groups(k);
      var draft =
          steps
              .step(
                  Stage.PROTECTION,
                  "probe.%d".formatted(k),
                  "Black lead on battery minus: read contact %d of the balance plug.".formatted(k))
              .tools("multimeter, fine tips")
              .handles(Live.BALANCE_LEADS)
              .protects()
              .at(new Place.Lead(k))
              .expects(e)
              .ifReads(
                  (k - 1) * on.rested().value(),
                  "the lead is on the group below, or swapped with its neighbour",
                  "fill in the whole card")
              .ifReads(0, "the lead is open", "read from this contact to its group's end: 0.00 V")
              .ifHigh("the lead is on a higher group, or swapped", "fill in the whole card");
      if (k == 0) {
        draft.caution("The tips are one slip from a short: one hand, and hold the plug still.");
      }
      if (on.isHigh() && k > 0) {
        draft.handles(Live.HIGH_VOLTAGE);
      }
      draft.add();
    }
    String also =
        on.series() <= ProbeCard.MOST_SERIES
            ? " The card must find nothing wrong."
            : " Above %d groups read the steps between neighbours too: each is one group."
                .formatted(ProbeCard.MOST_SERIES);
    steps
        .step(
            Stage.PROTECTION,
            "probe.steps",
            "From each contact to the next there must be one group. Type the greatest step less the"
                + " least."
                + also)
        .tools("multimeter, fine tips")
        .handles(Live.BALANCE_LEADS)
        .protects()
        .expects(0, 0, 0.05, Unit.MILLIVOLT, "groups that were level when joined stay level")
        .ifHigh("two leads are swapped", "the steps beside them are out by as much")
        .ifHigh("a group is low", "charge it by itself, and read it again a day later")
        .gate();
  }

  private void sensors() {
    int sensors = on.bms().orElseThrow().temperatureSensors();
    OptionalInt hottest = on.hottestGroup();
    steps
        .step(
            Stage.PROTECTION,
            "bms.fix",
            "Fix the BMS on an insulating sheet with its fins to the air."
                + (sensors == 0
                    ? " It has no temperature sensor: mind the warmth yourself."
                    : " Glue its sensor, insulated, to a cell of group %d%s."
                        .formatted(
                            hottest.orElse(on.series() / 2) + 1,
                            hottest.isPresent()
                                ? ", the hottest in the forecast"
                                : ", in the middle, where it is hottest")))
        .at(new Place.Group(hottest.orElse(on.series() / 2)))
        .add();
  }

  private void minus() {
    var draft =
        steps
            .step(
                Stage.PROTECTION,
                "bms.minus",
                "Join the BMS's battery side to the pack's negative end, %s. Nothing on its output"
                        .formatted(
                            on.bmsInPath()
                                ? "with the main lead"
                                : "with the charge lead's wire; the main lead goes past the BMS")
                    + " side yet.")
            .tools("soldering iron, 80 W or more", "multimeter")
            .caution(
                "The thick lead first, the balance plug after it: the other way round kills it.")
            .handles(Live.ENDS)
            .at(new Place.End(false))
            .protects();
    if (on.isHigh()) {
      draft.handles(Live.HIGH_VOLTAGE);
    }
    draft
        .expects(0, -0.02, 0.02, Unit.VOLT, "BMS battery side and pack minus are one point")
        .ifLow("the joint is open", "read from the pack's minus to the lead's other end")
        .ifHigh("the joint is open", "read from the pack's minus to the lead's other end")
        .gate();
  }

  private void plug() {
    steps
        .step(
            Stage.PROTECTION,
            "bms.plug",
            "Now the balance plug into the BMS, straight, in one push.")
        .caution(
            "Only after every contact of the card has been read.",
            "If anything gets warm or smells, pull the plug at once.")
        .handles(Live.BALANCE_LEADS)
        .needs("bms.minus")
        .protects()
        .gate();
  }

  private void output() {
    Expected whole = on.whole();
    String side = on.bmsInPath() ? "output" : "charge side";
    steps
        .step(
            Stage.PROTECTION,
            "bms.output",
            "Read from the BMS's %s to the pack's positive end. Some sleep until they see a charger:"
                    .formatted(side)
                + " wake it as its sheet says, then read.")
        .tools("multimeter")
        .handles(Live.ENDS)
        .protects()
        .expects(whole)
        .ifReads(
            0, "the BMS sleeps", "touch a charger to the output for a second, or press its button")
        .ifLow(
            "the BMS has opened: a lead it does not see, or another series count than %d"
                .formatted(on.series()),
            "read every contact at the plugged connector")
        .ifLow(
            "a group is below its cut-off",
            "read the groups against %s"
                .formatted(Figures.of(on.bms().orElseThrow().cutOffVoltage(), Unit.VOLT)))
        .ifHigh("the meter is not on the BMS's side", Sentence.within("Follow the lead by hand"))
        .gate();
  }
}
