package hammerman.build;

import hammerman.guard.Fusing;
import hammerman.pack.Conductors;
import hammerman.pack.Joint;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.Locale;

/** Groups joined, then the string, in sections that stay below 60 V for as long as they can. */
final class StringSteps {
  /** A poor contact may be this many times the usual one before it is said. */
  private static final double POOR = 3;

  private final Ground on;
  private final StepList steps;
  private final Joint joint;

  StringSteps(Ground on, StepList steps) {
    this.on = on;
    this.steps = steps;
    var fit = on.design().fit();
    joint = (fit == null ? Conductors.USUAL : fit.conductors()).joint();
  }

  void join() {
    sample();
    fuses();
    for (int g = 0; g < on.series(); g++) {
      group(g);
    }
    int section = section();
    for (int g = 0; g + 1 < on.series(); g++) {
      if ((g + 1) % section != 0) {
        link(g, section);
      }
    }
  }

  /** Covers everything, makes the string whole, and sees that it touches nothing. */
  void close() {
    cover();
    int section = section();
    for (int g = section - 1; g + 1 < on.series(); g += section) {
      sectionLink(g);
    }
    whole();
  }

  /** Groups in a section that stays below 60 V when full. */
  private int section() {
    return Math.max(
        1, Math.min(on.series(), (int) Math.floor(Ground.TOUCH / on.cell().fullVoltage())));
  }

  private void sample() {
    String strip = on.pack().strip().text();
    switch (joint) {
      case WELDED ->
          steps
              .step(
                  Stage.JOINING,
                  "weld.sample",
                  "Weld a scrap of %s to a dead cell and tear it off with pliers. The strip must tear"
                          .formatted(strip)
                      + " and leave its spots on the cell. Repeat after every change of setting.")
              .tools("spot welder", "pliers")
              .caution("Sparks: eye protection, and nothing that burns within a metre.")
              .protects()
              .add();
      case SCREWED ->
          steps
              .step(
                  Stage.JOINING,
                  "screw.sample",
                  "Clean every contact face bright, put a spring washer under each screw, and find"
                      + " the torque by the cell's datasheet on one terminal. Mark it on the"
                      + " wrench.")
              .tools("torque wrench, insulated")
              .caution("A terminal turned too hard breaks its seal inside.")
              .protects()
              .add();
      case SOLDERED ->
          steps
              .step(
                  Stage.JOINING,
                  "solder.sample",
                  "Solder only to tabs, never on the end of a cell: try one joint on a dead cell,"
                      + " under two seconds, and feel that the cell stays cool.")
              .tools("soldering iron, 80 W or more")
              .caution("Heat at the end of a cell ruins its seal and separator.")
              .protects()
              .add();
    }
    steps
        .step(
            Stage.JOINING,
            "joint.resistance",
            "If your meter reads milliohms by four wires, read across the sample joint. Otherwise"
                + " take the pull test as it is.")
        .tools("four-wire milliohm meter, if there is one")
        .needs(
            joint == Joint.WELDED
                ? "weld.sample"
                : joint == Joint.SCREWED ? "screw.sample" : "solder.sample")
        .expects(
            joint.contact(),
            0,
            POOR * joint.contact(),
            Unit.MILLIOHM,
            "one contact, %s, has about %s"
                .formatted(
                    joint.label().toLowerCase(Locale.ROOT),
                    Figures.of(joint.contact(), Unit.MILLIOHM)))
        .ifHigh("too little heat or force, or a dirty face", "make another sample and read it")
        .add();
  }

  private void fuses() {
    if (on.guard().fusing() instanceof Fusing.MainAndCells f) {
      steps
          .step(
              Stage.JOINING,
              "cell-fuse.sample",
              "Make one cell fuse of %s as all will be, and load it on the bench for a minute with"
                      .formatted(Figures.of(f.cellRating(), Unit.AMPERE))
                  + " its rated current: it must hold, warm to the touch at most.")
          .tools("bench supply")
          .caution("A cell fuse hangs free in air: nothing over it may burn or melt.")
          .protects()
          .add();
    }
  }

  private void group(int g) {
    String fuse =
        on.guard().fusing() instanceof Fusing.MainAndCells
            ? ", its positive side through the cell fuses"
            : "";
    var draft =
        steps
            .step(
                Stage.JOINING,
                "group.%d.join".formatted(g + 1),
                "Join the %s of group %d%s. Read it across its two faces, then cover both."
                    .formatted(
                        on.pack().parallel() == 1 ? "cell" : on.pack().parallel() + " cells",
                        g + 1,
                        fuse))
            .tools(tool(), "multimeter")
            .handles(Live.CELLS)
            .protects()
            .at(new Place.Group(g))
            .expects(on.groups(1))
            .ifLow(
                "a cell of the group was lower than the others", "let it rest an hour, read again")
            .ifReads(
                0, "a cell is turned or shorted", "touch it: warm means part the strip at once")
            .ifReads(
                0, "the tips are not through the sleeve or the paper", "read at the cell itself")
            .ifHigh("the tips span two groups", "read at the cell itself")
            .ifHigh("a cell of the group was higher", "let it rest an hour, read again");
    if (g == 0) {
      draft.caution("Bridge one group only; a strip that falls across two shorts a group.");
    }
    draft.add();
  }

  private void link(int g, int section) {
    int from = g / section * section;
    int count = g + 2 - from;
    steps
        .step(
            Stage.JOINING,
            "link.%d".formatted(g + 1),
            "Link the positive face of group %d to the negative face of group %d. Read from the"
                    .formatted(g + 1, g + 2)
                + " negative end of group %d to the positive end of group %d."
                    .formatted(from + 1, g + 2))
        .tools(tool(), "multimeter")
        .handles(Live.CELLS)
        .needs("group.%d.join".formatted(g + 1))
        .needs("group.%d.join".formatted(g + 2))
        .protects()
        .at(new Place.Link(g))
        .expects(on.groups(count))
        .ifReads(
            (count - 2) * on.rested().value(),
            "a group is turned: two groups less are read",
            "read the two groups by themselves")
        .ifReads(0, "the link does not touch", "read across the link: it must be 0.00 V")
        .ifLow("a group is low", "read each group by itself")
        .ifHigh("the meter spans a group more", "count the groups between its tips")
        .add();
  }

  private void cover() {
    steps
        .step(
            Stage.INSULATION,
            "cover.faces",
            "Cover both faces with insulating paper, double at the edges of strips and at corners."
                + " Leave only the points of the balance leads and the two ends open, and tape the"
                + " ends.")
        .tools("insulating paper", "polyimide tape")
        .caution("Strip edges are sharp and wear through one layer within weeks of shaking.")
        .handles(Live.CELLS)
        .protects()
        .makesSafe(Live.ENDS)
        .gate();
  }

  private void sectionLink(int g) {
    steps
        .step(
            Stage.INSULATION,
            "link.%d".formatted(g + 1),
            "Now the section link between groups %d and %d, with gloves and one hand, everything"
                    .formatted(g + 1, g + 2)
                + " else covered. Read from the pack's negative end to group %d.".formatted(g + 2))
        .tools(tool(), "multimeter", "insulating gloves, class 0")
        .caution("From here on the string passes 60 V: a touch at two points can kill.")
        .handles(Live.CELLS, Live.HIGH_VOLTAGE)
        .protects()
        .at(new Place.Link(g))
        .expects(on.groups(g + 2))
        .ifLow("a section is turned", "read each section by itself")
        .ifReads(0, "the link does not touch", "read across the link: it must be 0.00 V")
        .ifHigh("the meter spans more", "count the groups between its tips")
        .gate();
  }

  private void whole() {
    Expected e = on.groups(on.series());
    var draft =
        steps
            .step(
                Stage.INSULATION,
                "string.whole",
                "Read the whole string from its negative to its positive end, then tape the ends"
                    + " again.")
            .tools("multimeter")
            .handles(Live.ENDS)
            .protects()
            .at(new Place.End(true))
            .expects(e)
            .ifReads(
                (on.series() - 2) * on.rested().value(),
                "a group is turned",
                "read each group by itself")
            .ifReads(
                (on.series() - 1) * on.rested().value(),
                "a group is dead or shorted",
                "read each group by itself")
            .ifReads(0, "a link is open", "read across each link: it must be 0.00 V")
            .ifHigh("there is a group more than designed", "count the groups")
            .ifHigh(
                "the groups were charged meanwhile", "read one group and type that at the cells");
    if (on.isHigh()) {
      draft.handles(Live.HIGH_VOLTAGE).caution("Gloves, one hand: the string passes 60 V.");
    }
    draft.gate();
    isolation("case.plus", "positive", true);
    isolation("case.minus", "negative", false);
  }

  /** A sound insulation lets through a meter of 10 MΩ hardly anything. */
  private void isolation(String id, String end, boolean plus) {
    double most = 0.05 * on.pack().fullVoltage();
    var draft =
        steps
            .step(
                Stage.INSULATION,
                id,
                "With the pack in its box, read from the pack's %s end to the box, or to any metal"
                        .formatted(end)
                    + " around it; wait until the figure settles. Type it without its sign.")
            .tools("multimeter")
            .handles(Live.ENDS)
            .protects()
            .at(new Place.End(plus))
            .expects(
                0,
                0,
                most,
                Unit.VOLT,
                "through a meter of 10 MΩ a twentieth of the full voltage means an insulation of"
                    + " some 200 MΩ")
            .ifHigh("a strip or a lead touches the box", "move the pack and watch the figure")
            .ifHigh("moisture or flux lies between", "clean, dry, and read again");
    if (on.isHigh()) {
      draft.handles(Live.HIGH_VOLTAGE);
    }
    draft.add();
  }

  private String tool() {
    return switch (joint) {
      case WELDED -> "spot welder";
      case SCREWED -> "torque wrench, insulated";
      case SOLDERED -> "soldering iron, 80 W or more";
    };
  }
}
