package hammerman.prove;

import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import java.util.ArrayList;
import java.util.List;
import java.util.PriorityQueue;

/**
 * How several batteries of the same kind work a day in turn: each is used until empty, waits for a
 * free charger, is charged, and comes back. All are full in the morning.
 *
 * @param batteries in turn
 * @param chargers that there are
 * @param worked time worked within the day, s
 * @param wanted length of the day, s
 * @param shifts in their order
 */
public record Rota(int batteries, int chargers, double worked, double wanted, List<Shift> shifts) {
  /** The most batteries that are looked at. */
  public static final int MOST = 40;

  /**
   * A battery at work.
   *
   * @param battery from 1
   * @param from s since the morning
   * @param until s since the morning
   */
  public record Shift(int battery, double from, double until) {}

  /**
   * What is known.
   *
   * @param run time that a full battery works, s
   * @param charge time on a charger until it is full, s
   * @param chargers that there are
   * @param day time to be worked, s
   */
  public record Question(double run, double charge, int chargers, double day) {
    public Question {
      Valid.range("Run time of a battery", run, 36, 48 * 3600.0, Unit.HOUR);
      Valid.range("Charging time of a battery", charge, 36, 48 * 3600.0, Unit.HOUR);
      Valid.range("Working day", day, 60, 24 * 3600.0, Unit.HOUR);
      Valid.count("Chargers", chargers, 0, MOST);
    }
  }

  public Rota {
    shifts = List.copyOf(shifts);
  }

  /** Returns the day with so many batteries. */
  public static Rota with(Question q, int batteries) {
    Valid.count("Batteries", batteries, 1, MOST);
    PriorityQueue<double[]> ready = new PriorityQueue<>((a, b) -> Double.compare(a[0], b[0]));
    for (int b = 1; b <= batteries; b++) {
      ready.add(new double[] {0, b});
    }
    PriorityQueue<Double> free = new PriorityQueue<>();
    for (int c = 0; c < q.chargers(); c++) {
      free.add(0.0);
    }
    List<Shift> shifts = new ArrayList<>();
    double now = 0;
    double worked = 0;
    while (now < q.day()) {
      double[] next = ready.poll();
      if (next == null || next[0] >= q.day()) {
        break;
      }
      double from = Math.max(now, next[0]);
      double until = Math.min(q.day(), from + q.run());
      shifts.add(new Shift((int) next[1], from, until));
      worked += until - from;
      now = until;
      Double charger = free.poll();
      if (charger != null) {
        double full = Math.max(until, charger) + q.charge();
        free.add(full);
        ready.add(new double[] {full, next[1]});
      }
    }
    return new Rota(batteries, q.chargers(), worked, q.day(), shifts);
  }

  /**
   * Returns the day with the fewest batteries that work it through.
   *
   * @throws InvalidValue if {@value #MOST} do not
   */
  public static Rota fewest(Question q) {
    for (int b = 1; b <= MOST; b++) {
      Rota r = with(q, b);
      if (r.throughout()) {
        return r;
      }
    }
    throw new InvalidValue(
        "Working day",
        Figures.duration(q.day()),
        MOST + " batteries do not last it",
        "Take a larger battery, a faster charger or another charger.");
  }

  /** Whether the work never waits. */
  public boolean throughout() {
    return worked >= wanted - 1;
  }
}
