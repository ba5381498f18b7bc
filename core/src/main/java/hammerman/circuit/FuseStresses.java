package hammerman.circuit;

import hammerman.circuit.Part.Kind;
import hammerman.guard.Fuse;
import hammerman.guard.Fusing;
import hammerman.unit.Figures;
import hammerman.unit.Unit;

/** What the fuses of one pack meet, and what is left without one. */
final class FuseStresses {
  /** Longest lead between pack and fuse, m; usual practice. */
  static final double UNFUSED = 0.2;

  /** Longest time in which a short circuit is to be cleared, s; usual practice. */
  private static final double CLEARED = 5;

  /** Multiple of its rating at which a fuse surely opens within half a second; typical. */
  private static final double SURE_MULTIPLE = 3.5;

  private static final String CLASS = "typical for the class";
  private static final String PRACTICE = "usual practice";

  private final Side side;

  FuseStresses(Side side) {
    this.side = side;
  }

  void fill(Table t) {
    boolean fused = side.guard().fuse().isPresent();
    t.in(State.SHORT, Corner.full())
        .endedBy(side.bms().map(b -> Protector.of(b).name()).orElse(""))
        .from(PRACTICE)
        .least(side.part(Kind.FUSE, "Main fuse"), Stress.Kind.MISSING, fused ? 1 : 0, 1, Unit.ONE);
    side.guard().fuse().ifPresent(f -> with(t, f));
    if (side.guard().fusing() instanceof Fusing.MainAndCells f) {
      cells(t, f);
    }
  }

  private void with(Table t, Fuse f) {
    Part fuse = side.part(Kind.FUSE, Figures.exact(f.rating(), Unit.AMPERE) + " fuse");
    rated(t, fuse, f, side.across(), side.mostFault(), side.hottest);
    double least = side.leastFault();
    double time = Protector.first(side.protectors, least);
    t.in(State.SHORT, new Corner(0.1, side.coldest))
        .endedBy(Protector.names(side.protectors))
        .from(PRACTICE)
        .most(fuse, Stress.Kind.CLEARS, time, CLEARED, Unit.SECOND);
    double before = side.guard().wiring().leads().packToFuse();
    t.in(State.SHORT, Corner.full())
        .endedBy(side.cellFuses().map(Protector::name).orElse(""))
        .from(PRACTICE)
        .most(
            side.part(Kind.LEAD, Figures.of(before, Unit.METRE) + " before the fuse"),
            Stress.Kind.LENGTH,
            before,
            UNFUSED,
            Unit.METRE);
  }

  /** What any fuse must bear: voltage, short-circuit current, and figures of its class. */
  static void rated(Table t, Part fuse, Fuse f, double volts, double fault, double kelvin) {
    t.in(State.OPENED, Corner.full())
        .from("rating of the fuse")
        .most(fuse, Stress.Kind.VOLTAGE, volts, f.voltageRating(), Unit.VOLT);
    t.in(State.SHORT, new Corner(1, kelvin))
        .from(CLASS)
        .most(fuse, Stress.Kind.SHORT, fault, f.kind().interruptRating(), Unit.KILOAMPERE);
    t.in(State.TYPED, Corner.ANY)
        .from(CLASS)
        .most(fuse, Stress.Kind.FIGURE, f.voltageRating(), f.kind().voltageRating(), Unit.VOLT);
  }

  private void cells(Table t, Fusing.MainAndCells f) {
    int p = side.pack().parallel();
    if (p < 2) {
      return;
    }
    double cell = side.branch.circuit().ohmic(1, side.hottest);
    // The others in parallel feed the shorted cell, which is taken as having half its resistance.
    double current = side.cell().fullVoltage() / (cell / (p - 1) + 0.5 * cell);
    t.in(State.SHORT, new Corner(1, side.hottest))
        .from(CLASS)
        .most(
            side.part(Kind.CELL_FUSES, Figures.exact(f.cellRating(), Unit.AMPERE)),
            Stress.Kind.CLEARS,
            SURE_MULTIPLE * f.cellRating(),
            current,
            Unit.AMPERE);
  }
}
