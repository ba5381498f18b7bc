package hammerman.circuit;

import hammerman.chain.Path.Settling;
import hammerman.circuit.Part.Kind;
import hammerman.design.SecondPack.Joining;
import hammerman.guard.Bms;
import hammerman.guard.ChargePort;
import hammerman.guard.Connector;
import hammerman.guard.Fuse;
import hammerman.guard.Fusing;
import hammerman.guard.Guard;
import hammerman.guard.Switch;
import hammerman.guard.Wire;
import hammerman.interconnect.Network;
import hammerman.pack.Strip;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** Makes the links of one pack, of what two packs share, and of the charge side. */
final class Links {
  private static final String RATING = "rating of the part";
  private static final String WIRE =
      "I² ρ/A = h · perimeter · ΔT, h 10 W/(m² K), one heat capacity; usual practice";

  private final Circuit circuit;
  private final Side side;

  Links(Circuit circuit, Side side) {
    this.circuit = circuit;
    this.side = side;
  }

  /** What carries this pack's current alone. */
  List<Link> own() {
    List<Link> links = new ArrayList<>();
    var c = side.cell();
    int p = side.pack().parallel();
    Endurance cells = Endurance.rated(p * c.currents().continuous(), p * c.currents().peak());
    List<Protector> forCells = new ArrayList<>(side.protectors);
    side.bms()
        .filter(b -> b.temperatureSensors() > 0)
        .ifPresent(b -> forCells.add(Protector.sensor(p * c.currents().continuous())));
    links.add(
        link(
            Kind.CELLS,
            p + " × " + c.name(),
            cells,
            Endurance.ruining(cells),
            forCells,
            "cell data; 1.5 times the rated current ruins, typical"));
    if (side.guard().fusing() instanceof Fusing.MainAndCells f) {
      Endurance each = Endurance.fuse(f.fuse().kind(), p * f.cellRating());
      links.add(
          link(
              Kind.CELL_FUSES,
              p + " × " + Figures.exact(f.cellRating(), Unit.AMPERE),
              each,
              t -> Double.POSITIVE_INFINITY,
              List.of(),
              "fuse class, typical times"));
    }
    links.add(strips());
    side.bms().ifPresent(b -> links.add(bms(b)));
    side.guard().fuse().ifPresent(f -> links.add(fuse(f)));
    if (circuit.chain().supply().joining() != null) {
      links.add(wire(Kind.WIRE, side.ofWire, side.share));
    }
    return links;
  }

  private Link strips() {
    Optional<Network.Segment> worst = circuit.network(side).flatMap(Network::hardestWorked);
    double carried = circuit.network(side).map(Network::current).orElse(1.0);
    Strip strip = worst.map(Network.Segment::strip).orElse(side.pack().strip());
    double share =
        worst
            .map(w -> Math.max(1e-3, Math.abs(w.current()) / carried))
            .orElse(1.0 / side.pack().parallel());
    return link(
        Kind.STRIPS,
        strip.text(),
        Endurance.strips(strip, share),
        Endurance.ruiningStrips(strip, share),
        side.protectors,
        "20 K rise, usual practice; 100 K ruins wrap and paper");
  }

  private Link bms(Bms b) {
    return link(
        Kind.BMS,
        Figures.exact(b.continuousCurrent(), Unit.AMPERE) + " BMS",
        Endurance.rated(b.continuousCurrent(), Math.max(b.continuousCurrent(), b.overCurrent())),
        t -> Double.POSITIVE_INFINITY,
        List.of(),
        RATING);
  }

  private Link fuse(Fuse f) {
    return link(
        Kind.FUSE,
        Figures.exact(f.rating(), Unit.AMPERE) + " fuse",
        Endurance.fuse(f.kind(), f.rating()),
        t -> Double.POSITIVE_INFINITY,
        List.of(),
        "three quarters of the rating for long; half the least melting time");
  }

  private Link wire(Kind kind, List<Protector> protectors, double share) {
    Guard g = side.guard();
    Wire w = g.wiring().wire();
    return new Link(
        side.part(kind, Figures.of(w.area(), Unit.SQUARE_MILLIMETRE) + " wire"),
        share,
        Endurance.wire(w, side.hottest),
        Endurance.ruiningWire(w, side.hottest),
        protectors,
        least(),
        Math.max(least(), kind == Kind.SHARED_WIRE ? together(circuit) : side.mostFault()),
        WIRE);
  }

  private double least() {
    return side.leastFault();
  }

  private Link link(
      Kind kind,
      String name,
      Endurance stands,
      Endurance ruins,
      List<Protector> protectors,
      String source) {
    double least = least();
    return new Link(
        side.part(kind, name),
        side.share,
        stands,
        ruins,
        protectors,
        least,
        Math.max(least, side.own()),
        source);
  }

  /** The short-circuit current beyond the junction, with every source, A. */
  private static double together(Circuit circuit) {
    var joining = circuit.chain().supply().joining();
    double sum = 0;
    double most = 0;
    for (Side s : circuit.sides()) {
      double own = s.branch.openCircuit(1) / s.branch.resistance(1, s.hottest, Settling.OHMIC);
      sum += own;
      most = Math.max(most, own);
    }
    return joining == Joining.PARALLEL || joining == Joining.DIODES ? sum : most;
  }

  /** What carries the machine's whole current: leads, switch, connectors and the machine. */
  static List<Link> shared(Circuit circuit) {
    Side first = circuit.first();
    Links links = new Links(circuit, first);
    Guard g = first.guard();
    List<Protector> protectors = protectors(circuit, s -> s.protectors);
    List<Link> all = new ArrayList<>();
    Switch isolator = g.mainSwitch();
    if (isolator != null) {
      Endurance contacts = Endurance.contacts(isolator.continuous());
      all.add(links.carrying(Kind.SWITCH, isolator.name(), contacts, protectors));
    }
    boolean two = circuit.second().isPresent();
    all.add(links.wire(two ? Kind.SHARED_WIRE : Kind.WIRE, protectors(circuit, s -> s.ofWire), 1));
    if (g.wiring().connectorPairs() > 0) {
      Connector c = g.wiring().connector();
      Endurance pair = Endurance.rated(c.continuous(), c.peak());
      all.add(links.carrying(Kind.CONNECTORS, c.name(), pair, protectors));
    }
    var m = circuit.design().duty().machine();
    all.add(
        links.carrying(
            Kind.MACHINE,
            "Controller",
            Endurance.rated(
                m.fullEffortCurrent(), Math.max(m.fullEffortCurrent(), m.peakCurrent())),
            List.of()));
    return all;
  }

  private Link carrying(Kind kind, String name, Endurance stands, List<Protector> protectors) {
    double least = least();
    return new Link(
        side.part(kind, name),
        1,
        stands,
        kind == Kind.MACHINE ? t -> Double.POSITIVE_INFINITY : Endurance.ruining(stands),
        protectors,
        least,
        Math.max(least, together(circuit)),
        RATING);
  }

  /** Who ends a current in what two packs share: in parallel both must open, in series either. */
  private static List<Protector> protectors(Circuit circuit, Function<Side, List<Protector>> of) {
    var joining = circuit.chain().supply().joining();
    if (joining == null) {
      return of.apply(circuit.first());
    }
    List<List<Protector>> sides = circuit.sides().stream().map(of).toList();
    return switch (joining) {
      case SERIES -> sides.stream().flatMap(List::stream).toList();
      case SWITCH_OVER -> List.of(Protector.all(sides, List.of(1.0, 1.0)));
      case PARALLEL, DIODES -> {
        double first = Math.min(1, circuit.first().share);
        yield List.of(Protector.all(sides, List.of(first, Math.max(0.01, 1 - first))));
      }
    };
  }

  /** The charge lead with its fuse and plug. */
  List<Link> charging() {
    ChargePort port = side.guard().chargePort();
    double hottest =
        Math.max(circuit.design().duty().surroundings().hottestCharging(), side.hottest);
    List<Protector> protectors = new ArrayList<>();
    if (port.fuse() != null) {
      protectors.add(Protector.of(port.fuse()));
    }
    if (port.fuse() == null) {
      side.bms().ifPresent(b -> protectors.add(Protector.of(b)));
    }
    side.cellFuses().ifPresent(protectors::add);
    Wire w = port.wire();
    double lead = 2 * w.resistance(port.length(), side.coldest);
    double least = side.leastFault(lead);
    List<Link> links = new ArrayList<>();
    links.add(
        new Link(
            side.part(
                Kind.CHARGE_LEAD, Figures.of(w.area(), Unit.SQUARE_MILLIMETRE) + " charge lead"),
            1,
            Endurance.wire(w, hottest),
            Endurance.ruiningWire(w, hottest),
            protectors,
            least,
            Math.max(least, side.own()),
            WIRE));
    Fuse f = port.fuse();
    if (f != null) {
      links.add(
          new Link(
              side.part(Kind.CHARGE_FUSE, Figures.exact(f.rating(), Unit.AMPERE) + " charge fuse"),
              1,
              Endurance.fuse(f.kind(), f.rating()),
              t -> Double.POSITIVE_INFINITY,
              List.of(),
              least,
              Math.max(least, side.own()),
              "three quarters of the rating for long"));
    }
    Connector plug = port.plug();
    if (plug != null) {
      Endurance pair = Endurance.rated(plug.continuous(), plug.peak());
      links.add(
          new Link(
              side.part(Kind.CHARGE_PLUG, plug.name()),
              1,
              pair,
              Endurance.ruining(pair),
              protectors,
              least,
              Math.max(least, side.own()),
              RATING));
    }
    return links;
  }
}
