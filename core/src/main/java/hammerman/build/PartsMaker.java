package hammerman.build;

import hammerman.build.PartItem.Kind;
import hammerman.cell.CellFormat;
import hammerman.design.SecondPack;
import hammerman.guard.Closing;
import hammerman.guard.Connector;
import hammerman.guard.Fuse;
import hammerman.guard.Fusing;
import hammerman.guard.Guard;
import hammerman.guard.Precharge;
import hammerman.guard.Wire;
import hammerman.guard.Wiring;
import hammerman.pack.Strip;
import hammerman.template.BalanceLead;
import hammerman.template.CutList;
import hammerman.template.Work;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import hammerman.wiring.WiringPlan;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Lists the parts of one pack. */
final class PartsMaker {
  /** Of new cells some arrive dented or dead; typical. */
  private static final double SPARE_NEW = 0.02;

  /** Of used cells one in ten fails its tests; typical. */
  private static final double SPARE_USED = 0.1;

  /** Balance leads of a pack that is not laid out: its largest side, and a tail, m. */
  private static final double TAIL = 0.1;

  /** Balance wire of 0.2 mm² with its sleeve, kg/m; typical. */
  private static final double BALANCE_MASS = 0.004;

  /** Insulating paper, kg/m²; 0.25 mm, typical. */
  private static final double PAPER_MASS = 0.3;

  private final Ground on;
  private final String prefix;
  private final List<PartItem> all;

  PartsMaker(Ground on, String prefix, List<PartItem> all) {
    this.on = on;
    this.prefix = prefix;
    this.all = all;
  }

  void pack() {
    cells();
    conductors();
    insulation();
    balance();
    protection();
    wires(true);
    closing();
    charging();
  }

  /** What a second pack needs up to the junction. */
  void second(SecondPack.Joining joining) {
    cells();
    conductors();
    insulation();
    balance();
    protection();
    wires(false);
    charging();
    switch (joining) {
      case DIODES ->
          pieces(
              "combiner",
              Kind.PROTECTION,
              "Combiner or diodes for both packs' current",
              1,
              0,
              18.0,
              0.15,
              Stage.PACKS);
      case SWITCH_OVER ->
          pieces(
              "change-over",
              Kind.PROTECTION,
              "Change-over switch, break before make, for direct current",
              1,
              0,
              25.0,
              0.3,
              Stage.PACKS);
      case SERIES, PARALLEL ->
          pieces(
              "junction",
              Kind.WIRING,
              "Junction lead for both packs, with connector halves",
              1,
              0,
              6.0,
              0.08,
              Stage.PACKS);
    }
  }

  static void tools(boolean high, List<PartItem> all) {
    tool(all, "tool.meter", "Multimeter with fine tips", Stage.BENCH);
    tool(all, "tool.insulated", "Insulated screwdrivers, cutters and wrench", Stage.BENCH);
    tool(all, "tool.eyes", "Eye protection", Stage.BENCH);
    tool(all, "tool.sand", "Metal bucket with dry sand", Stage.BENCH);
    tool(all, "tool.crimp", "Crimping tool for the lugs", Stage.WIRING);
    tool(all, "tool.thermometer", "Thermometer", Stage.CHARGE);
    if (high) {
      tool(all, "tool.gloves", "Insulating gloves, class 0, in date", Stage.BENCH);
    }
  }

  private static void tool(List<PartItem> all, String key, String name, Stage needed) {
    all.add(new PartItem(key, Kind.TOOLS, name, 1, 0, "pcs", null, 0, needed));
  }

  private void pieces(
      String key,
      Kind kind,
      String name,
      double quantity,
      double spare,
      @Nullable Double price,
      double mass,
      Stage needed) {
    add(key, kind, name, quantity, spare, "pcs", price, mass, needed);
  }

  private void add(
      String key,
      Kind kind,
      String name,
      double quantity,
      double spare,
      String unit,
      @Nullable Double price,
      double mass,
      Stage needed) {
    if (quantity > 0) {
      all.add(new PartItem(prefix + key, kind, name, quantity, spare, unit, price, mass, needed));
    }
  }

  private void cells() {
    int n = on.pack().cells();
    boolean there = on.pack().matched().isPresent();
    double spare = there ? 0 : Math.ceil(n * (on.reclaimed() ? SPARE_USED : SPARE_NEW));
    pieces(
        "cells",
        Kind.CELLS,
        on.cell().name()
            + ", "
            + Figures.of(on.cell().capacity(), Unit.AMPERE_HOUR)
            + (there ? ", measured and matched" : ""),
        n,
        spare,
        on.cell().price(),
        on.cell().mass(),
        Stage.CELLS);
    if (on.cell().format() instanceof CellFormat.Cylinder) {
      pieces(
          "rings",
          Kind.INSULATION,
          "Insulating ring for the positive end",
          n,
          Math.ceil(n * 0.05),
          0.02,
          0.0001,
          Stage.CELLS);
      pieces(
          "holders",
          Kind.INSULATION,
          "Cell holder, one place, for both ends",
          2.0 * n,
          4,
          0.06,
          0.0022,
          Stage.CELLS);
    } else {
      pieces(
          "plates",
          Kind.INSULATION,
          "End plate for the stack of cells",
          2,
          0,
          3.0,
          0.15,
          Stage.CELLS);
      pieces(
          "foam",
          Kind.INSULATION,
          "Foam pad between cells",
          Math.max(1, n - 1),
          2,
          0.3,
          0.004,
          Stage.CELLS);
    }
  }

  private void conductors() {
    Optional<Work> work = on.work();
    if (work.isPresent()) {
      int k = 1;
      for (CutList.Row row : CutList.of(work.get()).rows()) {
        double metres = row.total() * row.strip().layers();
        strip(
            "strip." + k++,
            row.strip(),
            metres,
            row.stock() * CutList.STOCK - metres,
            row.mass() / Math.max(1e-9, row.total()) / row.strip().layers());
      }
    } else {
      // One strip from each cell to its neighbour in the next group, and one at each end.
      double metres =
          (on.series() + 1)
              * on.pack().parallel()
              * on.cell().format().pitch()
              * on.pack().strip().layers();
      strip(
          "strip.1",
          on.pack().strip(),
          metres,
          Math.max(0.1, 0.15 * metres),
          on.pack().strip().mass(1) / on.pack().strip().layers());
    }
    if (on.guard().fusing() instanceof Fusing.MainAndCells f) {
      pieces(
          "cell-fuses",
          Kind.CONDUCTORS,
          "Cell fuse of " + Figures.of(f.cellRating(), Unit.AMPERE),
          on.pack().cells(),
          Math.ceil(0.1 * on.pack().cells()),
          0.1,
          0.0002,
          Stage.JOINING);
    }
  }

  private void strip(String key, Strip strip, double metres, double spare, double mass) {
    add(
        key,
        Kind.CONDUCTORS,
        "Strip, " + strip.withLayers(1).text(),
        metres,
        Math.max(spare, 0.05 * metres),
        "m",
        Typical.stripPrice(strip.withLayers(1)),
        mass,
        Stage.JOINING);
  }

  private void insulation() {
    double face = 2 * on.pack().cells() * on.cell().format().packedFootprint();
    double paper = 2 * face;
    add(
        "paper",
        Kind.INSULATION,
        "Insulating paper, both faces twice",
        paper,
        0.3 * paper,
        "m²",
        12.0,
        PAPER_MASS,
        Stage.INSULATION);
    add("tape", Kind.INSULATION, "Polyimide tape, roll", 1, 0, "pcs", 4.0, 0.02, Stage.INSULATION);
    add(
        "wrap",
        Kind.INSULATION,
        "Outer sleeve or box liner",
        on.pack().surface(),
        0.2 * on.pack().surface(),
        "m²",
        8.0,
        0.35,
        Stage.INSULATION);
  }

  private void balance() {
    List<BalanceLead> leads = on.balanceLeads();
    double metres =
        leads.isEmpty()
            ? (on.series() + 1) * (TAIL + Math.cbrt(on.pack().volume()))
            : leads.stream().mapToDouble(BalanceLead::length).sum();
    add(
        "balance.wire",
        Kind.WIRING,
        "Balance wire, 0.2 mm², %d leads in colours you can tell apart".formatted(on.series() + 1),
        metres,
        0.1 * metres,
        "m",
        0.25,
        BALANCE_MASS,
        Stage.BALANCE);
    pieces(
        "balance.plug",
        Kind.WIRING,
        "Balance plug, %d contacts, and its other half".formatted(on.series() + 1),
        1,
        1,
        1.5,
        0.005,
        Stage.BALANCE);
  }

  private void protection() {
    Guard g = on.guard();
    on.bms()
        .ifPresent(
            b ->
                pieces(
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
    pieces(key + ".holder", Kind.PROTECTION, holder, 1, 0, 4.0, 0.03, needed);
    pieces(
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
      add(
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
      pieces(
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
    pieces(
        "connector.sockets",
        Kind.WIRING,
        c.name() + ", socket half, pack's side",
        w.connectorPairs(),
        w.connectorPairs() > 0 ? 1 : 0,
        Typical.connectorPrice(c.continuous()) / 2,
        Typical.connectorMass(c.continuous()) / 2,
        Stage.WIRING);
    pieces(
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
      pieces(
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
      pieces(
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
      pieces(
          "precharge",
          Kind.PROTECTION,
          "Pre-charge resistor, wire-wound, " + p.text(),
          1,
          1,
          1.0,
          0.01,
          Stage.WIRING);
      pieces(
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
      pieces(
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
    pieces(
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
