/**
 * The vocabulary of results that explain themselves: a {@link hammerman.finding.Derivation} shows
 * how a figure came about, a {@link hammerman.finding.Finding} says what is wrong or risky and
 * where. No calculation here.
 */
@NullMarked
package hammerman.finding;

import org.jspecify.annotations.NullMarked;
