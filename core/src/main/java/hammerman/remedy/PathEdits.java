package hammerman.remedy;

import hammerman.finding.Finding;
import hammerman.forecast.Forecast;
import hammerman.guard.Closing;
import hammerman.guard.Connector;
import hammerman.guard.Leads;
import hammerman.guard.Parts;
import hammerman.guard.Switch;
import hammerman.guard.Wiring;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;

/** Edits about wire, switch, connectors and pre-charge. */
final class PathEdits extends Attempt {
  PathEdits(Forecast now, Finding finding, Parts parts) {
    super(now, finding, parts);
  }

  @Override
  void fill() {
    switch (part()) {
      case "wire", "sharedWire" -> wire();
      case "switch" -> mainSwitch();
      case "connector" -> connector();
      case "precharge" -> precharge();
      default -> {}
    }
  }

  private void wire() {
    if (id.endsWith(".figure")) {
      add(
          "Insulation for 105 °C",
          () ->
              with(
                  guard()
                      .withWiring(
                          guard()
                              .wiring()
                              .withWire(
                                  guard().wiring().wire().withInsulationLimit(USUAL_INSULATION)))));
      return;
    }
    if (id.endsWith(".overload") || id.endsWith(".withstand")) {
      mainFuses();
    }
    wireSizes();
    if (id.endsWith(".drop")) {
      double share = 0.5 * finding.measure().limit() / finding.measure().value();
      Leads shorter = guard().wiring().leads().scaled(share);
      add(
          "Leads of " + Figures.of(shorter.main(), Unit.METRE) + " in all",
          () -> with(guard().withWiring(guard().wiring().withLeads(shorter))));
    }
    if (id.endsWith(".effort") || id.endsWith(".current")) {
      mainFuses();
      lowerMachine();
    }
  }

  private void mainSwitch() {
    first(parts.switches(), Switch::name, s -> with(guard().withMainSwitch(s)), "switch.");
    protectedOrLess();
  }

  private void connector() {
    first(
        parts.connectors(),
        Connector::name,
        c -> with(guard().withWiring(guard().wiring().withConnector(c))),
        "connector.");
    protectedOrLess();
  }

  private void protectedOrLess() {
    if (id.endsWith(".overload") || id.endsWith(".withstand")) {
      mainFuses();
    }
    if (id.endsWith(".effort") || id.endsWith(".current")) {
      lowerMachine();
    }
  }

  private void precharge() {
    first(
        parts.prechargers(),
        p -> "Pre-charge through " + p.text(),
        p -> with(guard().withPrecharge(p)),
        "precharge.");
    if (id.equals("precharge.none")) {
      plugs();
    }
  }

  /** Lets a pre-charging plug be what closes the circuit. */
  private void plugs() {
    Wiring w = guard().wiring();
    if (w.connectorPairs() == 0) {
      return;
    }
    List<Connector> soft = new ArrayList<>();
    if (w.connector().sparkProof()) {
      soft.add(w.connector());
    }
    parts.connectors().stream().filter(Connector::sparkProof).forEach(soft::add);
    first(
        soft,
        c -> "Let the plug close the circuit last: " + c.name(),
        c -> with(guard().withWiring(w.withConnector(c)).withClosing(Closing.PLUG)),
        "connector.",
        "precharge.");
  }
}
