package hammerman.app.session;

import hammerman.prove.SheetOfLog;
import hammerman.record.Run;
import hammerman.store.NotKept;
import hammerman.store.ProjectStore;
import hammerman.store.SampleBlock;
import hammerman.unit.InvalidValue;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The log of one run while it comes in; used on a thread that may wait. */
public final class RunLog {
  private static final Logger LOG = LoggerFactory.getLogger(RunLog.class);

  private final long id;
  private final Door door;
  private final Runnable changed;

  /** Something done with the project's file. */
  @FunctionalInterface
  interface Work {
    void run(ProjectStore store) throws NotKept;
  }

  /** The way to the project's file; says so if it is another project's by now. */
  @FunctionalInterface
  interface Door {
    void through(Work work) throws NotKept;
  }

  RunLog(long id, Door door, Runnable changed) {
    this.id = id;
    this.door = door;
    this.changed = changed;
  }

  /** Returns the number of the run. */
  public long id() {
    return id;
  }

  /** Keeps samples. */
  public void append(List<SampleBlock> blocks) throws NotKept {
    door.through(store -> store.runBook().append(id, blocks));
  }

  /**
   * Ends the log; from now on the run is shown.
   *
   * @param as what is written down of it by then
   */
  public void finish(long samples, Run as) throws NotKept {
    door.through(
        store -> {
          store.runBook().describe(id, as);
          store.runBook().finish(id, samples);
        });
    changed.run();
  }

  /**
   * Ends the log with what its samples say of it.
   *
   * @param begun what was written down when it began
   */
  public void finishLive(long samples, Run begun) throws NotKept {
    door.through(
        store -> {
          store.runBook().describe(id, described(store, id, begun, samples));
          store.runBook().finish(id, samples);
        });
    changed.run();
  }

  /** A run with what its samples say; if they say nothing, or nothing that can be, as it is. */
  static Run described(ProjectStore store, long id, Run run, long samples) throws NotKept {
    try {
      return store
          .runBook()
          .telemetry(id, run, samples)
          .map(t -> run.withSheet(SheetOfLog.of(t, run.sheet())))
          .orElse(run);
    } catch (InvalidValue e) {
      LOG.warn("a run says nothing that can be", e);
      return run;
    }
  }

  /** Gives the log up, whatever came in. */
  public void abandon() throws NotKept {
    door.through(store -> store.runBook().removeUnfinished());
  }
}
