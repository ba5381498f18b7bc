package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.app.theme.Theme;
import hammerman.design.Design;
import hammerman.finding.Station;
import hammerman.guard.Protection;
import hammerman.project.Shipped;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javafx.scene.Node;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import javafx.stage.Stage;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What the pictures draw, at any size, in both themes, for every cell. */
class PicturesTest extends AtTheDesk {
  private final List<Throwable> uncaught = new CopyOnWriteArrayList<>();

  @Override
  void start(Stage stage) {
    Thread.currentThread().setUncaughtExceptionHandler((t, e) -> uncaught.add(e));
    super.start(stage);
  }

  @Override
  @AfterEach
  void end() throws TimeoutException {
    super.end();
    assertThat(uncaught).isEmpty();
  }

  @ParameterizedTest
  @EnumSource(Station.class)
  void picturesAreDrawnInBothThemes(Station station) {
    desk.example();
    desk.go(station);
    desk.quiet();
    Set<Integer> day = colours();
    Desk.fx(
        () -> {
          desk.frame.setTheme(Theme.NIGHT);
          return null;
        });
    desk.quiet();
    Set<Integer> night = colours();
    assertThat(day.size()).as("shades drawn").isGreaterThan(20);
    Set<Integer> both = new HashSet<>(day);
    both.retainAll(night);
    assertThat(both.size()).as("shades common to day and night").isLessThan(day.size() / 2);
  }

  @Test
  void designsAtTheirLimitsAreDrawn() {
    desk.example();
    Design d = Shipped.terraceBarrow().design();
    List<Design> odd =
        List.of(
            d.withCounts(1, 1),
            d.withCounts(250, 500),
            d.withGuard(d.guard().withProtection(new Protection.None())),
            d.withGuard(d.guard().withFuse(f -> f.withRating(5000))),
            d.withGuard(d.guard().withCharge(d.guard().charge().withVoltage(20))),
            d.withDuty(d.duty().withHardest(d.duty().hardest().withCurrent(5000))),
            d.withDuty(d.duty().withHabits(d.duty().habits().withCycles(0))));
    for (Design design : odd) {
      edit(design);
      for (Station station : Station.values()) {
        desk.go(station);
      }
    }
  }

  @Test
  void theFieldIsChosenWithTheMouse() {
    desk.example();
    desk.go(Station.STACK);
    desk.quiet();
    Region field = desk.find("#stack-field", Region.class);
    // The third column from the left in the fourth row from below.
    double x = Desk.fx(() -> field.localToScreen(40 + 2.5 * (field.getWidth() - 44) / 8, 0).getX());
    double y =
        Desk.fx(
            () ->
                field
                    .localToScreen(0, field.getHeight() - 34 - 3.5 * (field.getHeight() - 38) / 12)
                    .getY());
    desk.robot.moveTo(x, y);
    desk.settle();
    assertThat(desk.text("#field-reason")).startsWith("10S4P");
    desk.robot.clickOn(x, y);
    desk.settle();
    assertThat(desk.text("#counts")).isEqualTo("10S4P");
  }

  @Test
  void theCrosshairIsMovedByKeys() {
    desk.example();
    desk.go(Station.FORECAST);
    Region trace = desk.find("#run-trace", Region.class);
    Desk.fx(
        () -> {
          trace.requestFocus();
          return null;
        });
    desk.quiet();
    Set<Integer> before = new HashSet<>(row(trace));
    for (int k = 0; k < 20; k++) {
      desk.robot.push(KeyCode.RIGHT);
    }
    desk.quiet();
    assertThat(row(trace)).isNotEqualTo(before);
  }

  @Test
  void walkingThroughTheExampleWritesAPictureOfEachView(@TempDir Path folder) throws Exception {
    Process process =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Dglass.platform=Headless",
                "-Dprism.order=sw",
                "--enable-native-access=ALL-UNNAMED",
                "-cp",
                System.getProperty("java.class.path"),
                "hammerman.app.Launcher",
                "--walk",
                folder.toString(),
                "--only=1-")
            .redirectErrorStream(true)
            .start();
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
    assertThat(process.exitValue()).isZero();
    assertThat(said).contains(folder.toString());
    String[] pictures = folder.toFile().list();
    assertThat(pictures).hasSizeGreaterThanOrEqualTo(3).allMatch(n -> n.endsWith(".png"));
    var duty = ImageIO.read(folder.resolve("1-duty.png").toFile());
    assertThat(duty.getWidth()).isEqualTo(1280);
    assertThat(duty.getHeight()).isEqualTo(800);
  }

  private void edit(Design design) {
    Desk.fx(
        () -> {
          desk.session.editDesign("test", Station.STACK, d -> design);
          return null;
        });
    desk.settle();
  }

  /** The shades in the picture on screen. */
  private Set<Integer> colours() {
    Node picture = desk.find(".sheet-of-paper", Node.class);
    WritableImage image = Desk.fx(() -> picture.snapshot(null, null));
    Set<Integer> found = new HashSet<>();
    for (int y = 0; y < image.getHeight(); y += 2) {
      for (int x = 0; x < image.getWidth(); x += 2) {
        found.add(image.getPixelReader().getArgb(x, y));
      }
    }
    return found;
  }

  /** Columns of one row of the trace in which ink is drawn. */
  private static Set<Integer> row(Region trace) {
    WritableImage image = Desk.fx(() -> trace.snapshot(null, null));
    Set<Integer> dark = new HashSet<>();
    int y = (int) image.getHeight() / 2;
    for (int x = 0; x < image.getWidth(); x++) {
      if (image.getPixelReader().getColor(x, y).getBrightness() < 0.5) {
        dark.add(x);
      }
    }
    return dark;
  }
}
