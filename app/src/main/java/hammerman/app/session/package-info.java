/**
 * What is being worked on: the project with its history, what keeps it and the builder's own
 * things. No controls here. Start with {@link hammerman.app.session.Workshop}.
 */
@NullMarked
package hammerman.app.session;

import org.jspecify.annotations.NullMarked;
