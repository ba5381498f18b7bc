package hammerman.store;

import java.io.IOException;

/** A file that another window works on; it may be looked at. The message says who has it. */
public final class InUse extends IOException {
  InUse(String message) {
    super(message);
  }
}
