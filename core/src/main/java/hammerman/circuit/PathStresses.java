package hammerman.circuit;

import hammerman.circuit.Part.Kind;
import hammerman.guard.Closing;
import hammerman.guard.Connector;
import hammerman.guard.Guard;
import hammerman.guard.Precharge;
import hammerman.guard.Switch;
import hammerman.unit.Figures;
import hammerman.unit.Unit;

/** Switch, connectors, pre-charge and main leads. */
final class PathStresses {
  /** Highest limit of an insulation, K; typical of silicone and fluoropolymer. */
  static final double HOTTEST_INSULATION = 473.15;

  /** Share of the nominal voltage that leads may lose; usual practice. */
  private static final double MOST_DROP = 0.03;

  /** Energy in input capacitors from which closing a circuit sparks and wears contacts, J. */
  private static final double SPARK_ENERGY = 0.5;

  /** Longest pre-charge that people wait for, s; usual practice. */
  private static final double PATIENCE = 5;

  /** First pre-charge current above which contacts still spark, A; usual practice. */
  private static final double SOFT_CURRENT = 10;

  private static final String PRACTICE = "usual practice";

  private final Circuit circuit;
  private final Side side;
  private final Guard guard;
  private final double highest;

  PathStresses(Circuit circuit) {
    this.circuit = circuit;
    side = circuit.first();
    guard = side.guard();
    highest = circuit.chain().supply().highest();
  }

  void fill(Table t) {
    Switch s = guard.mainSwitch();
    Part main = side.part(Kind.SWITCH, s == null ? "Switch" : s.name());
    t.in(State.OPENED, Corner.full())
        .from(PRACTICE)
        .least(main, Stress.Kind.MISSING, s == null ? 0 : 1, 1, Unit.ONE);
    if (s != null) {
      t.from("rating of the switch")
          .most(main, Stress.Kind.VOLTAGE, highest, s.voltageRating(), Unit.VOLT);
    }
    Connector c = guard.wiring().connector();
    if (guard.wiring().connectorPairs() > 0) {
      t.from("rating of the connector")
          .most(
              side.part(Kind.CONNECTORS, c.name()),
              Stress.Kind.VOLTAGE,
              highest,
              c.voltageRating(),
              Unit.VOLT);
    }
    wires(t);
    precharge(t);
  }

  private void wires(Table t) {
    double current = circuit.chain().demand().continuous();
    double nominal =
        circuit.sides().stream().mapToDouble(s -> s.pack().nominalVoltage()).min().orElseThrow();
    Part wire =
        side.part(
            Kind.WIRE, Figures.of(guard.wiring().wire().area(), Unit.SQUARE_MILLIMETRE) + " wire");
    double lost = current * (side.share * guard.own(side.hottest) + guard.shared(side.hottest));
    t.in(State.RUNNING, Corner.at(side.hottest))
        .from(PRACTICE)
        .most(wire, Stress.Kind.DROP, lost, MOST_DROP * nominal, Unit.VOLT);
    for (Side s : circuit.sides()) {
      t.in(State.TYPED, Corner.ANY)
          .from("silicone and fluoropolymer, typical")
          .most(
              s.part(Kind.WIRE, "wire"),
              Stress.Kind.FIGURE,
              s.guard().wiring().wire().insulationLimit(),
              HOTTEST_INSULATION,
              Unit.CELSIUS);
    }
  }

  private void precharge(Table t) {
    double farads = circuit.design().duty().machine().inputCapacitance();
    double energy = Precharge.energy(highest, farads);
    Precharge p = guard.precharge();
    boolean soft = p != null || byPlug(guard);
    Part part = side.part(Kind.PRECHARGE, "Pre-charge");
    t.in(State.STARTING, Corner.full())
        .endedBy(soft && p == null ? "pre-charging plug" : "")
        .from(PRACTICE)
        .most(part, Stress.Kind.MISSING, soft ? 0 : energy, SPARK_ENERGY, Unit.JOULE);
    if (p != null) {
      t.endedBy("")
          .from("ten times its power for a second, typical")
          .most(part, Stress.Kind.ENERGY, energy, p.pulseEnergy(), Unit.JOULE)
          .from(PRACTICE)
          .most(part, Stress.Kind.SPARK, p.current(highest), SOFT_CURRENT, Unit.AMPERE)
          .most(part, Stress.Kind.TIME, p.time(farads), PATIENCE, Unit.SECOND);
    }
  }

  /** Whether a plug that pre-charges is what closes the circuit. */
  static boolean byPlug(Guard g) {
    return g.closing() == Closing.PLUG
        && g.wiring().connectorPairs() > 0
        && g.wiring().connector().sparkProof();
  }
}
