package hammerman.circuit;

import hammerman.chain.Floor;
import hammerman.chain.Supply;
import hammerman.circuit.Part.Kind;
import hammerman.design.SecondPack.Joining;
import hammerman.duty.LeadBattery;
import hammerman.duty.Machine;
import hammerman.unit.Unit;

/** The voltage that the machine and the hands meet. */
final class MachineStresses {
  /** DC voltage above which a touch can kill, V (usual limit of safety extra-low voltage). */
  private static final double TOUCH_LIMIT = 60;

  /** State of charge down to which a pack is expected to bear its hardest moment. */
  private static final double LOW_SOC = 0.10;

  private final Circuit circuit;

  MachineStresses(Circuit circuit) {
    this.circuit = circuit;
  }

  void fill(Table t) {
    Machine m = circuit.design().duty().machine();
    Supply supply = circuit.chain().supply();
    Part machine = new Part(Kind.MACHINE, false, m.name());
    Part pack = new Part(Kind.PACK, false, "Pack");
    double charged = charged(supply);
    t.in(State.RUNNING, Corner.full())
        .from("limit of the machine")
        .most(machine, Stress.Kind.VOLTAGE, charged, m.maximumVoltage(), Unit.VOLT)
        .most(machine, Stress.Kind.OVERCHARGE, supply.highest(), m.maximumVoltage(), Unit.VOLT);
    Floor floor = circuit.chain().floor();
    double coldest = circuit.design().duty().surroundings().coldestInUse();
    t.in(State.HARDEST, Corner.at(coldest))
        .endedBy(floor.who().words())
        .from("usual practice")
        .most(machine, Stress.Kind.FLOOR, floor.soc(), LOW_SOC, Unit.PERCENT);
    t.in(State.STANDING, Corner.full())
        .from("usual limit of safety extra-low voltage, DC")
        .most(pack, Stress.Kind.TOUCH, supply.highest(), TOUCH_LIMIT, Unit.VOLT);
    LeadBattery lead = circuit.design().duty().replaces();
    if (lead != null) {
      t.in(State.RUNNING, Corner.full())
          .from("2.45 V a lead cell, usual practice")
          .most(machine, Stress.Kind.MATCH, supply.highest(), lead.charged(), Unit.VOLT);
    }
  }

  private static double charged(Supply supply) {
    var volts = supply.branches().stream().mapToDouble(b -> b.guard().charge().voltage());
    return supply.joining() == Joining.SERIES ? volts.sum() : volts.max().orElseThrow();
  }
}
