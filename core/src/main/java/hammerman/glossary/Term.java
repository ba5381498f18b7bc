package hammerman.glossary;

import hammerman.unit.Valid;
import java.util.List;

/**
 * A word of the field.
 *
 * @param name the standard term
 * @param others how else it is called, or written
 * @param meaning what it means, in a sentence or two
 */
public record Term(String name, List<String> others, String meaning) {
  public Term {
    Valid.text("Term", name);
    Valid.text("Meaning of " + name, meaning);
    others = List.copyOf(others);
  }
}
