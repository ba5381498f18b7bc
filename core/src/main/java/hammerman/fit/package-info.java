/**
 * Cells in the boxes that there are: a {@link hammerman.fit.FitPlan} says what is wanted, {@link
 * hammerman.fit.Arrangement#of} finds the places of cells ({@link hammerman.fit.Placing}) and their
 * partition into groups that touch ({@link hammerman.fit.Grouping}), or says why there is none.
 * Lengths in m, angles in rad.
 */
@NullMarked
package hammerman.fit;

import org.jspecify.annotations.NullMarked;
