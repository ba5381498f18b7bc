package hammerman.forecast;

import hammerman.cell.CellType;
import hammerman.design.SecondPack;
import hammerman.finding.Derivation;
import hammerman.finding.Derivation.Input;
import hammerman.finding.Origin;
import hammerman.pack.Pack;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;

/** Inputs of derivations, each with its origin, and what the workings share. */
final class Inputs {
  static final String ALWAYS = "any pack";
  static final String CIRCUIT_SOURCE =
      "equivalent circuit with two RC branches: G. Plett, Battery Management Systems vol. I (2015),"
          + " ch. 2; curves typical for the chemistry";
  static final String CIRCUIT_RANGE =
      "−30 to 80 °C, cells all alike; reversible heat taken as zero (no dU/dT known)";

  /** How a run goes from moment to moment. */
  static final String RUN_FORMULA =
      "dz/dt = −I / 3600 Q;  V = S (OCV − v1 − v2 − I R0 / P) − I R_ext;  C dT/dt = heat − G"
          + " (T − T_air)";

  static final String JUNCTION_FORMULA =
      "two packs at their junction: V = (Σ E/R − I) / Σ 1/R, or Σ E − I Σ R in series";

  private Inputs() {}

  /** The charge at which a run begins, of two packs of either. */
  static Derivation.Input startCharge(Forecast f) {
    SecondPack second = f.design().second();
    return second == null
        ? computed("z0", "charge at the start", Figures.of(f.chain().ceiling(), Unit.PERCENT, 0))
        : yours(
            "z0",
            "charge of either when joined",
            "%s, %s"
                .formatted(
                    Figures.of(second.firstSoc(), Unit.PERCENT, 0),
                    Figures.of(second.soc(), Unit.PERCENT, 0)));
  }

  /** The capacity that a run has, of two packs of either. */
  static Derivation.Input capacity(Forecast f) {
    SecondPack second = f.design().second();
    String first = Figures.of(pack(f).capacity(), Unit.AMPERE_HOUR);
    return second == null
        ? computed("Q", "capacity at 25 °C", first)
        : computed(
            "Q",
            "capacity of either at 25 °C, new",
            first + ", " + Figures.of(second.pack().capacity(), Unit.AMPERE_HOUR));
  }

  static Derivation arithmetic(String title, String result, String formula, Input... inputs) {
    return new Derivation(
        title, result, formula, List.of(inputs), "arithmetic of the stack", ALWAYS, false);
  }

  static Pack pack(Forecast f) {
    return f.design().pack();
  }

  static CellType cell(Forecast f) {
    return pack(f).cell();
  }

  static Input series(Pack p) {
    return yours("S", "in series", Integer.toString(p.series()));
  }

  static Input parallel(Pack p) {
    return yours("P", "in parallel", Integer.toString(p.parallel()));
  }

  static Input yours(String symbol, String name, String value) {
    return new Input(symbol, name, value, Origin.YOURS);
  }

  static Input cell(String symbol, String name, double value, Unit unit) {
    return new Input(symbol, name, Figures.exact(value, unit), Origin.CELL);
  }

  static Input computed(String symbol, String name, String value) {
    return new Input(symbol, name, value, Origin.COMPUTED);
  }

  static Input model(String symbol, String name, String value) {
    return new Input(symbol, name, value, Origin.MODEL);
  }
}
