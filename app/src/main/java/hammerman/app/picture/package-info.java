/**
 * Drawn pictures in the roles of the theme: the ground ({@link hammerman.app.picture.Picture}),
 * axes and curves ({@link hammerman.app.picture.Plot}), and the pictures that carry the work.
 */
@NullMarked
package hammerman.app.picture;

import org.jspecify.annotations.NullMarked;
