package hammerman.build;

import hammerman.build.PartItem.Kind;
import hammerman.cell.CellFormat;
import hammerman.guard.Fusing;
import hammerman.pack.Strip;
import hammerman.template.BalanceLead;
import hammerman.template.CutList;
import hammerman.template.Work;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.Optional;

/** Cells, strips, paper and balance leads of one pack. */
final class CellParts {
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
  private final PartEntries parts;

  CellParts(Ground on, PartEntries parts) {
    this.on = on;
    this.parts = parts;
  }

  void add() {
    cells();
    conductors();
    insulation();
    balance();
  }

  private void cells() {
    int n = on.pack().cells();
    boolean there = on.pack().matched().isPresent();
    double spare = there ? 0 : Math.ceil(n * (on.reclaimed() ? SPARE_USED : SPARE_NEW));
    parts.pieces(
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
      parts.pieces(
          "rings",
          Kind.INSULATION,
          "Insulating ring for the positive end",
          n,
          Math.ceil(n * 0.05),
          0.02,
          0.0001,
          Stage.CELLS);
      parts.pieces(
          "holders",
          Kind.INSULATION,
          "Cell holder, one place, for both ends",
          2.0 * n,
          4,
          0.06,
          0.0022,
          Stage.CELLS);
    } else {
      parts.pieces(
          "plates",
          Kind.INSULATION,
          "End plate for the stack of cells",
          2,
          0,
          3.0,
          0.15,
          Stage.CELLS);
      parts.pieces(
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
      parts.pieces(
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
    parts.add(
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
    parts.add(
        "paper",
        Kind.INSULATION,
        "Insulating paper, both faces twice",
        paper,
        0.3 * paper,
        "m²",
        12.0,
        PAPER_MASS,
        Stage.INSULATION);
    parts.add(
        "tape", Kind.INSULATION, "Polyimide tape, roll", 1, 0, "pcs", 4.0, 0.02, Stage.INSULATION);
    parts.add(
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
    parts.add(
        "balance.wire",
        Kind.WIRING,
        "Balance wire, 0.2 mm², %d leads in colours you can tell apart".formatted(on.series() + 1),
        metres,
        0.1 * metres,
        "m",
        0.25,
        BALANCE_MASS,
        Stage.BALANCE);
    parts.pieces(
        "balance.plug",
        Kind.WIRING,
        "Balance plug, %d contacts, and its other half".formatted(on.series() + 1),
        1,
        1,
        1.5,
        0.005,
        Stage.BALANCE);
  }
}
