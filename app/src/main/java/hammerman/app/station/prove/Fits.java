package hammerman.app.station.prove;

import hammerman.app.job.Latest;
import hammerman.app.session.Keeper;
import hammerman.app.station.prove.ProveState.Row;
import hammerman.duty.Load;
import hammerman.forecast.Forecast;
import hammerman.prove.Calibration;
import hammerman.prove.Replay;
import hammerman.telemetry.Telemetry;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.jspecify.annotations.Nullable;

/** What the logs of the newest runs say of the present design, worked out one after another. */
final class Fits {
  /** So many of the newest runs are fitted, each if its log is no longer than this. */
  private static final int MOST = 24;

  private static final long LONGEST = 400_000;

  private final Keeper keeper;
  private final Consumer<String> say;
  private final Latest fitting = new Latest("fit of a run");
  private final ReadOnlyObjectWrapper<Map<Long, Calibration>> fits =
      new ReadOnlyObjectWrapper<>(this, "fits", Map.of());
  private final Set<Long> tried = new HashSet<>();
  private final Map<Long, Load> loads = new HashMap<>();
  private @Nullable Forecast forecast;
  private List<Row> runs = List.of();

  Fits(Keeper keeper, Consumer<String> say) {
    this.keeper = keeper;
    this.say = say;
  }

  /** What a log says: the load that it drew, and the scales that meet it. */
  private record Fit(Load load, Optional<Calibration> scales) {}

  /** The scales that were found, by the number of their run. */
  ReadOnlyObjectProperty<Map<Long, Calibration>> property() {
    return fits.getReadOnlyProperty();
  }

  /** Returns the load that a run drew, once its log was read. */
  Optional<Load> load(Row row) {
    return Optional.ofNullable(loads.get(row.id()));
  }

  /** Begins anew: the same logs say something else of another design. */
  void begin(Forecast of, List<Row> newestFirst) {
    fits.set(Map.of());
    tried.clear();
    take(of, newestFirst);
  }

  /** Goes on with the runs that there are. */
  void take(@Nullable Forecast of, List<Row> newestFirst) {
    forecast = of;
    runs = newestFirst;
    next();
  }

  /** Fits the newest run that is not fitted yet; then the next. */
  private void next() {
    Forecast f = forecast;
    Optional<Row> next =
        runs.stream()
            .filter(Row::counts)
            .limit(MOST)
            .filter(r -> r.samples() > 1 && r.samples() <= LONGEST)
            .filter(r -> !tried.contains(r.id()))
            .findFirst();
    if (f == null || next.isEmpty()) {
      return;
    }
    Row row = next.get();
    tried.add(row.id());
    keeper.records(
        store -> store.runBook().telemetry(row.run()),
        found ->
            fitting.submit(
                () -> found.map(log -> fit(log, f)),
                fit -> {
                  if (f.equals(forecast)) {
                    fit.ifPresent(c -> fitted(row.id(), c));
                    next();
                  }
                },
                e -> next()),
        t -> say.accept(t.why()));
  }

  private static Fit fit(Telemetry log, Forecast f) {
    return new Fit(log.asTask().load(), Calibration.of(Replay.of(f.chain(), log)));
  }

  private void fitted(long run, Fit fit) {
    loads.put(run, fit.load());
    Map<Long, Calibration> all = new HashMap<>(fits.get());
    fit.scales().ifPresent(c -> all.put(run, c));
    fits.set(Map.copyOf(all));
  }
}
