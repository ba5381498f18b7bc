package hammerman.circuit;

import hammerman.circuit.Part.Kind;
import hammerman.design.SecondPack.Joining;
import hammerman.duty.Duty;
import hammerman.guard.Bms;
import hammerman.unit.Unit;
import java.util.Optional;

/** What the cells of one pack meet, each cell for itself. */
final class CellStresses {
  private static final String CELL = "cell data";

  /** Charge above which braking must be able to be refused; usual practice. */
  private static final double BRAKE_CEILING = 0.95;

  /** Charge that a charger should at least reach. */
  private static final double LOW_CEILING = 0.60;

  /** Shortfall of the weakest group from which matching is needed; usual practice. */
  private static final double MOST_SPREAD = 0.05;

  private final Circuit circuit;
  private final Side side;
  private final Part cells;
  private final Duty duty;
  private final int p;

  CellStresses(Circuit circuit, Side side) {
    this.circuit = circuit;
    this.side = side;
    duty = circuit.design().duty();
    p = side.pack().parallel();
    cells = side.part(Kind.CELLS, p + " × " + side.cell().name());
  }

  void fill(Table t) {
    currents(t);
    charging(t);
    low(t);
    figures(t);
  }

  /** What counts and cell decide. */
  void currents(Table t) {
    var rated = side.cell().currents();
    Endurance stands = Endurance.rated(rated.continuous(), rated.peak());
    DutyCurve curve = circuit.duty();
    int k = curve.worst(side.share / p, stands);
    t.in(curve.hardest(k) ? State.HARDEST : State.RUNNING, Corner.ANY)
        .lasting(curve.seconds(k))
        .from(CELL)
        .most(
            cells,
            Stress.Kind.CURRENT,
            side.share * curve.amperes(k) / p,
            stands.at(curve.seconds(k)),
            Unit.AMPERE);
    t.in(State.EFFORT, Corner.ANY)
        .from(CELL)
        .most(
            cells,
            Stress.Kind.EFFORT,
            side.share * duty.machine().fullEffortCurrent() / p,
            rated.continuous(),
            Unit.AMPERE);
    if (circuit.chain().supply().joining() == Joining.PARALLEL) {
      int alone = curve.worst(1.0 / p, stands);
      t.in(State.ALONE, Corner.ANY)
          .lasting(curve.seconds(alone))
          .endedBy(Protector.names(side.protectors))
          .from(CELL)
          .most(
              cells,
              Stress.Kind.ALONE,
              curve.amperes(alone) / p,
              stands.at(curve.seconds(alone)),
              Unit.AMPERE);
    }
    t.in(State.BRAKING, Corner.ANY)
        .from(CELL)
        .most(cells, Stress.Kind.BRAKE, side.braking() / p, rated.fastCharge(), Unit.AMPERE);
    t.in(State.RUNNING, Corner.at(side.coldest))
        .from(CELL)
        .least(
            cells,
            Stress.Kind.COLD,
            side.coldest,
            side.cell().temperatures().dischargeLowest(),
            Unit.CELSIUS);
    t.in(State.RUNNING, Corner.at(side.hottest))
        .from(CELL)
        .most(
            cells,
            Stress.Kind.HOT,
            side.hottest,
            side.cell().temperatures().dischargeHighest(),
            Unit.CELSIUS);
  }

  private void charging(Table t) {
    var cell = side.cell();
    var charge = side.guard().charge();
    double coldest = duty.surroundings().coldestCharging();
    double hottest = duty.surroundings().hottestCharging();
    int s = side.pack().series();
    double ceiling = side.branch.ceiling();
    t.in(State.CHARGING, Corner.ANY)
        .from(CELL)
        .most(
            cells,
            Stress.Kind.CHARGE,
            charge.current() / p,
            cell.currents().fastCharge(),
            Unit.AMPERE);
    t.in(State.CHARGING, Corner.at(coldest))
        .from(CELL)
        .least(
            cells,
            Stress.Kind.CHARGE_COLD,
            coldest,
            cell.temperatures().chargeLowest(),
            Unit.CELSIUS);
    t.in(State.CHARGING, Corner.at(hottest))
        .from(CELL)
        .most(
            cells,
            Stress.Kind.CHARGE_HOT,
            hottest,
            cell.temperatures().chargeHighest(),
            Unit.CELSIUS);
    t.in(State.CHARGING, Corner.full())
        .endedBy(side.guard().protection().bms().isPresent() ? "BMS over-voltage" : "")
        .from("cell data; 10 mV a cell is what meters tell")
        .most(
            cells,
            Stress.Kind.OVERCHARGE,
            charge.highest() / s,
            cell.fullVoltage() + Circuit.CHARGE_TOLERANCE,
            Unit.VOLT)
        .from("usual practice")
        .least(cells, Stress.Kind.UNDERCHARGE, ceiling, LOW_CEILING, Unit.PERCENT);
    braking(t, ceiling);
  }

  private void braking(Table t, double ceiling) {
    if (side.braking() <= 0) {
      return;
    }
    Optional<Bms> bms = side.bms();
    boolean sensed = bms.filter(b -> b.temperatureSensors() > 0).isPresent();
    t.in(State.BRAKING, Corner.at(side.coldest))
        .endedBy(sensed ? "BMS temperature sensor" : "")
        .from(CELL)
        .least(
            cells,
            Stress.Kind.BRAKE_COLD,
            side.coldest,
            side.cell().temperatures().chargeLowest(),
            Unit.CELSIUS);
    t.in(State.BRAKING, Corner.full())
        .endedBy(bms.isPresent() ? "BMS over-voltage" : "")
        .from("usual practice")
        .most(
            cells,
            Stress.Kind.BRAKE_FULL,
            ceiling,
            bms.isPresent() ? 1 : BRAKE_CEILING,
            Unit.PERCENT);
  }

  /** Where the discharge of one cell ends, if the groups are equal. */
  private void low(Table t) {
    double cutOff = side.cell().cutOffVoltage();
    int all = side.pack().series();
    if (circuit.chain().supply().joining() == Joining.SERIES) {
      all = circuit.sides().stream().mapToInt(x -> x.pack().series()).sum();
    }
    double ends = side.bms().map(Bms::cutOffVoltage).orElse(duty.machine().cutOutVoltage() / all);
    t.in(State.RUNNING, new Corner(0, Double.NaN))
        .endedBy(side.bms().isPresent() ? "BMS cut-off" : "the machine's cut-out")
        .from(CELL)
        .least(cells, Stress.Kind.LOW, ends, cutOff, Unit.VOLT);
  }

  private void figures(Table t) {
    var cell = side.cell();
    ChemistryBounds bounds = ChemistryBounds.of(cell.chemistry());
    t.in(State.TYPED, Corner.ANY)
        .from("typical of " + cell.chemistry().label())
        .most(cells, Stress.Kind.FIGURE, cell.fullVoltage(), bounds.full(), Unit.VOLT)
        .least(cells, Stress.Kind.FIGURE_LOW, cell.cutOffVoltage(), bounds.cutOff(), Unit.VOLT)
        .least(
            cells,
            Stress.Kind.FIGURE_COLD,
            cell.temperatures().chargeLowest(),
            bounds.chargeLowest(),
            Unit.CELSIUS)
        .most(
            cells,
            Stress.Kind.FIGURE_HOT,
            cell.temperatures().dischargeHighest(),
            bounds.hottest(),
            Unit.CELSIUS);
    double weakest = side.pack().weakestGroup();
    t.from(side.pack().level().isPresent() ? "measured cells" : "normal spread of the lot, typical")
        .most(cells, Stress.Kind.LOT, 1 - weakest, MOST_SPREAD, Unit.PERCENT);
  }
}
