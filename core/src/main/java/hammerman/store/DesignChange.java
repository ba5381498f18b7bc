package hammerman.store;

import java.time.Instant;

/** Something that happened to the design. */
public sealed interface DesignChange {
  /**
   * An edit: the state it led to. What had been undone before it is forgotten.
   *
   * @param state after it
   */
  record Edited(DesignState state) implements DesignChange {}

  /**
   * Going back or forth to a state that is there.
   *
   * @param state its number
   */
  record Moved(long state) implements DesignChange {}

  /**
   * A name for a state.
   *
   * @param state its number
   * @param name in the builder's words
   * @param at when
   */
  record Marked(long state, String name, Instant at) implements DesignChange {}

  /**
   * A name taken off.
   *
   * @param mark its number
   */
  record Unmarked(long mark) implements DesignChange {}
}
