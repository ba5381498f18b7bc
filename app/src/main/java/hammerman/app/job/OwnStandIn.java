package hammerman.app.job;

import hammerman.device.StandIn;
import hammerman.device.StandInServer;
import java.io.IOException;
import java.io.UncheckedIOException;

/** A stand-in that this program runs itself; it is spoken to over the loopback like any device. */
public final class OwnStandIn {
  private final StandInServer server;

  private OwnStandIn(StandInServer server) {
    this.server = server;
  }

  /**
   * Starts one at any free port.
   *
   * @param speed seconds of the device in each second
   * @throws IOException if there is no port to be had
   */
  public static OwnStandIn start(String name, StandIn device, double speed) throws IOException {
    StandInServer server = new StandInServer(device, 0, speed);
    Thread serving = new Thread(() -> serve(server), "stand-in " + name);
    serving.setDaemon(true);
    serving.start();
    return new OwnStandIn(server);
  }

  private static void serve(StandInServer server) {
    try {
      server.serve();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Returns where it listens. */
  public int port() {
    return server.port();
  }

  /**
   * Ends it.
   *
   * @return what went wrong, in words; empty if nothing did
   */
  public String close() {
    try {
      server.close();
      return "";
    } catch (IOException e) {
      return "The stand-in could not be closed: " + e.getMessage();
    }
  }
}
