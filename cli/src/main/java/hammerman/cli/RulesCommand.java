package hammerman.cli;

import hammerman.judgement.Judge;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;

/** Prints what is judged, as the page docs/judgements.md. */
@Command(name = "rules", description = "Prints the list of judgements.")
final class RulesCommand implements Callable<Integer> {
  @Spec CommandSpec spec;

  @Override
  public Integer call() {
    spec.commandLine().getOut().print(Judge.page());
    return Main.FINE;
  }
}
