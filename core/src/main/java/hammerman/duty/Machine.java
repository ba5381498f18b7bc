package hammerman.duty;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
import org.jspecify.annotations.Nullable;

/**
 * The limits of the machine, read off its controller.
 *
 * @param name what it is
 * @param cutOutVoltage lowest working voltage, where it stops, V
 * @param maximumVoltage highest voltage it survives, V
 * @param fullEffortCurrent battery current at sustained full effort, A
 * @param peakCurrent highest battery current it lets through, A
 * @param regenerationCurrent battery current it pushes back when braking, A; 0 for none
 * @param inputCapacitance of the capacitors at its input, F; 0 if it has none to speak of
 * @param standingCurrent what it draws while switched off but connected, A
 * @param drive motor, reduction and wheel; absent when it does not drive, or they are not known
 */
@RecordBuilder
public record Machine(
    String name,
    @In(Unit.VOLT) double cutOutVoltage,
    @In(Unit.VOLT) double maximumVoltage,
    @In(Unit.AMPERE) double fullEffortCurrent,
    @In(Unit.AMPERE) double peakCurrent,
    @In(Unit.AMPERE) double regenerationCurrent,
    @In(Unit.MICROFARAD) double inputCapacitance,
    @In(Unit.MILLIAMPERE) double standingCurrent,
    @Nullable Drive drive)
    implements MachineBuilder.With {

  public Machine {
    Valid.text("Machine name", name);
    Valid.range("Machine cut-out voltage", cutOutVoltage, 0, 1000, Unit.VOLT);
    Valid.range("Machine maximum voltage", maximumVoltage, 1, 1000, Unit.VOLT);
    Valid.above(
        "Machine maximum voltage", maximumVoltage, "the cut-out voltage", cutOutVoltage, Unit.VOLT);
    Valid.range("Current at full effort", fullEffortCurrent, 0.001, 5000, Unit.AMPERE);
    Valid.range("Machine peak current", peakCurrent, 0.001, 5000, Unit.AMPERE);
    Valid.range("Regeneration current", regenerationCurrent, 0, 5000, Unit.AMPERE);
    Valid.range("Input capacitance", inputCapacitance, 0, 1, Unit.MICROFARAD);
    Valid.range("Standing current", standingCurrent, 0, 100, Unit.MILLIAMPERE);
  }
}
