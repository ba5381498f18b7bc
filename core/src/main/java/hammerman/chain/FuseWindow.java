package hammerman.chain;

/**
 * The ratings that suit a main fuse.
 *
 * @param lower smallest rating that does not blow under the duty, A
 * @param upper largest rating that still protects the wire, A
 */
public record FuseWindow(double lower, double upper) {
  /** Whether no rating suits. */
  public boolean empty() {
    return lower > upper;
  }
}
