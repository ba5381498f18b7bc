package hammerman.circuit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.withinPercentage;

import hammerman.SoundDesigns;
import hammerman.chain.Chain;
import hammerman.circuit.Part.Kind;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.duty.Surroundings;
import hammerman.guard.Guard;
import hammerman.guard.Leads;
import hammerman.guard.Protection;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

/**
 * Which way every row moves when one thing of a design is changed, on designs of every kind: more
 * copper never carries less, hotter air never helps a wire, a smaller fuse never lets more through.
 */
class StressesMoveTest {
  private static final double SAME = 1e-9;

  private static final List<Design> DESIGNS =
      LongStream.range(1000, 1080).mapToObj(SoundDesigns::of).toList();

  private static Map<String, Stress> rows(Design d) {
    Map<String, Stress> rows = new HashMap<>();
    for (Stress s : Circuit.of(Chain.of(d), Optional.empty()).stresses()) {
      rows.put(s.id(), s);
    }
    return rows;
  }

  private static double margin(Stress s) {
    return s.measure().margin();
  }

  /** No row of some kinds may have less margin after the change; at least one must have more. */
  private static void noWorse(UnaryOperator<Design> change, Predicate<Stress> rows) {
    noWorse(change, rows, SAME);
  }

  private static void noWorse(UnaryOperator<Design> change, Predicate<Stress> rows, double same) {
    noWorse(DESIGNS, change, rows, same);
  }

  private static void noWorse(
      List<Design> designs, UnaryOperator<Design> change, Predicate<Stress> rows, double same) {
    List<String> worse = new ArrayList<>();
    int better = 0;
    for (Design d : designs) {
      Map<String, Stress> after = rows(change.apply(d));
      for (Stress was : rows(d).values()) {
        Stress is = after.get(was.id());
        if (!rows.test(was) || is == null) {
          continue;
        }
        if (margin(is) < margin(was) - same) {
          worse.add(
              was.id() + " of " + d.pack().counts() + ": " + margin(was) + " to " + margin(is));
        } else if (margin(is) > margin(was) + same) {
          better++;
        }
      }
    }
    assertThat(worse).isEmpty();
    assertThat(better).as("rows that the change betters").isPositive();
  }

  private static boolean carries(Stress s) {
    return switch (s.kind()) {
      case CURRENT, EFFORT, OVERLOAD, WITHSTAND, CHARGE -> true;
      default -> false;
    };
  }

  private static boolean of(Stress s, Kind... kinds) {
    return Set.of(kinds).contains(s.part().kind());
  }

  private static Design guards(Design d, UnaryOperator<Guard> change) {
    SecondPack s = d.second();
    Design one = d.withGuard(change.apply(d.guard()));
    return s == null ? one : one.withSecond(s.withGuard(change.apply(s.guard())));
  }

  @Test
  void moreCopperCarriesMoreAndLosesLess() {
    noWorse(
        d ->
            guards(
                d,
                g ->
                    g.withWiring(
                        g.wiring()
                            .withWire(g.wiring().wire().withArea(1.5 * g.wiring().wire().area())))),
        s ->
            of(s, Kind.WIRE, Kind.SHARED_WIRE)
                && (s.kind() == Stress.Kind.CURRENT
                    || s.kind() == Stress.Kind.EFFORT
                    || s.kind() == Stress.Kind.OVERLOAD
                    || s.kind() == Stress.Kind.DROP));
  }

  @Test
  void aThickerChargeLeadCarriesMore() {
    noWorse(
        d ->
            guards(
                d,
                g ->
                    g.withChargePort(
                        g.chargePort()
                            .withWire(
                                g.chargePort().wire().withArea(2 * g.chargePort().wire().area())))),
        s -> of(s, Kind.CHARGE_LEAD) && s.kind() == Stress.Kind.CHARGE);
  }

  @Test
  void coolerAirNeverLessensWhatWireCarries() {
    noWorse(
        d -> {
          Surroundings air = d.duty().surroundings();
          return d.withDuty(
              d.duty()
                  .withSurroundings(
                      air.withHottestInUse(air.hottestInUse() - 6)
                          .withHottestCharging(air.hottestCharging() - 6)));
        },
        s ->
            of(s, Kind.WIRE, Kind.SHARED_WIRE, Kind.CHARGE_LEAD)
                && (s.kind() == Stress.Kind.EFFORT || s.kind() == Stress.Kind.CHARGE));
  }

  @Test
  void moreInParallelRelievesEachCell() {
    noWorse(
        d -> {
          SecondPack s = d.second();
          Design more = d.withPack(d.pack().withCounts(d.pack().series(), d.pack().parallel() + 2));
          return s == null
              ? more
              : more.withSecond(
                  s.withPack(s.pack().withCounts(s.pack().series(), s.pack().parallel() + 2)));
        },
        s ->
            of(s, Kind.CELLS)
                && (s.kind() == Stress.Kind.CURRENT
                    || s.kind() == Stress.Kind.EFFORT
                    || s.kind() == Stress.Kind.CHARGE));
  }

  private static Design lasting(Design d, double seconds, double times) {
    var hardest = d.duty().hardest();
    return d.withDuty(
        d.duty().withHardest(hardest.withDuration(seconds).withCurrent(times * hardest.current())));
  }

  @Test
  void aShorterMomentNeverAsksMore() {
    // The moment asks more than any ten seconds of the load do.
    noWorse(
        DESIGNS.stream().map(d -> lasting(d, 20, 2)).toList(),
        d -> lasting(d, 4, 1),
        s -> s.kind() == Stress.Kind.CURRENT,
        SAME);
  }

  /** The dearest mistake: what lies behind a fuse must not be worse off for a smaller one. */
  @Test
  void aSmallerFuseLetsNoMoreThrough() {
    noWorse(
        d -> guards(d, g -> g.withFuse(f -> f.withRating(0.8 * f.rating()))),
        s ->
            of(s, Kind.WIRE, Kind.SHARED_WIRE, Kind.STRIPS, Kind.SWITCH, Kind.CONNECTORS)
                && (s.kind() == Stress.Kind.OVERLOAD || s.kind() == Stress.Kind.WITHSTAND));
  }

  @Test
  void aSmallerChargeFuseLetsNoMoreThrough() {
    noWorse(
        d ->
            guards(
                d,
                g ->
                    g.withChargePort(
                        g.chargePort()
                            .withFuse(
                                Optional.ofNullable(g.chargePort().fuse())
                                    .map(f -> f.withRating(0.8 * f.rating()))
                                    .orElse(null)))),
        s -> of(s, Kind.CHARGE_LEAD, Kind.CHARGE_PLUG) && s.kind() == Stress.Kind.WITHSTAND);
  }

  @Test
  void aSmallerChargerAsksLess() {
    noWorse(
        d ->
            guards(
                d,
                g -> g.withCharge(g.charge().withCurrent(Math.max(0.1, g.charge().current() / 2)))),
        s -> s.kind() == Stress.Kind.CHARGE);
  }

  @Test
  void aLowerChargeVoltageIsKinder() {
    noWorse(
        d -> guards(d, g -> g.withCharge(g.charge().withVoltage(0.98 * g.charge().voltage()))),
        s -> s.kind() == Stress.Kind.OVERCHARGE || s.kind() == Stress.Kind.VOLTAGE);
  }

  /** Longer leads lose more, and weaken the least short circuit, which takes longer to clear. */
  @Test
  void shorterLeadsLoseLessAndClearSooner() {
    noWorse(
        d -> guards(d, g -> g.withWiring(g.wiring().withLeads(halved(g.wiring().leads())))),
        s -> s.kind() == Stress.Kind.DROP || (s.kind() == Stress.Kind.CLEARS && of(s, Kind.FUSE)));
  }

  private static Leads halved(Leads l) {
    return l.scaled(0.5);
  }

  /** Without a BMS in the path nobody ends an overload sooner than with one. */
  @Test
  void aBmsInThePathNeverLetsMoreThrough() {
    noWorse(
        d ->
            guards(
                d,
                g ->
                    g.protection() instanceof Protection.ChargeOnly only
                        ? g.withProtection(new Protection.DischargePath(only.unit()))
                        : g),
        s ->
            of(s, Kind.WIRE, Kind.STRIPS, Kind.CELLS)
                && (s.kind() == Stress.Kind.OVERLOAD || s.kind() == Stress.Kind.WITHSTAND),
        // Its resistance lowers the short, at which the fuse is a little slower; and its cut-off
        // moves the lowest charge at which the duty runs.
        0.02);
  }

  @Test
  void everyRowIsAFigureWithItsStateAndSourceAndStandsOnce() {
    for (Design d : DESIGNS) {
      List<Stress> all = Circuit.of(Chain.of(d), Optional.empty()).stresses();
      Set<String> ids = new HashSet<>();
      for (Stress s : all) {
        assertThat(ids.add(s.id())).as("%s of %s twice", s.id(), d.pack().counts()).isTrue();
        assertThat(s.value()).as(s.id()).isNotNaN();
        assertThat(s.limit()).as(s.id()).isNotNaN();
        assertThat(s.source()).as(s.id()).isNotBlank();
        assertThat(s.part().name()).as(s.id()).isNotBlank();
        assertThat(s.part().second() && d.second() == null).as(s.id()).isFalse();
        if (carries(s)) {
          assertThat(s.value()).as(s.id()).isNotNegative();
        }
      }
      assertThat(Circuit.of(Chain.of(d), Optional.empty()).stresses()).isEqualTo(all);
    }
  }

  /** Two alike packs in parallel: each row of the one is the same row of the other. */
  @Test
  void alikePacksAreStressedAlike() {
    int compared = 0;
    for (Design d : DESIGNS) {
      SecondPack s = d.second();
      if (s == null || s.joining() != SecondPack.Joining.PARALLEL) {
        continue;
      }
      Map<String, Stress> rows = rows(d);
      for (Stress first : rows.values()) {
        Stress second = rows.get("second." + first.id());
        if (second != null && of(first, Kind.CELLS, Kind.FUSE, Kind.CHARGE_FUSE)) {
          // Their leads differ, and with them the short that heats a part; by little.
          assertThat(second.limit()).as(first.id()).isCloseTo(first.limit(), withinPercentage(2));
          compared++;
        }
      }
    }
    assertThat(compared).isGreaterThan(20);
  }
}
