package hammerman.prove;

import hammerman.cell.CellType;
import hammerman.cell.Health;
import hammerman.design.Design;
import hammerman.pack.MatchedCells;
import java.util.List;

/** A design as its logs say it is. */
public final class Accepted {
  private Accepted() {}

  /**
   * Returns the design with its cells' capacity and resistance scaled. The cell keeps what it had
   * when new: a scale below one (above one for the resistance) is taken for wear, within what a
   * state of health can be.
   *
   * @param capacity times the design's
   * @param resistance times the design's
   */
  public static Design by(Design design, double capacity, double resistance) {
    CellType cell = design.pack().cell();
    Health was = cell.health() == null ? Health.NEW : cell.health();
    Health now =
        new Health(
            Math.clamp(was.capacity() * capacity, 0.2, 1),
            Math.clamp(was.resistance() * resistance, 1, 10));
    CellType scaled =
        cell.withHealth(now)
            .withCapacity(cell.capacity() * capacity)
            .withR10(cell.r10() * resistance);
    Design changed = design.withPack(design.pack().withCell(scaled));
    return design
        .pack()
        .matched()
        .map(m -> changed.withMatched(scaled(m, capacity, resistance)))
        .orElse(changed);
  }

  private static MatchedCells scaled(MatchedCells cells, double capacity, double resistance) {
    List<MatchedCells.Group> groups =
        cells.groups().stream()
            .map(
                g ->
                    new MatchedCells.Group(
                        g.cells().stream()
                            .map(
                                c -> {
                                  Double r = c.resistance();
                                  return new MatchedCells.Cell(
                                      c.label(),
                                      c.capacity() * capacity,
                                      r == null ? null : r * resistance);
                                })
                            .toList()))
            .toList();
    return new MatchedCells(groups, cells.direct(), cells.assumed());
  }
}
