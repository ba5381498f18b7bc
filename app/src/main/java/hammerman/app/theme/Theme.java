package hammerman.app.theme;

import java.util.Objects;
import javafx.application.Application;
import javafx.scene.text.Font;

/** The two themes. */
public enum Theme {
  DAY("day.css"),
  NIGHT("night.css");

  private static final String[] FONTS = {
    "Chivo_400Regular.ttf",
    "Chivo_600SemiBold.ttf",
    "Chivo_700Bold.ttf",
    "SometypeMono_400Regular.ttf",
    "SometypeMono_600SemiBold.ttf"
  };
  private static final String FOLDER = "/hammerman/app/";

  private final String sheet;

  Theme(String sheet) {
    this.sheet = sheet;
  }

  /** Loads the shipped fonts; once, before the first scene. */
  public static void loadFonts() {
    for (String font : FONTS) {
      Font.loadFont(url("font/" + font), 12);
    }
  }

  /** Puts the theme on every window. */
  public void apply() {
    Application.setUserAgentStylesheet(url(sheet));
  }

  /** Returns the other theme. */
  public Theme other() {
    return this == DAY ? NIGHT : DAY;
  }

  private static String url(String name) {
    return Objects.requireNonNull(Theme.class.getResource(FOLDER + name), name).toExternalForm();
  }
}
