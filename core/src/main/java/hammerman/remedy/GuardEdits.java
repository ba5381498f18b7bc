package hammerman.remedy;

import hammerman.finding.Finding;
import hammerman.forecast.Forecast;
import hammerman.guard.BmsClass;
import hammerman.guard.ChargePlan;
import hammerman.guard.ChargePort;
import hammerman.guard.Connector;
import hammerman.guard.Leads;
import hammerman.guard.Parts;
import hammerman.guard.Parts.WireSize;

/** Edits about BMS, main fuse and what charges. */
final class GuardEdits extends Attempt {
  GuardEdits(Forecast now, Finding finding, Parts parts) {
    super(now, finding, parts);
  }

  @Override
  void fill() {
    switch (part()) {
      case "bms" -> bms();
      case "fuse", "lead" -> fuse();
      case "charger", "charge" -> charger();
      case "chargeFuse", "chargeLead", "chargePlug" -> chargePort();
      default -> {}
    }
  }

  private void bms() {
    double limit = finding.measure().limit();
    switch (id) {
      case "bms.none" -> pathBms();
      case "bms.count" -> {
        add(
            "A " + thePack().series() + "-series BMS",
            () ->
                with(
                    guard()
                        .withProtection(
                            guard().protection().withBms(b -> b.withSeries(thePack().series())))));
        bmsClasses();
      }
      case "bms.charge" -> {
        chargers(parts.chargers().reversed());
        bmsClasses();
      }
      case "bms.brake" -> {
        lowerRegeneration();
        bmsClasses();
      }
      case "bms.effort", "bms.current", "bms.trip" -> {
        bmsClasses();
        lowerMachine();
      }
      case "bms.overcharge" -> overVoltage();
      case "bms.interrupted" -> {
        if (guard().charge().voltage() <= thePack().fullVoltage() + 1e-6) {
          overVoltage();
        }
        double most = Math.min(limit, theCell().fullVoltage()) * thePack().series();
        double v = Math.floor(most * 100 + 1e-6) / 100;
        add("Set the charger to " + volts(v), () -> with(charged(v)));
      }
      case "bms.unused" -> {
        double v = BmsClass.cutOffFor(theCell());
        add(
            "Set its cut-off to " + volts(v),
            () ->
                with(
                    guard()
                        .withProtection(
                            guard().protection().withBms(b -> b.withCutOffVoltage(v)))));
      }
      case "bms.sensor" ->
          add(
              "A BMS with a sensor",
              () ->
                  with(
                      guard()
                          .withProtection(
                              guard().protection().withBms(b -> b.withTemperatureSensors(1)))));
      default -> bmsClasses();
    }
  }

  private void overVoltage() {
    double v = rounded(theCell().fullVoltage() + OVER_FULL);
    add(
        "Set its over-voltage to " + volts(v),
        () ->
            with(guard().withProtection(guard().protection().withBms(b -> b.withOverVoltage(v)))));
  }

  private void fuse() {
    if (id.equals("lead.length")) {
      Leads l = guard().wiring().leads();
      double moved = l.packToFuse() - NEAR;
      Leads near = l.withPackToFuse(NEAR).withFuseToSwitch(l.fuseToSwitch() + moved);
      add(
          "Move the fuse to 0.15 m from the pack",
          () -> with(guard().withWiring(guard().wiring().withLeads(near))));
      return;
    }
    mainFuses();
    if (id.equals("fuse.effort") || id.equals("fuse.current")) {
      lowerMachine();
    }
    if (id.equals("fuse.clears")) {
      pathBms();
    }
  }

  private void charger() {
    switch (id) {
      case "charger.match" -> {
        ChargePlan c = guard().charge();
        add(
            "A charger with constant current, then voltage",
            () -> with(guard().withCharge(c.withKind(ChargePlan.Kind.LITHIUM))));
        add(
            "A balancing charger",
            () -> with(guard().withCharge(c.withKind(ChargePlan.Kind.BALANCING))));
      }
      case "charger.time" -> chargers(parts.chargers());
      case "charge.regenerationFull" -> {
        double v = ceiling();
        add("Charge to " + volts(v) + ", 90 %", () -> with(charged(v)));
        bmsClasses();
      }
      default -> {}
    }
  }

  private void chargePort() {
    ChargePort port = guard().chargePort();
    switch (id.substring(0, id.indexOf('.'))) {
      case "chargeFuse" ->
          first(
              Parts.fuses(),
              f -> f.text() + " fuse in the charge lead",
              f ->
                  with(
                      guard()
                          .withChargePort(
                              port.withFuse(f).withBeforeFuse(Math.min(port.beforeFuse(), NEAR)))),
              "chargeFuse.",
              "chargeLead.",
              "chargePlug.");
      case "chargePlug" -> {
        if (id.equals("chargePlug.withstand")) {
          chargeFuses(port);
          fusedPlugs(port);
        }
        plugsOf(port);
      }
      default -> chargeLead(port);
    }
  }

  private void chargeLead(ChargePort port) {
    if (id.equals("chargeLead.length")) {
      add(
          "Move its fuse to 0.15 m from the pack",
          () -> with(guard().withChargePort(port.withBeforeFuse(NEAR))));
      return;
    }
    if (id.equals("chargeLead.figure")) {
      add(
          "Insulation for 105 °C",
          () ->
              with(
                  guard()
                      .withChargePort(
                          port.withWire(port.wire().withInsulationLimit(USUAL_INSULATION)))));
      return;
    }
    first(
        parts.wires(),
        w -> w.name() + " charge lead",
        w -> with(guard().withChargePort(port.withWire(port.wire().withArea(w.area())))),
        "chargeLead.",
        "chargePlug.");
    if (id.equals("chargeLead.withstand")) {
      chargeFuses(port);
    }
    chargers(parts.chargers().reversed());
  }

  /** A smaller charge fuse, with a thicker lead where that is needed too. */
  private void chargeFuses(ChargePort port) {
    first(
        Parts.fuses(),
        f -> f.text() + " fuse in the charge lead",
        f -> with(guard().withChargePort(port.withFuse(f))),
        "chargeFuse.",
        "chargeLead.");
    for (WireSize w : parts.wires()) {
      int had = edits.size();
      ChargePort wider = port.withWire(port.wire().withArea(w.area()));
      if (w.area() > port.wire().area()) {
        first(
            Parts.fuses(),
            f -> f.text() + " fuse and " + w.name() + " charge lead",
            f -> with(guard().withChargePort(wider.withFuse(f))),
            "chargeFuse.",
            "chargeLead.");
      }
      if (edits.size() > had) {
        return;
      }
    }
  }

  /** A smaller charge fuse with a plug that stands what it lets through. */
  private void fusedPlugs(ChargePort port) {
    for (Connector c : parts.connectors()) {
      int had = edits.size();
      first(
          Parts.fuses(),
          f -> f.text() + " fuse in the charge lead, and " + c.name() + " as plug",
          f -> with(guard().withChargePort(port.withPlug(c).withFuse(f))),
          "charge");
      if (edits.size() > had) {
        return;
      }
    }
  }

  private void plugsOf(ChargePort port) {
    first(
        parts.connectors(),
        c -> c.name() + " as charge plug",
        c -> with(guard().withChargePort(port.withPlug(c))),
        "chargePlug.");
    if (id.equals("chargePlug.charge")) {
      chargers(parts.chargers().reversed());
    }
  }
}
