package hammerman.replacement;

import hammerman.cell.CellLibrary;
import hammerman.cell.CellType;
import hammerman.cell.Chemistry;
import hammerman.unit.Figures;
import hammerman.unit.In;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * A sealed lead battery that is to be replaced.
 *
 * <p>Voltages of a lead cell are usual practice: 2.0 V nominal, charged at 2.30 to 2.45 V, cut off
 * at 1.75 V. About half its rated capacity is used if it is to last, and at a discharge of an hour
 * or two it gives only about 60 % of its 20-hour rating.
 *
 * @param voltage nominal, V; a multiple of 2 V
 * @param capacity rated at 20 h, Ah
 */
public record LeadBattery(@In(Unit.VOLT) double voltage, @In(Unit.AMPERE_HOUR) double capacity) {
  private static final double CELL = 2.0;
  private static final double CHARGED = 2.45;
  private static final double CUT_OFF = 1.75;

  /** Share of the rated capacity used of a lead battery that is to last. */
  public static final double USABLE = 0.5;

  /** Share of the rated capacity used of a lithium or sodium pack that is to last. */
  public static final double USABLE_REPLACEMENT = 0.85;

  public LeadBattery {
    Valid.range("Lead battery voltage", voltage, 2, 480, Unit.VOLT);
    Valid.range("Lead battery capacity", capacity, 0.1, 5000, Unit.AMPERE_HOUR);
    if (Math.abs(voltage / CELL - Math.rint(voltage / CELL)) > 1e-6) {
      throw new InvalidValue(
          "Lead battery voltage",
          Figures.exact(voltage, Unit.VOLT),
          "lead cells have 2 V each, so it must be a multiple of 2 V",
          "Type the printed voltage, such as 12 V or 36 V.");
    }
  }

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

  /** Returns the highest voltage it had on charge, V. */
  public double charged() {
    return voltage / CELL * CHARGED;
  }

  /** Returns the voltage at which devices made for it usually stop, V. */
  public double cutOff() {
    return voltage / CELL * CUT_OFF;
  }

  /** Suggests a pack for each chemistry of a library, those that fit its voltages best first. */
  public List<Suggestion> suggest(CellLibrary library) {
    List<Suggestion> all = new ArrayList<>();
    for (Chemistry chemistry : Chemistry.values()) {
      library.cells().stream()
          .filter(c -> c.chemistry() == chemistry && c.health() == null)
          .filter(c -> c.capacity() <= 2 * capacity)
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
    return 1.06 * voltage;
  }

  private Suggestion suggestion(CellType cell) {
    int most = (int) Math.floor(charged() / cell.fullVoltage() + 1e-9);
    int nearest = (int) Math.rint(aim() / cell.nominalVoltage());
    int series = Math.clamp(Math.min(most, nearest), 1, 250);
    double wanted = capacity * USABLE / USABLE_REPLACEMENT;
    // The same energy: a lower voltage needs more charge.
    double charge = wanted * voltage / (series * cell.nominalVoltage());
    int parallel = Math.clamp((int) Math.ceil(charge / cell.capacity() - 1e-9), 1, 500);
    double full = series * cell.fullVoltage();
    double empty = series * cell.cutOffVoltage();
    boolean fits = full <= charged() + 1e-9 && series * low(cell) >= cutOff();
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
        full > charged() + 1e-9
            ? "Full, it has %s; the lead battery never exceeded %s. Check what the device survives."
                .formatted(volts(full), volts(charged()))
            : "Charger: constant current, then constant voltage at %s; a lead charger's float,"
                    .formatted(volts(full))
                + " equalising and desulphating stages must not reach it.");
    if (series * low(cell) < cutOff()) {
      list.add(
          "Cut-off: a device that stops at %s leaves much of it unused (a tenth full it rests at %s)."
              .formatted(volts(cutOff()), volts(series * low(cell))));
    } else {
      list.add(
          "Cut-off: devices stop at about %s, the BMS at %s at the latest; the device does first."
              .formatted(volts(cutOff()), volts(empty)));
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
