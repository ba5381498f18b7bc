package hammerman.chain;

import hammerman.design.Design;
import hammerman.duty.Load;
import hammerman.duty.Moment;
import hammerman.guard.Bms;
import hammerman.guard.Fuse;
import hammerman.guard.FuseClass;
import hammerman.numeric.Root;
import hammerman.pack.Pack;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/**
 * The chain of ratings of a design at its design point: demands, links, path, sag and fuse window.
 * Pure arithmetic, no simulation; a few microseconds.
 *
 * @param design the design
 * @param path its current path
 * @param demand what the duty asks
 * @param links what each link carries, from the cell outwards
 * @param fuseWindow ratings that suit the fuse
 * @param floor where the hardest moment meets the lowest voltage
 */
public record Chain(
    Design design, Path path, Demand demand, List<Link> links, FuseWindow fuseWindow, Floor floor) {

  /** State of charge at which the duty's powers are turned into currents. */
  public static final double MIDDLE = 0.5;

  /** States of charge at which the sag is given. */
  public static final List<Double> SAG_POINTS = List.of(1.0, 0.5, 0.2, 0.1);

  private static final double ROOM = 298.15;

  public Chain {
    links = List.copyOf(links);
  }

  /** Works out the chain of a design. */
  public static Chain of(Design design) {
    Path path = Path.of(design);
    Demand demand = demand(design, path);
    double hottest = design.duty().surroundings().hottestInUse();
    FuseWindow window =
        new FuseWindow(
            Fuse.smallestRating(demand.continuous(), demand.peak(), demand.peakDuration()),
            design.guard().wiring().ampacity(hottest));
    return new Chain(design, path, demand, links(design, demand), window, floor(path));
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
                    path.voltage(current, soc, cold, Path.Settling.OHMIC),
                    path.voltage(current, soc, cold, Path.Settling.TEN_SECONDS),
                    path.voltage(current, soc, cold, Path.Settling.SETTLED)))
        .toList();
  }

  /** Returns the link with the least margin. */
  public Link weakest() {
    return links.stream().min(Comparator.comparingDouble(l -> l.margin(demand))).orElseThrow();
  }

  /** Returns the link of a kind, if the design has it. */
  public Optional<Link> link(Link.Kind kind) {
    return links.stream().filter(l -> l.kind() == kind).findFirst();
  }

  /**
   * Returns the prospective short-circuit current at the machine's end of the leads, A: full
   * voltage over the ohmic resistance of all, at 25 °C.
   */
  public double shortCircuitCurrent() {
    return design.pack().fullVoltage()
        / (path.cells(1, ROOM, Path.Settling.OHMIC) + path.outside(ROOM));
  }

  /** Returns the state of charge that the charge voltage reaches, 0 to 1. */
  public double ceiling() {
    return path.circuit().socAt(design.chargeVoltagePerCell());
  }

  private static Demand demand(Design design, Path path) {
    Moment hardest = design.duty().hardest();
    double kelvin = design.duty().surroundings().coldestInUse();
    double most = design.duty().machine().peakCurrent();
    double back = design.guard().allowedRegeneration(design.duty().machine().regenerationCurrent());
    double continuous =
        Demand.heaviestWindow(
            design.duty().task().load(),
            d ->
                switch (d) {
                  case Load.Current c -> Math.clamp(c.amperes(), -back, most);
                  case Load.Power p ->
                      Math.clamp(path.currentFor(p.watts(), MIDDLE, kelvin), -back, most);
                });
    return new Demand(continuous, hardest.current(), hardest.duration());
  }

  private static List<Link> links(Design design, Demand demand) {
    Pack pack = design.pack();
    double t = demand.peakDuration();
    int p = pack.parallel();
    double hottest = design.duty().surroundings().hottestInUse();
    List<Link> links = new ArrayList<>();
    var currents = pack.cell().currents();
    links.add(
        new Link(
            Link.Kind.CELLS,
            p + " × " + pack.cell().id(),
            p * currents.continuous(),
            p * currents.peak()));
    links.add(
        new Link(
            Link.Kind.STRIP,
            pack.strip().text(),
            p * pack.strip().ampacity(),
            p * pack.strip().shortTimeAmpacity(t)));
    design.guard().protection().inDischargePath().ifPresent(b -> links.add(bms(b)));
    Fuse fuse = design.guard().fuse();
    links.add(
        new Link(
            Link.Kind.FUSE,
            Figures.exact(fuse.rating(), Unit.AMPERE) + " fuse",
            Fuse.CONTINUOUS_SHARE * fuse.rating(),
            fuse.rating() * FuseClass.safeMultiple(Fuse.TIME_FACTOR * t)));
    var wiring = design.guard().wiring();
    links.add(
        new Link(
            Link.Kind.WIRE,
            Figures.of(wiring.area(), Unit.SQUARE_MILLIMETRE) + " wire",
            wiring.ampacity(hottest),
            wiring.shortTimeAmpacity(hottest, t)));
    var machine = design.duty().machine();
    links.add(
        new Link(
            Link.Kind.MACHINE, "Controller", machine.fullEffortCurrent(), machine.peakCurrent()));
    return links;
  }

  private static Link bms(Bms b) {
    return new Link(
        Link.Kind.BMS,
        Figures.exact(b.continuousCurrent(), Unit.AMPERE) + " BMS",
        b.continuousCurrent(),
        b.overCurrent());
  }

  /** The floor that the hardest moment reaches at the highest state of charge, coldest in use. */
  private static Floor floor(Path path) {
    Design design = path.design();
    double cold = design.duty().surroundings().coldestInUse();
    double current = design.duty().hardest().current();
    double cutOut = design.duty().machine().cutOutVoltage();
    Floor machine =
        new Floor(
            Floor.Who.MACHINE,
            cutOut,
            crossing(soc -> path.voltage(current, soc, cold, Path.Settling.TEN_SECONDS) - cutOut));
    Optional<Bms> bms = design.guard().protection().inDischargePath();
    double groupLimit = bms.map(Bms::cutOffVoltage).orElse(design.pack().cell().cutOffVoltage());
    Floor group =
        new Floor(
            bms.isPresent() ? Floor.Who.BMS : Floor.Who.CELL,
            groupLimit,
            crossing(soc -> path.groupVoltage(current, soc, cold) - groupLimit));
    return machine.soc() >= group.soc() ? machine : group;
  }

  private static double crossing(DoubleUnaryOperator above) {
    if (above.applyAsDouble(0) >= 0) {
      return 0;
    }
    return above.applyAsDouble(1) < 0 ? 1 : Root.bisect(above, 0, 1, 1e-6);
  }
}
