package hammerman.app.shell;

import hammerman.app.control.FileAsk;
import hammerman.app.session.Session;
import hammerman.app.session.Settings;
import hammerman.project.ProjectFile;
import hammerman.project.Shipped;
import hammerman.project.UnreadableProject;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Alert;
import javafx.scene.control.ButtonBar;
import javafx.scene.control.ButtonType;
import javafx.stage.Window;
import org.jspecify.annotations.Nullable;

/** Opening, saving and leaving, with the questions that go with them. */
final class FileDesk {
  private final Session session;
  private static final FileAsk.Kind PROJECTS =
      new FileAsk.Kind("Hammerman projects", List.of("*" + ProjectFile.EXTENSION, "*.json"));

  private final Settings settings;
  private final FileAsk ask;
  private final Consumer<String> tell;
  private final Consumer<String> complain;

  /**
   * @param ask asks for files
   * @param tell takes a sentence about what was done
   * @param complain takes a sentence about what went wrong
   */
  FileDesk(
      Session session,
      Settings settings,
      FileAsk ask,
      Consumer<String> tell,
      Consumer<String> complain) {
    this.session = session;
    this.settings = settings;
    this.ask = ask;
    this.tell = tell;
    this.complain = complain;
  }

  void begin(@Nullable Window owner) {
    if (mayLeave(owner)) {
      session.begin();
      tell.accept("A new project.");
    }
  }

  void example(@Nullable Window owner, Shipped.Example example) {
    if (mayLeave(owner)) {
      session.loadExample(example);
      tell.accept(
          "The worked example is loaded; save it under a name of your own to keep changes.");
    }
  }

  void open(@Nullable Window owner) {
    if (mayLeave(owner)) {
      ask.open("Open a project", PROJECTS).ifPresent(this::openFile);
    }
  }

  /** Opens a file without asking; on failure the work at hand stays. */
  void openFile(Path file) {
    try {
      session.open(file);
      remember(file);
      tell.accept("Opened " + file.getFileName() + ".");
    } catch (UnreadableProject e) {
      complain.accept(e.getMessage());
    }
  }

  /** Saves where it was last saved, or asks. */
  boolean save() {
    Path file = session.stateProperty().get().file();
    return file == null ? saveAs() : saveTo(file);
  }

  boolean saveAs() {
    String name = session.project().name().replaceAll("[^\\w -]+", "").strip();
    return ask.save("Save the project", PROJECTS, name + ProjectFile.EXTENSION)
        .filter(file -> saveTo(named(file)))
        .isPresent();
  }

  /** Saves to a file without asking. */
  boolean saveTo(Path file) {
    try {
      session.save(file);
      remember(file);
      tell.accept("Saved " + file.getFileName() + ".");
      return true;
    } catch (IOException e) {
      complain.accept(
          "Not saved: %s cannot be written (%s). Choose another folder; your work is still here."
              .formatted(file.getFileName(), e.getMessage()));
      return false;
    }
  }

  /** Asks what to do with unsaved work; true if it may be left. */
  boolean mayLeave(@Nullable Window owner) {
    if (!session.stateProperty().get().dirty()) {
      return true;
    }
    ButtonType save = new ButtonType("Save", ButtonBar.ButtonData.YES);
    ButtonType discard = new ButtonType("Do not save", ButtonBar.ButtonData.NO);
    ButtonType stay = new ButtonType("Stay", ButtonBar.ButtonData.CANCEL_CLOSE);
    Alert alert =
        new Alert(
            Alert.AlertType.NONE,
            "“" + session.project().name() + "” has changes that are not saved.",
            save,
            discard,
            stay);
    alert.setTitle("Hammerman");
    alert.initOwner(owner);
    Optional<ButtonType> answer = alert.showAndWait();
    return answer.isPresent() && (answer.get() == discard || (answer.get() == save && save()));
  }

  private void remember(Path file) {
    settings.addRecent(file);
    settings.save();
  }

  private static Path named(Path file) {
    String name = Objects.requireNonNull(file.getFileName()).toString();
    return name.contains(".") ? file : file.resolveSibling(name + ProjectFile.EXTENSION);
  }
}
