package hammerman.store;

import java.io.IOException;

/** Something could not be kept; the message says why and what to do. Nothing was half kept. */
public final class NotKept extends IOException {
  private final Reason reason;
  private final String message;

  /** Why it was not kept. */
  public enum Reason {
    /** No room is left where the file lies. */
    FULL,
    /** The file or its folder cannot be written. */
    READ_ONLY,
    /** The file was moved, deleted or replaced while it was open. */
    GONE,
    /** Another program holds it. */
    IN_USE,
    /** The file is damaged. */
    DAMAGED,
    /** It was refused, and nothing is wrong with the file. */
    REFUSED,
    /** Anything else that the system says. */
    OTHER
  }

  /** Says why something was not kept, in a sentence or two. */
  public NotKept(Reason reason, String message) {
    super(message);
    this.reason = reason;
    this.message = message;
  }

  NotKept(Reason reason, String message, Throwable cause) {
    super(message, cause);
    this.reason = reason;
    this.message = message;
  }

  @Override
  public String getMessage() {
    return message;
  }

  /** Returns why. */
  public Reason reason() {
    return reason;
  }
}
