package hammerman.build;

import hammerman.build.PartItem.Kind;
import hammerman.guard.Closing;
import hammerman.guard.Connector;
import hammerman.guard.Fuse;
import hammerman.guard.Guard;
import hammerman.guard.Precharge;
import hammerman.guard.Wire;
import hammerman.guard.Wiring;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import hammerman.wiring.WiringPlan;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;

/** Protection, wires, switch and charger of one pack. */
final class WiringParts {
  private final Ground on;
  private final PartEntries parts;

  WiringParts(Ground on, PartEntries parts) {
    this.on = on;
    this.parts = parts;
  }

  void add(boolean machineSide) {
    protection();
    wires(machineSide);
    if (machineSide) {
      closing();
    }
    charging();
  }

  private void protection() {
    Guard g = on.guard();
    on.bms()
        .ifPresent(
            b ->
                parts.pieces(
                    "bms",
                    Kind.PROTECTION,
                    "BMS, %d groups, %s for long, opens at %s"
                        .formatted(
                            b.series(),
                            Figures.of(b.continuousCurrent(), Unit.AMPERE),
                            Figures.of(b.overCurrent(), Unit.AMPERE)),
                    1,
                    0,
                    Typical.bmsPrice(b),
                    Typical.bmsMass(b),
                    Stage.PROTECTION));
    g.fuse()
        .ifPresent(
            f -> fuse("fuse.main", "Main fuse", "Holder for the main fuse", f, Stage.WIRING));
    Fuse charge = g.chargePort().fuse();
    if (charge != null) {
      fuse("fuse.charge", "Charge fuse", "Holder for the charge fuse", charge, Stage.WIRING);
    }
  }

  private void fuse(String key, String name, String holder, Fuse f, Stage needed) {
    parts.pieces(key + ".holder", Kind.PROTECTION, holder, 1, 0, 4.0, 0.03, needed);
    parts.pieces(
        key,
        Kind.PROTECTION,
        name + ", " + f.text() + ", " + Figures.of(f.voltageRating(), Unit.VOLT) + " DC",
        1,
        2,
        Typical.fusePrice(f.rating(), f.kind().interruptRating()),
        0.015,
        Stage.POWER);
  }

  private void wires(boolean machineSide) {
    Map<String, Double> metres = new LinkedHashMap<>();
    Map<String, Wire> wires = new LinkedHashMap<>();
    Map<String, Integer> lugs = new LinkedHashMap<>();
    for (WiringPlan.Run run : on.wiring().runs()) {
      if (machineSide || WiringSteps.ofThePack(run)) {
        String name = run.wire().text() + ", " + (run.positive() ? "red" : "black");
        metres.merge(name, run.length(), Double::sum);
        wires.putIfAbsent(name, run.wire());
        lugs.merge(run.wire().text(), run.ends().split("lug", -1).length - 1, Integer::sum);
      }
    }
    int k = 1;
    for (Map.Entry<String, Wire> e : wires.entrySet()) {
      double m = metres.getOrDefault(e.getKey(), 0.0);
      Wire w = e.getValue();
      parts.add(
          "wire." + k++,
          Kind.WIRING,
          "Wire, " + e.getKey(),
          m,
          Math.max(0.2, 0.1 * m),
          "m",
          Typical.wirePrice(w),
          Typical.wireMass(w),
          Stage.WIRING);
    }
    int n = 1;
    for (Map.Entry<String, Integer> e : lugs.entrySet()) {
      parts.pieces(
          "lugs." + n++,
          Kind.WIRING,
          "Crimp lug for " + e.getKey() + ", with screw, spring washer and sleeve",
          e.getValue(),
          Math.max(2, Math.ceil(0.2 * e.getValue())),
          0.5,
          0.006,
          Stage.WIRING);
    }
    if (machineSide) {
      connectors();
    }
  }

  private void connectors() {
    Wiring w = on.guard().wiring();
    Connector c = w.connector();
    parts.pieces(
        "connector.sockets",
        Kind.WIRING,
        c.name() + ", socket half, pack's side",
        w.connectorPairs(),
        w.connectorPairs() > 0 ? 1 : 0,
        Typical.connectorPrice(c.continuous()) / 2,
        Typical.connectorMass(c.continuous()) / 2,
        Stage.WIRING);
    parts.pieces(
        "connector.plugs",
        Kind.WIRING,
        c.name() + ", plug half, machine's side",
        w.connectorPairs(),
        w.connectorPairs() > 0 ? 1 : 0,
        Typical.connectorPrice(c.continuous()) / 2,
        Typical.connectorMass(c.continuous()) / 2,
        Stage.WIRING);
  }

  private void closing() {
    Guard g = on.guard();
    if (g.mainSwitch() != null) {
      var s = g.mainSwitch();
      parts.pieces(
          "switch",
          Kind.PROTECTION,
          s.name()
              + ", "
              + Figures.of(s.continuous(), Unit.AMPERE)
              + ", "
              + Figures.of(s.voltageRating(), Unit.VOLT)
              + " DC",
          1,
          0,
          Typical.switchPrice(s.continuous()),
          Typical.switchMass(s.continuous()),
          Stage.WIRING);
    }
    if (g.closing() == Closing.CONTACTOR) {
      parts.pieces(
          "contactor",
          Kind.PROTECTION,
          "Contactor for direct current, with its coil's diode",
          1,
          0,
          40.0,
          0.4,
          Stage.WIRING);
    }
    Precharge p = g.precharge();
    if (p != null) {
      parts.pieces(
          "precharge",
          Kind.PROTECTION,
          "Pre-charge resistor, wire-wound, " + p.text(),
          1,
          1,
          1.0,
          0.01,
          Stage.WIRING);
      parts.pieces(
          "precharge.button",
          Kind.PROTECTION,
          "Push button for the pre-charge",
          1,
          0,
          2.5,
          0.015,
          Stage.WIRING);
    }
  }

  private void charging() {
    Guard g = on.guard();
    Connector plug = g.chargePort().plug();
    if (plug != null) {
      parts.pieces(
          "charge.plug",
          Kind.CHARGING,
          plug.name() + ", both halves, for the charge port, with a cap",
          1,
          1,
          Typical.connectorPrice(plug.continuous()),
          Typical.connectorMass(plug.continuous()),
          Stage.WIRING);
    }
    var c = g.charge();
    parts.pieces(
        "charger",
        Kind.CHARGING,
        "Charger, %s, %s (%s)"
            .formatted(
                Figures.of(c.voltage(), Unit.VOLT, 1),
                Figures.of(c.current(), Unit.AMPERE),
                c.kind().label().toLowerCase(Locale.ROOT)),
        1,
        0,
        Typical.chargerPrice(c),
        0,
        Stage.SETTINGS);
  }
}
