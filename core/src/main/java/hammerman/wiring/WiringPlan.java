package hammerman.wiring;

import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.guard.ChargePort;
import hammerman.guard.Guard;
import hammerman.guard.Leads;
import hammerman.guard.Wire;
import hammerman.guard.Wiring;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Every lead with its length, its loss and its ends, and what must be bought.
 *
 * <p>Loss and heat at the duty's continuous current (charge leads: at the charger's), at the
 * hottest in use. Lengths are cut longer by the slack. Connector halves: the side that stays live
 * when parted, the pack's, gets the half whose contacts cannot be touched.
 *
 * @param runs the leads in the order of the current
 * @param totals wire to buy by kind, m
 * @param drop voltage lost in the main circuit with its connectors, V
 */
public record WiringPlan(List<Run> runs, Map<String, Double> totals, double drop) {
  public WiringPlan {
    runs = List.copyOf(runs);
    totals = Collections.unmodifiableMap(new LinkedHashMap<>(totals));
  }

  /**
   * One lead.
   *
   * @param from where it begins
   * @param to where it ends
   * @param positive whether it belongs to the positive side
   * @param wire what it is made of
   * @param length to cut, m
   * @param drop voltage lost in it, V
   * @param heat made in it, W
   * @param ends what its ends carry
   */
  public record Run(
      String from,
      String to,
      boolean positive,
      Wire wire,
      double length,
      double drop,
      double heat,
      String ends) {}

  /** Works the plan out. */
  public static WiringPlan of(Chain chain) {
    Design design = chain.design();
    Guard guard = design.guard();
    Wiring w = guard.wiring();
    Leads l = w.leads();
    double main = chain.demand().continuous();
    ChargePort port = guard.chargePort();
    double charger = guard.charge().current();
    double hottest = design.duty().surroundings().hottestInUse();
    boolean bms = guard.protection().bms().isPresent();
    boolean path = guard.protection().inDischargePath().isPresent();
    boolean fused = guard.fuse().isPresent();
    boolean switched = guard.mainSwitch() != null;
    String plug = w.connectorPairs() > 0 ? w.connector().name() : "";
    List<Run> runs = new ArrayList<>();
    Maker m = new Maker(w, port.wire(), hottest, runs);
    String afterPack = fused ? "Main fuse" : switched ? "Switch" : "Machine +";
    m.main(
        "Pack +",
        afterPack,
        true,
        l.packToFuse() + (fused ? 0 : l.fuseToSwitch() + (switched ? 0 : l.switchToMachine())),
        main,
        fused || switched ? "lug, lug" : "lug, " + half(plug, true));
    if (fused) {
      m.main(
          "Main fuse",
          switched ? "Switch" : "Machine +",
          true,
          l.fuseToSwitch() + (switched ? 0 : l.switchToMachine()),
          main,
          switched ? "lug, lug" : "lug, " + half(plug, true));
    }
    if (switched) {
      m.main("Switch", "Machine +", true, l.switchToMachine(), main, "lug, " + half(plug, true));
    }
    m.main(
        "Machine −",
        path ? "BMS output" : "Pack −",
        false,
        l.machineToBms() + (path ? 0 : l.bmsToPack()),
        main,
        half(plug, false) + ", lug");
    if (path) {
      m.main("BMS battery side", "Pack −", false, l.bmsToPack(), main, "lug, lug");
    }
    m.charge("Charge port +", "Pack +", true, port.length(), charger);
    m.charge(
        "Charge port −",
        bms ? (path ? "BMS output" : "BMS charge input") : "Pack −",
        false,
        port.length(),
        charger);
    Map<String, Double> totals = new LinkedHashMap<>();
    for (Run r : runs) {
      totals.merge(
          r.wire().text() + (r.positive() ? ", positive" : ", negative"), r.length(), Double::sum);
    }
    return new WiringPlan(
        runs,
        totals,
        main * (w.resistance(l.main(), hottest) + w.connectorPairs() * w.connector().resistance()));
  }

  private static String half(String plug, boolean positive) {
    return plug.isEmpty()
        ? "lug"
        : "socket half on the pack's side, plug half on the machine's, "
            + (positive ? "positive" : "negative");
  }

  private record Maker(Wiring wiring, Wire chargeWire, double kelvin, List<Run> runs) {
    void main(
        String from, String to, boolean positive, double length, double current, String ends) {
      add(from, to, positive, wiring.wire(), length, current, ends);
    }

    void charge(String from, String to, boolean positive, double length, double current) {
      add(from, to, positive, chargeWire, length, current, "port, lug");
    }

    private void add(
        String from,
        String to,
        boolean positive,
        Wire wire,
        double length,
        double current,
        String ends) {
      double cut = length * (1 + wiring.slack());
      double r = wire.resistance(cut, kelvin);
      runs.add(new Run(from, to, positive, wire, cut, current * r, current * current * r, ends));
    }
  }
}
