package hammerman.judgement;

import hammerman.cell.CellType;
import hammerman.chain.Chain;
import hammerman.chain.Layout;
import hammerman.design.Design;
import hammerman.duty.Duty;
import hammerman.guard.Guard;
import hammerman.heat.HeatMap;
import hammerman.pack.Pack;
import hammerman.simulation.Run;
import java.util.Optional;

/**
 * What a rule looks at.
 *
 * @param chain the chain of ratings, with its design
 * @param duty the duty, run from the charge ceiling in the hottest air
 * @param layout the layout in the box, if it is known
 * @param heat temperatures of its cells through the duty, if it is known
 */
public record Case(Chain chain, Run duty, Optional<Layout> layout, Optional<HeatMap> heat) {
  /** The highest voltage the pack is charged to or could reach, V. */
  double highestVoltage() {
    return Math.max(guard().charge().voltage(), pack().fullVoltage());
  }

  /** The hottest cell in the duty, K. */
  double hottest() {
    return heat.map(HeatMap::hottest).orElse(duty.extremes().peakTemperature());
  }

  Design design() {
    return chain.design();
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
