package hammerman.pack;

import hammerman.cell.CellType;
import hammerman.cell.Health;
import hammerman.unit.In;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import org.jspecify.annotations.Nullable;

/**
 * The very cells of a pack as they were measured, in their groups. Resistances at 1 kHz tell how
 * the cells differ, and the cell's type how great the 10 s resistance is; those of direct current
 * are taken as they are.
 *
 * @param groups from the negative end, each with as many cells
 * @param direct whether resistances are those of direct current after 10 s
 * @param assumed labels of the cells whose capacity was not measured but taken from others or from
 *     the type; absent if there are none
 */
public record MatchedCells(List<Group> groups, boolean direct, @Nullable List<String> assumed) {
  /**
   * A group.
   *
   * @param cells of it, in the order of their places
   */
  public record Group(List<Cell> cells) {
    public Group {
      cells = List.copyOf(cells);
    }

    /** Returns its capacity, Ah. */
    public double capacity() {
      return cells.stream().mapToDouble(Cell::capacity).sum();
    }
  }

  /**
   * A cell.
   *
   * @param label written on it
   * @param capacity at 25 °C, Ah
   * @param resistance Ω; absent if it was not measured
   */
  public record Cell(
      String label,
      @In(Unit.AMPERE_HOUR) double capacity,
      @In(Unit.MILLIOHM) @Nullable Double resistance) {
    public Cell {
      Valid.text("Cell label", label);
      Valid.range("Capacity of cell " + label, capacity, 0.005, 1000, Unit.AMPERE_HOUR);
      if (resistance != null) {
        Valid.range("Resistance of cell " + label, resistance, 1e-5, 10, Unit.MILLIOHM);
      }
    }
  }

  public MatchedCells {
    groups = List.copyOf(groups);
    Valid.count("Groups of matched cells", groups.size(), 1, Pack.MOST_SERIES);
    int each = groups.getFirst().cells().size();
    Valid.count("Matched cells of a group", each, 1, Pack.MOST_PARALLEL);
    Set<String> labels = new HashSet<>();
    for (Group g : groups) {
      if (g.cells().size() != each) {
        throw new InvalidValue(
            "Matched cells of a group",
            String.valueOf(g.cells().size()),
            "must be as many in each group, here " + each,
            "Match them again.");
      }
      for (Cell c : g.cells()) {
        if (!labels.add(c.label())) {
          throw new InvalidValue(
              "Matched cell", c.label(), "can be in one place only", "Match them again.");
        }
      }
    }
    if (assumed != null) {
      assumed = List.copyOf(assumed);
      for (String label : assumed) {
        if (!labels.contains(label)) {
          throw new InvalidValue(
              "Cell with an assumed capacity",
              label,
              "must be one of the matched cells",
              "Match them again.");
        }
      }
    }
  }

  /** Cells whose capacities were all measured. */
  public MatchedCells(List<Group> groups, boolean direct) {
    this(groups, direct, null);
  }

  /** Returns these cells, of which some have not had their capacity measured. */
  public MatchedCells assuming(Set<String> labels) {
    List<String> among = all().stream().map(Cell::label).filter(labels::contains).toList();
    return new MatchedCells(groups, direct, among.isEmpty() ? null : among);
  }

  /** Returns the labels of the cells whose capacity was not measured. */
  public List<String> withoutCapacity() {
    return assumed == null ? List.of() : assumed;
  }

  /** Whether the capacity of most was measured, so that it is known how level the groups are. */
  public boolean knowsLevel() {
    return 2 * withoutCapacity().size() <= groups.size() * groups.getFirst().cells().size();
  }

  /**
   * Cells of which only the capacity of their groups is known: within a group they count as alike.
   *
   * @param hours capacity of each group from the negative end, Ah
   * @param parallel cells in each
   */
  public static MatchedCells ofGroups(double[] hours, int parallel) {
    List<Group> groups = new ArrayList<>();
    for (int g = 0; g < hours.length; g++) {
      List<Cell> cells = new ArrayList<>();
      for (int k = 0; k < parallel; k++) {
        cells.add(new Cell(inGroup(g, k), hours[g] / parallel, null));
      }
      groups.add(new Group(cells));
    }
    return new MatchedCells(groups, false);
  }

  /** Returns whether they were measured by their groups, in a pack that is made over. */
  public boolean byGroups() {
    for (int g = 0; g < groups.size(); g++) {
      if (!groups.get(g).cells().getFirst().label().equals(inGroup(g, 0))) {
        return false;
      }
    }
    return true;
  }

  private static String inGroup(int group, int cell) {
    return "group %d, cell %d".formatted(group + 1, cell + 1);
  }

  /** Whether they fill a pack of these counts. */
  public boolean fill(int series, int parallel) {
    return groups.size() == series && groups.getFirst().cells().size() == parallel;
  }

  /** Returns all cells, group by group. */
  public List<Cell> all() {
    return groups.stream().flatMap(g -> g.cells().stream()).toList();
  }

  /** Returns the mean capacity of a cell, Ah. */
  public double meanCapacity() {
    return mean(Cell::capacity).orElseThrow();
  }

  /** Returns the mean resistance of those that were measured, Ω, as measured. */
  public OptionalDouble meanResistance() {
    return mean(c -> c.resistance() == null ? Double.NaN : c.resistance());
  }

  private OptionalDouble mean(ToDoubleFunction<Cell> of) {
    return all().stream().mapToDouble(of).filter(v -> !Double.isNaN(v)).average();
  }

  /** Returns the labels of the cells whose resistance was not measured. */
  public List<String> withoutResistance() {
    return all().stream().filter(c -> c.resistance() == null).map(Cell::label).toList();
  }

  /** Returns the group with the least capacity, from 0. */
  public int weakest() {
    int found = 0;
    for (int g = 1; g < groups.size(); g++) {
      found = groups.get(g).capacity() < groups.get(found).capacity() ? g : found;
    }
    return found;
  }

  /** Returns the capacity of the weakest group as a share of the mean of all. */
  public double weakestShare() {
    double mean = groups.stream().mapToDouble(Group::capacity).average().orElseThrow();
    return groups.get(weakest()).capacity() / mean;
  }

  /** Returns a type as the mean of these cells is: its capacity, and its resistance if known. */
  public CellType mean(CellType type) {
    Health was = type.health() == null ? Health.NEW : type.health();
    double left = was.capacity() * meanCapacity() / type.capacity();
    double grown =
        direct && meanResistance().isPresent()
            ? was.resistance() * meanResistance().getAsDouble() / type.r10()
            : was.resistance();
    return type.withHealth(Health.within(left, grown))
        .withCapacity(meanCapacity())
        .withR10(direct ? meanResistance().orElse(type.r10()) : type.r10());
  }

  /**
   * Returns the 10 s resistance of each cell, Ω, group by group; one that was not measured has the
   * mean.
   *
   * @param typical 10 s resistance of the type, Ω
   */
  public double[] resistances(double typical) {
    double mean = meanResistance().orElse(typical);
    double scale = direct ? 1 : typical / mean;
    return all().stream()
        .mapToDouble(c -> scale * (c.resistance() == null ? mean : c.resistance()))
        .toArray();
  }

  /** Returns the capacity of each cell, Ah, group by group. */
  public double[] capacities() {
    return all().stream().mapToDouble(Cell::capacity).toArray();
  }
}
