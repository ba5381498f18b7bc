package hammerman.store;

import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;

/** The least and greatest of a run's samples, made anew from the samples as they are kept. */
final class Pyramid {
  private final RunBook book;
  private final Database database;
  private final long run;

  Pyramid(RunBook book, Database database, long run) {
    this.book = book;
    this.database = database;
    this.run = run;
  }

  /** Makes it anew, and returns how many samples there are. */
  long again() throws SQLException {
    long[] channels = book.channelIds(run);
    for (long c : channels) {
      database.update("DELETE FROM block WHERE channel = ? AND level > 0", c);
    }
    List<SampleBlock> made = new ArrayList<>();
    SampleWriter writer =
        new SampleWriter(
            channels.length,
            blocks -> blocks.stream().filter(b -> b.level() > 0).forEach(made::add));
    double[] row = new double[channels.length];
    for (long number = 0; ; number++) {
      double[][] of = new double[channels.length][];
      int n = Integer.MAX_VALUE;
      for (int c = 0; c < channels.length; c++) {
        of[c] =
            book.entries(
                channels[c],
                0,
                SampleBlock.SAMPLES,
                1,
                number * SampleBlock.SAMPLES,
                SampleBlock.SAMPLES);
        n = Math.min(n, of[c].length);
      }
      for (int k = 0; k < n && channels.length > 0; k++) {
        for (int c = 0; c < channels.length; c++) {
          row[c] = of[c][k];
        }
        into(() -> writer.add(row));
      }
      if (n < SampleBlock.SAMPLES || channels.length == 0) {
        into(writer::finish);
        book.insert(channels, made);
        return writer.samples();
      }
    }
  }

  /** What is put into a list and not into a file. */
  @FunctionalInterface
  private interface Listed {
    void run() throws NotKept;
  }

  private static void into(Listed work) {
    try {
      work.run();
    } catch (NotKept e) {
      throw new IllegalStateException("a list takes everything", e);
    }
  }
}
