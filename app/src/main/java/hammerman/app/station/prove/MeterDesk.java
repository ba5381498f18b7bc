package hammerman.app.station.prove;

import hammerman.app.job.DeviceLink;
import hammerman.app.job.OwnStandIn;
import hammerman.app.session.RunLog;
import hammerman.forecast.Forecast;
import hammerman.prove.MeterLine;
import hammerman.prove.MeterLog;
import hammerman.prove.SimulatedMeter;
import hammerman.record.Run;
import hammerman.record.Run.Channel;
import hammerman.record.RunSheet;
import hammerman.record.RunSheet.Holds;
import hammerman.store.NotKept;
import hammerman.store.SampleWriter;
import hammerman.telemetry.Quantity;
import hammerman.unit.Unit;
import java.io.IOException;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import org.jspecify.annotations.Nullable;

/**
 * A run as an inline meter tells it: every sample once and in its order, written into the record as
 * it comes; after a lost connection the same run goes on.
 */
final class MeterDesk implements DeviceLink.Listener<MeterLine> {
  /** Where a meter listens unless it is told otherwise. */
  static final int PORT = 7719;

  /** Seconds of a run in each second of the stand-in. */
  private static final double SPEED = 20;

  private static final List<Channel> CHANNELS =
      List.of(
          new Channel("Time", "s"),
          new Channel("Voltage", "V"),
          new Channel("Current", "A"),
          new Channel("Temperature", "°C"));
  private static final List<Holds> HOLDS =
      List.of(
          new Holds(Quantity.VOLTAGE.name(), 1, Unit.VOLT, false),
          new Holds(Quantity.CURRENT.name(), 2, Unit.AMPERE, false),
          new Holds(Quantity.TEMPERATURE.name(), 3, Unit.CELSIUS, false));

  private final ProveState state;
  private final Consumer<double[]> rows;
  private final ReadOnlyStringWrapper standing =
      new ReadOnlyStringWrapper(this, "standing", "No meter is connected.");
  private final ReadOnlyBooleanWrapper running = new ReadOnlyBooleanWrapper(this, "running");

  /** Writes what came; the only thread that touches the log while it comes in. */
  private final ExecutorService writing =
      Executors.newSingleThreadExecutor(
          task -> {
            Thread t = new Thread(task, "meter log");
            t.setDaemon(true);
            return t;
          });

  /** Batches that wait to be written. */
  private final AtomicInteger unwritten = new AtomicInteger();

  private @Nullable DeviceLink<MeterLine> link;
  private @Nullable OwnStandIn standIn;
  private @Nullable Taken taken;
  private MeterLog log = new MeterLog();
  private long refusedSaid;
  private boolean wanted;

  /** A run that comes in; touched by the writing thread alone. */
  private static final class Taken {
    private final Run run;
    private @Nullable RunLog log;
    private @Nullable SampleWriter writer;
    private boolean failed;

    Taken(Run run) {
      this.run = run;
    }

    /**
     * Keeps samples.
     *
     * @param commit whether they must be on the disk when this returns
     */
    void keep(double[] fresh, boolean commit) throws NotKept {
      SampleWriter to = writer;
      if (to == null) {
        throw new NotKept(NotKept.Reason.REFUSED, "The run was not begun.");
      }
      for (int k = 0; k < fresh.length; k += MeterLine.FIGURES) {
        to.add(Arrays.copyOfRange(fresh, k, k + MeterLine.FIGURES));
      }
      if (commit) {
        to.checkpoint();
      }
    }
  }

  /**
   * @param rows takes new samples, row by row
   */
  MeterDesk(ProveState state, Consumer<double[]> rows) {
    this.state = state;
    this.rows = rows;
  }

  ReadOnlyStringProperty standingProperty() {
    return standing.getReadOnlyProperty();
  }

  /** Whether a run comes in, connected or not. */
  ReadOnlyBooleanProperty runningProperty() {
    return running.getReadOnlyProperty();
  }

  /** Connects, and begins a run unless one is going on. */
  void connect(int port) {
    if (link != null) {
      link.close();
      link = null;
    }
    wanted = true;
    standing.set("Connecting …");
    DeviceLink.open(
        "meter",
        port,
        MeterLine::read,
        this,
        opened -> {
          link = opened;
          begin();
        });
  }

  /** Connects to a stand-in of this program's own, which tells the duty as it was forecast. */
  void simulate() {
    Forecast f = state.forecast();
    if (f == null) {
      return;
    }
    try {
      OwnStandIn own = OwnStandIn.start("meter", new SimulatedMeter(f.duty(), 1), SPEED);
      standIn = own;
      connect(own.port());
    } catch (IOException e) {
      standing.set("The stand-in could not be started: " + e.getMessage());
    }
  }

  private void begin() {
    if (taken != null) {
      return;
    }
    log = new MeterLog();
    refusedSaid = 0;
    String day =
        DateTimeFormatter.ofPattern("d MMM, HH:mm", Locale.ENGLISH)
            .format(state.now().atZone(ZoneId.systemDefault()));
    Taken t =
        new Taken(new Run("Live, " + day, "", "", "", CHANNELS, RunSheet.NOTHING.withLog(HOLDS)));
    taken = t;
    running.set(true);
    writing.execute(
        () -> {
          try {
            RunLog into = state.session().keeper().beginLiveRun(t.run);
            t.log = into;
            t.writer = new SampleWriter(MeterLine.FIGURES, into::append);
          } catch (NotKept e) {
            failed(t, e);
          }
        });
  }

  private void failed(Taken t, NotKept e) {
    if (!t.failed) {
      t.failed = true;
      Platform.runLater(() -> state.say("The run is not being kept: " + e.getMessage()));
    }
  }

  @Override
  public void said(List<MeterLine> lines) {
    List<double[]> fresh = new ArrayList<>();
    boolean over = false;
    for (MeterLine line : lines) {
      switch (line) {
        case MeterLine.Hello h -> standing.set("Connected: %s.".formatted(h.name()));
        case MeterLine.Samples s -> fresh.add(log.take(s));
        case MeterLine.End e -> over = true;
        case MeterLine.Nonsense n ->
            state.say("A message from the meter was not understood (" + n.why() + ").");
        case MeterLine.Heard h -> {}
      }
    }
    take(fresh.stream().flatMapToDouble(Arrays::stream).toArray());
    if (log.refused() > refusedSaid) {
      refusedSaid = log.refused();
      state.say(
          "%d samples of this run hold figures that cannot be, and are left out."
              .formatted(refusedSaid));
    }
    if (over) {
      standing.set("The meter says that the run is over.");
      end();
    }
  }

  private void take(double[] fresh) {
    Taken t = taken;
    if (t == null || fresh.length == 0) {
      return;
    }
    long next = log.next();
    DeviceLink<MeterLine> to = link;
    rows.accept(fresh);
    unwritten.incrementAndGet();
    writing.execute(
        () -> {
          // Where more waits already, one commit for all of it is enough.
          boolean last = unwritten.decrementAndGet() == 0;
          try {
            if (!t.failed) {
              t.keep(fresh, last);
              if (last && to != null) {
                to.say(MeterLine.heard(next));
              }
            }
          } catch (NotKept e) {
            failed(t, e);
          }
        });
  }

  /** Ends the run and keeps it. */
  void end() {
    Taken t = taken;
    taken = null;
    wanted = false;
    if (link != null) {
      link.close();
      link = null;
    }
    closeStandIn();
    if (t != null) {
      writing.execute(() -> finish(t));
    }
    running.set(false);
  }

  private void finish(Taken t) {
    RunLog into = t.log;
    SampleWriter from = t.writer;
    if (into == null || from == null) {
      return;
    }
    try {
      from.finish();
      into.finishLive(from.samples(), t.run);
      Platform.runLater(
          () -> {
            standing.set("Kept with %d samples, at Runs.".formatted(from.samples()));
            state.chooseSoon(into.id());
          });
    } catch (NotKept e) {
      failed(t, e);
    }
  }

  private void closeStandIn() {
    if (standIn != null) {
      String trouble = standIn.close();
      standIn = null;
      if (!trouble.isEmpty()) {
        standing.set(trouble);
      }
    }
  }

  @Override
  public void lost(String why) {
    if (wanted) {
      link = null;
      standing.set(why + " What came is kept; connect again, and the run goes on where it was.");
    }
  }
}
