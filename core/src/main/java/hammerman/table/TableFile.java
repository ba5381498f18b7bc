package hammerman.table;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.reader.FieldMismatchStrategy;
import hammerman.unit.Sentence;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import java.util.regex.Pattern;

/**
 * A text table whose way of writing has been found out from its beginning.
 *
 * @param file where it lies
 * @param charset how its text is coded
 * @param delimiter between fields
 * @param decimalComma whether numbers have a decimal comma
 * @param skip lines before the head, or before the data if there is none
 * @param columns names of the columns; “column 1” and so on without a head
 * @param headed whether the file has a head
 * @param sample the first rows of data
 */
public record TableFile(
    Path file,
    Charset charset,
    char delimiter,
    boolean decimalComma,
    int skip,
    List<String> columns,
    boolean headed,
    List<List<String>> sample) {

  private static final int LOOK_AT = 1 << 16;
  private static final int SAMPLE_ROWS = 30;
  private static final int MOST_COLUMNS = 500;
  private static final char[] DELIMITERS = {'\t', ';', '|', ','};
  private static final int ASK_EVERY = 4096;
  private static final double HEAD_WEIGHT = 0.2;
  private static final double MIXED_WEIGHT = 0.1;
  private static final Pattern COMMA_FIGURE = Pattern.compile("\\s*[+\\-−]?\\d+,\\d+\\D*");

  public TableFile {
    columns = List.copyOf(columns);
    sample = sample.stream().map(List::copyOf).toList();
  }

  /** Takes one row of data: its line in the file and its fields. */
  @FunctionalInterface
  public interface RowTaker {
    void take(long line, List<String> fields);
  }

  /**
   * Looks at the beginning of a file and finds out how it is written.
   *
   * @throws UnreadableTable if it is no text table
   */
  public static TableFile open(Path file) throws UnreadableTable {
    byte[] start = beginning(file);
    Charset charset = charset(start, file);
    String text = new String(start, charset);
    boolean cut = start.length == LOOK_AT;
    char delimiter = delimiter(text, cut, file);
    List<List<String>> rows = records(text, delimiter, cut);
    int width = usualWidth(rows);
    int first = 0;
    while (first < rows.size() - 1 && rows.get(first).size() != width) {
      first++;
    }
    boolean comma = decimalComma(rows.subList(first, rows.size()));
    first = belowTitles(rows, first, comma);
    List<String> head = rows.get(first);
    boolean headed = isHead(head, comma);
    List<String> names = new ArrayList<>();
    for (int k = 0; k < head.size(); k++) {
      String name = headed ? head.get(k).strip() : "";
      names.add(name.isEmpty() ? "column " + (k + 1) : name);
    }
    List<List<String>> data = rows.subList(headed ? first + 1 : first, rows.size());
    if (data.isEmpty()) {
      throw new UnreadableTable(
          name(file) + " has a head but no rows. Export it again with its data.");
    }
    return new TableFile(
        file,
        charset,
        delimiter,
        comma,
        first,
        names,
        headed,
        data.subList(0, Math.min(data.size(), SAMPLE_ROWS)));
  }

  /** Returns the index of a column by its name, -1 if there is none. */
  public int indexOf(String column) {
    return columns.indexOf(column);
  }

  /** Returns the number in a field of this table, NaN if none. */
  public double number(String field) {
    return Numbers.parse(field, decimalComma);
  }

  /**
   * Goes through all rows.
   *
   * @param taker takes each row
   * @param progress told the share of the file read, 0 to 1
   * @param cancelled asked now and then; the reading ends when it says so
   * @return whether it came to the end
   */
  public boolean rows(RowTaker taker, DoubleConsumer progress, BooleanSupplier cancelled)
      throws UnreadableTable {
    long size = Math.max(1, file.toFile().length());
    long skipped = 0;
    int toSkip = skip + (headed ? 1 : 0);
    try (Counting in = new Counting(Files.newInputStream(file));
        Reader reader = new BufferedReader(new InputStreamReader(in, charset), 1 << 16);
        CsvReader<CsvRecord> csv = csv(delimiter).ofCsvRecord(reader)) {
      for (CsvRecord row : csv) {
        if (skipped++ < toSkip) {
          continue;
        }
        if (skipped % ASK_EVERY == 0) {
          progress.accept(Math.min(1, (double) in.count / size));
          if (cancelled.getAsBoolean()) {
            return false;
          }
        }
        taker.take(row.getStartingLineNumber(), row.getFields());
      }
      return true;
    } catch (IOException | UncheckedIOException | CsvParseException e) {
      throw new UnreadableTable(
          name(file)
              + " cannot be read to its end (after row "
              + skipped
              + "): "
              + e.getMessage()
              + ". Export it again.");
    }
  }

  private static CsvReader.CsvReaderBuilder csv(char delimiter) {
    return CsvReader.builder()
        .fieldSeparator(delimiter)
        .skipEmptyLines(true)
        .extraFieldStrategy(FieldMismatchStrategy.IGNORE)
        .missingFieldStrategy(FieldMismatchStrategy.IGNORE)
        .trimWhitespacesAroundQuotes(true);
  }

  /** The first rows of a text; fields in quotes may go over several lines. */
  private static List<List<String>> records(String text, char delimiter, boolean cut)
      throws UnreadableTable {
    List<List<String>> rows = new ArrayList<>();
    String whole = text.startsWith("\uFEFF") ? text.substring(1) : text;
    boolean more = false;
    try (CsvReader<CsvRecord> csv = csv(delimiter).ofCsvRecord(whole)) {
      for (CsvRecord row : csv) {
        if (rows.size() > SAMPLE_ROWS + 20) {
          more = true;
          break;
        }
        if (row.getFields().stream().anyMatch(f -> !f.isBlank())) {
          rows.add(row.getFields());
        }
      }
    } catch (CsvParseException | UncheckedIOException e) {
      throw new UnreadableTable(
          "line %d: a quote (\") stands where none can. Take it out, or double it."
              .formatted(rows.size() + 1));
    } catch (IOException e) {
      throw new IllegalStateException("a text cannot fail to be read", e);
    }
    if (cut && !more && rows.size() > 1) {
      rows.removeLast();
    }
    return rows;
  }

  private static byte[] beginning(Path file) throws UnreadableTable {
    if (Files.exists(file) && !Files.isRegularFile(file)) {
      throw new UnreadableTable(
          name(file)
              + (Files.isDirectory(file) ? " is a folder." : " is a device, not a file.")
              + " Choose a text file.");
    }
    try (InputStream in = Files.newInputStream(file)) {
      byte[] start = in.readNBytes(LOOK_AT);
      if (start.length == 0) {
        throw new UnreadableTable(name(file) + " is empty (0 bytes). Choose another file.");
      }
      return start;
    } catch (NoSuchFileException e) {
      throw new UnreadableTable(Sentence.missing(name(file)));
    } catch (IOException e) {
      throw new UnreadableTable(
          name(file) + " cannot be opened (" + e.getMessage() + "). Check its permissions.");
    }
  }

  private static Charset charset(byte[] start, Path file) throws UnreadableTable {
    if (start.length > 1 && (start[0] & 0xff) == 0xff && (start[1] & 0xff) == 0xfe) {
      return StandardCharsets.UTF_16;
    }
    for (byte b : start) {
      if (b == 0) {
        throw new UnreadableTable(
            name(file) + " is not text. Export the log as CSV and choose that file.");
      }
    }
    String text = new String(start, StandardCharsets.UTF_8);
    int bad = text.indexOf('\uFFFD');
    return bad < 0 || bad > text.length() - 4
        ? StandardCharsets.UTF_8
        : StandardCharsets.ISO_8859_1;
  }

  /**
   * The delimiter whose rows are most of the same width, the head among them, with the fewest other
   * delimiters inside their fields.
   */
  private static char delimiter(String text, boolean cut, Path file) throws UnreadableTable {
    char best = 0;
    double most = 0;
    UnreadableTable unreadable = null;
    for (char d : DELIMITERS) {
      try {
        List<List<String>> rows = records(text, d, cut);
        double quality = quality(rows, d);
        if (quality > most + 1e-9) {
          most = quality;
          best = d;
        }
      } catch (UnreadableTable e) {
        unreadable = e;
      }
    }
    if (best == 0 && unreadable != null) {
      throw new UnreadableTable(name(file) + ", " + unreadable.getMessage());
    }
    if (best == 0) {
      throw new UnreadableTable(
          name(file)
              + " is not a table: no delimiter (tab, semicolon, bar or comma) parts its lines into"
              + " the same columns. Export it as CSV.");
    }
    return best;
  }

  /** How well rows look like those of a table, 0 if they do not. */
  private static double quality(List<List<String>> rows, char delimiter) {
    int width = usualWidth(rows);
    if (width < 2 || width >= MOST_COLUMNS) {
      return 0;
    }
    long usual = rows.stream().filter(r -> r.size() == width).count();
    double share = (double) usual / rows.size();
    if (share < 0.5) {
      return 0;
    }
    long fields = 0;
    long mixed = 0;
    for (List<String> row : rows) {
      for (String f : row) {
        fields++;
        mixed += isMixed(f, delimiter) ? 1 : 0;
      }
    }
    double head = rows.getFirst().size() == width ? HEAD_WEIGHT : 0;
    return share + head + MIXED_WEIGHT * (1 - (double) mixed / fields);
  }

  /** Whether a field has other delimiters inside, but for a decimal comma. */
  private static boolean isMixed(String field, char delimiter) {
    if (delimiter != ',' && COMMA_FIGURE.matcher(field).matches()) {
      return false;
    }
    for (char d : DELIMITERS) {
      if (d != delimiter && field.indexOf(d) >= 0) {
        return true;
      }
    }
    return false;
  }

  private static int usualWidth(List<List<String>> rows) {
    Map<Integer, Integer> times = new HashMap<>();
    int usual = 0;
    for (List<String> row : rows) {
      int n = times.merge(row.size(), 1, Integer::sum);
      if (row.size() > 1 && n > times.getOrDefault(usual, 0) - (row.size() == usual ? 1 : 0)) {
        usual = row.size();
      }
    }
    return usual;
  }

  /** Where the head is, below titles that a spreadsheet has filled up to the usual width. */
  private static int belowTitles(List<List<String>> rows, int first, boolean comma) {
    int head = first;
    while (head < rows.size() - 1 && filled(rows.get(head)) < 2) {
      head++;
    }
    return filled(rows.get(head)) > 1 && isHead(rows.get(head), comma) ? head : first;
  }

  private static long filled(List<String> row) {
    return row.stream().filter(f -> !f.isBlank()).count();
  }

  private static boolean isHead(List<String> row, boolean comma) {
    return row.stream().noneMatch(f -> !Double.isNaN(Numbers.parse(f, comma)));
  }

  private static boolean decimalComma(List<List<String>> rows) {
    int commas = 0;
    int points = 0;
    for (List<String> row : rows) {
      for (String f : row) {
        commas += f.strip().matches("[+\\-−]?\\d+,\\d+([eE][+-]?\\d+)?\\D*") ? 1 : 0;
        points += f.strip().matches("[+\\-−]?\\d+\\.\\d+([eE][+-]?\\d+)?\\D*") ? 1 : 0;
      }
    }
    return commas > points;
  }

  private static String name(Path file) {
    return Sentence.printable(String.valueOf(file.getFileName()));
  }

  /** Counts the bytes that have been read, for the progress. */
  private static final class Counting extends java.io.FilterInputStream {
    private long count;

    Counting(InputStream in) {
      super(in);
    }

    @Override
    public int read() throws IOException {
      int b = super.read();
      count += b < 0 ? 0 : 1;
      return b;
    }

    @Override
    public int read(byte[] into, int from, int length) throws IOException {
      int n = super.read(into, from, length);
      count += Math.max(0, n);
      return n;
    }
  }
}
