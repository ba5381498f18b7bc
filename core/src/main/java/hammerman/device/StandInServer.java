package hammerman.device;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.PrintWriter;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.SocketException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;

/**
 * Puts a stand-in behind a socket of this machine alone. One program talks to it at a time; a new
 * connection takes the place of the one before. Its time goes on while nobody listens.
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
  private @Nullable Socket talking;
  private @Nullable PrintWriter out;

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
        Socket socket = server.accept();
        greet(socket);
        Thread reader = new Thread(() -> read(socket), "stand-in lines");
        reader.setDaemon(true);
        reader.start();
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
    talking = socket;
    out =
        new PrintWriter(
            new OutputStreamWriter(socket.getOutputStream(), StandardCharsets.UTF_8), true);
    say(device.greeting());
  }

  private void read(Socket socket) {
    try (BufferedReader in =
        new BufferedReader(
            new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8))) {
      for (String line = in.readLine(); line != null; line = in.readLine()) {
        synchronized (this) {
          device.hear(line);
        }
      }
    } catch (IOException e) {
      // The other side is gone; its time goes on, and what must be known is said to who comes next.
      return;
    }
  }

  private synchronized void tick() {
    say(device.advance(speed * TICK_MS / 1000));
  }

  private void say(List<String> lines) {
    if (out != null) {
      lines.forEach(out::println);
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
