package hammerman.store;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;

/**
 * A stretch of a channel as the file holds it: little-endian doubles. Level 0 holds the samples;
 * level n the least and the greatest of each 16ⁿ samples, pair by pair.
 */
public final class SampleBlock {
  /** Samples of a block of level 0. */
  static final int SAMPLES = 8192;

  /** Pairs of a block of a higher level. */
  static final int PAIRS = SAMPLES / 2;

  /** Entries of a level that make one of the next. */
  static final int FACTOR = 16;

  private final int channel;
  private final int level;
  private final long number;
  private final byte[] figures;

  SampleBlock(int channel, int level, long number, double[] values, int count) {
    this.channel = channel;
    this.level = level;
    this.number = number;
    ByteBuffer bytes = ByteBuffer.allocate(count * Double.BYTES).order(ByteOrder.LITTLE_ENDIAN);
    bytes.asDoubleBuffer().put(values, 0, count);
    figures = bytes.array();
  }

  int channel() {
    return channel;
  }

  int level() {
    return level;
  }

  long number() {
    return number;
  }

  /** The bytes for the file; not changed by anybody after they are made. */
  byte[] figures() {
    return figures.clone();
  }

  static double[] read(byte[] figures) {
    double[] values = new double[figures.length / Double.BYTES];
    ByteBuffer.wrap(figures).order(ByteOrder.LITTLE_ENDIAN).asDoubleBuffer().get(values);
    return values;
  }
}
