package hammerman.unit;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * States the unit in which a record component is written to files; its JSON key is the component's
 * name with the unit's key, such as {@code capacity_Ah}. In memory the value is in the core's unit.
 */
@Retention(RetentionPolicy.RUNTIME)
@Target({
  ElementType.RECORD_COMPONENT,
  ElementType.FIELD,
  ElementType.METHOD,
  ElementType.PARAMETER
})
public @interface In {
  /** Returns the unit in files. */
  Unit value();

  /** Whether a file may leave it out, which then means 0. */
  boolean orZero() default false;
}
