/**
 * The chain of ratings at the design point, without simulating time: what the duty asks of each
 * link, what each link can carry, the resistance of the path, the sag and the fuse window. Start
 * with {@link hammerman.chain.Chain#of}.
 */
@NullMarked
package hammerman.chain;

import org.jspecify.annotations.NullMarked;
