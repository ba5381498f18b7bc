package hammerman.app.session;

import hammerman.project.Project;
import hammerman.project.UnreadableProject;
import hammerman.record.Run;
import hammerman.store.DesignChange;
import hammerman.store.DesignState;
import hammerman.store.InUse;
import hammerman.store.Line;
import hammerman.store.Mark;
import hammerman.store.NotKept;
import hammerman.store.ProjectStore;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.concurrent.ScheduledExecutorService;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyLongWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Keeps the work as it goes. Everything that touches the project's file happens on one thread of
 * the keeper's, in the order it was asked for; answers come back on the interface thread. An edit
 * is on its way to the disk at once; edits made meanwhile go together.
 */
public final class Keeper {
  private static final Logger LOG = LoggerFactory.getLogger(Keeper.class);
  private static final Duration TRY_AGAIN = Duration.ofSeconds(5);

  private final UnnamedPacks unnamed;
  private final Opening opening;
  private final FileThread thread;
  private final Clock clock;
  private final ReadOnlyObjectWrapper<Kept> kept =
      new ReadOnlyObjectWrapper<>(this, "kept", Kept.NOWHERE);
  private final ReadOnlyObjectWrapper<List<Mark>> marks =
      new ReadOnlyObjectWrapper<>(this, "marks", List.of());

  private final ReadOnlyLongWrapper records = new ReadOnlyLongWrapper(this, "records", 0);

  /** Guarded by itself. */
  private final List<Waiting> waiting = new ArrayList<>();

  /** Number of the project that is asked about; guarded by the waiting changes. */
  private long asked;

  // The rest belongs to the keeper's thread.
  private final KeptFile file;

  /** Number of the project whose file is open. */
  private long projects;

  /** A change on its way to the disk, and which project's it is. */
  private record Waiting(long project, Supplier<DesignChange> change) {}

  /**
   * What was opened, before it is gone on with.
   *
   * @param line its states
   * @param lastState highest number of a state
   * @param now its present project
   * @param from file it is now kept in, or was read from
   * @param said about how it was opened; empty if there is nothing to say
   * @param marks of it, newest first
   * @param turn has the keeper's thread go on with it
   */
  public record Opened(
      Line line, long lastState, Project now, Path from, String said, List<Mark> marks, Turn turn) {
    public Opened {
      marks = List.copyOf(marks);
    }

    Opened saying(String words) {
      return new Opened(line, lastState, now, from, words, marks, turn);
    }
  }

  /** Has the keeper's thread go on with another project. */
  @FunctionalInterface
  interface Turn {
    void of(KeptFile file);
  }

  /** Why something could not be done, and what may be done instead. */
  public record Trouble(String why, boolean mayLook, boolean maySalvage) {
    static Trouble of(Exception e) {
      boolean damaged =
          e instanceof UnreadableProject u && u.reason() == UnreadableProject.Reason.DAMAGED;
      return new Trouble(String.valueOf(e.getMessage()), e instanceof InUse, damaged);
    }
  }

  /** Works with the project's file. */
  @FunctionalInterface
  public interface StoreWork<T> {
    T run(ProjectStore store) throws NotKept;
  }

  /**
   * @param home the program's folder
   * @param thread one thread, which the keeper ends
   * @param ui runs on the interface thread
   */
  public Keeper(Path home, ScheduledExecutorService thread, Executor ui, Clock clock) {
    unnamed = new UnnamedPacks(home);
    opening = new Opening(unnamed, clock);
    file = new KeptFile(unnamed, clock);
    this.thread = new FileThread(thread, ui);
    this.clock = clock;
  }

  /** Returns the clock by which records are dated. */
  public Clock clock() {
    return clock;
  }

  /** Where the work is kept, and since when. */
  public ReadOnlyObjectProperty<Kept> keptProperty() {
    return kept.getReadOnlyProperty();
  }

  /** Changes whenever the records of the project may have. */
  public ReadOnlyLongProperty recordsProperty() {
    return records.getReadOnlyProperty();
  }

  /** The marks of the project, newest first. */
  public ReadOnlyObjectProperty<List<Mark>> marksProperty() {
    return marks.getReadOnlyProperty();
  }

  /**
   * Leaves the project at hand, which stays where it is kept, and goes on with another that is in
   * no file yet. Its file is made with the first change.
   *
   * @param first its first state
   */
  public void begin(Supplier<DesignState> first) {
    turn(kept -> kept.begin(first), List.of(), null);
  }

  /** Goes on with another project: changes asked for from now on are its own. */
  private void turn(Turn to, List<Mark> itsMarks, @Nullable Instant at) {
    long next;
    synchronized (waiting) {
      next = ++asked;
    }
    kept.set(Kept.NOWHERE);
    marks.set(itsMarks);
    records.set(records.get() + 1);
    thread.run(
        () -> {
          drain();
          to.of(file);
          projects = next;
          tell(null, at);
          // Its records can be read only now that it is known where they are.
          show(() -> records.set(records.get() + 1));
          drain();
        });
  }

  /** Keeps a change of the design, written out on the keeper's thread. */
  public void keep(Supplier<DesignChange> change) {
    synchronized (waiting) {
      waiting.add(new Waiting(asked, change));
    }
    kept.set(kept.get().asWaiting());
    thread.run(this::drain);
  }

  /**
   * Goes on with what was opened. Edits asked for before this belong to the project before, and are
   * still kept there.
   */
  public void take(Opened opened) {
    turn(opened.turn(), opened.marks(), opened.line().now().at());
  }

  /** Opens a file to work on it. */
  public void open(Path path, Consumer<Opened> done, Consumer<Trouble> failed) {
    thread.attempt(
        () -> {
          if (file.is(path)) {
            throw new NotKept(
                NotKept.Reason.REFUSED, path.getFileName() + " is open in this window already.");
          }
          return opening.open(path);
        },
        done,
        failed);
  }

  /** Opens a file only to look at it. */
  void look(Path path, Consumer<Opened> done, Consumer<Trouble> failed) {
    thread.attempt(() -> opening.look(path), done, failed);
  }

  /** Takes what can be read of a damaged file into a new one beside it, and opens that. */
  void salvage(Path path, Consumer<Opened> done, Consumer<Trouble> failed) {
    thread.attempt(() -> opening.salvaged(path), done, failed);
  }

  /** Goes on under a name of the builder's, which gives way if it is there. */
  public void nameAs(Path target, Consumer<Path> done, Consumer<Trouble> failed) {
    thread.attempt(
        () -> {
          drain();
          file.nameAs(target, this::drain);
          tell(null, clock.instant());
          return target;
        },
        done,
        failed);
  }

  /** Writes a copy, which gives way if it is there; the work stays where it is. */
  void copyTo(Path target, Consumer<Path> done, Consumer<Trouble> failed) {
    thread.attempt(
        () -> {
          present().copyTo(target);
          return target;
        },
        done,
        failed);
  }

  /** Looks for packs without a name that nobody works on. */
  public void left(Consumer<List<Unnamed>> found) {
    thread.run(
        () -> {
          unnamed.clear(clock.instant());
          List<Unnamed> left = unnamed.left();
          thread.show(() -> found.accept(left));
        });
  }

  /** Throws a pack without a name away, for a month. */
  public void throwAway(Unnamed pack, Consumer<Path> done, Consumer<Trouble> failed) {
    thread.attempt(() -> unnamed.throwAway(pack.file(), clock.instant()), done, failed);
  }

  /** Looks for packs that were thrown away within the last month. */
  public void thrown(Consumer<List<Unnamed>> found) {
    thread.run(
        () -> {
          unnamed.clear(clock.instant());
          List<Unnamed> thrown = unnamed.thrown();
          thread.show(() -> found.accept(thrown));
        });
  }

  /** Takes a pack back that was thrown away. */
  public void bringBack(Path thrown, Consumer<Path> done, Consumer<Trouble> failed) {
    thread.attempt(() -> unnamed.bringBack(thrown), done, failed);
  }

  /** Changes the records of the project; its file is made if it has none yet. */
  public <T> void record(StoreWork<T> work, Consumer<T> done, Consumer<Trouble> failed) {
    records(
        work,
        result -> {
          records.set(records.get() + 1);
          done.accept(result);
        },
        failed);
  }

  /** Reads the records of the project; its file is made if it has none yet. */
  public <T> void records(StoreWork<T> work, Consumer<T> done, Consumer<Trouble> failed) {
    thread.attempt(() -> work(work), done, failed);
  }

  /** Works with the file, or where it goes on if it cannot be written any more. */
  private <T> T work(StoreWork<T> work) throws IOException {
    ProjectStore store = present();
    T result;
    try {
      result = work.run(store);
    } catch (NotKept e) {
      String said = file.goesOn(e);
      if (said == null) {
        throw e;
      }
      result = work.run(file.present());
      tell(said, clock.instant());
    }
    List<String> hidden = file.present().takeHidden();
    if (!hidden.isEmpty()) {
      tell(
          "%s. It is left out; the rest is shown.".formatted(String.join("; ", hidden)),
          clock.instant());
    }
    return result;
  }

  /**
   * Begins a run whose log comes in for a while; called, like the run's log, on a thread that may
   * wait.
   */
  public RunLog beginRun(Run run) throws NotKept {
    return begun(
        store -> store.runBook().begin(run, store.design().presentState(), clock.instant()));
  }

  /** The same for one that comes in from a device: whatever came of it stays. */
  public RunLog beginLiveRun(Run run) throws NotKept {
    return begun(
        store -> store.runBook().beginLive(run, store.design().presentState(), clock.instant()));
  }

  private RunLog begun(StoreWork<Long> begin) throws NotKept {
    long[] project = {0};
    long id =
        now(
            store -> {
              project[0] = projects;
              return begin.run(store);
            });
    return new RunLog(
        id,
        work ->
            now(
                store -> {
                  if (projects != project[0]) {
                    throw new NotKept(
                        NotKept.Reason.REFUSED,
                        "Another project was opened while the log came in; it was not taken in.");
                  }
                  work.run(store);
                  return true;
                }),
        () -> thread.show(() -> records.set(records.get() + 1)));
  }

  private <T> T now(StoreWork<T> work) throws NotKept {
    return thread.await(() -> work(work));
  }

  /** Ends the keeping: what is on its way is kept, the file is one file again. */
  public void close() {
    thread.run(
        () -> {
          drain();
          file.leave();
        });
    thread.end();
  }

  /** Waits until all is kept and closed; for what follows the last window. */
  public void awaitClosed() throws InterruptedException {
    thread.awaitEnd();
  }

  /** The project's file with all that is waiting for it, made if there is none yet. */
  private ProjectStore present() throws IOException {
    drain();
    boolean made = file.isMade();
    ProjectStore store = file.present();
    if (!made) {
      tell(null, clock.instant());
    }
    return store;
  }

  /** Puts on the disk what is waiting for the project whose file is open. */
  private void drain() {
    List<Waiting> taken;
    synchronized (waiting) {
      taken = waiting.stream().filter(w -> w.project() == projects).toList();
      waiting.removeAll(taken);
    }
    if (taken.isEmpty()) {
      return;
    }
    try {
      keep(taken.stream().map(w -> w.change().get()).toList());
    } catch (IOException | RuntimeException e) {
      LOG.warn("not kept: {}", e.getMessage());
      synchronized (waiting) {
        waiting.addAll(0, taken);
      }
      tell(e.getMessage() + " What you do stays in this window, and is tried again.", null);
      thread.later(TRY_AGAIN, this::drain);
    }
  }

  private void keep(List<DesignChange> changes) throws IOException {
    String said = file.keep(changes);
    boolean marked =
        changes.stream()
            .anyMatch(c -> c instanceof DesignChange.Marked || c instanceof DesignChange.Unmarked);
    if (marked) {
      List<Mark> all = file.present().design().marks();
      show(() -> marks.set(all));
    }
    tell(said, clock.instant());
  }

  private void tell(@Nullable String trouble, @Nullable Instant at) {
    Kept now = file.described(at, trouble);
    show(() -> kept.set(isWaiting() ? now.asWaiting() : now));
  }

  private boolean isWaiting() {
    synchronized (waiting) {
      return waiting.stream().anyMatch(w -> w.project() == asked);
    }
  }

  /** Shows something of the project at hand, unless the window has gone on to another. */
  private void show(Runnable what) {
    long project = projects;
    thread.show(
        () -> {
          boolean current;
          synchronized (waiting) {
            current = project == asked;
          }
          if (current) {
            what.run();
          }
        });
  }
}
