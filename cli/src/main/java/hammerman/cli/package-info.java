/**
 * The command line: {@code predict} and {@code check} a project file, in words or as JSON. The JSON
 * keys and exit codes are a public contract (docs/command-line.md). Start with {@link
 * hammerman.cli.Main}.
 */
@NullMarked
package hammerman.cli;

import org.jspecify.annotations.NullMarked;
