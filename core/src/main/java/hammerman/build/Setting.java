package hammerman.build;

import hammerman.forecast.Forecast;
import hammerman.guard.Bms;
import hammerman.guard.Guard;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;

/**
 * A figure to set in a device before first power.
 *
 * @param device it is set in
 * @param name of the setting, in plain words
 * @param value to set, with its unit
 * @param why where it comes from
 */
public record Setting(String device, String name, String value, String why) {
  private static final String MACHINE = "Machine's controller";
  private static final String CHARGER = "Charger";
  private static final String METER = "Battery meter";

  /** Full for a meter is a little less than what the charge ends at, V a cell; usual practice. */
  private static final double METER_MARGIN = 0.02;

  /** Returns the settings of a design, device by device. */
  public static List<Setting> of(Forecast forecast) {
    List<Setting> all = new ArrayList<>();
    machine(forecast, all);
    charger(forecast, all);
    meter(forecast, all);
    forecast.design().guard().protection().bms().ifPresent(b -> bms(b, all));
    return List.copyOf(all);
  }

  private static void machine(Forecast f, List<Setting> all) {
    var design = f.design();
    var machine = design.duty().machine();
    Guard guard = design.guard();
    double full = f.chain().supply().highest();
    all.add(
        new Setting(
            MACHINE,
            "Full voltage",
            Figures.of(full, Unit.VOLT, 1),
            "the pack rested, every cell full; the machine stands %s"
                .formatted(Figures.of(machine.maximumVoltage(), Unit.VOLT))));
    double cut =
        Math.max(
            machine.cutOutVoltage(),
            design.pack().series()
                * guard
                    .protection()
                    .bms()
                    .map(b -> b.cutOffVoltage() + 0.05)
                    .orElse(design.pack().cell().cutOffVoltage() + 0.1));
    all.add(
        new Setting(
            MACHINE,
            "Cut-out voltage",
            Figures.of(cut, Unit.VOLT, 1),
            "above the BMS's or the cells' cut-off, so that the machine stops first and softly"));
    double most =
        guard
            .protection()
            .inDischargePath()
            .map(b -> Math.min(b.overCurrent() * 0.9, machine.peakCurrent()))
            .orElse(machine.peakCurrent());
    all.add(
        new Setting(
            MACHINE,
            "Highest battery current",
            Figures.atMost(most, Unit.AMPERE),
            "the machine's own, and a tenth below where the BMS opens"));
    double back = guard.allowedRegeneration(machine.regenerationCurrent());
    all.add(
        new Setting(
            MACHINE,
            "Highest braking current",
            back > 0 ? Figures.atMost(back, Unit.AMPERE) : "off",
            back > 0
                ? "the machine's, capped by the BMS's charge limit; less into a full pack"
                : "the machine pushes nothing back"));
  }

  private static void charger(Forecast f, List<Setting> all) {
    var plan = f.design().guard().charge();
    all.add(
        new Setting(
            CHARGER,
            "Voltage",
            Figures.of(plan.voltage(), Unit.VOLT, 2),
            Figures.of(f.design().chargeVoltagePerCell(), Unit.VOLT, 3) + " a cell"));
    all.add(
        new Setting(
            CHARGER,
            "Current",
            Figures.of(plan.current(), Unit.AMPERE),
            "%s a cell; the cell's own limit is %s"
                .formatted(
                    Figures.of(plan.current() / f.design().pack().parallel(), Unit.AMPERE),
                    Figures.of(f.design().pack().cell().currents().fastCharge(), Unit.AMPERE))));
  }

  private static void meter(Forecast f, List<Setting> all) {
    var pack = f.design().pack();
    double capacity = pack.capacity() * pack.weakestGroup();
    all.add(
        new Setting(
            METER,
            "Capacity",
            Figures.of(capacity, Unit.AMPERE_HOUR),
            "the rated one less what the weakest group lacks"));
    all.add(
        new Setting(
            METER,
            "Full at",
            Figures.of(
                f.design().guard().charge().voltage() - METER_MARGIN * pack.series(), Unit.VOLT, 1),
            "a little below the charger's, so that the meter surely resets to full"));
    all.add(
        new Setting(
            METER,
            "Empty at",
            Figures.of(pack.cutOffVoltage(), Unit.VOLT, 1),
            "every cell at its cut-off under load"));
    double shunt = f.chain().demand().peak();
    all.add(
        new Setting(
            METER,
            "Shunt for at least",
            Figures.atLeast(shunt, Unit.AMPERE),
            "the highest ten seconds of the duty"));
  }

  private static void bms(Bms b, List<Setting> all) {
    String device = "BMS";
    all.add(
        new Setting(
            device, "Series count", String.valueOf(b.series()), "the groups of the string"));
    all.add(
        new Setting(
            device,
            "Opens on discharge at",
            Figures.of(b.cutOffVoltage(), Unit.VOLT, 3) + " a group",
            "above the cell's own cut-off"));
    all.add(
        new Setting(
            device,
            "Opens on charge at",
            Figures.of(b.overVoltage(), Unit.VOLT, 3) + " a group",
            "a little above full"));
    all.add(
        new Setting(
            device,
            "Over-current",
            "%s after %s"
                .formatted(
                    Figures.of(b.overCurrent(), Unit.AMPERE),
                    Figures.duration(b.overCurrentDelay())),
            "above the hardest moment of the duty"));
    all.add(
        new Setting(
            device,
            "Charge limit",
            Figures.of(b.chargeCurrent(), Unit.AMPERE),
            "charger and braking together stay below"));
  }
}
