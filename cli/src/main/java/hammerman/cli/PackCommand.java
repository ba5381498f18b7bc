package hammerman.cli;

import hammerman.project.UnreadableProject;
import hammerman.store.ProjectFile;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import hammerman.watch.SimulatedPack;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Stands in for a pack on the bench: its meter, BMS and charger. */
@Command(
    name = "pack",
    description =
        "Stands in for a pack on the bench with its meter, BMS and charger, on a loopback socket,"
            + " until it is stopped (docs/devices.md).")
final class PackCommand implements Callable<Integer> {
  /** Where the program looks for a pack if nothing else is said. */
  static final int PORT = 7718;

  @Mixin Listening listening = new Listening(PORT, 60);

  @Parameters(paramLabel = "FILE", description = "a project file; its active variant is built")
  Path file;

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

  @Override
  public Integer call() throws UnreadableProject {
    listening.check();
    Valid.range("--soc", soc / 100, 0.01, 0.99, Unit.PERCENT);
    var design = ProjectFile.read(file).design();
    Valid.count("--at", at, 1, design.pack().series());
    var pack =
        new SimulatedPack(
            design, soc / 100, SimulatedPack.Fault.named(fault), at - 1, listening.seed);
    return listening.until(pack, "A pack of %d groups".formatted(design.pack().series()));
  }
}
