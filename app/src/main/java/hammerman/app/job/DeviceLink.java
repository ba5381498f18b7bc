package hammerman.app.job;

import hammerman.device.LineReader;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.PrintWriter;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.application.Platform;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A connection to a device on this machine. Lines are read and understood on a thread of their own,
 * and told on the interface thread, those that came together together; a device that says more than
 * can be taken is read more slowly, so that nothing is lost and memory has a limit. Every
 * connection ends with words.
 *
 * @param <T> what a line is read as
 */
public final class DeviceLink<T> {
  private static final Logger LOG = LoggerFactory.getLogger(DeviceLink.class);
  private static final int PATIENCE_MS = 3000;

  /** Lines that may wait for the interface thread. */
  private static final int WAITING = 8192;

  /**
   * Lines told at once; what is left waits until the window has answered whatever else there is.
   */
  private static final int AT_ONCE = 256;

  private final Socket socket;
  private final PrintWriter out;
  private final BlockingQueue<T> waiting = new ArrayBlockingQueue<>(WAITING);
  private final AtomicBoolean telling = new AtomicBoolean();
  private final Listener<T> listener;
  private volatile boolean closed;

  /**
   * What the device says.
   *
   * @param <T> what a line is read as
   */
  public interface Listener<T> {
    /** Lines came, in this order. */
    void said(List<T> lines);

    /** The connection is gone. */
    void lost(String why);
  }

  private DeviceLink(Socket socket, Listener<T> listener) throws IOException {
    this.socket = socket;
    this.listener = listener;
    out =
        new PrintWriter(
            new OutputStreamWriter(socket.getOutputStream(), StandardCharsets.UTF_8), true);
  }

  /**
   * Connects in the background.
   *
   * @param device what it is, in words
   * @param read makes something of a line, whatever it is
   */
  public static <T> void open(
      String device,
      int port,
      Function<String, T> read,
      Listener<T> listener,
      Consumer<DeviceLink<T>> opened) {
    Thread thread =
        new Thread(
            () -> {
              String why;
              DeviceLink<T> link = null;
              try (Socket socket = new Socket()) {
                socket.connect(
                    new InetSocketAddress(InetAddress.getLoopbackAddress(), port), PATIENCE_MS);
                DeviceLink<T> made = new DeviceLink<>(socket, listener);
                link = made;
                Platform.runLater(() -> opened.accept(made));
                made.read(read);
                why = "The %s has closed the connection.".formatted(device);
              } catch (IOException e) {
                why =
                    link == null
                        ? "No %s at port %d (%s).".formatted(device, port, e.getMessage())
                        : "The connection to the %s is lost (%s)."
                            .formatted(device, e.getMessage());
              } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                why = "The connection to the %s was ended.".formatted(device);
              } catch (RuntimeException | OutOfMemoryError e) {
                LOG.error("device link failed", e);
                why =
                    "The %s sent something that could not be read (%s)."
                        .formatted(device, Latest.inWords(e));
              }
              end(link, listener, why);
            },
            "device link");
    thread.setDaemon(true);
    thread.start();
  }

  /** Tells what still waits, and then that it is over. */
  private static <T> void end(@Nullable DeviceLink<T> link, Listener<T> listener, String why) {
    Platform.runLater(
        () -> {
          if (link == null) {
            listener.lost(why);
            return;
          }
          if (!link.closed) {
            while (!link.waiting.isEmpty()) {
              link.tell(WAITING);
            }
            link.closed = true;
            listener.lost(why);
          }
        });
  }

  private void read(Function<String, T> read) throws IOException, InterruptedException {
    LineReader in = new LineReader(socket.getInputStream());
    for (@Nullable String text = in.next(); text != null && !closed; text = in.next()) {
      waiting.put(read.apply(text));
      if (telling.compareAndSet(false, true)) {
        Platform.runLater(this::tellSome);
      }
    }
  }

  private void tellSome() {
    telling.set(false);
    tell(AT_ONCE);
    if (!waiting.isEmpty() && telling.compareAndSet(false, true)) {
      Platform.runLater(this::tellSome);
    }
  }

  private void tell(int most) {
    List<T> lines = new ArrayList<>();
    waiting.drainTo(lines, most);
    if (!closed && !lines.isEmpty()) {
      listener.said(lines);
    }
  }

  /** Says a line; if it cannot be said the connection is gone, and is told so. */
  public void say(String line) {
    out.println(line);
  }

  /** Closes the connection; nothing more is told of it. */
  public void close() {
    closed = true;
    waiting.clear();
    try {
      socket.close();
    } catch (IOException e) {
      // It is gone either way.
      return;
    }
  }
}
