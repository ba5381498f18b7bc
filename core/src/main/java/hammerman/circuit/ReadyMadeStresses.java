package hammerman.circuit;

import hammerman.circuit.Part.Kind;
import hammerman.readymade.ReadyMade;
import hammerman.readymade.ReadyMadeUse;
import hammerman.simulation.StartRun;
import hammerman.unit.Unit;

/** A ready-made battery on the same machine. */
final class ReadyMadeStresses {
  private static final double[] CHARGES = {1, 0.5, 0.2};

  private ReadyMadeStresses() {}

  static void fill(Circuit circuit, Table t) {
    ReadyMadeUse use = circuit.design().readyMade();
    if (use == null) {
      return;
    }
    ReadyMade b = use.battery();
    Part part =
        new Part(Kind.READY_MADE, false, b.series() + "S" + b.parallel() + "P ready-made battery");
    double peak = 0;
    double soc = 1;
    boolean runs = true;
    for (double z : CHARGES) {
      StartRun run = StartRun.of(b, use.start(), z);
      if (run.end() != StartRun.End.RUNS && runs) {
        runs = false;
        peak = run.peak();
        soc = z;
      } else if (runs) {
        peak = Math.max(peak, run.peak());
      }
    }
    t.in(State.STARTING, new Corner(soc, Double.NaN))
        .endedBy("its own protection")
        .from("trip of the battery")
        .least(part, Stress.Kind.MATCH, runs ? 1 : 0, 1, Unit.ONE)
        .from("limit of the machine");
    t.in(State.RUNNING, Corner.full())
        .from("limit of the machine")
        .most(
            part,
            Stress.Kind.VOLTAGE,
            b.series() * b.cell().fullVoltage(),
            circuit.design().duty().machine().maximumVoltage(),
            Unit.VOLT);
  }
}
