package hammerman.app.station.guard;

import hammerman.choice.Selection;
import hammerman.guard.Bms;
import hammerman.guard.BmsClass;
import hammerman.guard.Parts;
import hammerman.guard.Protection;
import hammerman.pack.Pack;
import hammerman.project.Project;

/** The schools of protection as a choice. */
enum School {
  PATH(
      "In the path",
      "The BMS carries every ampere of the duty and opens for a fault of any group.",
      "Its switches must carry the duty and block the full voltage; it costs some voltage."),
  CHARGE(
      "Charge only",
      "A small BMS guards the charge; the machine's cut-out must end every discharge.",
      "Given up: nothing sees one weak group run empty. Cut-out and main fuse must do."),
  NONE(
      "None",
      "A charger that balances and reads every group, the machine's cut-out, and the fuse stand"
          + " in.",
      "Given up: every watch over single groups between charges. Check them by meter, often.");

  private final String words;
  private final String holds;
  private final String costs;

  School(String words, String holds, String costs) {
    this.words = words;
    this.holds = holds;
    this.costs = costs;
  }

  /** Says what the school rests on. */
  String holds() {
    return holds;
  }

  /** Says what must be true for it, and what is given up. */
  String costs() {
    return costs;
  }

  String words() {
    return words;
  }

  static School of(Protection protection) {
    return switch (protection) {
      case Protection.DischargePath p -> PATH;
      case Protection.ChargeOnly p -> CHARGE;
      case Protection.None n -> NONE;
    };
  }

  /** Goes over to this school, keeping the BMS or taking one that suits the pack. */
  Protection apply(Protection now, Pack pack, Project p, Parts parts) {
    return switch (this) {
      case PATH -> new Protection.DischargePath(now.bms().orElseGet(() -> suiting(pack, p, parts)));
      case CHARGE -> new Protection.ChargeOnly(now.bms().orElseGet(() -> suiting(pack, p, parts)));
      case NONE -> new Protection.None();
    };
  }

  private static Bms suiting(Pack pack, Project p, Parts parts) {
    BmsClass any = parts.bms().getFirst();
    Bms plain = any.unit(pack.series(), pack.cell());
    var design =
        p.design()
            .withPack(pack)
            .withSecond(null)
            .withGuard(p.variant().guard().withProtection(new Protection.DischargePath(plain)));
    return Selection.of(design, parts).guard().protection().bms().orElse(plain);
  }
}
