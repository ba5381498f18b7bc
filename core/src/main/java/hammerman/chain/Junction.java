package hammerman.chain;

import hammerman.cell.CellCircuit;
import hammerman.cell.CellType;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.pack.Assembly;
import hammerman.pack.Pack;
import hammerman.unit.Reference;
import java.util.Optional;

/**
 * Two packs at the moment they are joined, without time: I = ΔV / (R_a + R_b), at 25 °C, ohmic.
 *
 * @param second the second pack
 * @param first rested voltage of the first, V
 * @param other rested voltage of the second, V
 * @param resistance of both packs and their paths in a loop, Ω
 * @param limit current that the weaker may take at once, A: its cells' fast charge current, or its
 *     strips
 */
public record Junction(
    SecondPack second, double first, double other, double resistance, double limit) {

  /** Returns the junction of a design with a second pack. */
  public static Optional<Junction> of(Chain chain) {
    Design design = chain.design();
    SecondPack second = design.second();
    if (second == null) {
      return Optional.empty();
    }
    Pack a = design.pack();
    Pack b = second.pack();
    double first = rested(a, second.firstSoc());
    double other = rested(b, second.soc());
    return Optional.of(
        new Junction(
            second,
            first,
            other,
            ohmic(chain.path().assembly(), second.firstSoc())
                + ohmic(Assembly.estimated(b), second.soc())
                + design.guard().own(Reference.ROOM)
                + second.guard().own(Reference.ROOM),
            first > other ? most(b) : most(a)));
  }

  private static double rested(Pack pack, double soc) {
    return pack.series() * pack.cell().openCircuit().value(soc);
  }

  private static double ohmic(Assembly assembly, double soc) {
    Pack pack = assembly.pack();
    return pack.series() * new CellCircuit(pack.cell()).ohmic(soc, Reference.ROOM) / pack.parallel()
        + assembly.stripResistance(Reference.ROOM);
  }

  private static double most(Pack pack) {
    CellType cell = pack.cell();
    return pack.parallel() * Math.min(cell.currents().fastCharge(), pack.strip().ampacity());
  }

  /** Returns the voltage gap, V. */
  public double gap() {
    return Math.abs(first - other);
  }

  /** Returns the current that flows at once when they are joined directly, A. */
  public double current() {
    return gap() / resistance;
  }

  /** Returns the gap that keeps the current at its limit, V. */
  public double allowedGap() {
    return limit * resistance;
  }
}
