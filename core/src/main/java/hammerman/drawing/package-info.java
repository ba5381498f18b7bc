/** Drawings at true scale: {@link hammerman.drawing.Svg}, in mm. */
@NullMarked
package hammerman.drawing;

import org.jspecify.annotations.NullMarked;
