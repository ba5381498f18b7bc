package hammerman.choice;

import hammerman.design.Design;
import hammerman.guard.Guard;
import hammerman.guard.Parts;
import java.util.List;

/**
 * A consistent set of parts for a duty: of each kind the weakest that suits, and why. Locked parts
 * stay, and the others are chosen around them. The schools of protection and fusing stay as they
 * are; lengths and counts of connectors too.
 *
 * @param guard the design's guard with the parts chosen
 * @param choices one for each part, in the order of choosing
 */
public record Selection(Guard guard, List<Choice> choices) {

  public Selection {
    choices = List.copyOf(choices);
  }

  /** Chooses parts for a design. */
  public static Selection of(Design design, Parts parts) {
    Draft draft = new Draft(design, parts);
    ChargeSide charge = new ChargeSide(draft);
    LoadSide load = new LoadSide(draft);
    charge.charger();
    load.bms();
    load.fuse();
    load.wire();
    charge.lead();
    load.connector();
    load.mainSwitch();
    load.precharge();
    return draft.done();
  }
}
