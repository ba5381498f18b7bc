package hammerman.cli;

import hammerman.device.StandIn;
import hammerman.device.StandInServer;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import java.io.IOException;
import java.io.PrintWriter;
import picocli.CommandLine.Model.CommandSpec;

/** What every command does that stands in for a device: it listens until it is stopped. */
final class Listening {
  private Listening() {}

  /** Refuses a port or a speed that cannot be. */
  static void check(int port, double speed) {
    Valid.count("--port", port, 0, 65_535);
    Valid.range("--speed", speed, 0.1, 100_000, Unit.ONE);
  }

  /**
   * Listens.
   *
   * @param what it is, in words that begin a sentence
   * @param speed seconds of the device in each second
   */
  static int until(CommandSpec spec, StandIn device, String what, int port, double speed) {
    try (StandInServer server = new StandInServer(device, port, speed)) {
      PrintWriter out = spec.commandLine().getOut();
      out.println("%s listens at port %d.".formatted(what, server.port()));
      out.flush();
      server.serve();
      return Main.FINE;
    } catch (IOException e) {
      spec.commandLine()
          .getErr()
          .println(
              "hammerman: port %d cannot be had (%s); name another with --port."
                  .formatted(port, e.getMessage()));
      return Main.UNUSABLE;
    }
  }
}
