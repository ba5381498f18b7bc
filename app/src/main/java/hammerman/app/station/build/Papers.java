package hammerman.app.station.build;

import hammerman.app.control.FileAsk;
import hammerman.app.station.Bench;
import hammerman.build.Booklet;
import hammerman.project.Project;
import hammerman.record.PartRecord;
import hammerman.store.WholeFile;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Writes the procedure and the parts to files. */
final class Papers {
  private static final FileAsk.Kind PDF = new FileAsk.Kind("PDF", List.of("*.pdf"));

  private Papers() {}

  static void booklet(Bench bench, BuildState state) {
    BuildState.Shown s = state.shown();
    if (s != null) {
      String name = state.session().project().name();
      write(
          bench,
          state,
          "Save the booklet",
          PDF,
          "build.pdf",
          Booklet.pdf(name, s.progress(), s.settings()));
    }
  }

  static void partsPaper(Bench bench, BuildState state) {
    BuildState.Shown s = state.shown();
    if (s != null) {
      Project project = state.session().project();
      write(
          bench,
          state,
          "Save the parts list",
          PDF,
          "parts.pdf",
          Booklet.parts(project.name(), s.parts(), here(s), project.duty().bounds().prices()));
    }
  }

  static void partsTable(Bench bench, BuildState state) {
    BuildState.Shown s = state.shown();
    if (s != null) {
      write(
          bench,
          state,
          "Save the parts list",
          FileAsk.Kind.TABLE,
          "parts.csv",
          s.parts().csv(here(s)).getBytes(StandardCharsets.UTF_8));
    }
  }

  private static Set<String> here(BuildState.Shown s) {
    return s.parts().items().stream()
        .map(p -> p.key())
        .filter(k -> s.have(k) == PartRecord.Have.HERE)
        .collect(Collectors.toSet());
  }

  private static void write(
      Bench bench, BuildState state, String title, FileAsk.Kind kind, String name, byte[] bytes) {
    bench
        .files()
        .save(title, kind, name)
        .ifPresent(
            file -> {
              try {
                WholeFile.write(file, bytes);
                state.say("Wrote " + file.getFileName() + ".");
              } catch (IOException e) {
                state.say(
                    "%s could not be written (%s). Choose another folder."
                        .formatted(file.getFileName(), e.getMessage()));
              }
            });
  }
}
