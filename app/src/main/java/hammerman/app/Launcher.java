package hammerman.app;

import hammerman.app.theme.Theme;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.application.Application;

/** Entry point; apart from the application class so that JavaFX may lie on the class path. */
public final class Launcher {
  private static final Logger TOOLKIT = Logger.getLogger("javafx");

  private Launcher() {}

  /**
   * Starts the application.
   *
   * @param args a file to open; or {@code --demo}; or {@code --walk DIR}, which goes through the
   *     stations of the worked example and writes a picture of each; or {@code --rehearse}, which
   *     does so without pictures; or {@code --until-shown}, which prints how long the window took
   *     and ends
   */
  public static void main(String[] args) {
    // On the class path JavaFX warns at every start; it is meant to lie there.
    TOOLKIT.setLevel(Level.SEVERE);
    Theme.loadFonts();
    Application.launch(HammermanApp.class, args);
  }
}
