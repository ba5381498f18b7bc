package hammerman.chain;

import hammerman.design.Design;
import hammerman.duty.Load;
import hammerman.duty.Moment;
import hammerman.guard.Bms;
import hammerman.guard.Fuse;
import hammerman.guard.FuseClass;
import hammerman.guard.Fusing;
import hammerman.guard.Guard;
import hammerman.guard.Wire;
import hammerman.numeric.Root;
import hammerman.pack.Assembly;
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

  /** The time for which cells and connectors are rated for their peak, s. */
  private static final double TEN_SECONDS = 10;

  /** Time over which a switch's contacts average their heat, s; typical. */
  private static final double SWITCH_TIME = 60;

  public Chain {
    links = List.copyOf(links);
  }

  /** Works out the chain of a design, what joins its cells estimated from the counts. */
  public static Chain of(Design design) {
    return of(design, Assembly.estimated(design.pack()));
  }

  /** Works out the chain of a design whose pack is put together in a known way. */
  public static Chain of(Design design, Assembly assembly) {
    Path path = Path.of(design, assembly);
    Demand demand = demand(design, path);
    double hottest = design.duty().surroundings().hottestInUse();
    FuseClass kind = design.guard().fuse().map(Fuse::kind).orElse(FuseClass.BOLT_DOWN);
    FuseWindow window =
        new FuseWindow(
            Fuse.smallestRating(kind, demand.continuous(), demand.peak(), demand.peakDuration()),
            design.guard().wiring().wire().ampacity(hottest));
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
    double tenSeconds = heaviest(design, path, TEN_SECONDS);
    return new Demand(
        heaviest(design, path, Demand.WINDOW),
        hardest.duration() >= TEN_SECONDS ? Math.max(hardest.current(), tenSeconds) : tenSeconds,
        hardest.current(),
        hardest.duration());
  }

  /**
   * Returns the rms current of the duty over its heaviest window of a length (s), A; powers are
   * turned into currents at half charge and the coldest in use.
   */
  public double heaviest(double window) {
    double inMoment = window <= demand.peakDuration() ? demand.peak() : 0;
    return Math.max(inMoment, heaviest(design, path, window));
  }

  private static double heaviest(Design design, Path path, double window) {
    double kelvin = design.duty().surroundings().coldestInUse();
    double most = design.duty().machine().peakCurrent();
    double back = design.guard().allowedRegeneration(design.duty().machine().regenerationCurrent());
    return Demand.heaviestWindow(
        design.duty().task().load(),
        window,
        d ->
            switch (d) {
              case Load.Current c -> Math.clamp(c.amperes(), -back, most);
              case Load.Power p ->
                  Math.clamp(path.currentFor(p.watts(), MIDDLE, kelvin), -back, most);
            });
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
    Guard guard = design.guard();
    if (guard.fusing() instanceof Fusing.MainAndCells f) {
      links.add(
          new Link(
              Link.Kind.CELL_FUSES,
              p + " × " + Figures.exact(f.cellRating(), Unit.AMPERE),
              p * Fuse.CONTINUOUS_SHARE * f.cellRating(),
              p * f.cellRating() * f.fuse().kind().safeMultiple(Fuse.TIME_FACTOR * t)));
    }
    guard.protection().inDischargePath().ifPresent(b -> links.add(bms(b)));
    guard
        .fuse()
        .ifPresent(
            f ->
                links.add(
                    new Link(
                        Link.Kind.FUSE,
                        Figures.exact(f.rating(), Unit.AMPERE) + " fuse",
                        Fuse.CONTINUOUS_SHARE * f.rating(),
                        f.rating() * f.kind().safeMultiple(Fuse.TIME_FACTOR * t))));
    if (guard.mainSwitch() != null) {
      // A switch is rated for what it carries; the moment's excess is judged as heat: I² t over 60
      // s.
      double rated = guard.mainSwitch().continuous();
      links.add(
          new Link(
              Link.Kind.SWITCH,
              guard.mainSwitch().name(),
              rated,
              rated * Math.sqrt(Math.max(1, SWITCH_TIME / t))));
    }
    Wire wire = guard.wiring().wire();
    links.add(
        new Link(
            Link.Kind.WIRE,
            Figures.of(wire.area(), Unit.SQUARE_MILLIMETRE) + " wire",
            wire.ampacity(hottest),
            wire.shortTimeAmpacity(hottest, t)));
    if (guard.wiring().connectorPairs() > 0) {
      var connector = guard.wiring().connector();
      links.add(
          new Link(
              Link.Kind.CONNECTOR,
              connector.name(),
              connector.continuous(),
              t <= TEN_SECONDS + 5 ? connector.peak() : connector.continuous()));
    }
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
