package hammerman.app.station.sort;

import hammerman.tester.TesterLine;
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

/** A connection to a cell tester on this machine; what it says is told on the interface thread. */
final class TesterLink {
  private static final int PATIENCE_MS = 3000;

  private final Socket socket;
  private final PrintWriter out;

  /** What the tester says. */
  interface Listener {
    void said(TesterLine line);

    /** The connection is gone. */
    void lost(String why);
  }

  private TesterLink(Socket socket) throws IOException {
    this.socket = socket;
    out =
        new PrintWriter(
            new OutputStreamWriter(socket.getOutputStream(), StandardCharsets.UTF_8), true);
  }

  /** Connects in the background. */
  static void open(int port, Listener listener, Consumer<TesterLink> opened) {
    Thread thread =
        new Thread(
            () -> {
              try (Socket socket = new Socket()) {
                socket.connect(
                    new InetSocketAddress(InetAddress.getLoopbackAddress(), port), PATIENCE_MS);
                TesterLink link = new TesterLink(socket);
                Platform.runLater(() -> opened.accept(link));
                link.read(listener);
                tell(listener, "The tester has closed the connection.");
              } catch (IOException e) {
                tell(listener, "No tester at port %d (%s).".formatted(port, e.getMessage()));
              }
            },
            "tester link");
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
      TesterLine line = TesterLine.read(text);
      Platform.runLater(() -> listener.said(line));
    }
  }

  /** Says something to the tester; if it cannot be said the connection is gone, and is told so. */
  void say(TesterLine line) {
    out.println(TesterLine.write(line));
  }

  void close() {
    try {
      socket.close();
    } catch (IOException e) {
      // It is gone either way.
      return;
    }
  }
}
