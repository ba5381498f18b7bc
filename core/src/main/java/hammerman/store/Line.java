package hammerman.store;

import java.util.List;

/**
 * The states that undo and redo go through, oldest first.
 *
 * @param states at least one
 * @param present index of the state that is worked on
 */
public record Line(List<DesignState> states, int present) {
  public Line {
    states = List.copyOf(states);
  }

  /** Returns the state that is worked on. */
  public DesignState now() {
    return states.get(present);
  }
}
