package hammerman.cli;

import hammerman.device.StandIn;
import hammerman.device.StandInServer;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import java.io.IOException;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/**
 * What every command takes and does that stands in for a device: it listens until it is stopped.
 */
final class Listening {
  @Spec(Spec.Target.MIXEE)
  CommandSpec spec;

  @Option(
      names = "--port",
      paramLabel = "N",
      description = "of the loopback address; 0 for any (default: ${DEFAULT-VALUE})")
  int port;

  @Option(
      names = "--speed",
      paramLabel = "N",
      description = "seconds of the device in each second (default: ${DEFAULT-VALUE})")
  double speed;

  @Option(
      names = "--seed",
      paramLabel = "N",
      description = "of its noise and whatever else is made up (default: ${DEFAULT-VALUE})")
  long seed = 1;

  /**
   * @param port where the program looks for the device if nothing else is said
   * @param speed seconds of the device in each second if nothing else is said
   */
  Listening(int port, double speed) {
    this.port = port;
    this.speed = speed;
  }

  /** Refuses a port or a speed that cannot be. */
  void check() {
    Valid.count("--port", port, 0, 65_535);
    Valid.range("--speed", speed, 0.1, 100_000, Unit.ONE);
  }

  /**
   * Listens.
   *
   * @param what it is, in words that begin a sentence
   */
  int until(StandIn device, String what) {
    try (StandInServer server = new StandInServer(device, port, speed)) {
      var out = spec.commandLine().getOut();
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
