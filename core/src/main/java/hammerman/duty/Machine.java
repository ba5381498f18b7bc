package hammerman.duty;

import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
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
 * @param drive motor, reduction and wheel; absent when it does not drive, or they are not known
 */
public record Machine(
    String name,
    @In(Unit.VOLT) double cutOutVoltage,
    @In(Unit.VOLT) double maximumVoltage,
    @In(Unit.AMPERE) double fullEffortCurrent,
    @In(Unit.AMPERE) double peakCurrent,
    @In(Unit.AMPERE) double regenerationCurrent,
    @In(Unit.MICROFARAD) double inputCapacitance,
    @Nullable Drive drive) {

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
  }

  public Machine withName(String value) {
    return new Machine(
        value,
        cutOutVoltage,
        maximumVoltage,
        fullEffortCurrent,
        peakCurrent,
        regenerationCurrent,
        inputCapacitance,
        drive);
  }

  public Machine withCutOutVoltage(double value) {
    return new Machine(
        name,
        value,
        maximumVoltage,
        fullEffortCurrent,
        peakCurrent,
        regenerationCurrent,
        inputCapacitance,
        drive);
  }

  public Machine withMaximumVoltage(double value) {
    return new Machine(
        name,
        cutOutVoltage,
        value,
        fullEffortCurrent,
        peakCurrent,
        regenerationCurrent,
        inputCapacitance,
        drive);
  }

  public Machine withFullEffortCurrent(double value) {
    return new Machine(
        name,
        cutOutVoltage,
        maximumVoltage,
        value,
        peakCurrent,
        regenerationCurrent,
        inputCapacitance,
        drive);
  }

  public Machine withPeakCurrent(double value) {
    return new Machine(
        name,
        cutOutVoltage,
        maximumVoltage,
        fullEffortCurrent,
        value,
        regenerationCurrent,
        inputCapacitance,
        drive);
  }

  public Machine withRegenerationCurrent(double value) {
    return new Machine(
        name,
        cutOutVoltage,
        maximumVoltage,
        fullEffortCurrent,
        peakCurrent,
        value,
        inputCapacitance,
        drive);
  }

  public Machine withInputCapacitance(double value) {
    return new Machine(
        name,
        cutOutVoltage,
        maximumVoltage,
        fullEffortCurrent,
        peakCurrent,
        regenerationCurrent,
        value,
        drive);
  }

  public Machine withDrive(@Nullable Drive value) {
    return new Machine(
        name,
        cutOutVoltage,
        maximumVoltage,
        fullEffortCurrent,
        peakCurrent,
        regenerationCurrent,
        inputCapacitance,
        value);
  }
}
