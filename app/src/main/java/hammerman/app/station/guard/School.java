package hammerman.app.station.guard;

import hammerman.choice.Selection;
import hammerman.guard.Bms;
import hammerman.guard.BmsClass;
import hammerman.guard.Parts;
import hammerman.guard.Protection;
import hammerman.project.Project;

/** The schools of protection as a choice. */
enum School {
  PATH("In the path"),
  CHARGE("Charge only"),
  NONE("None");

  private final String words;

  School(String words) {
    this.words = words;
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
  Protection apply(Protection now, Project p, Parts parts) {
    return switch (this) {
      case PATH -> new Protection.DischargePath(now.bms().orElseGet(() -> suiting(p, parts)));
      case CHARGE -> new Protection.ChargeOnly(now.bms().orElseGet(() -> suiting(p, parts)));
      case NONE -> new Protection.None();
    };
  }

  private static Bms suiting(Project p, Parts parts) {
    BmsClass any = parts.bms().getFirst();
    Bms plain = any.unit(p.variant().pack().series(), p.variant().pack().cell());
    var design =
        p.design()
            .withGuard(p.variant().guard().withProtection(new Protection.DischargePath(plain)));
    return Selection.of(design, parts).guard().protection().bms().orElse(plain);
  }
}
