package hammerman.store;

import java.time.Instant;

/**
 * A named state of the design, to come back to.
 *
 * @param id its number
 * @param state that it names
 * @param name in the builder's words
 * @param at when it was set
 */
public record Mark(long id, long state, String name, Instant at) {}
