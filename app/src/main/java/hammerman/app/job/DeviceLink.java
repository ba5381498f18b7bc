package hammerman.app.job;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.PrintWriter;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.function.Consumer;
import javafx.application.Platform;
import org.jspecify.annotations.Nullable;

/** A connection to a device on this machine; its lines are told on the interface thread. */
public final class DeviceLink {
  private static final int PATIENCE_MS = 3000;

  private final Socket socket;
  private final PrintWriter out;

  /** What the device says. */
  public interface Listener {
    /** A line came. */
    void said(String line);

    /** The connection is gone. */
    void lost(String why);
  }

  private DeviceLink(Socket socket) throws IOException {
    this.socket = socket;
    out =
        new PrintWriter(
            new OutputStreamWriter(socket.getOutputStream(), StandardCharsets.UTF_8), true);
  }

  /**
   * Connects in the background.
   *
   * @param device what it is, in words
   */
  public static void open(String device, int port, Listener listener, Consumer<DeviceLink> opened) {
    Thread thread =
        new Thread(
            () -> {
              try (Socket socket = new Socket()) {
                socket.connect(
                    new InetSocketAddress(InetAddress.getLoopbackAddress(), port), PATIENCE_MS);
                DeviceLink link = new DeviceLink(socket);
                Platform.runLater(() -> opened.accept(link));
                link.read(listener);
                tell(listener, "The %s has closed the connection.".formatted(device));
              } catch (IOException e) {
                tell(listener, "No %s at port %d (%s).".formatted(device, port, e.getMessage()));
              }
            },
            "device link");
    thread.setDaemon(true);
    thread.start();
  }

  private static void tell(Listener listener, String why) {
    Platform.runLater(() -> listener.lost(why));
  }

  private void read(Listener listener) throws IOException {
    BufferedReader in =
        new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8));
    for (@Nullable String text = in.readLine(); text != null; text = in.readLine()) {
      String line = text;
      Platform.runLater(() -> listener.said(line));
    }
  }

  /** Says a line; if it cannot be said the connection is gone, and is told so. */
  public void say(String line) {
    out.println(line);
  }

  /** Closes the connection. */
  public void close() {
    try {
      socket.close();
    } catch (IOException e) {
      // It is gone either way.
      return;
    }
  }
}
