package hammerman.remedy;

import hammerman.cell.CellType;
import hammerman.finding.Finding;
import hammerman.forecast.Forecast;
import hammerman.forecast.StripRemedy;
import hammerman.guard.Fusing;
import hammerman.guard.Parts;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Strip;
import hammerman.pack.TakeOff;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.Comparator;
import java.util.List;

/** Edits about cells: their currents, charging, figures, strips and cell fuses. */
final class CellEdits extends Attempt {
  CellEdits(Forecast now, Finding finding, Parts parts) {
    super(now, finding, parts);
  }

  @Override
  void fill() {
    switch (part()) {
      case "cell" -> cell();
      case "cellFuse" -> cellFuse();
      case "strip", "fit" -> strips();
      default -> {}
    }
  }

  private void cell() {
    double limit = finding.measure().limit();
    switch (id) {
      case "cell.current" -> {
        parallel();
        lowerMachine();
      }
      case "cell.effort", "cell.alone" -> {
        lowerMachine();
        parallel();
      }
      case "cell.brake" -> {
        lowerRegeneration();
        parallel();
      }
      case "cell.brakeCold" ->
          add("Switch regeneration off", () -> withMachine(x -> x.withRegenerationCurrent(0)));
      case "cell.brakeFull" -> {
        double v = ceiling();
        add("Charge to " + volts(v) + ", 90 %", () -> with(charged(v)));
        pathBms();
        add("Switch regeneration off", () -> withMachine(x -> x.withRegenerationCurrent(0)));
      }
      case "cell.low" -> low(limit);
      case "cell.overload", "cell.withstand" -> {
        mainFuses();
        bmsClasses();
        parallel();
      }
      case "cell.charge" -> {
        chargers(parts.chargers().reversed());
        parallel();
      }
      case "cell.overcharge" -> {
        double s = thePack().series();
        double most =
            Math.min(s * theCell().fullVoltage(), s * limit / (1 + guard().charge().tolerance()));
        double v = Math.floor(most * 100 + 1e-6) / 100;
        add("Set the charger to " + volts(v), () -> with(charged(v)));
      }
      case "cell.undercharge" -> {
        double v = Math.floor(thePack().fullVoltage() * 100 + 1e-6) / 100;
        add("Set the charger to " + volts(v), () -> with(charged(v)));
      }
      case "cell.chargeCold" ->
          add(
              "Charge at " + Figures.of(limit, Unit.CELSIUS, 0) + " or more",
              () ->
                  withDuty(
                      d ->
                          d.withSurroundings(
                              d.surroundings()
                                  .withHottestCharging(
                                      Math.max(limit, d.surroundings().hottestCharging()))
                                  .withColdestCharging(limit))));
      case "cell.chargeHot" ->
          add(
              "Charge at " + Figures.of(limit, Unit.CELSIUS, 0) + " or less",
              () ->
                  withDuty(
                      d ->
                          d.withSurroundings(
                              d.surroundings()
                                  .withColdestCharging(
                                      Math.min(limit, d.surroundings().coldestCharging()))
                                  .withHottestCharging(limit))));
      case "cell.cold" ->
          add(
              "Keep it at " + Figures.of(limit, Unit.CELSIUS, 0) + " or more in use",
              () ->
                  withDuty(
                      d ->
                          d.withSurroundings(
                              d.surroundings()
                                  .withHottestInUse(
                                      Math.max(limit, d.surroundings().hottestInUse()))
                                  .withColdestInUse(limit))));
      default -> figures(limit);
    }
  }

  private void low(double limit) {
    if (guard().protection().inDischargePath().isPresent()) {
      double v = Math.ceil(limit * 20 - 1e-9) / 20;
      add(
          "Set the cut-off of the BMS to " + volts(v),
          () ->
              with(
                  guard()
                      .withProtection(guard().protection().withBms(b -> b.withCutOffVoltage(v)))));
      return;
    }
    double ratio = limit / finding.measure().value();
    double v = Math.ceil(design.duty().machine().cutOutVoltage() * ratio * 10 - 1e-6) / 10;
    double least = v > 0 ? v : Math.ceil(thePack().cutOffVoltage() * 10) / 10;
    add(
        "Set the machine's cut-out to " + Figures.of(least, Unit.VOLT, 1),
        () -> withMachine(x -> x.withCutOutVoltage(least)));
    pathBms();
  }

  private void figures(double limit) {
    CellType c = theCell();
    switch (id) {
      case "cell.figure" -> {
        double v = Math.min(limit, c.chemistry().openCircuit().value(1) + OVER_FULL);
        double full = Math.round(v * 100) / 100.0;
        double nominal = Math.min(c.nominalVoltage(), full - 0.05);
        add(
            "Full at " + volts(full),
            () -> withCell(c.withNominalVoltage(nominal).withFullVoltage(full)));
      }
      case "cell.figureLow" ->
          add("Cut-off at " + volts(limit), () -> withCell(c.withCutOffVoltage(limit)));
      case "cell.figureCold" ->
          add(
              "Charge from " + Figures.of(limit, Unit.CELSIUS, 0),
              () -> withCell(c.withTemperatures(c.temperatures().withChargeLowest(limit))));
      case "cell.figureHot" ->
          add(
              "At most " + Figures.of(limit, Unit.CELSIUS, 0),
              () -> withCell(c.withTemperatures(c.temperatures().withDischargeHighest(limit))));
      default -> {}
    }
  }

  private void cellFuse() {
    if (!(guard().fusing() instanceof Fusing.MainAndCells f)) {
      return;
    }
    double ratio = finding.measure().limit() / finding.measure().value();
    double each =
        id.equals("cellFuse.clears")
            ? Math.max(0.5, Math.floor(f.cellRating() * ratio * 2) / 2)
            : Math.ceil(f.cellRating() / ratio * 2) / 2;
    add(
        "Cell fuses of " + Figures.compact(each) + " A",
        () -> with(guard().withFusing(new Fusing.MainAndCells(f.fuse(), each))));
    if (id.equals("cellFuse.effort")) {
      lowerMachine();
    }
  }

  private void strips() {
    Strip s = thePack().strip();
    if (!second) {
      StripRemedy.of(now).forEach(m -> edits.add(new Edit(m.what(), m.design())));
      if (now.layout().isPresent() && id.equals("strip.current")) {
        bars(s);
      }
    }
    List<Strip> sold =
        parts.strips().stream().sorted(Comparator.comparingDouble(Strip::ampacity)).toList();
    first(sold, t -> t.text() + " strip", t -> with(thePack().withStrip(t)), "strip.");
    for (int n : new int[] {2, 3, 4}) {
      int layers = Math.min(20, s.layers() * n);
      add(layers + " layers of strip", () -> with(thePack().withStrip(s.withLayers(layers))));
    }
    add(
        "Copper of 0.2 mm with steel",
        () ->
            with(
                thePack()
                    .withStrip(new Strip(ConductorMaterial.COPPER, 0.2e-3, s.width(), 1, 0.1e-3))));
    if (id.equals("strip.overload") || id.equals("strip.withstand")) {
      mainFuses();
    }
    if (id.equals("strip.current") || id.equals("strip.effort")) {
      lowerMachine();
    }
  }

  /** Copper with a bar over the end groups. */
  private void bars(Strip s) {
    var fit = design.fit();
    if (fit == null) {
      return;
    }
    Strip copper = new Strip(ConductorMaterial.COPPER, 0.2e-3, s.width(), 1, 0.1e-3);
    add(
        "Copper with steel everywhere, and a bar over the end groups",
        () ->
            design
                .withPack(design.pack().withStrip(copper))
                .withFit(fit.withConductors(fit.conductors().withTakeOff(TakeOff.WHOLE_GROUP))));
  }
}
