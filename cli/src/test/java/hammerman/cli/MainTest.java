package hammerman.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import hammerman.record.PartRecord;
import hammerman.record.StepRecord;
import hammerman.store.ProjectFile;
import hammerman.store.ProjectStore;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import picocli.CommandLine.Command;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class MainTest {
  private static final Path DEMO = Path.of("../examples/terrace-barrow.json");

  @TempDir Path folder;

  private final StringWriter out = new StringWriter();
  private final StringWriter err = new StringWriter();

  private int run(Object... args) {
    String[] words = List.of(args).stream().map(Object::toString).toArray(String[]::new);
    return Main.run(words, new PrintWriter(out, true), new PrintWriter(err, true));
  }

  private JsonNode json() {
    return JsonMapper.builder().build().readTree(out.toString());
  }

  private Path demoWith(String good, String bad) throws IOException {
    String text = Files.readString(DEMO);
    assertThat(text).contains(good);
    return Files.writeString(folder.resolve("pack.json"), text.replace(good, bad));
  }

  @Test
  void everyCommandSaysWhatItTakes() {
    for (Class<?> command : Main.class.getAnnotation(Command.class).subcommands()) {
      String name = command.getAnnotation(Command.class).name();
      out.getBuffer().setLength(0);
      assertThat(run(name, "--help")).as(name).isZero();
      assertThat(out.toString()).startsWith("Usage: hammerman " + name);
    }
    assertThat(run("match", DEMO)).isEqualTo(2);
    assertThat(err.toString()).contains("'--series=S'").endsWith("see hammerman match --help.\n");
  }

  @Test
  void predictTellsEverythingAsJson() {
    assertThat(run("predict", DEMO, "--json")).isZero();
    JsonNode root = json();
    assertThat(root.at("/pack/series").asInt()).isEqualTo(13);
    assertThat(root.at("/pack/cells").asInt()).isEqualTo(78);
    assertThat(root.at("/pack/fullVoltage_V").asDouble()).isCloseTo(54.6, within(1e-6));
    assertThat(root.at("/pack/energy_Wh").asDouble()).isCloseTo(1263.6, within(0.1));
    for (String key :
        List.of(
            "/pack/parallel",
            "/pack/nominalVoltage_V",
            "/pack/cutoffVoltage_V",
            "/pack/capacity_Ah",
            "/pack/mass_kg",
            "/pack/cost",
            "/duty/endReason",
            "/duty/endTime_s",
            "/duty/delivered_Ah",
            "/duty/delivered_Wh",
            "/duty/heat_Wh",
            "/duty/lowestVoltage_V",
            "/duty/peakCurrent_A",
            "/duty/peakTemperature_C",
            "/duty/distance_km",
            "/sag/0/soc",
            "/sag/0/current_A",
            "/sag/0/ohmic_V",
            "/sag/0/tenSecond_V",
            "/sag/3/settled_V",
            "/thermal/settled_C",
            "/thermal/timeToLimit_s",
            "/charge/time_s",
            "/charge/energy_Wh",
            "/life/years",
            "/life/equivalentFullCycles",
            "/life/calendarShare",
            "/life/yearsLow",
            "/life/yearsHigh",
            "/life/limitedBy",
            "/judgements/0/id",
            "/judgements/0/severity",
            "/judgements/0/title",
            "/judgements/0/why",
            "/judgements/0/fix",
            "/judgements/0/station")) {
      assertThat(root.at(key).isMissingNode()).as(key).isFalse();
    }
    assertThat(root.at("/duty/endReason").asString()).isEqualTo("dutyComplete");
    assertThat(root.at("/judgements/0/severity").asString()).isEqualTo("warn");
    assertThat(err.toString()).isEmpty();
  }

  @Test
  void aDutyWithoutSpeedHasNoDistance() {
    Path file = Path.of("../examples/dark-sky-box.json");
    assertThat(run("predict", file, "--json")).isZero();
    assertThat(json().at("/duty/distance_km").isNull()).isTrue();
  }

  @Test
  void checkPassesTheDemoAndStopsAtAnOvercharge() throws IOException {
    assertThat(run("check", DEMO)).isZero();
    assertThat(out.toString()).contains("Warning: The hardest moment cuts off", "machine.floor");
    assertThat(run("check", demoWith("\"voltage_V\": 54.6", "\"voltage_V\": 56"), "--json"))
        .isEqualTo(1);
  }

  @Test
  void checkCarriesFiguresStatesAndRemedies() throws IOException {
    Path file = demoWith("\"voltage_V\": 54.6", "\"voltage_V\": 56");
    assertThat(run("check", file, "--json")).isEqualTo(1);
    List<JsonNode> found = new ArrayList<>();
    json().path("judgements").forEach(found::add);
    JsonNode over =
        found.stream()
            .filter(j -> j.path("id").asString().equals("cell.overcharge"))
            .findFirst()
            .orElseThrow();
    assertThat(over.path("unit").asString()).isEqualTo("V");
    assertThat(over.path("value").asDouble()).isCloseTo(56 * 1.002 / 13, within(1e-4));
    assertThat(over.path("limit").asDouble()).isCloseTo(4.21, within(1e-9));
    assertThat(over.path("limitIs").asString()).isEqualTo("most");
    assertThat(over.path("subject").asString()).isEqualTo("Cells");
    assertThat(over.path("state").asString()).startsWith("charging");
    assertThat(over.path("caution").asString()).contains("burn");
    assertThat(over.path("remedies").get(0).path("do").asString())
        .isEqualTo("Set the charger to 54.60 V");
    assertThat(over.path("remedies").get(0).path("effect").asString()).contains("becomes");
    JsonNode rows = json().at("/guard/stresses");
    assertThat(rows.size()).isGreaterThan(50);
    for (JsonNode row : rows) {
      assertThat(row.path("source").asString()).as(row.toString()).isNotBlank();
    }
  }

  @Test
  void checkInWordsSaysWhatToDo() throws IOException {
    assertThat(run("check", DEMO)).isZero();
    assertThat(out.toString())
        .containsPattern("Do this: .*\\(margin −.* becomes \\+.*\\)")
        .doesNotContain("NaN");
  }

  @Test
  void predictInWordsNamesTheHeadlines() {
    assertThat(run("predict", DEMO)).isZero();
    assertThat(out.toString())
        .contains("13S6P", "54.6 V full", "served after 4 h 20 min", "years", "Sag at 55.0 A");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          "series": 13,\\n     | "series": 1000000000,\\n | 1000000000
          "cutOutVoltage_V": 41 | "cutOutVoltage_V": NaN   | damaged
          "parallel": 6         | "parallel": -6           | Parallel count is -6
          "capacity_Ah": 4.5    | "capacity_Ah": -4.5      | Cell capacity is −4.5 Ah
          """)
  void unusableValuesGiveOneLineAndExitTwo(String good, String bad, String said)
      throws IOException {
    String text = Files.readString(DEMO);
    String from = good.replace("\\n", "");
    assertThat(text).contains(from);
    Path file =
        Files.writeString(folder.resolve("pack.json"), text.replace(from, bad.replace("\\n", "")));
    assertThat(run("predict", file)).isEqualTo(2);
    assertThat(out.toString()).isEmpty();
    assertThat(err.toString().strip().lines())
        .hasSize(1)
        .first()
        .asString()
        .contains(said, "pack.json");
  }

  @Test
  void unusableFilesGiveOneLineAndExitTwo() throws IOException {
    byte[] noise = new byte[10_000];
    new Random(1).nextBytes(noise);
    Path random = Files.write(folder.resolve("noise.hammerman"), noise);
    Path empty = Files.write(folder.resolve("empty.hammerman"), new byte[0]);
    Path missing = folder.resolve("missing.hammerman");
    Path noCell =
        Files.writeString(
            folder.resolve("nocell.json"),
            new String(Files.readAllBytes(DEMO), StandardCharsets.UTF_8)
                .replaceAll("(?s)\"cell\": \\{.*?\"source\": \"[^\"]*\"\\s*\\},", ""));
    for (Path file : List.of(random, empty, missing, noCell)) {
      err.getBuffer().setLength(0);
      assertThat(run("check", file)).as(file.toString()).isEqualTo(2);
      assertThat(err.toString().strip().lines()).hasSize(1);
      assertThat(err.toString())
          .contains(String.valueOf(file.getFileName()))
          .doesNotContain("Exception", "at hammerman");
    }
  }

  @Test
  void planRanksWhatServesTheDuty() {
    assertThat(run("plan", DEMO, "--top", 3, "--json")).isZero();
    JsonNode root = json();
    assertThat(root.at("/tried").asInt()).isEqualTo(18_000);
    assertThat(root.at("/candidates").size()).isEqualTo(3);
    assertThat(root.at("/serving").asInt()).isGreaterThanOrEqualTo(3);
    double before = -1;
    for (JsonNode c : root.at("/candidates")) {
      assertThat(c.at("/mass_kg").asDouble()).isLessThanOrEqualTo(8);
      assertThat(c.at("/cost").asDouble()).isLessThanOrEqualTo(480);
      assertThat(c.at("/series").asInt() * 4.2).isLessThanOrEqualTo(58);
      assertThat(c.at("/score").asDouble()).isGreaterThanOrEqualTo(before);
      before = c.at("/score").asDouble();
    }
    out.getBuffer().setLength(0);
    assertThat(run("plan", DEMO)).isZero();
    assertThat(out.toString()).contains("serve the duty", "21 mm balanced", "13S6P");
    assertThat(run("plan", DEMO, "--top", -4)).isEqualTo(2);
    assertThat(err.toString()).contains("--top is -4");
  }

  @Test
  void planSaysWhenNothingServes() throws IOException {
    Path file = demoWith("\"mass_kg\": 8", "\"mass_kg\": 0.2");
    assertThat(run("plan", file)).isZero();
    assertThat(out.toString()).contains("None of 18000");
  }

  @Test
  void wrongWordsOnTheCommandLineExitTwo() {
    assertThat(run("predict")).isEqualTo(2);
    assertThat(run("melt", DEMO)).isEqualTo(2);
    assertThat(err.toString()).contains("hammerman:");
  }

  @ParameterizedTest
  @CsvSource({"terrace-barrow", "dark-sky-box", "pavement-speaker"})
  void theWorkedExamplesHaveNoStop(String name) {
    assertThat(run("check", Path.of("../examples", name + ".json"), "--json")).isZero();
    for (JsonNode j : json().path("judgements")) {
      assertThat(j.path("severity").asString()).isNotEqualTo("stop");
    }
  }

  /**
   * A hundred reclaimed cells: each bad one is named with its reason, the rest fill level groups.
   */
  @Test
  void matchFillsLevelGroupsAndNamesWhatItPutsAside() {
    Path cells = Path.of("../examples/pavement-speaker-cells.csv");
    Path speaker = Path.of("../examples/pavement-speaker.json");
    assertThat(run("match", cells, "--series", 7, "--parallel", 13, "--in", speaker, "--json"))
        .isZero();
    JsonNode root = json();
    assertThat(root.at("/groups").size()).isEqualTo(7);
    List<String> seen = new ArrayList<>();
    double low = Double.POSITIVE_INFINITY;
    double high = 0;
    for (JsonNode g : root.at("/groups")) {
      assertThat(g.at("/cells").size()).isEqualTo(13);
      g.at("/cells").forEach(c -> seen.add(c.asString()));
      low = Math.min(low, g.at("/capacity_Ah").asDouble());
      high = Math.max(high, g.at("/capacity_Ah").asDouble());
      assertThat(g.at("/resistance_mOhm").asDouble()).isBetween(4.0, 5.0);
    }
    assertThat(root.at("/spread_mAh").asDouble()).isCloseTo(1000 * (high - low), within(1e-6));
    assertThat(root.at("/spread_mAh").asDouble()).isLessThanOrEqualTo(1);
    assertThat(root.at("/lowerBound_mAh").asDouble())
        .isLessThanOrEqualTo(root.at("/spread_mAh").asDouble());
    root.at("/spares").forEach(c -> seen.add(c.asString()));
    List<String> aside = new ArrayList<>();
    root.at("/rejected").forEach(r -> aside.add(r.at("/label").asString()));
    assertThat(aside).containsExactly("R017", "R023", "R041", "R058", "R064", "R072", "R090");
    assertThat(root.at("/rejected/1/reason").asString()).contains("1.32 V", "never revive");
    seen.addAll(aside);
    assertThat(seen).hasSize(100).doesNotHaveDuplicates();
    assertThat(root.at("/cost/matched/usable_Ah").asDouble())
        .isGreaterThan(root.at("/cost/asTheyCame/usable_Ah").asDouble())
        .isCloseTo(root.at("/cost/perfect/usable_Ah").asDouble(), within(0.05));
    assertThat(root.at("/cost/perfect/endsByGroup").isNull()).isTrue();
  }

  @Test
  void matchInWordsSaysWhatItTookForWhat() {
    Path cells = Path.of("../examples/pavement-speaker-cells.csv");
    assertThat(run("match", cells, "--series", 7, "--parallel", 12, "--ratio", 1.3)).isZero();
    assertThat(out.toString())
        .contains(
            "100 cells read, 7 put aside, 84 in 7 groups, 9 spare.",
            "capacity from “capacity mAh” in mAh",
            "self-discharge from “self-discharge mV/day” in mV a day",
            "Aside     R023: rests at 1.32 V, below 2.50 V; never revive it.");
  }

  @Test
  void matchExitsOneWithTooFewGoodCellsAndTwoWithNoTable() throws IOException {
    Path cells = Path.of("../examples/pavement-speaker-cells.csv");
    assertThat(run("match", cells, "--series", 10, "--parallel", 10, "--json")).isEqualTo(1);
    assertThat(err.toString()).contains("10S10P needs 100 cells, and only 93 are good");
    assertThat(json().at("/groups").size()).isZero();
    assertThat(json().at("/rejected").size()).isEqualTo(7);
    Path bad = Files.writeString(folder.resolve("x.csv"), "label;colour\nA;red\nB;blue\n");
    assertThat(run("match", bad, "--series", 1, "--parallel", 1)).isEqualTo(2);
    assertThat(err.toString()).contains("x.csv has no column with capacities");
    assertThat(run("match", cells, "--series", 0, "--parallel", 1)).isEqualTo(2);
    assertThat(run("match", cells, "--series", 2, "--parallel", 2, "--ratio", 0.5)).isEqualTo(2);
    assertThat(run("match", cells, "--parallel", 2)).isEqualTo(2);
  }

  @Test
  void matchLeavesPinnedCellsInTheirGroup() {
    Path cells = Path.of("../examples/pavement-speaker-cells.csv");
    Object[] words = {
      "match",
      cells,
      "--series",
      7,
      "--parallel",
      13,
      "--pin",
      "R001=3",
      "--pin",
      "R002=7",
      "--json"
    };
    assertThat(run(words)).isZero();
    assertThat(json().at("/groups/2/cells").toString()).contains("R001");
    assertThat(json().at("/groups/6/cells").toString()).contains("R002");
    assertThat(run("match", cells, "--series", 7, "--parallel", 13, "--pin", "R001=8"))
        .isEqualTo(2);
    assertThat(err.toString()).contains("--pin R001");
  }

  @Test
  void probeNamesTheLeadsToExchange() throws IOException {
    StringBuilder table = new StringBuilder("lead,volts\n");
    for (int k = 0; k <= 13; k++) {
      int tap = k == 4 ? 9 : k == 9 ? 4 : k;
      table.append(k).append(',').append(3.71 * tap).append('\n');
    }
    Path card = Files.writeString(folder.resolve("card.csv"), table);
    assertThat(run("probe", DEMO, card, "--json")).isEqualTo(1);
    assertThat(json().at("/faults").size()).isEqualTo(1);
    assertThat(json().at("/faults/0/kind").asString()).isEqualTo("swapped");
    assertThat(json().at("/faults/0/leads").toString()).isEqualTo("[4,9]");
    assertThat(json().at("/faults/0/say").asString()).contains("exchange them");
    assertThat(run("probe", DEMO, folder.resolve("none.csv"))).isEqualTo(2);
    Path sound =
        Files.writeString(
            folder.resolve("sound.csv"),
            "lead,volts\n"
                + IntStream.rangeClosed(1, 13)
                    .mapToObj(k -> k + "," + 3.71 * k)
                    .collect(Collectors.joining("\n")));
    assertThat(run("probe", DEMO, sound)).isZero();
    assertThat(out.toString()).contains("Every lead reads what it should");
  }

  @Test
  void aTesterOfAnUnknownCellIsRefused() {
    assertThat(run("tester", "--cell", "none")).isEqualTo(2);
    assertThat(err.toString()).contains("starter library");
    assertThat(run("tester", "--bays", 0)).isEqualTo(2);
  }

  @Test
  void checkTellsTheGuardAsJson() throws IOException {
    Path file =
        demoWith(
            "\"acknowledged\": []",
            "\"acknowledged\": [{\"id\": \"duty.shortWhenWorn\", \"reason\": \"a spare is"
                + " ready\"}]");
    assertThat(run("check", file, "--json")).isZero();
    JsonNode root = json();
    assertThat(root.at("/guard/fuseWindow/lower_A").asDouble()).isCloseTo(42.74, within(0.01));
    assertThat(root.at("/guard/links").size()).isEqualTo(11);
    assertThat(root.at("/guard/suggested").size()).isEqualTo(8);
    assertThat(root.at("/guard/leads/0/to").asString()).isEqualTo("Main fuse");
    assertThat(root.at("/judgements/2/acknowledged").asString()).isEqualTo("a spare is ready");
    assertThat(root.at("/judgements/0/acknowledged").isMissingNode()).isTrue();
  }

  @Test
  void theRulesArePrintedAsThePage() throws IOException {
    assertThat(run("rules")).isZero();
    assertThat(out.toString()).isEqualTo(Files.readString(Path.of("../docs/judgements.md")));
  }

  @Test
  void convertGoesEitherWayAndOverwritesNothing() throws Exception {
    Path database = folder.resolve("barrow.hammerman");
    Path back = folder.resolve("back.json");
    assertThat(run("convert", DEMO, database)).isZero();
    assertThat(run("convert", database, back)).isZero();
    assertThat(ProjectFile.read(back)).isEqualTo(ProjectFile.read(DEMO));
    assertThat(run("predict", database)).isZero();
    assertThat(run("convert", DEMO, back)).isEqualTo(2);
    assertThat(err.toString()).contains("back.json is there already");
    assertThat(run("predict", "/dev/zero")).isEqualTo(2);
  }

  /** A pack that cannot deliver has figures that there are not; they are null, not an error. */
  @Test
  void aPackThatCannotDeliverIsReportedNotRefused() throws IOException {
    String text = Files.readString(DEMO);
    String weak = text.replaceFirst("\"power_W\"\\s*:\\s*1500", "\"power_W\": 240000");
    assertThat(weak).isNotEqualTo(text);
    assertThat(run("predict", Files.writeString(folder.resolve("weak.json"), weak), "--json"))
        .as(err.toString())
        .isZero();
    assertThat(json().at("/duty/endReason").asString()).isNotBlank();
  }

  @Test
  void theDutyIsToldForFourDaysAndTheLifeWithItsDoubts() throws IOException {
    assertThat(run("predict", DEMO, "--json")).isZero();
    List<String> days = new ArrayList<>();
    for (JsonNode day : json().path("days")) {
      days.add(day.path("day").asString());
      assertThat(day.path("delivered_Wh").asDouble()).isPositive();
      assertThat(day.path("lowestVoltage_V").asDouble()).isBetween(30.0, 54.6);
      assertThat(day.path("served").isBoolean()).isTrue();
      assertThat(day.path("withheld_Wh").isNumber()).isTrue();
    }
    assertThat(days).containsExactly("typical", "hottest", "coldest", "last");
    assertThat(json().at("/days/0/served").asBoolean()).isTrue();
    assertThat(json().at("/days/3/endTime_s").asDouble())
        .as("worn and cold, not farther than new and cold")
        .isLessThanOrEqualTo(json().at("/days/2/endTime_s").asDouble());
    assertThat(json().at("/life/indicative").asBoolean()).isFalse();
    assertThat(json().at("/life/resistanceGrowth").asDouble()).isPositive();
    assertThat(run("predict", DEMO)).isZero();
    assertThat(out.toString())
        .contains("Coldest day", "Last day, worn", "a machine left on starts by itself");
  }

  @Test
  void theProcedureHasItsStepsInOrderWithExpectedReadings() {
    assertThat(run("procedure", DEMO, "--json")).isZero();
    JsonNode steps = json().get("steps");
    List<String> ids = new ArrayList<>();
    for (JsonNode s : steps) {
      for (JsonNode n : s.get("needs")) {
        assertThat(ids).contains(n.asString());
      }
      ids.add(s.get("id").asString());
      assertThat(s.get("stage").asString()).isNotEmpty();
    }
    assertThat(ids).contains("bench.clear", "probe.13", "bms.plug", "fuse.in", "run.gentle");
    JsonNode lead = steps.get(ids.indexOf("probe.13")).get("expects");
    // Thirteen cells a third full: 3.61 V each.
    assertThat(lead.get("value").asDouble()).isCloseTo(13 * 3.61, within(0.01));
    assertThat(lead.get("low").asDouble()).isLessThan(lead.get("value").asDouble());
    assertThat(lead.get("unit").asString()).isEqualTo("V");
    assertThat(steps.get(0).get("protects").asBoolean()).isTrue();
    assertThat(json().get("settings").size()).isGreaterThan(8);
  }

  @Test
  void whatWasDoneInTheFileCounts() throws Exception {
    Path file = folder.resolve("pack.hammerman");
    assertThat(run("convert", DEMO, file)).isZero();
    try (var store = ProjectStore.open(file, Instant.EPOCH)) {
      store
          .buildBook()
          .record(new StepRecord("bench.clear", null, StepRecord.Verdict.DONE, ""), Instant.EPOCH);
      store.buildBook().keep(new PartRecord("bms", PartRecord.Have.HERE, 31.0, ""), Instant.EPOCH);
    }
    out.getBuffer().setLength(0);
    assertThat(run("procedure", file, "--json")).isZero();
    assertThat(json().at("/steps/0/state").asString()).isEqualTo("done");
    out.getBuffer().setLength(0);
    assertThat(run("parts", file, "--json")).isZero();
    for (JsonNode p : json().get("parts")) {
      if (p.get("key").asString().equals("bms")) {
        assertThat(p.get("have").asString()).isEqualTo("here");
        assertThat(p.get("price").asDouble()).isEqualTo(31);
      }
    }
    assertThat(json().at("/totals/mass_kg").asDouble()).isBetween(5.5, 8.0);
  }

  @Test
  void partsAndProcedureAreReadableAsText() {
    assertThat(run("parts", DEMO)).isZero();
    assertThat(out.toString()).contains("Insulating ring").contains("built in");
    assertThat(run("procedure", DEMO)).isZero();
    assertThat(out.toString()).contains("FIRST CHARGE").contains("expect");
  }

  @Test
  void anUnknownCommandIsToldWithTheNearest() {
    assertThat(run("pridict", DEMO)).isEqualTo(2);
    assertThat(err.toString()).contains("no command “pridict”").contains("did you mean predict");
    err.getBuffer().setLength(0);
    assertThat(run("forcast")).isEqualTo(2);
    assertThat(err.toString()).contains("no command “forcast”").doesNotContain("did you mean");
  }

  @Test
  void aLogIsReadAgainstTheForecastOfTheSameLoad() throws IOException {
    StringBuilder log = new StringBuilder("time_s;voltage_V;current_A\n");
    double soc = 1;
    for (int k = 0; k < 1500; k++) {
      double amperes = k < 60 ? 0 : k / 40 % 2 == 0 ? 25 : 8;
      soc -= amperes / 3600 / 27;
      // A pack of 80 mΩ whose voltage falls by 9 V over its charge.
      double volts = 54.3 - 9 * (1 - soc) - 0.08 * amperes;
      log.append(
          "%d;%s;%s%n"
              .formatted(
                  k, String.format(Locale.ROOT, "%.3f", volts).replace('.', ','), (int) amperes));
    }
    Path file = Files.writeString(folder.resolve("log.csv"), log);
    assertThat(run("read-run", DEMO, file, "--json")).isZero();
    JsonNode root = json();
    assertThat(root.at("/figures/rows").asInt()).isEqualTo(1500);
    assertThat(root.at("/figures/resistance_mOhm/value").asDouble()).isCloseTo(80, within(1.5));
    assertThat(root.at("/figures/peakCurrent_A").asDouble()).isEqualTo(25);
    assertThat(root.at("/forecast/fromRest").asBoolean()).isTrue();
    assertThat(root.at("/forecast/charge_Ah").asDouble())
        .isCloseTo(root.at("/figures/charge_Ah").asDouble(), within(0.01));
    JsonNode scale = root.at("/fit/resistanceScale");
    assertThat(scale.get("low").asDouble()).isLessThan(scale.get("value").asDouble());
    assertThat(root.at("/fit/rms_V").asDouble())
        .isLessThanOrEqualTo(root.at("/fit/unscaledRms_V").asDouble());
    out.getBuffer().setLength(0);
    assertThat(run("read-run", DEMO, file)).isZero();
    assertThat(out.toString()).contains("Forecast").contains("resistance ×");
    assertThat(run("read-run", DEMO, folder.resolve("none.csv"))).isEqualTo(2);
  }

  /** A pipe that nobody writes into would be waited for, and a device never ends. */
  @Test
  @Timeout(20)
  void whatIsNoFileIsAnsweredAtOnce() throws Exception {
    assumeTrue(Files.exists(Path.of("/dev/zero")), "a system with devices");
    Path pipe = folder.resolve("pipe");
    assertThat(new ProcessBuilder("mkfifo", pipe.toString()).start().waitFor()).isZero();
    for (Path odd : List.of(pipe, Path.of("/dev/zero"), folder)) {
      for (String command : List.of("predict", "check", "procedure", "parts")) {
        assertThat(run(command, odd)).as("%s %s", command, odd).isEqualTo(2);
      }
      assertThat(run("match", odd, "--series", 2, "--parallel", 2)).isEqualTo(2);
      assertThat(run("probe", DEMO, odd)).isEqualTo(2);
      assertThat(run("read-run", DEMO, odd)).isEqualTo(2);
    }
    assertThat(err.toString().lines()).hasSize(21).allMatch(l -> l.startsWith("hammerman: "));
  }

  @Test
  void whatIsTypedIsEchoedPlainlyAndShort() {
    run("predict", "\u001b[31mred\u0007" + "x".repeat(2000));
    run("\u001b]0;title\u0007" + "y".repeat(2000));
    run("match", DEMO, "--series", "\u001b[2J" + "9".repeat(900), "--parallel", "1");
    assertThat(err.toString()).doesNotContain("\u001b").doesNotContain("\u0007");
    assertThat(err.toString().lines()).hasSize(3).allMatch(l -> l.length() <= 330);
  }

  @Test
  void aWordThatBeginsWithAnAtSignIsAName() throws IOException {
    Files.writeString(folder.resolve("arguments"), "rules");
    run("@" + folder.resolve("arguments"));
    assertThat(out.toString()).isEmpty();
    assertThat(err.toString()).contains("there is no command");
  }
}
