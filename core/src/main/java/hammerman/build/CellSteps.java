package hammerman.build;

import hammerman.cell.CellFormat;
import hammerman.pack.MatchedCells;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.stream.Collectors;

/** The bench, and the cells before anything joins them. */
final class CellSteps {
  private final Ground on;
  private final StepList steps;

  CellSteps(Ground on, StepList steps) {
    this.on = on;
    this.steps = steps;
  }

  /** What is done once, whatever is built. */
  void bench(boolean high) {
    steps
        .step(
            Stage.BENCH,
            "bench.clear",
            "Clear a bench that does not conduct. Take off rings, watch and chain. Tape the shafts"
                + " of screwdrivers and cutters so that only their tips are bare. Eye protection"
                + " on.")
        .tools("insulated tools", "eye protection")
        .caution(
            "A shorted cell gives hundreds of amperes, and a ring across it burns to the bone.",
            "Only one group open at a time; cover the others.")
        .protects()
        .makesSafe(Live.CELLS)
        .add();
    steps
        .step(
            Stage.BENCH,
            "bench.fire",
            "Settle where a hot cell goes: the way outdoors is free, a metal bucket with sand"
                + " stands by, and nothing that burns lies on the bench.")
        .tools("bucket with sand")
        .caution(
            "A damaged cell vents and burns again after it seems to be out. Do not breathe it.")
        .protects()
        .add();
    if (high) {
      steps
          .step(
              Stage.BENCH,
              "bench.second-person",
              "This pack passes 60 V. Have insulating gloves rated for it, and a second person who"
                  + " knows where to part the string. Work with one hand wherever you can.")
          .tools("insulating gloves, class 0")
          .caution(
              "Above 60 V DC a touch can kill. Where local rules ask for a licensed person, ask"
                  + " one.")
          .protects()
          .makesSafe(Live.HIGH_VOLTAGE)
          .add();
    }
    steps
        .step(
            Stage.BENCH,
            "bench.parts",
            "Check the parts list: every connector has both halves, every lug fits its screw, and"
                + " the meter's battery and leads are good.")
        .tools("multimeter")
        .add();
    steps
        .step(
            Stage.BENCH,
            "bench.meter",
            "Put the meter's red lead in its volt socket, not in the ampere one, and read one"
                + " cell.")
        .tools("multimeter")
        .caution("A meter left in its ampere socket is a short circuit.")
        .handles(Live.CELLS)
        .needs("bench.clear")
        .protects()
        .expects(on.unread())
        .ifLow("the meter is off or in its ampere socket", "touch its leads together: 0.00 V")
        .ifLow("the cell is dead", "read another cell")
        .ifHigh("the meter's battery is low, which makes many read high", "change its battery")
        .gate();
  }

  void cells() {
    new OldPackSteps(on, steps).add();
    String soon =
        on.cell().format() instanceof CellFormat.Block b && b.pouch()
            ? "puffed, dented or creased, with a torn seam or a sweet smell"
            : "dented, rusty, with a torn sleeve, a loose ring at the positive end or a sweet"
                + " smell";
    steps
        .step(
            Stage.CELLS,
            "cells.look",
            "Look at every one of the %d cells. Put aside any that is %s."
                .formatted(on.pack().cells(), soon))
        .caution("A dented or leaking cell is waste: tape its ends and take it to collection.")
        .handles(Live.CELLS)
        .add();
    rest();
    spread();
    if (on.reclaimed()) {
      steps
          .step(
              Stage.CELLS,
              "cells.stay",
              "Let the cells lie for three days after their last charge and read all again. Type"
                  + " the greatest fall of any.")
          .tools("multimeter")
          .handles(Live.CELLS)
          .needs("cells.rest")
          .expects(
              0,
              0,
              0.015,
              Unit.MILLIVOLT,
              "a sound cell loses less than 5 mV a day once it has rested")
          .ifHigh(
              "the cell leaks inside",
              "charge it, let it rest for a day, and read it again three days later")
          .ifHigh("it had not rested after its charge", "read it again tomorrow")
          .add();
    }
    place();
  }

  private void rest() {
    Expected e = on.unread();
    steps
        .step(
            Stage.CELLS,
            "cells.rest",
            "Read the rest voltage of every cell, some hours after any charge. Type the middle one"
                + " of all.")
        .tools("multimeter")
        .caution(
            "Never charge or revive a cell that sat below %s: copper has dissolved in it and may"
                    .formatted(Figures.of(on.cell().cutOffVoltage(), Unit.VOLT))
                + " short it later.")
        .handles(Live.CELLS)
        .protects()
        .expects(e)
        .ifLow("they were stored for long, or are flat", "read each; those below go to waste")
        .ifLow("they are of another chemistry", "read what is printed on them against the design")
        .ifHigh("they were charged on the way to you", "let them rest for a day and read again")
        .ifHigh("they are of another chemistry", "read what is printed on them against the design")
        .add();
  }

  private void spread() {
    double gap = on.allowedGap();
    steps
        .step(
            Stage.CELLS,
            "cells.gap",
            "Within each group to be: take the highest less the lowest rest voltage. Type the"
                + " greatest of all groups.")
        .tools("multimeter")
        .caution("Cells that differ are joined only after their voltages agree.")
        .handles(Live.CELLS)
        .needs("cells.rest")
        .protects()
        .expects(
            0,
            0,
            gap,
            Unit.MILLIVOLT,
            "at %s two of these cells drive %s into each other at once; its standard charge is %s"
                .formatted(
                    Figures.of(gap, Unit.MILLIVOLT, 0),
                    Figures.of(on.equalising(gap), Unit.AMPERE),
                    Figures.of(on.cell().currents().standardCharge(), Unit.AMPERE)))
        .ifHigh(
            "one cell was charged apart, or comes from another lot",
            "charge the lowest by itself, at no more than %s, until it reads as the others"
                .formatted(Figures.of(on.cell().currents().standardCharge(), Unit.AMPERE)))
        .ifHigh("one cell leaks", "read it again in three days; one that has fallen goes to waste")
        .gate();
  }

  private void place() {
    var matched = on.pack().matched();
    if (matched.isPresent()) {
      for (int g = 0; g < on.series(); g++) {
        MatchedCells.Group group = matched.get().groups().get(g);
        steps
            .step(
                Stage.CELLS,
                "group.%d.place".formatted(g + 1),
                "Group %d: lay out %s, %s together, positive %s."
                    .formatted(
                        g + 1,
                        group.cells().stream()
                            .map(MatchedCells.Cell::label)
                            .collect(Collectors.joining(", ")),
                        Figures.of(group.capacity(), Unit.AMPERE_HOUR),
                        facing(g)))
            .handles(Live.CELLS)
            .at(new Place.Group(g))
            .add();
      }
    } else {
      steps
          .step(
              Stage.CELLS,
              "cells.place",
              "Put the cells in their holder by the fit sheet: %d groups of %d, group 1 with its"
                      .formatted(on.series(), on.pack().parallel())
                  + " positive ends up, every next group turned over.")
          .handles(Live.CELLS)
          .add();
    }
    steps
        .step(
            Stage.CELLS,
            "cells.polarity",
            "With the meter's black lead at its lower end, touch the upper end of every cell before"
                + " any metal lies on it: positive where the fit sheet says so. Type how many"
                + " groups are"
                + " right; all %d must be.".formatted(on.series()))
        .tools("multimeter", "fit sheet")
        .caution("One cell the wrong way round is a dead short the moment its strip is on.")
        .handles(Live.CELLS)
        .protects()
        .expects(on.series(), on.series(), on.series(), Unit.ONE, "the design has as many groups")
        .ifLow("a group or a cell is turned", "read each cell of that group by itself")
        .ifHigh("more groups are laid out than the design has", "count again by the fit sheet")
        .gate();
  }

  private static String facing(int group) {
    return group % 2 == 0 ? "up" : "down";
  }
}
