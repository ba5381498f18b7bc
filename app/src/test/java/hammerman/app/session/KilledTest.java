package hammerman.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.finding.Station;
import hammerman.project.Shipped;
import hammerman.store.DesignChange;
import hammerman.store.DesignState;
import hammerman.store.ProjectStore;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A program that is killed: its work is there at the next start. */
class KilledTest {
  @TempDir Path home;

  /** Edits, waits until it is told that all is kept, and dies without ending anything. */
  static final class Dies {
    private Dies() {}

    public static void main(String[] args) throws InterruptedException {
      CountDownLatch kept = new CountDownLatch(1);
      Keeper keeper =
          new Keeper(
              Path.of(args[0]),
              Executors.newSingleThreadScheduledExecutor(),
              Runnable::run,
              Clock.systemUTC());
      keeper
          .keptProperty()
          .addListener(
              (o, was, is) -> {
                if (!is.waiting() && is.file() != null && is.at() != null) {
                  kept.countDown();
                }
              });
      Instant now = Clock.systemUTC().instant();
      keeper.begin(() -> DesignState.of(1, now, Station.DUTY, "First", Shipped.terraceBarrow()));
      for (int k = 2; k < 40; k++) {
        int n = k;
        keeper.keep(
            () ->
                new DesignChange.Edited(
                    DesignState.of(
                        n,
                        now,
                        Station.STACK,
                        "Edit " + n,
                        Shipped.terraceBarrow().withName("Cut short " + n))));
      }
      kept.await();
      Runtime.getRuntime().halt(137);
    }
  }

  @Test
  void aKilledProgramsWorkIsOfferedWithItsNameCountsAndTimeAndUndoReachesBack() throws Exception {
    Process process =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "--enable-native-access=ALL-UNNAMED",
                "-cp",
                System.getProperty("java.class.path"),
                Dies.class.getName(),
                home.toString())
            .redirectErrorStream(true)
            .start();
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.waitFor(30, TimeUnit.SECONDS)).isTrue();
    assertThat(process.exitValue()).as(said).isEqualTo(137);
    UnnamedPacks packs = new UnnamedPacks(home);
    List<Unnamed> left = packs.left();
    assertThat(left).hasSize(1);
    assertThat(left.getFirst().name()).startsWith("Cut short ");
    assertThat(left.getFirst().counts()).isEqualTo("13S6P");
    try (ProjectStore store =
        ProjectStore.open(left.getFirst().file(), Clock.systemUTC().instant())) {
      assertThat(packs.left()).as("one that is worked on is not offered").isEmpty();
      assertThat(store.design().present().id()).isEqualTo(39);
      assertThat(store.design().line().states()).hasSize(39);
    }
  }
}
