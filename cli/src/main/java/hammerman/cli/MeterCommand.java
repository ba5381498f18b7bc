package hammerman.cli;

import hammerman.forecast.Forecast;
import hammerman.project.UnreadableProject;
import hammerman.prove.SimulatedMeter;
import hammerman.store.ProjectFile;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Stands in for an inline meter. */
@Command(
    name = "meter",
    description =
        "Stands in for an inline meter while the duty is done, on a loopback socket, until it is"
            + " stopped (docs/devices.md).")
final class MeterCommand implements Callable<Integer> {
  /** Where the program looks for a meter if nothing else is said. */
  static final int PORT = 7719;

  @Spec CommandSpec spec;

  @Parameters(paramLabel = "FILE", description = "a project file; its duty is done")
  Path file;

  @Option(
      names = "--port",
      paramLabel = "N",
      defaultValue = "" + PORT,
      description = "of the loopback address; 0 for any (default: ${DEFAULT-VALUE})")
  int port;

  @Option(
      names = "--speed",
      paramLabel = "N",
      defaultValue = "1",
      description = "seconds of the run in each second (default: ${DEFAULT-VALUE})")
  double speed;

  @Option(
      names = "--seed",
      paramLabel = "N",
      defaultValue = "1",
      description = "of its noise (default: ${DEFAULT-VALUE})")
  long seed;

  @Override
  public Integer call() throws UnreadableProject {
    Listening.check(port, speed);
    Forecast f = Forecast.of(ProjectFile.read(file).design());
    return Listening.until(
        spec,
        new SimulatedMeter(f.duty(), seed),
        "A meter of %d samples a second".formatted(SimulatedMeter.RATE),
        port,
        speed);
  }
}
