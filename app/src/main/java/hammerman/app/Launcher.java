package hammerman.app;

import hammerman.app.theme.Theme;
import javafx.application.Application;

/** Entry point; apart from the application class so that JavaFX may lie on the class path. */
public final class Launcher {
  private Launcher() {}

  /**
   * Starts the application.
   *
   * @param args a file to open; or {@code --demo}; or {@code --walk DIR}, which goes through the stations
   *     of the worked example and writes a picture of each; or {@code --rehearse}, which does so without
   *     pictures; or {@code --until-shown}, which prints how long the window took and ends
   */
  public static void main(String[] args) {
    System.setProperty("javafx.sg.warn", "false");
    Theme.loadFonts();
    Application.launch(HammermanApp.class, args);
  }
}
