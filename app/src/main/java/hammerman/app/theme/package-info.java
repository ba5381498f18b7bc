/** Fonts and the two themes. */
@NullMarked
package hammerman.app.theme;

import org.jspecify.annotations.NullMarked;
