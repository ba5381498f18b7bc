/**
 * The words of the field, each explained in a sentence or two. {@link
 * hammerman.glossary.Glossary#of} finds those that a label or a text uses.
 */
@NullMarked
package hammerman.glossary;

import org.jspecify.annotations.NullMarked;
