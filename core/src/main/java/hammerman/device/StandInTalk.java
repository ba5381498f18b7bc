package hammerman.device;

import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/** One connection of a stand-in: a thread that reads lines and one that writes them. */
final class StandInTalk {
  /** Lines that may wait for a program that does not read. */
  private static final int WAITING = 20_000;

  private final Socket socket;
  private final BlockingQueue<String> waiting = new ArrayBlockingQueue<>(WAITING);

  StandInTalk(Socket socket, Consumer<String> hear) {
    this.socket = socket;
    begin("stand-in lines", () -> read(hear));
    begin("stand-in says", this::write);
  }

  private void begin(String name, Runnable work) {
    Thread t = new Thread(work, name);
    t.setDaemon(true);
    t.start();
  }

  /** Says lines, without waiting until they are read. */
  void say(List<String> lines) {
    for (String line : lines) {
      if (!waiting.offer(line)) {
        close();
        return;
      }
    }
  }

  private void read(Consumer<String> hear) {
    try {
      LineReader in = new LineReader(socket.getInputStream());
      for (@Nullable String line = in.next(); line != null; line = in.next()) {
        hear.accept(line);
      }
    } catch (IOException e) {
      // The other side is gone; what must be known is said to who comes next.
      return;
    } finally {
      close();
    }
  }

  private void write() {
    try (var out =
        new BufferedWriter(
            new OutputStreamWriter(socket.getOutputStream(), StandardCharsets.UTF_8))) {
      while (!socket.isClosed()) {
        out.write(waiting.take());
        out.write('\n');
        if (waiting.isEmpty()) {
          out.flush();
        }
      }
    } catch (IOException e) {
      // Gone, as above.
      return;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  void close() {
    try {
      socket.close();
    } catch (IOException e) {
      // Gone either way.
      return;
    }
    // Wakes the writer, which then sees that the socket is closed.
    waiting.offer("");
  }
}
