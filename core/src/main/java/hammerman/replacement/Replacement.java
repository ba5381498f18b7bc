package hammerman.replacement;

import hammerman.cell.CellLibrary;
import hammerman.cell.CellType;
import hammerman.cell.Chemistry;
import hammerman.duty.LeadBattery;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Packs that can take the place of a sealed lead battery.
 *
 * <p>About half the rated capacity of a lead battery is used if it is to last, and at a discharge
 * of an hour or two it gives only about 60 % of its 20-hour rating.
 *
 * @param battery what is replaced
 */
public record Replacement(LeadBattery battery) {
  /** Share of the rated capacity used of a lead battery that is to last. */
  public static final double USABLE = 0.5;

  /** Share of the rated capacity used of a lithium or sodium pack that is to last. */
  public static final double USABLE_REPLACEMENT = 0.85;

  /**
   * A pack that can take its place.
   *
   * @param cell the largest cell of its chemistry in the library
   * @param series groups in series
   * @param parallel cells in parallel for the same usable charge
   * @param full voltage charged, V
   * @param empty voltage at the cells' cut-off, V
   * @param fits whether it stays within the voltages that the lead battery had
   * @param changes what changes, in sentences
   */
  public record Suggestion(
      CellType cell,
      int series,
      int parallel,
      double full,
      double empty,
      boolean fits,
      List<String> changes) {
    public Suggestion {
      changes = List.copyOf(changes);
    }

    /** Returns the counts as people write them: "4S7P". */
    public String counts() {
      return series + "S" + parallel + "P";
    }
  }

  /** Suggests a pack for each chemistry of a library, those that fit its voltages best first. */
  public List<Suggestion> suggest(CellLibrary library) {
    List<Suggestion> all = new ArrayList<>();
    for (Chemistry chemistry : Chemistry.values()) {
      library.cells().stream()
          .filter(c -> c.chemistry() == chemistry && c.health() == null)
          .filter(c -> c.capacity() <= 2 * battery.capacity())
          .max(Comparator.comparingDouble(c -> c.energy() / c.price()))
          .ifPresent(c -> all.add(suggestion(c)));
    }
    all.sort(
        Comparator.comparing((Suggestion s) -> !s.fits())
            .thenComparingDouble(s -> Math.abs(s.series() * s.cell().nominalVoltage() - aim())));
    return List.copyOf(all);
  }

  /** A lead battery rests and works near 2.1 V a cell; that is what devices are used to. */
  private double aim() {
    return 1.06 * battery.voltage();
  }

  private Suggestion suggestion(CellType cell) {
    int most = (int) Math.floor(battery.charged() / cell.fullVoltage() + 1e-9);
    int nearest = (int) Math.rint(aim() / cell.nominalVoltage());
    int series = Math.clamp(Math.min(most, nearest), 1, 250);
    double wanted = battery.capacity() * USABLE / USABLE_REPLACEMENT;
    // The same energy: a lower voltage needs more charge.
    double charge = wanted * battery.voltage() / (series * cell.nominalVoltage());
    int parallel = Math.clamp((int) Math.ceil(charge / cell.capacity() - 1e-9), 1, 500);
    double full = series * cell.fullVoltage();
    double empty = series * cell.cutOffVoltage();
    boolean fits = full <= battery.charged() + 1e-9 && series * low(cell) >= battery.cutOff();
    return new Suggestion(
        cell, series, parallel, full, empty, fits, changes(cell, series, full, empty));
  }

  /** Rested voltage of a cell at a tenth of its charge. */
  private static double low(CellType cell) {
    return cell.openCircuit().value(0.1);
  }

  /** Returns what changes with any replacement, in sentences. */
  public static List<String> always() {
    return List.of(
        "Usable: about %s of the capacity instead of %s, and nearly all of it at high current."
            .formatted(
                Figures.of(USABLE_REPLACEMENT, Unit.PERCENT, 0),
                Figures.of(USABLE, Unit.PERCENT, 0)),
        "Fuse: the resistance is lower, so a short circuit gives more current; choose the fuse by"
            + " interrupt rating and wire in Guard.");
  }

  private List<String> changes(CellType cell, int series, double full, double empty) {
    List<String> list = new ArrayList<>();
    list.add(
        full > battery.charged() + 1e-9
            ? "Full, it has %s; the lead battery never exceeded %s. Check what the device survives."
                .formatted(volts(full), volts(battery.charged()))
            : "Charger: constant current, then constant voltage at %s; a lead charger's float,"
                    .formatted(volts(full))
                + " equalising and desulphating stages must not reach it.");
    if (series * low(cell) < battery.cutOff()) {
      list.add(
          "Cut-off: a device that stops at %s leaves much of it unused (a tenth full it rests at %s)."
              .formatted(volts(battery.cutOff()), volts(series * low(cell))));
    } else {
      list.add(
          "Cut-off: devices stop at about %s, the BMS at %s at the latest; the device does first."
              .formatted(volts(battery.cutOff()), volts(empty)));
    }
    if (cell.temperatures().chargeLowest() > 263.15) {
      list.add("Cold: it must not be charged below 0 °C, which a lead battery allows.");
    }
    return list;
  }

  private static String volts(double v) {
    return Figures.of(v, Unit.VOLT, 1);
  }
}
