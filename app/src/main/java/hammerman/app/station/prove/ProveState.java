package hammerman.app.station.prove;

import hammerman.app.job.Latest;
import hammerman.app.session.Keeper;
import hammerman.app.session.Session;
import hammerman.design.Design;
import hammerman.design.DesignDifference;
import hammerman.forecast.Forecast;
import hammerman.project.Shipped;
import hammerman.project.UnreadableProject;
import hammerman.prove.Calibration;
import hammerman.prove.Comparison;
import hammerman.prove.ExampleSeason;
import hammerman.prove.Replay;
import hammerman.record.CalibrationRecord;
import hammerman.record.Fact;
import hammerman.record.Incident;
import hammerman.record.Measurement;
import hammerman.record.Run;
import hammerman.record.RunSheet;
import hammerman.record.Subject;
import hammerman.store.DesignState;
import hammerman.store.NotKept;
import hammerman.store.ProjectStore;
import hammerman.telemetry.Telemetry;
import hammerman.unit.InvalidValue;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import org.jspecify.annotations.Nullable;

/** What all views of the station show: the runs, what was made of them, and the run looked at. */
final class ProveState {
  private static final int MOST_RUNS = 2000;

  private static final long UNKNOWN = -1;

  private final Session session;
  private final Latest reading = new Latest("log of a run");
  private final Latest season = new Latest("season");
  private final ReadOnlyObjectWrapper<Shown> shown =
      new ReadOnlyObjectWrapper<>(this, "shown", Shown.NOTHING);
  private final ReadOnlyObjectWrapper<@Nullable Row> chosen =
      new ReadOnlyObjectWrapper<>(this, "chosen", null);
  private final ReadOnlyObjectWrapper<@Nullable Log> log =
      new ReadOnlyObjectWrapper<>(this, "log", null);
  private final Fits fits;
  private final ReadOnlyStringWrapper said = new ReadOnlyStringWrapper(this, "said", "");
  private final ReadOnlyObjectWrapper<@Nullable Forecast> forecast =
      new ReadOnlyObjectWrapper<>(this, "forecast", null);
  private long records = -1;
  private long request;
  private long wanted = -1;

  /**
   * A run.
   *
   * @param samples how long its log is
   * @param design it was made with, if that is still known
   */
  record Row(Fact<Run> run, long samples, Optional<Design> design) {
    long id() {
      return run.id();
    }

    /** Whether it counts: it is not struck out. */
    boolean counts() {
      return run.counts();
    }
  }

  /**
   * What is read of the project's file.
   *
   * @param runs newest first
   * @param scales accepted or declined, oldest first
   * @param incidents oldest first
   * @param measured of the pack and its groups, oldest first
   * @param begun when the pack was first used or built; absent if it never was
   */
  record Shown(
      List<Row> runs,
      List<Fact<CalibrationRecord>> scales,
      List<Fact<Incident>> incidents,
      List<Fact<Measurement>> measured,
      @Nullable Instant begun) {
    static final Shown NOTHING = new Shown(List.of(), List.of(), List.of(), List.of(), null);

    /** Returns the runs that count, oldest first. */
    List<Row> counting() {
      return runs.reversed().stream().filter(Row::counts).toList();
    }
  }

  /**
   * The log of the run looked at, with the forecast of its load.
   *
   * @param fit scales that meet it best; absent if it tells none
   */
  record Log(Row row, Telemetry telemetry, Replay replay, Optional<Calibration> fit) {}

  ProveState(Session session) {
    this.session = session;
    fits = new Fits(session.keeper(), this::say);
  }

  ReadOnlyObjectProperty<Shown> shownProperty() {
    return shown.getReadOnlyProperty();
  }

  Shown shown() {
    return shown.get();
  }

  ReadOnlyObjectProperty<@Nullable Row> chosenProperty() {
    return chosen.getReadOnlyProperty();
  }

  /** The log of the run looked at; absent until it is read, and where there is none. */
  ReadOnlyObjectProperty<@Nullable Log> logProperty() {
    return log.getReadOnlyProperty();
  }

  /** What the logs of the newest runs say of the present design, by the number of the run. */
  ReadOnlyObjectProperty<Map<Long, Calibration>> fitsProperty() {
    return fits.property();
  }

  ReadOnlyStringProperty saidProperty() {
    return said.getReadOnlyProperty();
  }

  void say(String words) {
    said.set(words);
  }

  Session session() {
    return session;
  }

  @Nullable Forecast forecast() {
    return forecast.get();
  }

  /** The forecast that runs are held against; absent until the station is gone to. */
  ReadOnlyObjectProperty<@Nullable Forecast> forecastProperty() {
    return forecast.getReadOnlyProperty();
  }

  Instant now() {
    return session.keeper().clock().instant();
  }

  /** Follows the forecast and the records. */
  void follow(Forecast is) {
    Keeper keeper = session.keeper();
    Forecast was = forecast.get();
    boolean changed = was == null || !is.design().equals(was.design());
    forecast.set(is);
    if (changed) {
      // The same records say something else of another design, and those of another project too.
      fits.begin(is, shown().runs());
    }
    boolean unread = records != keeper.recordsProperty().get();
    if (unread) {
      records = keeper.recordsProperty().get();
      if (keeper.keptProperty().get().file() == null) {
        take(Shown.NOTHING);
      } else {
        long mine = ++request;
        keeper.records(
            ProveState::read,
            found -> {
              if (mine == request) {
                take(found);
              }
            },
            t -> say(t.why()));
      }
    } else if (changed) {
      readLog();
    }
  }

  private static Shown read(ProjectStore store) throws NotKept {
    List<Row> rows = new ArrayList<>();
    Map<Long, Optional<Design>> designs = new HashMap<>();
    for (Fact<Run> run : store.runBook().runs(0, MOST_RUNS)) {
      long state = store.runBook().state(run.id()).orElse(UNKNOWN);
      if (!designs.containsKey(state)) {
        designs.put(state, design(store, state));
      }
      rows.add(new Row(run, store.runBook().samples(run.id()), designs.get(state)));
    }
    List<Fact<Measurement>> measured = new ArrayList<>();
    for (Fact<Measurement> m : store.inventory().measurements(0, Integer.MAX_VALUE)) {
      if (!(m.value().of() instanceof Subject.Cell)) {
        measured.add(m);
      }
    }
    List<Instant> beginnings = new ArrayList<>();
    store.buildBook().steps().stream().filter(Fact::counts).map(Fact::at).forEach(beginnings::add);
    Instant built = beginnings.stream().max(Instant::compareTo).orElse(null);
    Instant first = rows.stream().map(r -> r.run().at()).min(Instant::compareTo).orElse(null);
    return new Shown(
        rows,
        store.proofBook().calibrations(),
        store.proofBook().incidents(),
        measured,
        first == null || (built != null && built.isBefore(first)) ? built : first);
  }

  /** A state that was compacted away, or cannot be read, is not known. */
  private static Optional<Design> design(ProjectStore store, long state) throws NotKept {
    Optional<DesignState> found = state == UNKNOWN ? Optional.empty() : store.design().find(state);
    try {
      return found.isPresent() ? Optional.of(found.get().project().design()) : Optional.empty();
    } catch (UnreadableProject e) {
      return Optional.empty();
    }
  }

  private void take(Shown is) {
    shown.set(is);
    fits.take(forecast.get(), is.runs());
    Row was = chosen.get();
    long id = wanted >= 0 ? wanted : was == null ? -1 : was.id();
    Optional<Row> again = is.runs().stream().filter(r -> r.id() == id).findFirst();
    if (again.isPresent()) {
      wanted = -1;
    }
    choose(again.or(() -> is.runs().stream().findFirst()).orElse(null));
  }

  /** Looks at a run. */
  void choose(@Nullable Row row) {
    Row was = chosen.get();
    chosen.set(row);
    boolean other = row == null || was == null || row.id() != was.id();
    if (other) {
      log.set(null);
    }
    if (other || log.get() == null) {
      readLog();
    }
  }

  /** Looks at a run as soon as it is there. */
  void chooseSoon(long id) {
    wanted = id;
    shown().runs().stream().filter(r -> r.id() == id).findFirst().ifPresent(this::choose);
  }

  private void readLog() {
    Row row = chosen.get();
    Forecast f = forecast.get();
    if (row == null || f == null || row.samples() < 2) {
      reading.cancel();
      return;
    }
    session
        .keeper()
        .records(
            store -> store.runBook().telemetry(row.run()),
            found -> {
              if (row.equals(chosen.get()) && found.isPresent()) {
                reading.submit(
                    () -> worked(row, found.get(), f), log::set, e -> say(Latest.inWords(e)));
              }
            },
            t -> say(t.why()));
  }

  private static @Nullable Log worked(Row row, Telemetry log, Forecast f) {
    Replay replay = Replay.of(f.chain(), log);
    return new Log(row, log, replay, Calibration.of(replay));
  }

  /** Changes what is written down of the run looked at; returns why not, or an empty text. */
  String describe(UnaryOperator<Run> change) {
    Row row = chosen.get();
    if (row == null) {
      return "";
    }
    try {
      Run now = change.apply(row.run().value());
      if (!now.equals(row.run().value())) {
        record(
            "",
            store -> {
              store.runBook().describe(row.id(), now);
              return true;
            });
      }
      return "";
    } catch (InvalidValue e) {
      return String.valueOf(e.getMessage());
    }
  }

  /** Something that is kept in the project's file. */
  interface Work {
    Object run(ProjectStore store) throws NotKept;
  }

  /** Keeps something, and says so. */
  void record(String words, Work work) {
    session.keeper().record(work::run, done -> say(words), t -> say(t.why()));
  }

  /** Returns a run as it is compared; its load is known once its log is fitted. */
  Comparison.Entry entry(Row row) {
    return new Comparison.Entry(
        row.run().value().name(), row.run().value().sheet(), fits.load(row), row.design());
  }

  /** Returns the runs whose logs say something of the very pack and wire of one, itself first. */
  List<Row> fittedLike(Row one) {
    RunSheet sheet = one.run().value().sheet();
    return Stream.concat(
            Stream.of(one), shown().counting().stream().filter(r -> r.id() != one.id()))
        .filter(r -> fitsProperty().get().containsKey(r.id()))
        .filter(r -> sheet.isOnTheSame(r.run().value().sheet()))
        .filter(r -> sameDesign(one, r))
        .toList();
  }

  private static boolean sameDesign(Row a, Row b) {
    if (a.design().isEmpty() || b.design().isEmpty()) {
      return a.design().isEmpty() && b.design().isEmpty();
    }
    return DesignDifference.between(a.design().get(), b.design().get()).isEmpty();
  }

  /** Returns the worked example that is at hand, if it is one and its design is unchanged. */
  Optional<Shipped.Example> example() {
    return Shipped.exampleOf(session.project());
  }

  /** Takes the season of runs that goes with the example. */
  void takeSeason() {
    example()
        .ifPresent(
            e -> {
              Instant now = now();
              say("The season is being made up by the engine …");
              season.submit(
                  () -> Shipped.season(e),
                  made ->
                      record(
                          "",
                          store -> {
                            for (ExampleSeason.Logged l : made.runs()) {
                              SeasonLog.keep(store, l, now);
                            }
                            return true;
                          }),
                  failed -> say(Latest.inWords(failed)));
            });
  }
}
