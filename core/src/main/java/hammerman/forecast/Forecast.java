package hammerman.forecast;

import hammerman.cell.CellCircuit;
import hammerman.cell.Health;
import hammerman.chain.Chain;
import hammerman.chain.LaidOut;
import hammerman.chain.Layout;
import hammerman.circuit.Circuit;
import hammerman.design.Design;
import hammerman.finding.Finding;
import hammerman.judgement.Case;
import hammerman.judgement.Judge;
import hammerman.life.Conditions;
import hammerman.life.LifeForecast;
import hammerman.simulation.Charge;
import hammerman.simulation.Day;
import hammerman.simulation.Run;
import hammerman.simulation.TwinRun;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ForkJoinTask;

/**
 * Every result for one design, each computed from it alone. The same design always gives the same
 * forecast; a forecast is stale when its design differs from the one at hand.
 *
 * @param chain ratings, demands and sag; holds the design
 * @param duty the duty asked for, from the charge ceiling, in the hottest air; of two packs both
 *     together, from the states of charge at which they are joined
 * @param own what the first pack goes through in it: all of it, where there is one
 * @param days the duty on four days, the hottest among them; of two packs both together
 * @param onward the same load gone on with until the pack, or both, end it
 * @param reach the same on a typical and on the coldest day
 * @param thermal temperatures, of the pack as a lump and of each cell of the layout
 * @param charge a charge of the first pack from where the duty ends, in the coldest air in which it
 *     may be charged
 * @param usualCharge the same in the middle of the temperatures of charging
 * @param life ageing of the first pack under the duty and the habits
 * @param otherCeilings the same with other charge ceilings, highest first
 * @param layout the layout in the box, if the design has a plan of its fit
 * @param pair the duty of two packs together, if there are two
 * @param circuit the circuit with its stress table
 * @param judgements what is wrong or risky, worst first
 */
public record Forecast(
    Chain chain,
    Run duty,
    Run own,
    List<Day> days,
    Run onward,
    Reach reach,
    Thermal thermal,
    Charge charge,
    Charge usualCharge,
    LifeForecast life,
    List<CeilingLife> otherCeilings,
    Optional<Layout> layout,
    Optional<TwinRun> pair,
    Circuit circuit,
    List<Finding> judgements) {

  /** Charge ceilings that are compared. */
  private static final List<Double> CEILINGS = List.of(1.0, 0.9, 0.8);

  /**
   * Life with another charge ceiling and the same duty.
   *
   * @param ceiling state of charge after a charge, 0 to 1
   * @param serves whether the duty still fits above empty
   * @param life the ageing then
   */
  public record CeilingLife(double ceiling, boolean serves, LifeForecast life) {}

  public Forecast {
    days = List.copyOf(days);
    otherCeilings = List.copyOf(otherCeilings);
    judgements = List.copyOf(judgements);
  }

  /**
   * Works out everything for a design. The layout comes first, if there is one: its resistance and
   * the heat it sheds are those of every run. Days and charging are run beside the rest where there
   * are two processors. Some 10 ms for three hours of duty of 80 cells.
   */
  public static Forecast of(Design design) {
    LaidOut built = LaidOut.of(design);
    Chain chain = built.chain();
    DutyRun asked = DutyRun.of(chain);
    Run duty = asked.all();
    Run own = asked.own();
    Optional<TwinRun> pair = asked.pair();
    LifeForecast life = life(chain, own, chain.ceiling());
    ForkJoinTask<List<Day>> daysBeside =
        beside(
            () ->
                pair.isPresent()
                    ? Day.together(chain, pair.get(), worn(life))
                    : Day.all(chain, duty, worn(life)));
    ForkJoinTask<Charging> chargingBeside = beside(() -> Charging.of(chain, own));
    Thermal thermal = Thermal.of(chain, own, built.solved().map(s -> s.warm(design)));
    Circuit circuit = Circuit.of(chain, built.layout());
    Run onward = Onward.hottest(chain, duty);
    Reach reach = Reach.of(chain, onward);
    // Begun here if it has not been there.
    Charging charging = chargingBeside.join();
    List<Day> days = daysBeside.join();
    return new Forecast(
        chain,
        duty,
        own,
        days,
        onward,
        reach,
        thermal,
        charging.coldest(),
        charging.usual(),
        life,
        charging.ceilings(),
        built.layout(),
        pair,
        circuit,
        Judge.judge(new Case(circuit, duty, own, days, pair, built.layout(), thermal.map())));
  }

  /** What puts back what the duty took, in the coldest and in the usual air, and to where. */
  private record Charging(Charge coldest, Charge usual, List<CeilingLife> ceilings) {
    static Charging of(Chain chain, Run duty) {
      return new Charging(
          Charge.of(chain, duty.endSoc(), chain.chargingAir()),
          Charge.of(chain, duty.endSoc(), chain.usualChargingAir()),
          otherCeilings(chain, duty));
    }
  }

  private static <T> ForkJoinTask<T> beside(Callable<T> work) {
    return ForkJoinTask.adapt(work).fork();
  }

  /** Returns the design this forecast is of. */
  public Design design() {
    return chain.design();
  }

  /** Returns the way the pack goes until it ends, m; 0 for a duty without speed. */
  public double range() {
    return onward.totals().distance();
  }

  /** The usual ceilings other than the chosen one. */
  private static List<CeilingLife> otherCeilings(Chain chain, Run duty) {
    double used = chain.ceiling() - duty.endSoc();
    return CEILINGS.stream()
        .filter(c -> Math.abs(c - chain.ceiling()) > 0.03)
        .map(c -> new CeilingLife(c, c - used > 0, life(chain, duty, c)))
        .toList();
  }

  /** Ageing under the duty, charged to a ceiling (0 to 1). */
  static LifeForecast life(Chain chain, Run duty, double ceiling) {
    var air = chain.design().duty().surroundings();
    return life(chain, duty, ceiling, duty.meanRise(air.hottestInUse()));
  }

  /** Ageing of cells that are warmer than the air by a mean rise in use, K. */
  static LifeForecast life(Chain chain, Run duty, double ceiling, double rise) {
    Design design = chain.design();
    var air = design.duty().surroundings();
    var habits = design.duty().habits();
    var circuit = chain.path().circuit();
    double high = ceiling;
    double low = Math.clamp(ceiling - (chain.ceiling() - duty.endSoc()), 0, high);
    double storage = Math.min(habits.storageSoc(), ceiling);
    double inUse = 0.5 * (air.coldestInUse() + air.hottestInUse()) + rise;
    double cycles = habits.meanCycles();
    double useShare = Math.min(1, cycles * duty.endTime());
    // A charge takes about as long as the charger gives its full current for what the duty took.
    double charging =
        3600 * (high - low) * design.pack().capacity() / design.guard().charge().current();
    double chargeShare = Math.min(1 - useShare, cycles * charging);
    double stored = 1 - useShare - chargeShare;
    double time = Math.max(1, duty.endTime() + charging);
    double warm = (inUse * duty.endTime() + chain.usualChargingAir() * charging) / time;
    double hours = Math.max(duty.endTime() / 3600, 1e-3);
    double mean = circuit.meanOpenCircuit(low, high);
    return LifeForecast.of(
        design.pack().cell(),
        new Conditions(
            List.of(
                new Conditions.Rest(useShare, mean, 0.5 * (low + high), inUse),
                stored(0.5 * stored, circuit, storage, air.coldestStored()),
                stored(0.5 * stored, circuit, storage, air.hottestStored()),
                new Conditions.Rest(
                    chargeShare, mean, 0.5 * (low + high), chain.usualChargingAir())),
            new Conditions.Cycling(
                cycles * 86400,
                high - low,
                duty.totals().delivered() / design.pack().capacity(),
                mean,
                0.5 * (low + high),
                duty.endTime() > 0 ? warm : inUse,
                (high - low) / hours)),
        1 - health(design).capacity(),
        habits.endOfLife());
  }

  /** Cells at the end of their life: the capacity of its definition, the resistance of the law. */
  static Health worn(LifeForecast life) {
    double growth = life.resistanceGrowth().orElse(Health.WORN_RESISTANCE - 1);
    double brought = life.curve().getFirst().loss();
    double left = life.endOfLife() / Math.max(life.endOfLife(), 1 - brought);
    return Health.within(left, 1 + growth);
  }

  private static Health health(Design design) {
    Health health = design.pack().cell().health();
    return health == null ? Health.NEW : health;
  }

  /** Half of the waiting time is spent at either end of the storage temperatures. */
  private static Conditions.Rest stored(
      double share, CellCircuit circuit, double soc, double kelvin) {
    return new Conditions.Rest(share, circuit.openCircuit(soc), soc, kelvin);
  }
}
