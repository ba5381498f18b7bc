package hammerman.app.shell;

import hammerman.app.session.Session;
import hammerman.app.shell.Command.Group;
import hammerman.finding.Station;
import hammerman.project.Shipped;
import hammerman.project.UnreadableProject;
import hammerman.store.Mark;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.input.KeyCode;

/** What can be done with the project by name or by keys, whichever station is shown. */
final class ProjectCommands {
  private final Session session;
  private final FileDesk desk;
  private final Overlay overlay;
  private final Runnable compare;
  private final Consumer<String> tell;
  private final Consumer<String> complain;

  /**
   * @param compare shows the variants side by side
   * @param tell takes a sentence about what was done
   * @param complain takes a sentence about what went wrong
   */
  ProjectCommands(
      Session session,
      FileDesk desk,
      Overlay overlay,
      Runnable compare,
      Consumer<String> tell,
      Consumer<String> complain) {
    this.session = session;
    this.desk = desk;
    this.overlay = overlay;
    this.compare = compare;
    this.tell = tell;
    this.complain = complain;
  }

  List<Command> all() {
    List<Command> list = new ArrayList<>();
    list.add(Group.PROJECT.of("New project", KeyCode.N, desk::begin));
    list.add(Group.PROJECT.of("Open a project", KeyCode.O, desk::open));
    list.add(Group.PROJECT.of("Give it a name", KeyCode.S, desk::name).also("save"));
    list.add(
        Group.PROJECT
            .withShift("Keep under another name", KeyCode.S, desk::nameAs)
            .also("save as"));
    list.add(Group.PROJECT.of("Keep a copy as", desk::copy).also("save duplicate backup"));
    list.add(
        Group.PROJECT.of("Export the design as a bare document", desk::export).also("save json"));
    list.add(
        Group.PROJECT.of(
            "Packs without a name", () -> desk.listUnnamed(all -> overlay.palette(all))));
    list.add(
        Group.PROJECT.of(
            "Bring back a thrown-away pack", () -> desk.listThrown(all -> overlay.palette(all))));
    list.add(Group.PROJECT.of("Take in parts of your own", desk::takeParts).also("import"));
    list.add(Group.EDIT.of("Mark this state", KeyCode.B, this::mark).also("bookmark version"));
    list.add(Group.EDIT.withShift("Go back to a mark", KeyCode.B, this::marks));
    for (Shipped.Example example : Shipped.Example.values()) {
      list.add(
          Group.PROJECT.of(
              "Load the example “" + example.label() + "”", () -> desk.example(example)));
    }
    list.add(Group.EDIT.of("Undo", KeyCode.Z, this::undo));
    list.add(Group.EDIT.withShift("Redo", KeyCode.Z, this::redo));
    list.add(
        Group.EDIT
            .of("What if: copy this variant", KeyCode.D, this::copyVariant)
            .also("duplicate new variant"));
    list.add(Group.EDIT.of("Next variant", KeyCode.PAGE_DOWN, this::nextVariant));
    list.add(Group.VIEW.of("Compare the variants", KeyCode.M, compare));
    list.add(Group.EDIT.of("Remove this variant", this::removeVariant));
    return list;
  }

  void undo() {
    try {
      session.undo();
    } catch (UnreadableProject e) {
      complain.accept(e.getMessage());
    }
  }

  void redo() {
    try {
      session.redo();
    } catch (UnreadableProject e) {
      complain.accept(e.getMessage());
    }
  }

  private void mark() {
    overlay.ask(
        "A name for this state, to come back to",
        "Mark it",
        name -> {
          session.mark(name);
          tell.accept("Marked “" + name + "”; Ctrl+Shift+B goes back to it.");
        });
  }

  private void marks() {
    List<Mark> marks = session.keeper().marksProperty().get();
    if (marks.isEmpty()) {
      tell.accept("There are no marks yet; Ctrl+B sets one.");
      return;
    }
    overlay.palette(
        marks.stream()
            .map(
                m ->
                    Group.PROJECT.of(
                        "Back to “" + m.name() + "”, " + desk.time(m.at()),
                        () -> session.goTo(m, t -> complain.accept(t.why()))))
            .toList());
  }

  private void copyVariant() {
    int n = session.project().variants().size() + 1;
    session.edit("Copy variant", Station.STACK, p -> p.plusVariant("What if " + n));
    tell.accept("Working on a copy; Ctrl+Page Down goes from variant to variant.");
  }

  private void nextVariant() {
    session.edit(
        "Next variant", Station.STACK, p -> p.withActive((p.active() + 1) % p.variants().size()));
  }

  private void removeVariant() {
    if (session.project().variants().size() < 2) {
      complain.accept("This is the only variant; a project keeps at least one.");
    } else {
      session.edit("Remove variant", Station.STACK, p -> p.minusVariant());
    }
  }
}
