package hammerman.judgement;

import hammerman.cell.CellType;
import hammerman.chain.Chain;
import hammerman.chain.Layout;
import hammerman.circuit.Circuit;
import hammerman.design.Design;
import hammerman.duty.Duty;
import hammerman.guard.Guard;
import hammerman.heat.HeatMap;
import hammerman.pack.Pack;
import hammerman.simulation.Day;
import hammerman.simulation.Run;
import hammerman.simulation.TwinRun;
import java.util.List;
import java.util.Optional;

/**
 * What is judged.
 *
 * @param circuit the circuit, with its design
 * @param duty the duty in the hottest air, run from the charge ceiling; of two packs both together
 * @param own what the first pack goes through in it
 * @param days the duty on its four days; none where it is only tried
 * @param pair the duty of two packs together, if there are two
 * @param layout the layout in the box, if it is known
 * @param heat temperatures of its cells through the duty, if it is known
 */
public record Case(
    Circuit circuit,
    Run duty,
    Run own,
    List<Day> days,
    Optional<TwinRun> pair,
    Optional<Layout> layout,
    Optional<HeatMap> heat) {

  public Case {
    days = List.copyOf(days);
  }

  /** Returns the duty on a kind of day, if it was run; of two packs both together. */
  Optional<Day> day(Day.Kind kind) {
    return days.stream().filter(d -> d.kind() == kind).findFirst();
  }

  Chain chain() {
    return circuit.chain();
  }

  /** The hottest cell in the duty, K. */
  double hottest() {
    return heat.map(HeatMap::hottest).orElse(own.extremes().peakTemperature());
  }

  Design design() {
    return circuit.design();
  }

  Duty asked() {
    return design().duty();
  }

  Pack pack() {
    return design().pack();
  }

  CellType cell() {
    return pack().cell();
  }

  Guard guard() {
    return design().guard();
  }
}
