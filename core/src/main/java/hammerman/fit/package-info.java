/**
 * Cells in the box that there is: a {@link hammerman.fit.Container} with its outline and keep-outs,
 * the places of cells in it ({@link hammerman.fit.Placing#of}), their partition into groups that
 * touch ({@link hammerman.fit.Grouping#of}), the network of strips that carries the current ({@link
 * hammerman.fit.Network#of}) and the heat of that very layout ({@link hammerman.fit.HeatMap#of}).
 * Lengths in m, angles in rad.
 */
@NullMarked
package hammerman.fit;

import org.jspecify.annotations.NullMarked;
