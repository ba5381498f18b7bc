package hammerman.bench;

import hammerman.app.session.Session;
import hammerman.app.session.Workshop;
import hammerman.app.shell.Frame;
import hammerman.app.theme.Theme;
import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.CountDownLatch;
import java.util.function.BiConsumer;
import java.util.function.BooleanSupplier;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.stage.Stage;
import javafx.util.Duration;

/**
 * The real window on the worked example, with a folder of its own.
 *
 * @param session the project
 * @param frame what is shown
 * @param scene it is shown in
 */
record Window(Session session, Frame frame, Scene scene) {
  private static boolean started;

  /**
   * Opens a window, lets a measurement run in it, waits until that says it is done, and closes it:
   * one left open would be drawn beside the next, and into the end of the process.
   */
  static void measure(BiConsumer<Window, Runnable> measurement)
      throws InterruptedException, IOException {
    Path home = Scratch.folder("window");
    CountDownLatch closed = new CountDownLatch(1);
    Runnable begin =
        () -> {
          Window window = open(home);
          measurement.accept(
              window,
              () ->
                  Platform.runLater(
                      () -> {
                        window.scene().getWindow().hide();
                        closed.countDown();
                      }));
        };
    if (started) {
      Platform.runLater(begin);
    } else {
      started = true;
      Platform.setImplicitExit(false);
      Platform.startup(begin);
    }
    closed.await();
  }

  /** Does something after a while, so that what goes on in the window comes to rest. */
  static void after(Duration pause, Runnable then) {
    PauseTransition waiting = new PauseTransition(pause);
    waiting.setOnFinished(e -> then.run());
    waiting.play();
  }

  /** Does something as soon as something else is so; asked again and again after a while. */
  static void until(Duration pause, BooleanSupplier so, Runnable then) {
    after(
        pause,
        () -> {
          if (so.getAsBoolean()) {
            then.run();
          } else {
            until(pause, so, then);
          }
        });
  }

  private static Window open(Path home) {
    Theme.loadFonts();
    Workshop workshop = Workshop.open(home);
    Session session = workshop.session();
    Frame frame = new Frame(workshop);
    frame.setTheme(Theme.DAY);
    Stage stage = new Stage();
    Scene scene = new Scene(frame.root(), 1280, 800);
    stage.setScene(scene);
    stage.show();
    session.loadExample();
    return new Window(session, frame, scene);
  }
}
