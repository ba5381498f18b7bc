package hammerman.chain;

import hammerman.cell.CellCircuit;
import hammerman.chain.Path.Settling;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.guard.Guard;
import hammerman.numeric.Source;
import hammerman.pack.Assembly;
import hammerman.pack.Pack;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What feeds the machine, as sources behind resistances: one pack, or two at their junction. In
 * parallel the junction takes the voltage V = (Σ E/R − I) / Σ 1/R; diodes let current out only; a
 * reserve carries all in its turn.
 *
 * @param branches the pack, or the two packs, each up to the switch
 * @param joining how two are joined; absent for one
 */
public record Supply(List<Branch> branches, @Nullable Joining joining) {
  public Supply {
    branches = List.copyOf(branches);
  }

  /**
   * One pack up to the switch.
   *
   * @param pack what it is built of
   * @param guard what protects it
   * @param assembly how it is put together
   * @param circuit of its cell
   * @param shared the guard whose switch, connectors and leads to the machine all share
   */
  public record Branch(
      Pack pack, Guard guard, Assembly assembly, CellCircuit circuit, Guard shared) {

    /** Returns the open-circuit voltage, V. */
    public double openCircuit(double soc) {
      return pack.series() * circuit.openCircuit(soc);
    }

    /** Returns the resistance of cells, strips and its own path, Ω. */
    public double resistance(double soc, double kelvin, Settling settling) {
      return bare(soc, kelvin, settling) + guard.own(kelvin);
    }

    /** Returns the resistance of cells and strips alone, Ω. */
    public double bare(double soc, double kelvin, Settling settling) {
      double cell =
          switch (settling) {
            case OHMIC -> circuit.ohmic(soc, kelvin);
            case TEN_SECONDS -> circuit.r10(soc, kelvin);
            case SETTLED -> circuit.settled(soc, kelvin);
          };
      return cell * pack.series() / pack.parallel() + assembly.stripResistance(kelvin);
    }

    /**
     * Returns the highest voltage it can have, V: as charged, or every cell at its full voltage.
     */
    public double highest() {
      return Math.max(guard.charge().voltage(), pack.fullVoltage());
    }

    /** Returns the state of charge that its charge voltage reaches, 0 to 1. */
    public double ceiling() {
      return circuit.socAt(guard.charge().voltage() / pack.series());
    }
  }

  /**
   * What flows when the machine draws a current.
   *
   * @param first current of the first pack, A
   * @param second current of the second, A; 0 for one pack
   * @param voltage at the machine, V
   */
  public record Split(double first, double second, double voltage) {}

  /** Returns what feeds the machine of a design whose first pack is put together in a known way. */
  public static Supply of(Design design, Assembly assembly) {
    Branch first = branch(design.pack(), design.guard(), assembly, design.guard());
    SecondPack second = design.second();
    return second == null
        ? new Supply(List.of(first), null)
        : new Supply(
            List.of(
                first,
                branch(
                    second.pack(),
                    second.guard(),
                    Assembly.estimated(second.pack()),
                    design.guard())),
            second.joining());
  }

  private static Branch branch(Pack pack, Guard guard, Assembly assembly, Guard shared) {
    return new Branch(pack, guard, assembly, new CellCircuit(pack.cell()), shared);
  }

  /** Returns the first pack's branch. */
  public Branch first() {
    return branches.getFirst();
  }

  /** Returns the second pack's branch, if there is one. */
  public Optional<Branch> second() {
    return branches.size() > 1 ? Optional.of(branches.get(1)) : Optional.empty();
  }

  /** Returns the highest voltage that lies across what carries the machine's current, V. */
  public double highest() {
    return joining == Joining.SERIES
        ? branches.stream().mapToDouble(Branch::highest).sum()
        : branches.stream().mapToDouble(Branch::highest).max().orElseThrow();
  }

  /** Returns what flows at a current (A), both packs at the same state of charge. */
  public Split split(double amperes, double soc, double kelvin, Settling settling) {
    Branch a = first();
    double e1 = a.openCircuit(soc);
    double r1 = a.resistance(soc, kelvin, settling);
    double drop = joining == Joining.DIODES ? SecondPack.DIODE_DROP : 0;
    double lost = amperes * a.shared().shared(kelvin) + drop;
    if (joining == null) {
      return new Split(amperes, 0, e1 - amperes * r1 - lost);
    }
    Branch b = branches.get(1);
    double e2 = b.openCircuit(soc);
    double r2 = b.resistance(soc, kelvin, settling);
    return switch (joining) {
      case SERIES -> new Split(amperes, amperes, e1 + e2 - amperes * (r1 + r2) - lost);
      case PARALLEL -> parallel((e1 - e2 + amperes * r2) / (r1 + r2), amperes, e1, r1, lost);
      case DIODES -> {
        double i = Math.clamp((e1 - e2 + amperes * r2) / (r1 + r2), 0, Math.max(0, amperes));
        yield new Split(i, amperes - i, (i > 0 ? e1 - i * r1 : e2 - (amperes - i) * r2) - lost);
      }
      case SWITCH_OVER ->
          new Split(amperes, amperes, Math.min(e1 - amperes * r1, e2 - amperes * r2) - lost);
    };
  }

  private static Split parallel(double i, double amperes, double e1, double r1, double lost) {
    return new Split(i, amperes - i, e1 - i * r1 - lost);
  }

  /**
   * Returns the current that gives a power at the machine 10 s on, A: I = (E − √(E² − 4RP)) / 2R;
   * at the most the current of greatest power, E/2R. Where one pack may have to carry all, the one
   * that draws more.
   */
  public double currentFor(double watts, double soc, double kelvin) {
    double outer = first().shared().shared(kelvin);
    double e1 = first().openCircuit(soc);
    double r1 = first().resistance(soc, kelvin, Settling.TEN_SECONDS);
    if (joining == null) {
      return Source.currentAtMost(e1, r1 + outer, watts);
    }
    double e2 = branches.get(1).openCircuit(soc);
    double r2 = branches.get(1).resistance(soc, kelvin, Settling.TEN_SECONDS);
    double drop = joining == Joining.DIODES ? SecondPack.DIODE_DROP : 0;
    double both =
        Source.currentAtMost(
            (e1 * r2 + e2 * r1) / (r1 + r2) - drop, r1 * r2 / (r1 + r2) + outer, watts);
    return switch (joining) {
      case SERIES -> Source.currentAtMost(e1 + e2, r1 + r2 + outer, watts);
      case PARALLEL -> both;
      case DIODES -> {
        double i = (e1 - e2 + both * r2) / (r1 + r2);
        yield i < 0 || i > both
            ? Source.currentAtMost(Math.max(e1, e2) - drop, (e1 > e2 ? r1 : r2) + outer, watts)
            : both;
      }
      case SWITCH_OVER ->
          Math.max(
              Source.currentAtMost(e1, r1 + outer, watts),
              Source.currentAtMost(e2, r2 + outer, watts));
    };
  }
}
