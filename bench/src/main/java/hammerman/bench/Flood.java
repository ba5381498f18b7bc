package hammerman.bench;

import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Collections;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A pack that says thousands of frames a second to whoever connects to it, with lines between that
 * mean nothing.
 */
final class Flood implements AutoCloseable {
  private static final Logger LOG = LoggerFactory.getLogger(Flood.class);
  private static final long SLICE_MS = 10;

  /** One line among so many means nothing. */
  private static final int NOISE = 97;

  private final int groups;
  private final int linesPerSecond;
  private final ServerSocket server;
  private final AtomicLong said = new AtomicLong();

  /**
   * Opens the socket.
   *
   * @param port of the loopback address
   * @param linesPerSecond that it tries to say
   */
  Flood(int port, int groups, int linesPerSecond) throws IOException {
    this.groups = groups;
    this.linesPerSecond = linesPerSecond;
    server = new ServerSocket(port, 1, InetAddress.getLoopbackAddress());
    Thread thread = new Thread(this::serve, "flood");
    thread.setDaemon(true);
    thread.start();
  }

  /** Returns how many lines were taken from it. */
  long said() {
    return said.get();
  }

  private void serve() {
    while (!server.isClosed()) {
      try (Socket socket = server.accept();
          OutputStream out = socket.getOutputStream()) {
        talk(out);
      } catch (IOException e) {
        LOG.debug("who listened has gone; the next may come", e);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        return;
      }
    }
  }

  private void talk(OutputStream out) throws IOException, InterruptedException {
    out.write(
        "{\"kind\":\"hello\",\"name\":\"pack\",\"groups\":%d}\n"
            .formatted(groups)
            .getBytes(StandardCharsets.UTF_8));
    long begun = System.nanoTime();
    long lines = 0;
    while (true) {
      long due = (System.nanoTime() - begun) / 1_000_000 * linesPerSecond / 1000;
      StringBuilder slice = new StringBuilder();
      while (lines < due) {
        boolean noise = ++lines % NOISE == 0;
        slice
            .append(
                noise
                    ? "{\"kind\":\"frame\",\"time_s\":1e"
                    : frame(lines / (double) linesPerSecond))
            .append('\n');
        said.incrementAndGet();
      }
      out.write(slice.toString().getBytes(StandardCharsets.UTF_8));
      TimeUnit.MILLISECONDS.sleep(SLICE_MS);
    }
  }

  private String frame(double time) {
    double volts = 3.7 + time * 1e-5;
    String each = String.join(",", Collections.nCopies(groups, "%.5f".formatted(volts)));
    return """
    {"kind":"frame","time_s":%.4f,"groups_V":[%s],"pack_V":[%.3f],"current_A":8,"temperatures_C":[25,25]}\
    """
        .formatted(time, each, volts * groups);
  }

  @Override
  public void close() throws IOException {
    server.close();
  }
}
