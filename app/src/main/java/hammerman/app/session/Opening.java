package hammerman.app.session;

import hammerman.app.session.Keeper.Opened;
import hammerman.finding.Station;
import hammerman.project.Project;
import hammerman.record.Fact;
import hammerman.record.Run;
import hammerman.store.DesignState;
import hammerman.store.Line;
import hammerman.store.NotKept;
import hammerman.store.ProjectFile;
import hammerman.store.ProjectStore;
import hammerman.store.Salvage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;

/** Opening files of every form; used on the keeper's thread. */
final class Opening {
  private final UnnamedPacks unnamed;
  private final Clock clock;

  Opening(UnnamedPacks unnamed, Clock clock) {
    this.unnamed = unnamed;
    this.clock = clock;
  }

  Opened open(Path file) throws IOException {
    return switch (ProjectFile.form(file)) {
      case DATABASE -> opened(ProjectStore.open(file, clock.instant()), file, !unnamed.holds(file));
      case CONTAINER -> turnedOver(file);
      case DOCUMENT -> imported(file);
    };
  }

  Opened look(Path file) throws IOException {
    return opened(ProjectStore.look(file), file, true);
  }

  /** What can be read of a damaged file, in a new one beside it. */
  Opened salvaged(Path file) throws IOException {
    Path target = beside(file, ", what could be read");
    String read = Salvage.of(file, target, clock.instant());
    return opened(ProjectStore.open(target, clock.instant()), target, true)
        .saying(
            "Read "
                + read
                + " into "
                + target.getFileName()
                + "; the damaged file was left as it is.");
  }

  private static Opened opened(ProjectStore store, Path from, boolean named) throws IOException {
    try {
      Line line = store.design().line();
      Project now = line.now().project();
      String said = "";
      if (!store.isReadOnly()) {
        for (Fact<Run> run : store.runBook().endCutShort()) {
          long samples = store.runBook().samples(run.id());
          store
              .runBook()
              .describe(run.id(), RunLog.described(store, run.id(), run.value(), samples));
          said =
              "The run “%s” was cut short; its %d samples are saved at Runs."
                  .formatted(run.value().name(), samples);
        }
      }
      return new Opened(
          line,
          store.design().lastState(),
          now,
          from,
          said,
          store.design().marks(),
          file -> file.take(store, named));
    } catch (IOException e) {
      store.close();
      throw e;
    }
  }

  /** A file of an earlier version goes on beside it under a new name. */
  private Opened turnedOver(Path file) throws IOException {
    DesignState first = first(file, "Taken over");
    ProjectStore made;
    boolean named = true;
    try {
      made = ProjectStore.create(beside(file, ""), first, clock.instant());
    } catch (NotKept e) {
      made = ProjectStore.create(unnamed.fresh(), first, clock.instant());
      named = false;
    }
    return opened(made, made.file(), named)
        .saying(
            file.getFileName()
                + " is of an earlier version and was left as it is; the work goes on "
                + (named ? "in " + made.file().getFileName() : "without a name")
                + ".");
  }

  /** A bare document is no project's file: it is taken in, and has no name yet. */
  private Opened imported(Path file) throws IOException {
    DesignState first = first(file, "Import of " + file.getFileName());
    return new Opened(
        new Line(List.of(first), 0),
        1,
        first.project(),
        file,
        "Took in "
            + file.getFileName()
            + ", which was left as it is; the work is kept without a name until you give it one.",
        List.of(),
        kept -> kept.begin(() -> first));
  }

  private DesignState first(Path file, String what) throws IOException {
    return DesignState.of(1, clock.instant(), Station.DUTY, what, ProjectFile.document(file));
  }

  /** A name beside a file that nothing has yet. */
  private static Path beside(Path file, String suffix) {
    String stem = String.valueOf(file.getFileName()).replaceFirst("\\.[^.]*$", "") + suffix;
    Path target = file.resolveSibling(stem + ProjectFile.EXTENSION);
    for (int k = 2; Files.exists(target); k++) {
      target = file.resolveSibling(stem + " " + k + ProjectFile.EXTENSION);
    }
    return target;
  }
}
