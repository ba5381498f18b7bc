package hammerman.bench;

import hammerman.cell.CellType;
import hammerman.design.Design;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.outline.OutlineFile;
import hammerman.probe.ProbeCard;
import hammerman.probe.ReadingsFile;
import hammerman.project.CellFile;
import hammerman.project.Project;
import hammerman.project.ProjectDocument;
import hammerman.project.Shipped;
import hammerman.project.UnreadableProject;
import hammerman.store.DesignState;
import hammerman.store.NotKept;
import hammerman.store.ProjectFile;
import hammerman.store.ProjectStore;
import hammerman.table.TableFile;
import hammerman.table.UnreadableTable;
import hammerman.telemetry.Mapping;
import hammerman.telemetry.Telemetry;
import hammerman.unit.InvalidValue;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/**
 * Changed files of every kind through reading and forecast, in one process: each must end in a
 * sound project or in a refusal in words, within 5 s.
 */
final class MutantBench {
  private static final long SEED = 4_711;
  private static final long MOST_SECONDS = 5;
  private static final Pattern NUMBER = Pattern.compile("(?<=: )-?[0-9][0-9.eE+-]*");
  private static final Pattern VALUE =
      Pattern.compile("(?<=: )(true|false|\"[^\"]*\"|-?[0-9][0-9.eE+-]*)");
  private static final String[] FIGURES = {
    "0", "-1", "1e-300", "1e300", "1e999", "1", "2", "0.5", "1000000", "-50", "100", "1e-9", "400"
  };
  private static final String[] STRANGE = {"null", "\"x\"", "[]", "{}", "true", "1e400", "\"\""};
  private static final double[] FACTORS = {0.01, 0.1, 0.5, 1.01, 2, 3, 10, 100, 1000, -1};

  private final Random random = new Random(SEED);
  private final Path folder = Scratch.folder("mutants");
  private final Map<String, int[]> counts = new TreeMap<>();
  private final Map<String, Integer> broken = new TreeMap<>();
  private final List<byte[]> documents = new ArrayList<>();
  private final byte[] database;
  private final byte[] log;
  private final byte[] cells;
  private final byte[] parts;
  private final byte[] readings;
  private final RecordMutants records;
  private final ExecutorService worker =
      Executors.newCachedThreadPool(
          task -> {
            Thread t = new Thread(task, "mutant");
            t.setDaemon(true);
            return t;
          });

  /** What is done with a changed file. */
  @FunctionalInterface
  private interface Reading {
    void read(byte[] bytes) throws IOException, UnreadableTable;
  }

  private MutantBench() throws IOException {
    for (Shipped.Example e : Shipped.Example.values()) {
      documents.add(ProjectDocument.bytes(Shipped.example(e)));
    }
    Path file = folder.resolve("whole.hammerman");
    Instant at = Instant.EPOCH;
    ProjectStore.create(
            file, DesignState.of(1, at, Station.DUTY, "First", Shipped.terraceBarrow()), at)
        .close();
    database = Files.readAllBytes(file);
    StringBuilder rows = new StringBuilder("Time (s);Voltage (V);Current (A);Speed (km/h)\n");
    for (int k = 0; k < 400; k++) {
      rows.append(k).append(";48,").append(k % 9).append(";").append(k % 30).append(";4,2\n");
    }
    log = rows.toString().getBytes(StandardCharsets.UTF_8);
    Path table = folder.resolve("whole.csv");
    CellFile.save(Shipped.cells(), table);
    cells = Files.readAllBytes(table);
    parts = CellFile.document(Shipped.parts()).getBytes(StandardCharsets.UTF_8);
    StringBuilder leads = new StringBuilder("lead,voltage V\n");
    for (int k = 0; k <= 13; k++) {
      leads.append(k).append(',').append(3.7 * k).append('\n');
    }
    readings = leads.toString().getBytes(StandardCharsets.UTF_8);
    records = new RecordMutants(folder, random);
  }

  static void run(int mutants) throws IOException, InterruptedException {
    MutantBench bench = new MutantBench();
    for (int k = 0; k < mutants; k++) {
      switch (k % 16) {
        case 0, 1, 2, 3 -> bench.one("document", bench.figures(), bench::project);
        case 4 -> bench.one("document, bytes", bytes(bench, bench.document()), bench::project);
        case 5 -> bench.one("database", bytes(bench, bench.database), bench::file);
        case 6 -> bench.one("container", bytes(bench, container(bench.document())), bench::project);
        case 7 -> bench.one("log", bytes(bench, bench.log), bench::log);
        case 8 -> bench.one("cells", bytes(bench, bench.cells), bench::cells);
        case 9 -> bench.one("outline", bench.outline(), MutantBench::outlined);
        case 10 -> bench.one("records, SQL", bench.records.bytes(), bench.records::meddled);
        case 11 ->
            bench.one("records, bytes", bytes(bench, bench.records.bytes()), bench.records::opened);
        case 12 ->
            bench.one("write-ahead log", bytes(bench, bench.records.log()), bench.records::withLog);
        case 13 -> bench.one("parts", bytes(bench, bench.parts), bench::parts);
        case 14 -> bench.one("readings of leads", bytes(bench, bench.readings), bench::readings);
        default -> bench.one("device lines", bytes(bench, DeviceLines.WHOLE), DeviceLines::read);
      }
    }
    bench.counts.forEach(
        (kind, n) ->
            System.out.printf(
                "%-16s %6d sound, %6d refused in words, %3d over %d s, %3d broken%n",
                kind, n[0], n[1], n[2], MOST_SECONDS, n[3]));
  }

  private void one(String kind, byte[] bytes, Reading reading)
      throws InterruptedException, IOException {
    int[] n = counts.computeIfAbsent(kind, k -> new int[4]);
    Future<?> work =
        worker.submit(
            () -> {
              reading.read(bytes);
              return true;
            });
    try {
      work.get(MOST_SECONDS, TimeUnit.SECONDS);
      n[0]++;
    } catch (TimeoutException e) {
      work.cancel(true);
      n[2]++;
      broken(kind + " takes long", doing(), bytes);
    } catch (ExecutionException e) {
      Throwable cause = e.getCause();
      boolean words =
          cause instanceof UnreadableProject
              || cause instanceof UnreadableTable
              || cause instanceof InvalidValue
              || cause instanceof NotKept;
      String message = String.valueOf(cause == null ? null : cause.getMessage());
      if (words && !message.contains("Exception") && !message.contains("java.")) {
        n[1]++;
      } else {
        n[3]++;
        StackTraceElement[] at = cause == null ? new StackTraceElement[0] : cause.getStackTrace();
        broken(
            kind + ": " + (cause == null ? "" : cause.getClass().getSimpleName()),
            message + (at.length == 0 ? "" : " at " + at[0]),
            bytes);
      }
    }
  }

  /** Says what broke as soon as it is found, and keeps the file beside the others of its kind. */
  private void broken(String kind, String what, byte[] bytes) throws IOException {
    int n = broken.merge(kind, 1, Integer::sum);
    Path kept = Path.of("target", "mutants", kind.replaceAll("\\W+", "-") + "-" + n);
    Files.createDirectories(kept.getParent());
    Files.write(kept, bytes);
    System.out.println(kind + ": " + what + "\n    kept as " + kept);
  }

  private static String doing() {
    return Thread.getAllStackTraces().entrySet().stream()
        .filter(t -> t.getKey().getName().equals("mutant"))
        .flatMap(t -> Arrays.stream(t.getValue()))
        .filter(e -> e.getClassName().startsWith("hammerman"))
        .limit(8)
        .map(StackTraceElement::toString)
        .collect(Collectors.joining(" < "));
  }

  private void project(byte[] bytes) throws IOException {
    forecast(ProjectDocument.parse(bytes, "changed"));
  }

  private void file(byte[] bytes) throws IOException {
    Path file = folder.resolve("changed.hammerman");
    Files.write(file, bytes);
    forecast(ProjectFile.read(file));
  }

  private static void forecast(Project p) {
    Forecast.of(p.design());
  }

  private void log(byte[] bytes) throws IOException, UnreadableTable {
    Path file = folder.resolve("changed.csv");
    Files.write(file, bytes);
    TableFile table = TableFile.open(file);
    Telemetry.read(table, Mapping.guess(table), share -> {}, () -> false)
        .ifPresent(Telemetry::asTask);
  }

  private void cells(byte[] bytes) throws IOException {
    Path file = folder.resolve("cells.csv");
    Files.write(file, bytes);
    List<CellType> read = CellFile.read(file).cells();
    if (!read.isEmpty()) {
      forecast(
          Shipped.terraceBarrow()
              .withDesign(Shipped.terraceBarrow().design().withCell(read.getFirst())));
    }
  }

  private void parts(byte[] bytes) throws IOException {
    Path file = folder.resolve("parts.json");
    Files.write(file, bytes);
    CellFile.readParts(file);
  }

  private void readings(byte[] bytes) throws IOException, UnreadableTable {
    Path file = folder.resolve("readings.csv");
    Files.write(file, bytes);
    Design barrow = Shipped.terraceBarrow().design();
    ProbeCard.of(barrow, ReadingsFile.read(file));
  }

  private static void outlined(byte[] bytes) {
    OutlineFile.read(new String(bytes, StandardCharsets.UTF_8), "changed.csv");
  }

  private byte[] document() {
    return documents.get(random.nextInt(documents.size()));
  }

  /** A document with one or two of its values changed. */
  private byte[] figures() {
    String text = new String(document(), StandardCharsets.UTF_8);
    for (int k = 0; k <= random.nextInt(2); k++) {
      boolean figure = random.nextInt(8) > 0;
      List<MatchResult> found = (figure ? NUMBER : VALUE).matcher(text).results().toList();
      MatchResult at = found.get(random.nextInt(found.size()));
      String now = figure ? figure(at.group()) : STRANGE[random.nextInt(STRANGE.length)];
      text = text.substring(0, at.start()) + now + text.substring(at.end());
    }
    return text.getBytes(StandardCharsets.UTF_8);
  }

  private String figure(String was) {
    if (random.nextInt(3) == 0) {
      return FIGURES[random.nextInt(FIGURES.length)];
    }
    double value = Double.parseDouble(was) * FACTORS[random.nextInt(FACTORS.length)];
    boolean whole = was.matches("-?[0-9]+") && Math.abs(value) < 1e9;
    return whole ? String.valueOf(Math.round(value)) : String.valueOf(value);
  }

  /** Bytes changed, cut out, repeated. */
  private static byte[] bytes(MutantBench b, byte[] whole) {
    byte[] bytes = whole.clone();
    for (int k = 0; k <= b.random.nextInt(4); k++) {
      bytes[b.random.nextInt(bytes.length)] = (byte) b.random.nextInt(256);
    }
    if (b.random.nextInt(4) == 0) {
      int from = b.random.nextInt(bytes.length);
      int until = Math.min(bytes.length, from + b.random.nextInt(200));
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      out.write(bytes, 0, from);
      out.write(bytes, until, bytes.length - until);
      return out.toByteArray();
    }
    return bytes;
  }

  private static byte[] container(byte[] document) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      zip.putNextEntry(new ZipEntry("project.json"));
      zip.write(document);
      zip.closeEntry();
    }
    return bytes.toByteArray();
  }

  private byte[] outline() {
    StringBuilder points = new StringBuilder();
    int n = 3 + random.nextInt(random.nextInt(50) == 0 ? 60_000 : 40);
    for (int k = 0; k < n; k++) {
      points.append(random.nextInt(400)).append(';').append(random.nextInt(300)).append('\n');
    }
    return random.nextBoolean()
        ? points.toString().getBytes(StandardCharsets.UTF_8)
        : bytes(this, points.toString().getBytes(StandardCharsets.UTF_8));
  }
}
