package hammerman.app.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import javafx.util.Duration;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.util.WaitForAsyncUtils;

@ExtendWith(ApplicationExtension.class)
class LatestTest {
  private final List<String> delivered = new CopyOnWriteArrayList<>();

  @Test
  void aNewerRequestSupersedesTheOlder() throws Exception {
    Latest latest = new Latest("test");
    CountDownLatch started = new CountDownLatch(1);
    CountDownLatch never = new CountDownLatch(1);
    fx(
        () ->
            latest.submit(
                () -> {
                  started.countDown();
                  try {
                    never.await();
                  } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                  }
                  return "old";
                },
                delivered::add));
    assertThat(started.await(5, TimeUnit.SECONDS)).isTrue();
    fx(() -> latest.submit(() -> "new", delivered::add));
    WaitForAsyncUtils.waitFor(5, TimeUnit.SECONDS, () -> delivered.contains("new"));
    WaitForAsyncUtils.waitForFxEvents();
    assertThat(delivered).containsExactly("new");
    assertThat(latest.busyProperty().get()).isFalse();
    latest.close();
  }

  @Test
  void workThatNeedsTooMuchMemoryIsSaidAndBusyDoesNotStick() throws Exception {
    Latest latest = new Latest("test");
    fx(
        () ->
            latest.submit(
                () -> {
                  throw new OutOfMemoryError("on purpose");
                },
                (String s) -> delivered.add(s),
                e -> delivered.add(Latest.inWords(e))));
    WaitForAsyncUtils.waitFor(5, TimeUnit.SECONDS, () -> !delivered.isEmpty());
    WaitForAsyncUtils.waitForFxEvents();
    assertThat(delivered).containsExactly("it needs more memory than there is");
    assertThat(latest.busyProperty().get()).isFalse();
    latest.close();
  }

  @Test
  void workThatFailsLeavesTheLastResultAndIsNotBusy() throws Exception {
    Latest latest = new Latest("test");
    fx(
        () ->
            latest.submit(
                () -> {
                  throw new IllegalStateException("on purpose, to see it survived");
                },
                (String s) -> delivered.add(s)));
    WaitForAsyncUtils.waitFor(5, TimeUnit.SECONDS, () -> !latest.busyProperty().get());
    assertThat(delivered).isEmpty();
    fx(() -> latest.submit(() -> "next", delivered::add));
    WaitForAsyncUtils.waitFor(5, TimeUnit.SECONDS, () -> delivered.contains("next"));
    latest.close();
  }

  /** While one edit follows another nothing is begun; it is busy from the first on. */
  @Test
  void onlyTheLastOfAFlurryBegins() throws Exception {
    Latest latest = new Latest("test");
    fx(
        () -> {
          latest.whenQuiet(Duration.millis(40), () -> delivered.add("first"));
          latest.whenQuiet(
              Duration.millis(40), () -> latest.submit(() -> "second", delivered::add));
          assertThat(latest.busyProperty().get()).isTrue();
          assertThat(Latest.anyBusy()).isTrue();
        });
    WaitForAsyncUtils.waitFor(5, TimeUnit.SECONDS, () -> !latest.busyProperty().get());
    assertThat(delivered).containsExactly("second");
    fx(() -> latest.whenQuiet(Duration.millis(40), () -> delivered.add("never")));
    fx(latest::cancel);
    assertThat(latest.busyProperty().get()).isFalse();
    latest.close();
  }

  /** Of details asked for one after the other only the last are worked out. */
  @Test
  void detailsWaitUntilNothingNewerIsAskedFor() throws Exception {
    Latest details = Latest.ofDetails("test");
    List<String> begun = new CopyOnWriteArrayList<>();
    fx(
        () -> {
          for (String name : List.of("first", "second", "third")) {
            details.submit(
                () -> {
                  begun.add(name);
                  return name;
                },
                delivered::add);
          }
          assertThat(details.busyProperty().get()).isTrue();
        });
    WaitForAsyncUtils.waitFor(5, TimeUnit.SECONDS, () -> !details.busyProperty().get());
    assertThat(begun).containsExactly("third");
    assertThat(delivered).containsExactly("third");
    details.close();
  }

  /** One who takes a result and asks for more is busy until that has come too. */
  @Test
  void askingForMoreOnDeliveryStaysBusy() throws Exception {
    Latest latest = new Latest("test");
    List<Boolean> between = new CopyOnWriteArrayList<>();
    fx(
        () -> {
          latest.busyProperty().addListener((o, was, is) -> between.add(is));
          latest.submit(
              () -> "one",
              one -> {
                delivered.add(one);
                latest.submit(() -> "two", delivered::add);
              });
        });
    WaitForAsyncUtils.waitFor(5, TimeUnit.SECONDS, () -> delivered.contains("two"));
    WaitForAsyncUtils.waitForFxEvents();
    assertThat(between).containsExactly(true, false);
    latest.close();
  }

  private static void fx(Runnable work) {
    WaitForAsyncUtils.waitForAsyncFx(5000, work);
  }
}
