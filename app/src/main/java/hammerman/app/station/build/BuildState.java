package hammerman.app.station.build;

import hammerman.app.job.Latest;
import hammerman.app.session.Keeper;
import hammerman.app.session.Session;
import hammerman.build.ExampleBuild;
import hammerman.build.OnePack;
import hammerman.build.PartsList;
import hammerman.build.Progress;
import hammerman.build.Setting;
import hammerman.build.Step;
import hammerman.forecast.Forecast;
import hammerman.project.Shipped;
import hammerman.record.Fact;
import hammerman.record.PartRecord;
import hammerman.record.StepRecord;
import hammerman.store.BuildBook.CellPlace;
import hammerman.unit.InvalidValue;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import org.jspecify.annotations.Nullable;

/** What all views of the station show: the procedure with what was done, and the parts. */
final class BuildState {
  private final Session session;
  private final Latest working = new Latest("build");
  private final ReadOnlyObjectWrapper<@Nullable Shown> shown =
      new ReadOnlyObjectWrapper<>(this, "shown", null);
  private final ReadOnlyObjectWrapper<@Nullable String> chosen =
      new ReadOnlyObjectWrapper<>(this, "chosen", null);
  private final ReadOnlyBooleanWrapper second = new ReadOnlyBooleanWrapper(this, "second", false);
  private final ReadOnlyBooleanWrapper watched = new ReadOnlyBooleanWrapper(this, "watched", false);
  private final ReadOnlyStringWrapper said = new ReadOnlyStringWrapper(this, "said", "");
  private final ReadOnlyStringWrapper failure = new ReadOnlyStringWrapper(this, "failure", "");
  private final Function<Forecast, List<OnePack>> packs;
  private @Nullable Forecast forecast;
  private @Nullable Read read;
  private long records = -1;
  private long request;
  private boolean follow = true;

  /** What is read of the project's file. */
  private record Read(List<Fact<StepRecord>> steps, Map<String, PartRecord> parts) {
    static final Read NOTHING = new Read(List.of(), Map.of());
  }

  /**
   * What the views show.
   *
   * @param forecast of the design that is built
   * @param packs that are built, each by itself
   * @param progress of the build
   * @param facts all steps that were done, struck out or not
   * @param parts that it needs
   * @param known of the parts, by their keys
   * @param settings to make
   */
  record Shown(
      Forecast forecast,
      List<OnePack> packs,
      Progress progress,
      List<Fact<StepRecord>> facts,
      PartsList parts,
      Map<String, PartRecord> known,
      List<Setting> settings) {
    /** Returns whether a part is there. */
    PartRecord.Have have(String key) {
      PartRecord r = known.get(key);
      return r == null ? PartRecord.Have.MISSING : r.have();
    }
  }

  /**
   * Makes one.
   *
   * @param packs makes the packs of a design with the steps of each
   */
  BuildState(Session session, Function<Forecast, List<OnePack>> packs) {
    this.session = session;
    this.packs = packs;
  }

  ReadOnlyObjectProperty<@Nullable Shown> shownProperty() {
    return shown.getReadOnlyProperty();
  }

  @Nullable Shown shown() {
    return shown.get();
  }

  /** The step looked at, by its id. */
  ReadOnlyObjectProperty<@Nullable String> chosenProperty() {
    return chosen.getReadOnlyProperty();
  }

  /** Whether the second of two packs stands on the bench. */
  ReadOnlyBooleanProperty secondProperty() {
    return second.getReadOnlyProperty();
  }

  /** Whether a charge is watched: no other pack is put on the bench meanwhile. */
  ReadOnlyBooleanProperty watchedProperty() {
    return watched.getReadOnlyProperty();
  }

  /** Says whether a charge is watched. */
  void watch(boolean is) {
    watched.set(is);
  }

  /** Puts one of two packs on the bench. */
  void putOnBench(boolean theSecond) {
    second.set(theSecond);
  }

  /** Returns the pack on the bench; null as long as nothing is worked out. */
  @Nullable OnePack onBench() {
    Shown s = shown.get();
    return s == null ? null : s.packs().get(second.get() && s.packs().size() > 1 ? 1 : 0);
  }

  /** What was done last, or why it was not. */
  ReadOnlyStringProperty saidProperty() {
    return said.getReadOnlyProperty();
  }

  void say(String words) {
    said.set(words);
  }

  /** Why there are no steps of the present design; empty while there are, or will be. */
  ReadOnlyStringProperty failureProperty() {
    return failure.getReadOnlyProperty();
  }

  /** Looks at a step. */
  void choose(String id) {
    follow = false;
    if (!id.equals(chosen.get())) {
      said.set("");
    }
    chosen.set(id);
  }

  /** Looks at the step to do next, and goes on to what comes after it. */
  void chooseNext() {
    follow = true;
    Shown s = shown.get();
    if (s != null) {
      s.progress().next().ifPresent(n -> chosen.set(n.id()));
    }
  }

  /** Follows the forecast and the records. */
  void follow(Forecast is) {
    Keeper keeper = session.keeper();
    boolean unread = records != keeper.recordsProperty().get();
    boolean changed = !is.equals(forecast);
    forecast = is;
    if (!unread && read != null) {
      if (changed) {
        work(read);
      }
      return;
    }
    records = keeper.recordsProperty().get();
    if (keeper.keptProperty().get().file() == null) {
      work(Read.NOTHING);
      return;
    }
    long mine = ++request;
    keeper.records(
        store -> new Read(store.buildBook().steps(), store.buildBook().parts()),
        found -> {
          if (mine == request) {
            work(found);
          }
        },
        t -> say(t.why()));
  }

  private void work(Read found) {
    read = found;
    Forecast of = forecast;
    if (of == null) {
      return;
    }
    Shown was = shown.get();
    working.submit(() -> worked(of, found, was), this::take, this::fail);
  }

  /** The steps of an earlier design are not those of this one: they go. */
  private void fail(Throwable e) {
    failure.set(Latest.inWords(e));
    shown.set(null);
  }

  private Shown worked(Forecast of, Read found, @Nullable Shown was) {
    Map<String, Double> prices = new HashMap<>();
    found
        .parts()
        .forEach(
            (key, p) -> {
              Double price = p.price();
              if (price != null) {
                prices.put(key, price);
              }
            });
    boolean same = was != null && was.forecast().equals(of);
    List<OnePack> packs = was != null && same ? was.packs() : this.packs.apply(of);
    PartsList parts =
        was != null && same && was.known().equals(found.parts())
            ? was.parts()
            : PartsList.of(of, prices);
    return new Shown(
        of,
        packs,
        Progress.of(of, found.steps()),
        found.steps(),
        parts,
        found.parts(),
        Setting.of(of));
  }

  private void take(Shown is) {
    failure.set("");
    shown.set(is);
    String now = chosen.get();
    boolean gone = now == null || is.progress().procedure().step(now).isEmpty();
    if (follow || gone) {
      is.progress()
          .next()
          .or(() -> is.progress().procedure().steps().stream().reduce((a, b) -> b))
          .map(Step::id)
          .ifPresent(chosen::set);
    }
  }

  /** Keeps a step that was done, if the procedure lets it; returns why not, or an empty text. */
  String keep(Function<Progress, StepRecord> make) {
    Shown s = shown.get();
    if (s == null) {
      return "The procedure is still being worked out.";
    }
    try {
      StepRecord record = make.apply(s.progress());
      follow = record.verdict() != StepRecord.Verdict.OUTSIDE;
      Instant now = now();
      session
          .keeper()
          .record(
              store -> {
                long id = store.buildBook().record(record, now);
                List<CellPlace> places = Built.places(store, record, s.forecast().design());
                if (!places.isEmpty()) {
                  store.buildBook().place(places, now);
                }
                return id;
              },
              id -> say(""),
              t -> say(t.why()));
      return "";
    } catch (InvalidValue e) {
      return String.valueOf(e.getMessage());
    }
  }

  /** Keeps several steps at once; those that are not ready yet are left out. */
  void keepAll(Supplier<List<StepRecord>> make) {
    Instant now = now();
    List<StepRecord> all = make.get();
    session
        .keeper()
        .record(
            store -> {
              for (StepRecord r : all) {
                store.buildBook().record(r, now);
              }
              return all.size();
            },
            n -> {},
            t -> say(t.why()));
  }

  /** Returns the worked example that is at hand, if it is one and its design is unchanged. */
  Optional<Shipped.Example> example() {
    return Shipped.exampleOf(session.project());
  }

  /** Takes the record that goes with the example. */
  void takeExample() {
    example()
        .ifPresent(
            e -> {
              Instant now = now();
              session
                  .keeper()
                  .record(
                      store -> {
                        for (ExampleBuild.Entry x : Shipped.build(e, now).steps()) {
                          store.buildBook().record(x.step(), x.at());
                        }
                        return e;
                      },
                      done -> say(""),
                      t -> say(t.why()));
            });
  }

  /** Strikes what was done at a step out. */
  void strike(Fact<StepRecord> fact, String reason) {
    Instant now = now();
    session
        .keeper()
        .record(
            store -> {
              store.buildBook().strike(fact.id(), new Fact.Strike(now, reason));
              return fact.id();
            },
            id -> say("Struck out; both stay in the record."),
            t -> say(t.why()));
  }

  /** Keeps what is known of a part. */
  void keep(PartRecord part) {
    Instant now = now();
    session
        .keeper()
        .record(store -> store.buildBook().keep(part, now), id -> {}, t -> say(t.why()));
  }

  Instant now() {
    return session.keeper().clock().instant();
  }

  Session session() {
    return session;
  }
}
