package hammerman.build;

/** Where on the pack a step is done, for its picture. */
public sealed interface Place {
  /** Everywhere, or nowhere in particular. */
  record Whole() implements Place {}

  /**
   * A group.
   *
   * @param group from 0 at the negative end
   */
  record Group(int group) implements Place {}

  /**
   * The link between a group and the next.
   *
   * @param below the lower of the two, from 0
   */
  record Link(int below) implements Place {}

  /**
   * A balance lead's end.
   *
   * @param lead from 0 at battery minus
   */
  record Lead(int lead) implements Place {}

  /**
   * An end of the pack.
   *
   * @param positive which
   */
  record End(boolean positive) implements Place {}
}
