package hammerman.table;

/** A table that cannot be used, with one clear message: what, where, and what to do. */
public final class UnreadableTable extends Exception {
  private static final long serialVersionUID = 1;

  public UnreadableTable(String message) {
    super(message);
  }
}
