package hammerman.forecast;

import hammerman.cell.Health;
import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.duty.Load;
import hammerman.pack.Assembly;
import hammerman.simulation.Run;
import hammerman.unit.Unit;
import java.util.Map;

/**
 * The answers for a design, worked out quickly for one among many: coarse steps, put together like
 * another, the cells as one lump. About a millisecond.
 *
 * @param values by {@link Answer}, in core units; not a number where there is none
 */
record Answers(Map<Answer, Double> values) {
  /** Place of the point at 20 % charge among those of the sag. */
  static final int LOW = 2;

  private static final double STEP = 20;

  Answers {
    values = Map.copyOf(values);
  }

  double get(Answer answer) {
    return values.getOrDefault(answer, Double.NaN);
  }

  /**
   * Tries a design.
   *
   * @param assembly how it is put together
   * @param load factor of the duty's load and of its hardest moment
   */
  static Answers of(Design design, Assembly assembly, double load) {
    Design asked =
        load == 1
            ? design
            : design.withDuty(
                design
                    .duty()
                    .withHardest(
                        design
                            .duty()
                            .hardest()
                            .withCurrent(design.duty().hardest().current() * load)));
    Chain chain = Chain.of(asked, assembly);
    var air = design.duty().surroundings();
    Load task = design.duty().task().load().times(load);
    double middle = 0.5 * (air.coldestInUse() + air.hottestInUse());
    DutyRun asks = DutyRun.untraced(chain, task, air.hottestInUse(), Health.NEW, STEP);
    Run hot = asks.all();
    Run own = asks.own();
    double step = Math.max(STEP, hot.endTime() / 1500);
    Load more = Onward.load(chain, hot).times(load);
    Run typical = DutyRun.untraced(chain, more, middle, Health.NEW, step).all();
    double way = typical.totals().distance();
    return new Answers(
        Map.of(
            Answer.TIME, typical.endTime(),
            Answer.RANGE, way > 0 ? way : Double.NaN,
            Answer.SAG, chain.sag().get(LOW).tenSeconds(),
            Answer.HOTTEST, own.extremes().peakTemperature(),
            Answer.LIFE, Unit.YEAR.toCore(Forecast.life(chain, own, chain.ceiling()).years())));
  }
}
