package hammerman.app.session;

import java.nio.file.Path;
import java.time.Instant;

/**
 * A pack without a name, left in the program's folder.
 *
 * @param file it lies in
 * @param name of its project
 * @param counts such as 13S6P
 * @param at when it was last changed
 */
public record Unnamed(Path file, String name, String counts, Instant at) {}
