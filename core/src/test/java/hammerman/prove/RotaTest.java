package hammerman.prove;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.prove.Rota.Question;
import hammerman.prove.Rota.Shift;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Batteries in turn, over days drawn at random. */
class RotaTest {
  private static Question drawn(Random r) {
    return new Question(
        600 + 7200 * r.nextDouble(),
        600 + 14_400 * r.nextDouble(),
        r.nextInt(4),
        3600 * (1 + r.nextInt(12)));
  }

  @Test
  void nobodyWorksTwiceAtOnceNorBeforeItIsChargedAgain() {
    Random r = new Random(11);
    for (int n = 0; n < 300; n++) {
      Question q = drawn(r);
      Rota rota = Rota.with(q, 1 + r.nextInt(6));
      double until = 0;
      double worked = 0;
      for (Shift s : rota.shifts()) {
        assertThat(s.from()).as("one at a time").isGreaterThanOrEqualTo(until);
        assertThat(s.until() - s.from()).isLessThanOrEqualTo(q.run() + 1e-6);
        until = s.until();
        worked += s.until() - s.from();
      }
      assertThat(rota.worked()).isEqualTo(worked);
      assertThat(until).isLessThanOrEqualTo(q.day() + 1e-6);
      charged(q, rota);
    }
  }

  /** Each battery is charged between its shifts, and no more at once than there are chargers. */
  private static void charged(Question q, Rota rota) {
    List<double[]> charges = new ArrayList<>();
    for (int b = 1; b <= rota.batteries(); b++) {
      int battery = b;
      List<Shift> own = rota.shifts().stream().filter(s -> s.battery() == battery).toList();
      for (int k = 1; k < own.size(); k++) {
        double between = own.get(k).from() - own.get(k - 1).until();
        assertThat(between).isGreaterThanOrEqualTo(q.charge() - 1e-6);
        charges.add(new double[] {own.get(k - 1).until(), own.get(k).from()});
      }
    }
    // In any stretch of time the chargers give no more than they can.
    for (double[] a : charges) {
      for (double[] z : charges) {
        double span = z[1] - a[0];
        long inside = charges.stream().filter(c -> c[0] >= a[0] && c[1] <= z[1]).count();
        if (span > 0) {
          assertThat(inside * q.charge()).isLessThanOrEqualTo(q.chargers() * span + 1e-6);
        }
      }
    }
  }

  @Test
  void moreBatteriesAndMoreChargersNeverWorkLess() {
    Random r = new Random(12);
    for (int n = 0; n < 200; n++) {
      Question q = drawn(r);
      int batteries = 1 + r.nextInt(6);
      double worked = Rota.with(q, batteries).worked();
      assertThat(Rota.with(q, batteries + 1).worked()).isGreaterThanOrEqualTo(worked - 1e-6);
      Question more = new Question(q.run(), q.charge(), q.chargers() + 1, q.day());
      assertThat(Rota.with(more, batteries).worked()).isGreaterThanOrEqualTo(worked - 1e-6);
    }
  }

  @Test
  void theFewestAreEnoughAndOneLessIsNot() {
    Random r = new Random(13);
    for (int n = 0; n < 100; n++) {
      Question q = drawn(r);
      if (Rota.with(q, Rota.MOST).throughout()) {
        Rota rota = Rota.fewest(q);
        assertThat(rota.throughout()).isTrue();
        if (rota.batteries() > 1) {
          assertThat(Rota.with(q, rota.batteries() - 1).throughout()).isFalse();
        }
      }
    }
  }
}
