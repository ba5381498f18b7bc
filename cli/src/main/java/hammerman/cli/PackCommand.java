package hammerman.cli;

import hammerman.project.UnreadableProject;
import hammerman.store.ProjectFile;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import hammerman.watch.SimulatedPack;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Stands in for a pack on the bench: its meter, BMS and charger. */
@Command(
    name = "pack",
    description =
        "Stands in for a pack on the bench with its meter, BMS and charger, on a loopback socket,"
            + " until it is stopped (docs/devices.md).")
final class PackCommand implements Callable<Integer> {
  /** Where the program looks for a pack if nothing else is said. */
  static final int PORT = 7718;

  @Spec CommandSpec spec;

  @Parameters(paramLabel = "FILE", description = "a project file; its active variant is built")
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
      defaultValue = "60",
      description = "seconds of a charge in each second (default: ${DEFAULT-VALUE})")
  double speed;

  @Option(
      names = "--soc",
      paramLabel = "PERCENT",
      defaultValue = "30",
      description = "charge at the beginning (default: ${DEFAULT-VALUE})")
  double soc;

  @Option(
      names = "--fault",
      paramLabel = "NAME",
      defaultValue = "none",
      description =
          "none, swapped, open, low, runaway, sensor, charger, short or silent (default:"
              + " ${DEFAULT-VALUE})")
  String fault = "none";

  @Option(
      names = "--at",
      paramLabel = "N",
      defaultValue = "1",
      description = "the lead or group that has it (default: ${DEFAULT-VALUE})")
  int at;

  @Option(
      names = "--seed",
      paramLabel = "N",
      defaultValue = "1",
      description = "of its capacities and noise (default: ${DEFAULT-VALUE})")
  long seed;

  @Override
  public Integer call() throws UnreadableProject {
    Listening.check(port, speed);
    Valid.range("--soc", soc / 100, 0.01, 0.99, Unit.PERCENT);
    var design = ProjectFile.read(file).design();
    Valid.count("--at", at, 1, design.pack().series());
    var pack = new SimulatedPack(design, soc / 100, SimulatedPack.Fault.named(fault), at - 1, seed);
    return Listening.until(
        spec, pack, "A pack of %d groups".formatted(design.pack().series()), port, speed);
  }
}
