package hammerman.device;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.SocketException;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;

/**
 * Puts a stand-in behind a socket of this machine alone. One program talks to it at a time; a new
 * connection takes the place of the one before. Its time goes on while nobody listens. Lines are
 * cut at {@value Fields#LONGEST} characters, and a program that does not read loses its connection,
 * so that neither side can take the memory of the other.
 */
public final class StandInServer implements AutoCloseable {
  private static final long TICK_MS = 100;

  private final StandIn device;
  private final double speed;
  private final ServerSocket server;
  private final ScheduledExecutorService clock =
      Executors.newSingleThreadScheduledExecutor(
          task -> {
            Thread t = new Thread(task, "stand-in");
            t.setDaemon(true);
            return t;
          });
  private final ScheduledFuture<?> ticking;
  private @Nullable StandInTalk talking;

  /**
   * Opens the socket and lets time go on.
   *
   * @param port of the loopback address; 0 for any that is free
   * @param speed seconds of the device for each second
   * @throws IOException if the port is taken
   */
  public StandInServer(StandIn device, int port, double speed) throws IOException {
    this.device = device;
    this.speed = speed;
    server = new ServerSocket(port, 1, InetAddress.getLoopbackAddress());
    ticking = clock.scheduleAtFixedRate(this::tick, TICK_MS, TICK_MS, TimeUnit.MILLISECONDS);
  }

  /** Returns the port. */
  public int port() {
    return server.getLocalPort();
  }

  /** Listens until closed. */
  public void serve() throws IOException {
    while (!server.isClosed()) {
      try {
        greet(server.accept());
      } catch (SocketException e) {
        if (!server.isClosed()) {
          throw e;
        }
      }
    }
  }

  private synchronized void greet(Socket socket) throws IOException {
    if (talking != null) {
      talking.close();
    }
    talking = new StandInTalk(socket, this::hear);
    talking.say(device.greeting());
  }

  private synchronized void hear(String line) {
    device.hear(line);
  }

  private synchronized void tick() {
    var lines = device.advance(speed * TICK_MS / 1000);
    if (talking != null) {
      talking.say(lines);
    }
  }

  @Override
  public synchronized void close() throws IOException {
    ticking.cancel(false);
    clock.shutdownNow();
    server.close();
    if (talking != null) {
      talking.close();
    }
  }
}
