package hammerman.app.session;

import hammerman.project.Project;
import hammerman.project.UnreadableProject;
import hammerman.store.DesignState;
import hammerman.store.Line;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The states of the design in a line, with the present one: those of this session whole, those of
 * earlier ones as the documents they are kept in, read when they are gone back to.
 */
final class History {
  private final List<Entry> line = new ArrayList<>();
  private int present;
  private long last;

  private static final class Entry {
    private final long id;
    private final String what;
    private @Nullable Project project;
    private @Nullable DesignState stored;

    Entry(long id, String what, @Nullable Project project, @Nullable DesignState stored) {
      this.id = id;
      this.what = what;
      this.project = project;
      this.stored = stored;
    }

    Project project() throws UnreadableProject {
      Project known = project;
      DesignState kept = stored;
      if (known == null && kept != null) {
        known = kept.project();
        project = known;
        stored = null;
      }
      if (known == null) {
        throw new IllegalStateException("state " + id + " holds nothing");
      }
      return known;
    }
  }

  /** A state that was gone to. */
  record Gone(long id, Project project) {}

  /** Begins anew with one state. */
  void begin(Project first) {
    line.clear();
    line.add(new Entry(1, "", first, null));
    present = 0;
    last = 1;
  }

  /** Takes over what a file holds, its present state read already. */
  void begin(Line kept, Project now) {
    line.clear();
    present = kept.present();
    for (int k = 0; k < kept.states().size(); k++) {
      DesignState s = kept.states().get(k);
      line.add(new Entry(s.id(), s.what(), k == present ? now : null, s));
    }
    last = 0;
    line.forEach(e -> last = Math.max(last, e.id));
  }

  /** Numbers of states go on from here. */
  void reserve(long highest) {
    last = Math.max(last, highest);
  }

  /** Adds the state after an edit; what was undone before it is forgotten. Returns its number. */
  long push(String what, Project after) {
    line.subList(present + 1, line.size()).clear();
    line.add(new Entry(++last, what, after, null));
    present = line.size() - 1;
    return last;
  }

  Optional<Gone> undo() throws UnreadableProject {
    return present == 0 ? Optional.empty() : Optional.of(go(present - 1));
  }

  Optional<Gone> redo() throws UnreadableProject {
    return present + 1 == line.size() ? Optional.empty() : Optional.of(go(present + 1));
  }

  private Gone go(int to) throws UnreadableProject {
    Entry e = line.get(to);
    Gone gone = new Gone(e.id, e.project());
    present = to;
    return gone;
  }

  long id() {
    return line.get(present).id;
  }

  Optional<String> undoable() {
    return present == 0 ? Optional.empty() : Optional.of(line.get(present).what);
  }

  Optional<String> redoable() {
    return present + 1 == line.size() ? Optional.empty() : Optional.of(line.get(present + 1).what);
  }
}
