package hammerman.app.station.prove;

import hammerman.prove.ExampleSeason.Logged;
import hammerman.record.Run;
import hammerman.record.Run.Channel;
import hammerman.record.RunSheet.Holds;
import hammerman.store.NotKept;
import hammerman.store.ProjectStore;
import hammerman.store.RunBook;
import hammerman.store.SampleWriter;
import hammerman.telemetry.Quantity;
import hammerman.telemetry.Telemetry;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/** Keeps a run of an example's season as if its log had been taken in. */
final class SeasonLog {
  private SeasonLog() {}

  static void keep(ProjectStore store, Logged logged, Instant now) throws NotKept {
    RunBook book = store.runBook();
    Telemetry log = logged.log();
    List<Quantity> held = new ArrayList<>();
    List<Channel> channels = new ArrayList<>();
    List<Holds> holds = new ArrayList<>();
    channels.add(new Channel("Time", "s"));
    for (Quantity q : Quantity.values()) {
      if (q != Quantity.TIME && log.has(q)) {
        holds.add(new Holds(q.name(), channels.size(), q.units().getFirst(), false));
        channels.add(new Channel(q.label(), q.units().getFirst().symbol()));
        held.add(q);
      }
    }
    Run run = new Run(logged.name(), "", "", "", channels, logged.sheet().withLog(holds));
    Instant at = now.minus(Duration.ofHours(Math.round(24 * logged.days()) + 3));
    long id = book.begin(run, store.design().presentState(), at);
    SampleWriter writer = new SampleWriter(channels.size(), blocks -> book.append(id, blocks));
    double[] row = new double[channels.size()];
    for (int k = 0; k < log.size(); k++) {
      row[0] = log.at(Quantity.TIME, k);
      for (int c = 0; c < held.size(); c++) {
        row[c + 1] = held.get(c).units().getFirst().fromCore(log.at(held.get(c), k));
      }
      writer.add(row);
    }
    writer.finish();
    book.finish(id, writer.samples());
  }
}
