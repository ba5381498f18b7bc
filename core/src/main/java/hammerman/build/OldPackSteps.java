package hammerman.build;

import hammerman.unit.Figures;
import hammerman.unit.Unit;

/** A pack that is made over, or used cells that still sit in one: how it is taken apart. */
final class OldPackSteps {
  private final Ground on;
  private final StepList steps;

  OldPackSteps(Ground on, StepList steps) {
    this.on = on;
    this.steps = steps;
  }

  void add() {
    boolean over = on.madeOver();
    if (!over && !on.reclaimed()) {
      return;
    }
    String which = over ? "The old pack" : "Cells that still sit in an old pack";
    steps
        .step(
            Stage.CELLS,
            "old.dead",
            "%s: charger and machine off, its main fuse out first, then its balance plug. Cap both."
                .formatted(which))
        .tools("insulated tools")
        .caution(
            "Its groups stay live whatever is switched off: rings off, eyes covered, one cell"
                + " bridged at a time.")
        .handles(Live.CELLS)
        .protects()
        .add();
    if (over) {
      steps
          .step(
              Stage.CELLS,
              "old.groups",
              "Read every group of the old pack before anything is cut. Type the lowest.")
          .tools("multimeter")
          .handles(Live.CELLS)
          .needs("old.dead")
          .protects()
          .expects(
              on.unread().value(),
              on.cell().cutOffVoltage(),
              on.cell().fullVoltage(),
              Unit.VOLT,
              "no group may have sat below its cut-off of %s"
                  .formatted(Figures.of(on.cell().cutOffVoltage(), Unit.VOLT)))
          .ifLow(
              "the group sat below its cut-off",
              "never revive it: put its cells aside as waste, and match a new group at Sort")
          .ifHigh("the meter spans two groups", "read between neighbouring contacts")
          .add();
    }
    steps
        .step(
            Stage.CELLS,
            "old.cut",
            over
                ? "Part what the new pack does not keep: cut each strip between two cells, one at a"
                    + " time, the rest under paper. Number each group as it comes out."
                : "Cut each strip between two cells, one at a time, the rest under paper, and roll"
                    + " the stubs off; loose cells need none of this.")
        .tools("insulated cutters", "insulating paper")
        .caution(
            "A spot once welded does not hold twice: the new one goes beside it.",
            "A cell that was ground hot, pierced or dented is waste: tape its ends.")
        .handles(Live.CELLS)
        .needs(over ? "old.groups" : "old.dead")
        .add();
  }
}
