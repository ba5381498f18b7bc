package hammerman.remedy;

import hammerman.finding.Finding;
import hammerman.forecast.Forecast;
import hammerman.guard.Parts;
import java.util.List;

/** Edits that may cure a finding, the usual first; whether they do is found by trying. */
final class Edits {
  private Edits() {}

  static List<Edit> of(Forecast now, Finding finding, Parts parts) {
    String id = finding.id().replaceFirst("^second\\.", "");
    return switch (id.substring(0, id.indexOf('.'))) {
      case "cell", "cellFuse", "strip", "fit" -> new CellEdits(now, finding, parts).edits();
      case "bms", "fuse", "lead", "charger", "charge", "chargeFuse", "chargeLead", "chargePlug" ->
          new GuardEdits(now, finding, parts).edits();
      case "wire", "sharedWire", "switch", "connector", "precharge" ->
          new PathEdits(now, finding, parts).edits();
      case "machine", "junction", "pack", "readyMade", "duty" ->
          new DutyEdits(now, finding, parts).edits();
      default -> List.of();
    };
  }
}
