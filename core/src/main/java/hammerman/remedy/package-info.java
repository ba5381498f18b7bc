/**
 * What cures a finding: edits of the design, each tried before it is offered. Start with {@link
 * hammerman.remedy.Remedy#of}.
 */
@NullMarked
package hammerman.remedy;

import org.jspecify.annotations.NullMarked;
