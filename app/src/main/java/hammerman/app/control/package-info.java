/**
 * Controls that know quantities: a field that reads what people type, a figure that shows its
 * working, a stepper. Start with {@link hammerman.app.control.Form}.
 */
@NullMarked
package hammerman.app.control;

import org.jspecify.annotations.NullMarked;
