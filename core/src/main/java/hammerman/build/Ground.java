package hammerman.build;

import hammerman.cell.CellCircuit;
import hammerman.cell.CellType;
import hammerman.cell.Health;
import hammerman.chain.LaidOut;
import hammerman.chain.Layout;
import hammerman.design.Design;
import hammerman.forecast.Forecast;
import hammerman.guard.Bms;
import hammerman.guard.Guard;
import hammerman.guard.Protection;
import hammerman.pack.Lot;
import hammerman.pack.MatchedCells;
import hammerman.pack.Pack;
import hammerman.template.BalanceLead;
import hammerman.template.Work;
import hammerman.unit.Figures;
import hammerman.unit.Reference;
import hammerman.unit.Unit;
import hammerman.wiring.WiringPlan;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/** What the steps of one pack rest on: its forecast as if it were alone, and what was read. */
final class Ground {
  /** Above this a touch can kill, V. */
  static final double TOUCH = 60;

  /** New cells come about a third full; typical, with the range that is met, 0 to 1. */
  private static final double ARRIVES = 0.3;

  private static final double LEAST_ARRIVES = 0.1;
  private static final double MOST_ARRIVES = 0.7;

  /** Cells of a group are never let differ by more than this, V; usual practice. */
  private static final double MOST_GAP = 0.05;

  /** A meter of the hobby does not tell less, V. */
  private static final double LEAST_GAP = 0.005;

  private final Forecast forecast;
  private final String prefix;
  private final Map<String, Double> readings;
  private final CellCircuit circuit;

  Ground(OnePack pack, Map<String, Double> readings) {
    forecast = pack.forecast();
    prefix = pack.prefix();
    this.readings = readings;
    circuit = new CellCircuit(cell());
  }

  Forecast forecast() {
    return forecast;
  }

  Design design() {
    return forecast.design();
  }

  Pack pack() {
    return design().pack();
  }

  CellType cell() {
    return design().pack().cell();
  }

  CellCircuit circuit() {
    return circuit;
  }

  Guard guard() {
    return design().guard();
  }

  int series() {
    return pack().series();
  }

  Optional<Bms> bms() {
    return guard().protection().bms();
  }

  boolean bmsInPath() {
    return guard().protection() instanceof Protection.DischargePath;
  }

  boolean isHigh() {
    return pack().fullVoltage() > TOUCH;
  }

  /** Whether an old pack of which the groups were measured is made over. */
  boolean madeOver() {
    return pack().matched().filter(MatchedCells::byGroups).isPresent();
  }

  /** Whether the cells were in use before. */
  boolean reclaimed() {
    return (cell().health() != null && !Health.NEW.equals(cell().health()))
        || pack().lot() == Lot.UNKNOWN;
  }

  WiringPlan wiring() {
    return WiringPlan.of(forecast.chain());
  }

  /**
   * The layout made ready to be built, if the pack is laid out; working its plates out takes time.
   */
  Optional<Work> work() {
    return solved().map(s -> Work.of("", pack(), s));
  }

  private Optional<Layout.Solved> solved() {
    return new LaidOut(forecast.chain(), forecast.layout()).solved();
  }

  /** The balance leads of the layout, for which its plates do not matter. */
  List<BalanceLead> balanceLeads() {
    return solved().map(s -> BalanceLead.of(new Work("", pack(), s, List.of()))).orElse(List.of());
  }

  /** The group that gets hottest in the forecast, from 0, if the pack is laid out. */
  OptionalInt hottestGroup() {
    var map = forecast.thermal().map();
    var solved = solved();
    return map.isPresent() && solved.isPresent()
        ? OptionalInt.of(solved.get().grouping().at(map.get().hottestPlace()))
        : OptionalInt.empty();
  }

  /** What was read at a step of this pack. */
  OptionalDouble read(String step) {
    Double v = readings.get(prefix + step);
    return v == null ? OptionalDouble.empty() : OptionalDouble.of(v);
  }

  /** The rest voltage of a cell as it was read, or as it may come. */
  Expected rested() {
    OptionalDouble read = read("cells.rest");
    if (read.isPresent()) {
      return Meter.near(
          read.getAsDouble(),
          allowedGap() / 2,
          "a cell rests at %s, as you read it"
              .formatted(Figures.of(read.getAsDouble(), Unit.VOLT, 3)));
    }
    return unread();
  }

  /** What a cell's rest voltage can be before any was read. */
  Expected unread() {
    double least = reclaimed() ? cell().cutOffVoltage() : circuit.openCircuit(LEAST_ARRIVES);
    double most = reclaimed() ? cell().fullVoltage() : circuit.openCircuit(MOST_ARRIVES);
    double likely = circuit.openCircuit(ARRIVES);
    return new Expected(
        Math.clamp(likely, least, most),
        least,
        most,
        Unit.VOLT,
        reclaimed()
            ? "used cells may have any charge, but never less than their cut-off of %s"
                .formatted(Figures.of(cell().cutOffVoltage(), Unit.VOLT))
            : "new cells come %s to %s full, mostly %s; %s then rests at %s"
                .formatted(
                    Figures.of(LEAST_ARRIVES, Unit.PERCENT, 0),
                    Figures.of(MOST_ARRIVES, Unit.PERCENT, 0),
                    Figures.of(ARRIVES, Unit.PERCENT, 0),
                    cell().chemistry().label(),
                    Figures.of(likely, Unit.VOLT, 2)));
  }

  /** Voltage of a number of groups in series, from what was read last of any. */
  Expected groups(int count) {
    OptionalDouble whole = read("string.whole");
    if (whole.isPresent()) {
      String read = Figures.of(whole.getAsDouble(), Unit.VOLT, 2);
      return count == series()
          ? Meter.same(whole.getAsDouble(), "the string as you read it, " + read)
          : Meter.near(
              whole.getAsDouble() * count / series(),
              MOST_GAP,
              "%d of %d groups of the string, which you read as %s"
                  .formatted(count, series(), read));
    }
    Expected one = rested();
    double v = count * one.value();
    double room = Meter.error(v);
    return new Expected(
        v,
        Math.min(v - room, count * one.low()),
        Math.max(v + room, count * one.high()),
        Unit.VOLT,
        count == 1 ? one.why() : count + " groups in series; " + one.why());
  }

  /** Voltage of the pack, and of everything it feeds without load. */
  Expected whole() {
    return groups(series());
  }

  /** State of charge by the rest voltage as read or as it may come, 0 to 1. */
  double soc() {
    return Math.clamp(circuit.socAt(rested().value()), 0, 1);
  }

  /**
   * The most that two cells of a group may differ when they are joined, V: I = ΔV / (R_a + R_b) at
   * once, with the ohmic resistance at 25 °C, kept to the standard charge current; at most 50 mV,
   * beyond which their charge differs too much to even out at rest.
   */
  double allowedGap() {
    double r = 2 * circuit.ohmic(soc0(), Reference.ROOM);
    return Math.max(LEAST_GAP, Math.min(MOST_GAP, cell().currents().standardCharge() * r));
  }

  /** Current that flows at once between two cells that differ by a voltage (V), A. */
  double equalising(double gap) {
    return gap / (2 * circuit.ohmic(soc0(), Reference.ROOM));
  }

  private double soc0() {
    OptionalDouble read = read("cells.rest");
    return Math.clamp(circuit.socAt(read.orElse(circuit.openCircuit(ARRIVES))), 0.02, 1);
  }
}
