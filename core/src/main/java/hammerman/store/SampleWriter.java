package hammerman.store;

import java.util.ArrayList;
import java.util.List;

/**
 * Parts the rows of a log into blocks, with the pyramid of least and greatest for drawing, as they
 * come: memory does not grow with the log. Flat arrays, nothing allocated per row.
 */
public final class SampleWriter {
  private final Sink sink;
  private final Level[][] levels;
  private final double[][] waiting;
  private int filled;
  private long blocks;
  private long samples;

  /** Takes full blocks. */
  @FunctionalInterface
  public interface Sink {
    void take(List<SampleBlock> blocks) throws NotKept;
  }

  /** One level of one channel while it fills. */
  private static final class Level {
    private final double[] pairs = new double[2 * SampleBlock.PAIRS];
    private int count;
    private long number;
    private double low = Double.NaN;
    private double high = Double.NaN;
    private int held;

    void hold(double least, double greatest) {
      if (!(low <= least)) {
        low = Double.isNaN(least) ? low : least;
      }
      if (!(high >= greatest)) {
        high = Double.isNaN(greatest) ? high : greatest;
      }
      held++;
    }

    void push() {
      pairs[2 * count] = low;
      pairs[2 * count + 1] = high;
      count++;
      low = Double.NaN;
      high = Double.NaN;
      held = 0;
    }
  }

  /** Levels beyond the samples: the last has one entry for each 16⁵ of them, about a million. */
  static final int LEVELS = 5;

  /**
   * @param channels number of them
   * @param sink takes blocks as they fill
   */
  public SampleWriter(int channels, Sink sink) {
    this.sink = sink;
    waiting = new double[channels][SampleBlock.SAMPLES];
    levels = new Level[channels][LEVELS];
    for (Level[] of : levels) {
      for (int l = 0; l < LEVELS; l++) {
        of[l] = new Level();
      }
    }
  }

  /** Takes one row: a figure of each channel, NaN where there is none. */
  public void add(double[] row) throws NotKept {
    for (int c = 0; c < waiting.length; c++) {
      waiting[c][filled] = row[c];
    }
    samples++;
    if (++filled == SampleBlock.SAMPLES) {
      flush(false);
    }
  }

  /** Returns how many rows were taken. */
  public long samples() {
    return samples;
  }

  /**
   * Gives out the blocks that are filling as far as they are, so that they are kept if the program
   * ends; once they are full they are given out again.
   */
  public void checkpoint() throws NotKept {
    if (filled == 0) {
      return;
    }
    List<SampleBlock> out = new ArrayList<>();
    for (int c = 0; c < waiting.length; c++) {
      out.add(new SampleBlock(c, 0, blocks, waiting[c], filled));
    }
    sink.take(out);
  }

  /** Gives out what is left. */
  public void finish() throws NotKept {
    flush(true);
  }

  private void flush(boolean last) throws NotKept {
    List<SampleBlock> out = new ArrayList<>();
    for (int c = 0; c < waiting.length; c++) {
      if (filled > 0) {
        out.add(new SampleBlock(c, 0, blocks, waiting[c], filled));
      }
      for (int k = 0; k < filled; k++) {
        raise(c, 0, waiting[c][k], waiting[c][k], out);
      }
      if (last) {
        close(c, out);
      }
    }
    blocks++;
    filled = 0;
    if (!out.isEmpty()) {
      sink.take(out);
    }
  }

  private void raise(int c, int l, double low, double high, List<SampleBlock> out) {
    Level level = levels[c][l];
    level.hold(low, high);
    if (level.held == SampleBlock.FACTOR) {
      push(c, l, out);
    }
  }

  private void push(int c, int l, List<SampleBlock> out) {
    Level level = levels[c][l];
    double low = level.low;
    double high = level.high;
    level.push();
    if (level.count == SampleBlock.PAIRS) {
      emit(c, l, out);
    }
    if (l + 1 < LEVELS) {
      raise(c, l + 1, low, high, out);
    }
  }

  private void emit(int c, int l, List<SampleBlock> out) {
    Level level = levels[c][l];
    out.add(new SampleBlock(c, l + 1, level.number++, level.pairs, 2 * level.count));
    level.count = 0;
  }

  private void close(int c, List<SampleBlock> out) {
    for (int l = 0; l < LEVELS; l++) {
      if (levels[c][l].held > 0) {
        push(c, l, out);
      }
      if (levels[c][l].count > 0) {
        emit(c, l, out);
      }
    }
  }
}
