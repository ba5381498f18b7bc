package hammerman.store;

import hammerman.record.Fact;
import hammerman.record.Fact.Strike;
import hammerman.record.Run;
import hammerman.record.Run.Channel;
import hammerman.record.RunSheet;
import hammerman.record.Trace;
import hammerman.telemetry.Quantity;
import hammerman.telemetry.Telemetry;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;

/** The runs, each with its log kept whole: any channels, as many samples as there were. */
public final class RunBook {
  /** A run whose log is still coming in; it is not shown, and goes if it never ends. */
  private static final long UNFINISHED = -1;

  /** A run that comes in from a device: there is no other copy, so it is kept however it ends. */
  private static final long LIVE = -2;

  /** Longer logs are drawn, but not read as a whole. */
  private static final long MOST_SAMPLES = 5_000_000;

  private final ProjectStore store;
  private final Database database;

  RunBook(ProjectStore store) {
    this.store = store;
    database = store.database();
  }

  /**
   * Begins a run whose samples follow.
   *
   * @param state of the design that it was made with, if that is known
   * @return its number
   */
  public long begin(Run run, @Nullable Long state, Instant at) throws NotKept {
    return begin(run, state, at, UNFINISHED);
  }

  /**
   * Begins a run whose samples come in from a device; what came of it is kept even if it is cut
   * short.
   *
   * @see #begin(Run, Long, Instant)
   * @see #endCutShort()
   */
  public long beginLive(Run run, @Nullable Long state, Instant at) throws NotKept {
    return begin(run, state, at, LIVE);
  }

  private long begin(Run run, @Nullable Long state, Instant at, long samples) throws NotKept {
    return store.change(
        () -> {
          long id =
              database.insert(
                  "INSERT INTO run (at, name, state, conditions, notes, source, source_hash,"
                      + " samples) VALUES (?, ?, ?, ?, ?, ?, ?, ?)",
                  at.toEpochMilli(),
                  run.name(),
                  state,
                  SheetText.of(run.sheet()),
                  run.notes(),
                  run.source(),
                  run.sourceHash(),
                  samples);
          for (int c = 0; c < run.channels().size(); c++) {
            Channel channel = run.channels().get(c);
            database.update(
                "INSERT INTO channel (run, position, name, unit) VALUES (?, ?, ?, ?)",
                id,
                c,
                channel.name(),
                channel.unit());
          }
          return id;
        });
  }

  /** Keeps blocks of a run that was begun; a block that is there already is written anew. */
  public void append(long run, List<SampleBlock> blocks) throws NotKept {
    store.change(
        () -> {
          insert(channelIds(run), blocks);
          return true;
        });
  }

  void insert(long[] channels, List<SampleBlock> blocks) throws SQLException {
    for (SampleBlock b : blocks) {
      database.update(
          "INSERT OR REPLACE INTO block (channel, level, number, figures) VALUES (?, ?, ?, ?)",
          channels[b.channel()],
          b.level(),
          b.number(),
          b.figures());
    }
  }

  /**
   * Ends a run; from now on it is shown.
   *
   * @param samples how many it has
   */
  public void finish(long run, long samples) throws NotKept {
    store.write("UPDATE run SET samples = ? WHERE id = ?", samples, run);
  }

  /**
   * Ends the runs that came in from a device and were cut short, as when the program was killed:
   * each keeps the samples that came. One of which nothing came is removed.
   *
   * @return those that were kept
   */
  public List<Fact<Run>> endCutShort() throws NotKept {
    List<Long> ended =
        store.change(
            () -> {
              List<Long> kept = new ArrayList<>();
              for (long id :
                  database.rows(r -> r.getLong(1), "SELECT id FROM run WHERE samples = " + LIVE)) {
                long samples = new Pyramid(this, database, id).again();
                database.update(
                    "UPDATE run SET samples = ? WHERE id = ?",
                    samples > 0 ? samples : UNFINISHED,
                    id);
                if (samples > 0) {
                  kept.add(id);
                }
              }
              return kept;
            });
    removeUnfinished();
    return runs(0, Integer.MAX_VALUE).stream().filter(r -> ended.contains(r.id())).toList();
  }

  /** Removes runs whose log never came to its end. */
  public void removeUnfinished() throws NotKept {
    store.change(
        () -> {
          String runs = "(SELECT id FROM run WHERE samples = " + UNFINISHED + ")";
          database.execute(
              "DELETE FROM block WHERE channel IN (SELECT id FROM channel WHERE run IN "
                  + runs
                  + ")");
          database.execute("DELETE FROM channel WHERE run IN " + runs);
          database.execute("DELETE FROM run WHERE samples = " + UNFINISHED);
          return true;
        });
  }

  /** Keeps a run of which figures were typed, and that has no log; returns its number. */
  public long typed(Run run, @Nullable Long state, Instant at) throws NotKept {
    long id = begin(run, state, at);
    finish(id, 0);
    return id;
  }

  /** Writes anew what is written down of a run: its name, notes and sheet; the log stays. */
  public void describe(long run, Run as) throws NotKept {
    store.write(
        "UPDATE run SET name = ?, notes = ?, conditions = ? WHERE id = ?",
        as.name(),
        as.notes(),
        SheetText.of(as.sheet()),
        run);
  }

  /**
   * Returns the log of a run by its quantities, as its sheet says which channel is what.
   *
   * @return empty if it has no log, or none that can be read as one
   */
  public Optional<Telemetry> telemetry(Fact<Run> run) throws NotKept {
    return telemetry(run.id(), run.value(), samples(run.id()));
  }

  /** The same of a run that has so many samples; it need not be ended yet. */
  public Optional<Telemetry> telemetry(long id, Run run, long n) throws NotKept {
    Map<Quantity, double[]> channels = new EnumMap<>(Quantity.class);
    if (n < 2 || n > MOST_SAMPLES) {
      return Optional.empty();
    }
    channels.put(Quantity.TIME, raw(id, 0, 0, (int) n));
    for (RunSheet.Holds h : run.sheet().log()) {
      if (h.channel() >= run.channels().size()) {
        return Optional.empty();
      }
      double[] v = raw(id, h.channel(), 0, (int) n);
      for (int k = 0; k < v.length; k++) {
        v[k] = (h.negative() ? -1 : 1) * h.unit().toCore(v[k]);
      }
      channels.put(Quantity.valueOf(h.quantity()), v);
    }
    return Telemetry.of(run.name(), channels);
  }

  /** Strikes a run out; its log stays. */
  public void strike(long run, Strike strike) throws NotKept {
    Striking.out(store, "run", run, strike);
  }

  /** Returns how many runs there are. */
  public int count() throws NotKept {
    return (int) store.number("SELECT count(*) FROM run WHERE samples >= 0");
  }

  /** Returns a page of the runs, newest first. */
  public List<Fact<Run>> runs(int from, int count) throws NotKept {
    return store.rows(
        this::run,
        "SELECT id, at, name, notes, source, source_hash, conditions, struck_at,"
            + " struck_reason FROM run WHERE samples >= 0"
            + " ORDER BY id DESC LIMIT ? OFFSET ?",
        count,
        from);
  }

  private Fact<Run> run(ResultSet r) throws SQLException {
    long id = r.getLong(1);
    List<Channel> channels =
        database.rows(
            c -> new Channel(c.getString(1), c.getString(2)),
            "SELECT name, unit FROM channel WHERE run = ? ORDER BY position",
            id);
    return new Fact<>(
        id,
        Instant.ofEpochMilli(r.getLong(2)),
        new Run(
            r.getString(3),
            r.getString(4),
            r.getString(5),
            r.getString(6),
            channels,
            SheetText.read(r.getString(7))),
        Striking.read(r, 8));
  }

  /** Returns the number of the state of the design that a run was made with, if it is known. */
  public OptionalLong state(long run) throws NotKept {
    long id = store.number("SELECT coalesce(state, -1) FROM run WHERE id = ?", run);
    return id < 0 ? OptionalLong.empty() : OptionalLong.of(id);
  }

  /** Returns how many samples the log of a run has. */
  public long samples(long run) throws NotKept {
    return store.number("SELECT max(samples, 0) FROM run WHERE id = ?", run);
  }

  /**
   * Returns samples of a channel as they are.
   *
   * @param from index of the first
   * @param count how many at most
   */
  public double[] raw(long run, int channel, long from, int count) throws NotKept {
    return database.reading(
        () -> {
          long[] channels = channelIds(run);
          return channel < channels.length
              ? entries(channels[channel], 0, SampleBlock.SAMPLES, 1, from, count)
              : new double[0];
        });
  }

  /**
   * Returns a stretch of a channel for drawing, out of the pyramid: as fast for a million samples
   * as for a thousand.
   *
   * @param from index of the first sample
   * @param to index after the last
   * @param slots how many are wanted, mostly the width of the picture in px
   */
  public Trace trace(long run, int channel, long from, long to, int slots) throws NotKept {
    return database.reading(
        () -> {
          long[] channels = channelIds(run);
          if (channel >= channels.length) {
            return new Trace(from, 1, new double[0], new double[0]);
          }
          long id = channels[channel];
          long each = Math.max(1, Math.ceilDiv(to - from, slots));
          int level = 0;
          long span = 1;
          while (level < SampleWriter.LEVELS && span * SampleBlock.FACTOR <= each) {
            span *= SampleBlock.FACTOR;
            level++;
          }
          long first = from / span;
          int wanted = (int) (Math.ceilDiv(to, span) - first);
          int stride = level == 0 ? 1 : 2;
          double[] found =
              entries(
                  id,
                  level,
                  level == 0 ? SampleBlock.SAMPLES : SampleBlock.PAIRS,
                  stride,
                  first,
                  wanted);
          int perSlot = (int) Math.max(1, each / span);
          return reduced(found, stride, first * span, span, perSlot);
        });
  }

  private static Trace reduced(double[] found, int stride, long from, long span, int perSlot) {
    int have = found.length / stride;
    int n = Math.ceilDiv(have, perSlot);
    double[] low = new double[n];
    double[] high = new double[n];
    Arrays.fill(low, Double.NaN);
    Arrays.fill(high, Double.NaN);
    for (int k = 0; k < have; k++) {
      int slot = k / perSlot;
      double least = found[stride * k];
      double most = found[stride * k + stride - 1];
      if (!Double.isNaN(least) && !(low[slot] <= least)) {
        low[slot] = least;
      }
      if (!Double.isNaN(most) && !(high[slot] >= most)) {
        high[slot] = most;
      }
    }
    return new Trace(from, span * perSlot, low, high);
  }

  /** Entries of a level, each of so many figures, from one of them on. */
  double[] entries(long channel, int level, int perBlock, int stride, long from, int count)
      throws SQLException {
    double[] found = new double[count * stride];
    long firstBlock = from / perBlock;
    long lastBlock = (from + Math.max(1, count) - 1) / perBlock;
    List<double[]> blocks =
        database.rows(
            r -> SampleBlock.read(r.getBytes(1)),
            "SELECT figures FROM block WHERE channel = ? AND level = ?"
                + " AND number BETWEEN ? AND ? ORDER BY number",
            channel,
            level,
            firstBlock,
            lastBlock);
    int at = 0;
    int skip = (int) (from - firstBlock * perBlock) * stride;
    for (double[] b : blocks) {
      int n = Math.min(b.length - skip, found.length - at);
      if (n > 0) {
        System.arraycopy(b, skip, found, at, n);
        at += n;
      }
      skip = 0;
    }
    return at == found.length ? found : Arrays.copyOf(found, at);
  }

  long[] channelIds(long run) throws SQLException {
    return database
        .rows(r -> r.getLong(1), "SELECT id FROM channel WHERE run = ? ORDER BY position", run)
        .stream()
        .mapToLong(Long::longValue)
        .toArray();
  }
}
