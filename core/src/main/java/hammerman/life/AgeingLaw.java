package hammerman.life;

import hammerman.cell.CellType;
import hammerman.cell.CycleLife;

/**
 * How a chemistry loses capacity: a calendar part and a cycle part, each {@code loss = rate ·
 * x^exponent}, x being days at rest or Ah moved by a cell of the paper's size.
 */
sealed interface AgeingLaw permits NickelLaw, PhosphateLaw, IndicativeLaw, ScaledLaw {
  /** Returns the law for a cell: its chemistry's, scaled to its cycle life where that is known. */
  static AgeingLaw of(CellType cell) {
    AgeingLaw law =
        switch (cell.chemistry()) {
          case NMC, NCA -> new NickelLaw();
          case LFP -> new PhosphateLaw();
          case LCO, LMO, LTO, NA_ION -> IndicativeLaw.of(cell.chemistry());
        };
    CycleLife own = cell.cycleLife();
    return own != null
        ? ScaledLaw.of(law, cell, own, false)
        : CycleLife.typical(cell.chemistry())
            .<AgeingLaw>map(typical -> ScaledLaw.of(law, cell, typical, true))
            .orElse(law);
  }

  /** Exponent of days in the calendar part. */
  double calendarExponent();

  /** Calendar loss after one day under constant conditions, as a fraction. */
  double calendarRate(Conditions.Rest rest);

  /** Exponent of charge moved in the cycle part. */
  double cycleExponent();

  /** Cycle loss after 1 Ah of a cell of the paper's size, as a fraction. */
  double cycleRate(Conditions.Cycling cycling);

  /**
   * Charge (Ah) that the paper's cell would have moved when ours has moved its capacity out once.
   */
  double throughputPerEquivalentCycle();

  /**
   * Growth of the resistance after one day at rest, exponent as the calendar part; 0 if unknown.
   */
  double calendarResistanceRate(Conditions.Rest rest);

  /** Growth of the resistance per Ah of the paper's cell; 0 if unknown. */
  double cycleResistanceRate(Conditions.Cycling cycling);

  /** Whether the growth of the resistance is known. */
  boolean knowsResistance();

  /** Paper and equations. */
  String source();

  /** Range in which the paper's cells were tested. */
  String validity();

  /** Whether the conditions lie outside that range. */
  boolean extrapolates(Conditions conditions);

  /** Whether the law is only a scaled likeness. */
  boolean indicative();
}
