package hammerman.guard;

import hammerman.pack.Strip;
import hammerman.unit.In;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * Parts to choose from: generic classes with ratings typical for them. Fuses come from {@link
 * FuseClass}. Each list but that of the strips is kept weaker first.
 *
 * @param bms classes of BMS
 * @param wires cross-sections, m²
 * @param connectors kinds of plug and socket
 * @param switches switches and loop keys
 * @param chargers charge currents that chargers are made for, A
 * @param prechargers resistors
 * @param strips strips that are sold
 */
public record Parts(
    List<BmsClass> bms,
    List<WireSize> wires,
    List<Connector> connectors,
    List<Switch> switches,
    List<ChargerSize> chargers,
    List<Precharge> prechargers,
    List<Strip> strips) {
  public Parts {
    bms = sorted(bms, Comparator.comparingDouble(BmsClass::continuousCurrent));
    wires = sorted(wires, Comparator.comparingDouble(WireSize::area));
    connectors = sorted(connectors, Comparator.comparingDouble(Connector::continuous));
    switches = sorted(switches, Comparator.comparingDouble(Switch::continuous));
    chargers = sorted(chargers, Comparator.comparingDouble(ChargerSize::current));
    prechargers =
        sorted(
            prechargers,
            Comparator.comparingDouble(Precharge::power)
                .thenComparingDouble(Precharge::resistance));
    strips = List.copyOf(strips);
  }

  private static <T> List<T> sorted(List<T> list, Comparator<T> order) {
    return list.stream().sorted(order).toList();
  }

  /** Returns the classes of BMS that are made for a number of groups, weaker first. */
  public List<BmsClass> bms(int series) {
    return bms.stream().filter(b -> b.leastSeries() <= series && series <= b.mostSeries()).toList();
  }

  /** Returns every fuse as sold, smaller first; of one size that which breaks less first. */
  public static List<Fuse> fuses() {
    return Arrays.stream(FuseClass.values())
        .flatMap(kind -> kind.sizes().stream().map(r -> new Fuse(kind, r, kind.voltageRating())))
        .sorted(
            Comparator.comparingDouble(Fuse::rating)
                .thenComparingDouble(f -> f.kind().interruptRating()))
        .toList();
  }

  /** A wire as sold: its name and cross-section, m². */
  public record WireSize(String name, @In(Unit.SQUARE_MILLIMETRE) double area) {}

  /** A charger as sold: its current, A; the voltage is set for the string. */
  public record ChargerSize(@In(Unit.AMPERE) double current) {}

  /** Returns these parts and others. */
  public Parts with(Parts own) {
    return new Parts(
        joined(own.bms, bms),
        joined(own.wires, wires),
        joined(own.connectors, connectors),
        joined(own.switches, switches),
        joined(own.chargers, chargers),
        joined(own.prechargers, prechargers),
        joined(own.strips, strips));
  }

  private static <T> List<T> joined(List<T> first, List<T> then) {
    List<T> all = new ArrayList<>(first);
    all.addAll(then);
    return all;
  }
}
