package hammerman.app;

import hammerman.app.job.Latest;
import hammerman.app.session.Session;
import hammerman.app.session.Settings;
import hammerman.app.session.Workshop;
import hammerman.app.shell.Frame;
import hammerman.app.theme.Theme;
import java.lang.management.ManagementFactory;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.geometry.Rectangle2D;
import javafx.scene.Scene;
import javafx.stage.Screen;
import javafx.stage.Stage;

/** The application: one window. */
public final class HammermanApp extends Application {
  private static final double WIDTH = 1280;
  private static final double HEIGHT = 800;
  private static final double LEAST_WIDTH = 960;
  private static final double LEAST_HEIGHT = 620;

  @Override
  public void start(Stage stage) {
    List<String> args = getParameters().getRaw();
    String first = args.isEmpty() ? "" : args.getFirst();
    boolean walk = walks(first);
    // Before the first control is made, or the platform would load its own look too.
    Theme.DAY.apply();
    Workshop workshop = Launcher.workshop();
    Settings settings = workshop.settings();
    Session session = workshop.session();
    Frame frame = new Frame(workshop);
    frame.setTheme(frame.theme());
    Scene scene = new Scene(frame.root(), WIDTH, HEIGHT);
    stage.setTitle("Hammerman");
    stage.setScene(scene);
    if (!walk) {
      place(stage, settings);
    }
    stage.setOnCloseRequest(
        e -> {
          if (frame.mayClose()) {
            close(stage, workshop);
          } else {
            e.consume();
          }
        });
    if (first.equals("--demo")) {
      session.loadExample();
    } else if (!first.isEmpty() && !first.startsWith("--")) {
      frame.open(Path.of(first));
    }
    if (first.equals("--until-shown")) {
      stage.setOnShown(e -> reportDrawn(scene));
    }
    stage.show();
    if (walk) {
      Theme ground = args.contains("--night") ? Theme.NIGHT : Theme.DAY;
      String only = getParameters().getNamed().getOrDefault("only", "");
      Path folder = args.size() > 1 ? Path.of(args.get(1)) : null;
      new Walk(frame, workshop, scene, folder, ground, only).start();
    }
  }

  static boolean walks(String first) {
    return first.equals("--walk") || first.equals("--rehearse");
  }

  /** Puts the window where it was, if that is still on a screen; it is never larger than that. */
  private static void place(Stage stage, Settings settings) {
    List<Rectangle2D> screens = new ArrayList<>();
    screens.add(Screen.getPrimary().getVisualBounds());
    Screen.getScreens().forEach(s -> screens.add(s.getVisualBounds()));
    WindowPlace place =
        WindowPlace.on(
            new WindowPlace(
                settings.number("x", Double.NaN),
                settings.number("y", Double.NaN),
                Math.max(LEAST_WIDTH, settings.number("windowWidth", WIDTH)),
                Math.max(LEAST_HEIGHT, settings.number("windowHeight", HEIGHT))),
            screens);
    if (!Double.isNaN(place.x())) {
      stage.setX(place.x());
      stage.setY(place.y());
    }
    stage.setWidth(place.width());
    stage.setHeight(place.height());
    stage.setMinWidth(Math.min(LEAST_WIDTH, place.width()));
    stage.setMinHeight(Math.min(LEAST_HEIGHT, place.height()));
  }

  private static void close(Stage stage, Workshop workshop) {
    Settings settings = workshop.settings();
    settings.put("x", stage.getX());
    settings.put("y", stage.getY());
    settings.put("windowWidth", stage.getWidth());
    settings.put("windowHeight", stage.getHeight());
    Latest.giveUpAll();
    workshop.close();
  }

  /** The second pulse begins when the picture of the first one is drawn. */
  private static void reportDrawn(Scene scene) {
    scene.addPostLayoutPulseListener(
        new Runnable() {
          private boolean laidOut;

          @Override
          public void run() {
            if (laidOut) {
              scene.removePostLayoutPulseListener(this);
              reportShown();
            } else {
              laidOut = true;
              Platform.requestNextPulse();
            }
          }
        });
    Platform.requestNextPulse();
  }

  /** Prints the time from the start of the process to the first drawn window, in ms. */
  private static void reportShown() {
    long started = ManagementFactory.getRuntimeMXBean().getStartTime();
    System.out.println("shown after " + (System.currentTimeMillis() - started) + " ms");
    Launcher.workshop().close();
    Platform.exit();
  }
}
