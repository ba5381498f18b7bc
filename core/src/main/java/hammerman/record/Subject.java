package hammerman.record;

import hammerman.unit.Valid;

/** What a measurement was taken of. */
public sealed interface Subject {
  /**
   * A cell of the inventory.
   *
   * @param id its number there, from 1
   */
  record Cell(long id) implements Subject {
    public Cell {
      Valid.count("Cell", (int) Math.min(id, Integer.MAX_VALUE), 1, Integer.MAX_VALUE);
    }
  }

  /**
   * A group of the pack.
   *
   * @param index from 0 at the negative end
   */
  record Group(int index) implements Subject {
    public Group {
      Valid.count("Group", index, 0, 999);
    }
  }

  /**
   * A whole pack.
   *
   * @param index 0 for the first, 1 for the second
   */
  record Pack(int index) implements Subject {
    public Pack {
      Valid.count("Pack", index, 0, 1);
    }
  }
}
