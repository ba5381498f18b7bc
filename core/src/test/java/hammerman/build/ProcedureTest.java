package hammerman.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.SoundDesigns;
import hammerman.cell.CellType;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.forecast.Forecast;
import hammerman.guard.Fusing;
import hammerman.guard.Protection;
import hammerman.pack.Lot;
import hammerman.project.ProjectDocument;
import hammerman.readymade.HardStart;
import hammerman.readymade.ReadyMade;
import hammerman.readymade.ReadyMadeUse;
import hammerman.remedy.Rework;
import hammerman.unit.Unit;
import java.io.InputStream;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class ProcedureTest {
  private static Procedure of(Design d) {
    return Procedure.of(Forecast.of(d));
  }

  private static int at(Procedure p, String id) {
    int k = p.steps().indexOf(p.step(id).orElseThrow(() -> new AssertionError("no step " + id)));
    assertThat(k).as(id).isNotNegative();
    return k;
  }

  private static Step get(Map<String, Step> all, String id) {
    return Objects.requireNonNull(all.get(id), id);
  }

  /** All that a step needs, directly or not. */
  private static Set<String> closure(Map<String, Step> all, Step s) {
    Set<String> found = new HashSet<>();
    Deque<String> open = new ArrayDeque<>(s.needs());
    while (!open.isEmpty()) {
      String id = open.pop();
      if (found.add(id)) {
        open.addAll(get(all, id).needs());
      }
    }
    return found;
  }

  @ParameterizedTest
  @ValueSource(
      longs = {
        1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20, 21, 22, 23, 24
      })
  void noStepComesBeforeWhatItNeedsAndNothingLiveBeforeItsProtection(long seed) {
    Procedure p = of(SoundDesigns.of(seed));
    Map<String, Step> all = p.byId();
    assertThat(all).hasSameSizeAs(p.steps());
    Set<String> before = new HashSet<>();
    for (Step s : p.steps()) {
      assertThat(before).as("what %s needs", s.id()).containsAll(s.needs());
      Set<String> needed = closure(all, s);
      for (Live live : s.safety().handles()) {
        assertThat(needed)
            .as("%s handles %s", s.id(), live)
            .anyMatch(id -> get(all, id).safety().makesSafe().contains(live));
      }
      before.add(s.id());
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {31, 32, 33, 34, 35, 36, 37, 38, 39, 40, 41, 42, 43, 44, 45, 46})
  void everyProcedureHasWhatItMustHave(long seed) {
    Design d = SoundDesigns.of(seed);
    Procedure p = of(d);
    Map<String, Step> all = p.byId();
    int series = d.pack().series();
    CellType cell = d.pack().cell();
    // Expected values, worked out apart from the code: a third full at rest, group by group.
    boolean used = all.containsKey("cells.stay");
    if (!used) {
      double each = cell.openCircuit().value(0.3);
      for (int k = 1; k <= series; k++) {
        Expected e = get(all, "probe." + k).expects().orElseThrow();
        assertThat(e.value()).isCloseTo(k * each, within(1e-6));
        assertThat(e.low()).isLessThan(k * each);
        assertThat(e.high()).isGreaterThan(k * each);
      }
    }
    assertThat(all).containsKeys("group.1.join", "group." + series + ".join", "probe.0");
    assertThat(all.containsKey("link.1")).isEqualTo(series > 1);
    // The balance plug last of the BMS, and only after every contact is read.
    if (d.guard().protection().bms().isPresent()) {
      assertThat(closure(all, get(all, "bms.plug")))
          .contains("bms.minus", "probe.0", "probe." + series);
      assertThat(at(p, "bms.plug")).isLessThan(at(p, "fuse.in"));
    } else {
      assertThat(all).doesNotContainKey("bms.plug").containsKey("balance.socket");
    }
    // The fuse last of the wiring, and the machine only after polarity.
    assertThat(closure(all, get(all, "fuse.in")))
        .contains("wire.dead", "wire.short", "power.limited");
    assertThat(closure(all, get(all, "power.on")))
        .contains("power.polarity", "fuse.in", "set.machine");
    assertThat(closure(all, get(all, "charge.current")))
        .contains("fuse.in", "set.charger", "charge.place");
    assertThat(closure(all, get(all, "run.gentle"))).contains("charge.rested");
    Expected charger = get(all, "set.charger").expects().orElseThrow();
    assertThat(charger.value()).isEqualTo(d.guard().charge().voltage());
    assertThat(charger.high())
        .isLessThanOrEqualTo(
            Math.max(charger.value(), series * (cell.fullVoltage() + 0.010)) + 1e-9);
    // Cautions stand where they matter.
    assertThat(get(all, "bench.clear").text()).contains("rings");
    assertThat(String.join(" ", get(all, "charge.place").safety().cautions()))
        .contains("below 0 °C");
    boolean high = d.pack().fullVoltage() > 60;
    boolean both =
        d.second() != null && d.pack().fullVoltage() + d.second().pack().fullVoltage() > 60;
    assertThat(all.containsKey("bench.second-person")).isEqualTo(high || both);
    // Each reading that protects has causes to look for on at least one side.
    for (Step s : p.steps()) {
      s.reading()
          .filter(c -> s.safety().protects())
          .ifPresent(c -> assertThat(c.ifLow().size() + c.ifHigh().size()).as(s.id()).isPositive());
    }
  }

  @Test
  void above60VoltsTheStringStaysInSectionsUntilAllIsCovered() {
    Design d = Samples.barrow().withCounts(20, 2).withFit(null);
    Procedure p = of(d);
    Map<String, Step> all = p.byId();
    // 4.2 V a cell: fourteen groups are 58.8 V, fifteen are 63 V.
    assertThat(at(p, "cover.faces")).isLessThan(at(p, "link.14"));
    assertThat(at(p, "link.15")).isLessThan(at(p, "cover.faces"));
    assertThat(get(all, "link.14").safety().handles()).contains(Live.HIGH_VOLTAGE);
    assertThat(get(all, "link.15").expects().orElseThrow().value())
        .as("read within its section")
        .isCloseTo(2 * d.pack().cell().openCircuit().value(0.3), within(1e-6));
    double most =
        p.steps().stream()
            .filter(s -> !s.safety().handles().contains(Live.HIGH_VOLTAGE))
            .filter(s -> s.stage() == Stage.JOINING && s.expects().isPresent())
            .filter(s -> s.expects().get().unit() == Unit.VOLT)
            .mapToDouble(s -> s.expects().get().value())
            .max()
            .orElseThrow();
    assertThat(most).isLessThan(60);
  }

  @Test
  void whatWasReadIsWhatIsExpectedNext() {
    Forecast f = Forecast.of(Samples.barrow());
    Map<String, Step> all = Procedure.of(f, Map.of("cells.rest", 3.70)).byId();
    Expected group = get(all, "group.4.join").expects().orElseThrow();
    assertThat(group.value()).isCloseTo(3.70, within(1e-9));
    assertThat(group.high() - group.low()).isLessThan(0.12);
    assertThat(get(all, "string.whole").expects().orElseThrow().value())
        .isCloseTo(13 * 3.70, within(1e-9));
    Map<String, Step> later =
        Procedure.of(f, Map.of("cells.rest", 3.70, "string.whole", 48.05)).byId();
    Expected fuse = get(later, "power.fuse").expects().orElseThrow();
    assertThat(fuse.value()).isEqualTo(48.05);
    assertThat(fuse.takes(47.6)).isFalse();
    assertThat(get(later, "probe.6").expects().orElseThrow().value())
        .isCloseTo(48.05 * 6 / 13, within(1e-9));
  }

  @Test
  void theGapOfAGroupKeepsTheCurrentBetweenTwoCellsToTheirCharge() {
    Design d = Samples.barrow();
    Expected gap = get(of(d).byId(), "cells.gap").expects().orElseThrow();
    // I = ΔV / 2 R0, R0 = 0.7 R10 at a third of charge and 25 °C, at most the standard charge.
    double r = 2 * 0.7 * d.pack().cell().r10();
    assertThat(gap.high() / r)
        .isLessThanOrEqualTo(d.pack().cell().currents().standardCharge() * 1.001);
    assertThat(gap.high()).isBetween(0.005, 0.05);
  }

  @Test
  void theSchoolsDiffer() {
    Design d = Samples.barrow();
    var bms = d.guard().protection().bms().orElseThrow();
    Map<String, Step> none =
        of(Samples.withGuard(d, g -> g.withProtection(new Protection.None()))).byId();
    assertThat(none).containsKey("balance.socket").doesNotContainKeys("bms.plug", "set.bms");
    Map<String, Step> charge =
        of(Samples.withGuard(d, g -> g.withProtection(new Protection.ChargeOnly(bms)))).byId();
    assertThat(get(charge, "bms.minus").text()).contains("past the BMS");
    Map<String, Step> fuses =
        of(Samples.withGuard(
                d, g -> g.withFusing(new Fusing.MainAndCells(d.guard().fuse().orElseThrow(), 8))))
            .byId();
    assertThat(fuses).containsKey("cell-fuse.sample");
    Map<String, Step> bare =
        of(Samples.withGuard(d, g -> g.withFusing(new Fusing.BmsOnly()))).byId();
    assertThat(String.join(" ", get(bare, "fuse.in").safety().cautions())).contains("fail closed");
    Map<String, Step> open =
        of(Samples.withGuard(d, g -> g.withPrecharge(null).withMainSwitch(null))).byId();
    assertThat(open).doesNotContainKeys("power.precharge", "power.switch", "wire.precharge");
    Map<String, Step> used = of(d.withPack(d.pack().withLot(Lot.UNKNOWN))).byId();
    assertThat(used).containsKey("cells.stay");
    assertThat(get(used, "cells.rest").expects().orElseThrow().low())
        .isEqualTo(d.pack().cell().cutOffVoltage());
  }

  /** A pack of which the groups were measured is made over: it is taken apart first. */
  @Test
  void anOldPackIsReadAndTakenApartBeforeItsCellsAre() {
    Design d = Samples.barrow();
    assertThat(of(d).byId()).doesNotContainKeys("old.dead", "old.groups", "old.cut");
    double[] hours = new double[13];
    Arrays.fill(hours, 26.5);
    hours[4] = 21;
    var way = Rework.byCapacity(d, hours).ways().get(2);
    assertThat(way.what()).startsWith("Without the sick");
    Procedure p = of(way.design());
    Map<String, Step> all = p.byId();
    assertThat(at(p, "old.cut")).isLessThan(at(p, "cells.rest"));
    assertThat(closure(all, get(all, "old.cut"))).contains("old.dead", "old.groups", "bench.clear");
    Expected lowest = get(all, "old.groups").expects().orElseThrow();
    assertThat(lowest.takes(2.4)).as("never revived").isFalse();
    assertThat(lowest.takes(3.6)).isTrue();
    assertThat(get(all, "old.groups").safety().protects()).isTrue();
    Map<String, Step> used = of(d.withPack(d.pack().withLot(Lot.UNKNOWN))).byId();
    assertThat(used).containsKeys("old.dead", "old.cut").doesNotContainKey("old.groups");
  }

  /** 42 V of ten groups into a winding: the start that trips is made soft, and its peak is told. */
  @Test
  void aReadyMadeBatteryIsStartedSoftlyAndNeverOpened() {
    ReadyMade battery = new ReadyMade(Samples.cell("p18650"), 10, 2, 40, 0.05, 2.6);
    Design soft =
        Samples.barrow()
            .withReadyMade(new ReadyMadeUse(battery, new HardStart(0.25, 0.4, 8, 0, null)));
    Map<String, Step> all = of(soft).byId();
    assertThat(get(all, "ready.voltage").expects().orElseThrow().value()).isEqualTo(42);
    assertThat(String.join(" ", get(all, "ready.voltage").safety().cautions()))
        .contains("never open it");
    assertThat(get(all, "ready.soft").text()).contains("soft start of").contains("40.0 A");
    assertThat(get(all, "ready.start").expects().orElseThrow().value())
        .as("above the trip for less than its delay only; a hard start takes 170 A")
        .isLessThan(45);
    Design gentle =
        Samples.barrow()
            .withReadyMade(new ReadyMadeUse(battery, new HardStart(0.25, 0.4, 8, 8, 30.0)));
    assertThat(of(gentle).byId()).containsKey("ready.start").doesNotContainKey("ready.soft");
  }

  @Test
  void theVeryCellsAreNamedGroupByGroup() {
    Design d = Samples.barrow().withMatched(Samples.cells(13, 6));
    Map<String, Step> all = of(d).byId();
    var group = d.pack().matched().orElseThrow().groups().get(4);
    assertThat(get(all, "group.5.place").text()).contains(group.cells().getFirst().label());
    assertThat(get(all, "group.5.place").place()).isEqualTo(new Place.Group(4));
  }

  @ParameterizedTest
  @EnumSource(SecondPack.Joining.class)
  void twoPacksAreProvedAloneAndThenTogether(SecondPack.Joining how) {
    Design d = Samples.barrow().withSecond(Samples.second(how));
    Procedure p = of(d);
    Map<String, Step> all = p.byId();
    String last = how == SecondPack.Joining.SERIES ? "packs.series" : "packs.joined";
    assertThat(closure(all, get(all, last)))
        .contains("charge.rested", Step.SECOND + "charge.rested", "power.on", "bench.clear");
    assertThat(closure(all, get(all, "run.gentle"))).contains(last);
    assertThat(all.containsKey("packs.gap")).isEqualTo(how == SecondPack.Joining.PARALLEL);
    if (how == SecondPack.Joining.SERIES) {
      assertThat(get(all, last).expects().orElseThrow().value())
          .isCloseTo(
              get(all, "string.whole").expects().orElseThrow().value()
                  + get(all, Step.SECOND + "string.whole").expects().orElseThrow().value(),
              within(1e-9));
    }
  }

  @Test
  void theSettingsKeepTheMachineInFrontOfTheBms() {
    Forecast f = Forecast.of(Samples.barrow());
    List<Setting> all = Setting.of(f);
    assertThat(all.stream().map(Setting::device).distinct())
        .containsExactly("Machine's controller", "Charger", "Battery meter", "BMS");
    assertThat(all)
        .anySatisfy(
            s -> {
              assertThat(s.name()).isEqualTo("Cut-out voltage");
              // The barrow's own 41 V is above 13 x (2.8 V + 50 mV) = 37 V.
              assertThat(s.value()).isEqualTo("41.0 V");
            });
  }

  /** In series the machine must stop before either pack is empty; else before the fuller one is. */
  @ParameterizedTest
  @EnumSource(SecondPack.Joining.class)
  void eachOfTwoPacksHasItsSettingsAndTheMachineStopsForBoth(SecondPack.Joining how) {
    Design two = Samples.barrow().withSecond(Samples.second(how));
    List<Setting> all = Setting.of(Forecast.of(two));
    assertThat(all.stream().map(Setting::device).distinct())
        .contains("Charger, second pack", "Battery meter, second pack", "BMS, second pack");
    // 6 and 4 in parallel of 4.5 Ah, worn ones to 85 %, less what the weakest group lacks.
    assertThat(value(all, "Battery meter", "Capacity")).isEqualTo("26.8 Ah");
    assertThat(value(all, "Battery meter, second pack", "Capacity"))
        .isBetween("14.9 Ah", "15.3 Ah");
    // 2 x 13 x (2.8 V + 50 mV) = 74.1 V, or the barrow's own 41 V.
    assertThat(value(all, "Machine's controller", "Cut-out voltage"))
        .isEqualTo(how == SecondPack.Joining.SERIES ? "74.1 V" : "41.0 V");
  }

  private static String value(List<Setting> all, String device, String name) {
    return all.stream()
        .filter(s -> s.device().equals(device) && s.name().equals(name))
        .findFirst()
        .orElseThrow()
        .value();
  }

  /** A design that contradicts itself has steps all the same, and each such step says so. */
  @ParameterizedTest
  @CsvSource({
    "procedure-14s-charger-on-13s, charge.top, overcharges the cells",
    "procedure-bms-overvoltage-3.65, charge.top, 3.65 V",
    "procedure-dischargeHighest-20, run.touch, temperature limit"
  })
  void aWrongDesignHasStepsWithTheFindingAtThem(String file, String step, String words)
      throws Exception {
    Design d;
    try (InputStream in =
        Objects.requireNonNull(
            ProcedureTest.class.getResourceAsStream("/findings/" + file + ".json"))) {
      d = ProjectDocument.parse(in.readAllBytes(), file).design();
    }
    Step s = Procedure.of(Forecast.of(d)).step(step).orElseThrow();
    assertThat(String.join(" ", s.safety().cautions())).contains("Stop, and ").contains(words);
    Expected e = s.expects().orElseThrow();
    CellType cell = d.pack().cell();
    assertThat(e.high())
        .as("only what is safe is let pass")
        .isLessThanOrEqualTo(
            e.unit() == Unit.VOLT
                ? cell.fullVoltage() + 0.05
                : cell.temperatures().dischargeHighest());
  }
}
