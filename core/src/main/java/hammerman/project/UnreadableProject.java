package hammerman.project;

import java.io.IOException;

/** A file that cannot be used as a project; the message says what is wrong and what to do. */
public final class UnreadableProject extends IOException {
  private final Reason reason;
  private final String message;

  /** Says why a file cannot be used, in one sentence or two. */
  public UnreadableProject(Reason reason, String message) {
    super(message);
    this.reason = reason;
    this.message = message;
  }

  @Override
  public String getMessage() {
    return message;
  }

  /** Returns the kind of trouble. */
  public Reason reason() {
    return reason;
  }

  /** Kinds of trouble with a file. */
  public enum Reason {
    /** No such file, or it cannot be opened. */
    MISSING,
    /** It has no bytes. */
    EMPTY,
    /** It is something else. */
    NOT_A_PROJECT,
    /** It breaks off or is garbled. */
    DAMAGED,
    /** It was written by a newer version. */
    NEWER,
    /** A value in it cannot be used. */
    INVALID
  }
}
