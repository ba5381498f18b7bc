package hammerman.bench;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.AppenderBase;
import hammerman.app.job.Latest;
import hammerman.app.session.Workshop;
import hammerman.app.shell.Frame;
import hammerman.app.station.StationView;
import hammerman.app.theme.Theme;
import hammerman.finding.Station;
import hammerman.project.Project;
import hammerman.store.DesignState;
import hammerman.store.ProjectStore;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.stage.Stage;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/**
 * Random use of the real window while its surroundings fail: the disk is full, the file is moved
 * away, a device floods it. Says what the program logged as an error, whether the file holds what
 * the window shows, and how the memory in use has grown since five minutes after the beginning.
 */
final class UseBench {
  private static final long SEED = 41;
  private static final int PORT = 7718;
  private static final int GROUPS = 13;
  private static final int LINES_PER_S = 5000;
  private static final Duration LOOK_EVERY = Duration.ofMinutes(5);
  private static final Duration STEP = Duration.ofMillis(60);
  private static final long MB = 1L << 20;

  private final Path home;
  private final Hands hands;
  private final Mishaps mishaps;
  private final Map<String, AtomicInteger> errors = new ConcurrentHashMap<>();
  private @Nullable Workshop workshop;
  private @Nullable Frame frame;

  private UseBench(Path home) throws IOException {
    this.home = home;
    Path files = Files.createDirectories(home.resolve("files"));
    hands = new Hands(SEED, files);
    mishaps = new Mishaps(SEED, home);
  }

  /**
   * Uses the window.
   *
   * @param minutes how long
   * @param home folder of its own, on a disk that may be filled
   */
  static void run(int minutes, Path home) throws IOException, InterruptedException {
    new UseBench(Files.createDirectories(home)).use(minutes);
  }

  private void use(int minutes) throws IOException, InterruptedException {
    listen();
    CountDownLatch up = new CountDownLatch(1);
    Platform.setImplicitExit(false);
    Platform.startup(
        () -> {
          open();
          up.countDown();
        });
    up.await();
    goEverywhere();
    long begun = System.nanoTime();
    long first = 0;
    int acts = 0;
    try (Flood flood = new Flood(PORT, GROUPS, LINES_PER_S)) {
      onScreen(
          () -> {
            frame().go(Station.BUILD, "charge");
            if (frame().root().lookup("#charge-connect") instanceof Button connect) {
              connect.fire();
            }
          });
      Duration whole = Duration.ofMinutes(minutes);
      Duration next = LOOK_EVERY;
      while (since(begun).compareTo(whole) < 0) {
        TimeUnit.MILLISECONDS.sleep(STEP.toMillis());
        onScreen(() -> hands.act(frame()));
        acts++;
        if (acts % 400 == 0) {
          mishaps.next(workshop().keeper().keptProperty().get().file());
        }
        if (since(begun).compareTo(next) >= 0) {
          next = next.plus(LOOK_EVERY);
          mishaps.over();
          long used = look(since(begun), acts, flood);
          first = first == 0 ? used : first;
        }
      }
      mishaps.over();
      long used = look(since(begun), acts, flood);
      System.out.printf(
          "%d acts, %s, %d lines of a flooding pack taken; memory in use at the end %d MB, %.2f"
              + " times that after the first %d min%n",
          acts,
          mishaps.said(),
          flood.said(),
          used / MB,
          used / (double) Math.max(1, first),
          LOOK_EVERY.toMinutes());
    }
    onScreen(
        () -> {
          Latest.giveUpAll();
          workshop().close();
        });
    workshop().awaitClosed();
    new TreeMap<>(errors).forEach((what, times) -> System.out.println(times + " times: " + what));
    System.out.println(errors.isEmpty() ? "no error was logged" : "ERRORS WERE LOGGED");
  }

  /** Every view is made when it is first gone to, and keeps its pictures from then on. */
  private void goEverywhere() throws InterruptedException {
    for (StationView station : frame().stations()) {
      for (String view : station.page().views()) {
        onScreen(() -> frame().go(station.page().station(), view));
        rest();
      }
    }
  }

  private void rest() throws InterruptedException {
    for (int k = 0; k < 600 && !atRest(); k++) {
      TimeUnit.MILLISECONDS.sleep(100);
    }
  }

  private static Duration since(long nanos) {
    return Duration.ofNanos(System.nanoTime() - nanos);
  }

  private Workshop workshop() {
    return Objects.requireNonNull(workshop);
  }

  private Frame frame() {
    return Objects.requireNonNull(frame);
  }

  private void open() {
    Theme.loadFonts();
    Workshop made = Workshop.open(home);
    workshop = made;
    Frame shown = new Frame(made, hands);
    frame = shown;
    Thread.UncaughtExceptionHandler inWords = Thread.currentThread().getUncaughtExceptionHandler();
    Thread.currentThread()
        .setUncaughtExceptionHandler(
            (t, e) -> {
              note("on the interface thread: " + e + at(e));
              inWords.uncaughtException(t, e);
            });
    shown.setTheme(Theme.DAY);
    Stage stage = new Stage();
    stage.setScene(new Scene(shown.root(), 1280, 800));
    stage.show();
    made.session().loadExample();
  }

  private void listen() {
    Thread.setDefaultUncaughtExceptionHandler(
        (t, e) -> note("on " + t.getName() + ": " + e + at(e)));
    if (LoggerFactory.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME) instanceof Logger root) {
      AppenderBase<ILoggingEvent> counting =
          new AppenderBase<>() {
            @Override
            protected void append(ILoggingEvent e) {
              if (e.getLevel().isGreaterOrEqual(Level.ERROR)) {
                note(
                    e.getFormattedMessage()
                        + (e.getThrowableProxy() == null
                            ? ""
                            : ": " + e.getThrowableProxy().getMessage()));
              }
            }
          };
      counting.setContext(root.getLoggerContext());
      counting.start();
      root.addAppender(counting);
    }
  }

  private void note(String what) {
    errors.computeIfAbsent(what, k -> new AtomicInteger()).incrementAndGet();
  }

  private static String at(Throwable e) {
    return e.getStackTrace().length == 0 ? "" : " at " + e.getStackTrace()[0];
  }

  private static void onScreen(Runnable work) throws InterruptedException {
    CountDownLatch done = new CountDownLatch(1);
    Platform.runLater(
        () -> {
          try {
            work.run();
          } finally {
            done.countDown();
          }
        });
    if (!done.await(60, TimeUnit.SECONDS)) {
      System.out.println("THE WINDOW DID NOT ANSWER IN A MINUTE");
    }
  }

  /** Comes to rest, compares the window with its file, and says how much memory is in use. */
  private long look(Duration since, int acts, Flood flood) throws InterruptedException {
    AtomicReference<Project> shown = new AtomicReference<>();
    AtomicReference<Path> file = new AtomicReference<>();
    onScreen(
        () -> {
          frame().closeOverlay();
          frame().go(Station.DUTY);
        });
    rest();
    onScreen(
        () -> {
          shown.set(workshop().session().project());
          file.set(workshop().keeper().keptProperty().get().file());
        });
    String same = "no file yet";
    if (file.get() != null) {
      try (ProjectStore store = ProjectStore.look(file.get())) {
        DesignState kept = store.design().present();
        same =
            kept.project().equals(shown.get())
                ? "the file holds what is shown"
                : "THE FILE HOLDS SOMETHING ELSE";
      } catch (IOException e) {
        same = "THE FILE CANNOT BE READ: " + e.getMessage();
      }
    }
    // The same pack each time, or what is in use tells the pack's size.
    onScreen(() -> workshop().session().loadExample());
    rest();
    System.gc();
    System.gc();
    long used = Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
    System.out.printf(
        "%s after %d min: %d acts, %d MB in use, %d lines of the flood, %d kinds of errors; %s%n",
        Clock.systemUTC().instant(),
        since.toMinutes(),
        acts,
        used / MB,
        flood.said(),
        errors.size(),
        same);
    return used;
  }

  private boolean atRest() throws InterruptedException {
    AtomicBoolean rest = new AtomicBoolean();
    onScreen(
        () ->
            rest.set(
                !Latest.anyBusy()
                    && !workshop().session().busyProperty().get()
                    && !workshop().keeper().keptProperty().get().waiting()));
    return rest.get();
  }
}
