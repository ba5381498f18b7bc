/**
 * One cell: its datasheet ({@link hammerman.cell.CellType}), its chemistry's curves ({@link
 * hammerman.cell.Chemistry}), the starter library ({@link hammerman.cell.CellLibrary}) and the
 * equivalent circuit made from them ({@link hammerman.cell.CellCircuit}).
 */
@NullMarked
package hammerman.cell;

import org.jspecify.annotations.NullMarked;
