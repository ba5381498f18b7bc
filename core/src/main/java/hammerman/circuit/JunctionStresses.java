package hammerman.circuit;

import hammerman.chain.Junction;
import hammerman.circuit.Part.Kind;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.unit.Unit;

/** Where two packs meet. */
final class JunctionStresses {
  /** Share by which parallel packs may differ in full voltage before one overcharges the other. */
  private static final double SAME = 1e-3;

  /** Share by which packs in series may differ in capacity without a word. */
  private static final double SAME_CAPACITY = 0.05;

  private JunctionStresses() {}

  static void fill(Circuit circuit, Table t) {
    SecondPack second = circuit.design().second();
    if (second == null) {
      return;
    }
    Part junction = new Part(Kind.JUNCTION, false, second.joining().label());
    Side a = circuit.first();
    Side b = circuit.second().orElseThrow();
    if (second.joining() == Joining.PARALLEL) {
      parallel(circuit, t, junction, a, b);
    }
    if (second.joining() == Joining.SERIES) {
      double least = Math.min(a.pack().capacity(), b.pack().capacity());
      double most = Math.max(a.pack().capacity(), b.pack().capacity());
      t.in(State.RUNNING, Corner.ANY)
          .from("usual practice")
          .most(junction, Stress.Kind.CAPACITY, 1 - least / most, SAME_CAPACITY, Unit.PERCENT);
    }
  }

  private static void parallel(Circuit circuit, Table t, Part junction, Side a, Side b) {
    Junction j = Junction.of(circuit.chain()).orElseThrow();
    t.in(State.JOINING, Corner.ANY)
        .from("fast charge current or strips of the weaker")
        .most(junction, Stress.Kind.GAP, j.current(), j.limit(), Unit.AMPERE);
    Side weaker = j.first() > j.other() ? b : a;
    if (j.gap() > 0) {
      t.in(State.JOINING, Corner.at(a.coldest))
          .from("cell data")
          .least(
              junction,
              Stress.Kind.BRAKE_COLD,
              a.coldest,
              weaker.cell().temperatures().chargeLowest(),
              Unit.CELSIUS);
    }
    double volts = Math.abs(a.pack().fullVoltage() - b.pack().fullVoltage());
    t.in(State.CHARGING, Corner.full())
        .from("equal within 0.1 %")
        .most(junction, Stress.Kind.UNEQUAL, volts, SAME * a.pack().fullVoltage(), Unit.VOLT)
        .from("the same curve of rest voltage")
        .least(
            junction,
            Stress.Kind.MATCH,
            a.cell().chemistry() == b.cell().chemistry() ? 1 : 0,
            1,
            Unit.ONE);
  }
}
