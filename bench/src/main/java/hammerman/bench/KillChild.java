package hammerman.bench;

import hammerman.app.session.Keeper;
import hammerman.app.session.RunLog;
import hammerman.finding.Station;
import hammerman.project.Project;
import hammerman.project.Shipped;
import hammerman.record.InventoryCell;
import hammerman.record.Run;
import hammerman.record.Run.Channel;
import hammerman.record.RunSheet;
import hammerman.store.DesignChange;
import hammerman.store.DesignState;
import hammerman.store.NotKept;
import hammerman.store.ProjectStore;
import hammerman.store.SampleWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;

/** Edits, records and imports until it is killed; says what it has done as it does it. */
final class KillChild {
  private static final int SAMPLES = 20_000;

  private KillChild() {}

  public static void main(String[] args) throws Exception {
    Path file = Path.of(args[0]);
    Random random = new Random(Long.parseLong(args[1]));
    Clock clock = Clock.systemUTC();
    Project barrow = Shipped.terraceBarrow();
    if (!Files.exists(file)) {
      ProjectStore.create(
              file,
              DesignState.of(1, clock.instant(), Station.DUTY, "First", barrow),
              clock.instant())
          .close();
    }
    Keeper keeper =
        new Keeper(
            file.resolveSibling("home"),
            Executors.newSingleThreadScheduledExecutor(),
            Runnable::run,
            clock);
    long[] id = {0};
    CountDownLatch opened = new CountDownLatch(1);
    keeper.open(
        file,
        o -> {
          keeper.take(o);
          id[0] = o.lastState();
          opened.countDown();
        },
        t -> {
          System.out.println("refused " + t.why());
          opened.countDown();
        });
    opened.await();
    System.out.println("ready");
    Thread live = new Thread(() -> live(keeper), "live");
    live.setDaemon(true);
    live.start();
    Thread importing = new Thread(() -> importing(keeper), "import");
    importing.setDaemon(true);
    importing.start();
    while (true) {
      long n = ++id[0];
      System.out.println("made " + n + " " + System.currentTimeMillis());
      keeper.keep(
          () ->
              new DesignChange.Edited(
                  DesignState.of(
                      n, clock.instant(), Station.STACK, "Edit", barrow.withName("Edit " + n))));
      if (random.nextInt(3) == 0) {
        keeper.record(
            store ->
                store.inventory().add(List.of(InventoryCell.labelled("C" + n)), clock.instant()),
            done -> System.out.println("kept C" + n),
            trouble -> System.out.println("refused " + trouble.why()));
      }
      if (random.nextInt(40) == 0) {
        // Goes on under another name and comes back, so that copying and closing are met too.
        Path other = file.resolveSibling("other.hammerman");
        keeper.nameAs(other, done -> {}, trouble -> System.out.println("refused " + trouble.why()));
        keeper.nameAs(file, done -> {}, trouble -> System.out.println("refused " + trouble.why()));
      }
      TimeUnit.MILLISECONDS.sleep(random.nextInt(25));
    }
  }

  /** A meter's samples; each is said to be heard once it is on the disk. */
  private static void live(Keeper keeper) {
    try {
      int number = 0;
      while (true) {
        String name = "Live " + System.nanoTime() + "." + number++;
        Run run =
            new Run(
                name,
                "",
                "",
                "",
                List.of(new Channel("Time", "s"), new Channel("U", "V")),
                RunSheet.NOTHING);
        RunLog log = keeper.beginLiveRun(run);
        SampleWriter writer = new SampleWriter(2, log::append);
        for (int k = 1; k <= 400; k++) {
          writer.add(new double[] {k, 48 + k % 7});
          if (k % 20 == 0) {
            writer.checkpoint();
            System.out.println("heard " + k + " " + name);
          }
        }
        writer.finish();
        log.finish(writer.samples(), run);
      }
    } catch (NotKept e) {
      System.out.println("live " + e.getMessage());
    }
  }

  private static void importing(Keeper keeper) {
    try {
      while (true) {
        Run run =
            new Run(
                "Run",
                "",
                "",
                "",
                List.of(new Channel("Time", "s"), new Channel("U", "V")),
                RunSheet.NOTHING);
        RunLog log = keeper.beginRun(run);
        SampleWriter writer = new SampleWriter(2, log::append);
        for (int k = 0; k < SAMPLES; k++) {
          writer.add(new double[] {k, 48 + k % 7});
        }
        writer.finish();
        log.finish(writer.samples(), run);
      }
    } catch (NotKept e) {
      System.out.println("import " + e.getMessage());
    }
  }
}
