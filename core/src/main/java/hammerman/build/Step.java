package hammerman.build;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A step of the build.
 *
 * @param id stable; a step of the second pack begins with {@value #SECOND}
 * @param stage it belongs to
 * @param text what to do, in words
 * @param tools that it takes
 * @param safety what can go wrong
 * @param check the reading to take; absent if a tick will do
 * @param needs ids of the steps that must be done before
 * @param place where it is done
 */
public record Step(
    String id,
    Stage stage,
    String text,
    List<String> tools,
    Safety safety,
    @Nullable Check check,
    List<String> needs,
    Place place) {
  /** What the ids of the second pack's steps begin with. */
  public static final String SECOND = "second.";

  public Step {
    tools = List.copyOf(tools);
    needs = List.copyOf(needs);
  }

  /** Returns the reading to take, if there is one. */
  public Optional<Check> reading() {
    return Optional.ofNullable(check);
  }

  /** Returns what the reading should be, if there is one. */
  public Optional<Expected> expects() {
    return reading().map(Check::expects);
  }

  /** Returns its first sentence. */
  public String title() {
    int end = text.indexOf(". ");
    String first = end < 0 ? text : text.substring(0, end + 1);
    return ofSecond() ? "Second pack: " + first : first;
  }

  /** Whether it is one of the second pack. */
  public boolean ofSecond() {
    return id.startsWith(SECOND);
  }

  /** Returns the id without the mark of the second pack. */
  public String ownId() {
    return ofSecond() ? id.substring(SECOND.length()) : id;
  }
}
