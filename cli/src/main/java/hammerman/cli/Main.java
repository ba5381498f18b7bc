package hammerman.cli;

import hammerman.project.UnreadableProject;
import hammerman.store.NotKept;
import hammerman.table.UnreadableTable;
import hammerman.unit.InvalidValue;
import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.OutputStreamWriter;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** Entry point of the command line. */
@Command(
    name = "hammerman",
    description = "Designs and judges battery packs built from cells.",
    mixinStandardHelpOptions = true,
    scope = CommandLine.ScopeType.INHERIT,
    version = "Hammerman 0.1",
    subcommands = {
      PredictCommand.class,
      CheckCommand.class,
      PlanCommand.class,
      ConvertCommand.class,
      MatchCommand.class,
      ProbeCommand.class,
      TesterCommand.class,
      ProcedureCommand.class,
      PartsCommand.class,
      PackCommand.class,
      MeterCommand.class,
      ReadRunCommand.class,
      RulesCommand.class
    })
public final class Main {
  /** Exit code when all is well. */
  static final int FINE = 0;

  /**
   * Exit code when {@code check} found a stop, {@code match} too few cells, {@code probe} a fault.
   */
  static final int STOPPED = 1;

  /** Exit code when the input cannot be used. */
  static final int UNUSABLE = 2;

  /** The longest message, characters. */
  private static final int LONGEST = 280;

  private Main() {}

  public static void main(String[] args) {
    PrintWriter out = utf8(FileDescriptor.out);
    PrintWriter err = utf8(FileDescriptor.err);
    int code = run(args, out, err);
    out.flush();
    err.flush();
    if (out.checkError()) {
      err.println("hammerman: the output could not be written; free some room where it goes.");
      err.flush();
      code = UNUSABLE;
    }
    System.exit(code);
  }

  /** Runs a command line and returns its exit code. */
  static int run(String[] args, PrintWriter out, PrintWriter err) {
    return new CommandLine(new Main())
        .setCaseInsensitiveEnumValuesAllowed(true)
        .setExpandAtFiles(false)
        .setColorScheme(CommandLine.Help.defaultColorScheme(CommandLine.Help.Ansi.OFF))
        .setOut(out)
        .setErr(err)
        .setExecutionExceptionHandler(
            (e, line, parsed) -> {
              String message =
                  e instanceof UnreadableProject
                          || e instanceof InvalidValue
                          || e instanceof NotKept
                          || e instanceof UnreadableTable
                      ? e.getMessage()
                      : ErrorLog.note(e);
              line.getErr().println("hammerman: " + plain(message));
              return UNUSABLE;
            })
        .setParameterExceptionHandler(
            (e, words) -> {
              CommandLine of = e.getCommandLine();
              String which = of.getCommandSpec().qualifiedName();
              of.getErr().println("hammerman: %s; see %s --help.".formatted(plain(said(e)), which));
              return UNUSABLE;
            })
        .execute(args);
  }

  /** One line without control codes, and not endless: what was typed is a stranger's. */
  private static String plain(@Nullable String message) {
    String line =
        String.valueOf(message)
            .replaceAll("\\s*\\R\\s*", " ")
            .replaceAll("[\\p{Cntrl}\\p{Cf}]", "\uFFFD");
    return line.length() <= LONGEST ? line : line.substring(0, LONGEST - 1) + "…";
  }

  /** Names the nearest command if there is none of this name. */
  private static String said(CommandLine.ParameterException e) {
    if (e instanceof CommandLine.UnmatchedArgumentException u
        && e.getCommandLine().getParent() == null
        && !u.getUnmatched().isEmpty()) {
      String typed = u.getUnmatched().getFirst();
      // What begins otherwise is more likely another word than a slip.
      String first = typed.substring(0, Math.min(1, typed.length()));
      List<String> near = u.getSuggestions().stream().filter(n -> n.startsWith(first)).toList();
      return "there is no command “%s”%s"
          .formatted(typed, near.isEmpty() ? "" : "; did you mean " + near.getFirst());
    }
    return String.valueOf(e.getMessage());
  }

  private static PrintWriter utf8(FileDescriptor descriptor) {
    return new PrintWriter(
        new OutputStreamWriter(new FileOutputStream(descriptor), StandardCharsets.UTF_8));
  }
}
