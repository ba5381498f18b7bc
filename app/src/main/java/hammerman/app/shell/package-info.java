/**
 * The frame around the stations: the line, the nameplate, the rail of judgements and workings, the
 * status line, the palette of commands. Start with {@link hammerman.app.shell.Frame}.
 */
@NullMarked
package hammerman.app.shell;

import org.jspecify.annotations.NullMarked;
