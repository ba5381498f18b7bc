package hammerman.app.session;

import hammerman.project.UnreadableProject;
import hammerman.store.DesignChange;
import hammerman.store.DesignState;
import hammerman.store.NotKept;
import hammerman.store.ProjectStore;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * The file of the project at hand, as the keeper's thread has it: none before the first change, one
 * of the builder's, or one in the program's folder. Used on that thread alone.
 */
final class KeptFile {
  private static final String GOES_ON =
      " The work goes on in the program's own folder; nothing is lost.";
  private static final String GOES_ON_WITHOUT_RECORDS =
      " The design goes on in the program's own folder. The cells, readings and runs in the file"
          + " are gone: look for a copy of it.";

  private final UnnamedPacks unnamed;
  private final Clock clock;
  private @Nullable Supplier<DesignState> first;
  private @Nullable ProjectStore store;
  private boolean named;

  /** The design as it was kept last; what there is to go on with if the file is written over. */
  private @Nullable DesignState last;

  KeptFile(UnnamedPacks unnamed, Clock clock) {
    this.unnamed = unnamed;
    this.clock = clock;
  }

  /** Goes on with a project that has no file yet. */
  void begin(Supplier<DesignState> state) {
    leave();
    first = state;
  }

  /** Goes on with a file that was opened. */
  void take(ProjectStore opened, boolean isNamed) {
    leave();
    store = opened;
    named = isNamed;
    try {
      last = opened.design().present();
    } catch (UnreadableProject e) {
      last = null;
    }
  }

  /** Leaves the project; its file is one file again. */
  void leave() {
    if (store != null) {
      store.close();
    }
    store = null;
    first = null;
    last = null;
    named = false;
  }

  /** Whether the project has a file. */
  boolean isMade() {
    return store != null;
  }

  /** Whether a file is the one at hand. */
  boolean is(Path file) throws IOException {
    return store != null && Files.exists(file) && Files.isSameFile(file, store.file());
  }

  /** Describes it for the window. */
  Kept described(@Nullable Instant at, @Nullable String trouble) {
    return store == null
        ? new Kept(null, false, false, null, false, trouble)
        : new Kept(store.file(), named, store.isReadOnly(), at, false, trouble);
  }

  /** The file, made if there is none yet. */
  ProjectStore present() throws IOException {
    ProjectStore open = store;
    if (open == null) {
      Supplier<DesignState> state = Objects.requireNonNull(first, "no project was begun");
      open = ProjectStore.create(unnamed.fresh(), state.get(), clock.instant());
      store = open;
      last = state.get();
      named = false;
    }
    return open;
  }

  /**
   * Keeps changes; if they cannot be kept in the builder's file they go on in the program's folder,
   * with all that the file held.
   *
   * @return what is to be said about it, if anything
   */
  @Nullable String keep(List<DesignChange> changes) throws IOException {
    ProjectStore open = present();
    if (open.isReadOnly()) {
      moveOut(open).design().keep(changes);
      return open.file().getFileName()
          + " can only be looked at; your changes go on in a copy without a name.";
    }
    String said = null;
    try {
      open.design().keep(changes);
    } catch (NotKept e) {
      said = goesOn(e);
      if (said == null) {
        throw e;
      }
      present().design().keep(changes);
    }
    for (DesignChange c : changes) {
      if (c instanceof DesignChange.Edited e) {
        last = e.state();
      }
    }
    return said;
  }

  /**
   * Goes on in the program's folder, if that is the cure for what could not be kept.
   *
   * @return what is to be said; null if it does not
   */
  @Nullable String goesOn(NotKept why) throws IOException {
    ProjectStore open = store;
    boolean cures =
        switch (why.reason()) {
          case GONE -> true;
          case FULL, READ_ONLY, IN_USE, DAMAGED, OTHER -> named;
          case REFUSED -> false;
        };
    if (open == null || open.isReadOnly() || !cures) {
      return null;
    }
    String words = open.isOverwritten() ? GOES_ON_WITHOUT_RECORDS : GOES_ON;
    moveOut(open);
    return why.getMessage() + words;
  }

  private ProjectStore moveOut(ProjectStore from) throws IOException {
    Path target = unnamed.fresh();
    DesignState now = last;
    ProjectStore to;
    if (from.isOverwritten() && now != null) {
      // What the file held was written over; the design is known here all the same.
      to = ProjectStore.create(target, now, clock.instant());
    } else {
      from.copyTo(target);
      to = ProjectStore.open(target, clock.instant());
    }
    store = to;
    named = false;
    from.close();
    return to;
  }

  /**
   * Goes on under a name of the builder's.
   *
   * @param swapped is done as soon as that is the file, before the one before is closed: putting
   *     that in order takes its time
   */
  void nameAs(Path target, Runnable swapped) throws IOException {
    ProjectStore before = present();
    if (is(target)) {
      named = true;
      return;
    }
    boolean wasUnnamed = !named && !before.isReadOnly();
    before.copyTo(target);
    store = ProjectStore.open(target, clock.instant());
    named = true;
    swapped.run();
    before.close();
    if (wasUnnamed) {
      unnamed.throwAway(before.file(), clock.instant());
    }
  }
}
