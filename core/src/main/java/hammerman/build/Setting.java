package hammerman.build;

import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.forecast.Forecast;
import hammerman.guard.Bms;
import hammerman.pack.Pack;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.DoubleStream;

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

  /** Returns the settings of a design, device by device; each pack has its own. */
  public static List<Setting> of(Forecast forecast) {
    List<Setting> all = new ArrayList<>();
    List<OnePack> packs = OnePack.all(forecast);
    machine(forecast, packs, all);
    for (OnePack pack : packs) {
      String whose = pack.second() ? ", second pack" : "";
      charger(pack, CHARGER + whose, all);
      meter(pack, METER + whose, all);
      pack.design().guard().protection().bms().ifPresent(b -> bms(b, "BMS" + whose, all));
    }
    return List.copyOf(all);
  }

  private static void machine(Forecast f, List<OnePack> packs, List<Setting> all) {
    var machine = f.design().duty().machine();
    double full = f.chain().supply().highest();
    all.add(
        new Setting(
            MACHINE,
            "Full voltage",
            Figures.of(full, Unit.VOLT, 1),
            "%s rested, every cell full; the machine stands %s"
                .formatted(
                    packs.size() > 1 ? "both packs" : "the pack",
                    Figures.of(machine.maximumVoltage(), Unit.VOLT))));
    SecondPack second = f.design().second();
    boolean inSeries = second != null && second.joining() == SecondPack.Joining.SERIES;
    DoubleStream floors = packs.stream().mapToDouble(Setting::floor);
    double cut =
        Math.max(machine.cutOutVoltage(), inSeries ? floors.sum() : floors.max().orElseThrow());
    all.add(
        new Setting(
            MACHINE,
            "Cut-out voltage",
            Figures.of(cut, Unit.VOLT, 1),
            "above the BMS's or the cells' cut-off, so that the machine stops first and softly"));
    double most =
        packs.stream()
            .flatMap(p -> p.design().guard().protection().inDischargePath().stream())
            .mapToDouble(b -> b.overCurrent() * 0.9)
            .reduce(machine.peakCurrent(), Math::min);
    all.add(
        new Setting(
            MACHINE,
            "Highest battery current",
            Figures.atMost(most, Unit.AMPERE),
            "the machine's own, and a tenth below where the BMS opens"));
    double back =
        packs.stream()
            .mapToDouble(p -> p.design().guard().allowedRegeneration(machine.regenerationCurrent()))
            .min()
            .orElseThrow();
    all.add(
        new Setting(
            MACHINE,
            "Highest braking current",
            back > 0 ? Figures.atMost(back, Unit.AMPERE) : "off",
            back > 0
                ? "the machine's, capped by the BMS's charge limit; less into a full pack"
                : "the machine pushes nothing back"));
  }

  /** The least voltage at which a pack should still be loaded, V. */
  private static double floor(OnePack p) {
    return p.pack().series()
        * p.design()
            .guard()
            .protection()
            .bms()
            .map(b -> b.cutOffVoltage() + 0.05)
            .orElse(p.pack().cell().cutOffVoltage() + 0.1);
  }

  private static void charger(OnePack of, String device, List<Setting> all) {
    Design design = of.design();
    var plan = design.guard().charge();
    all.add(
        new Setting(
            device,
            "Voltage",
            Figures.of(plan.voltage(), Unit.VOLT, 2),
            Figures.of(design.chargeVoltagePerCell(), Unit.VOLT, 3) + " a cell"));
    all.add(
        new Setting(
            device,
            "Current",
            Figures.of(plan.current(), Unit.AMPERE),
            "%s a cell; the cell's own limit is %s"
                .formatted(
                    Figures.of(plan.current() / design.pack().parallel(), Unit.AMPERE),
                    Figures.of(design.pack().cell().currents().fastCharge(), Unit.AMPERE))));
  }

  private static void meter(OnePack of, String device, List<Setting> all) {
    Pack pack = of.pack();
    double capacity = pack.capacity() * pack.weakestGroup();
    all.add(
        new Setting(
            device,
            "Capacity",
            Figures.of(capacity, Unit.AMPERE_HOUR),
            "the rated one less what the weakest group lacks"));
    all.add(
        new Setting(
            device,
            "Full at",
            Figures.of(
                of.design().guard().charge().voltage() - METER_MARGIN * pack.series(),
                Unit.VOLT,
                1),
            "a little below the charger's, so that the meter surely resets to full"));
    all.add(
        new Setting(
            device,
            "Empty at",
            Figures.of(pack.cutOffVoltage(), Unit.VOLT, 1),
            "every cell at its cut-off under load"));
    double shunt = of.forecast().chain().demand().peak();
    all.add(
        new Setting(
            device,
            "Shunt for at least",
            Figures.atLeast(shunt, Unit.AMPERE),
            "the highest ten seconds of the duty"));
  }

  private static void bms(Bms b, String device, List<Setting> all) {
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
