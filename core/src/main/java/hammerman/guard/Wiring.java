package hammerman.guard;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * The leads between pack, fuse, switch and machine.
 *
 * @param wire of the main circuit
 * @param leads their lengths
 * @param slack share by which each is cut longer
 * @param connector kind of the connectors in the main circuit
 * @param connectorPairs how many pairs the main circuit has
 */
@RecordBuilder
public record Wiring(
    Wire wire, Leads leads, @In(Unit.PERCENT) double slack, Connector connector, int connectorPairs)
    implements WiringBuilder.With {

  public Wiring {
    Valid.range("Slack of the leads", slack, 0, 1, Unit.PERCENT);
    Valid.count("Connector pairs", connectorPairs, 0, 50);
  }

  /** Returns the resistance of a length (m, slack to be added) of main wire at a temperature, Ω. */
  public double resistance(double length, double kelvin) {
    return wire.resistance(length * (1 + slack), kelvin);
  }
}
