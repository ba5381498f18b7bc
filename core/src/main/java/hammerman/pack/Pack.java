package hammerman.pack;

import hammerman.cell.CellType;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What is built: groups of {@code parallel} cells, {@code series} groups in a string.
 *
 * @param cell the cell type of every cell
 * @param series groups in series, 1 to {@value #MOST_SERIES}
 * @param parallel cells in a group, 1 to {@value #MOST_PARALLEL}
 * @param strip what joins them
 * @param cooling how the box sheds heat
 * @param lot where its cells come from, which says how far they differ while they are not measured
 * @param measured the very cells, once they are measured and in groups; they count while the counts
 *     are theirs
 */
@RecordBuilder
public record Pack(
    CellType cell,
    int series,
    int parallel,
    Strip strip,
    Cooling cooling,
    Lot lot,
    @Nullable MatchedCells measured)
    implements PackBuilder.With {
  /** The longest string handled. */
  public static final int MOST_SERIES = 250;

  /** The largest group handled. */
  public static final int MOST_PARALLEL = 500;

  /**
   * Strip, insulation, holders, leads and box as a share of the cells' mass; typical for hand-built
   * packs.
   */
  public static final double BUILD_MASS_SHARE = 0.12;

  /** Clearance between the cells and the outside of the box, m; typical. */
  private static final double WALL = 5e-3;

  public Pack {
    Valid.count("Series count", series, 1, MOST_SERIES);
    Valid.count("Parallel count", parallel, 1, MOST_PARALLEL);
  }

  /** A pack whose cells are not measured yet. */
  public Pack(CellType cell, int series, int parallel, Strip strip, Cooling cooling, Lot lot) {
    this(cell, series, parallel, strip, cooling, lot, null);
  }

  /** Returns the very cells, if they are known and fill these counts. */
  public Optional<MatchedCells> matched() {
    return Optional.ofNullable(measured).filter(c -> c.fill(series, parallel));
  }

  /** Returns its cells, if so many capacities were measured that it is known how level they are. */
  public Optional<MatchedCells> level() {
    return matched().filter(MatchedCells::knowsLevel);
  }

  /** Returns the share of the mean that the weakest group has, or is expected to have. */
  public double weakestGroup() {
    return level()
        .map(MatchedCells::weakestShare)
        .orElseGet(() -> lot.weakestGroup(series, parallel));
  }

  /** Returns the counts as people write them: "13S6P". */
  public String counts() {
    return series + "S" + parallel + "P";
  }

  /** Returns the number of cells. */
  public int cells() {
    return series * parallel;
  }

  /** Returns the mass with strip, insulation and leads, kg. */
  public double mass() {
    return cells() * cell.mass() * (1 + BUILD_MASS_SHARE);
  }

  /** Returns the price of the cells, in the user's currency. */
  public double cost() {
    return cells() * cell.price();
  }

  /** Returns the printed voltage, V. */
  public double nominalVoltage() {
    return series * cell.nominalVoltage();
  }

  /** Returns the voltage with every cell at its full voltage, V. */
  public double fullVoltage() {
    return series * cell.fullVoltage();
  }

  /** Returns the voltage with every cell at its cut-off, V. */
  public double cutOffVoltage() {
    return series * cell.cutOffVoltage();
  }

  /** Returns the rated capacity, Ah. */
  public double capacity() {
    return parallel * cell.capacity();
  }

  /** Returns the rated energy, J: nominal voltage x rated capacity. */
  public double energy() {
    return nominalVoltage() * capacity() * 3600;
  }

  /** Returns the heat capacity of the cells, J/K. */
  public double heatCapacity() {
    return cells() * cell.mass() * cell.specificHeat();
  }

  /**
   * Returns the outside of a plain box around the cells, m²: one layer, square floor, close
   * packing, 5 mm of wall. An estimate until the pack is fitted.
   */
  public double surface() {
    return 2 * side() * side() + 4 * side() * height();
  }

  /** Returns the sides of the block that the cells form in it, m². */
  double sides() {
    return 4 * (side() - 2 * WALL) * cell.format().height();
  }

  /** Returns the room that the same box takes, m³. */
  public double volume() {
    return side() * side() * height();
  }

  private double side() {
    return Math.sqrt(cells() * cell.format().packedFootprint()) + 2 * WALL;
  }

  private double height() {
    return cell.format().height() + 2 * WALL;
  }

  public Pack withCounts(int newSeries, int newParallel) {
    return new Pack(cell, newSeries, newParallel, strip, cooling, lot, measured);
  }
}
