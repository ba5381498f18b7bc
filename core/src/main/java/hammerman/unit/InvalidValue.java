package hammerman.unit;

/**
 * A value that a design cannot hold: names the field, the value, the limit and the cure. This is a
 * caller's mistake, never a physical outcome.
 */
public final class InvalidValue extends IllegalArgumentException {
  private final String field;
  private final String message;

  public InvalidValue(String field, String value, String limit, String cure) {
    super(field);
    this.field = field;
    this.message = "%s is %s; %s. %s".formatted(field, value, limit, cure);
  }

  @Override
  public String getMessage() {
    return message;
  }

  /** Returns the field's name as the user knows it. */
  public String field() {
    return field;
  }
}
