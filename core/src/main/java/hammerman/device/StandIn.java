package hammerman.device;

import java.util.List;

/**
 * A device made up, that speaks its protocol in lines. Time goes on when it is told to. Not safe
 * for several threads.
 */
public interface StandIn {
  /** Returns what is said first on every connection. */
  List<String> greeting();

  /** Takes a line; one that is not understood is passed over. */
  void hear(String line);

  /** Lets time (s) go on, and returns what is said meanwhile. */
  List<String> advance(double seconds);
}
