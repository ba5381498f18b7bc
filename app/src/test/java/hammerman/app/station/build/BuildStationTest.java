package hammerman.app.station.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;

import hammerman.app.control.FileAsk;
import hammerman.app.session.Workshop;
import hammerman.app.station.Bench;
import hammerman.build.OnePack;
import hammerman.forecast.Forecast;
import hammerman.project.Shipped;
import java.nio.file.Path;
import java.util.Objects;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.util.WaitForAsyncUtils;

/** What the station shows when the steps of a design cannot be made. */
@ExtendWith(ApplicationExtension.class)
class BuildStationTest {
  private static <T> T fx(Callable<T> does) {
    return WaitForAsyncUtils.waitForAsyncFx(30_000, does);
  }

  @Test
  void theStepsOfTheDesignBeforeAreNotShownForOneThatHasNone(@TempDir Path home) throws Exception {
    Forecast sound = Forecast.of(Shipped.terraceBarrow().design());
    Forecast other = Forecast.of(Shipped.starter().design());
    Workshop workshop = fx(() -> Workshop.open(home));
    Bench bench =
        new Bench(
            workshop.session(),
            workshop.settings(),
            mock(FileAsk.class),
            working -> {},
            node -> {},
            (station, view) -> {});
    BuildStation station =
        fx(
            () ->
                new BuildStation(
                    bench,
                    f -> {
                      if (f.equals(other)) {
                        throw new IllegalStateException("no order can be found");
                      }
                      return OnePack.all(f);
                    }));
    assertThat(answerTo(station, sound, "steps are done")).contains("0 of");
    assertThat(fx(() -> steps(station).isVisible())).isTrue();
    assertThat(answerTo(station, other, "no order can be found")).contains("stays in the file");
    assertThat(fx(() -> steps(station).isVisible())).isFalse();
    assertThat(answerTo(station, sound, "steps are done")).contains("0 of");
    assertThat(fx(() -> steps(station).isVisible())).isTrue();
    fx(
        () -> {
          workshop.close();
          return home;
        });
  }

  /** What the page answers once it says this of a forecast. */
  private static String answerTo(BuildStation station, Forecast forecast, String says)
      throws Exception {
    fx(
        () -> {
          station.show(forecast);
          return forecast;
        });
    WaitForAsyncUtils.waitFor(60, TimeUnit.SECONDS, () -> fx(() -> answer(station)).contains(says));
    return fx(() -> answer(station));
  }

  private static String answer(BuildStation station) {
    return station.page().lookup("#answer") instanceof Labeled l ? l.getText() : "";
  }

  /** The place of all views. */
  private static Node steps(BuildStation station) {
    return Objects.requireNonNull(station.page().parts().get("steps")).getParent().getParent();
  }
}
