package hammerman.watch;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.Samples;
import hammerman.chain.Chain;
import hammerman.design.Design;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * Streams of frames as a broken device may send them: clocks that stand, leap and run backwards,
 * lines that are cut, doubled, late or lack a part. A dangerous figure is put in at a random moment
 * and stays; the charge must be stopped by the time that its kind allows.
 */
class FrameFuzzTest {
  private static final int SOME = 300;
  private static final int ALL = 5000;

  /** What is put in, and the seconds within which it must be stopped. */
  private enum Danger {
    NONE(Double.POSITIVE_INFINITY),
    HIGH_GROUP(0),
    LOW_GROUP(0),
    HOT(0),
    COLD(0),
    BACKWARDS(0),
    TOO_MUCH(0),
    WARMING(130),
    FEWER_GROUPS(30),
    NO_SENSOR(30),
    NO_PACK(30),
    NO_CURRENT(30),
    SILENT(61),
    CLOCK_STILL(75);

    private final double within;

    Danger(double within) {
      this.within = within;
    }
  }

  @Test
  void someStreams() {
    streams(SOME, 1);
  }

  @Test
  @Tag("deep")
  void fiveThousandStreams() {
    streams(ALL, 1000);
  }

  private static void streams(int n, long seed) {
    Chain chain = Chain.of(Samples.barrow());
    int dangerous = 0;
    for (long k = seed; k < seed + n; k++) {
      Random random = new Random(k);
      Danger danger = Danger.values()[(int) (k % Danger.values().length)];
      dangerous += danger == Danger.NONE ? 0 : 1;
      stream(chain, danger, random, k);
    }
    assertThat(dangerous).isGreaterThan(n / 2);
  }

  private static void stream(Chain chain, Danger danger, Random random, long seed) {
    Design d = chain.design();
    ChargeWatch watch = ChargeWatch.of(chain, 0.3, 0);
    boolean faultyClock = random.nextInt(3) == 0;
    double host = 0;
    double device = random.nextDouble() * 1e5;
    double begins = 30 + random.nextInt(600);
    double began = Double.NaN;
    double end = begins + 400;
    while (host < end) {
      double dt = 1 + random.nextInt(10);
      host += dt;
      device += dt;
      boolean in = host >= begins;
      if (in && Double.isNaN(began)) {
        began = host;
      }
      ChargeWatch.Call call = watch.await(host);
      if (!(in && danger == Danger.SILENT)) {
        ChargeFrame f = frame(d, in ? danger : Danger.NONE, host - began, random);
        double time = in && danger == Danger.CLOCK_STILL ? 5 : device;
        if (faultyClock && random.nextInt(12) == 0) {
          time += random.nextGaussian() * (random.nextBoolean() ? 20 : 1e9);
        }
        // A line is lost, but not the one that is looked for.
        if (in || random.nextInt(15) > 0) {
          String line = PackLine.write(new PackLine.Frame(f.at(time)));
          call = watch.take(((PackLine.Frame) PackLine.read(line)).frame(), host);
        }
      }
      if (call.stop()) {
        if (danger == Danger.NONE && !faultyClock) {
          throw new AssertionError(
              "seed %d was stopped without a danger: %s".formatted(seed, call));
        }
        return;
      }
      if (in && danger != Danger.NONE) {
        assertThat(host - began)
            .as("seed %d, %s still goes on: %s", seed, danger, call.say())
            .isLessThanOrEqualTo(danger.within == 0 ? -1 : danger.within + 10);
      }
    }
    assertThat(danger).as("seed %d", seed).isEqualTo(Danger.NONE);
  }

  private static ChargeFrame frame(Design d, Danger danger, double since, Random random) {
    int n = d.pack().series();
    int groups = danger == Danger.FEWER_GROUPS ? n - 1 - random.nextInt(n - 1) : n;
    double[] g = new double[groups];
    double sum = 0;
    for (int k = 0; k < groups; k++) {
      g[k] = 3.7 + 0.001 * random.nextInt(3);
    }
    int at = random.nextInt(groups);
    if (danger == Danger.HIGH_GROUP) {
      g[at] = 4.245 + random.nextDouble();
    }
    if (danger == Danger.LOW_GROUP) {
      g[at] = 2.49 - 3 * random.nextDouble();
    }
    for (double v : g) {
      sum += v;
    }
    double current = 8 + 0.01 * random.nextGaussian();
    double celsius = 25 + 0.1 * random.nextInt(3);
    current = danger == Danger.BACKWARDS ? -0.5 - 40 * random.nextDouble() : current;
    current = danger == Danger.TOO_MUCH ? 10 + 50 * random.nextDouble() : current;
    current = danger == Danger.NO_CURRENT ? Double.NaN : current;
    celsius = danger == Danger.HOT ? 43 + 150 * random.nextDouble() : celsius;
    celsius = danger == Danger.COLD ? -1 - 30 * random.nextDouble() : celsius;
    celsius += danger == Danger.WARMING ? Math.min(15, 4 * since / 60) : 0;
    return new ChargeFrame(
        0,
        g,
        danger == Danger.NO_PACK ? Double.NaN : sum,
        current,
        danger == Danger.NO_SENSOR ? new double[0] : new double[] {celsius + 273.15});
  }
}
