package hammerman.app;

import hammerman.app.session.Recovery;
import hammerman.app.session.Session;
import hammerman.app.session.Settings;
import hammerman.app.session.Shelf;
import hammerman.app.shell.Frame;
import hammerman.app.theme.Theme;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.stage.Stage;
import javafx.stage.WindowEvent;

/** The application: one window. */
public final class HammermanApp extends Application {
  private static final double WIDTH = 1280;
  private static final double HEIGHT = 800;

  @Override
  public void start(Stage stage) {
    List<String> args = getParameters().getRaw();
    String first = args.isEmpty() ? "" : args.getFirst();
    boolean walk = first.equals("--walk") || first.equals("--rehearse");
    Path home = walk ? temporary() : Settings.home();
    Settings settings = new Settings(home);
    Recovery recovery = new Recovery(home.resolve("recovery"));
    Session session = new Session(recovery, new Shelf(home.resolve("cells.json")));
    Frame frame = new Frame(session, settings, recovery);
    frame.setTheme(frame.theme());
    Scene scene =
        new Scene(
            frame.root(),
            walk ? WIDTH : settings.number("width", WIDTH),
            walk ? HEIGHT : settings.number("height", HEIGHT));
    stage.setTitle("Hammerman");
    stage.setMinWidth(960);
    stage.setMinHeight(620);
    stage.setScene(scene);
    place(stage, settings);
    stage.setOnCloseRequest(e -> close(e, stage, settings, frame, session));
    if (first.equals("--demo")) {
      session.loadExample();
    } else if (!first.isEmpty() && !first.startsWith("--")) {
      frame.open(Path.of(first));
    }
    if (first.equals("--until-shown")) {
      stage.setOnShown(e -> Platform.runLater(() -> Platform.runLater(HammermanApp::reportShown)));
    }
    stage.show();
    if (walk) {
      Theme ground = args.contains("--night") ? Theme.NIGHT : Theme.DAY;
      new Walk(frame, session, scene, args.size() > 1 ? Path.of(args.get(1)) : null, ground)
          .start();
    }
  }

  private static Path temporary() {
    try {
      Path folder = Files.createTempDirectory("hammerman");
      folder.toFile().deleteOnExit();
      return folder;
    } catch (IOException e) {
      return Path.of(System.getProperty("java.io.tmpdir"));
    }
  }

  private static void place(Stage stage, Settings settings) {
    double x = settings.number("x", Double.NaN);
    double y = settings.number("y", Double.NaN);
    if (!Double.isNaN(x) && !Double.isNaN(y) && x >= 0 && y >= 0) {
      stage.setX(x);
      stage.setY(y);
    }
  }

  private static void close(
      WindowEvent event, Stage stage, Settings settings, Frame frame, Session session) {
    if (!frame.mayClose()) {
      event.consume();
      return;
    }
    settings.put("x", stage.getX());
    settings.put("y", stage.getY());
    settings.put("width", stage.getScene().getWidth());
    settings.put("height", stage.getScene().getHeight());
    settings.save();
    session.close();
  }

  /** Prints the time from the start of the process to the first drawn window, in ms. */
  private static void reportShown() {
    long started = ManagementFactory.getRuntimeMXBean().getStartTime();
    System.out.println("shown after " + (System.currentTimeMillis() - started) + " ms");
    Platform.exit();
  }
}
