package hammerman.app.station.duty;

import hammerman.app.picture.Pen;
import hammerman.app.picture.PictureOf;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.chain.Chain;
import hammerman.chain.Path;
import hammerman.duty.Machine;
import hammerman.unit.Figures;
import java.util.ArrayList;
import java.util.List;

/**
 * The window of voltage: what the machine works with, and where the pack lies in it, at rest and in
 * its hardest moment.
 */
final class WindowPicture extends PictureOf<Chain> {
  private static final double LEFT = 124;
  private static final double RIGHT = 14;
  private static final double TOP = 6;
  private static final double FOOT = 28;

  /** State of charge that counts as nearly empty. */
  private static final double LOW = 0.10;

  /** A range of voltage with its name, V. */
  private record Range(String name, double low, double high, Role role) {}

  WindowPicture() {
    super("Window of voltage: the machine's, and the pack's in it");
    setMinSize(270, 130);
    setPrefHeight(170);
  }

  @Override
  protected void paint(Pen pen, double width, double height, Chain c) {
    List<Range> ranges = ranges(c);
    double low = ranges.stream().mapToDouble(Range::low).min().orElse(0);
    double high = ranges.stream().mapToDouble(Range::high).max().orElse(1);
    Scale x = Scale.around(low, high, 1, LEFT, width - RIGHT);
    double foot = height - FOOT;
    double row = (foot - TOP) / ranges.size();
    Machine machine = c.design().duty().machine();
    pen.fill(
        Role.FAINT,
        x.at(machine.cutOutVoltage()),
        TOP,
        x.at(machine.maximumVoltage()) - x.at(machine.cutOutVoltage()),
        foot - TOP);
    new Plot(pen, x, new Scale(0, 1, foot, TOP)).horizontal("V");
    for (int k = 0; k < ranges.size(); k++) {
      row(pen, x, ranges.get(k), TOP + row * (k + 0.5), Math.min(16, row * 0.5), machine);
    }
  }

  private static List<Range> ranges(Chain c) {
    Path path = c.path();
    Machine m = c.design().duty().machine();
    int series = c.design().pack().series();
    double cold = c.design().duty().surroundings().coldestInUse();
    double peak = c.demand().peak();
    List<Range> all = new ArrayList<>();
    all.add(new Range("Machine works", m.cutOutVoltage(), m.maximumVoltage(), Role.SOFT));
    c.design()
        .guard()
        .protection()
        .inDischargePath()
        .ifPresent(
            b ->
                all.add(
                    new Range(
                        "BMS lets through",
                        b.cutOffVoltage() * series,
                        b.overVoltage() * series,
                        Role.AMBER)));
    all.add(
        new Range("Pack at rest", path.openCircuit(LOW), path.openCircuit(c.ceiling()), Role.COOL));
    all.add(
        new Range(
            "In its hardest moment",
            path.voltage(peak, LOW, cold, Path.Settling.TEN_SECONDS),
            path.voltage(peak, c.ceiling(), cold, Path.Settling.TEN_SECONDS),
            Role.HOT));
    return all;
  }

  private static void row(Pen pen, Scale x, Range r, double y, double thick, Machine m) {
    pen.name(Role.INK, Pen.TEXT, 2, y, r.name());
    double from = x.at(r.low());
    double to = x.at(r.high());
    pen.fill(r.role(), from, y - thick / 2, to - from, thick);
    double below = Math.min(r.high(), m.cutOutVoltage());
    if (r.role() == Role.HOT && r.low() < below) {
      // Where the machine has cut out already.
      pen.fill(Role.PAPER, from, y - thick / 2, x.at(below) - from, thick);
      pen.hatch(Role.HOT, from, y - thick / 2, x.at(below) - from, thick);
      pen.frame(Role.HOT, 1, from, y - thick / 2, x.at(below) - from, thick);
    }
    String low = Figures.fixed(r.low(), 1);
    String high = Figures.fixed(r.high(), 1);
    boolean room = from - pen.width(Pen.TEXT, low) - 8 > LEFT;
    if (room) {
      pen.figureBefore(Role.INK, Pen.TEXT, from - 5, y, low);
    } else {
      pen.tag(Role.INK, Pen.TEXT, from + 4, y, low);
    }
    pen.beside(Role.INK, Pen.TEXT, to, y, 5, high);
  }
}
