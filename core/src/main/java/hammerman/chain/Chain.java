package hammerman.chain;

import hammerman.design.Design;
import hammerman.duty.Load;
import hammerman.duty.Moment;
import hammerman.guard.Bms;
import hammerman.guard.ChargePlan;
import hammerman.guard.Fuse;
import hammerman.guard.FuseClass;
import hammerman.guard.Guard;
import hammerman.numeric.Root;
import hammerman.pack.Assembly;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/**
 * A design at its design point: what feeds it, what is asked, path, sag and fuse window. Pure
 * arithmetic, no simulation; a few microseconds.
 *
 * @param design the design
 * @param path the current path of its first pack
 * @param supply what feeds the machine: one pack or two
 * @param demand what the duty asks
 * @param fuseWindow ratings that suit the fuse
 * @param floor where the hardest moment meets the lowest voltage
 */
public record Chain(
    Design design, Path path, Supply supply, Demand demand, FuseWindow fuseWindow, Floor floor) {

  /** State of charge in the middle, for figures that hold for most of a run. */
  public static final double MIDDLE = 0.5;

  /** States of charge at which the sag is given. */
  public static final List<Double> SAG_POINTS = List.of(1.0, 0.5, 0.2, 0.1);

  /** The cell's resistance changes little along the last of a charge; a few rounds settle it. */
  private static final int CEILING_ROUNDS = 4;

  /** The time for which cells and connectors are rated for their peak, s. */
  private static final double TEN_SECONDS = 10;

  /** Works out the chain of a design, what joins its cells estimated from the counts. */
  public static Chain of(Design design) {
    return of(design, Assembly.estimated(design.pack()));
  }

  /** Works out the chain of a design whose pack is put together in a known way. */
  public static Chain of(Design design, Assembly assembly) {
    Path path = Path.of(design, assembly);
    Supply supply = Supply.of(design, assembly);
    Floor floor = floor(design, supply);
    Demand demand = demand(design, supply, lowest(design, supply, floor));
    double hottest = design.duty().surroundings().hottestInUse();
    FuseClass kind = design.guard().fuse().map(Fuse::kind).orElse(FuseClass.BOLT_DOWN);
    double share = share(supply, demand, design);
    FuseWindow window =
        new FuseWindow(
            Fuse.smallestRating(
                kind, share * demand.continuous(), share * demand.peak(), demand.peakDuration()),
            design.guard().wiring().wire().ampacity(hottest));
    return new Chain(design, path, supply, demand, window, floor);
  }

  /** The first pack's share of the continuous current at half charge, in the hottest air. */
  private static double share(Supply supply, Demand demand, Design design) {
    double hottest = design.duty().surroundings().hottestInUse();
    double i = demand.continuous();
    return supply.split(i, MIDDLE, hottest, Path.Settling.TEN_SECONDS).first() / i;
  }

  /**
   * Returns the same design point with other parts around the first pack; demands, fuse window and
   * floor are kept.
   */
  public Chain rewired(Guard guard) {
    Design changed = design.withGuard(guard);
    return new Chain(
        changed,
        Path.of(changed, path.assembly()),
        Supply.of(changed, path.assembly()),
        demand,
        fuseWindow,
        floor);
  }

  /** Returns the voltages under the hardest moment at the coldest in use. */
  public List<SagPoint> sag() {
    double cold = design.duty().surroundings().coldestInUse();
    double current = demand.peak();
    return SAG_POINTS.stream()
        .map(
            soc ->
                new SagPoint(
                    soc,
                    current,
                    voltage(current, soc, cold, Path.Settling.OHMIC),
                    voltage(current, soc, cold, Path.Settling.TEN_SECONDS),
                    voltage(current, soc, cold, Path.Settling.SETTLED)))
        .toList();
  }

  /**
   * Returns the voltage at the machine under a current, V, of two packs both at the same state of
   * charge; 0 where they cannot give it, even shorted.
   */
  public double voltage(double current, double soc, double kelvin, Path.Settling settling) {
    return Math.max(0, supply.split(current, soc, kelvin, settling).voltage());
  }

  /**
   * Returns the prospective short-circuit current at the fuse, A: every cell at its full voltage
   * and the hottest in use, cells and strips and the lead before the fuse; no lead beyond it.
   */
  public double shortCircuitCurrent() {
    double hottest = design.duty().surroundings().hottestInUse();
    return design.pack().fullVoltage()
        / (supply.first().bare(1, hottest, Path.Settling.OHMIC)
            + design
                .guard()
                .wiring()
                .wire()
                .resistance(design.guard().wiring().leads().packToFuse(), hottest));
  }

  /**
   * Returns the state of charge at which a charge ends, 0 to 1: the charger's voltage less what its
   * last current drops in the settled cells, strips and BMS is the rested voltage there. In the air
   * of {@link #chargingAir}.
   */
  public double ceiling() {
    ChargePlan plan = design.guard().charge();
    double last = ChargePlan.TAPER_END * plan.current();
    double kelvin = chargingAir();
    double outer = path.assembly().stripResistance(kelvin) + design.guard().chargingPath();
    double volts = design.chargeVoltagePerCell() - last * outer / design.pack().series();
    double each = last / design.pack().parallel();
    double soc = path.circuit().socAt(volts);
    for (int k = 0; k < CEILING_ROUNDS; k++) {
      soc = path.circuit().socAt(volts - each * path.circuit().settled(soc, kelvin));
    }
    return soc;
  }

  /**
   * Returns the air in which a charge is forecast, K: the coldest charging, or the cell's own limit
   * if that is warmer.
   */
  public double chargingAir() {
    return Math.max(
        design.duty().surroundings().coldestCharging(),
        design.pack().cell().temperatures().chargeLowest());
  }

  /** Returns the air of a usual charge, K: the middle, where that is not too cold to charge. */
  public double usualChargingAir() {
    var air = design.duty().surroundings();
    return Math.max(chargingAir(), 0.5 * (air.coldestCharging() + air.hottestCharging()));
  }

  private static Demand demand(Design design, Supply supply, double soc) {
    Moment hardest = design.duty().hardest();
    LoadCurve curve = curve(design, supply, soc, Demand.WINDOW);
    double tenSeconds = curve.heaviest(TEN_SECONDS);
    return new Demand(
        curve.heaviest(Demand.WINDOW),
        hardest.duration() >= TEN_SECONDS ? Math.max(hardest.current(), tenSeconds) : tenSeconds,
        hardest.current(),
        hardest.duration());
  }

  /**
   * Returns the lowest state of charge at which the duty still runs, 0 to 1: where the hardest
   * moment meets the lowest voltage, or what the cold puts out of reach; at most half. A power
   * draws most current there.
   */
  public double lowest() {
    return lowest(design, supply, floor);
  }

  private static double lowest(Design design, Supply supply, Floor floor) {
    double cold = design.duty().surroundings().coldestInUse();
    double beyond =
        supply.branches().stream()
            .mapToDouble(b -> 1 - b.circuit().reachable(cold))
            .max()
            .orElse(0);
    return Math.min(MIDDLE, Math.max(floor.soc(), beyond));
  }

  /**
   * Returns the currents of the duty; powers are turned into currents at the lowest charge at which
   * it still runs and the coldest in use.
   *
   * @param longest the longest window that will be asked for, s
   */
  public LoadCurve curve(double longest) {
    return curve(design, supply, lowest(), longest);
  }

  private static LoadCurve curve(Design design, Supply supply, double soc, double longest) {
    double kelvin = design.duty().surroundings().coldestInUse();
    double most = design.duty().machine().peakCurrent();
    double back = design.guard().allowedRegeneration(design.duty().machine().regenerationCurrent());
    return new LoadCurve(
        design.duty().task().load(),
        longest,
        d ->
            switch (d) {
              case Load.Current c -> Math.clamp(c.amperes(), -back, most);
              case Load.Power p ->
                  Math.clamp(supply.currentFor(p.watts(), soc, kelvin), -back, most);
            });
  }

  /** The floor that the hardest moment reaches at the highest state of charge, coldest in use. */
  private static Floor floor(Design design, Supply supply) {
    double cold = design.duty().surroundings().coldestInUse();
    double current = design.duty().hardest().current();
    double cutOut = design.duty().machine().cutOutVoltage();
    Floor highest =
        new Floor(
            Floor.Who.MACHINE,
            cutOut,
            crossing(
                soc ->
                    supply.split(current, soc, cold, Path.Settling.TEN_SECONDS).voltage()
                        - cutOut));
    for (int k = 0; k < supply.branches().size(); k++) {
      Floor group = group(supply, k, current, cold);
      highest = highest.soc() >= group.soc() ? highest : group;
    }
    return highest;
  }

  private static Floor group(Supply supply, int k, double current, double cold) {
    Supply.Branch b = supply.branches().get(k);
    Optional<Bms> bms = b.guard().protection().inDischargePath();
    double limit = bms.map(Bms::cutOffVoltage).orElse(b.pack().cell().cutOffVoltage());
    return new Floor(
        bms.isPresent() ? Floor.Who.BMS : Floor.Who.CELL,
        limit,
        crossing(
            soc -> {
              Supply.Split s = supply.split(current, soc, cold, Path.Settling.TEN_SECONDS);
              double each = (k == 0 ? s.first() : s.second()) / b.pack().parallel();
              return b.circuit().openCircuit(soc) - each * b.circuit().r10(soc, cold) - limit;
            }));
  }

  private static double crossing(DoubleUnaryOperator above) {
    if (above.applyAsDouble(0) >= 0) {
      return 0;
    }
    return above.applyAsDouble(1) < 0 ? 1 : Root.bisect(above, 0, 1, 1e-6);
  }
}
