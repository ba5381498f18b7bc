package hammerman.guard;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * The lengths of the leads as they will lie, without slack, m.
 *
 * @param packToFuse from the pack's positive end to the main fuse
 * @param fuseToSwitch from the fuse to the switch
 * @param switchToMachine from the switch to the machine's positive input
 * @param machineToBms from the machine's negative input back to the BMS, or the pack without one
 * @param bmsToPack from the BMS to the pack's negative end
 */
@RecordBuilder
public record Leads(
    @In(Unit.METRE) double packToFuse,
    @In(Unit.METRE) double fuseToSwitch,
    @In(Unit.METRE) double switchToMachine,
    @In(Unit.METRE) double machineToBms,
    @In(Unit.METRE) double bmsToPack)
    implements LeadsBuilder.With {
  private static final double LONGEST = 100;

  public Leads {
    Valid.range("Lead from pack to fuse", packToFuse, 0, LONGEST, Unit.METRE);
    Valid.range("Lead from fuse to switch", fuseToSwitch, 0, LONGEST, Unit.METRE);
    Valid.range("Lead from switch to machine", switchToMachine, 0, LONGEST, Unit.METRE);
    Valid.range("Lead from machine to BMS", machineToBms, 0, LONGEST, Unit.METRE);
    Valid.range("Lead from BMS to pack", bmsToPack, 0, LONGEST, Unit.METRE);
  }

  /** Returns the length of the main circuit, out and back, m. */
  public double main() {
    return own() + shared();
  }

  /** Returns the length on the pack's side of the switch, m. */
  public double own() {
    return packToFuse + fuseToSwitch + bmsToPack;
  }

  /** Returns the length from the switch to the machine and back, m. */
  public double shared() {
    return switchToMachine + machineToBms;
  }

  /** Returns these leads longer or shorter by a factor. */
  public Leads scaled(double factor) {
    return new Leads(
        packToFuse * factor,
        fuseToSwitch * factor,
        switchToMachine * factor,
        machineToBms * factor,
        bmsToPack * factor);
  }
}
