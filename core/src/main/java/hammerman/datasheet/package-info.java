/**
 * Cells from a datasheet or a bench: measured discharge curves ({@link
 * hammerman.datasheet.DischargeCurve}), the fit of rested voltage and resistance to them ({@link
 * hammerman.datasheet.CellFit}), and what looks unlikely in typed figures ({@link
 * hammerman.datasheet.Plausibility}).
 */
@NullMarked
package hammerman.datasheet;

import org.jspecify.annotations.NullMarked;
