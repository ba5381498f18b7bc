package hammerman.app.shell;

import hammerman.app.control.FileAsk;
import hammerman.app.session.Keeper.Opened;
import hammerman.app.session.Keeper.Trouble;
import hammerman.app.session.Kept;
import hammerman.app.session.Session;
import hammerman.app.session.Settings;
import hammerman.app.session.Unnamed;
import hammerman.project.CellFile;
import hammerman.project.Shipped;
import hammerman.project.UnreadableProject;
import hammerman.store.NotKept;
import hammerman.store.ProjectFile;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;

/** Opening files, giving names and copies, and the packs that have no name yet. */
final class FileDesk {
  private static final FileAsk.Kind PROJECTS =
      new FileAsk.Kind("Hammerman projects", List.of("*" + ProjectFile.EXTENSION, "*.json"));
  private static final FileAsk.Kind OWN =
      new FileAsk.Kind("Hammerman projects", List.of("*" + ProjectFile.EXTENSION));
  private static final FileAsk.Kind DOCUMENTS =
      new FileAsk.Kind("Bare documents", List.of("*.json"));
  private static final DateTimeFormatter TODAY = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);
  private static final DateTimeFormatter BEFORE =
      DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);

  private final Session session;
  private final Settings settings;
  private final FileAsk ask;
  private final Notices notices;
  private final Consumer<String> tell;
  private final Clock clock = Clock.systemUTC();

  /**
   * @param ask asks for files
   * @param notices takes what went wrong, and offers
   * @param tell takes a sentence about what was done
   */
  FileDesk(
      Session session, Settings settings, FileAsk ask, Notices notices, Consumer<String> tell) {
    this.session = session;
    this.settings = settings;
    this.ask = ask;
    this.notices = notices;
    this.tell = tell;
  }

  void begin() {
    if (!mayLeave()) {
      return;
    }
    String before = left();
    session.begin();
    tell.accept("A new project." + before);
  }

  void example(Shipped.Example example) {
    if (!mayLeave()) {
      return;
    }
    String before = left();
    session.loadExample(example);
    tell.accept("The worked example; changes to it are kept as a pack without a name." + before);
  }

  /** Whether all is kept; what cannot be kept is not left. */
  private boolean mayLeave() {
    Kept kept = session.keeper().keptProperty().get();
    if (kept.trouble() != null && kept.waiting()) {
      notices.trouble(kept.trouble() + " Keep it under another name before you leave it.");
      return false;
    }
    return true;
  }

  /** Says where the work at hand stays, if it has no name. */
  private String left() {
    Kept kept = session.keeper().keptProperty().get();
    return kept.named() || kept.file() == null
        ? ""
        : " “%s” stays among the packs without a name.".formatted(session.project().name());
  }

  void open() {
    ask.open("Open a project", PROJECTS).ifPresent(this::open);
  }

  /** Opens a file; on failure the work at hand stays. */
  void open(Path file) {
    if (!mayLeave()) {
      return;
    }
    session.open(file, this::opened, trouble -> refused(file, trouble));
  }

  private void opened(Opened opened) {
    notices.clear();
    Kept kept = session.keeper().keptProperty().get();
    if (ProjectFile.isDocument(opened.from()) || kept.named()) {
      settings.addRecent(opened.from());
    }
    tell.accept(
        opened.said().isEmpty() ? "Opened " + opened.from().getFileName() + "." : opened.said());
  }

  private void refused(Path file, Trouble trouble) {
    if (trouble.mayLook()) {
      notices.choice(
          trouble.why(),
          new Notices.Answer(
              "Look at it", "look", () -> session.look(file, this::opened, t -> refused(file, t))),
          new Notices.Answer("Try to take it over", "take-over", () -> open(file)));
    } else if (trouble.maySalvage()) {
      notices.choice(
          trouble.why(),
          new Notices.Answer(
              "Take what can be read into a new file",
              "salvage",
              () -> session.salvage(file, this::opened, t -> refused(file, t))));
    } else {
      complain(trouble);
    }
  }

  private void complain(Trouble trouble) {
    notices.trouble(trouble.why());
  }

  /** Gives the work a name; work that has one is kept already. */
  void name() {
    Kept kept = session.keeper().keptProperty().get();
    Optional<String> name = kept.name();
    if (name.isPresent() && !kept.readOnly()) {
      tell.accept(name.get() + " is kept as you go; there is nothing left to save.");
    } else {
      nameAs();
    }
  }

  void nameAs() {
    ask.save("Keep the project under a name", OWN, suggested(ProjectFile.EXTENSION))
        .ifPresent(this::nameAs);
  }

  /** Goes on under a name without asking. */
  void nameAs(Path file) {
    session.nameAs(
        file,
        done -> {
          settings.addRecent(done);
          tell.accept("Kept as " + done.getFileName() + " from now on.");
        },
        this::complain);
  }

  void copy() {
    ask.save("Keep a copy as", OWN, suggested(", copy" + ProjectFile.EXTENSION))
        .ifPresent(
            file ->
                session.copyTo(
                    file,
                    done ->
                        tell.accept(
                            "A copy is in " + done.getFileName() + "; you go on where you were."),
                    this::complain));
  }

  void export() {
    ask.save("Export the design as a bare document", DOCUMENTS, suggested(".json"))
        .ifPresent(
            file -> {
              try {
                ProjectFile.export(session.project(), file);
                tell.accept("Exported " + file.getFileName() + ".");
              } catch (NotKept e) {
                notices.trouble(e.getMessage());
              }
            });
  }

  void takeParts() {
    ask.open("Take in parts of your own", DOCUMENTS)
        .ifPresent(
            file -> {
              try {
                session
                    .shelf()
                    .take(
                        CellFile.readParts(file),
                        () -> tell.accept("Your parts come first from the next start on."),
                        notices::trouble);
              } catch (UnreadableProject e) {
                notices.trouble(e.getMessage());
              }
            });
  }

  /** Offers the newest of the packs without a name that nobody works on. */
  void offerUnnamed() {
    session
        .keeper()
        .left(
            packs -> {
              packs.stream().findFirst().ifPresent(this::offer);
              if (packs.size() > 1) {
                tell.accept(
                    "%d more without a name: Project, Packs without a name."
                        .formatted(packs.size() - 1));
              }
            });
  }

  /** Lists the packs without a name that nobody works on. */
  void listUnnamed(Consumer<List<Command>> list) {
    session
        .keeper()
        .left(
            packs ->
                show(
                    packs,
                    list,
                    "There are no packs without a name.",
                    "“%s”, %s, %s",
                    p -> open(p.file())));
  }

  /**
   * Lists the packs that were thrown away within the last month; each is brought back by choosing.
   */
  void listThrown(Consumer<List<Command>> list) {
    session
        .keeper()
        .thrown(
            packs ->
                show(
                    packs,
                    list,
                    "No pack was thrown away in the last 30 days.",
                    "“%s”, %s, thrown away %s",
                    p -> session.keeper().bringBack(p.file(), this::open, this::complain)));
  }

  private void show(
      List<Unnamed> packs,
      Consumer<List<Command>> list,
      String none,
      String words,
      Consumer<Unnamed> choose) {
    if (packs.isEmpty()) {
      tell.accept(none);
      return;
    }
    list.accept(
        packs.stream()
            .map(
                p ->
                    Command.Group.PROJECT.of(
                        String.format(words, p.name(), p.counts(), time(p.at())),
                        () -> choose.accept(p)))
            .toList());
  }

  private void offer(Unnamed pack) {
    String words =
        "A pack without a name: “%s”, %s, last changed %s."
            .formatted(pack.name(), pack.counts(), time(pack.at()));
    notices.offer(
        words,
        new Notices.Answer("Go on with it", "recover", () -> open(pack.file())),
        new Notices.Answer("Throw it away", "discard-recovered", () -> throwAway(pack)));
  }

  private void throwAway(Unnamed pack) {
    session
        .keeper()
        .throwAway(
            pack,
            thrown ->
                notices.offer(
                    "“%s” was thrown away. For 30 days it can be brought back: Project, Bring back a thrown-away pack."
                        .formatted(pack.name()),
                    new Notices.Answer(
                        "Bring it back",
                        "bring-back",
                        () ->
                            session
                                .keeper()
                                .bringBack(thrown, back -> offer(pack), this::complain))),
            this::complain);
  }

  /** Returns a time as people say it. */
  String time(Instant at) {
    boolean recent = Duration.between(at, clock.instant()).toHours() < 12;
    return (recent ? TODAY : BEFORE).format(at.atZone(ZoneId.systemDefault()));
  }

  private String suggested(String ending) {
    String name = session.project().name().replaceAll("[^\\w -]+", "").strip();
    return (name.isEmpty() ? "pack" : name) + ending;
  }
}
