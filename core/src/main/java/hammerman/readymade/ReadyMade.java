package hammerman.readymade;

import hammerman.cell.CellType;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Cooling;
import hammerman.pack.Lot;
import hammerman.pack.Pack;
import hammerman.pack.Strip;
import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;

/**
 * A battery bought whole, with a protection of its own that stays as it is.
 *
 * @param cell what is in it, as far as known
 * @param series groups in series
 * @param parallel cells in parallel
 * @param tripCurrent current above which it switches off, A
 * @param tripDelay time above it before it does, s
 * @param lowestGroup group voltage below which it switches off, V
 */
public record ReadyMade(
    CellType cell,
    int series,
    int parallel,
    @In(Unit.AMPERE) double tripCurrent,
    @In(Unit.SECOND) double tripDelay,
    @In(Unit.VOLT) double lowestGroup) {
  public ReadyMade {
    Valid.count("Series count of the battery", series, 1, 250);
    Valid.count("Parallel count of the battery", parallel, 1, 500);
    Valid.range("Trip current", tripCurrent, 0.1, 5000, Unit.AMPERE);
    Valid.range("Trip delay", tripDelay, 0, 60, Unit.SECOND);
    Valid.range("Lowest group voltage", lowestGroup, 0.5, 5, Unit.VOLT);
  }

  /** Returns it as a pack of new cells; strip and cooling are not known, and are the usual. */
  public Pack pack() {
    return new Pack(
        cell,
        series,
        parallel,
        Strip.plain(ConductorMaterial.NICKEL, 0.15e-3, 8e-3, 1),
        Cooling.SEALED,
        Lot.ONE_BATCH);
  }

  public ReadyMade withCounts(int newSeries, int newParallel) {
    return new ReadyMade(cell, newSeries, newParallel, tripCurrent, tripDelay, lowestGroup);
  }

  public ReadyMade withTrip(double current, double delay) {
    return new ReadyMade(cell, series, parallel, current, delay, lowestGroup);
  }
}
