package hammerman.cli;

import hammerman.cell.CellType;
import hammerman.project.Shipped;
import hammerman.record.BayTest;
import hammerman.tester.SimulatedTester;
import hammerman.unit.InvalidValue;
import hammerman.unit.Valid;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** Stands in for a cell tester. */
@Command(
    name = "tester",
    description =
        "Stands in for a cell tester, on a loopback socket, until it is stopped"
            + " (docs/devices.md).")
final class TesterCommand implements Callable<Integer> {
  /** Where the program looks for a tester if nothing else is said. */
  static final int PORT = 7717;

  @Mixin Listening listening = new Listening(PORT, 600);

  @Option(
      names = "--bays",
      paramLabel = "N",
      defaultValue = "4",
      description = "cells at a time (default: ${DEFAULT-VALUE})")
  int bays;

  @Option(
      names = "--wrong",
      paramLabel = "BAY",
      defaultValue = "0",
      description = "in which another cell lies than is said (default: none)")
  int wrong;

  @Option(
      names = "--cell",
      paramLabel = "ID",
      defaultValue = "e18650",
      description = "type of its cells in the starter library (default: ${DEFAULT-VALUE})")
  String cell = "";

  @Override
  public Integer call() {
    Valid.count("--bays", bays, 1, BayTest.MOST_BAYS);
    Valid.count("--wrong", wrong, 0, bays);
    listening.check();
    CellType type =
        Shipped.cells().cells().stream()
            .filter(c -> c.id().equals(cell))
            .findFirst()
            .orElseThrow(
                () ->
                    new InvalidValue(
                        "--cell",
                        cell,
                        "must be in the starter library",
                        "Use e18650, p18650 or f32700."));
    return listening.until(
        new SimulatedTester(type, bays, listening.seed, Map.of(), wrong),
        "A tester with %d bays".formatted(bays));
  }
}
