/** A whole design: duty, pack and guard together, the single input of every forecast. */
@NullMarked
package hammerman.design;

import org.jspecify.annotations.NullMarked;
