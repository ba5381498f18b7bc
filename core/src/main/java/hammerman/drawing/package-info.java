/** Drawings at true scale, in mm: a {@link hammerman.drawing.Drawing}, written as SVG or as PDF. */
@NullMarked
package hammerman.drawing;

import org.jspecify.annotations.NullMarked;
