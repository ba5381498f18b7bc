package hammerman.guard;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Collections;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * What protects the pack and carries its current.
 *
 * @param protection school of protection with its BMS
 * @param charge how it is charged
 * @param fusing school of fusing with its fuses
 * @param wiring main leads
 * @param chargePort the charge lead
 * @param closing what closes the circuit last
 * @param mainSwitch the switch; absent if there is none
 * @param precharge the pre-charge resistor; absent if there is none
 * @param locked parts that a suggestion leaves as they are
 */
@RecordBuilder
public record Guard(
    Protection protection,
    ChargePlan charge,
    Fusing fusing,
    Wiring wiring,
    ChargePort chargePort,
    Closing closing,
    @Nullable Switch mainSwitch,
    @Nullable Precharge precharge,
    Set<Part> locked)
    implements GuardBuilder.With {

  /** The parts that are chosen. */
  public enum Part {
    BMS("BMS"),
    CHARGER("Charger"),
    FUSE("Main fuse"),
    WIRE("Wire"),
    CHARGE_LEAD("Charge lead"),
    CONNECTOR("Connector"),
    SWITCH("Switch"),
    PRECHARGE("Pre-charge");

    private final String label;

    Part(String label) {
      this.label = label;
    }

    /** Returns the part's name. */
    public String label() {
      return label;
    }
  }

  public Guard {
    locked = locked.isEmpty() ? Set.of() : Collections.unmodifiableSet(EnumSet.copyOf(locked));
  }

  /** Returns the main fuse, if there is one. */
  public Optional<Fuse> fuse() {
    return fusing.main();
  }

  /**
   * Returns the resistance of everything between the pack's ends and the machine at a temperature
   * (K), Ω: leads, connectors, fuse, switch and, in the discharge path, the BMS.
   */
  public double resistance(double kelvin) {
    return own(kelvin) + shared(kelvin);
  }

  /**
   * Returns the resistance up to the switch, which is where a second pack joins, Ω: leads on the
   * pack's side, fuse and, in the discharge path, the BMS.
   */
  public double own(double kelvin) {
    return wiring.resistance(wiring.leads().own(), kelvin)
        + fuse().map(Fuse::resistance).orElse(0.0)
        + protection.inDischargePath().map(Bms::resistance).orElse(0.0);
  }

  /**
   * Returns the resistance of what carries the pack's current inside its box besides cells and
   * strips, Ω: the BMS in the discharge path and its lead to the pack.
   */
  public double inBox(double kelvin) {
    return wiring.resistance(wiring.leads().bmsToPack(), kelvin)
        + protection.inDischargePath().map(Bms::resistance).orElse(0.0);
  }

  /** Returns the resistance of what a charge passes between the charger and the strips, Ω. */
  public double chargingPath() {
    return protection.bms().map(Bms::resistance).orElse(0.0);
  }

  /** Returns the resistance from the switch to the machine and back, Ω. */
  public double shared(double kelvin) {
    return wiring.resistance(wiring.leads().shared(), kelvin)
        + wiring.connectorPairs() * wiring.connector().resistance()
        + (mainSwitch == null ? 0 : mainSwitch.resistance());
  }

  /**
   * Returns the highest current that may be pushed into the pack, A: the machine's, capped by the
   * BMS charge limit.
   *
   * @param regeneration what the machine pushes back, A
   */
  public double allowedRegeneration(double regeneration) {
    return protection
        .inDischargePath()
        .map(b -> Math.min(regeneration, b.chargeCurrent()))
        .orElse(regeneration);
  }

  /** Returns this guard with its main fuse, if it has one, changed. */
  public Guard withFuse(UnaryOperator<Fuse> change) {
    return withFusing(fusing.withMain(change));
  }

  /** Returns this guard with a part locked or free. */
  public Guard withLocked(Part part, boolean value) {
    Set<Part> changed = EnumSet.noneOf(Part.class);
    changed.addAll(locked);
    if (value) {
      changed.add(part);
    } else {
      changed.remove(part);
    }
    return withLocked(changed);
  }
}
