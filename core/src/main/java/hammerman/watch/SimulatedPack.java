package hammerman.watch;

import hammerman.cell.CellCircuit;
import hammerman.design.Design;
import hammerman.device.StandIn;
import hammerman.guard.ChargePlan;
import hammerman.pack.Pack;
import hammerman.unit.InvalidValue;
import hammerman.unit.Reference;
import hammerman.unit.Valid;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Random;

/**
 * A pack on the bench, made up: a meter at its balance plug, a BMS that streams, and a charger
 * behind a plug that can be switched. Groups have capacities of their own; voltages follow the
 * cell's open-circuit curve and its settled resistance, the charger holds current, then voltage.
 * Heat: one lump with the pack's heat capacity, shedding as in still air. The BMS reads to a
 * millivolt with noise of one.
 */
public final class SimulatedPack implements StandIn {
  /** Frames come every so many seconds of the charge. */
  public static final double EVERY = 10;

  private static final double STEP = 1;

  /** Resistance of a short inside a cell, Ω; of the order that warms it within minutes. */
  private static final double SHORT_OHMS = 0.05;

  private final Design design;
  private final Fault fault;
  private final int at;
  private final Random random;
  private final double[] capacity;
  private final double[] soc;
  private final int[] tap;
  private final CellCircuit circuit;
  private double time;
  private double kelvin = Reference.ROOM;
  private double current;
  private boolean on;
  private double nextFrame = EVERY;
  private final List<String> out = new ArrayList<>();
  private double[] stuck = new double[0];

  /** What is wrong with it. */
  public enum Fault {
    /** Nothing. */
    NONE,
    /** Two leads of the balance plug are in each other's places. */
    SWAPPED,
    /** A lead of the balance plug is open. */
    OPEN,
    /** A group is far emptier than the others. */
    LOW,
    /** A group holds much less, and runs away at the end of the charge. */
    RUNAWAY,
    /** A group's reading stays where it was. */
    SENSOR,
    /** The charger goes on above its voltage. */
    CHARGER,
    /** A group is shorted inside and warms. */
    SHORT,
    /** The BMS falls silent. */
    SILENT;

    /** Returns the fault by its name on the command line. */
    public static Fault named(String name) {
      for (Fault f : values()) {
        if (f.name().equalsIgnoreCase(name)) {
          return f;
        }
      }
      throw new InvalidValue(
          "--fault",
          name,
          "must be one of "
              + String.join(
                  ", ",
                  Arrays.stream(values()).map(f -> f.name().toLowerCase(Locale.ROOT)).toList()),
          "Name one of them.");
    }
  }

  /**
   * @param design whose first pack it is
   * @param start state of charge at the beginning, 0 to 1
   * @param fault of it
   * @param at which lead or group, from 0
   * @param seed of capacities and noise
   */
  public SimulatedPack(Design design, double start, Fault fault, int at, long seed) {
    Pack pack = design.pack();
    Valid.count("Place of the fault", at, 0, pack.series() - 1);
    this.design = design;
    this.fault = fault;
    this.at = at;
    random = new Random(seed);
    circuit = new CellCircuit(pack.cell());
    capacity = new double[pack.series()];
    soc = new double[pack.series()];
    double spread = pack.lot().spread() / Math.sqrt(pack.parallel());
    for (int g = 0; g < pack.series(); g++) {
      int group = g;
      double share = 1 + spread * Math.clamp(random.nextGaussian(), -2, 2);
      capacity[g] =
          pack.matched().map(m -> m.groups().get(group).capacity()).orElse(pack.capacity() * share);
      soc[g] = start;
    }
    if (fault == Fault.RUNAWAY) {
      capacity[at] *= 0.6;
    }
    if (fault == Fault.LOW) {
      soc[at] = 0.3 * start;
    }
    tap = new int[pack.series() + 1];
    Arrays.setAll(tap, k -> k);
    if (fault == Fault.SWAPPED) {
      tap[at] = at + 1;
      tap[at + 1] = at;
    }
    if (fault == Fault.OPEN) {
      tap[at + 1] = -1;
    }
  }

  /** Returns the true voltage of each group, V, for tests of what the readings hide. */
  public double[] groups() {
    double[] v = new double[soc.length];
    for (int g = 0; g < v.length; g++) {
      v[g] = volts(g, current);
    }
    return v;
  }

  /** Returns the true temperature, K. */
  public double temperature() {
    return kelvin;
  }

  /** Whether the charger is plugged in. */
  public boolean isOn() {
    return on;
  }

  @Override
  public List<String> greeting() {
    return List.of(PackLine.write(new PackLine.Hello("simulated pack", soc.length)));
  }

  @Override
  public void hear(String line) {
    switch (PackLine.read(line)) {
      case PackLine.Ask a -> {
        if (a.contact() >= 0 && a.contact() < tap.length) {
          out.add(PackLine.write(new PackLine.Volts(a.contact(), meter(a.contact()))));
        }
      }
      case PackLine.Plug p -> on = p.on();
      case PackLine.Hello h -> {}
      case PackLine.Volts v -> {}
      case PackLine.Frame f -> {}
      case PackLine.Nonsense n -> {}
    }
  }

  private double meter(int contact) {
    int where = tap[contact];
    double sum = 0;
    for (int g = 0; g < where; g++) {
      sum += volts(g, current);
    }
    return where <= 0 ? 0 : Math.round(1000 * sum + random.nextGaussian()) / 1000.0;
  }

  @Override
  public List<String> advance(double seconds) {
    for (double left = seconds; left > 1e-9; left -= STEP) {
      step(Math.min(STEP, left));
    }
    List<String> said = List.copyOf(out);
    out.clear();
    return said;
  }

  /** Voltage of a group with a current into the pack, V. */
  private double volts(int g, double amperes) {
    double share = Math.clamp(soc[g], 0, 1);
    double r = circuit.settled(share, kelvin) / design.pack().parallel();
    // Beyond full the cathode's voltage goes on rising, by a volt for each tenth; typical.
    double beyond = 10 * Math.max(0, soc[g] - 1);
    return circuit.openCircuit(share) + beyond + amperes * r;
  }

  private void step(double dt) {
    current = on ? drawn() : 0;
    double heat = 0;
    for (int g = 0; g < soc.length; g++) {
      double leak = fault == Fault.SHORT && g == at ? volts(g, current) / SHORT_OHMS : 0;
      soc[g] += (current - leak) * dt / 3600 / capacity[g];
      soc[g] = Math.max(0.01, soc[g]);
      double r = circuit.settled(Math.clamp(soc[g], 0, 1), kelvin) / design.pack().parallel();
      heat += current * current * r + leak * leak * SHORT_OHMS;
    }
    double shed = 10 * design.pack().surface() * (kelvin - Reference.ROOM);
    kelvin += (heat - shed) * dt / design.pack().heatCapacity();
    time += dt;
    if (on && time >= nextFrame) {
      nextFrame += EVERY;
      frame();
    }
  }

  /** The charger holds its current, then its voltage; a faulty one knows no end. */
  private double drawn() {
    ChargePlan plan = design.guard().charge();
    double end = fault == Fault.CHARGER ? 1.1 * plan.voltage() : plan.voltage();
    double open = 0;
    double r = 0;
    for (int g = 0; g < soc.length; g++) {
      open += volts(g, 0);
      r += volts(g, 1) - volts(g, 0);
    }
    return Math.clamp((end - open) / r, 0, plan.current());
  }

  private void frame() {
    if (fault == Fault.SILENT && time > 900) {
      return;
    }
    double[] read = new double[soc.length];
    double sum = 0;
    for (int g = 0; g < read.length; g++) {
      double v = volts(g, current);
      sum += v;
      read[g] = Math.round(1000 * v + random.nextGaussian()) / 1000.0;
    }
    if (stuck.length == 0) {
      stuck = read.clone();
    }
    if (fault == Fault.SENSOR) {
      read[at] = stuck[at];
    }
    out.add(
        PackLine.write(
            new PackLine.Frame(
                new ChargeFrame(
                    time,
                    read,
                    Math.round(100 * sum) / 100.0,
                    Math.round(1000 * current) / 1000.0,
                    new double[] {Math.round(10 * kelvin) / 10.0}))));
  }
}
