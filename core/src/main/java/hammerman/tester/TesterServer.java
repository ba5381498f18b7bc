package hammerman.tester;

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
 * Puts a simulated tester behind a socket of this machine alone. One program talks to it at a time;
 * a new connection takes the place of the one before. Tests go on while nobody listens.
 */
public final class TesterServer implements AutoCloseable {
  private static final long TICK_MS = 100;

  private final SimulatedTester tester;
  private final double speed;
  private final ServerSocket server;
  private final ScheduledExecutorService clock =
      Executors.newSingleThreadScheduledExecutor(
          task -> {
            Thread t = new Thread(task, "tester");
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
   * @param speed seconds of a test for each second
   * @throws IOException if the port is taken
   */
  public TesterServer(SimulatedTester tester, int port, double speed) throws IOException {
    this.tester = tester;
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
        Thread reader = new Thread(() -> read(socket), "tester lines");
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
    say(tester.greeting());
  }

  private void read(Socket socket) {
    try (BufferedReader in =
        new BufferedReader(
            new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8))) {
      for (String line = in.readLine(); line != null; line = in.readLine()) {
        synchronized (this) {
          tester.take(TesterLine.read(line));
        }
      }
    } catch (IOException e) {
      // The other side is gone; tests go on, and their results are said to who comes next.
      return;
    }
  }

  private synchronized void tick() {
    say(tester.advance(speed * TICK_MS / 1000));
  }

  private void say(List<TesterLine> lines) {
    if (out != null) {
      for (TesterLine l : lines) {
        out.println(TesterLine.write(l));
      }
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
