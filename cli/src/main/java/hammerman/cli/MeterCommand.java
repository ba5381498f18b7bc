package hammerman.cli;

import hammerman.forecast.Forecast;
import hammerman.project.UnreadableProject;
import hammerman.prove.SimulatedMeter;
import hammerman.store.ProjectFile;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Parameters;

/** Stands in for an inline meter. */
@Command(
    name = "meter",
    description =
        "Stands in for an inline meter while the duty is done, on a loopback socket, until it is"
            + " stopped (docs/devices.md).")
final class MeterCommand implements Callable<Integer> {
  /** Where the program looks for a meter if nothing else is said. */
  static final int PORT = 7719;

  @Mixin Listening listening = new Listening(PORT, 1);

  @Parameters(paramLabel = "FILE", description = "a project file; its duty is done")
  Path file;

  @Override
  public Integer call() throws UnreadableProject {
    listening.check();
    Forecast f = Forecast.of(ProjectFile.read(file).design());
    return listening.until(
        new SimulatedMeter(f.duty(), listening.seed),
        "A meter of %d samples a second".formatted(SimulatedMeter.RATE));
  }
}
