/**
 * What is being worked on: the project with its history, its file, its recovery copy and the user's
 * settings. No controls here. Start with {@link hammerman.app.session.Session}.
 */
@NullMarked
package hammerman.app.session;

import org.jspecify.annotations.NullMarked;
