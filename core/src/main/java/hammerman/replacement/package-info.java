/**
 * Replacing a sealed lead battery by cells of another chemistry: {@link
 * hammerman.replacement.LeadBattery#suggest}.
 */
@NullMarked
package hammerman.replacement;

import org.jspecify.annotations.NullMarked;
