package hammerman.watch;

import hammerman.chain.Chain;
import hammerman.design.Design;
import java.util.Arrays;
import java.util.function.UnaryOperator;

/** A watch that is fed by hand: sound frames every ten seconds, each changed as a test wants it. */
final class Bench {
  static final double EVERY = 10;

  final ChargeWatch watch;
  private final int series;
  private final double current;
  private int count;

  /** Where the next frame is put, by this machine and by the device, s. */
  double host;

  double device;

  Bench(Design d, double soc) {
    watch = ChargeWatch.of(Chain.of(d), soc, 0);
    series = d.pack().series();
    current = d.guard().charge().current();
  }

  /** A sound frame: groups at 3.7 V that flicker by a millivolt, room temperature. */
  ChargeFrame sound() {
    double[] g = new double[series];
    Arrays.fill(g, 3.7);
    return with(g, 25).at(device);
  }

  ChargeFrame with(double[] groups, double celsius) {
    double[] g = groups.clone();
    g[0] += 0.001 * (count % 2);
    double sum = Arrays.stream(g).sum();
    return new ChargeFrame(device, g, sum, current, new double[] {celsius + 273.15});
  }

  ChargeFrame all(double volts) {
    double[] g = new double[series];
    Arrays.fill(g, volts);
    return with(g, 25);
  }

  ChargeFrame current(double amperes) {
    ChargeFrame f = sound();
    return new ChargeFrame(f.time(), f.groups(), f.pack(), amperes, f.kelvin());
  }

  ChargeFrame pack(double volts) {
    ChargeFrame f = sound();
    return new ChargeFrame(f.time(), f.groups(), volts, f.current(), f.kelvin());
  }

  ChargeFrame celsius(double... each) {
    ChargeFrame f = sound();
    double[] kelvin = Arrays.stream(each).map(c -> c + 273.15).toArray();
    return new ChargeFrame(f.time(), f.groups(), f.pack(), f.current(), kelvin);
  }

  /** Lets frames come, ten seconds apart. */
  ChargeWatch.Call frames(int n, UnaryOperator<ChargeFrame> change) {
    ChargeWatch.Call call = watch.await(host);
    for (int k = 0; k < n && !call.stop(); k++) {
      step(EVERY);
      call = watch.take(change.apply(sound()), host);
    }
    return call;
  }

  ChargeWatch.Call take(ChargeFrame f) {
    return watch.take(f, host);
  }

  void step(double seconds) {
    host += seconds;
    device += seconds;
    count++;
  }
}
