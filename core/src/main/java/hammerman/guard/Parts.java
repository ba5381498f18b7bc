package hammerman.guard;

import hammerman.pack.Strip;
import hammerman.unit.In;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;

/**
 * Parts to choose from: generic classes with ratings typical for them. Fuses come from {@link
 * FuseClass}.
 *
 * @param bms classes of BMS, weaker first
 * @param wires cross-sections, m², thinner first
 * @param connectors weaker first
 * @param switches weaker first
 * @param chargers charge currents that chargers are made for, A, weaker first
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
    bms = List.copyOf(bms);
    wires = List.copyOf(wires);
    connectors = List.copyOf(connectors);
    switches = List.copyOf(switches);
    chargers = List.copyOf(chargers);
    prechargers = List.copyOf(prechargers);
    strips = List.copyOf(strips);
  }

  /** A wire as sold: its name and cross-section, m². */
  public record WireSize(String name, @In(Unit.SQUARE_MILLIMETRE) double area) {}

  /** A charger as sold: its current, A; the voltage is set for the string. */
  public record ChargerSize(@In(Unit.AMPERE) double current) {}

  /** Returns these parts with others before them. */
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
