package hammerman.watch;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.Samples;
import hammerman.watch.ChargeWatch.Call;
import hammerman.watch.ChargeWatch.State;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every rule of the watch, just before its limit and just beyond it. */
class ChargeRulesTest {
  /** What is done to a watch, with a figure; and the figures on either side of the limit. */
  private record Boundary(
      double fine, double beyond, String words, BiFunction<Bench, Double, Call> does) {}

  private static final Map<String, Boundary> RULES = new LinkedHashMap<>();

  private static void rule(
      String id, double fine, double beyond, String words, BiFunction<Bench, Double, Call> does) {
    RULES.put(id, new Boundary(fine, beyond, words, does));
  }

  private static void once(
      String id,
      double fine,
      double beyond,
      String words,
      Function<Bench, Function<Double, ChargeFrame>> frame) {
    rule(
        id,
        fine,
        beyond,
        words,
        (b, v) -> {
          b.frames(15, f -> f);
          b.step(Bench.EVERY);
          return b.take(frame.apply(b).apply(v));
        });
  }

  private static Call missing(Bench b, double seconds, Function<Bench, ChargeFrame> without) {
    b.frames(15, f -> f);
    b.step(1);
    assertThat(b.take(without.apply(b)).state()).isEqualTo(State.DOUBT);
    b.step(seconds);
    return b.take(without.apply(b));
  }

  private static double[] groups(int n, double volts) {
    double[] g = new double[n];
    Arrays.fill(g, volts);
    return g;
  }

  static {
    once(
        "group.high",
        4.238,
        4.2402,
        "Group 5 is at 4.240 V and its limit is 4.250 V",
        b ->
            v -> {
              double[] g = groups(13, 4.2);
              g[4] = v;
              return b.with(g, 25);
            });
    once("group.low", 2.501, 2.498, "below its cut-off voltage of 2.500 V", b -> b::all);
    once(
        "pack.high",
        54.82,
        54.85,
        "above the charger's maximum of 54.84 V",
        b ->
            v -> {
              ChargeFrame f = b.all(4.2);
              return new ChargeFrame(f.time(), f.groups(), v, f.current(), f.kelvin());
            });
    once(
        "group.apart",
        3.818,
        3.823,
        "runs ahead",
        b ->
            v -> {
              double[] g = groups(13, 3.7);
              g[4] = v;
              return b.with(g, 25);
            });
    rule(
        "cell.hot",
        41.9,
        42.1,
        "its limit is 45 °C",
        (b, v) -> {
          b.frames(15, f -> b.celsius(41));
          return b.frames(1, f -> b.celsius(v));
        });
    rule("cell.cold", 0.1, -0.1, "metal plates out", (b, v) -> b.frames(3, f -> b.celsius(v)));
    rule(
        "cell.warming",
        1.95,
        2.05,
        "warmed by 2",
        (b, v) -> {
          // An hour in, and another sensor is the warmer one all the time.
          b.frames(360, f -> b.celsius(30, 20));
          return b.frames(12, f -> b.celsius(30, 20 + v * (b.device - 3600) / 120));
        });
    once("current.high", 9.59, 9.61, "wrong charger, or faulty", b -> b::current);
    once("current.backwards", -0.159, -0.161, "out of the pack", b -> b::current);
    rule(
        "charge.most",
        29.65,
        29.75,
        "more than the pack can hold",
        (b, v) -> b.frames((int) Math.round(v / 8 * 3600 / Bench.EVERY), f -> f));
    once("sum", 49.12, 49.25, "one reading is wrong", b -> b::pack);
    rule(
        "stuck",
        0.029,
        0.031,
        "its reading is stuck",
        (b, v) -> {
          b.frames(3, f -> f);
          b.step(Bench.EVERY);
          double[] g = groups(13, 3.7 + v);
          g[6] = 3.7;
          return b.take(b.with(g, 25));
        });
    rule(
        "frozen",
        590,
        610,
        "No reading has changed",
        (b, v) -> {
          b.frames(3, f -> f);
          ChargeFrame same = b.sound();
          return b.frames((int) (v / Bench.EVERY) + 1, f -> same.at(b.device));
        });
    rule(
        "groups.more",
        9,
        10,
        "14 groups are read, and the design has 13",
        (b, v) -> missing(b, v, x -> x.with(groups(14, 3.7), 25)));
    rule(
        "groups.missing",
        9,
        10,
        "Group 13 is not read",
        (b, v) ->
            missing(
                b,
                v,
                x -> {
                  double[] g = groups(13, 3.7);
                  g[12] = Double.NaN;
                  return x.with(g, 25);
                }));
    rule(
        "sensors.missing",
        9,
        10,
        "0 of 1 temperature sensors",
        (b, v) -> missing(b, v, Bench::celsius));
    rule(
        "pack.missing",
        9,
        10,
        "pack voltage is not read",
        (b, v) -> missing(b, v, x -> x.pack(Double.NaN)));
    rule(
        "current.missing",
        9,
        10,
        "charge current is not read",
        (b, v) -> missing(b, v, x -> x.current(Double.NaN)));
    rule(
        "silence",
        59.5,
        60.5,
        "nothing watches the charge",
        (b, v) -> {
          b.frames(15, f -> f);
          return b.watch.await(b.host + v);
        });
    rule(
        "clock.still",
        59,
        61,
        "clock has stood still",
        (b, v) -> {
          b.frames(15, f -> f);
          double at = b.device;
          b.step(v / 2);
          b.take(b.sound().at(at));
          b.step(v / 2);
          return b.take(b.sound().at(at));
        });
    rule(
        "clock.leaps",
        3,
        4,
        "clock has leapt 4 times",
        (b, v) -> {
          Call call = b.frames(5, f -> f);
          for (int k = 0; k < v; k++) {
            b.step(Bench.EVERY);
            b.device += 1000;
            call = b.take(b.sound());
            assertThat(call.state()).isNotEqualTo(State.FINE);
          }
          return call.stop() ? call : b.frames(1, f -> f);
        });
    rule(
        "clock.slow",
        0.51,
        0.49,
        "clock runs slow",
        (b, v) -> {
          Call call = b.frames(3, f -> f);
          double start = b.device;
          for (int k = 1; k <= 30 && !call.stop(); k++) {
            b.host += Bench.EVERY;
            b.device = start + v * Bench.EVERY * k;
            call = b.take(b.sound());
          }
          return call;
        });
    rule(
        "longer",
        0.999,
        1.001,
        "against a forecast of",
        (b, v) -> {
          b.frames(1, f -> b.current(1));
          return b.frames(
              (int) (v * (1.3 * b.watch.forecast().time() + 1200) / Bench.EVERY),
              f -> b.current(1));
        });
    rule(
        "idle",
        580,
        620,
        "No charge current for",
        (b, v) -> {
          b.frames(3, f -> f);
          return b.frames((int) (v / Bench.EVERY), f -> b.current(0));
        });
  }

  static Stream<String> ids() {
    return RULES.keySet().stream();
  }

  private static double soc(String id) {
    return id.equals("charge.most") ? 0 : 0.3;
  }

  @ParameterizedTest
  @MethodSource("ids")
  void aRuleHoldsToItsLimitFromBothSides(String id) {
    Boundary r = Objects.requireNonNull(RULES.get(id));
    Call fine = r.does().apply(new Bench(Samples.barrow(), soc(id)), r.fine());
    assertThat(fine.stop()).as("%s at %s: %s", id, r.fine(), fine.say()).isFalse();
    Call beyond = r.does().apply(new Bench(Samples.barrow(), soc(id)), r.beyond());
    assertThat(beyond.stop()).as("%s at %s: %s", id, r.beyond(), beyond.say()).isTrue();
    assertThat(beyond.say()).contains(r.words());
    assertThat(beyond.margin()).isNotEmpty();
  }

  @Test
  void everyRuleIsTried() {
    assertThat(new Bench(Samples.barrow(), 0.3).watch.rules().stream().map(ChargeRule::id))
        .containsExactlyInAnyOrderElementsOf(RULES.keySet());
  }
}
