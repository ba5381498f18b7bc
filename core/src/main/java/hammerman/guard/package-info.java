/**
 * What protects the pack and carries its current: BMS, charge setting, fuse, wiring, with the
 * ratings computed from them (ampacity, melting time). Start with {@link hammerman.guard.Guard}.
 */
@NullMarked
package hammerman.guard;

import org.jspecify.annotations.NullMarked;
