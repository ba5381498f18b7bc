/**
 * What a layout is built by: strips, drilling and insulation at true scale, lists of pieces and
 * leads. Start with {@link hammerman.template.Template}.
 */
@NullMarked
package hammerman.template;

import org.jspecify.annotations.NullMarked;
