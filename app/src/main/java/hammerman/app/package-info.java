/**
 * Start of the desktop application: {@link hammerman.app.Launcher} reads the arguments, {@link
 * hammerman.app.HammermanApp} opens the window.
 */
@NullMarked
package hammerman.app;

import org.jspecify.annotations.NullMarked;
