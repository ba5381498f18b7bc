package hammerman.guard;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * The leads between pack, fuse, switch, machine and charge port.
 *
 * @param wire of the main circuit
 * @param chargeWire of the charge port
 * @param leads their lengths
 * @param slack share by which each is cut longer
 * @param connector kind of the connectors in the main circuit
 * @param connectorPairs how many pairs the main circuit has
 */
@RecordBuilder
public record Wiring(
    Wire wire,
    Wire chargeWire,
    Leads leads,
    @In(Unit.PERCENT) double slack,
    Connector connector,
    int connectorPairs)
    implements WiringBuilder.With {

  public Wiring {
    Valid.range("Slack of the leads", slack, 0, 1, Unit.PERCENT);
    Valid.count("Connector pairs", connectorPairs, 0, 50);
  }

  /** Returns the resistance of the main circuit with its connectors at a temperature (K), Ω. */
  public double resistance(double kelvin) {
    return wire.resistance(leads.main() * (1 + slack), kelvin)
        + connectorPairs * connector.resistance();
  }
}
