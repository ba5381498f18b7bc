/**
 * Rules that turn a design and its results into judgements, worst first. Each rule is small, has an
 * id and looks at one thing. Start with {@link hammerman.judgement.Judge#judge}.
 */
@NullMarked
package hammerman.judgement;

import org.jspecify.annotations.NullMarked;
