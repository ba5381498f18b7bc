package hammerman.app.station.prove;

import hammerman.app.job.DeviceLink;
import hammerman.app.job.OwnStandIn;
import hammerman.app.session.RunLog;
import hammerman.forecast.Forecast;
import hammerman.prove.MeterLine;
import hammerman.prove.MeterLog;
import hammerman.prove.SheetOfLog;
import hammerman.prove.SimulatedMeter;
import hammerman.record.Run;
import hammerman.record.Run.Channel;
import hammerman.record.RunSheet;
import hammerman.record.RunSheet.Holds;
import hammerman.store.NotKept;
import hammerman.store.SampleWriter;
import hammerman.telemetry.Quantity;
import hammerman.telemetry.Telemetry;
import hammerman.unit.Unit;
import java.io.IOException;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
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
final class MeterDesk implements DeviceLink.Listener {
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

  private @Nullable DeviceLink link;
  private @Nullable OwnStandIn standIn;
  private @Nullable Taken taken;
  private MeterLog log = new MeterLog();
  private boolean wanted;

  /** A run that comes in; touched by the writing thread alone. */
  private static final class Taken {
    private final Run run;
    private @Nullable RunLog log;
    private @Nullable SampleWriter writer;
    private double[] samples = new double[MeterLine.FIGURES * 4096];
    private int used;
    private boolean failed;

    Taken(Run run) {
      this.run = run;
    }

    void keep(double[] fresh) throws NotKept {
      SampleWriter to = writer;
      if (to == null) {
        throw new NotKept(NotKept.Reason.REFUSED, "The run was not begun.");
      }
      if (used + fresh.length > samples.length) {
        samples = Arrays.copyOf(samples, 2 * (used + fresh.length));
      }
      System.arraycopy(fresh, 0, samples, used, fresh.length);
      used += fresh.length;
      for (int k = 0; k < fresh.length; k += MeterLine.FIGURES) {
        to.add(Arrays.copyOfRange(fresh, k, k + MeterLine.FIGURES));
      }
    }

    /** The run with what its samples say. */
    Run described() {
      int n = used / MeterLine.FIGURES;
      double[][] of = new double[MeterLine.FIGURES][n];
      for (int k = 0; k < n; k++) {
        for (int c = 0; c < MeterLine.FIGURES; c++) {
          of[c][k] = samples[k * MeterLine.FIGURES + c];
        }
      }
      for (int k = 0; k < n; k++) {
        of[3][k] = Unit.CELSIUS.toCore(of[3][k]);
      }
      return Telemetry.of(
              run.name(),
              Map.of(
                  Quantity.TIME, of[0],
                  Quantity.VOLTAGE, of[1],
                  Quantity.CURRENT, of[2],
                  Quantity.TEMPERATURE, of[3]))
          .map(t -> run.withSheet(SheetOfLog.of(t, run.sheet())))
          .orElse(run);
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
            RunLog into = state.session().keeper().beginRun(t.run);
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
  public void said(String line) {
    switch (MeterLine.read(line)) {
      case MeterLine.Hello h -> standing.set("Connected: %s.".formatted(h.name()));
      case MeterLine.Samples s -> take(s);
      case MeterLine.End e -> {
        standing.set("The meter says that the run is over.");
        end();
      }
      case MeterLine.Nonsense n -> state.say("A line was not understood (" + n.why() + ").");
      case MeterLine.Heard h -> {}
    }
  }

  private void take(MeterLine.Samples s) {
    Taken t = taken;
    double[] fresh = log.take(s);
    if (t == null || fresh.length == 0) {
      return;
    }
    long next = log.next();
    DeviceLink to = link;
    rows.accept(fresh);
    writing.execute(
        () -> {
          try {
            if (!t.failed) {
              t.keep(fresh);
              if (to != null) {
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
      into.finish(from.samples(), t.described());
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
