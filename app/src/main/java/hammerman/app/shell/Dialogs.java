package hammerman.app.shell;

import hammerman.app.control.FileAsk;
import hammerman.app.session.Settings;
import java.io.File;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.control.Alert;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBar;
import javafx.scene.control.ButtonType;
import javafx.stage.FileChooser;
import javafx.stage.Window;
import org.jspecify.annotations.Nullable;

/** Asks for files with the system's dialog, beginning in the folder used last. */
final class Dialogs implements FileAsk {
  private final Settings settings;
  private final Supplier<@Nullable Window> owner;

  Dialogs(Settings settings, Supplier<@Nullable Window> owner) {
    this.settings = settings;
    this.owner = owner;
  }

  @Override
  public Optional<Path> open(String title, Kind kind) {
    return chosen(chooser(title, kind).showOpenDialog(owner.get()));
  }

  @Override
  public Optional<Path> save(String title, Kind kind, String suggestedName) {
    FileChooser chooser = chooser(title, kind);
    chooser.setInitialFileName(suggestedName);
    return chosen(chooser.showSaveDialog(owner.get()));
  }

  @Override
  public boolean mayReplace(Path file, String holds) {
    ButtonType replace = new ButtonType("Replace it", ButtonBar.ButtonData.OK_DONE);
    Alert question =
        new Alert(
            Alert.AlertType.CONFIRMATION,
            "It holds %s.".formatted(holds),
            replace,
            ButtonType.CANCEL);
    question.setTitle("Replace a file");
    question.setHeaderText("%s is there already.".formatted(file.getFileName()));
    question.initOwner(owner.get());
    ((Button) question.getDialogPane().lookupButton(replace)).setDefaultButton(false);
    ((Button) question.getDialogPane().lookupButton(ButtonType.CANCEL)).setDefaultButton(true);
    return question.showAndWait().filter(replace::equals).isPresent();
  }

  private Optional<Path> chosen(@Nullable File file) {
    if (file == null) {
      return Optional.empty();
    }
    Path path = file.toPath().toAbsolutePath();
    if (path.getParent() != null) {
      settings.put("folder", path.getParent());
    }
    return Optional.of(path);
  }

  private FileChooser chooser(String title, Kind kind) {
    FileChooser chooser = new FileChooser();
    chooser.setTitle(title);
    chooser
        .getExtensionFilters()
        .addAll(
            new FileChooser.ExtensionFilter(kind.name(), kind.patterns()),
            new FileChooser.ExtensionFilter("All files", "*"));
    File folder = new File(settings.text("folder", System.getProperty("user.home")));
    if (folder.isDirectory()) {
      chooser.setInitialDirectory(folder);
    }
    return chooser;
  }
}
